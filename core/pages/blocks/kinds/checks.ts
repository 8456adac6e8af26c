import * as v from 'valibot';
import { integerBetween } from '../../../schema.ts';
import { defineBlock, words as shortText, wordList } from '../block.ts';
import { centered, checkBox, checkSize, size, sizes, TITLE, title, words, writingLine } from '../pen.ts';

const ROW = 2;

/** Boxes to tick: of things that are named, or with lines to name them on. */
export const checks = defineBlock({
  type: 'checks',
  name: 'Check list',
  fresh: { title: 'To do' },
  entries: {
    title: shortText(),
    items: v.optional(wordList(40), []),
    lines: v.optional(integerBetween(1, 40), 3),
    columns: v.optional(integerBetween(1, 4), 1),
  },
  least: ({ title: said, items, lines, columns }) =>
    (said ? TITLE : 0) + ROW * Math.ceil((items.length || lines) / columns),
  step: ({ items }) => (items.length ? 0 : ROW),
  cut: {
    rows: ({ items, lines, columns }) => Math.ceil((items.length || lines) / columns),
    at(block, rows) {
      const { items, lines, columns } = block;
      const first = rows * columns;
      return items.length
        ? [
            { ...block, items: items.slice(0, first) },
            { ...block, title: '', items: items.slice(first) },
          ]
        : [
            { ...block, lines: first },
            { ...block, title: '', lines: lines - first },
          ];
    },
  },
  draw(block, rect, pen) {
    const top = rect.y + (block.title ? TITLE * pen.unit : 0);
    const height = ROW * pen.unit;
    const rows = block.items.length
      ? Math.ceil(block.items.length / block.columns)
      : Math.floor((rect.y + rect.height - top) / height + 1e-6);
    const gap = size(pen, 4);
    const width = (rect.width - gap * (block.columns - 1)) / block.columns;
    const edge = checkSize(pen);
    const own = sizes(pen);
    const count = block.items.length || rows * block.columns;
    const rowsOf = Array.from({ length: count }, (_, i) => {
      const x = rect.x + Math.floor(i / rows) * (width + gap);
      const line = top + ((i % rows) + 1) * height;
      const middle = line - height * 0.36;
      const from = x + edge + size(pen, 2);
      return [
        checkBox(pen, x + edge / 2, middle),
        ...(block.items.length
          ? words(pen, block.items[i]!, {
              x: from,
              y: centered(pen, middle, own.text),
              width: width - edge - size(pen, 2),
            })
          : [writingLine(pen, from, x + width, line)]),
      ];
    }).flat();
    return [...(block.title ? title(pen, block.title, rect) : []), ...rowsOf];
  },
});
