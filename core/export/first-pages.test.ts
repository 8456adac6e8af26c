import { describe, expect, it } from 'vitest';
import { recipeOf } from '../book/book.sample.ts';
import { bookFrom, drawPage, FIRST_PAGES } from '../book/index.ts';
import { readFace } from '../faces/faces-from-disk.ts';
import { createTypesetter } from '../scene/create-typesetter.ts';
import { writtenScenesReader } from '../scene/index.ts';
import { firstPages } from './first-pages.ts';
import { sceneToSvg } from './svg.ts';

const book = bookFrom(
  recipeOf(
    [
      { id: 'title', kind: 'title-page' },
      { id: 'owner', kind: 'belongs-to' },
      {
        id: 'search',
        kind: 'word-search',
        items: 30,
        options: { words: { lists: [{ words: ['HONEY', 'SKEP'] }] } },
      },
    ],
    { quill: 4 },
  ),
);

describe('what is known of the first pages of a book', () => {
  it('is all that is asked of a typeface to draw them, page numbers on both sides too', async () => {
    const there = createTypesetter(readFace);
    const { faces } = (await firstPages(book, there))!;
    const here = createTypesetter((face) => {
      throw new Error(`${face} was opened`);
    });
    for (const face of faces) here.keep(face);
    const numbers = book.plan.pages.slice(0, FIRST_PAGES.pages).map(({ number }) => number);
    expect(numbers.length).toBeGreaterThan(14);
    const size = { width: 90, height: 135 };
    for (const page of numbers)
      expect(sceneToSvg(drawPage(book, page, here), here, size)).toBe(
        sceneToSvg(drawPage(book, page, there), there, size),
      );
    expect(() => here.shape('Elsewhere', faces[0]!.face)).toThrow('was opened');
  });

  it('is every page as it is drawn, without a look at its puzzle', async () => {
    const type = createTypesetter(readFace);
    const { scenes } = (await firstPages(book, type))!;
    const sceneAt = writtenScenesReader(JSON.parse(JSON.stringify(scenes)));
    const numbers = book.plan.pages.slice(0, FIRST_PAGES.pages).map(({ number }) => number);
    const size = { width: 180, height: 270 };
    for (const page of numbers)
      expect(sceneToSvg(sceneAt(page - 1)!, type, size)).toBe(
        sceneToSvg(drawPage(book, page, type), type, size),
      );
    expect(sceneAt(numbers.length)).toBeNull();
  });

  it('is nothing for a book without pages', async () => {
    expect(await firstPages(bookFrom(recipeOf([], { quill: 4 })), createTypesetter(readFace))).toBeNull();
  });
});
