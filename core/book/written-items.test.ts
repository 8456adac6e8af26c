import { beforeAll, describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { pageKinds } from '../pages/index.ts';
import { gather, type ResourceLoader } from '../resources/index.ts';
import { NODE_TOOLS } from '../resources/node-tools.ts';
import { PUZZLE_SOURCES, recipeOf } from './book.sample.ts';
import { type Book, bookFrom } from './book.ts';
import { drawPage } from './draw.ts';
import { prepareKinds } from './gather-book.ts';
import { filledItem, itemSteps } from './items.ts';
import { keepWrittenItems, writtenItems } from './written-items.ts';

const type = typesetterFromDisk();
const KINDS = pageKinds()
  .filter(({ extent }) => extent === 'items')
  .map(({ id }) => id);

const bookOf = (kind: string): Book =>
  bookFrom(recipeOf([{ id: 's', kind, items: 2, options: PUZZLE_SOURCES[kind] }], { quill: 4 }));

const marksOf = (book: Book) =>
  book.plan.pages.map(({ number }) => drawPage(book, number, type).layers.map(({ marks }) => marks));

describe.each(KINDS)('items of %s', (kind) => {
  beforeAll(() => prepareKinds(bookOf(kind).recipe));

  it('written, sent and kept, are the same and are drawn the same, answers too', () => {
    const book = bookOf(kind);
    const made = [1, 2].map((item) => filledItem(book, book.sections.get('s')!, item));
    const drawn = marksOf(book);
    const written = writtenItems(book, book.plan.pages);
    expect(Object.keys(written)).toHaveLength(2);
    keepWrittenItems(JSON.parse(JSON.stringify(written)));
    const again = bookOf(kind);
    const kept = [1, 2].map((item) => {
      // Made in no step at all: it was there.
      const step = itemSteps(again, again.sections.get('s')!, item).next();
      expect(step.done).toBe(true);
      return step.value;
    });
    expect(kept).toEqual(made);
    expect(kept[0]).not.toBe(made[0]);
    expect(marksOf(again)).toEqual(drawn);
  });
});

it('of some pages are those that are on them, and whose answers are', () => {
  const book = bookOf('sudoku');
  const { pages } = book.plan;
  const first = pages.find(({ items }) => items.includes(1))!;
  expect(Object.keys(writtenItems(book, [first]))).toHaveLength(first.items.length);
  const answers = pages.filter((page) => page.answers.length > 0);
  expect(Object.keys(writtenItems(book, answers))).toHaveLength(2);
  expect(writtenItems(book, [])).toEqual({});
});

it('of a section whose words are missing there are none', async () => {
  const bees = { type: 'words', hash: `sha256-${'0'.repeat(64)}`, name: 'Bees', facts: { words: 10 } };
  const recipe = recipeOf(
    [{ id: 's', kind: 'word-search', items: 2, options: { words: { bank: 'bees' }, wordsPerPuzzle: 10 } }],
    { quill: 4, resources: { bees } },
  );
  const nowhere: ResourceLoader = { ...NODE_TOOLS, load: async () => null };
  const book = bookFrom(recipe, await gather(recipe.resources, nowhere));
  expect(book.plan.pages.flatMap(({ items }) => items)).toEqual([1, 2]);
  expect(writtenItems(book, book.plan.pages)).toEqual({});
});
