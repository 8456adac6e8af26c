import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as To } from 'react-router';
import { useNiche } from './niche-desk.tsx';
import { count } from './show.ts';

/** The marketplace's categories the results stand in; each leads to its best sellers. */
export function Shelves() {
  const { latest, niche } = useNiche();
  if (!latest || latest.categories.length === 0) return null;
  return (
    <>
      <Typography variant="h2" sx={{ mt: 3, mb: 1 }}>
        Categories
      </Typography>
      {latest.categories.map(({ id, name, count: books }) => (
        <Box key={id} sx={{ display: 'flex', gap: 2, fontSize: 14, py: '2px' }}>
          <Link component={To} to={`/niches/shelves/${id}?from=${niche.id}`} sx={{ flex: 1 }}>
            {name}
          </Link>
          <span>{count(books)}</span>
        </Box>
      ))}
    </>
  );
}
