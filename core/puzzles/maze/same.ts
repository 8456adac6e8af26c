import { leastText } from '../turned.ts';
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

/** What mazes share that are the same turned, mirrored or walked from the other end: where their cells and passages lie. */
export function sameMaze({ id, x, y, walls, bridged }: Grid, { open, start, goal }: Maze): string {
  const ways = WAYS.map((way) => {
    const places = Array.from(x, (across, cell) => way(across, y[cell]!));
    const left = Math.min(...places.map(([px]) => px));
    const top = Math.min(...places.map(([, py]) => py));
    const place = (cell: number): string => {
      const [px, py] = places[cell]!;
      // What lies under a bridge is at the place of another cell.
      const under = bridged && cell >= bridged.cells ? 'u' : '';
      return `${Math.round((px - left) * PRECISION)},${Math.round((py - top) * PRECISION)}${under}`;
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
