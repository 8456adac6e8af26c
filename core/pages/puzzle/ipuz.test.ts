import fc from 'fast-check';
import * as v from 'valibot';
import { beforeAll, describe, expect, it } from 'vitest';
import { PUZZLE_SOURCES, recipeOf } from '../../book/book.sample.ts';
import { bookFrom, bringInItems, filledItem, finished, savedItems } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { loadUnwanted } from '../../words/index.ts';
import type { CrosswordItem } from '../crossword/fill.ts';
import type { FillInItem } from '../fill-in/fill.ts';
import { pageKind } from '../index.ts';
import { holdsInside } from '../pages.sample.ts';
import type { SearchItem } from '../word-search/fill.ts';

const type = typesetterFromDisk();
beforeAll(loadUnwanted);

const KINDS = ['crossword', 'fill-in', 'word-search'] as const;
const NAMES = { crossword: 'crossword', 'fill-in': 'fill', 'word-search': 'wordsearch' } as const;
const read = (kind: string, text: string) => pageKind(kind).bringIn!.read(text);
const recipeWith = (kind: string, options: object = PUZZLE_SOURCES[kind]!) =>
  recipeOf([{ id: 's', kind, items: 2, options }], { quill: 4 });
const itemOf = (recipe: ReturnType<typeof recipeWith>, number = 1) => {
  const book = bookFrom(recipe);
  return filledItem(book, book.sections.get('s')!, number);
};
async function saved(kind: string): Promise<string> {
  const book = bookFrom(recipeWith(kind));
  return (await finished(savedItems(book, book.sections.get('s')!, [1], 'ipuz'))).text;
}
const CLUES = {
  Across: [[1, 'It purrs']],
  Down: [{ number: 1, clue: 'A <b>hat</b>\u0007\n ' }, 'no number'],
};
const small = (more: object = {}) =>
  JSON.stringify({
    kind: ['http://ipuz.org/crossword#1'],
    puzzle: [
      [1, 0, 0],
      [0, '#', '#'],
      [0, null, '#'],
    ],
    solution: [
      ['C', { value: 'a' }, 'T'],
      ['A', '#', '#'],
      ['P', null, '#'],
    ],
    clues: CLUES,
    ...more,
  });

