import Box from '@mui/material/Box';
import { useSearchParams } from 'react-router';
import { Checks } from '../book/proof/checks.tsx';
import { FilesPanel } from '../book/proof/files-panel.tsx';
import { PageViewer } from '../book/proof/page-viewer.tsx';
import type { RouteHandle } from '../preview/early-work.ts';

export const handle: RouteHandle = { onlyPages: true };

/** Every page as it will be printed, between what the checks found and the files that go out. */
export default function Proof() {
  const [search, setSearch] = useSearchParams();
  const page = Math.max(1, Number(search.get('page')) || 1);
  const show = (next: number) =>
    setSearch({ page: String(next) }, { replace: true, preventScrollReset: true });
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '230px minmax(0, 1fr) 230px', lg: '290px minmax(0, 1fr) 270px' },
        minHeight: 0,
      }}
    >
      <Checks onPage={show} />
      <PageViewer page={page} onPage={show} />
      <FilesPanel />
    </Box>
  );
}
