import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HIVE_WORDS, recipeOf } from '../../../book/book.sample.ts';
import { bookFrom, drawPage } from '../../../book/index.ts';
import { typesetterFromDisk } from '../../../faces/faces-from-disk.ts';
import { proofBook } from '../../../proof/index.ts';
import { FRAME_PADDING, LIST_FACE, type PageToLayOut } from './draw.ts';
import { firstLayout } from './first-layout.ts';
import { wordSearchLayout } from './layout.ts';

const type = typesetterFromDisk();
const BODY_OF = { margin: 27, folio: 20 };

/** A page of a trim in inches with a puzzle of so many columns and rows. */
function page(
  width: number,
  height: number,
  columns: number,
  rows: number,
  words: readonly string[],
): PageToLayOut {
  return {
    body: {
      x: BODY_OF.margin,
      y: 18,
      width: width * 72 - BODY_OF.margin - 18,
      height: height * 72 - 36 - BODY_OF.folio,
    },
    search: { columns, rows } as PageToLayOut['search'],
    name: 'Puzzle 12',
    words,
    wordsPerPuzzle: words.length,
    referred: true,
    type,
  };
}

const upper = HIVE_WORDS.map((word) => word.toUpperCase());
const lists = fc
  .tuple(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 0, max: HIVE_WORDS.length }))
  .map(([n, from]) => Array.from({ length: n }, (_, i) => upper[(from + i) % upper.length]!));
const trims = fc.constantFrom([5, 8], [6, 9], [8.5, 11], [8.25, 6], [8.5, 8.5], [11, 8.5]) as fc.Arbitrary<
  [number, number]
>;

describe('the layout of a word search', () => {
  it('keeps grid, title and list apart and inside of the page, whatever the trim, grid and words', () => {
    fc.assert(
      fc.property(
        trims,
        fc.integer({ min: 8, max: 30 }),
        fc.integer({ min: 8, max: 30 }),
        lists,
        ([w, h], columns, rows, words) => {
          const asked = page(w, h, columns, rows, words);
          const { body } = asked;
          const { frame, cell, listed, listSize, title, reference } = wordSearchLayout(asked);
          const inside = (left: number, top: number, right: number, bottom: number) =>
            left >= body.x - 0.01 &&
            top >= body.y - 0.01 &&
            right <= body.x + body.width + 0.01 &&
            bottom <= body.y + body.height + 0.01;
          expect(
            inside(frame.x - 0.5, frame.y - 0.5, frame.x + frame.width + 0.5, frame.y + frame.height + 0.5),
          ).toBe(true);
          expect(frame.width).toBeCloseTo(cell * (columns + FRAME_PADDING), 6);
          expect(frame.height).toBeCloseTo(cell * (rows + FRAME_PADDING), 6);
          const boxes = listed.map(({ x, y }, i) => {
            const half = type.width(words[i]!, LIST_FACE, listSize) / 2;
            return { left: x - half, right: x + half, top: y - listSize * 0.75, bottom: y + listSize * 0.2 };
          });
          const all = [
            ...boxes,
            { left: frame.x, right: frame.x + frame.width, top: frame.y, bottom: frame.y + frame.height },
            { left: title.x - 1, right: title.x + 1, top: title.y - title.size * 0.7, bottom: title.y },
            { left: reference.x - 30, right: reference.x + 30, top: reference.y - 7, bottom: reference.y },
          ];
          for (const box of boxes) expect(inside(box.left, box.top, box.right, box.bottom)).toBe(true);
          for (const [i, one] of all.entries())
            for (const other of all.slice(i + 1))
              expect(
                one.right <= other.left + 0.01 ||
                  other.right <= one.left + 0.01 ||
                  one.bottom <= other.top + 0.01 ||
                  other.bottom <= one.top + 0.01,
              ).toBe(true);
        },
      ),
    );
  });

  it('stands in columns whose lines differ by one at most', () => {
    for (let n = 1; n <= 20; n++) {
      const { listed } = wordSearchLayout(page(6, 9, 16, 16, upper.slice(0, n)));
      const lines = new Map<number, number>();
      for (const { x } of listed) lines.set(x, (lines.get(x) ?? 0) + 1);
      expect(Math.max(...lines.values()) - Math.min(...lines.values())).toBeLessThanOrEqual(1);
    }
  });

  it('puts the list beside the grid on a wide page and below it on a high one', () => {
    const wide = wordSearchLayout(page(8.25, 6, 16, 16, upper.slice(0, 15)));
    expect(Math.min(...wide.listed.map(({ x }) => x))).toBeGreaterThan(wide.frame.x + wide.frame.width);
    const high = wordSearchLayout(page(6, 9, 16, 16, upper.slice(0, 15)));
    expect(Math.min(...high.listed.map(({ y }) => y))).toBeGreaterThan(high.frame.y + high.frame.height);
  });

  it.each([
    ['30 × 30 on a square page', 8.5, 8.5, 30, 30, 20],
    ['16 × 16 on a wide page', 8.25, 6, 16, 16, 15],
    ['24 × 24 on a wide page', 11, 8.5, 24, 24, 20],
    ['8 × 30 on a high page', 6, 9, 8, 30, 15],
  ])('makes larger letters than the first version of %s', (_, w, h, columns, rows, n) => {
    const asked = page(w, h, columns, rows, upper.slice(0, n));
    expect(wordSearchLayout(asked).cell).toBeGreaterThan(firstLayout(asked).cell * 1.2);
  });

  it('is the same on all pages of a section, whatever their words', () => {
    const recipe = recipeOf([
      {
        id: 'w',
        kind: 'word-search',
        version: 2,
        items: 24,
        options: { words: { lists: [{ words: HIVE_WORDS }] } },
      },
    ]);
    const book = bookFrom(recipe);
    const frames = book.plan.pages
      .filter(({ role, side }) => role === 'body' && side === 'recto')
      .map(({ number }) =>
        drawPage(book, number, type)
          .layers.flatMap(({ marks }) => marks)
          .flatMap((mark) => (mark.type === 'path' ? [[...mark.path.points].join(' ')] : [])),
      );
    expect(frames.length).toBeGreaterThan(8);
    expect(new Set(frames.flat()).size).toBe(1);
    expect(proofBook(book, type).filter(({ severity }) => severity === 'fix')).toEqual([]);
  });
});