describe('puzzles as ipuz', () => {
  it.each(KINDS)('come back as they were saved, sound, and inside their page: %s', async (kind) => {
    const text = await saved(kind);
    const { pins, problems } = read(kind, text);
    expect(problems).toEqual([]);
    expect(pins).toHaveLength(1);
    const recipe = bringInItems(recipeWith(kind, {}), 's', pins, 'instead');
    const [was, now] = [itemOf(recipeWith(kind)), itemOf(recipe)];
    if (kind === 'word-search') {
      const [before, after] = [was as SearchItem, now as SearchItem];
      expect(after.search.letters).toEqual(before.search.letters);
      expect(after.words.map(({ letters }) => letters)).toEqual(before.words.map(({ letters }) => letters));
      const placed = ({ search }: SearchItem) =>
        search.placements.map(({ column, row, direction }) => `${column} ${row} ${direction}`).sort();
      expect(placed(after)).toEqual(placed(before));
    } else {
      const [before, after] = [was as CrosswordItem & FillInItem, now as CrosswordItem & FillInItem];
      expect([after.columns, after.rows, after.letters]).toEqual([
        before.columns,
        before.rows,
        before.letters,
      ]);
      const asked = (item: CrosswordItem) =>
        item.asked?.map(({ word, ...others }) => ({ ...others, word: word.toUpperCase() }));
      expect(asked(after)).toEqual(asked(before));
      expect(after.given === true ? undefined : after.given).toEqual(before.given);
    }
    const book = bookFrom(recipe);
    expect(proofBook(book, type).filter(({ check }) => check === 'items')).toEqual([]);
    holdsInside(book, type, () => {});
  });

  it('are read with other ways to write cells and clues', () => {
    const { pins, problems } = read('crossword', small());
    expect(problems).toEqual([]);
    expect(pins[0]).toEqual({
      ...{ columns: 3, rows: 3 },
      letters: ['C', 'A', 'T', 'A', null, null, 'P', null, null],
      clues: [
        { number: 1, across: true, clue: 'It purrs' },
        { number: 1, across: false, clue: 'A hat' },
      ],
    });
    const both = read(
      'crossword',
      `[${small()}, ${small({
        solution: [
          ['C', 'AB'],
          ['D', 'E'],
        ],
      })}]`,
    );
    expect(both.pins).toHaveLength(1);
    expect(both.problems).toEqual(['Puzzle 2 has “AB” in row 1, column 2, where one letter belongs.']);
  });

  it('that cannot be taken say why', () => {
    const told = (kind: string, text: string) => read(kind, text).problems[0];
    expect(told('crossword', small({ solution: undefined }))).toBe(
      'The puzzle has no answer in row 1, column 1.',
    );
    expect(
      told(
        'crossword',
        small({
          solution: [
            ['A', '#'],
            ['#', 'B'],
          ],
        }),
      ),
    ).toBe('The puzzle has no word of two letters and more.');
    expect(told('crossword', small({ kind: ['http://ipuz.org/sudoku#1'] }))).toBe(
      'The file is no ipuz with a crossword.',
    );
    const wide = Array.from({ length: 3 }, () => Array<string>(41).fill('A'));
    expect(told('crossword', small({ puzzle: wide }))).toBe('The file is no ipuz with a crossword.');
    const fill = { kind: ['http://ipuz.org/fill#1'] };
    expect(
      told(
        'fill-in',
        small({
          ...fill,
          solution: [
            ['A', 'B'],
            ['B', 'C'],
          ],
        }),
      ),
    ).toBe('The puzzle has AB twice.');
    // Two words of two letters that do not cross fit either place.
    const apart = [
      ['A', 'B', '#'],
      ['#', '#', '#'],
      ['#', 'C', 'D'],
    ];
    expect(told('fill-in', small({ ...fill, puzzle: apart, solution: apart, block: '#' }))).toBeUndefined();
    const open = [
      [0, 0, '#'],
      ['#', '#', '#'],
      ['#', 0, 0],
    ];
    expect(told('fill-in', small({ ...fill, puzzle: open, solution: apart }))).toBe(
      'The puzzle has more than one answer.',
    );
    const search = {
      kind: ['http://ipuz.org/wordsearch#1'],
      puzzle: [
        ['C', 'A', 'T'],
        ['A', 'X', 'X'],
        ['T', 'X', 'X'],
      ],
    };
    expect(told('word-search', small({ ...search, dictionary: ['cat'] }))).toBe(
      'The puzzle has CAT 2 times in its grid, where once is right.',
    );
    expect(told('word-search', small({ ...search, dictionary: ['dog'] }))).toMatch(/has DOG 0 times/);
    expect(told('word-search', small({ ...search, dictionary: ['c4t'] }))).toMatch(
      /lists “C4T”, which has digits/,
    );
    expect(told('word-search', small({ ...search, dictionary: true }))).toMatch(/has no list of words/);
  });

  it('of a grid that would take for ever to look over are not taken', () => {
    // Rows of words that agree in all but their last letters leave more ways to begin than can be tried.
    const rows = Array.from({ length: 39 }, (_, row) =>
      Array.from({ length: 12 }, (_, column) =>
        row % 2 ? '#' : column < 10 ? 'A' : String.fromCharCode(65 + ((row * 7 + column * 3) % 26)),
      ),
    );
    const text = small({
      kind: ['http://ipuz.org/fill#1'],
      puzzle: rows.map((row) => row.map((cell) => (cell === '#' ? cell : 0))),
      solution: rows,
    });
    expect(read('fill-in', text).pins).toEqual([]);
    expect(read('fill-in', text).problems).toHaveLength(1);
  });

  it.each(KINDS)('broken in fifty ways are told or taken whole, never thrown: %s', async (kind) => {
    const text = await saved(kind);
    const schema = pageKind(kind).pin!.schema;
    fc.assert(
      fc.property(
        fc.nat(text.length),
        fc.nat(60),
        fc.oneof(fc.string({ maxLength: 6 }), fc.constantFrom('null', '{}', '[]', '-1', '"\u0000"', '1e99')),
        (at, cut, put) => {
          const { pins, problems } = read(kind, text.slice(0, at) + put + text.slice(at + cut));
          for (const pin of pins) {
            expect(v.safeParse(schema, pin).success).toBe(true);
            expect(() => itemOf(bringInItems(recipeWith(kind, {}), 's', [pin], 'instead'))).not.toThrow();
          }
          for (const problem of problems) expect(problem).toMatch(/^The .*\.$/);
        },
      ),
      { numRuns: process.env.QUILL_SWEEP === 'all' ? 1000 : 50 },
    );
    for (const odd of ['', '[]', '{}', '[null]', '[[]]', '{"kind":1}', `{"kind":["${NAMES[kind]}"]}`])
      expect(read(kind, odd).pins).toEqual([]);
  });
});
