import type { RandomStream } from '../../random.ts';
import { floorOf } from './floors.ts';
import { endsOfWall, type Grid, gridOf, type Wall } from './grid.ts';

/** Places of the eight cells around one. */
const AROUND = [-1, 0, 1]
  .flatMap((dy) => [-1, 0, 1].map((dx) => [dx, dy] as const))
  .filter(([dx, dy]) => dx || dy);

/** A cell over which one passage runs while another one runs under it. */
export interface Bridge {
  cell: number;
  /** The passage above runs across. */
  across: boolean;
}

/**
 * Those of some bridges that have room in a grid of squares: none beside an earlier one, each with all eight cells around it, so that
 * what is around it hangs together whatever it cuts.
 */
export function bridgesWithRoom(grid: Grid, wanted: readonly Bridge[]): Bridge[] {
  if (grid.id !== 'square') return [];
  const at = new Map<string, number>();
  const name = (x: number, y: number) => `${Math.floor(x)} ${Math.floor(y)}`;
  for (let cell = 0; cell < grid.cells; cell++) at.set(name(grid.x[cell]!, grid.y[cell]!), cell);
  const taken = new Set<number>();
  return wanted.filter(({ cell }) => {
    if (cell >= grid.cells || taken.has(cell)) return false;
    const around = AROUND.map(([dx, dy]) => at.get(name(grid.x[cell]! + dx, grid.y[cell]! + dy)));
    if (around.some((one) => one === undefined || taken.has(one))) return false;
    taken.add(cell);
    return true;
  });
}

/** Bridges by chance. @param share of as many as there is room for, 0 to 1 */
export function anyBridges(grid: Grid, share: number, random: RandomStream): Bridge[] {
  const cells = random.shuffled(Array.from({ length: grid.cells }, (_, cell) => cell));
  const all = bridgesWithRoom(
    grid,
    cells.map((cell) => ({ cell, across: true })),
  );
  return all
    .slice(0, Math.round(share * all.length))
    .sort((a, b) => a.cell - b.cell)
    .map(({ cell }) => ({ cell, across: random.int(2) === 0 }));
}

/**
 * A grid of squares with bridges: the cell of each is the passage above, and a new cell at the same place the one under it. Both
 * lead straight on and nowhere else, so that their walls to the passage are open in every maze.
 */
export function gridWithBridges(grid: Grid, bridges: readonly Bridge[]): Grid {
  if (!bridges.length) return grid;
  const { walls, x, y, cells } = grid;
  const under = new Map(bridges.map(({ cell }, i) => [cell, cells + i]));
  const runsAcross = new Map(bridges.map(({ cell, across }) => [cell, across]));
  const bound = new Uint8Array(walls.one.length);
  /** The passage of a cell to which a wall belongs: upright walls to the one that runs across. */
  const of = (cell: number, wall: number): number => {
    const across = runsAcross.get(cell);
    if (across === undefined) return cell;
    bound[wall] = 1;
    const isUpright = walls.ends[4 * wall] === walls.ends[4 * wall + 2];
    return isUpright === across ? cell : under.get(cell)!;
  };
  const all = Array.from(walls.one, (one, wall): Wall => {
    const other = walls.other[wall]!;
    const ends = endsOfWall(grid, wall);
    return { one: of(one, wall), other: other < 0 ? -1 : of(other, wall), ends };
  });
  const centers = [
    ...Array.from(x, (across, cell) => [across, y[cell]!] as const),
    ...bridges.map(({ cell }) => [x[cell]!, y[cell]!] as const),
  ];
  return {
    ...gridOf(grid.id, centers, all),
    ...(grid.doors ? { doors: grid.doors } : {}),
    bridged: { cells, bridges, bound },
  };
}

/** The other passage at the place of a cell; the cell itself where there is none. */
export function twinOf({ bridged }: Grid, cell: number): number {
  if (!bridged) return cell;
  if (cell >= bridged.cells) return bridged.bridges[cell - bridged.cells]!.cell;
  const i = bridged.bridges.findIndex((bridge) => bridge.cell === cell);
  return i < 0 ? cell : bridged.cells + i;
}

