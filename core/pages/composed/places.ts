import type { Rect } from '../../print/index.ts';
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
export function placesOf(
  blocks: readonly Block[],
  placed: readonly { block: Block; rect: Rect }[],
): BlockPlace[] {
  const rects = new Map(placed.map(({ block, rect }) => [block, rect]));
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
