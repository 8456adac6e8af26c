import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { redirect } from 'react-router';
import * as v from 'valibot';
import type { Recipe } from '#core/book/recipe.ts';
import { identifier } from '#core/schema.ts';
import { recipeFrom, STARTING_POINTS } from '#core/starting-points/index.ts';
import { beginFrom, keepAsStartingPoints, ownStartingPoints, plannedYear } from '#server/starting-points.ts';
import { FoundHeading } from '../books/found-heading.tsx';
import { type Offered, StartingCard } from '../books/starting-card.tsx';
import { formFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/starting-points.ts';

const Intent = v.variant('intent', [
  v.object({ intent: v.picklist(['shipped', 'own', 'keep no longer']), id: identifier }),
]);

export const meta = () => [{ title: 'Starting points – Restless Quill' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId, workspaceName } = await requireVisitor(request);
  return { own: await ownStartingPoints(workspaceId), press: workspaceName, year: plannedYear(new Date()) };
}

export async function action({ request }: Route.ActionArgs) {
  const { workspaceId, workspaceName } = await requireVisitor(request);
  const read = await formFrom(request, Intent);
  if (!read.success) throw new Response(read.issues[0].message, { status: 400 });
  const { intent, id } = read.output;
  if (intent === 'keep no longer') {
    await keepAsStartingPoints(workspaceId, [id], false);
    return null;
  }
  const begun = await beginFrom(workspaceId, workspaceName, intent === 'own' ? { own: id } : { shipped: id });
  if (!begun) throw notFound();
  return redirect(`/books/${begun}/flatplan`);
}

/** Complete small books to begin from: those that ship, and those of the publisher's own that were kept for it. */
export default function StartingPoints({ loaderData: { own, press, year } }: Route.ComponentProps) {
  const [typed, setTyped] = useState('');
  const offered = useMemo(
    (): Offered[] => [
      ...(own as Recipe[]).map((recipe) => ({
        id: recipe.id,
        own: true,
        family: 'My starting points',
        about: recipe.subtitle,
        recipe,
      })),
      ...STARTING_POINTS.map((point) => ({
        id: point.id,
        own: false,
        family: point.family,
        about: point.about,
        recipe: recipeFrom(point, { id: point.id, seed: 'quill', penName: press, imprint: press, year }),
      })),
    ],
    [own, press, year],
  );
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const found = offered.filter(({ about, family, recipe }) => {
    const said = `${recipe.title} ${recipe.subtitle} ${about} ${family}`.toLowerCase();
    return words.every((word) => said.includes(word));
  });
  const families = [...new Set(found.map(({ family }) => family))];
  return (
    <Box sx={{ p: 6, maxWidth: 1180, mx: 'auto' }}>
      <FoundHeading title="Starting points" typed={typed} onType={setTyped} />
      {families.map((family) => (
        <Box key={family} component="section" aria-label={family} sx={{ mb: 5 }}>
          <Typography variant="h2" sx={{ mb: 2 }}>
            {family}
          </Typography>
          <Box
            component="ul"
            sx={{
              display: 'grid',
              gridTemplateColumns: 'repeat(auto-fill, minmax(520px, 1fr))',
              gap: 4,
              listStyle: 'none',
              p: 0,
              m: 0,
            }}
          >
            {found
              .filter((one) => one.family === family)
              .map((one) => (
                <StartingCard key={one.id} offered={one} />
              ))}
          </Box>
        </Box>
      ))}
      {found.length === 0 && <Typography>No starting point is called so. Try another word.</Typography>}
    </Box>
  );
}
