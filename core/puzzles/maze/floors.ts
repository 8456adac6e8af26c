import type { RandomStream } from '../../random.ts';
import { doorsWith, endsOfWall, type Grid, graphOf, middleOf, type Wall } from './grid.ts';

/** Floors that a maze may have at most. */
export const MOST_FLOORS = 4;

/** A place for stairs: from a cell of a floor, counted from 0, to the same cell of the next one up. */
export interface Stairs {
  floor: number;
  /** As the grid of one floor has it. */
  cell: number;
}

/** Floors of a grid that lie one beside the other on the page; their cells come floor after floor. */
export interface Floors {
  count: number;
  /** Of one floor. */
  cells: number;
  /** Of one floor. */
  width: number;
  height: number;
  /** Where the upper left corner of each is. */
  at: readonly (readonly [left: number, top: number])[];
  /** Walls from this one on are stairs: open where there are some. */
  stairs: number;
}

/** Above each floor, for what it is called, and between two that lie side by side; in cells. */
export const FLOOR_HEAD = 2;
/** Floors lie as they are largest on a page of this ratio of width to height. */
const PAGE = 0.65;
/** Cells for one place for stairs, and the fewest of them between two floors. */
const STAIRS = { cells: 36, fewest: 2 } as const;
/** What stands before an opening reaches so far, and comes no nearer to a floor than this; in cells. */
const BEFORE = { reach: 1.8, clear: 0.5 } as const;

/** How many floors lie side by side. */
function floorsAcross({ width, height }: Pick<Grid, 'width' | 'height'>, count: number): number {
  const size = (across: number): number => {
    const down = Math.ceil(count / across);
    return Math.min(PAGE / (across * (width + FLOOR_HEAD) - FLOOR_HEAD), 1 / (down * (height + FLOOR_HEAD)));
  };
  return Array.from({ length: count }, (_, i) => i + 1).reduce((best, across) =>
    size(across) > size(best) ? across : best,
  );
}

/**
 * Places for stairs by chance, none beside another while there is room, and none in the middle, where a goal may be. Each pair of
 * floors has one at least.
 * @param plain the grid of one floor @param free cells that have none
 */
export function anyStairs(
  plain: Grid,
  count: number,
  free: readonly number[],
  random: RandomStream,
): Stairs[] {
  const { cells, first, next } = plain;
  const wanted = Math.max(STAIRS.fewest, Math.round(cells / STAIRS.cells));
  const taken = new Uint8Array(cells);
  const beside = new Uint8Array(cells);
  for (const cell of free) taken[cell] = beside[cell] = 1;
  const all = Array.from({ length: cells }, (_, cell) => cell);
  return Array.from({ length: count - 1 }, (_, floor) => {
    const order = random.shuffled(all);
    const found: Stairs[] = [];
    // First with room around them, then beside others, at last over others.
    for (const isLeft of [(cell: number) => !beside[cell], (cell: number) => !taken[cell], () => true]) {
      if (found.length) break;
      for (const cell of order) {
        if (found.length === wanted) break;
        if (!isLeft(cell)) continue;
        found.push({ floor, cell });
        taken[cell] = beside[cell] = 1;
        for (let i = first[cell]!; i < first[cell + 1]!; i++) beside[next[i]!] = 1;
      }
    }
    return found.sort((a, b) => a.cell - b.cell);
  }).flat();
}

/** Those of some places for stairs that are on the floors there are, each once. */
export function stairsWithRoom(plain: Grid, count: number, wanted: readonly Stairs[]): Stairs[] {
  const known = new Set<string>();
  return wanted.filter(({ floor, cell }) => {
    const name = `${floor} ${cell}`;
    if (floor > count - 2 || cell >= plain.cells || known.has(name)) return false;
    known.add(name);
    return true;
  });
}

