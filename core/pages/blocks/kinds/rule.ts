import * as v from 'valibot';
import { enumOf, integerBetween } from '../../../schema.ts';
import { defineBlock, words as shortText } from '../block.ts';
import {
  centered,
  checkBox,
  checkSize,
  label,
  size,
  sizes,
  TITLE,
  title,
  words,
  writingLines,
} from '../pen.ts';
import { cutLines } from './cut.ts';

/** From line to line, in units. */
const LINE = 2;

/** Lines to write on, under a title, numbered or with boxes to tick. */
export const ruleBlock = defineBlock({
  type: 'rule',
  name: 'Lines',
  fresh: { title: 'Notes' },
  entries: {
    title: shortText(),
    remark: shortText(80),
    lines: v.optional(integerBetween(1, 60), 3),
    most: v.optional(integerBetween(1, 60)),
    before: v.optional(enumOf(['none', 'number', 'bullet', 'box']), 'none'),
    /** Words before the first line, on it. */
    lead: shortText(),
  },
  least: ({ title: said, lines }) => (said ? TITLE : 0) + lines * LINE,
  step: () => LINE,
  cut: {
    // Numbers go on behind as many lines as there are before, which the page says and not the block.
    rows: ({ before, lines }) => (before === 'number' ? 0 : lines),
    at: (block, rows) => cutLines(block, rows, { title: '', remark: '', lead: '' }),
  },
  most: ({ title: said, most }) => (most ? (said ? TITLE : 0) + most * LINE : Infinity),
  draw(block, rect, pen) {
    const top = rect.y + (block.title ? TITLE * pen.unit : 0);
    const fitting = Math.floor((rect.y + rect.height - top) / (LINE * pen.unit) + 1e-6);
    const count = Math.min(fitting, block.most ?? fitting);
    const heights = Array.from({ length: count }, (_, i) => top + (i + 1) * LINE * pen.unit);
    const own = sizes(pen);
    const indent = block.before === 'none' ? 0 : size(pen, 6);
    const x = rect.x + indent;
    const right = rect.x + rect.width;
    const lead = block.lead
      ? label(pen, block.lead, { x, y: (heights[0] ?? top) - 0.22 * own.label, width: rect.width * 0.6 })
      : [];
    const leadText = lead[0];
    const from =
      leadText?.type === 'text'
        ? x +
          pen.type.width(leadText.text, leadText.face, leadText.size) +
          leadText.text.length * (leadText.tracking ?? 0) +
          size(pen, 1.8)
        : x;
    return [
      ...(block.title ? title(pen, block.title, rect, block.remark) : []),
      ...lead,
      ...(heights.length
        ? [
            writingLines(pen, from, right, heights.slice(0, 1)),
            ...(heights.length > 1 ? [writingLines(pen, x, right, heights.slice(1))] : []),
          ]
        : []),
      ...heights.flatMap((y, i) => {
        const middle = y - size(pen, 2.1);
        if (block.before === 'box') return [checkBox(pen, rect.x + checkSize(pen) / 2, middle)];
        if (block.before === 'bullet')
          return words(pen, '•', { x: rect.x + size(pen, 1), y: y - 0.22 * own.text });
        if (block.before === 'number')
          return words(pen, String(i + 1), {
            x: rect.x,
            y: centered(pen, middle, own.text * 1.25),
            face: pen.look.faces.title,
            size: own.text * 1.15,
          });
        return [];
      }),
    ];
  },
});
