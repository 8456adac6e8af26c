import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { findInGallery, gallery, galleryBook } from '#core/book/gallery.ts';
import type { Recipe } from '#core/book/recipe.ts';
import { type Section, sectionName } from '#core/book/sections.ts';
import type { StandingPage } from '#core/book/standing-page.ts';
import { parseLength } from '#core/units.ts';
import { emptyRecipe } from '#server/empty-book.ts';
import { standingPagesInUse } from '#server/standing-pages.ts';
import { FoundHeading } from '../books/found-heading.tsx';
import { PagePicture } from '../preview/picture.tsx';
import { usePagesOf } from '../preview/use-pages.ts';
import { StandingCard } from '../standing/standing-card.tsx';
import { requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/books-standing.ts';

export const meta = () => [{ title: 'Standing pages – Restless Quill' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId, workspaceName } = await requireVisitor(request);
  return {
    pages: await standingPagesInUse(workspaceId),
    /** In whose print and style they are shown. */
    empty: await emptyRecipe(workspaceId, workspaceName),
  };
}

/** Width of a page, in CSS pixels. */
const WIDTH = 118;

/** All pages that are kept once for all books: which books have them, renamed, and kept no longer. */
export default function StandingPages({ loaderData }: Route.ComponentProps) {
  const { pages } = loaderData;
  // A new one comes with every answer, and shows the same.
  const [empty] = useState(loaderData.empty as Recipe);
  const [typed, setTyped] = useState('');
  const entries = useMemo(
    () => gallery([], pages as StandingPage[]).filter(({ standing }) => standing),
    [pages],
  );
  const samples = useMemo(() => galleryBook(empty, entries), [empty, entries]);
  const [pixels] = useState(() => Math.round(WIDTH * (globalThis.devicePixelRatio ?? 1)));
  const drawn = usePagesOf(samples.recipe, samples.pages, pixels);
  const { width, height } = empty.print.trim;
  const tall = Math.round((WIDTH * parseLength(height)) / parseLength(width));
  const found = new Set(findInGallery(entries, typed).map(({ standing }) => standing!.id));
  return (
    <Box sx={{ p: 6, maxWidth: 1180, mx: 'auto' }}>
      <FoundHeading title="Standing pages" typed={typed} onType={pages.length > 0 ? setTyped : undefined} />
      <Box
        component="ul"
        aria-label="Standing pages"
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(360px, 1fr))',
          gap: 4,
          listStyle: 'none',
          p: 0,
          m: 0,
        }}
      >
        {entries.flatMap((entry, i) => {
          const page = pages.find(({ id }) => id === entry.standing!.id)!;
          if (!found.has(page.id)) return [];
          return [
            <StandingCard
              key={page.id}
              page={page as typeof page & StandingPage}
              kind={sectionName(entry.standing!.content.sections[0] as Section)}
            >
              <PagePicture
                pages={drawn}
                page={samples.pages[i]!}
                width={WIDTH}
                height={tall}
                label={`The page “${page.name}”`}
              />
            </StandingCard>,
          ];
        })}
      </Box>
      {pages.length === 0 && (
        <Typography>
          Nothing is kept yet. Choose a page that is the same in all your books, such as what is said of the
          author, in the flatplan of any book, and keep it as a standing page in its settings.
        </Typography>
      )}
      {pages.length > 0 && found.size === 0 && (
        <Typography>No standing page is called so. Try another word.</Typography>
      )}
    </Box>
  );
}