/** A grid on several floors, the lowest at the lower left, with places for stairs between them. */
export function gridWithFloors(plain: Grid, count: number, stairs: readonly Stairs[]): Grid {
  if (count < 2) return plain;
  const { cells, width, height, x, y, walls } = plain;
  const across = floorsAcross(plain, count);
  const down = Math.ceil(count / across);
  const at = Array.from({ length: count }, (_, floor): readonly [number, number] => [
    (floor % across) * (width + FLOOR_HEAD),
    (down - 1 - Math.floor(floor / across)) * (height + FLOOR_HEAD) + FLOOR_HEAD,
  ]);
  const centers = at.flatMap(([left, top]) =>
    Array.from(x, (own, cell) => [own + left, y[cell]! + top] as const),
  );
  const sides = at.flatMap(([left, top], floor) =>
    Array.from(walls.one, (one, wall): Wall => {
      const other = walls.other[wall]!;
      const [x1, y1, x2, y2] = endsOfWall(plain, wall);
      return {
        one: one + floor * cells,
        other: other < 0 ? -1 : other + floor * cells,
        ends: [x1 + left, y1 + top, x2 + left, y2 + top],
        radius: walls.radius[wall]!,
      };
    }),
  );
  const steps = stairs.map(({ floor, cell }): Wall => {
    const [one, other] = [floor * cells + cell, (floor + 1) * cells + cell];
    return { one, other, ends: [...centers[one]!, ...centers[other]!] };
  });
  const size = {
    id: plain.id,
    width: across * (width + FLOOR_HEAD) - FLOOR_HEAD,
    height: down * (height + FLOOR_HEAD),
  };
  const floors = { count, cells, width, height, at, stairs: sides.length };
  const grid = { ...graphOf(size, centers, [...sides, ...steps]), floors };
  return { ...grid, doors: doorsOfFloors(grid, plain) };
}

/** Walls to the outside that lead neither to another floor nor to where a floor is named. */
function doorsOfFloors(grid: Grid & { floors: Floors }, plain: Grid): Map<number, number> {
  const { cells, at, width, height } = grid.floors;
  const { reach, clear } = BEFORE;
  const own = plain.doors;
  const isOver = (px: number, py: number) =>
    at.some(
      ([left, top]) =>
        px > left - clear &&
        px < left + width + clear &&
        py > top - FLOOR_HEAD - clear &&
        py < top + height + clear,
    );
  return doorsWith(grid, (cell, before) => {
    // In an outline, what its own floor leaves room for.
    if (own && !own.has(cell % cells)) return false;
    return !isOver(...before(reach));
  });
}

/** The floor of a cell, counted from 0. */
export const floorOf = ({ floors }: Grid, cell: number): number =>
  floors ? Math.floor(cell / floors.cells) : 0;

/** Where a cell lies on its own floor, as the lowest one lies on the page. */
export const placeOnFloor = ({ x, y, floors }: Grid, cell: number): readonly [number, number] => {
  const own = floors ? cell % floors.cells : cell;
  return [x[own]!, y[own]!];
};

/** About what an arc of a wall is drawn: the middle of the grid, or of its floor. */
export function middleOfWall(grid: Grid, wall: number): readonly [number, number] {
  const { floors, walls } = grid;
  if (!floors) return middleOf(grid);
  const [left, top] = floors.at[floorOf(grid, walls.one[wall]!)]!;
  return [left + floors.width / 2, top + floors.height / 2];
}

/** A wall that is drawn where it is closed, other than stairs. */
export const isWall = ({ floors }: Grid, wall: number): boolean => !floors || wall < floors.stairs;

/** Stairs at a cell: where they lead, and whether up. @param open the ones that there are; places for some too, if left out */
export function stairsAt(
  { floors, first, next, through }: Grid,
  cell: number,
  open?: Uint8Array,
): { to: number; isUp: boolean; wall: number }[] {
  if (!floors) return [];
  const found: { to: number; isUp: boolean; wall: number }[] = [];
  for (let i = first[cell]!; i < first[cell + 1]!; i++) {
    const [to, wall] = [next[i]!, through[i]!];
    if (wall >= floors.stairs && (!open || open[wall])) found.push({ to, isUp: to > cell, wall });
  }
  return found;
}
