import type { Rect } from '../../../print/index.ts';
import { breakLines, type Mark, textLine } from '../../../scene/index.ts';
import { phase } from '../../blocks/icons.ts';
import { type Pen, size, sizes } from '../../blocks/pen.ts';
import { plannerBlock } from '../block.ts';
import type { ShownDay } from '../calendar.ts';

/** Nothing is set smaller, in points. */
const LEAST = 7;
const LEADING = 1.14;

/** The texts of a day as lines, at the small size of the page or, where that does not hold them all, at the least. */
function fitted(
  pen: Pen,
  texts: readonly string[],
  { width, height }: Pick<Rect, 'width' | 'height'>,
): { size: number; lines: string[]; left: string[] } {
  const face = pen.look.faces.note;
  const attempt = (set: number) => {
    const most = Math.max(0, Math.floor((height - set) / (set * LEADING) + 1 + 1e-6));
    const lines: string[] = [];
    const left: string[] = [];
    for (const text of texts) {
      const own = breakLines(pen.type, text, face, set, width);
      const fits =
        lines.length + own.length <= most &&
        own.every((line) => pen.type.width(line, face, set) <= width + 0.5);
      // Nothing is cut: a text stands whole, or not at all.
      if (fits) lines.push(...own);
      else left.push(text);
    }
    return { size: set, lines, left };
  };
  const small = attempt(sizes(pen).small);
  return small.left.length === 0 ? small : attempt(LEAST);
}

/** What is on a day, in a box, from its upper edge down, or in the middle of its height. `roomFor` tells of what is left out. */
export function dayTexts(pen: Pen, { texts }: ShownDay, box: Rect, middle = false): Mark[] {
  if (texts.length === 0) return [];
  const { size: set, lines } = fitted(pen, texts, box);
  const style = { face: pen.look.faces.note, size: set, color: { gray: 0 } };
  const height = set * (1 + (lines.length - 1) * LEADING);
  const top = box.y + (middle ? (box.height - height) / 2 : 0);
  return lines.map((line, i) => textLine(pen.type, line, style, box.x, top + set * (0.86 + i * LEADING)));
}

/** Whether all that is on a day finds room in a box. */
export const roomFor = (pen: Pen, { texts }: ShownDay, box: Rect): boolean =>
  fitted(pen, texts, box).left.length === 0;

/** Names the days whose texts found no room, or null. */
export const toldOf = (crowded: readonly ShownDay[]): string | null =>
  crowded.length === 0
    ? null
    : `no room for ${crowded
        .map(({ day, texts }) => `“${texts.join(', ')}” on ${day}`)
        .join(', ')}. Shorten the text, or use a larger trim.`;

/** The phase of the moon on a day, its middle at a point. */
export const moonAt = (pen: Pen, { moon }: ShownDay, x: number, y: number): Mark[] =>
  moon === null ? [] : phase(x, y, size(pen, 2.6), moon);

/** Higher than any text, in points. */
const MOST_HIGH = 300;

/** All that is on a day, on as many lines as it takes. */
export const onDay = plannerBlock<{ day: ShownDay }>('on-day', {
  least: ({ day: { texts } }, width, pen) => {
    const { size: set, lines } = fitted(pen, texts, { width, height: MOST_HIGH });
    return Math.ceil((set * (0.86 + lines.length * LEADING)) / pen.unit);
  },
  step: () => 0,
  draw: ({ day }, rect, pen) => dayTexts(pen, day, rect),
});
