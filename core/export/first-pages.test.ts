import { describe, expect, it, vi } from 'vitest';
import { recipeOf } from '../book/book.sample.ts';
import { bookFrom, drawPage, FIRST_PAGES } from '../book/index.ts';
import { readFace } from '../faces/faces-from-disk.ts';
import { createTypesetter } from '../scene/create-typesetter.ts';
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
  it('is how every word is set that is drawn on them, page numbers on both sides too', async () => {
    const { words } = (await firstPages(book, createTypesetter(readFace)))!;
    const here = createTypesetter(readFace);
    for (const { face, smallCaps, words: shaped } of words) here.keep(shaped, face, smallCaps);
    const setAnew = words.map(({ face }) => vi.spyOn(here.font(face), 'layout'));
    const numbers = book.plan.pages.slice(0, FIRST_PAGES.pages).map(({ number }) => number);
    expect(numbers.length).toBeGreaterThan(14);
    for (const page of numbers) sceneToSvg(drawPage(book, page, here), here, { width: 90, height: 135 });
    for (const layout of setAnew) expect(layout.mock.calls).toEqual([]);
    // Other words are set here.
    here.shape('Elsewhere', words[0]!.face);
    expect(setAnew[0]!.mock.calls).toHaveLength(1);
  });

  it('is nothing for a book without pages', async () => {
    expect(await firstPages(bookFrom(recipeOf([], { quill: 4 })), createTypesetter(readFace))).toBeNull();
  });
});
