import Box from '@mui/material/Box';
import { type KeyboardEvent, type PointerEvent, type ReactNode, useMemo, useRef } from 'react';
import {
  endsOfWall,
  FLOOR_HEAD,
  type Grid,
  isWall,
  layOfPassages,
  middleOfWall,
  seenWay,
  stairsAt,
} from '#core/puzzles/maze/index.ts';
import { tokens } from '../../../theme.ts';

/** Around the maze, in cells. */
const AROUND = 0.6;
const HEIGHT = 470;

/** All walls that stand, as the data of an SVG path. */
function wallsOf(grid: Grid, open: Uint8Array): string {
  return Array.from(open, (isOpen, wall) => {
    if (isOpen || !isWall(grid, wall)) return '';
    const [x1, y1, x2, y2] = endsOfWall(grid, wall);
    const radius = grid.walls.radius[wall]!;
    if (!radius) return `M${x1} ${y1}L${x2} ${y2}`;
    const [middleX, middleY] = middleOfWall(grid, wall);
    const angle = (x: number, y: number) => Math.atan2(y - middleY, x - middleX);
    const turn = (angle(x2, y2) - angle(x1, y1) + 2 * Math.PI) % (2 * Math.PI);
    return `M${x1} ${y1}A${radius} ${radius} 0 ${turn > Math.PI ? 1 : 0} 1 ${x2} ${y2}`;
  }).join('');
}

const boxes = (all: readonly (readonly [number, number, number, number])[]): string =>
  all.map(([x, y, width, height]) => `M${x} ${y}h${width}v${height}h${-width}z`).join('');

/** Walls on both sides of passages that cross. */
const sidesOf = (grid: Grid, open: Uint8Array): string =>
  layOfPassages(grid, open)
    .walls.map(([x1, y1, x2, y2]) => `M${x1} ${y1}L${x2} ${y2}`)
    .join('');

function groundOf(grid: Grid, open: Uint8Array): { ground: string; paved: string } {
  const { ground, paved } = layOfPassages(grid, open);
  return { ground: boxes(ground), paved: boxes(paved) };
}

/** The cell whose middle lies nearest to a place. */
export function cellNear({ cells, ...grid }: Grid, x: number, y: number): number {
  let nearest = 0;
  let least = Number.POSITIVE_INFINITY;
  for (let cell = 0; cell < cells; cell++) {
    const far = Math.hypot(grid.x[cell]! - x, grid.y[cell]! - y);
    if (far < least) [nearest, least] = [cell, far];
  }
  return nearest;
}

/** A way along the middles of cells. */
export function WayLine({
  grid,
  cells,
  color,
  width,
  opacity = 1,
}: {
  grid: Grid;
  cells: readonly number[];
  color: string;
  width: number;
  opacity?: number;
}) {
  return (
    <path
      d={seenWay(grid, cells, width / 2)
        .map((piece) => `M${piece.map(([x, y]) => `${x} ${y}`).join('L')}`)
        .join('')}
      fill="none"
      stroke={color}
      strokeWidth={width}
      opacity={opacity}
      strokeLinejoin="round"
      strokeLinecap="round"
    />
  );
}

/** Arrows at the ends of stairs, in cells: up, and down from its middle. */
const ARROW = { up: 'M0-.38l.3.4h-.2v.36h-.2v-.36h-.2z', down: 'M0 .38l.3-.4h-.2v-.36h-.2v.36h-.2z' };

/** Stairs that there are, and faintly the places where there could be some. */
function Stairs({ grid, open, places }: { grid: Grid; open: Uint8Array; places: boolean }) {
  const cells = Array.from({ length: grid.floors ? grid.cells : 0 }, (_, cell) => cell);
  return cells.map((cell) => {
    const all = stairsAt(grid, cell, places ? undefined : open);
    return all.map(({ isUp, wall }, i) => {
      const x = grid.x[cell]! + (i - (all.length - 1) / 2) / all.length;
      return (
        <path
          key={`${cell} ${wall}`}
          d={isUp ? ARROW.up : ARROW.down}
          transform={`translate(${x} ${grid.y[cell]}) scale(${1 / all.length})`}
          fill={tokens.ink}
          opacity={open[wall] ? 1 : 0.22}
        />
      );
    });
  });
}

/** What the floors are called. */
function FloorNames({ grid: { floors } }: { grid: Grid }) {
  return floors?.at.map(([left, top], floor) => (
    <text key={top * 1e4 + left} x={left} y={top - FLOOR_HEAD * 0.2} fontSize={1} fill={tokens.inkSoft}>
      Floor {floor + 1}
    </text>
  ));
}

/** A maze that hears the pointer and keys. */
export function MazeSheet({
  grid,
  open,
  start,
  goal,
  at,
  helpId,
  places = false,
  onPointer,
  onKeyDown,
  children,
}: {
  grid: Grid;
  open: Uint8Array;
  start: number;
  goal: number;
  /** The cell that keys go on from. */
  at: number;
  helpId: string;
  /** Places for stairs are shown, too. */
  places?: boolean;
  /** @param x in cells @param y in cells @param begins the pointer was pressed; otherwise it moves while it is */
  onPointer: (x: number, y: number, begins: boolean) => void;
  onKeyDown: (event: KeyboardEvent) => void;
  /** What lies below the walls. */
  children: ReactNode;
}) {
  const walls = useMemo(() => (grid.bridged ? sidesOf(grid, open) : wallsOf(grid, open)), [grid, open]);
  const below = useMemo(() => (grid.bridged ? groundOf(grid, open) : null), [grid, open]);
  // So that the arrow is seen.
  const onStairs = stairsAt(grid, at, places ? undefined : open).length > 0;
  const svg = useRef<SVGSVGElement>(null);
  const point = ({ clientX, clientY }: PointerEvent, begins: boolean) => {
    const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse());
    onPointer(x, y, begins);
  };
  return (
    <Box
      component="svg"
      ref={svg}
      role="application"
      aria-label="Maze"
      aria-describedby={helpId}
      tabIndex={0}
      preserveAspectRatio="xMidYMin"
      viewBox={[-AROUND, -AROUND, grid.width + 2 * AROUND, grid.height + 2 * AROUND].join(' ')}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        point(event, true);
      }}
      onPointerMove={(event) => {
        if (event.buttons & 1) point(event, false);
      }}
      onKeyDown={onKeyDown}
      sx={{ width: '100%', maxHeight: HEIGHT, touchAction: 'none', bgcolor: 'background.paper' }}
    >
      {below && (
        <>
          <path d={below.ground} fill={tokens.rule} />
          <path d={below.paved} fill={tokens.paper} />
        </>
      )}
      {children}
      <path d={walls} fill="none" stroke={tokens.ink} strokeWidth={0.1} strokeLinecap="round" />
      <FloorNames grid={grid} />
      <Stairs {...{ grid, open, places }} />
      <circle cx={grid.x[start]} cy={grid.y[start]} r={0.3} fill={tokens.verdigris} />
      <circle
        cx={grid.x[goal]}
        cy={grid.y[goal]}
        r={0.32}
        fill="none"
        stroke={tokens.rubric}
        strokeWidth={0.16}
      />
      <circle
        cx={grid.x[at]}
        cy={grid.y[at]}
        {...(onStairs
          ? { r: 0.46, fill: 'none', stroke: tokens.ink, strokeWidth: 0.1 }
          : { r: 0.2, fill: tokens.ink })}
      />
    </Box>
  );
}
