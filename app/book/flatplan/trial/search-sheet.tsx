import Box from '@mui/material/Box';
import type { KeyboardEvent, PointerEvent, ReactNode } from 'react';
import { tokens } from '../../../theme.ts';
import { ARROWS } from './arrows.ts';
import { cellUnder } from './cell-under.ts';

const HEIGHT = 480;

/** The cell that an arrow key leads to; null for another key. */
export function cellByArrow(key: string, at: number, columns: number, rows: number): number | null {
  const to = ARROWS[key];
  if (!to) return null;
  const x = Math.min(columns - 1, Math.max(0, (at % columns) + to[0]));
  const y = Math.min(rows - 1, Math.max(0, Math.floor(at / columns) + to[1]));
  return y * columns + x;
}

/** A stroke over cells. */
export function Stroke({
  columns,
  cells,
  color,
  opacity,
}: {
  columns: number;
  cells: readonly number[];
  color: string;
  opacity: number;
}) {
  return (
    <polyline
      points={cells.map((cell) => `${(cell % columns) + 0.5},${Math.floor(cell / columns) + 0.5}`).join(' ')}
      stroke={color}
      opacity={opacity}
    />
  );
}

/** A grid of letters that hears the pointer and keys. */
export function SearchSheet({
  columns,
  letters,
  at,
  helpId,
  onPress,
  onDrag,
  onRelease,
  onKeyDown,
  children,
}: {
  columns: number;
  letters: readonly (string | null)[];
  /** The cell that keys go on from. */
  at: number;
  helpId: string;
  onPress: (cell: number) => void;
  onDrag: (cell: number) => void;
  onRelease: (cell: number) => void;
  onKeyDown: (event: KeyboardEvent) => void;
  /** Strokes below the letters. */
  children: ReactNode;
}) {
  const rows = letters.length / columns;
  const heard = (event: PointerEvent, tell: (cell: number) => void) => {
    const cell = cellUnder(event);
    if (cell !== null) tell(cell);
  };
  return (
    <Box
      component="svg"
      role="application"
      aria-label="Puzzle"
      aria-describedby={helpId}
      tabIndex={0}
      viewBox={`0 0 ${columns} ${rows}`}
      preserveAspectRatio="xMidYMin"
      onKeyDown={onKeyDown}
      onPointerDown={(event) => heard(event, onPress)}
      onPointerMove={(event) => {
        if (event.buttons & 1) heard(event, onDrag);
      }}
      onPointerUp={(event) => heard(event, onRelease)}
      sx={{ width: '100%', height: HEIGHT, touchAction: 'none', userSelect: 'none', cursor: 'pointer' }}
    >
      <g fill="none" strokeWidth={0.72} strokeLinecap="round" strokeLinejoin="round">
        {children}
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
  );
}
