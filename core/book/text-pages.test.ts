import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { registerKind } from '../pages/index.ts';
import { textSample } from '../pages/kinds.sample.ts';
import { proofBook } from '../proof/index.ts';
import { hashOf, type ResourceLoader } from '../resources/index.ts';
import { NODE_TOOLS } from '../resources/node-tools.ts';
import type { TextMark } from '../scene/index.ts';
import { recipeOf } from './book.sample.ts';
import { bodyOf, drawPage, gatherBook } from './index.ts';

const type = typesetterFromDisk();
registerKind(textSample as never);

const PARAGRAPH =
  'Beekeepers understand that remembering generations of industrious foragers encourages extraordinary patience, particularly throughout disappointing afternoons.';
const written = new TextEncoder().encode(
  ['# The upper hive', ...Array(6).fill(PARAGRAPH), '# The lower hive', ...Array(5).fill(PARAGRAPH)].join(
    '\n',
  ),
);
const loader: ResourceLoader = { ...NODE_TOOLS, load: async () => written };
const bookIn = (language: string, options: object = {}) =>
  gatherBook(
    recipeOf([{ id: 't', kind: 'text-sample', options }], {
      language,
      resources: { texts: { type: 'texts', hash: hashOf(written), name: 'Hives', facts: { texts: 13 } } },
    }),
    loader,
    type,
  );
const marksIn = async (language: string, options?: object) => {
  const book = await bookIn(language, options);
  return drawPage(book, 1, type).layers[0]!.marks as TextMark[];
};

describe('a page of text', () => {
  it('breaks words by the language of the book, and none in a language without patterns', async () => {
    const broken = async (language: string) =>
      (await marksIn(language)).filter(({ text }) => text.endsWith('-')).length;
    expect(await broken('en')).toBeGreaterThan(5);
    expect(await broken('en-GB')).toBeGreaterThan(5);
    expect(await broken('ja')).toBe(0);
  });

  it('stands in columns inside the page, titles in small capitals with their text below them', async () => {
    for (const columns of [1, 2, 3]) {
      const book = await bookIn('en', { columns });
      const { x, width, y, height } = bodyOf(book, book.plan.pages[0]!);
      const marks = await marksIn('en', { columns });
      for (const { text, face, size, smallCaps, ...at } of marks) {
        expect(at.x).toBeGreaterThanOrEqual(x - 0.01);
        expect(at.x + type.width(text, face, size, smallCaps)).toBeLessThanOrEqual(x + width + 0.6);
        expect(at.y).toBeGreaterThan(y);
        expect(at.y).toBeLessThanOrEqual(y + height);
      }
      const titles = marks.filter(({ smallCaps }) => smallCaps);
      expect(titles.map(({ text }) => text)).toEqual(['The upper hive', 'The lower hive']);
      for (const title of titles)
        expect(
          marks.some((mark) => mark.y === title.y + 14 && mark.x >= title.x && mark.x < title.x + 13),
        ).toBe(true);
      expect(proofBook(book, type).filter(({ place }) => place.view === 'page')).toEqual([]);
    }
  });
});
