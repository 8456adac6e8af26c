import LinearProgress from '@mui/material/LinearProgress';
import { useEffect, useState, useSyncExternalStore } from 'react';
import type { PageDrawer } from './page-drawer.ts';

/** What is drawn sooner than this is not worth a word. */
const PATIENCE_MS = 400;

/** How many of the pages in view are drawn, while that takes long: a bar, and words for whoever does not see it. */
export function DrawingProgress({ pages }: { pages: PageDrawer }) {
  const progress = useSyncExternalStore(pages.watchProgress, pages.progress, () => null);
  const busy = progress !== null;
  const [shown, setShown] = useState(false);
  useEffect(() => {
    if (!busy) {
      setShown(false);
      return;
    }
    const timer = setTimeout(() => setShown(true), PATIENCE_MS);
    return () => clearTimeout(timer);
  }, [busy]);
  if (!progress || !shown) return null;
  const { done, of } = progress;
  return (
    <>
      <LinearProgress
        {...(of > 1 ? { variant: 'determinate', value: (100 * done) / of } : {})}
        aria-label="Pages in view that are drawn"
        sx={{ width: of > 1 ? 100 : 60 }}
      />
      <span style={{ whiteSpace: 'nowrap' }}>{of > 1 ? `${done} of ${of} drawn` : 'Drawing…'}</span>
    </>
  );
}
