import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { useFetcher } from 'react-router';
import {
  ANY_PART,
  type GapCell,
  gapTable,
  type KnownPhrase,
  missingCells,
  PART_NAMES,
  type PartName,
  partsOf,
} from '#core/niche/index.ts';
import { useNiche } from '../niche/niche-desk.tsx';
import { copies, count } from '../niche/show.ts';
import { VerdictMark } from '../niche/verdict-mark.tsx';
import { Choice } from '../parts/choice.tsx';
import { isRunning } from '../parts/jobs.tsx';
import { SaveCsv } from '../parts/save-csv.tsx';
import { tokens } from '../theme.ts';

/** What is crossed with what, and the part that is left, which can be held fast. */
const CROSSINGS: Record<string, [rows: PartName, columns: PartName, left: PartName]> = {
  'audience format': ['audience', 'format', 'kind'],
  'audience kind': ['audience', 'kind', 'format'],
  'kind format': ['kind', 'format', 'audience'],
};
/** The left part is not held fast: a cell takes what sells best of all. */
const EVERY = '*';

/** A phrase is asked for by a search, and by a suggestion that tells how often it is typed. */
const REQUESTS_A_PHRASE = 2;

/** Shades of a cell, palest first; each cell also says its number. */
const SHADES = ['#fffdf8', '#e6f0ec', '#c4ddd6', '#93c0b7', '#5f9f96'];

