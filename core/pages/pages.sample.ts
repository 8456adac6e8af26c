import fc from 'fast-check';
import * as v from 'valibot';
import { expect } from 'vitest';
import { type Book, drawPage, frameOf } from '../book/index.ts';
import { LARGE_TYPES, type LargeType } from '../print/index.ts';
import { eachMark, markBounds, type Typesetter } from '../scene/index.ts';
import { type Field, fieldsOf, isElsewhere } from '../settings.ts';
import { pageKind } from './index.ts';

/** Trims of pages to write in, small to large and wide. */
export const TRIMS = [
  ['5in', '8in'],
  ['6in', '9in'],
  ['7in', '10in'],
  ['8.5in', '11in'],
  ['8.25in', '6in'],
  ['148mm', '210mm'],
] as const;

/** What pages of a book depend on besides their options. */
export const anySetting = fc.record({
  bleed: fc.boolean(),
  margins: fc.constantFrom('page', 'service'),
  largePrint: fc.boolean(),
  largeType: fc.constantFrom(undefined, ...LARGE_TYPES),
  edge: fc.constantFrom('bottom', 'top'),
});

/** A print and style of a recipe. */
export const settingOf = (
  [width, height]: readonly [string, string],
  {
    bleed,
    margins,
    largePrint,
    largeType,
    edge,
  }: {
    bleed: boolean;
    margins: string;
    largePrint: boolean;
    largeType?: LargeType | undefined;
    edge: string;
  },
) => ({
  print: { service: 'wrenfair', trim: { width, height }, bleed },
  style: { margins, largePrint, ...(largeType ? { largeType } : {}), numbering: { edge } },
});

/** Any value that a setting of a kind takes. @param texts those of texts, by option; a few words for the rest */
export function anyOptions(
  kind: string,
  texts: Readonly<Record<string, readonly string[]>> = {},
): fc.Arbitrary<Record<string, unknown>> {
  const schema = pageKind(kind).options;
  const anyOf = (field: Field): fc.Arbitrary<unknown> => {
    const own = texts[field.key];
    if (own) return fc.constantFrom(...own);
    switch (field.control) {
      case 'choice':
        return fc.constantFrom(...field.choices.map(({ value }) => value));
      case 'several':
        return fc.subarray(
          field.choices.map(({ value }) => value),
          { minLength: field.least },
        );
      case 'number':
        return fc
          .integer({ min: 0, max: Math.round((field.max - field.min) / field.step) })
          .map((n) => Math.min(field.max, Number((field.min + n * field.step).toFixed(6))));
      case 'switch':
        return fc.boolean();
      case 'text':
        return fc.constantFrom('', 'Moths', 'A line that is longer than most\nMoths');
      case 'color':
        return fc.constantFrom('', '#7fa8b8');
      default:
        throw new Error(`No value is made of the option “${field.key}”.`);
    }
  };
  return fc
    .record(
      Object.fromEntries(
        fieldsOf(schema)
          .filter((field) => !isElsewhere(field))
          .map((field) => [field.key, anyOf(field)]),
      ),
    )
    .filter((options) => v.safeParse(schema, options).success);
}

/** Reads what is said on a page, without its number: text by text, as it is drawn. */
export const textsDrawn =
  (type: Typesetter) =>
  (book: Book, page: number): string[] => {
    const texts: string[] = [];
    eachMark(drawPage(book, page, type).layers[0]?.marks ?? [], (mark) => {
      if (mark.type === 'text') texts.push(mark.text);
    });
    return texts;
  };

const isReadable = (size: number): void => expect(size).toBeGreaterThanOrEqual(7);

/**
 * Nothing on any page leaves the safe area but what runs into the bleed, no line is too thin and no letter too small.
 * @param letters is shown the size of each text, in points
 */
export function holdsInside(
  book: Book,
  type: Typesetter,
  letters: (size: number) => void = isReadable,
): void {
  for (const page of book.plan.pages) {
    const { safe, media } = frameOf(book, page);
    // The layer of the page itself, without its number.
    eachMark(
      drawPage(book, page.number, type).layers[0]?.marks ?? [],
      (mark, { matrix, background, clip }) => {
        const box = markBounds(mark, matrix, type, clip);
        const room = background ? { x: 0, y: 0, ...media } : safe;
        if (box) {
          expect(box.left).toBeGreaterThanOrEqual(room.x - 0.02);
          expect(box.top).toBeGreaterThanOrEqual(room.y - 0.02);
          expect(box.right).toBeLessThanOrEqual(room.x + room.width + 0.02);
          expect(box.bottom).toBeLessThanOrEqual(room.y + room.height + 0.02);
        }
        if (mark.type === 'path' && mark.stroke) expect(mark.stroke.width).toBeGreaterThanOrEqual(0.75);
        const [a, b, c, d] = matrix;
        if (mark.type === 'text') letters(mark.size * Math.sqrt(Math.abs(a * d - b * c)));
      },
    );
  }
}
