import { printLetters } from '../../letters/print.ts';
import { readPath } from '../../scene/index.ts';
import { all, type Solid, thick } from './solid.ts';

/** Straight pieces that a curve is taken for. */
const PIECES = 8;
/** Half the width of a stroke; so wide that words lie in it. */
const REACH = 0.2;

/** Capitals and digits that can be outlines. */
export const OUTLINE_LETTERS: readonly string[] = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789'];

/** A capital or a digit as broad strokes that fill the square. @throws RangeError for any other letter */
export function letterSolid(letter: string): Solid {
  const drawn = OUTLINE_LETTERS.includes(letter) ? printLetters()[letter] : undefined;
  if (!drawn) throw new RangeError(`“${letter}” is no capital from A to Z and no digit.`);
  const lines: [number, number][][] = [];
  for (const { path } of drawn.strokes) {
    const points: [number, number][] = [];
    let [fromX, fromY] = [0, 0];
    const to = (x: number, y: number) => {
      points.push([x, y]);
      [fromX, fromY] = [x, y];
    };
    readPath(path, {
      move: to,
      line: to,
      curve(x1, y1, x2, y2, x, y) {
        const [x0, y0] = [fromX, fromY];
        for (let i = 1; i <= PIECES; i++) {
          const t = i / PIECES;
          const s = 1 - t;
          points.push([
            s ** 3 * x0 + 3 * s * s * t * x1 + 3 * s * t * t * x2 + t ** 3 * x,
            s ** 3 * y0 + 3 * s * s * t * y1 + 3 * s * t * t * y2 + t ** 3 * y,
          ]);
        }
        [fromX, fromY] = [x, y];
      },
      close() {},
    });
    lines.push(points);
  }
  const xs = lines.flat().map(([x]) => x);
  const ys = lines.flat().map(([, y]) => y);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const inner = 1 - REACH;
  // A letter without width, such as I, stands in the middle.
  const across = (x: number) => (right - left < 1e-6 ? 0 : ((2 * (x - left)) / (right - left) - 1) * inner);
  const down = (y: number) => (1 - (2 * (y - low)) / (high - low)) * inner;
  return all(
    ...lines.map((points) => thick(REACH, ...points.map(([x, y]) => [across(x), down(y)] as const))),
  );
}
