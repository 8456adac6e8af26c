import Link from '@mui/material/Link';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { Link as To } from 'react-router';
import { pageLimits } from '#core/book/plan.ts';
import { sectionsOf } from '#core/book/sections.ts';
import { pageKind } from '#core/pages/index.ts';
import { printService } from '#core/print/index.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';

/** What a book that holds nothing but its front matter needs before it can be sold, and where that is done. */
export function StillNeeded() {
  const recipe = useBook((state) => state.value);
  const { book, plan, ticket } = useOpenBook();
  if (sectionsOf(recipe.sections).some((section) => pageKind(section.kind).numbered)) return null;
  const { name } = printService(recipe.print.service);
  const { min } = pageLimits(book.rules, recipe);
  const listing = `/books/${recipe.id}/listing`;
  const missing = [
    recipe.title === 'Untitled' && 'a title',
    !recipe.penName && 'a pen name',
    !recipe.listing.description && 'a description for the shop',
    ticket.markets.every(({ price }) => price === null) && 'a price',
  ].filter((what) => what !== false);
  return (
    <Paper component="section" aria-label="What this book still needs" sx={{ p: 4, mt: 4, maxWidth: 460 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        What this book still needs
      </Typography>
      <Typography>
        Pages: it has {plan.pages.length}, and {name} prints {min} or more. Add them in the running order.
      </Typography>
      {missing.length > 0 && (
        <Typography sx={{ mt: 1 }}>
          In the{' '}
          <Link underline="always" component={To} to={listing}>
            listing
          </Link>
          : {missing.join(', ')}.
        </Typography>
      )}
    </Paper>
  );
}
