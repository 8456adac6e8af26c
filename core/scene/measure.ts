import { type Bounds, markBounds } from './bounds.ts';
import type { InkMark, Mark } from './marks.ts';
import type { Matrix } from './matrix.ts';
import type { Typesetter } from './typesetter.ts';
import { type Place, SHEET, walk } from './walk.ts';

/** Calls `each` for every mark that leaves ink, with its place. */
export function eachMark(
  marks: readonly Mark[],
  each: (mark: InkMark & { background?: boolean; sourceField?: string }, place: Place) => void,
): void {
  walk(marks, { path: each, text: each, image: each });
}

/** The box round the ink of marks; null when they leave none. */
export function boundsOf(marks: readonly Mark[], type: Typesetter, matrix?: Matrix): Bounds | null {
  let all: Bounds | null = null;
  const grow = (mark: InkMark, place: Place) => {
    const box = markBounds(mark, place.matrix, type, place.clip);
    if (!box) return;
    if (!all) {
      all = box;
      return;
    }
    all.left = Math.min(all.left, box.left);
    all.top = Math.min(all.top, box.top);
    all.right = Math.max(all.right, box.right);
    all.bottom = Math.max(all.bottom, box.bottom);
  };
  walk(marks, { path: grow, text: grow, image: grow }, matrix ? { ...SHEET, matrix } : SHEET);
  return all;
}
