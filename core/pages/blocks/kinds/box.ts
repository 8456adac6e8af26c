import * as v from 'valibot';
import { buildPath, type Mark } from '../../../scene/index.ts';
import { enumOf, integerBetween } from '../../../schema.ts';
import { dots } from '../../paper/lines.ts';
import { defineBlock, words as shortText } from '../block.ts';
import { boxed, rule, size, sizes, TITLE, title, words } from '../pen.ts';

/** A frame to write or draw in, empty or on dots, squares or lines. */
export const box = defineBlock({
  type: 'box',
  name: 'Box',
  fresh: { title: 'Ideas' },
  entries: {
    title: shortText(),
    remark: shortText(80),
    inside: v.optional(enumOf(['blank', 'dots', 'squares', 'lines']), 'blank'),
    least: v.optional(integerBetween(2, 60), 6),
  },
  least: ({ title: said, least }) => (said ? TITLE : 0) + least,
  step: () => 1,
  draw(block, rect, pen) {
    const top = block.title ? TITLE * pen.unit : 0;
    const inner = { ...rect, y: rect.y + top, height: rect.height - top };
    const marks: Mark[] = [];
    const cell = size(pen, 5);
    if (block.inside === 'lines') {
      for (let y = inner.y + 2 * pen.unit; y < inner.y + inner.height - pen.unit * 0.5; y += 2 * pen.unit)
        marks.push(rule([inner.x + size(pen, 2), y], [inner.x + inner.width - size(pen, 2), y], 0.75, 0.55));
    } else if (block.inside !== 'blank') {
      const columns = Math.floor((inner.width - 4) / cell);
      const rows = Math.floor((inner.height - 4) / cell);
      const x = inner.x + (inner.width - columns * cell) / 2;
      const y = inner.y + (inner.height - rows * cell) / 2;
      if (block.inside === 'dots') {
        const places: number[] = [];
        for (let row = 0; row <= rows; row++)
          for (let column = 0; column <= columns; column++) places.push(x + column * cell, y + row * cell);
        marks.push(dots(places, 1.1, { gray: 0.45, color: '' }));
      } else {
        for (let i = 0; i <= columns; i++)
          marks.push(rule([x + i * cell, y], [x + i * cell, y + rows * cell], 0.75, 0.62));
        for (let i = 0; i <= rows; i++)
          marks.push(rule([x, y + i * cell], [x + columns * cell, y + i * cell], 0.75, 0.62));
      }
    }
    if (block.inside !== 'squares') marks.push(boxed(pen, inner, { weight: 0.9, gray: 0.25 }));
    return [...(block.title ? title(pen, block.title, rect, block.remark) : []), ...marks];
  },
});

/** A place for a photograph or a drawing, with marks for its corners. */
export const picture = defineBlock({
  type: 'picture',
  name: 'Picture',
  entries: {
    caption: shortText(60),
    corners: v.optional(v.boolean(), true),
    least: v.optional(integerBetween(4, 60), 10),
  },
  least: ({ least }) => least,
  step: () => 1,
  draw(block, rect, pen) {
    const own = sizes(pen);
    const marks: Mark[] = [boxed(pen, rect, { weight: 0.9, gray: 0.3, radius: 0 })];
    if (block.corners) {
      const edge = size(pen, 6);
      const path = buildPath(16);
      for (const [x, y, dx, dy] of [
        [rect.x, rect.y, 1, 1],
        [rect.x + rect.width, rect.y, -1, 1],
        [rect.x, rect.y + rect.height, 1, -1],
        [rect.x + rect.width, rect.y + rect.height, -1, -1],
      ] as const)
        path
          .move(x, y)
          .line(x + dx * edge, y)
          .line(x, y + dy * edge)
          .close();
      marks.push({ type: 'path', path: path.done(), fill: { gray: 0.82 } });
    }
    if (block.caption)
      marks.push(
        ...words(pen, block.caption, {
          x: rect.x + rect.width / 2,
          y: rect.y + rect.height - size(pen, 2),
          align: 'center',
          width: rect.width - size(pen, 14),
          face: pen.look.faces.note,
          size: own.small,
          gray: 0.25,
        }),
      );
    return marks;
  },
});
