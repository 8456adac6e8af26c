import { cellsLeft, distances, endsOfWall, type Grid, isWall, onlyWay } from '../../puzzles/maze/index.ts';
import { atOnce } from '../../steps.ts';
import type { Watched } from '../puzzle/by-hand.ts';
import { LEVEL_NAMES } from '../puzzle/level.ts';
import { endOnStairs, givenMaze, gridOf, type MazeItem, openAsText } from './fill.ts';
import type { MazeGiven } from './options.ts';

/** A maze as it is changed. Never changed itself, only replaced. */
export type MazeDraft = Pick<MazeItem, 'open' | 'start' | 'goal'>;

/** What keeps a maze as it was changed. */
export const mazePinned = (item: MazeItem, { open, start, goal }: MazeDraft): MazeGiven => {
  const { grid, columns, rows, shape, ends, passages, winding, bridges, measure } = item;
  const { over = [], floors = 1, stairs = [] } = item;
  return {
    ...{ grid, columns, rows, shape, ends, passages, winding, bridges, floors, start, goal },
    ...{ over: [...over], stairs: [...stairs] },
    open: openAsText(open),
    ...(measure ? { measure } : {}),
  };
};

/** Opens a wall between two cells, or closes it, or puts stairs at their place or takes them away; one to the outside stays. */
export function withWall({ walls }: Grid, draft: MazeDraft, wall: number): MazeDraft {
  if ((walls.other[wall] ?? -1) < 0) return draft;
  const open = draft.open.slice();
  open[wall] = open[wall] ? 0 : 1;
  return { ...draft, open };
}

/** The wall between two cells that lies nearest to a place, in cells. */
export function wallNear(grid: Grid, x: number, y: number): number {
  const { other } = grid.walls;
  let nearest = 0;
  let least = Infinity;
  for (let wall = 0; wall < other.length; wall++) {
    if (other[wall]! < 0 || !isWall(grid, wall)) continue;
    const [x1, y1, x2, y2] = endsOfWall(grid, wall);
    const [dx, dy] = [x2 - x1, y2 - y1];
    const along = ((x - x1) * dx + (y - y1) * dy) / (dx * dx + dy * dy || 1);
    const at = Math.min(1, Math.max(0, along));
    const far = Math.hypot(x1 + at * dx - x, y1 + at * dy - y);
    if (far < least) [nearest, least] = [wall, far];
  }
  return nearest;
}

/** Looks for the way by filling dead ends, and for cells that nothing leads to. */
export function watchMaze(item: MazeItem, draft: MazeDraft): Watched {
  const grid = gridOf(item);
  const { open, start, goal } = draft;
  if (start === goal)
    return { isSound: false, says: 'Start and goal are the same cell. Move one of them.', cells: [start] };
  const end = endOnStairs(grid, draft);
  if (end)
    return {
      isSound: false,
      says: `The ${end} is on stairs. Move it, or take them away.`,
      cells: [draft[end]],
    };
  const { far } = distances(grid, open, start);
  if (far[goal]! < 0)
    return {
      isSound: false,
      says: 'There is no way from the start to the goal. Open a wall at the marked cells.',
      cells: cellsWhere(far, (steps) => steps >= 0),
    };
  const way = onlyWay(grid, open, start, goal);
  if (!way || hasCircle(grid, open, far))
    return {
      isSound: false,
      says: 'There is more than one way, or a way that goes in a circle: it lies in the marked cells. Close a wall there.',
      cells: cellsWhere(cellsLeft(grid, open, start, goal), (left) => left === 1),
    };
  const shut = cellsWhere(far, (steps) => steps < 0);
  const { level } = atOnce(givenMaze(mazePinned(item, draft)));
  return {
    isSound: true,
    says: [
      `One way, of ${way.length} cells. ${LEVEL_NAMES[level]}.`,
      ...(shut.length
        ? [
            shut.length === 1
              ? 'Nothing leads to the marked cell.'
              : `Nothing leads to the ${shut.length} marked cells.`,
          ]
        : []),
    ].join(' '),
    cells: shut,
  };
}

/** Whether what can be reached has as many passages as cells, or more: a circle may lie behind the goal, too. */
function hasCircle({ walls }: Grid, open: Uint8Array, far: Int32Array): boolean {
  const passages = open.reduce((sum, is, wall) => sum + (is && far[walls.one[wall]!]! >= 0 ? 1 : 0), 0);
  return passages >= cellsWhere(far, (steps) => steps >= 0).length;
}

const cellsWhere = (values: ArrayLike<number>, is: (value: number) => boolean): number[] =>
  Array.from(values).flatMap((value, cell) => (is(value) ? [cell] : []));
