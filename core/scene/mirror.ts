import type { Mark } from './marks.ts';
import type { Matrix } from './matrix.ts';
import type { Path } from './path.ts';
import { lineWidth } from './placed-glyphs.ts';
import type { Typesetter } from './typesetter.ts';

/**
 * Marks as they stand on a page that is read from the right: every place is mirrored about an upright line, while texts
 * and pictures are only moved and stay readable.
 * @param axis x of the line, in points
 */
export function mirroredMarks(marks: readonly Mark[], axis: number, type: Typesetter): Mark[] {
  return marks.map((mark) => mirrored(mark, axis, type));
}

function mirrored(mark: Mark, axis: number, type: Typesetter): Mark {
  switch (mark.type) {
    case 'path':
      return { ...mark, path: mirroredPath(mark.path, axis) };
    case 'text':
      return mark.centers
        ? { ...mark, centers: mark.centers.map((x) => 2 * axis - x) }
        : { ...mark, x: 2 * axis - mark.x - lineWidth(type, mark.text, mark) };
    case 'image':
      return { ...mark, x: 2 * axis - mark.x - mark.width };
    case 'group': {
      // What is placed by a matrix is mirrored about its own zero: large numbers would cost it its precision.
      const [inner, placed] = mark.matrix ? [0, { matrix: mirroredMatrix(mark.matrix, axis) }] : [axis, {}];
      return {
        ...mark,
        ...placed,
        ...(mark.clip ? { clip: { ...mark.clip, path: mirroredPath(mark.clip.path, inner) } } : {}),
        marks: mirroredMarks(mark.marks, inner, type),
      };
    }
    case 'symbol': {
      const { drawing, matrix, ...named } = mark;
      return mirrored({ ...named, type: 'group', matrix, marks: drawing.marks }, axis, type);
    }
  }
}

const mirroredPath = (path: Path, axis: number): Path => ({
  ops: path.ops,
  points: path.points.map((value, i) => (i % 2 === 0 ? 2 * axis - value : value)),
});

/** The matrix that puts what is mirrored about zero where the mirror about the axis shows it. */
const mirroredMatrix = ([a, b, c, d, e, f]: Matrix, axis: number): Matrix => [a, -b, -c, d, 2 * axis - e, f];
