import fc from 'fast-check';
import sharp from 'sharp';
import { beforeAll, describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, drawPage, frameOf } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { gather, hashOf, type Resources } from '../../resources/index.ts';
import { NODE_TOOLS } from '../../resources/node-tools.ts';
import { loadRichText } from '../../rich-text/index.ts';
import { boundsOf, eachMark, type ImageMark } from '../../scene/index.ts';

const type = typesetterFromDisk();
let resources: Resources;
let named: object;
beforeAll(async () => {
  await loadRichText();
  const png = new Uint8Array(
    await sharp({ create: { width: 600, height: 900, channels: 3, background: '#204060' } })
      .png()
      .toBuffer(),
  );
  const front = { type: 'picture', hash: hashOf(png), name: 'Front', facts: { width: 600, height: 900 } };
  resources = await gather({ front }, { ...NODE_TOOLS, load: async () => png });
  named = { front };
});

const TRIMS = [
  ['5in', '8in'],
  ['6in', '9in'],
  ['8.5in', '11in'],
  ['8.25in', '6in'],
] as const;
const bookOf = (page: object, [width, height]: readonly [string, string] = TRIMS[1], more: object = {}) =>
  bookFrom(
    recipeOf(
      [
        { id: 'o', ...page },
        { id: 'r', kind: 'ruled', pages: 30 },
      ],
      {
        resources: named,
        print: { service: 'wrenfair', trim: { width, height } },
        ...more,
      },
    ),
    resources,
  );
const pictures = (book: ReturnType<typeof bookOf>) => {
  const found: ImageMark[] = [];
  eachMark(drawPage(book, 1, type).layers[0]!.marks, (mark) => {
    if (mark.type === 'image') found.push(mark);
  });
  return found;
};
const saidOf = (book: ReturnType<typeof bookOf>) =>
  proofBook(book, type)
    .filter(({ place }) => place.view === 'page' && place.section === 'o')
    .map(({ message }) => message);

describe('other books', () => {
  it('stand inside the margins with their fronts in shape, none over another, on any trim', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            title: fc.constantFrom('Hive', 'Night Skies Word Search', 'A Year of Very Small Journeys'),
            text: fc.constantFrom('', 'A page for every visit.'),
          }),
          { minLength: 1, maxLength: 8 },
        ),
        fc.constantFrom(...TRIMS),
        (books, trim) => {
          const shown = books.map((one) => ({ ...one, picture: 'front' }));
          const book = bookOf({ kind: 'other-books', options: { books: shown } }, trim);
          const { safe } = frameOf(book, book.plan.pages[0]!);
          const box = boundsOf(drawPage(book, 1, type).layers[0]!.marks, type)!;
          expect(box.left).toBeGreaterThanOrEqual(safe.x - 1e-3);
          expect(box.right).toBeLessThanOrEqual(safe.x + safe.width + 1e-3);
          expect(box.bottom).toBeLessThanOrEqual(safe.y + safe.height + 1e-3);
          const fronts = pictures(book);
          expect(fronts).toHaveLength(books.length);
          fronts.forEach((one, i) => {
            expect(one.width / one.height).toBeCloseTo(2 / 3, 6);
            for (const other of fronts.slice(i + 1))
              expect(
                other.x >= one.x + one.width ||
                  other.y >= one.y + one.height - 1e-6 ||
                  other.x + other.width <= one.x,
              ).toBe(true);
          });
        },
      ),
      { numRuns: 40 },
    );
  });

  it('say so when there are none, or when what is said of them does not fit', () => {
    expect(saidOf(bookOf({ kind: 'other-books', options: {} }))).toEqual([
      expect.stringMatching(/shows no books/),
    ]);
    const long = { title: 'Long', text: 'A good many words. '.repeat(20), picture: 'front' };
    const crowded = bookOf({ kind: 'other-books', options: { books: Array(8).fill(long) } }, TRIMS[0]);
    expect(saidOf(crowded)).toContainEqual(expect.stringMatching(/what is said of the books does not fit/));
    expect(saidOf(bookOf({ kind: 'other-books', options: { books: [long] } }))).toEqual([]);
  });

  it('are called by the pen name, in the language of the book', () => {
    const headingOf = (more: object) => {
      const book = bookOf({ kind: 'other-books', options: { books: [{ title: 'One' }] } }, TRIMS[1], more);
      const [heading] = drawPage(book, 1, type).layers[0]!.marks;
      return heading!.type === 'text' ? heading!.text : '';
    };
    expect(headingOf({ penName: 'Odile Marrow' })).toBe('More books by Odile Marrow');
    expect(headingOf({ penName: 'Odile Marrow', language: 'de' })).toBe('Weitere Bücher von Odile Marrow');
  });
});

describe('a picture on a page of text', () => {
  const about = (options: object) => ({
    kind: 'text-page',
    options: { what: 'author', text: 'She keeps bees.', ...options },
  });

  it('stands in the middle under the heading, as high as is said at most, and the text below it', () => {
    const book = bookOf(about({ picture: 'front', pictureSize: 30 }));
    const [shown] = pictures(book);
    const { marks } = drawPage(book, 1, type).layers[0]!;
    const texts = marks.filter((mark) => mark.type === 'text');
    expect(texts[0]!.y).toBeLessThan(shown!.y);
    expect(texts[1]!.y).toBeGreaterThan(shown!.y + shown!.height);
    const { unnumbered } = frameOf(book, book.plan.pages[0]!);
    expect(shown!.height).toBeLessThanOrEqual(unnumbered.height * 0.3);
    expect(shown!.x + shown!.width / 2).toBeCloseTo(unnumbered.x + unnumbered.width / 2, 3);
    expect(pictures(bookOf(about({})))).toEqual([]);
  });

  it('leaves what does not fit any more to be said', () => {
    const text = 'Many words that stand below a picture. '.repeat(55);
    expect(saidOf(bookOf(about({ text })))).toEqual([]);
    expect(saidOf(bookOf(about({ text, picture: 'front', pictureSize: 60 })))).toContainEqual(
      expect.stringMatching(/the text does not fit on its page/),
    );
  });
});
