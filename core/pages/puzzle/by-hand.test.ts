import fc from 'fast-check';
import * as v from 'valibot';
import { beforeAll, describe, expect, it } from 'vitest';
import { HIVE_WORDS, recipeOf } from '../../book/book.sample.ts';
import { bookFrom, filledItem } from '../../book/index.ts';
import { GRIDS, isWall, neighborToward, stairsAt } from '../../puzzles/maze/index.ts';
import { loadUnwanted } from '../../words/index.ts';
import { crosswordPinned, watchCrossword, withClue, withGridLetter } from '../crossword/by-hand.ts';
import type { CrosswordItem } from '../crossword/fill.ts';
import { fillInPinned, watchFillIn, withFillInLetter, withGivenLetter } from '../fill-in/by-hand.ts';
import { type FillInItem, givenFillIn } from '../fill-in/fill.ts';
import { pageKind } from '../index.ts';
import { mazePinned, wallNear, watchMaze, withWall } from '../maze/by-hand.ts';
import { gridOf, type MazeItem } from '../maze/fill.ts';
import {
  cellsToward,
  searchDraft,
  searchPinned,
  watchSearch,
  withLetter,
  withWord,
} from '../word-search/by-hand.ts';
import type { SearchItem } from '../word-search/fill.ts';
import type { WordSearchOptions } from '../word-search/options.ts';

beforeAll(loadUnwanted);

const WORDS = { lists: [{ title: 'In the hive', words: HIVE_WORDS }] };
const CLUES = HIVE_WORDS.map((word, i) => `${word} | What number ${i + 1} of the hive is called`).join('\n');

const bookOf = (kind: string, options: object, pins: object = {}) =>
  bookFrom(
    recipeOf([{ id: 's', kind, options, items: 2, pins }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
    }),
  );
function itemOf<Item>(kind: string, options: object, pin?: unknown): Item {
  const book = bookOf(kind, options, pin === undefined ? {} : { 1: pin });
  return filledItem(book, book.sections.get('s')!, 1) as Item;
}
const problemsOf = (kind: string, item: object, options: object = {}) =>
  pageKind(kind).inspect!(
    item,
    { number: 1, displayNumber: 1, label: 'Puzzle 1' },
    bookOf(kind, options).sections.get('s')!.options,
  );
const pinned = (kind: string, pin: unknown) => v.parse(pageKind(kind).pin!.schema, pin);

describe('a maze that is changed', () => {
  const mazes = fc.record({
    grid: fc.constantFrom(...GRIDS),
    ends: fc.constantFrom('outer', 'middle', 'anywhere'),
    columns: fc.integer({ min: 5, max: 14 }),
    rows: fc.integer({ min: 5, max: 14 }),
    floors: fc.constantFrom(1, 1, 3),
  });

  it('has more than one way, or a circle, when any wall is opened, and none or a room when one is closed', () => {
    fc.assert(
      fc.property(mazes, fc.nat(), (options, n) => {
        const item = itemOf<MazeItem>('maze', options);
        const grid = gridOf(item);
        // Stairs are put and taken as walls are, but where an end is.
        const inner = [...grid.walls.other.keys()].filter((wall) => {
          const sides = [grid.walls.one[wall]!, grid.walls.other[wall]!];
          return (
            sides[1]! >= 0 &&
            (isWall(grid, wall) || !sides.some((cell) => cell === item.start || cell === item.goal))
          );
        });
        const wall = inner[n % inner.length]!;
        const changed = withWall(grid, item, wall);
        const watched = watchMaze(item, changed);
        const [one, other] = [grid.walls.one[wall]!, grid.walls.other[wall]!];
        if (!item.open[wall]) {
          expect(watched.isSound).toBe(false);
          expect(watched.says).toMatch(/^There is more than one way/);
          expect(watched.cells).toEqual(expect.arrayContaining([one, other]));
        } else {
          const isOnWay = item.way.some(
            (cell, i) => [one, other].includes(cell) && [one, other].includes(item.way[i + 1]!),
          );
          expect(watched.isSound).toBe(!isOnWay);
          expect(watched.says).toMatch(isOnWay ? /^There is no way/ : /^One way, .*Nothing leads to/);
        }
        expect(watchMaze(item, withWall(grid, changed, wall)).says).toMatch(/^One way, of \d+ cells\. /);
      }),
      { numRuns: 40 },
    );
  });

  it('is kept as it was changed, with other ends, and found sound by the proof', () => {
    fc.assert(
      fc.property(mazes, fc.nat(), fc.nat(), (options, a, b) => {
        const item = itemOf<MazeItem>('maze', options);
        const { cells } = gridOf(item);
        const draft = { ...item, start: a % cells, goal: b % cells };
        const watched = watchMaze(item, draft);
        const pin = pinned('maze', JSON.parse(JSON.stringify(mazePinned(item, draft))));
        const kept = itemOf<MazeItem>('maze', { grid: 'square' }, pin);
        expect(kept).toMatchObject({ start: draft.start, goal: draft.goal, grid: item.grid });
        expect([...kept.open]).toEqual([...item.open]);
        // One way leads between any two cells of such a maze; no end is on stairs.
        const isOnStairs = [draft.start, draft.goal].some(
          (cell) => stairsAt(gridOf(item), cell, item.open).length,
        );
        expect(watched.isSound).toBe(draft.start !== draft.goal && !isOnStairs);
        expect(problemsOf('maze', kept).length === 0).toBe(watched.isSound);
        expect([kept.way[0], kept.way.at(-1)]).toEqual([draft.start, draft.goal]);
      }),
      { numRuns: 40 },
    );
  });

  it('opens no wall to the outside, and finds the wall that was meant', () => {
    const item = itemOf<MazeItem>('maze', { columns: 6, rows: 6 });
    const grid = gridOf(item);
    const outer = grid.walls.other.indexOf(-1);
    expect(withWall(grid, item, outer)).toBe(item);
    // A quarter of a cell from the middle of a square toward its right wall.
    const { wall } = neighborToward(grid, 7, 1, 0);
    expect(wallNear(grid, grid.x[7]! + 0.25, grid.y[7]!)).toBe(wall);
  });

  it('that says of walls and cells what cannot be is drawn, and told', () => {
    const pin = mazePinned(itemOf<MazeItem>('maze', { columns: 6, rows: 6 }), {
      open: new Uint8Array(4),
      start: 0,
      goal: 1,
    });
    for (const open of ['', 'f'.repeat(3000)])
      for (const goal of [0, 19_999]) {
        const item = itemOf<MazeItem>('maze', {}, pinned('maze', { ...pin, open, goal }));
        expect(problemsOf('maze', item)).toHaveLength(1);
      }
    expect(() => pinned('maze', { ...pin, open: 'xyz' })).toThrow(/other signs/);
  });
});

