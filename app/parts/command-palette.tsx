import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import { Command } from 'cmdk';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Found } from '#server/find.ts';
import { tokens } from '../theme.ts';
import { keysShown, PALETTE_KEYS, useShortcuts } from './shortcuts.tsx';

/** The last word typed is looked for when the hand has rested so long. */
const REST_MS = 120;

const PLACES = [
  ['/', 'Desk'],
  ['/niches', 'Niches'],
  ['/niches/assumptions', 'Assumptions'],
  ['/books', 'Books'],
  ['/words', 'Word banks'],
  ['/submissions', 'Submissions'],
  ['/about', 'About and licenses'],
] as const;

const NOTHING: Found = { books: [], niches: [] };

const wordsOf = (text: string): string[] => text.toLowerCase().split(/\s+/).filter(Boolean);

function useFound(words: string): { found: Found; failed: boolean } {
  const [found, setFound] = useState({ words: '', ...NOTHING });
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    const stop = new AbortController();
    const timer = setTimeout(() => {
      fetch(`/find?words=${encodeURIComponent(words)}`, { signal: stop.signal })
        .then((response) =>
          response.ok && !response.redirected
            ? response.json()
            : Promise.reject(new Error(String(response.status))),
        )
        .then((answer: Found) => {
          setFound({ words, ...answer });
          setFailed(false);
        })
        .catch(() => {
          if (!stop.signal.aborted) setFailed(true);
        });
    }, REST_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [words]);
  // What was found for other words must not be gone to by a quick Enter.
  return { found: found.words === words ? found : NOTHING, failed };
}

/** Goes to any book, niche or place by its name, and does anything that the page at hand has a key for. */
export default function CommandPalette({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate();
  const [words, setWords] = useState('');
  const { found, failed } = useFound(words);
  const shortcuts = [...useShortcuts((state) => state.all)].filter(
    ([, { act, keys }]) => act !== null && keys !== PALETTE_KEYS,
  );
  const holds = (name: string) => wordsOf(words).every((word) => name.toLowerCase().includes(word));
  const here = shortcuts.filter(([, { does, group }]) => holds(`${does} ${group}`));
  const places = PLACES.filter(([, name]) => holds(`Go to ${name}`));
  const values = [
    ...here.map(([id]) => `do ${id}`),
    ...found.books.map(({ id }) => `book ${id}`),
    ...found.niches.map(({ id }) => `niche ${id}`),
    ...places.map(([to]) => `place ${to}`),
  ];
  const [picked, setPicked] = useState('');
  // The first of what is there, until another is picked that is there as well.
  const value = values.includes(picked) ? picked : (values[0] ?? '');
  const go = (to: string) => () => {
    onClose();
    void navigate(to);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      slotProps={{ paper: { 'aria-label': 'Command palette', 'aria-labelledby': undefined } }}
      sx={{ '& .MuiDialog-container': { alignItems: 'flex-start' } }}
    >
      <Box sx={LOOK}>
        <Command label="Command palette" loop shouldFilter={false} value={value} onValueChange={setPicked}>
          <Command.Input
            value={words}
            onValueChange={(typed) => {
              setWords(typed);
              setPicked('');
            }}
            placeholder="Go to a book, a niche, a view; or do something…"
            autoFocus
          />
          <Command.List>
            <Command.Empty>No matches.</Command.Empty>
            {failed && <Command.Loading>Books and niches could not be loaded.</Command.Loading>}
            {here.length > 0 && (
              <Command.Group heading="Here">
                {here.map(([id, { does, keys, act }]) => (
                  <Command.Item
                    key={id}
                    value={`do ${id}`}
                    onSelect={() => {
                      onClose();
                      act!();
                    }}
                  >
                    <span>{does}</span>
                    {keys && <kbd>{keysShown(keys)}</kbd>}
                  </Command.Item>
                ))}
              </Command.Group>
            )}
            {found.books.length > 0 && (
              <Command.Group heading="Books">
                {found.books.map(({ id, title }) => (
                  <Command.Item
                    key={id}
                    value={`book ${id}`}
                    forceMount
                    onSelect={go(`/books/${id}/flatplan`)}
                  >
                    {title}
                  </Command.Item>
                ))}
              </Command.Group>
            )}
            {found.niches.length > 0 && (
              <Command.Group heading="Niches">
                {found.niches.map(({ id, phrase }) => (
                  <Command.Item key={id} value={`niche ${id}`} onSelect={go(`/niches/${id}`)}>
                    {phrase}
                  </Command.Item>
                ))}
              </Command.Group>
            )}
            {places.length > 0 && (
              <Command.Group heading="Go to">
                {places.map(([to, name]) => (
                  <Command.Item key={to} value={`place ${to}`} onSelect={go(to)}>
                    {name}
                  </Command.Item>
                ))}
              </Command.Group>
            )}
          </Command.List>
        </Command>
      </Box>
    </Dialog>
  );
}

const LOOK = {
  '& [cmdk-input]': {
    width: '100%',
    border: 0,
    borderBottom: `1px solid ${tokens.rule}`,
    p: 4,
    font: 'inherit',
    fontSize: 17,
    bgcolor: 'background.paper',
    color: 'text.primary',
    outline: 'none',
  },
  '& [cmdk-list]': { maxHeight: 420, overflow: 'auto', p: 2 },
  '& [cmdk-group-heading]': { px: 2, pt: 2, pb: 1, fontSize: 13, color: 'text.secondary' },
  '& [cmdk-item]': {
    px: 2,
    py: 1.5,
    borderRadius: 1,
    cursor: 'pointer',
    display: 'flex',
    justifyContent: 'space-between',
    gap: 3,
  },
  '& [cmdk-item][data-selected=true]': { bgcolor: tokens.verdigrisSoft },
  '& [cmdk-empty], & [cmdk-loading]': { p: 3, color: 'text.secondary' },
  '& kbd': { font: 'inherit', fontSize: 13, color: 'text.secondary' },
} as const;