/** Does a cell lie under a bridge? */
export const isUnder = ({ bridged }: Grid, cell: number): boolean =>
  bridged !== undefined && cell >= bridged.cells;

/** Passages keep so far from the sides of their cells where some cross, in cells. */
export const INSET = 0.14;

type Segment = readonly [x1: number, y1: number, x2: number, y2: number];
type Box = readonly [x: number, y: number, width: number, height: number];

const SIDES = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
] as const;

/**
 * How passages lie in a maze with bridges: each with walls of its own on both sides, as they do not meet where passages cross.
 * @param left walls to the outside that are left open
 * @returns the walls; what is paved, the passages; and the squares that all of it stands on, in cells
 */
export function layOfPassages(
  grid: Grid,
  open: Uint8Array,
  left: readonly number[] = [],
): { walls: Segment[]; paved: Box[]; ground: Box[] } {
  const { bridged, x, y } = grid;
  const { cells, bridges } = bridged!;
  const runsAcross = new Map(bridges.map(({ cell, across }) => [cell, across]));
  const opens = new Set<string>();
  const key = (wx: number, wy: number) => `${Math.round(2 * wx)} ${Math.round(2 * wy)}`;
  for (let wall = 0; wall < open.length; wall++) {
    if (!open[wall] && !left.includes(wall)) continue;
    const [x1, y1, x2, y2] = endsOfWall(grid, wall);
    opens.add(key((x1 + x2) / 2, (y1 + y2) / 2));
  }
  const lay = { walls: [] as Segment[], paved: [] as Box[], ground: [] as Box[] };
  const half = 0.5 - INSET;
  for (let cell = 0; cell < cells; cell++) {
    const [cx, cy] = [x[cell]!, y[cell]!];
    lay.ground.push([cx - 0.5, cy - 0.5, 1, 1]);
    lay.paved.push([cx - half, cy - half, 2 * half, 2 * half]);
    const across = runsAcross.get(cell);
    for (const [dx, dy] of SIDES) {
      const isOpen = opens.has(key(cx + dx / 2, cy + dy / 2));
      const isOverOther = across !== undefined && across !== (dx !== 0);
      /** A place so far out toward that side, and so far aside. */
      const at = (out: number, aside: number) =>
        [cx + dx * out + dy * aside, cy + dy * out + dx * aside] as const;
      if (isOpen) {
        for (const side of [-half, half]) lay.walls.push([...at(half, side), ...at(0.5, side)]);
        const [[ax, ay], [bx, by]] = [at(half, -half), at(0.5, half)];
        lay.paved.push([Math.min(ax, bx), Math.min(ay, by), Math.abs(bx - ax), Math.abs(by - ay)]);
      }
      // The passage above has its sides where the other one comes out from under it.
      if (!isOpen || isOverOther) lay.walls.push([...at(half, -half), ...at(half, half)]);
    }
  }
  return lay;
}

type Point = readonly [x: number, y: number];

/**
 * A way along the middles of its cells, in pieces: it is not seen where it runs under a bridge, and goes on elsewhere over stairs.
 * @param back so far it ends before a bridge, in cells
 */
export function seenWay(grid: Grid, way: readonly number[], back = 0): Point[][] {
  const pieces: Point[][] = [[]];
  const half = 0.5 - INSET + back;
  way.forEach((cell, i) => {
    const [cx, cy] = [grid.x[cell]!, grid.y[cell]!];
    if (i && floorOf(grid, cell) !== floorOf(grid, way[i - 1]!)) pieces.push([]);
    if (!isUnder(grid, cell)) {
      pieces.at(-1)!.push([cx, cy]);
      return;
    }
    const toward = (other: number | undefined): Point | null => {
      if (other === undefined) return null;
      const [dx, dy] = [grid.x[other]! - cx, grid.y[other]! - cy];
      return [cx + dx * half, cy + dy * half];
    };
    const [before, after] = [toward(way[i - 1]), toward(way[i + 1])];
    if (before) pieces.at(-1)!.push(before);
    pieces.push(after ? [after] : []);
  });
  return pieces.filter((piece) => piece.length > 0);
}