describe('a maze with chosen ends', () => {
  it('begins and ends in the cells that are meant, open to the outside where they lie at the edge', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 12 }),
        fc.integer({ min: 5, max: 12 }),
        fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 4, maxLength: 4 }),
        (columns, rows, [a = 1, b = 1, c = 1, d = 1]) => {
          const at = (n: number, most: number) => Math.min(n, most);
          const options = {
            ...{ columns, rows, ends: 'chosen' },
            ...{ startColumn: at(a, columns), startRow: at(b, rows) },
            ...{ goalColumn: at(c, columns), goalRow: at(d, rows) },
          };
          const item = itemOf<MazeItem>('maze', options);
          expect(item.start).toBe((options.startRow - 1) * columns + options.startColumn - 1);
          expect(item.goal).toBe((options.goalRow - 1) * columns + options.goalColumn - 1);
          const fixes = problemsOf('maze', item).filter(({ severity }) => severity === 'fix');
          expect(fixes).toHaveLength(item.start === item.goal ? 1 : 0);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('takes the nearest cell on other grids', () => {
    for (const grid of GRIDS) {
      const item = itemOf<MazeItem>('maze', {
        ...{ grid, columns: 11, rows: 11, ends: 'chosen' },
        ...{ startColumn: 1, startRow: 1, goalColumn: 6, goalRow: 6 },
      });
      const { x, y, width, height } = gridOf(item);
      const far = Math.hypot(x[item.goal]! - width / 2, y[item.goal]! - height / 2);
      expect(far).toBeLessThan(1);
      expect(item.way[0]).toBe(item.start);
      expect(item.way.at(-1)).toBe(item.goal);
    }
  });
});

