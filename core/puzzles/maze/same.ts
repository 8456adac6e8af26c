import { leastText } from '../turned.ts';
import { floorOf, placeOnFloor } from './floors.ts';
import type { Grid } from './grid.ts';
import type { Maze } from './make.ts';

/** Parts of a cell that places are told apart by. */
const PRECISION = 1000;

/** The eight ways to turn and to mirror a place. */
const WAYS: readonly ((x: number, y: number) => [x: number, y: number])[] = [
  (x, y) => [x, y],
  (x, y) => [-x, y],
  (x, y) => [x, -y],
  (x, y) => [-x, -y],
  (x, y) => [y, x],
  (x, y) => [-y, x],
  (x, y) => [y, -x],
  (x, y) => [-y, -x],
];

/** What mazes share that are the same turned, mirrored, upside down or walked from the other end: where their cells and passages lie. */
export function sameMaze(grid: Grid, { open, start, goal }: Maze): string {
  const { id, x, walls, bridged, floors } = grid;
  const turned = WAYS.map((way) => ({ way, isUpsideDown: false }));
  const all = floors ? [...turned, ...turned.map(({ way }) => ({ way, isUpsideDown: true }))] : turned;
  const ways = all.map(({ way, isUpsideDown }) => {
    const places = Array.from(x, (_, cell) => way(...placeOnFloor(grid, cell)));
    const left = Math.min(...places.map(([px]) => px));
    const top = Math.min(...places.map(([, py]) => py));
    const place = (cell: number): string => {
      const [px, py] = places[cell]!;
      // What lies under a bridge is at the place of another cell.
      const under = bridged && cell >= bridged.cells ? 'u' : '';
      const floor = floorOf(grid, cell);
      const on = floors ? `f${isUpsideDown ? floors.count - 1 - floor : floor}` : '';
      return `${Math.round((px - left) * PRECISION)},${Math.round((py - top) * PRECISION)}${under}${on}`;
    };
    return { place, ends: [place(start), place(goal)].sort().join(' ') };
  });
  // The ends say which way it is mostly: passages, of which there are hundreds, are written for few.
  const ends = leastText(ways.map((way) => way.ends));
  const passages = ways
    .filter((way) => way.ends === ends)
    .map(({ place }) => {
      const texts: string[] = [];
      open.forEach((is, wall) => {
        const [one, other] = [walls.one[wall]!, walls.other[wall]!];
        if (is && one >= 0 && other >= 0) texts.push([place(one), place(other)].sort().join(' '));
      });
      return texts.sort().join(';');
    });
  return `${id} ${x.length} ${ends} ${leastText(passages)}`;
}
