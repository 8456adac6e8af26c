import * as v from 'valibot';
import type { Rect } from '../../../print/index.ts';
import type { FaceId, Mark, Typesetter } from '../../../scene/index.ts';
import { BLACK, fitText, textLine } from '../../../scene/index.ts';
import { numberBetween, text } from '../../../schema.ts';
import { defineBlock, words as shortText, unitsOf } from '../block.ts';
import { type Pen, sizes, words } from '../pen.ts';

const MOST_LINES = 8;

const set = (type: Typesetter, said: string, face: FaceId, width: number, max: number) =>
  fitText(
    type,
    said,
    face,
    { width, height: max * 1.25 * MOST_LINES },
    { max, min: Math.min(max, 9), lines: MOST_LINES, leading: 1.2 },
  );

const drawn = (
  pen: Pen,
  said: string,
  face: FaceId,
  max: number,
  { x, y, width }: { x: number; y: number; width: number },
): { marks: Mark[]; bottom: number } => {
  const fitted = set(pen.type, said, face, width, max);
  const marks = fitted.lines.map((line, i) =>
    textLine(
      pen.type,
      line,
      { face, size: fitted.size, color: BLACK, direction: fitted.direction },
      x + width / 2,
      y + fitted.size * 0.95 + i * fitted.leading,
      'center',
    ),
  );
  return { marks, bottom: y + fitted.height };
};

const MARGIN = 0.94;

/** Room for who said it, below the words, in points. */
const forName = (pen: Pen, by: string): number => (by ? sizes(pen).small * 1.8 : 0);

const name = (pen: Pen, by: string, { x, width }: Pick<Rect, 'x' | 'width'>, below: number): Mark[] =>
  by
    ? words(pen, by, {
        x: x + width / 2,
        y: below + sizes(pen).small * 1.4,
        align: 'center',
        size: sizes(pen).small,
      })
    : [];

/** A question or a task, large, in balanced lines. */
export const prompt = defineBlock({
  type: 'prompt',
  name: 'Prompt',
  fresh: { text: 'What was the best of today?' },
  entries: { text: text(1, 300), size: v.optional(numberBetween(10, 30), 19), by: shortText(60) },
  least: (block, width, pen) =>
    unitsOf(
      set(pen.type, block.text, pen.look.faces.title, width * MARGIN, block.size * pen.typeScale).height +
        forName(pen, block.by) +
        pen.unit * 0.9,
      pen,
    ),
  step: () => 0,
  draw(block, rect, pen) {
    const { marks, bottom } = drawn(pen, block.text, pen.look.faces.title, block.size * pen.typeScale, {
      x: rect.x + (rect.width * (1 - MARGIN)) / 2,
      y: rect.y + pen.unit * 0.2,
      width: rect.width * MARGIN,
    });
    return [...marks, ...name(pen, block.by, rect, bottom)];
  },
});

/** Somebody's words, with their name below. */
export const quotation = defineBlock({
  type: 'quotation',
  name: 'Quotation',
  fresh: { text: 'What is written down is not forgotten.' },
  entries: { text: text(1, 300), by: shortText(60) },
  least: (block, width, pen) =>
    unitsOf(
      set(pen.type, block.text, pen.look.faces.note, width * MARGIN, sizes(pen).text * 1.15).height +
        forName(pen, block.by) +
        pen.unit * 0.9,
      pen,
    ),
  step: () => 0,
  draw(block, rect, pen) {
    const { marks, bottom } = drawn(pen, block.text, pen.look.faces.note, sizes(pen).text * 1.15, {
      x: rect.x + (rect.width * (1 - MARGIN)) / 2,
      y: rect.y + pen.unit * 0.3,
      width: rect.width * MARGIN,
    });
    return [...marks, ...name(pen, block.by, rect, bottom)];
  },
});

/** A short remark on one line. */
export const note = defineBlock({
  type: 'note',
  name: 'Remark',
  fresh: { text: 'A remark in small letters.' },
  entries: { text: text(1, 160) },
  least: () => 2,
  step: () => 0,
  draw: (block, rect, pen) =>
    words(pen, block.text, {
      x: rect.x,
      y: rect.y + pen.unit * 1.25,
      width: rect.width,
      face: pen.look.faces.note,
      size: sizes(pen).small * 1.05,
    }),
});

/** Room left free, in units of half a line. */
export const space = defineBlock({
  type: 'space',
  name: 'Free room',
  entries: { units: v.optional(numberBetween(1, 40), 2) },
  least: ({ units }) => Math.round(units),
  step: () => 1,
  draw: () => [],
});
