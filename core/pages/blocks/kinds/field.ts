import * as v from 'valibot';
import type { Rect } from '../../../print/index.ts';
import type { Mark } from '../../../scene/index.ts';
import { enumOf, exactObject, integerBetween, numberBetween, text } from '../../../schema.ts';
import { points } from '../../paper/settings.ts';
import { words as shortText, wordList } from '../block.ts';
import { face, ICONS, icon, phase } from '../icons.ts';
import {
  boxed,
  centered,
  checkBox,
  checkSize,
  label,
  labelWidth,
  leastWordsWidth,
  type Pen,
  size,
  sizes,
  words,
  writingLine,
} from '../pen.ts';

/** What a row is made of: one small drawing again and again, or a series. */
export const ROW_ICONS = [...ICONS, 'faces', 'weather', 'phases'] as const;

/** Something to fill in: a line behind its label, answers to tick, or icons to mark. */
export const field = exactObject({
  label: text(0, 40),
  width: v.optional(numberBetween(0.1, 20), 1),
  unit: shortText(12),
  options: v.optional(wordList(8, 24), []),
  icon: v.optional(enumOf(ROW_ICONS)),
  count: v.optional(integerBetween(1, 10), 5),
});
export type Field = v.InferOutput<typeof field>;

const WEATHER = ['sun', 'cloud', 'rain', 'snow'] as const;
export const ICON_EDGE = 4.8;
/** The shortest line that a word can be written on, in millimeters. */
export const LEAST_LINE = 9;

/** The smallest icon that is marked by hand, with what is free beside it, in millimeters. */
const LEAST_ICON = 4;

const iconsIn = (which: NonNullable<Field['icon']>, count: number): number =>
  which === 'weather' || which === 'phases' ? WEATHER.length : count;

/** Icons in a row, the first at `x`, their middles at `y`. @returns where the row ends, too */
export function iconRow(
  pen: Pen,
  which: NonNullable<Field['icon']>,
  count: number,
  x: number,
  y: number,
  room: number,
): { marks: Mark[]; end: number } {
  const all = iconsIn(which, count);
  // Closer, and then smaller, where there is little room.
  const edge = Math.min(size(pen, ICON_EDGE), room / (1 + (all - 1) * 1.12));
  const step = Math.min(edge * 1.35, (room - edge) / Math.max(1, all - 1));
  const marks = Array.from({ length: all }, (_, i) => {
    const at = x + edge / 2 + i * step;
    if (which === 'faces') return face(at, y, edge, all > 1 ? i / (all - 1) : 1);
    if (which === 'phases') return phase(at, y, edge, i);
    return icon(which === 'weather' ? WEATHER[i]! : which, at, y, edge);
  }).flat();
  return { marks, end: x + edge + (all - 1) * step };
}

/**
 * Shares of a width by weight, none of them below its least as long as there is room for that: what is too narrow is given its least,
 * and the rest is shared out again (CSS Flexible Box Layout, resolving flexible lengths, of boxes that grow from 0).
 */
function widthsOf(row: readonly { width: number }[], room: number, least: readonly number[]): number[] {
  const narrow = new Set<number>();
  for (;;) {
    const free = row.reduce((left, _, i) => left - (narrow.has(i) ? least[i]! : 0), room);
    const weights = row.reduce((all, { width }, i) => all + (narrow.has(i) ? 0 : width), 0);
    const shares = row.map(({ width }, i) => (narrow.has(i) ? least[i]! : (free * width) / weights));
    const more = shares.flatMap((share, i) => (share < least[i]! ? [i] : []));
    if (more.length === 0) return shares;
    for (const i of more) narrow.add(i);
  }
}

/**
 * What stands beside each other, each with its share of the width.
 * @param least what one needs, in points; without it, and where there is too little room for all, weights alone count
 * @returns the place of each
 */
export function shared<One extends { width: number }>(
  row: readonly One[],
  { x, width }: Pick<Rect, 'x' | 'width'>,
  gap: number,
  least: ((of: One) => number) | null = null,
): { of: One; x: number; width: number }[] {
  const room = width - gap * (row.length - 1);
  const needed = row.map((of) => least?.(of) ?? 0);
  const fits = needed.reduce((sum, one) => sum + one, 0) <= room;
  const widths = widthsOf(row, room, fits ? needed : row.map(() => 0));
  let at = x;
  return row.map((of, i) => {
    const place = { of, x: at, width: widths[i]! };
    at += widths[i]! + gap;
    return place;
  });
}

/** The least width of a field with what stands behind its label, in points. */
export function leastFieldWidth(pen: Pen, { label: said, options, icon: drawn, count, unit }: Field): number {
  const before = said ? labelWidth(pen, said) + size(pen, 1.8) : 0;
  if (options.length) return before + leastOptionsWidth(pen, options);
  if (drawn) return before + iconsIn(drawn, count) * points(LEAST_ICON, 'mm');
  const behind = unit ? labelWidth(pen, unit) + size(pen, 1.2) : 0;
  return before + points(LEAST_LINE, 'mm') + behind;
}