describe('a word search that is changed', () => {
  const settings = { words: WORDS, wordsPerPuzzle: 10, columns: 14, rows: 14 };
  const options = bookOf('word-search', settings).sections.get('s')!.options as WordSearchOptions;

  it('is sound as it comes, and not when a letter of a word is another', () => {
    const item = itemOf<SearchItem>('word-search', settings);
    const draft = searchDraft(item);
    expect(watchSearch(item, draft, options)).toMatchObject({ isSound: true, cells: [] });
    draft.cells.forEach((cells, word) => {
      const changed = withLetter(draft, cells[1]!, draft.letters[cells[1]!] === 'Q' ? 'X' : 'Q');
      const watched = watchSearch(item, changed, options);
      expect(watched.isSound).toBe(false);
      // Every word that has the cell is told, with its cells.
      const lost = draft.cells.flatMap((one, i) => (one.includes(cells[1]!) ? [i] : []));
      expect(lost).toContain(word);
      expect(watched.says).toBe(
        `${lost.map((i) => item.words[i]!.word.toUpperCase()).join(' and ')} cannot be found. ${
          lost.length > 1
            ? 'Move them, or give them their letters back.'
            : 'Move it, or give it its letters back.'
        }`,
      );
      expect(watched.cells).toEqual(lost.flatMap((i) => draft.cells[i]!));
    });
  });

  it('names three of many words that are lost', () => {
    const item = itemOf<SearchItem>('word-search', settings);
    const draft = searchDraft(item);
    const empty = { ...draft, letters: draft.letters.map(() => 'Q') };
    expect(watchSearch(item, empty, options).says).toMatch(
      /^(\S+, ){3}and 7 other words cannot be found\. Move them/,
    );
  });

  it('tells a word that can be read twice, an unwanted one, and a message that is broken', () => {
    const item = itemOf<SearchItem>('word-search', { ...settings, messages: 'Look below' });
    const draft = searchDraft(item);
    const free = [...draft.letters.keys()].filter((at) => !draft.cells.flat().includes(at));
    const write = (word: string) => {
      // Into a row or column of cells that no word takes.
      for (const at of free)
        for (const step of [1, 14]) {
          const cells = Array.from(word, (_, i) => at + i * step);
          const isLine = step === 14 || Math.floor(at / 14) === Math.floor(cells.at(-1)! / 14);
          if (isLine && cells.every((cell) => free.includes(cell)))
            return cells.reduce((now, cell, i) => withLetter(now, cell, word[i]!), draft);
        }
      throw new Error('There is no room.');
    };
    const shortest = [...item.words].sort((a, b) => a.letters.length - b.letters.length)[0]!;
    const twice = watchSearch({ ...item, message: '' }, write(shortest.letters.join('')), options);
    expect(twice.says).toMatch(/ can be found in 2 places/);
    expect(twice.cells.length).toBe(2 * shortest.letters.length);
    const broken = withLetter(draft, item.search.message[0]!, 'Q');
    expect(watchSearch(item, broken, options).says).toMatch(/^The message cannot be read/);
    const stray = write('QUX');
    const unwanted = { ...options, unwantedMore: 'qux' };
    expect(
      watchSearch({ ...item, message: '', search: { ...item.search, message: [] } }, stray, unwanted),
    ).toMatchObject({ isSound: false, says: expect.stringMatching(/^QUX can be read/) });
  });

  it('has a word where it was moved to, and its answer there', () => {
    const item = itemOf<SearchItem>('word-search', settings);
    const begun = searchDraft(item);
    let moved = 0;
    fc.assert(
      fc.property(fc.nat(9), fc.nat(195), fc.nat(195), (word, from, to) => {
        const cells = cellsToward(item, begun, from, to, item.words[word]!.letters.length);
        if (!cells || from === to) return;
        expect(new Set(cells).size).toBe(cells.length);
        const next = withWord(item, begun, word, cells, options);
        expect(cells.map((cell) => next.letters[cell]).join('')).toBe(item.words[word]!.letters.join(''));
        if (!watchSearch(item, next, options).isSound) return;
        moved++;
        const kept = itemOf<SearchItem>('word-search', {}, pinned('word-search', searchPinned(item, next)));
        expect(problemsOf('word-search', kept, settings)).toEqual([]);
        expect(searchDraft(kept).cells[word]!.toSorted()).toEqual(cells.toSorted());
      }),
      { numRuns: 60 },
    );
    expect(moved).toBeGreaterThan(3);
  });

  it('keeps a message', () => {
    const item = itemOf<SearchItem>('word-search', { ...settings, messages: 'Look below' });
    const kept = itemOf<SearchItem>(
      'word-search',
      {},
      pinned('word-search', searchPinned(item, searchDraft(item))),
    );
    expect(kept.message).toBe('Look below');
    expect(kept.search.letters).toEqual(item.search.letters);
    expect(problemsOf('word-search', kept, settings)).toEqual([]);
  });

  it('goes in the nearest of eight directions, as far as the grid reaches', () => {
    const item = itemOf<SearchItem>('word-search', settings);
    const draft = searchDraft(item);
    expect(cellsToward(item, draft, 0, 3, 4)).toEqual([0, 1, 2, 3]);
    expect(cellsToward(item, draft, 0, 14 * 3 + 2, 3)).toEqual([0, 15, 30]);
    expect(cellsToward(item, draft, 0, 14 * 5 + 1, 3)).toEqual([0, 14, 28]);
    expect(cellsToward(item, draft, 12, 13, 4)).toBeNull();
  });
});

