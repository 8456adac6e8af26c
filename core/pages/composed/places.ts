import type { Rect } from '../../print/index.ts';
import type { Arranged } from '../blocks/arrange.ts';
import type { Block } from '../blocks/block.ts';
import type { BlockPath } from './edit-design.ts';

/** Where a block of a design has come to stand on the page, in points. */
export interface BlockPlace {
  path: BlockPath;
  rect: Rect;
}

const around = (rects: readonly Rect[]): Rect => {
  const x = Math.min(...rects.map((rect) => rect.x));
  const y = Math.min(...rects.map((rect) => rect.y));
  return {
    x,
    y,
    width: Math.max(...rects.map((rect) => rect.x + rect.width)) - x,
    height: Math.max(...rects.map((rect) => rect.y + rect.height)) - y,
  };
};

/** Finds all blocks again that stand on a page; those that hold others are as large as what they hold. */
export function placesOf(blocks: readonly Block[], placed: readonly Arranged[]): BlockPlace[] {
  const rects = new Map<Block, Rect>();
  for (const { block, rect, insteadOf = block } of placed) {
    const before = rects.get(insteadOf);
    rects.set(insteadOf, before ? around([before, rect]) : rect);
  }
  const found: BlockPlace[] = [];
  const look = (list: readonly Block[], above: BlockPath): Rect[] =>
    list.flatMap((block, i) => {
      const path = [...above, i];
      const at = found.length;
      const inside = block.of ? look(block.of, path) : [];
      const rect = rects.get(block) ?? (inside.length ? around(inside) : null);
      if (!rect) return [];
      found.splice(at, 0, { path, rect });
      return [rect];
    });
  look(blocks, []);
  return found;
}
