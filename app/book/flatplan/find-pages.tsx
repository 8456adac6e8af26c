import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { ChevronDown, ChevronUp, TriangleAlert } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useShortcut } from '../../parts/shortcuts.tsx';
import { proofingRenderer } from '../../preview/renderers.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';

/** Words are looked for when the hand has rested. */
const REST_MS = 250;
const NONE: ReadonlySet<number> = new Set();

/** Finds pages by words that stand on them, or those with findings of the proof, and goes from one to the next. */
export function FindPages({
  page,
  onPage,
  onFound,
}: {
  page: number | null;
  onPage: (page: number) => void;
  onFound: (pages: ReadonlySet<number>) => void;
}) {
  const recipe = useBook((state) => state.value);
  const { proof } = useOpenBook();
  const [typed, setTyped] = useState('');
  const [byFinding, setByFinding] = useState(false);
  const [said, setSaid] = useState<{ pages: number[]; of: string } | null>(null);
  const field = useRef<HTMLInputElement>(null);
  useShortcut({ keys: 'mod+f', does: 'Find pages', group: 'Spreads', inFields: true }, () =>
    field.current?.focus(),
  );
  const words = typed.trim();
  useEffect(() => {
    if (!words) return;
    let wanted = true;
    const timer = setTimeout(async () => {
      const pages = await proofingRenderer().find(recipe, words);
      if (wanted && pages) setSaid({ pages, of: words });
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [recipe, words]);
  const withFindings = useMemo(
    () =>
      [...new Set(proof.findings.flatMap(({ place }) => (place.view === 'page' ? place.page : [])))].sort(
        (a, b) => a - b,
      ),
    [proof.findings],
  );
  const looking = words !== '' && said?.of !== words;
  const pages = useMemo(() => {
    const byWords = words && said ? said.pages : null;
    if (!byFinding) return byWords;
    return byWords ? byWords.filter((one) => withFindings.includes(one)) : withFindings;
  }, [words, said, byFinding, withFindings]);
  useEffect(() => onFound(pages ? new Set(pages) : NONE), [pages, onFound]);
  const step = (by: 1 | -1) => {
    if (!pages?.length) return;
    const at = page ?? 0;
    const next =
      by > 0
        ? (pages.find((one) => one > at) ?? pages[0]!)
        : (pages.findLast((one) => one < at) ?? pages.at(-1)!);
    onPage(next);
  };
  const place = pages && page !== null ? pages.indexOf(page) + 1 : 0;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      <TextField
        type="search"
        size="small"
        label="Find"
        inputRef={field}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setTyped('');
          if (event.key !== 'Enter') return;
          event.preventDefault();
          step(event.shiftKey ? -1 : 1);
        }}
        sx={{ width: 130 }}
      />
      <ToggleButton
        size="small"
        value="findings"
        selected={byFinding}
        onChange={() => setByFinding(!byFinding)}
        aria-label="Pages with findings"
        title="Pages with findings"
      >
        <TriangleAlert size={16} />
      </ToggleButton>
      {(words || byFinding) && (
        <>
          <Typography variant="caption" role="status" sx={{ minWidth: 44, textAlign: 'center' }}>
            {looking || !pages
              ? '…'
              : pages.length === 0
                ? 'none'
                : place
                  ? `${place} of ${pages.length}`
                  : pages.length}
          </Typography>
          <IconButton
            size="small"
            aria-label="Previous found page"
            disabled={!pages?.length}
            onClick={() => step(-1)}
          >
            <ChevronUp size={16} />
          </IconButton>
          <IconButton
            size="small"
            aria-label="Next found page"
            disabled={!pages?.length}
            onClick={() => step(1)}
          >
            <ChevronDown size={16} />
          </IconButton>
        </>
      )}
    </Box>
  );
}
