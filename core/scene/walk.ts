import { type Bounds, intersection, pathBounds } from './bounds.ts';
import type { GroupMark, ImageMark, Mark, PathMark, SymbolMark, TextMark } from './marks.ts';
import { IDENTITY, type Matrix, multiply } from './matrix.ts';

/** Where a mark stands: what the groups round it do to it. */
export interface Place {
  matrix: Matrix;
  /** It, or a group round it, belongs to the ground of the sheet. */
  background: boolean;
  /** The box of what the groups round it leave of it; null when none of them cuts. */
  clip: Bounds | null;
}

export const SHEET: Place = { matrix: IDENTITY, background: false, clip: null };

type Named = { background?: boolean; sourceField?: string };

/** What a walk calls. Parts that are left out are passed over. */
export interface Visitor {
  path?(mark: PathMark & Named, place: Place): void;
  text?(mark: TextMark & Named, place: Place): void;
  image?(mark: ImageMark & Named, place: Place): void;
  /** Before the marks of a group. @returns `taken` when it has seen to the whole group, which is then not walked */
  enter?(mark: GroupMark, place: Place): 'taken' | undefined;
  /** After the marks of a group that was not taken. */
  leave?(mark: GroupMark): void;
  /** @returns `taken` when it places the drawing as one; otherwise the drawing's marks are walked at its place */
  symbol?(mark: SymbolMark, place: Place): 'taken' | undefined;
}

/** Goes through marks in the order in which they are painted: the one walk of every renderer, measure and check. */
export function walk(marks: readonly Mark[], visitor: Visitor, place: Place = SHEET): void {
  for (const mark of marks) {
    const here = mark.background && !place.background ? { ...place, background: true } : place;
    switch (mark.type) {
      case 'path':
        visitor.path?.(mark, here);
        break;
      case 'text':
        visitor.text?.(mark, here);
        break;
      case 'image':
        visitor.image?.(mark, here);
        break;
      case 'group':
        if (visitor.enter?.(mark, here) === 'taken') break;
        walk(mark.marks, visitor, inside(mark, here));
        visitor.leave?.(mark);
        break;
      case 'symbol':
        if (visitor.symbol?.(mark, here) === 'taken') break;
        walk(mark.drawing.marks, visitor, { ...here, matrix: multiply(here.matrix, mark.matrix) });
    }
  }
}

/** The place of the marks in a group. */
export function inside(group: GroupMark, place: Place): Place {
  const matrix = group.matrix ? multiply(place.matrix, group.matrix) : place.matrix;
  const clip = group.clip ? intersection(pathBounds(group.clip.path, matrix), place.clip) : place.clip;
  return { ...place, matrix, clip };
}
