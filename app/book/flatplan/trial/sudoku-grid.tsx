import Box from '@mui/material/Box';
import { alpha } from '@mui/material/styles';
import { useEffect, useRef } from 'react';
import { type Attempt, type Cage, type Shape, SIGNS } from '#core/puzzles/sudoku/index.ts';
import { tokens } from '../../../theme.ts';
import { ARROWS } from './arrows.ts';
import { cellUnder } from './cell-under.ts';

/** Width of the whole grid, in CSS pixels. */
const WIDTH = 460;

interface Shown {
  item: { givens: string; cages?: readonly Cage[] };
  shape: Pick<Shape, 'size' | 'variant' | 'boxOf'>;
  attempt: Attempt;
  /** The cell that keys go to. */
  at: number;
  onAt: (cell: number) => void;
  /** Somebody drew from a cell into one beside it. */
  onJoin?: (cell: number, other: number) => void;
  /** Cells that a step is about. */
  looked: ReadonlySet<number>;
  /** Cells that are wrong. */
  wrong: ReadonlySet<number>;
}

/** The grid as it is filled in, with a cursor that arrow keys move. */
export function SudokuGrid({ item, shape, attempt, at, onAt, onJoin, looked, wrong }: Shown) {
  const { size, boxOf } = shape;
  const cell = WIDTH / size;
  const table = useRef<HTMLTableElement>(null);
  /** The cell that was drawn over last. */
  const drawn = useRef<number | null>(null);
  const join = (cell: number, other: number) => {
    onJoin!(cell, other);
    onAt(other);
  };
  // The focus goes with the cursor, not with a click on another button.
  useEffect(() => {
    if (table.current?.contains(document.activeElement))
      table.current.querySelector<HTMLElement>(`[data-cell="${at}"]`)?.focus();
  }, [at]);
  const sumOf = (i: number) => item.cages?.find(({ cells }) => cells[0] === i)?.sum;
  const cageOf = (i: number) => item.cages?.findIndex(({ cells }) => cells.includes(i));
  /** Lines of a cell: thick between boxes. */
  const border = (i: number) => {
    const [row, column] = [Math.floor(i / size), i % size];
    const line = (edge: boolean, other: number) =>
      `${edge || boxOf[i] !== boxOf[other] ? 2 : 0.5}px solid ${tokens.ink}`;
    return {
      borderTop: line(row === 0, i - size),
      borderLeft: line(column === 0, i - 1),
      borderRight: column === size - 1 ? `2px solid ${tokens.ink}` : 0,
      borderBottom: row === size - 1 ? `2px solid ${tokens.ink}` : 0,
    };
  };
  /** Dashes inside the edge of a cage. */
  const dashes = (i: number) => {
    const [row, column] = [Math.floor(i / size), i % size];
    const line = (edge: boolean, other: number) =>
      edge || cageOf(i) !== cageOf(other) ? `1px dashed ${tokens.inkSoft}` : 0;
    return {
      borderTop: line(row === 0, i - size),
      borderLeft: line(column === 0, i - 1),
      borderRight: line(column === size - 1, i + 1),
      borderBottom: line(row === size - 1, i + size),
    };
  };
  const ground = (i: number): string => {
    if (wrong.has(i)) return alpha(tokens.rubric, 0.18);
    if (looked.has(i)) return alpha(tokens.gold, 0.25);
    const [row, column] = [Math.floor(i / size), i % size];
    if (shape.variant === 'diagonal' && (row === column || row + column === size - 1)) return tokens.vellum;
    return tokens.paper;
  };
  return (
    <Box
      component="table"
      ref={table}
      role="grid"
      aria-label="Sudoku"
      onKeyDown={(event) => {
        const step = ARROWS[event.key];
        if (!step) return;
        event.preventDefault();
        const row = (Math.floor(at / size) + step[1] + size) % size;
        const to = row * size + ((at + step[0] + size) % size);
        if (onJoin && event.shiftKey) join(at, to);
        else onAt(to);
      }}
      onPointerMove={(event) => {
        if (!onJoin || !(event.buttons & 1) || drawn.current === null) return;
        const to = cellUnder(event);
        if (to === null || to === drawn.current) return;
        join(drawn.current, to);
        drawn.current = to;
      }}
      onPointerUp={() => {
        drawn.current = null;
      }}
      sx={{
        ...{
          borderCollapse: 'collapse',
          borderSpacing: 0,
          tableLayout: 'fixed',
          width: WIDTH,
          height: WIDTH,
        },
        touchAction: onJoin ? 'none' : 'auto',
      }}
    >
      <tbody>
        {Array.from({ length: size }, (_, row) => (
          <tr key={row}>
            {Array.from({ length: size }, (_, column) => {
              const i = row * size + column;
              const value = attempt.values[i]!;
              const given = item.givens[i] !== '.';
              const notes = value
                ? []
                : [...SIGNS.slice(0, size)].filter((_, d) => attempt.notes[i]! & (1 << d));
              const says = value ? SIGNS[value - 1]! : notes.length ? `notes ${notes.join(' ')}` : 'empty';
              return (
                <Box
                  component="td"
                  role="gridcell"
                  key={i}
                  data-cell={i}
                  tabIndex={i === at ? 0 : -1}
                  aria-selected={i === at}
                  aria-label={[
                    `Row ${row + 1}, column ${column + 1}: ${says}`,
                    given ? 'given' : '',
                    wrong.has(i) ? 'wrong' : '',
                  ]
                    .filter(Boolean)
                    .join(', ')}
                  onPointerDown={() => {
                    drawn.current = i;
                    onAt(i);
                  }}
                  onFocus={() => onAt(i)}
                  sx={{
                    position: 'relative',
                    width: cell,
                    height: cell,
                    p: 0,
                    textAlign: 'center',
                    verticalAlign: 'middle',
                    cursor: 'pointer',
                    userSelect: 'none',
                    lineHeight: 1,
                    fontSize: cell * 0.55,
                    fontWeight: given ? 700 : 400,
                    color: wrong.has(i) ? 'error.main' : given ? 'text.primary' : 'primary.main',
                    bgcolor: ground(i),
                    ...border(i),
                    // Seen while a button has the focus, too: what is pressed goes into this cell.
                    outline: i === at ? `2px solid ${alpha(tokens.verdigris, 0.55)}` : 0,
                    outlineOffset: -2,
                    '&:focus': { outline: `3px solid ${tokens.verdigris}`, outlineOffset: -3 },
                  }}
                >
                  {item.cages && (
                    <Box
                      aria-hidden
                      sx={{ position: 'absolute', inset: 3, pointerEvents: 'none', ...dashes(i) }}
                    >
                      {sumOf(i) !== undefined && (
                        <Box
                          component="span"
                          sx={{ position: 'absolute', left: 1, top: 0, fontSize: 11, color: 'text.primary' }}
                        >
                          {sumOf(i)}
                        </Box>
                      )}
                    </Box>
                  )}
                  {value ? (
                    SIGNS[value - 1]
                  ) : (
                    <Notes notes={notes} size={size} cell={cell} below={item.cages !== undefined} />
                  )}
                </Box>
              );
            })}
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

/** Candidates in rows of three or four, each in a place of its own. */
function Notes({
  notes,
  size,
  cell,
  below,
}: {
  notes: readonly string[];
  size: number;
  cell: number;
  below: boolean;
}) {
  if (!notes.length) return null;
  const columns = Math.ceil(Math.sqrt(size));
  return (
    <Box
      aria-hidden
      sx={{
        position: 'absolute',
        inset: below ? '14px 5px 4px' : '3px',
        display: 'grid',
        gridTemplateColumns: `repeat(${columns}, 1fr)`,
        placeItems: 'center',
        fontSize: Math.max(8, (cell * (below ? 0.5 : 0.68)) / columns),
        fontWeight: 400,
        color: 'text.secondary',
        pointerEvents: 'none',
      }}
    >
      {[...SIGNS.slice(0, size)].map((sign) => (
        <span key={sign}>{notes.includes(sign) ? sign : ' '}</span>
      ))}
    </Box>
  );
}
