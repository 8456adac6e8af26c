import { describe, expect, it } from 'vitest';
import { pageKinds } from '../pages/index.ts';
import { HIVE_WORDS, planOf, recipeOf, sectionAt } from './book.sample.ts';
import {
  addSection,
  alternate,
  changeEntry,
  changeSection,
  changesBetween,
  fillTo,
  movePages,
  moveSections,
  parseRecipe,
  type Recipe,
  removePages,
  removeSection,
  reroll,
  togglePin,
} from './index.ts';

const book = recipeOf([
  { id: 'title', kind: 'title-page' },
  { id: 'log', kind: 'ruled', pages: 23 },
  {
    id: 'puzzles',
    kind: 'word-search',
    items: 4,
    options: { words: { lists: [{ title: 'Hive', words: HIVE_WORDS }] } },
  },
]);
const withOptions = (id: string, options: Record<string, unknown>) =>
  changeSection(book, id, (section) => ({ ...section, options: { ...section.options, ...options } }));
const words = (of: string[]) => ({ words: { lists: [{ title: 'Hive', words: of }] } });

describe('what was changed between two states of a book', () => {
  it.each<[string, Recipe, string[]]>([
    ['title', { ...book, title: 'Hive Two' }, ['Title “The Hive” → “Hive Two”']],
    ['a long title', { ...book, title: 'x'.repeat(60) }, [`Title “The Hive” → “${'x'.repeat(39)}…”`]],
    ['language', { ...book, language: 'de' }, ['Language English → German']],
    ['printed words', { ...book, printedWords: 'fr' }, ['Printed words as the book → French']],
    ['series', { ...book, series: { name: 'Bees', volume: 2 } }, ['Series none → “Bees”, volume 2']],
    [
      'trim',
      { ...book, print: { ...book.print, trim: { width: '5in', height: '8in' } } },
      ['Trim 6 × 9 in → 5 × 8 in'],
    ],
    ['bleed', { ...book, print: { ...book.print, bleed: true } }, ['Bleed off → on']],
    [
      'price',
      { ...book, listing: { ...book.listing, prices: { ...book.listing.prices, us: 12.5 } } },
      ['Price, US 9.99 → 12.50'],
    ],
    [
      'keyword',
      { ...book, listing: { ...book.listing, keywords: ['book', 'bee book'] } },
      ['1 keyword added'],
    ],
    [
      'description',
      { ...book, listing: { ...book.listing, description: 'A good book.' } },
      ['Description changed (+5 letters)'],
    ],
    [
      'words',
      withOptions('puzzles', words([...HIVE_WORDS.slice(2), 'nurse bee'])),
      ['Word search: 1 word added, 2 removed'],
    ],
    ['grid', withOptions('puzzles', { columns: 12 }), ['Word search: columns 16 → 12']],
    [
      'directions',
      withOptions('puzzles', { directions: ['across', 'down'] }),
      ['Word search: directions → ↓ ↘ ↗ → → ↓'],
    ],
    ['pages', changeSection(book, 'log', (one) => ({ ...one, pages: 40 })), ['Ruled pages: pages 23 → 40']],
    ['fill', fillTo(book, 'log', 90), ['Ruled pages: fills the book to none → 90']],
    [
      'backs',
      changeSection(book, 'log', (one) => ({ ...one, backs: 'gray' })),
      ['Ruled pages: backs none → gray'],
    ],
    [
      'a right-hand start',
      changeEntry(book, 'log', (one) => ({ ...one, starts: 'right' })),
      ['Ruled pages: begins on a right-hand page off → on'],
    ],
    ['a section less', removeSection(book, 'log'), ['Ruled pages removed']],
    ['order', moveSections(book, [book.sections[1]!.id], 3), ['Running order changed']],
    [
      'puzzles moved',
      movePages(book, planOf(book), [26, 26], 25).recipe,
      ['Word search: puzzles moved or taken out'],
    ],
    [
      'puzzles taken out',
      removePages(book, planOf(book), 26, 26).recipe,
      ['Word search: puzzles 4 → 3', 'Word search: puzzles moved or taken out'],
    ],
    ['a re-roll', reroll(book, 'puzzles', 3), ['Word search: puzzle 3 re-rolled']],
    [
      'blurb',
      { ...book, cover: { ...book.cover, fields: { blurb: 'Read me' } } },
      ['Back-cover blurb written'],
    ],
    [
      'a layer',
      { ...book, cover: { ...book.cover, layers: [{ id: 'front-figures', hidden: true }] } },
      ['Layer “front figures” hidden'],
    ],
  ])('%s', (_, after, said) => {
    expect(changesBetween(book, after)).toEqual(said);
  });

  it('says pins, and which of two sections of a kind', async () => {
    const pinned = togglePin(book, 'puzzles', 2);
    expect(changesBetween(book, pinned)).toEqual(['Word search: puzzle 2 pinned']);
    expect(changesBetween(pinned, book)).toEqual(['Word search: puzzle 2 unpinned']);
    const ruled = pageKinds().find(({ id }) => id === 'ruled')!;
    const two = addSection(book, ruled);
    expect(changesBetween(book, two)).toEqual(['Ruled pages added']);
    const last = sectionAt(two, 3);
    const longer = changeSection(two, last.id, (one) => ({ ...one, pages: 99 }));
    expect(changesBetween(two, longer)).toEqual([`Ruled pages (2): pages ${last.pages} → 99`]);
  });

  it('says that sections alternate', () => {
    expect(changesBetween(book, alternate(book, 'log'))).toContain('Sections alternate');
  });

  it('says something of every change and nothing of none', () => {
    const leaf = (value: unknown): unknown =>
      typeof value === 'boolean' ? !value : typeof value === 'number' ? value + 1 : `${String(value)}x`;
    /** Every way to a single value of the recipe. */
    const ways = (value: unknown, way: (string | number)[] = []): (string | number)[][] =>
      value !== null && typeof value === 'object'
        ? Object.entries(value).flatMap(([key, inner]) => ways(inner, [...way, key]))
        : [way];
    const changedAt = (value: unknown, [key, ...rest]: (string | number)[]): unknown => {
      if (key === undefined) return leaf(value);
      const copy = Array.isArray(value) ? value.slice() : { ...(value as object) };
      (copy as never as Record<string | number, unknown>)[key] = changedAt(
        (value as Record<string | number, unknown>)[key],
        rest,
      );
      return copy;
    };
    const fixed = new Set(['kind', 'service', 'composition', 'version', 'id', 'quill']);
    const all = ways(book).filter(
      (way) => !way.some((key) => fixed.has(String(key))) && way[0] !== 'resources',
    );
    expect(all.length).toBeGreaterThan(60);
    const lengths = new Set(['width', 'height']);
    for (const way of all) {
      if (lengths.has(String(way.at(-1)))) continue;
      const after = changedAt(book, way) as Recipe;
      expect(changesBetween(book, after), way.join('.')).not.toEqual([]);
    }
    expect(changesBetween(book, parseRecipe(JSON.parse(JSON.stringify(book))))).toEqual([]);
  });
});
