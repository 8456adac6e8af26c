import Box from '@mui/material/Box';
import { alpha } from '@mui/material/styles';
import {
  type CellTrial,
  EMPTY_MARK,
  FILLED_MARK,
  type TrialCell,
  type TrialRun,
  type TrialState,
} from '#core/pages/puzzle/trial.ts';
import { tokens } from '../../../theme.ts';
import { cellUnder } from './cell-under.ts';

/** Largest cells, and the height of all, in CSS pixels. */
const LARGEST = 72;
const HEIGHT = 470;
/** Around a sign, what a click on it may miss, in widths of a cell. */
const BETWEEN = 0.28;
/** Around the whole, in widths of a cell. */
const AROUND = 0.08;

interface Shown {
  trial: CellTrial;
  state: TrialState;
  /** The cell that keys go to. */
  at: number;
  /** Its cells are tinted. */
  run: TrialRun | undefined;
  wrong: ReadonlySet<number>;
  /** Id of what says where the cursor is. */
  saidBy: string;
  /** @param begins the pointer was pressed on it, and did not come from another one */
  onCell: (cell: number, begins: boolean) => void;
  /** A sign between two cells was clicked. */
  onBetween?: (one: number, other: number) => void;
  onEnd: () => void;
}

/** Cells as they are filled in, with what is printed between them. */
export function CellSheet({ trial, state, at, run, wrong, saidBy, onCell, onBetween, onEnd }: Shown) {
  const { cells, width, height, ratio, closed, lines, texts, entry } = trial;
  const current = cells[at];
  /** What is written into together is shown together, and otherwise what is read in one go. */
  const inRun = (i: number): boolean =>
    current?.group === undefined ? (run?.cells.includes(i) ?? false) : cells[i]!.group === current.group;
  const ground = (i: number): string => {
    if (entry.of === 'marks' && state.values[i] === FILLED_MARK)
      return wrong.has(i) ? tokens.rubric : tokens.ink;
    if (wrong.has(i)) return alpha(tokens.rubric, cells[i]!.closed ? 0.6 : 0.18);
    if (cells[i]!.closed) return 'transparent';
    if (inRun(i)) return alpha(tokens.gold, 0.22);
    return cells[i]!.given ? tokens.vellum : tokens.paper;
  };
  return (
    <Box
      component="svg"
      role="application"
      aria-label="Puzzle"
      aria-describedby={saidBy}
      tabIndex={0}
      viewBox={[-AROUND, -AROUND, width + 2 * AROUND, height * ratio + 2 * AROUND].join(' ')}
      preserveAspectRatio="xMidYMin"
      onPointerDown={(event) => {
        const cell = cellUnder(event);
        const between = (event.target as Element).getAttribute('data-between');
        if (between && onBetween) onBetween(...(between.split(' ').map(Number) as [number, number]));
        else if (cell !== null) onCell(cell, true);
      }}
      onPointerMove={(event) => {
        if (!(event.buttons & 1)) return;
        const cell = cellUnder(event);
        if (cell !== null && cell !== at) onCell(cell, false);
      }}
      onPointerUp={onEnd}
      sx={{
        width: '100%',
        maxWidth: width * LARGEST,
        maxHeight: HEIGHT,
        justifySelf: 'center',
        touchAction: 'none',
        userSelect: 'none',
        cursor: 'pointer',
        outlineOffset: 4,
      }}
    >
      <g fill={tokens.inkSoft}>
        {closed.map(([x, y]) => (
          <rect key={`${x} ${y}`} x={x} y={y * ratio} width={1} height={ratio} />
        ))}
      </g>
      {cells.map((cell, i) => (
        <Cell
          key={i}
          index={i}
          cell={cell}
          ratio={ratio}
          value={state.values[i]!}
          notes={state.notes[i]!}
          ground={ground(i)}
          isWrong={wrong.has(i)}
          isMark={entry.of === 'marks'}
        />
      ))}
      <g stroke={tokens.ink} strokeWidth={0.07} strokeLinecap="square">
        {lines.map(([x1, y1, x2, y2]) => (
          <line key={[x1, y1, x2, y2].join(' ')} x1={x1} y1={y1 * ratio} x2={x2} y2={y2 * ratio} />
        ))}
      </g>
      <g dominantBaseline="central">
        {texts.map(({ x, y, text, size, ends }) => (
          <text
            key={`${x} ${y}`}
            x={x}
            y={y * ratio}
            fontSize={size * ratio}
            textAnchor={ends ? 'end' : 'middle'}
            fill={isOnClosed(closed, x, y) ? tokens.paper : tokens.ink}
          >
            {text}
          </text>
        ))}
      </g>
      {onBetween && (
        <g fill="transparent">
          {texts.map(
            ({ x, y, between }) =>
              between && (
                <circle
                  key={between.join(' ')}
                  data-between={between.join(' ')}
                  cx={x}
                  cy={y * ratio}
                  r={BETWEEN}
                />
              ),
          )}
        </g>
      )}
      {current && (
        <rect
          x={current.x + 0.04}
          y={(current.y + 0.04) * ratio}
          width={0.92}
          height={0.92 * ratio}
          fill="none"
          stroke={tokens.verdigris}
          strokeWidth={0.08}
          pointerEvents="none"
        />
      )}
    </Box>
  );
}

const isOnClosed = (closed: CellTrial['closed'], x: number, y: number): boolean =>
  closed.some(([left, top]) => left === Math.floor(x) && top === Math.floor(y));

function Cell({
  index,
  cell: { x, y, given, corner, below },
  ratio,
  value,
  notes,
  ground,
  isWrong,
  isMark,
}: {
  index: number;
  cell: TrialCell;
  ratio: number;
  value: string;
  /** Digits as bits. */
  notes: number;
  ground: string;
  isWrong: boolean;
  isMark: boolean;
}) {
  const top = y * ratio;
  const digits = Array.from({ length: 9 }, (_, d) => d + 1).filter((digit) => notes & (1 << (digit - 1)));
  return (
    <g data-cell={index}>
      <rect x={x} y={top} width={1} height={ratio} fill={ground} stroke={tokens.inkSoft} strokeWidth={0.03} />
      {corner && (
        <text x={x + 0.1} y={top + 0.29} fontSize={0.25} fill={tokens.ink}>
          {corner}
        </text>
      )}
      {below && (
        <text x={x + 0.5} y={top + 1.45} fontSize={0.45} textAnchor="middle" fill={tokens.inkSoft}>
          {below}
        </text>
      )}
      {value && !(isMark && value === FILLED_MARK) && (
        <text
          x={x + 0.5}
          y={top + ratio * 0.56}
          fontSize={ratio * (value.length > 2 ? 0.42 : 0.56)}
          fontWeight={given ? 700 : 400}
          textAnchor="middle"
          dominantBaseline="central"
          fill={
            isWrong
              ? tokens.rubric
              : given
                ? tokens.ink
                : value === EMPTY_MARK
                  ? tokens.inkSoft
                  : tokens.verdigris
          }
        >
          {value}
        </text>
      )}
      {digits.map((digit) => (
        <text
          key={digit}
          x={x + 0.2 + 0.3 * ((digit - 1) % 3)}
          y={top + 0.38 + 0.26 * Math.floor((digit - 1) / 3)}
          fontSize={0.24}
          textAnchor="middle"
          dominantBaseline="central"
          fill={tokens.inkSoft}
        >
          {digit}
        </text>
      ))}
    </g>
  );
}
