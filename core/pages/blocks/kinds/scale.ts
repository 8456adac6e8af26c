import * as v from 'valibot';
import { enumOf, integerBetween } from '../../../schema.ts';
import { defineBlock, words as shortText } from '../block.ts';
import { centered, circle, label, labelWidth, rule, size, sizes, words } from '../pen.ts';
import { iconRow, ROW_ICONS } from './field.ts';

/** Numbers in rings to mark one of, joined by a line. */
export const scale = defineBlock({
  type: 'scale',
  name: 'Scale',
  fresh: { label: 'Energy' },
  entries: {
    label: shortText(30),
    from: v.optional(integerBetween(0, 100), 1),
    to: v.optional(integerBetween(1, 100), 10),
    low: shortText(24),
    high: shortText(24),
  },
  least: ({ low, high }) => (low || high ? 4 : 3),
  step: () => 0,
  draw(block, rect, pen) {
    const own = sizes(pen);
    const middle = rect.y + 1.5 * pen.unit;
    const radius = Math.min(size(pen, 2.75), pen.unit * 0.85);
    const said = block.label
      ? label(pen, block.label, { x: rect.x, y: centered(pen, middle), width: rect.width * 0.4 })
      : [];
    const from = rect.x + (block.label ? labelWidth(pen, block.label) + size(pen, 4) : 0) + radius;
    const right = rect.x + rect.width - radius;
    const count = Math.max(2, Math.min(21, block.to - block.from + 1));
    const step = (right - from) / (count - 1);
    const below = middle + radius + own.small * 1.05;
    return [
      ...said,
      rule([from, middle], [right, middle], 0.75),
      ...Array.from({ length: count }, (_, i) => {
        const x = from + i * step;
        return [
          circle(x, middle, Math.min(radius, step * 0.45), { fill: 1, weight: 0.9, gray: 0 }),
          ...words(pen, String(block.from + i), {
            x,
            y: middle + own.small * 0.33,
            align: 'center',
            size: own.small,
            width: Math.min(radius, step * 0.45) * 1.7,
          }),
        ];
      }).flat(),
      ...(block.low
        ? words(pen, block.low, {
            x: from - radius,
            y: below,
            size: own.small,
            face: pen.look.faces.note,
            width: (right - from) * 0.45,
          })
        : []),
      ...(block.high
        ? words(pen, block.high, {
            x: rect.x + rect.width,
            y: below,
            align: 'right',
            size: own.small,
            face: pen.look.faces.note,
            width: (right - from) * 0.45,
          })
        : []),
    ];
  },
});

/** Faces, drops, stars or other small drawings in a row, to mark. */
export const icons = defineBlock({
  type: 'icons',
  name: 'Row to mark',
  fresh: { label: 'Mood', icon: 'faces' },
  entries: {
    label: shortText(30),
    icon: enumOf(ROW_ICONS),
    count: v.optional(integerBetween(1, 12), 5),
  },
  least: () => 2,
  step: () => 0,
  draw(block, rect, pen) {
    const middle = rect.y + pen.unit;
    const from = rect.x + (block.label ? labelWidth(pen, block.label) + size(pen, 3) : 0);
    return [
      ...(block.label
        ? label(pen, block.label, { x: rect.x, y: centered(pen, middle), width: rect.width * 0.6 })
        : []),
      ...iconRow(pen, block.icon, block.count, from, middle, rect.x + rect.width - from).marks,
    ];
  },
});
