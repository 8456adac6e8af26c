import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type PointerEvent, useMemo, useRef, useState } from 'react';
import { gridOf, type MazeItem } from '#core/pages/maze/fill.ts';
import { type Grid, walkOn, walkTo } from '#core/puzzles/maze/index.ts';
import { tokens } from '../../../theme.ts';
import type { TrialProps } from './trial-props.ts';

const ARROWS: Readonly<Record<string, readonly [dx: number, dy: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
/** Steps that the pointer may be ahead. */
const AHEAD = 12;
/** Around the maze, in cells. */
const AROUND = 0.6;
const HEIGHT = 470;

/** All walls that stand, as the data of an SVG path. */
function wallsOf({ walls, ...grid }: Grid, open: Uint8Array): string {
  return Array.from(open, (isOpen, wall) => {
    if (isOpen) return '';
    const [x1, y1, x2, y2] = walls.ends.subarray(4 * wall, 4 * wall + 4) as unknown as number[];
    const radius = walls.radius[wall]!;
    if (!radius) return `M${x1} ${y1}L${x2} ${y2}`;
    const angle = (x: number, y: number) => Math.atan2(y - grid.height / 2, x - grid.width / 2);
    const turn = (angle(x2!, y2!) - angle(x1!, y1!) + 2 * Math.PI) % (2 * Math.PI);
    return `M${x1} ${y1}A${radius} ${radius} 0 ${turn > Math.PI ? 1 : 0} 1 ${x2} ${y2}`;
  }).join('');
}

/** A maze that is walked with arrow keys, or by drawing the way. */
export default function MazeTrial({ item, onSolved }: TrialProps<MazeItem>) {
  const { open, start, goal, way } = item;
  const grid = useMemo(() => gridOf(item), [item]);
  const walls = useMemo(() => wallsOf(grid, open), [grid, open]);
  const [trail, setTrail] = useState<readonly number[]>([start]);
  const [shown, setShown] = useState(false);
  const svg = useRef<SVGSVGElement>(null);
  const solved = trail.at(-1) === goal;
  const take = (next: readonly number[]) => {
    if (next === trail || solved) return;
    setTrail(next);
    if (next.at(-1) === goal) onSolved();
  };
  const cellAt = ({ clientX, clientY }: PointerEvent): number => {
    const at = new DOMPoint(clientX, clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse());
    let nearest = 0;
    let least = Number.POSITIVE_INFINITY;
    for (let cell = 0; cell < grid.cells; cell++) {
      const far = Math.hypot(grid.x[cell]! - at.x, grid.y[cell]! - at.y);
      if (far < least) {
        least = far;
        nearest = cell;
      }
    }
    return nearest;
  };
  const follow = (event: PointerEvent) => {
    if (event.buttons & 1) take(walkTo(grid, open, trail, cellAt(event), AHEAD));
  };
  const line = (cells: readonly number[]) => cells.map((cell) => `${grid.x[cell]},${grid.y[cell]}`).join(' ');
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 220px', gap: 6 }}>
      <Box
        component="svg"
        ref={svg}
        role="application"
        aria-label="Maze"
        aria-describedby="walk-help"
        tabIndex={0}
        preserveAspectRatio="xMidYMin"
        viewBox={[-AROUND, -AROUND, grid.width + 2 * AROUND, grid.height + 2 * AROUND].join(' ')}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          follow(event);
        }}
        onPointerMove={follow}
        onKeyDown={(event) => {
          const to = ARROWS[event.key];
          if (!to) return;
          event.preventDefault();
          take(walkOn(grid, open, trail, ...to));
        }}
        sx={{ width: '100%', height: HEIGHT, touchAction: 'none', bgcolor: 'background.paper' }}
      >
        {shown && (
          <polyline
            points={line(way)}
            fill="none"
            stroke={tokens.gold}
            strokeWidth={0.5}
            opacity={0.45}
            strokeLinejoin="round"
            strokeLinecap="round"
          />
        )}
        <polyline
          points={line(trail)}
          fill="none"
          stroke={tokens.verdigris}
          strokeWidth={0.3}
          strokeLinejoin="round"
          strokeLinecap="round"
        />
        <path d={walls} fill="none" stroke={tokens.ink} strokeWidth={0.1} strokeLinecap="round" />
        <circle cx={grid.x[start]} cy={grid.y[start]} r={0.3} fill={tokens.verdigris} />
        <circle
          cx={grid.x[goal]}
          cy={grid.y[goal]}
          r={0.32}
          fill="none"
          stroke={tokens.rubric}
          strokeWidth={0.16}
        />
        <circle cx={grid.x[trail.at(-1)!]} cy={grid.y[trail.at(-1)!]} r={0.2} fill={tokens.ink} />
      </Box>
      <Box>
        <Typography id="walk-help" variant="body2">
          Draw the way from the dot to the ring, or go there with the arrow keys. Going back takes the line
          away.
        </Typography>
        <Typography sx={{ mt: 4 }} role="status">
          {trail.length} {trail.length === 1 ? 'cell' : 'cells'} of the line; the way has {way.length}
        </Typography>
        <Box sx={{ mt: 4, display: 'grid', justifyItems: 'start', gap: 1 }}>
          <Button size="small" disabled={solved || trail.length < 2} onClick={() => setTrail([start])}>
            Back to the start
          </Button>
          <Button size="small" aria-pressed={shown} onClick={() => setShown(!shown)}>
            {shown ? 'Hide the way' : 'Show the way'}
          </Button>
        </Box>
      </Box>
    </Box>
  );
}
