import { createContext, type ReactNode, useContext, useDeferredValue, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { type Book, bookFrom } from '#core/book/book.ts';
import type { Plan } from '#core/book/planned.ts';
import type { StandingPage } from '#core/book/standing-page.ts';
import { type JobTicket, jobTicket } from '#core/book/ticket.ts';
import { type FilePart, fingerprintsOf, type MadeFrom, partsOutOfDate } from '#core/export/fingerprints.ts';
import type { SavedDesign } from '#core/pages/composed/saved.ts';
import { frozenChange, type LiveBook } from '#core/print/index.ts';
import type { MadeFile } from '#server/files.ts';
import type { KeptResource } from '#server/resources/resources.ts';
import type { SubmissionRow } from '#server/submissions.ts';
import { type Job, useJobs } from '../parts/jobs.tsx';
import { useRevalidateOnJobs } from '../parts/use-revalidate-on-jobs.ts';
import { useBook } from './store.ts';
import { type ProofState, useProof } from './use-proof.ts';
import { useReview } from './use-review.ts';

/** What lies beside the recipe while a book is open: all of it derived, or from the server. */
export interface OpenBook {
  /** The book as it is now; `plan` is its plan. */
  book: Book;
  plan: Plan;
  ticket: JobTicket;
  proof: ProofState;
  /** Address of a picture of the first pages as they are now; null while it may be behind. */
  firstPages: string | null;
  files: MadeFile[];
  /** There are files, and all parts of the book are in them as they are now. */
  filesCurrent: boolean;
  /** Parts that are older in the files than in the book. */
  outOfDate: FilePart[];
  submissions: SubmissionRow[];
  /** What is on sale of this book at its service, if it is. */
  live: LiveBook | null;
  penNames: string[];
  /** The designs of pages that the workspace keeps. */
  designs: SavedDesign[];
  /** The pages that the workspace keeps for all books. */
  standingPages: StandingPage[];
  /** The word banks of the workspace. */
  banks: KeptResource[];
  /** The typefaces of the workspace's own. */
  typefaces: KeptResource[];
  jobs: Job[];
}

const OpenBookContext = createContext<OpenBook | null>(null);

export function useOpenBook(): OpenBook {
  const open = useContext(OpenBookContext);
  if (!open) throw new Error('No book is open.');
  return open;
}

/** What is said of a field of a live book: that it stays, or that it has to be what it was. */
export interface Frozen {
  stays: string | null;
  changed: string | null;
}

/** Whether the title or the pen name stays as it is, since the book is live. */
export function useFrozen(field: 'title' | 'penName'): Frozen {
  const { live } = useOpenBook();
  const value = useBook((state) => state.value[field]) as string;
  if (!live) return { stays: null, changed: null };
  const why = frozenChange(live, { ...live, [field]: value === live[field] ? `${value} ` : value });
  return value === live[field] ? { stays: why, changed: null } : { stays: null, changed: why };
}

export function OpenBookProvider({
  children,
  ...given
}: Pick<
  OpenBook,
  'files' | 'submissions' | 'penNames' | 'designs' | 'standingPages' | 'banks' | 'typefaces'
> & {
  firstPages: string;
  children: ReactNode;
}) {
  const recipe = useDeferredValue(useBook((state) => state.value));
  const [opened] = useState({ recipe, firstPages: given.firstPages });
  const firstPages = recipe === opened.recipe ? opened.firstPages : null;
  const { book: id } = useParams();
  const book = useMemo(() => bookFrom(recipe), [recipe]);
  const ticket = useMemo(() => jobTicket(book), [book]);
  const { files, submissions, penNames, designs, standingPages, banks, typefaces } = given;
  // By value: files come anew with every answer of the server, mostly the same.
  const made = JSON.stringify(Object.fromEntries(files.map((file) => [file.name, file.madeFrom])));
  const madeFrom = useMemo(() => JSON.parse(made) as MadeFrom, [made]);
  const outOfDate = useMemo(
    () => (made === '{}' ? [] : partsOutOfDate(madeFrom, fingerprintsOf(book))),
    [made, madeFrom, book],
  );
  const filesCurrent = files.length > 0 && outOfDate.length === 0;
  const proof = useProof(madeFrom);
  const all = useJobs();
  const jobs = useMemo(() => all.filter(({ bookId }) => bookId === id), [all, id]);
  const live =
    submissions.find(({ state, service }) => state === 'live' && service === recipe.print.service) ?? null;
  useRevalidateOnJobs(jobs, null);
  useReview(recipe.id, submissions);
  const open = useMemo(
    () => ({
      ...{ book, plan: book.plan, ticket, proof, firstPages },
      ...{
        files,
        filesCurrent,
        outOfDate,
        submissions,
        live,
        penNames,
        designs,
        standingPages,
        banks,
        typefaces,
        jobs,
      },
    }),
    [
      book,
      ticket,
      proof,
      firstPages,
      files,
      filesCurrent,
      outOfDate,
      submissions,
      live,
      penNames,
      designs,
      standingPages,
      banks,
      typefaces,
      jobs,
    ],
  );
  return <OpenBookContext.Provider value={open}>{children}</OpenBookContext.Provider>;
}
