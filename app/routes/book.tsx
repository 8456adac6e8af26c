import Box from '@mui/material/Box';
import { Suspense, useEffect, useState } from 'react';
import { Outlet, redirect, useLocation, useParams } from 'react-router';
import * as v from 'valibot';
import type { StandingPage } from '#core/book/standing-page.ts';
import { FACES_VERSION } from '#core/faces/index.ts';
import type { SavedDesign } from '#core/pages/composed/saved.ts';
import { typeface, words } from '#core/resources/index.ts';
import { openBook, openStored } from '#server/books.ts';
import { listDesigns } from '#server/designs.ts';
import { madeFiles } from '#server/files.ts';
import { firstPagesState } from '#server/jobs/first-pages.ts';
import { enqueueFiles } from '#server/jobs/queue.ts';
import { listPenNames } from '#server/pen-names.ts';
import { listResources } from '#server/resources/resources.ts';
import { listStandingPages } from '#server/standing-pages.ts';
import { listSubmissions, submitBook } from '#server/submissions.ts';
import { BookHeader } from '../book/book-header.tsx';
import { BookMessages } from '../book/book-messages.tsx';
import { JobTicket } from '../book/job-ticket.tsx';
import { OpenBookProvider } from '../book/open-book.tsx';
import { BookProvider, openBookStore } from '../book/store.ts';
import { useBookKeys, VIEWS } from '../book/use-book-keys.ts';
import { ViewShortcuts } from '../parts/view-shortcuts.tsx';
import type { RouteHandle } from '../preview/early-work.ts';
import rendererUrl from '../preview/renderer.worker.ts?worker&url';
import { drawingRenderer } from '../preview/renderers.ts';
import { formFrom, idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/book.ts';

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: loaderData ? `${loaderData.book.recipe.title} – Restless Quill` : 'Restless Quill' },
];

/** Another version of the program may draw a page in another way than one whose answer a browser has kept. */
const FOR = encodeURIComponent(rendererUrl.slice(rendererUrl.lastIndexOf('/') + 1));

export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const id = idFrom(params.book);
  const [found, files, submissions, penNames, designs, standingPages, banks, typefaces] = await Promise.all([
    openStored(workspaceId, id),
    madeFiles(workspaceId, id),
    listSubmissions(workspaceId, id),
    listPenNames(workspaceId),
    listDesigns(workspaceId),
    listStandingPages(workspaceId),
    listResources(workspaceId, words.id),
    listResources(workspaceId, typeface.id),
  ]);
  if (!found) throw notFound();
  if ('unreadable' in found) throw redirect(`/books/${id}/unreadable`);
  const book = found.opened;
  const { of } = await firstPagesState(workspaceId, book.recipe);
  return {
    book,
    firstPages: `/books/${id}/first-pages.png?of=${of}`,
    knownOfFirst: `/books/${id}/first-pages.json?of=${of}&faces=${FACES_VERSION}&for=${FOR}`,
    files,
    submissions,
    penNames,
    designs,
    standingPages,
    banks,
    typefaces,
  };
}

const Intent = v.object({ intent: v.picklist(['make files', 'submit']) });

export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const id = idFrom(params.book);
  const read = await formFrom(request, Intent);
  if (!read.success) return { refused: read.issues[0].message };
  const book = await openBook(workspaceId, id);
  if (!book) throw notFound();
  if (read.output.intent === 'make files') {
    await enqueueFiles(workspaceId, id, book.revision);
    return { refused: null };
  }
  const answer = await submitBook(workspaceId, id, book.recipe);
  return { refused: 'refused' in answer ? answer.refused : null };
}

/** Its pages are drawn from the beginning. */
export const handle: RouteHandle = {
  draws: (loaderData) => {
    const { book, knownOfFirst } = loaderData as Route.ComponentProps['loaderData'];
    return { begin: book.recipe, known: knownOfFirst };
  },
};

/** An open book: its header and job ticket, which never leave, and one of its five views. */
export default function Book({ loaderData }: Route.ComponentProps) {
  // A book is opened once; later loads bring new files and submissions, never an older recipe.
  return <OpenBook key={loaderData.book.id} loaderData={loaderData} />;
}

function OpenBook({ loaderData }: Pick<Route.ComponentProps, 'loaderData'>) {
  const [store] = useState(() => openBookStore(loaderData.book));
  // Before anything is asked of the worker that draws.
  useState(() => typeof window !== 'undefined' && void drawingRenderer().know(loaderData.knownOfFirst));
  useEffect(() => store.begin(), [store]);
  return (
    <BookProvider value={store}>
      <OpenBookProvider
        firstPages={loaderData.firstPages}
        files={loaderData.files}
        submissions={loaderData.submissions}
        penNames={loaderData.penNames}
        designs={loaderData.designs as SavedDesign[]}
        standingPages={loaderData.standingPages as StandingPage[]}
        banks={loaderData.banks}
        typefaces={loaderData.typefaces}
      >
        <OpenedBook />
      </OpenBookProvider>
    </BookProvider>
  );
}

function OpenedBook() {
  useBookKeys();
  const { pathname } = useLocation();
  const params = useParams();
  const view = VIEWS.find(([path]) => pathname.endsWith(`/${path}`))?.[1];
  return (
    <Box
      sx={{
        height: '100%',
        display: 'grid',
        // A long title takes no more than there is.
        gridTemplateColumns: 'minmax(0, 1fr)',
        gridTemplateRows: 'auto minmax(0, 1fr)',
      }}
    >
      <Box sx={{ borderBottom: 1, borderColor: 'divider', px: 5, pt: 3, pb: 3 }}>
        <Suspense>
          <BookHeader />
          <JobTicket />
        </Suspense>
      </Box>
      {/* The part of the page that a view stands in: the focus stays here when another takes its place. */}
      <Box
        component="section"
        aria-label={view}
        sx={{ minHeight: 0, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', outline: 'none' }}
      >
        <Outlet />
      </Box>
      <BookMessages />
      <ViewShortcuts group="Book" under={`/books/${params.book}`} views={VIEWS} />
    </Box>
  );
}