/** Where buyers are and few good books: audience, format and kind crossed. */
export default function NicheGaps() {
  const { niche, phrases, assumptions, jobs } = useNiche();
  const [pair, setPair] = useState('audience format');
  const [picked, setHeld] = useState<string | null>(null);
  const [open, setOpen] = useState<GapCell | null>(null);
  const fetcher = useFetcher();
  const known = useMemo<KnownPhrase[]>(
    () =>
      phrases.flatMap(({ id, phrase, results, demand, sellers, state, way, volume }) =>
        state === 'done' && results !== null && demand !== null
          ? [
              {
                id,
                phrase,
                results,
                demand,
                sellers: sellers ?? 0,
                itself: way === 'itself',
                searches: volume,
                parts: partsOf(phrase, assumptions.lists),
              },
            ]
          : [],
      ),
    [phrases, assumptions.lists],
  );
  const [rowPart, columnPart, leftPart] = CROSSINGS[pair]!;
  const own = useMemo(() => partsOf(niche.phrase, assumptions.lists), [niche.phrase, assumptions.lists]);
  // What the niche itself says of the third part is kept, until somebody asks for others.
  const held = picked ?? (own[leftPart] || EVERY);
  const left = useMemo(
    () => [...new Set([own[leftPart], ...known.map(({ parts }) => parts[leftPart])])].sort(),
    [known, own, leftPart],
  );
  const table = useMemo(
    () =>
      gapTable(
        held === EVERY ? known : known.filter(({ parts }) => parts[leftPart] === held),
        rowPart,
        columnPart,
        assumptions.sellsFrom,
        assumptions.newcomer.buysPerSearch,
      ),
    [known, held, rowPart, columnPart, leftPart, assumptions],
  );
  const missing = useMemo(
    () =>
      missingCells(
        known,
        held === EVERY ? own : { ...own, [leftPart]: held },
        rowPart,
        columnPart,
        assumptions.lists,
      ),
    [known, own, held, rowPart, columnPart, leftPart, assumptions.lists],
  );
  const asking = jobs.some((job) => job.kind === 'expand' && isRunning(job));
  const max = Math.max(1, ...table.cells.flat().map((cell) => cell?.share ?? 0));
  const shade = ({ share }: GapCell) =>
    SHADES[Math.min(SHADES.length - 1, Math.ceil((share / max) * (SHADES.length - 1)))]!;
  if (known.length === 0)
    return (
      <Box sx={{ p: 6, maxWidth: 620, mx: 'auto' }}>
        <Typography variant="h2" sx={{ mb: 2 }}>
          Where are the gaps?
        </Typography>
        <Typography sx={{ mb: 3 }}>
          Audiences, formats and kinds of book, crossed: a table of where buyers are and few books sell. It is
          made from phrases that were looked up, and there are none yet.
        </Typography>
        <Button
          variant="contained"
          onClick={() =>
            fetcher.submit(
              { intent: 'expand', ways: 'audience format kind combined' },
              { method: 'post', action: `/niches/${niche.id}/phrases` },
            )
          }
        >
          Look the combinations up
        </Button>
      </Box>
    );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 300px', minHeight: 0 }}>
      <Box role="region" aria-label="Gaps" tabIndex={0} sx={{ p: 4, overflow: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'flex-end', justifyContent: 'space-between', gap: 3, mb: 3 }}>
          <Box sx={{ width: 460, flex: 'none' }}>
            <Choice
              label="Compare"
              value={pair}
              choices={[
                { value: 'audience format', label: 'Audience × format' },
                { value: 'audience kind', label: 'Audience × kind' },
                { value: 'kind format', label: 'Kind × format' },
              ]}
              onChange={(next) => {
                setPair(next);
                setHeld(null);
                setOpen(null);
              }}
            />
          </Box>
          <TextField
            select
            label={PART_NAMES[leftPart]}
            value={held}
            onChange={(event) => {
              setHeld(event.target.value);
              setOpen(null);
            }}
            sx={{ width: 190, mr: 'auto' }}
          >
            <MenuItem value={EVERY}>All</MenuItem>
            {left.map((value) => (
              <MenuItem key={value} value={value}>
                {value || ANY_PART[leftPart]}
              </MenuItem>
            ))}
          </TextField>
          <SaveCsv
            variant="outlined"
            name={`${niche.phrase} gaps`}
            rows={() => [
              [
                PART_NAMES[rowPart],
                PART_NAMES[columnPart],
                PART_NAMES[leftPart],
                'copies in 30 days',
                'sellers',
                'books on sale',
                'searches a month',
                'copies per book, including yours',
                'phrases',
              ],
              ...table.cells
                .flat()
                .flatMap((cell) =>
                  cell
                    ? [
                        [
                          cell.row,
                          cell.column,
                          cell.phrases[0]!.parts[leftPart] || ANY_PART[leftPart],
                          cell.demand.toFixed(1),
                          cell.sellers,
                          cell.results,
                          cell.searches,
                          cell.share.toFixed(1),
                          cell.phrases.map(({ phrase }) => phrase).join('; '),
                        ],
                      ]
                    : [],
                ),
            ]}
          />
        </Box>
        <Box
          component="table"
          aria-label="Monthly sales and books on sale"
          sx={{
            borderCollapse: 'collapse',
            fontSize: 14,
            '& th': { fontWeight: 400, textAlign: 'left', p: '4px 8px', whiteSpace: 'nowrap' },
            '& thead th': { textAlign: 'right' },
          }}
        >
          <thead>
            <tr>
              <th aria-label={PART_NAMES[rowPart]} />
              {table.columns.map((name) => (
                <th key={name} scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.rows.map((name, i) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                {table.cells[i]!.map((cell, j) => (
                  <Box component="td" key={table.columns[j]} sx={{ p: '1px', minWidth: 78 }}>
                    {cell ? (
                      <Box
                        component="button"
                        type="button"
                        onClick={() => setOpen(cell)}
                        aria-label={`${cell.row}, ${cell.column}: ${copies(cell.demand)} copies a month, ${onSale(cell)}`}
                        sx={{
                          font: 'inherit',
                          width: '100%',
                          border: 0,
                          textAlign: 'right',
                          p: '5px 8px',
                          cursor: 'pointer',
                          color: 'text.primary',
                          outline: cell === open ? `2px solid ${tokens.ink}` : 'none',
                        }}
                        style={{ background: cell.share > 0 ? shade(cell) : 'transparent' }}
                      >
                        {table.best.includes(cell) && <VerdictMark word="open" />}{' '}
                        {cell.demand > 0 ? copies(cell.demand) : ''}
                        <Box component="span" sx={{ fontSize: 12, display: 'block', lineHeight: 1 }}>
                          {cell.results > 0 ? onSale(cell) : `${count(cell.searches)} searches`}
                        </Box>
                      </Box>
                    ) : (
                      <Box sx={{ textAlign: 'right', p: '5px 8px', color: 'text.secondary' }}>·</Box>
                    )}
                  </Box>
                ))}
              </tr>
            ))}
          </tbody>
        </Box>
        {missing.length > 0 && (
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mt: 2 }}>
            <Button
              size="small"
              variant="outlined"
              disabled={asking || fetcher.state !== 'idle'}
              onClick={() =>
                fetcher.submit(
                  { intent: 'look up', phrases: missing.join('\n') },
                  { method: 'post', action: `/niches/${niche.id}/phrases` },
                )
              }
            >
              {asking ? 'Looking up…' : `Look up ${count(missing.length)} more combinations`}
            </Button>
            <Typography variant="body2" color="text.secondary">
              {count(missing.length * REQUESTS_A_PHRASE)} requests, about{' '}
              {count(Math.ceil((missing.length * REQUESTS_A_PHRASE) / assumptions.requestsASecond))} seconds.
            </Typography>
          </Box>
        )}
        <Typography variant="caption" component="p" sx={{ mt: 2 }}>
          Each cell: monthly copies of the best sellers, and how many books are on sale. Darker means more
          copies per book, including yours; <VerdictMark word="open" /> marks the five best. A dot: not looked
          up yet.
        </Typography>
      </Box>
      <Box
        component="aside"
        aria-label="The best gaps"
        tabIndex={0}
        sx={{ bgcolor: 'background.paper', borderLeft: 1, borderColor: 'divider', p: 4, overflow: 'auto' }}
      >
        <Typography variant="h2" sx={{ mb: 2 }}>
          {open ? `${open.row}, ${open.column}` : 'The best gaps'}
        </Typography>
        {(open ? [open] : table.best).map((cell) => (
          <Box key={`${cell.row} ${cell.column}`} sx={{ py: 2, borderTop: 1, borderColor: 'divider' }}>
            {!open && (
              <Typography variant="h3">
                {cell.row}, {cell.column}
              </Typography>
            )}
            <Typography variant="body2">
              {cell.searches ? `${count(cell.searches)} searches, ` : ''}
              {copies(cell.demand)} copies a month, {onSale(cell)}, of which {count(cell.sellers)} sell{' '}
              {count(assumptions.sellsFrom)} or more: {copies(cell.share)} per book, including yours.
            </Typography>
            {cell.phrases.slice(0, open ? 20 : 2).map(({ id, phrase, results }) => (
              <Typography key={id} variant="body2" color="text.secondary">
                {phrase} · {count(results)} results
              </Typography>
            ))}
            <Button
              size="small"
              variant="outlined"
              sx={{ mt: 1 }}
              onClick={() =>
                fetcher.submit({ phrase: cell.phrases[0]!.phrase }, { method: 'post', action: '/niches' })
              }
            >
              Research it
            </Button>
          </Box>
        ))}
        {open && (
          <Button size="small" onClick={() => setOpen(null)}>
            Back to the best gaps
          </Button>
        )}
        {!open && table.best.length === 0 && (
          <Typography>
            No combination sells {count(assumptions.sellsFrom)} copies a month. Try another kind of book.
          </Typography>
        )}
      </Box>
    </Box>
  );
}

const onSale = ({ results }: GapCell): string => `${count(results)} ${results === 1 ? 'book' : 'books'}`;
