import Button from '@mui/material/Button';
import { Search } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { keysShown, PALETTE_KEYS, useShortcut } from './shortcuts.tsx';

/** Long after a page was opened, so that the palette is there at once and keeps no page waiting. */
const AHEAD_MS = 4000;

const loadPalette = () => import('./command-palette.tsx');
const CommandPalette = lazy(loadPalette);
const ShortcutList = lazy(() => import('./shortcut-list.tsx'));

/** The way to everything by its name, and the list of keys. */
export function Commands() {
  const [open, setOpen] = useState<'palette' | 'list' | null>(null);
  const group = 'Everywhere';
  useShortcut({ keys: PALETTE_KEYS, does: 'Search and commands', group, inFields: true }, () =>
    setOpen('palette'),
  );
  useShortcut({ keys: 'shift+?', does: 'Keyboard shortcuts', group }, () => setOpen('list'));
  useEffect(() => {
    const timer = setTimeout(() => void loadPalette().catch(() => {}), AHEAD_MS);
    return () => clearTimeout(timer);
  }, []);
  const close = () => setOpen(null);
  return (
    <>
      <Button
        size="small"
        startIcon={<Search size={16} />}
        onClick={() => setOpen('palette')}
        aria-keyshortcuts="Control+K"
        title={keysShown(PALETTE_KEYS)}
        sx={{ color: '#d8d2c4', fontWeight: 400 }}
      >
        Go to…
      </Button>
      <Suspense>
        {open === 'palette' && <CommandPalette onClose={close} />}
        {open === 'list' && <ShortcutList onClose={close} />}
      </Suspense>
    </>
  );
}
