import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { FAMILIES } from '#core/faces/index.ts';
import notices from '../../docs/licenses.md?raw';
import { requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/about.ts';

export const meta = () => [{ title: 'About – Restless Quill' }];

export async function loader({ request }: Route.LoaderArgs) {
  await requireVisitor(request);
  return null;
}

/** What ships with the program and under which license. */
export default function About() {
  return (
    <Box sx={{ p: 6, maxWidth: 760, mx: 'auto' }}>
      <Typography variant="h1" sx={{ mb: 3 }}>
        Restless Quill
      </Typography>
      <Typography sx={{ whiteSpace: 'pre-wrap' }}>{notices.replace(/^#+ /gm, '')}</Typography>
      <Typography variant="h2" sx={{ mt: 4, mb: 1 }}>
        Typefaces
      </Typography>
      <Typography>{FAMILIES.map(({ name, license }) => `${name} (${license})`).join(', ')}.</Typography>
    </Box>
  );
}
