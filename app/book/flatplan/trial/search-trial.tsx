import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { cellsBetween, markedWord, type SearchTrial } from '#core/pages/puzzle/trial.ts';
import { tokens } from '../../../theme.ts';
import type { TrialProps } from './trial-props.ts';

const HEIGHT = 480;
const ARROWS: Readonly<Record<string, readonly [dx: number, dy: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A grid in which words are marked, by drawing over them or from end to end with the keyboard. */
export default function SearchGridTrial({ item: trial, onSolved }: TrialProps<SearchTrial>) {
  const { columns, letters, words } = trial;
  const rows = letters.length / columns;
  const [found, setFound] = useState<ReadonlySet<number>>(new Set());
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      letters.findIndex((letter) => letter !== null),
    ),
  );
  /** Where a word begins that is being marked. */
  const [from, setFrom] = useState<number | null>(null);
  const [shown, setShown] = useState<number | null>(null);
  const line = (cells: readonly number[]) =>
    cells.map((cell) => `${(cell % columns) + 0.5},${Math.floor(cell / columns) + 0.5}`).join(' ');
  const mark = (first: number, last: number) => {
    const word = markedWord(trial, first, last);
    setFrom(null);
    if (word === null || found.has(word)) return;
    const next = new Set(found).add(word);
    setFound(next);
    setShown(null);
    if (next.size === words.length) onSolved();
  };
  const cellUnder = ({ clientX, clientY }: PointerEvent): number | null => {
    const under = document.elementFromPoint(clientX, clientY)?.closest('[data-cell]');
    return under ? Number(under.getAttribute('data-cell')) : null;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const to = ARROWS[event.key];
    if (to) {
      const x = Math.min(columns - 1, Math.max(0, (at % columns) + to[0]));
      const y = Math.min(rows - 1, Math.max(0, Math.floor(at / columns) + to[1]));
      setAt(y * columns + x);
    } else if (event.key === ' ' || event.key === 'Enter') {
      if (from === null) setFrom(at);
      else mark(from, at);
    } else if (event.key === 'Escape' && from !== null) setFrom(null);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const drawn = from === null ? null : cellsBetween(columns, from, at);
  const open = words.findIndex((_, i) => !found.has(i));
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 260px', gap: 6 }}>
      <Box
        component="svg"
        role="application"
        aria-label="Puzzle"
        aria-describedby="search-help"
        tabIndex={0}
        viewBox={`0 0 ${columns} ${rows}`}
        preserveAspectRatio="xMidYMin"
        onKeyDown={onKeyDown}
        onPointerDown={(event) => {
          const cell = cellUnder(event);
          if (cell === null) return;
          setAt(cell);
          setFrom(cell);
        }}
        onPointerMove={(event) => {
          const cell = event.buttons & 1 ? cellUnder(event) : null;
          if (cell !== null && from !== null) setAt(cell);
        }}
        onPointerUp={(event) => {
          const cell = cellUnder(event);
          // A click leaves the beginning marked, and the next one ends the word.
          if (from !== null && cell !== null && cell !== from) mark(from, cell);
        }}
        sx={{ width: '100%', height: HEIGHT, touchAction: 'none', userSelect: 'none', cursor: 'pointer' }}
      >
        <g fill="none" strokeWidth={0.72} strokeLinecap="round" strokeLinejoin="round">
          {[...found].map((word) => (
            <polyline key={word} points={line(words[word]!.cells)} stroke={tokens.verdigris} opacity={0.25} />
          ))}
          {shown !== null && (
            <polyline points={line(words[shown]!.cells)} stroke={tokens.gold} opacity={0.45} />
          )}
          {drawn && <polyline points={line(drawn)} stroke={tokens.gold} opacity={0.6} />}
        </g>
        <g textAnchor="middle" dominantBaseline="central" fontSize={0.62} fill={tokens.ink}>
          {letters.map(
            (letter, cell) =>
              letter !== null && (
                <g key={cell} data-cell={cell}>
                  <rect
                    x={cell % columns}
                    y={Math.floor(cell / columns)}
                    width={1}
                    height={1}
                    fill="transparent"
                  />
                  <text x={(cell % columns) + 0.5} y={Math.floor(cell / columns) + 0.53}>
                    {letter}
                  </text>
                </g>
              ),
          )}
        </g>
        <rect
          x={(at % columns) + 0.04}
          y={Math.floor(at / columns) + 0.04}
          width={0.92}
          height={0.92}
          rx={0.2}
          fill="none"
          stroke={tokens.verdigris}
          strokeWidth={0.06}
          pointerEvents="none"
        />
      </Box>
      <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
        <Typography id="search-help" variant="body2">
          Draw over a word, or go with the arrow keys and press the space bar at both of its ends.
        </Typography>
        <Typography role="status">
          {found.size} of {words.length} found
        </Typography>
        <Box>
          <Button size="small" disabled={open < 0} onClick={() => setShown(open)}>
            Show a word
          </Button>
        </Box>
        <Box
          component="ul"
          aria-label="Words"
          sx={{
            m: 0,
            p: 0,
            listStyle: 'none',
            columnCount: 2,
            maxHeight: 340,
            overflow: 'auto',
            position: 'relative',
          }}
        >
          {words.map(({ word, shown: listed }, i) => (
            <Typography
              component="li"
              variant="body2"
              key={word}
              sx={
                found.has(i)
                  ? { textDecoration: 'line-through', color: 'text.secondary' }
                  : { fontWeight: i === shown ? 700 : 400 }
              }
            >
              {listed}
            </Typography>
          ))}
        </Box>
      </Box>
    </Box>
  );
}
