import * as v from 'valibot';
import { buildPath, type Mark } from '../../../scene/index.ts';
import { enumOf } from '../../../schema.ts';
import { points } from '../../paper/settings.ts';
import { defineBlock, words as shortText } from '../block.ts';
import { rule, sizes, words } from '../pen.ts';

/** Marks from one number to the next, by the unit that is counted: those that are longer, and so many of all. */
const MARKS = {
  cm: { parts: 10, longer: 5 },
  in: { parts: 16, longer: 8 },
} as const;

const HEIGHT = 3;

/** A ruler at its true size on the printed page, to measure a leaf, a fish or a stitch by. */
export const ruler = defineBlock({
  type: 'ruler',
  name: 'Ruler',
  entries: {
    unit: v.optional(enumOf(['cm', 'in']), 'in'),
    caption: shortText(40),
  },
  least: () => HEIGHT,
  step: () => 0,
  draw({ unit, caption }, rect, pen) {
    const { parts, longer } = MARKS[unit];
    const step = points(1, unit === 'cm' ? 'cm' : 'in') / parts;
    const count = Math.floor((rect.width - 1) / step + 1e-6);
    const edge = rect.y + 1;
    const own = sizes(pen);
    const path = buildPath(2 * (count + 1));
    const numbers: Mark[] = [];
    for (let i = 0; i <= count; i++) {
      const x = rect.x + 0.5 + i * step;
      const whole = i % parts === 0;
      const length =
        (whole ? 1.5 : i % longer === 0 ? 1.1 : i % 2 === 0 || unit === 'cm' ? 0.7 : 0.45) * pen.unit;
      path.move(x, edge).line(x, edge + length);
      if (whole && i > 0)
        numbers.push(
          ...words(pen, String(i / parts), {
            x,
            y: edge + length + own.small * 0.95,
            align: i + longer > count ? 'right' : 'center',
            size: own.small,
          }),
        );
    }
    return [
      rule([rect.x, edge], [rect.x + count * step + 1, edge], 0.9, 0.1),
      { type: 'path', path: path.done(), stroke: { width: 0.75, paint: { gray: 0.1 } } },
      ...numbers,
      ...words(pen, caption || unit, {
        x: rect.x + 2,
        y: edge + 1.5 * pen.unit + own.small * 0.95,
        size: own.small,
        face: pen.look.faces.note,
        width: step * parts - own.small * 1.4,
      }),
    ];
  },
});