/** What is left of a field to write in, in points. */
export function writingRoom(
  pen: Pen,
  { label: said, options, icon: drawn, unit }: Field,
  width: number,
): number {
  if (options.length || drawn) return Infinity;
  return (
    width -
    (said ? labelWidth(pen, said) + size(pen, 1.5) : 0) -
    (unit ? labelWidth(pen, unit) + size(pen, 1.2) : 0)
  );
}

/** A field on a line: its label, and behind it what is filled in. The line stands at `y`. */
export function drawField(
  pen: Pen,
  given: Field,
  { x, width }: Pick<Rect, 'x' | 'width'>,
  y: number,
): Mark[] {
  const own = sizes(pen);
  const baseline = y - 0.22 * own.label;
  const marks = given.label ? label(pen, given.label, { x, y: baseline, width }) : [];
  const from = given.label ? x + Math.min(width, labelWidth(pen, given.label)) + size(pen, 1.8) : x;
  const right = x + width;
  const middle = baseline - 0.3 * own.label;
  if (right - from <= 0) return marks;
  if (given.options.length) return [...marks, ...optionsRow(pen, given.options, from, middle, right - from)];
  if (given.icon)
    return [...marks, ...iconRow(pen, given.icon, given.count, from, middle, right - from).marks];
  const unitWidth = given.unit ? labelWidth(pen, given.unit, own.small) + size(pen, 1.2) : 0;
  if (pen.look.field === 'pill' && right - from > size(pen, 6)) {
    const height = 1.45 * pen.unit;
    const pill = { x: from, y: y - height * 0.85, width: right - from - unitWidth, height };
    marks.push(boxed(pen, pill, { fill: 0.93, weight: 0, radius: height / 2 }));
  } else if (right - unitWidth > from) marks.push(writingLine(pen, from, right - unitWidth, y));
  if (given.unit)
    marks.push(
      ...label(pen, given.unit, {
        x: right,
        y: baseline,
        align: 'right',
        size: own.small,
        width: right - from,
      }),
    );
  return marks;
}

/** Size of an answer, beside that of text. */
const ANSWER = 0.92;

/** Where answers to tick stand: each in a slot of its own, narrower together where there is little room. */
function slots(pen: Pen, options: readonly string[], x: number, room: number) {
  const own = sizes(pen);
  const gap = size(pen, 1.2);
  const edge = Math.min(checkSize(pen), (room / options.length) * 0.5);
  const wide = options.map((one) => edge + gap + pen.type.width(one, pen.look.faces.text, own.text * ANSWER));
  const least = size(pen, 1.5);
  const all = wide.reduce((sum, one) => sum + one + least, 0);
  const share = Math.min(1, room / all);
  const between = Math.min(size(pen, 5), Math.max(0, (room - all) / options.length));
  let at = x;
  return options.map((said, i) => {
    const slot = (wide[i]! + least) * share;
    const place = { said, x: at, from: at + edge + gap, width: slot - edge - gap - least * share };
    at += slot + between;
    return { ...place, edge };
  });
}

/** Boxes to tick with their words. */
const optionsRow = (pen: Pen, options: readonly string[], x: number, middle: number, room: number): Mark[] =>
  slots(pen, options, x, room).flatMap(({ said, x: left, from, width, edge }) => [
    checkBox(pen, left + edge / 2, middle, edge),
    ...answer(pen, said, from, middle, width),
  ]);

const answer = (pen: Pen, said: string, x: number, middle: number, width: number): Mark[] =>
  words(pen, said, { x, y: centered(pen, middle), size: sizes(pen).text * ANSWER, width: width + 0.5 });

/** The least width in which the words of all answers are drawn: the one that comes shortest says how narrow all may be. */
function leastOptionsWidth(pen: Pen, options: readonly string[]): number {
  const set = sizes(pen).text * ANSWER;
  const before = checkSize(pen) + size(pen, 1.2);
  const parts = options.map((one) => ({
    wide: before + pen.type.width(one, pen.look.faces.text, set),
    least: before + leastWordsWidth(pen, one, set),
  }));
  const share = Math.max(...parts.map(({ wide, least }) => least / wide));
  return share * parts.reduce((sum, { wide }) => sum + wide + size(pen, 1.5), 0);
}

/** Whether the words of all answers are large enough to be read. */
export function optionsFit(pen: Pen, { label: said, options }: Field, width: number): boolean {
  if (options.length === 0) return true;
  const room = width - (said ? labelWidth(pen, said) + size(pen, 1.8) : 0);
  return (
    room > 0 && slots(pen, options, 0, room).every((one) => answer(pen, one.said, 0, 0, one.width).length > 0)
  );
}
