import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink, useSearchParams } from 'react-router';
import { isGroup, type Section, sectionIn } from '#core/book/sections.ts';
import { composed } from '#core/pages/composed/index.ts';
import { DesignDesk } from '../book/design/design-desk.tsx';
import { useBook } from '../book/store.ts';

/** One page of blocks, put together: its blocks, the page itself, the same page on other trims. */
export default function BookDesign() {
  const [search] = useSearchParams();
  const entry = useBook((state) => sectionIn(state.value.sections, search.get('section')));
  if (!entry || isGroup(entry) || entry.kind !== composed.id)
    return (
      <Box sx={{ p: 5 }}>
        <Typography>This section has no page of blocks, or it was removed.</Typography>
        <Link component={RouterLink} to="../flatplan" underline="always">
          Back to the flatplan
        </Link>
      </Box>
    );
  return <DesignDesk key={entry.id} section={entry as Section} />;
}