describe('a crossword that is changed', () => {
  const item = () => itemOf<CrosswordItem>('crossword', { clues: CLUES, words: 12 });

  it('is kept with other clues, and told where one is missing or gives its word away', () => {
    const begun = item();
    expect(watchCrossword(begun)).toMatchObject({ isSound: true, says: expect.stringContaining('12 words') });
    const changed = withClue(begun, 3, 'It hums at dawn');
    const kept = itemOf<CrosswordItem>('crossword', {}, pinned('crossword', crosswordPinned(changed)));
    expect(kept.asked.map(({ clue }) => clue)).toEqual(changed.asked.map(({ clue }) => clue));
    expect(kept.asked[3]!.clue).toBe('It hums at dawn');
    expect(kept.letters).toEqual(begun.letters);
    expect(problemsOf('crossword', kept)).toEqual([]);
    expect(watchCrossword(withClue(begun, 3, ' ')).says).toMatch(/has no clue/);
    const word = begun.asked[3]!.word;
    expect(watchCrossword(withClue(begun, 3, `A ${word}, no less`)).says).toMatch(/has the word in it/);
    expect(withClue(begun, 3, begun.asked[3]!.clue)).toBe(begun);
  });

  it('reads its words anew when a letter is another, and names those that no list has', () => {
    const begun = item();
    const [asked] = begun.asked;
    const at = asked!.cells[0]!;
    const changed = withGridLetter(begun, at, begun.letters[at] === 'Q' ? 'X' : 'Q');
    const now = changed.asked.find(({ cells }) => cells.join() === asked!.cells.join())!;
    expect(now.word.slice(1).toUpperCase()).toBe(asked!.word.slice(1).toUpperCase());
    expect(now.word).not.toBe(asked!.word);
    expect(now.clue).toBe(asked!.clue);
    const listed = new Set(begun.asked.map(({ word }) => word));
    const watched = watchCrossword(changed, (word) => listed.has(word));
    expect(watched.says).toContain(now.word.toUpperCase());
    expect(watched.cells).toEqual(expect.arrayContaining([at]));
    expect(withGridLetter(begun, begun.letters.indexOf(null), 'A')).toBe(begun);
  });

  it('keeps how a word is written as long as it has its letters', () => {
    const clues = `${CLUES}\nRoyal jelly | Food for one`;
    const begun = itemOf<CrosswordItem>('crossword', { clues, words: 30, columns: 20, rows: 20 });
    const kept = itemOf<CrosswordItem>('crossword', {}, pinned('crossword', crosswordPinned(begun)));
    expect(kept.asked.map(({ word }) => word)).toEqual(begun.asked.map(({ word }) => word));
    expect(kept.asked.map(({ word }) => word)).toContain('Royal jelly');
  });
});

describe('a fill-in that is changed', () => {
  it('tells a second way, and is kept when a letter is given', () => {
    // Two words of one length at a third: they can change places until a letter tells.
    const letters = ['C', 'A', 'T', null, null, null, 'C', 'O', 'T'];
    const open = givenFillIn({ columns: 3, rows: 3, letters, given: [] });
    const watched = watchFillIn(open);
    expect(watched.isSound).toBe(false);
    expect(watched.says).toMatch(/more than one way/);
    expect(watched.cells).toEqual([0, 1, 2, 6, 7, 8]);
    const given = withGivenLetter(open, 1);
    expect(watchFillIn(given)).toMatchObject({ isSound: true, says: expect.stringContaining('2 words') });
    expect(withGivenLetter(given, 1).given).toEqual([]);
    expect(withGivenLetter(open, 4)).toBe(open);
    const kept = itemOf<FillInItem>('fill-in', {}, pinned('fill-in', fillInPinned(given)));
    expect(kept).toEqual(given);
    expect(problemsOf('fill-in', kept)).toEqual([]);
    // Given C is in both words.
    expect(watchFillIn(withGivenLetter(open, 0)).isSound).toBe(false);
  });

  it('lists the words that it has after a letter was changed', () => {
    const begun = itemOf<FillInItem>('fill-in', { words: WORDS, wordsPerPuzzle: 10 });
    expect(watchFillIn(begun).isSound).toBe(true);
    const at = begun.letters.findIndex((letter) => letter !== null && letter !== 'Q');
    const changed = withFillInLetter(begun, at, 'Q');
    expect(changed.words.map(({ word }) => word).join(' ')).toContain('Q');
    expect(changed.words).toHaveLength(begun.words.length);
  });
});
