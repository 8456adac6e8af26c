import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import type { Cage } from '../../puzzles/sudoku/index.ts';
import { BLACK, buildPath, type Mark, type Path, rectPath, type Typesetter } from '../../scene/index.ts';

/** Outlines of cages lie so far inside their cells, as a share of a cell, in short dashes. */
const INSET = 0.075;
const LINE = { width: 0.75, gray: 0.2, dash: [2.2, 1.8] } as const;
/** Sums by the side of a cell, between these sizes in points. */
const SUM = { share: 0.25, least: 7, most: 14 } as const;
/** Free around a sum, as a share of its size. */
const AROUND = 0.14;

/** The outline of each cage, inside its cells: straight from corner to corner, so that dashes begin at corners. */
function outlines(cages: readonly Cage[], size: number, { x, y, width }: Rect): Path {
  const cell = width / size;
  const inset = cell * INSET;
  const path = buildPath();
  for (const { cells } of cages) {
    const has = (row: number, column: number) =>
      row >= 0 && row < size && column >= 0 && column < size && cells.includes(row * size + column);
    for (const upright of [false, true])
      for (const side of [-1, 1])
        for (let line = 0; line < size; line++) {
          const inCage = (i: number, beside = 0): boolean =>
            upright ? has(i, line + beside) : has(line + beside, i);
          const edge = (i: number): boolean => inCage(i) && !inCage(i, side);
          for (let from = 0; from < size; from++) {
            if (!edge(from)) continue;
            let to = from;
            while (edge(to + 1)) to++;
            // It ends inside its own cell, or runs on to where the outline turns the other way.
            const begin = from * cell + (inCage(from - 1) ? -inset : inset);
            const end = (to + 1) * cell + (inCage(to + 1) ? inset : -inset);
            const at = (line + (side < 0 ? 0 : 1)) * cell - side * inset;
            if (upright) path.move(x + at, y + begin).line(x + at, y + end);
            else path.move(x + begin, y + at).line(x + end, y + at);
            from = to;
          }
        }
  }
  return path.done();
}

/**
 * The cages of a killer sudoku: outlines, and the sum of each in the upper left of its first cell.
 * @param box of the grid, inside the middle of its outer line
 */
export function drawCages(
  cages: readonly Cage[],
  size: number,
  box: Rect,
  { type, face, sums }: { type: Typesetter; face: FaceId; sums: boolean },
): Mark[] {
  const cell = box.width / size;
  const { width, gray, dash } = LINE;
  const marks: Mark[] = [
    { type: 'path', path: outlines(cages, size, box), stroke: { width, paint: { gray }, dash: [...dash] } },
  ];
  if (!sums) return marks;
  const widest = Math.max(...cages.map(({ sum }) => type.width(String(sum), face, 1)));
  const wanted = Math.min(SUM.most, Math.max(SUM.least, cell * SUM.share));
  const set = Math.min(wanted, (cell * (1 - 2 * INSET)) / (widest + 2 * AROUND));
  const high = type.capHeight(face) * set;
  const free = set * AROUND;
  const inset = cell * INSET;
  for (const {
    cells: [first = 0],
    sum,
  } of cages) {
    const text = String(sum);
    // The outline gives way to the sum.
    const left = box.x + (first % size) * cell + inset - width / 2;
    const top = box.y + Math.floor(first / size) * cell + inset - width / 2;
    const ground = rectPath(left, top, type.width(text, face, set) + 2 * free, high + 2 * free);
    marks.push(
      { type: 'path', path: ground, fill: { gray: 1 } },
      { type: 'text', text, face, size: set, x: left + free / 2, y: top + free / 2 + high, color: BLACK },
    );
  }
  return marks;
}
