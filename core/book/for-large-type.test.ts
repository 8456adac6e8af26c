import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { eachMark, meanScale, wordSizes } from '../scene/index.ts';
import { HIVE_WORDS, PUZZLE_SOURCES, recipeOf } from './book.sample.ts';
import { drawPage } from './draw.ts';
import { forLargeType, withLargeType } from './for-large-type.ts';
import { bookFrom, finished, pageSteps, readRecipe } from './index.ts';

const type = typesetterFromDisk();
const bookOf = (trim: [string, string], sections: object[], largePrint = true) =>
  bookFrom(
    recipeOf(sections as never, {
      quill: 4,
      style: { largePrint },
      print: { service: 'wrenfair', trim: { width: trim[0], height: trim[1] } },
    }),
  );
const SECTIONS = [
  { id: 'four', kind: 'sudoku', items: 8, options: { perPage: 4, level: 1 } },
  { id: 'one', kind: 'sudoku', items: 2, options: { perPage: 1, level: 1 } },
  { id: 'sums', kind: 'cross-sums', items: 6, options: { perPage: 6, level: 1 } },
  { id: 'games', kind: 'game-sheet', pages: 2, options: { perPage: 6 } },
  { id: 'lines', kind: 'ruled', pages: 2 },
];

/** Notes of 9 pt at 6 × 9 in, half as large again. */
const NOTES = 13.5;

/** The size of the digits in the grids on the first page of a section, whose rows are set in one. */
async function digitsOf(book: ReturnType<typeof bookOf>, section: string): Promise<number> {
  const page = book.plan.pages.find((one) => one.section === section)!;
  await finished(pageSteps(book, page));
  let smallest = Infinity;
  for (const { marks } of drawPage(book, page.number, type).layers)
    eachMark(marks, (mark, { matrix }) => {
      if (mark.type === 'text' && /^[1-9]{2,}$/.test(mark.text))
        smallest = Math.min(smallest, mark.size * meanScale(matrix));
    });
  return smallest;
}

describe('how many items large print has to a page', () => {
  it('is as many as have their digits no smaller than what stands around the puzzles', async () => {
    const book = bookOf(['6in', '9in'], SECTIONS);
    const fewer = await finished(forLargeType(book, type));
    expect(fewer.map(({ section }) => section)).not.toContain('one');
    expect(fewer).toContainEqual({ section: 'four', from: { perPage: 4 }, to: { perPage: 2 } });
    const so = withLargeType(book.recipe, fewer);
    expect(readRecipe(so).recipe).not.toBeNull();
    for (const [recipe, isLarge] of [
      [book.recipe, false],
      [so, true],
    ] as const)
      expect((await digitsOf(bookFrom(recipe), 'four')) >= NOTES).toBe(isLarge);
    // What has nothing to be set fewer stays as it is.
    const untouched = (id: string) => so.sections.find((one) => one.id === id);
    for (const id of ['one', 'lines'])
      expect(untouched(id)).toBe(book.recipe.sections.find((one) => one.id === id));
  });

  it('is what it was where the page has room, and no more is done when it is done', async () => {
    const large = bookOf(['8.5in', '11in'], SECTIONS.slice(0, 2));
    expect(await finished(forLargeType(large, type))).toEqual([]);
    const book = bookOf(['5in', '8in'], SECTIONS);
    const fewer = await finished(forLargeType(book, type));
    const so = bookFrom(withLargeType(book.recipe, fewer));
    expect(await finished(forLargeType(so, type))).toEqual([]);
  });

  it('looks at the sections that it is told, and leaves alone what was changed meanwhile', async () => {
    const book = bookOf(['5in', '8in'], SECTIONS);
    expect(await finished(forLargeType(book, type, ['one', 'lines']))).toEqual([]);
    const fewer = await finished(forLargeType(book, type, ['four']));
    expect(fewer).toEqual([{ section: 'four', from: { perPage: 4 }, to: { perPage: 1 } }]);
    const changed = withLargeType(book.recipe, [
      { section: 'four', from: { perPage: 4 }, to: { perPage: 6 } },
    ]);
    expect(withLargeType(changed, fewer)).toBe(changed);
    // No number that the kind does not have.
    expect(withLargeType(book.recipe, [{ section: 'four', from: { perPage: 4 }, to: { perPage: 5 } }])).toBe(
      book.recipe,
    );
  });
});

describe('the room that large print gives to words', () => {
  const asked = (trim: [string, string], kind: string, options: object, largeType = 16) =>
    bookFrom(
      recipeOf([{ id: 's', kind, items: 1, options: { ...PUZZLE_SOURCES[kind], ...options } }], {
        quill: 4,
        style: { largePrint: true, largeType },
        print: { service: 'wrenfair', trim: { width: trim[0], height: trim[1] } },
      }),
    );
  const changesOf = (book: ReturnType<typeof asked>) => finished(forLargeType(book, type));
  /** The smallest words on the pages of the first puzzle. */
  const wordsOf = async (book: ReturnType<typeof asked>) => {
    let least = Infinity;
    for (const page of book.plan.pages.filter(({ role }) => role === 'body')) {
      await finished(pageSteps(book, page));
      for (const { size } of wordSizes(drawPage(book, page.number, type))) least = Math.min(least, size);
    }
    return least;
  };

  it('is a page of their own where they are too small beside a grid: clues of a crossword, words to find', async () => {
    for (const [kind, options, from, to] of [
      ['crossword', { perPage: 1 }, { clueSide: 'page' }, { clueSide: 'facing' }],
      ['crossword', { perPage: 4, columns: 9, rows: 9, words: 8 }, { perPage: 4 }, { perPage: 1 }],
      ['word-search', { wordsPerPuzzle: 14, columns: 11, rows: 11 }, { place: 'best' }, { place: 'facing' }],
    ] as const) {
      const book = asked(['5in', '8in'], kind, options);
      const [change, ...more] = await changesOf(book);
      expect(more).toEqual([]);
      expect(change).toMatchObject({ section: 's', from, to });
      const so = bookFrom(withLargeType(book.recipe, [change!]));
      expect(await wordsOf(so)).toBeGreaterThanOrEqual(15.5);
      expect(await wordsOf(book)).toBeLessThan(15.5);
      expect(await changesOf(so)).toEqual([]);
    }
  });

  it('is taken from what is in a puzzle where pages of their own do not do: its grid, its words, its questions', async () => {
    const questions = HIVE_WORDS.map(
      (word) => `What do keepers call a ${word.length}? | ${word} | Skep | Veil`,
    );
    for (const [kind, options, keys] of [
      ['word-search', {}, ['columns', 'rows', 'place']],
      ['word-search', { shape: 'heart', columns: 18, rows: 18 }, ['columns', 'rows', 'place']],
      ['fill-in', {}, ['wordsPerPuzzle']],
      ['word-scramble', {}, ['boxes', 'wordsPerPuzzle']],
      ['trivia', { questions: questions.join('\n'), perPuzzle: 14 }, ['perPuzzle']],
    ] as const) {
      const book = asked(['6in', '9in'], kind, options);
      const [change, ...more] = await changesOf(book);
      expect(more).toEqual([]);
      expect(Object.keys(change!.to).sort()).toEqual([...keys].sort());
      for (const key of keys)
        if (typeof change!.from[key] === 'number')
          expect(change!.to[key] as number).toBeLessThan(change!.from[key]);
      const so = bookFrom(withLargeType(book.recipe, [change!]));
      expect(await wordsOf(so)).toBeGreaterThanOrEqual(15.99);
      expect(await changesOf(so)).toEqual([]);
    }
  });

  it('leaves no word out: a grid is no smaller than the longest one', async () => {
    const words = ['beekeepingyears', ...HIVE_WORDS.slice(0, 9)];
    const options = { words: { lists: [{ words }] }, columns: 16, rows: 16, wordsPerPuzzle: 10 };
    const book = asked(['5in', '8in'], 'word-search', options);
    for (const { to } of await changesOf(book))
      for (const key of ['columns', 'rows']) expect(Number(to[key] ?? 16)).toBeGreaterThanOrEqual(15);
  });

  it('looks at every game that a section has sheets of', async () => {
    const sheets = (perPage: number) =>
      bookFrom(
        recipeOf([{ id: 's', kind: 'game-sheet', pages: 8, options: { perPage } }], {
          quill: 4,
          style: { largePrint: true, largeType: 16 },
        }),
      );
    expect(await changesOf(sheets(4))).toEqual([{ section: 's', from: { perPage: 4 }, to: { perPage: 1 } }]);
    expect(await wordsOf(sheets(1))).toBeGreaterThan(await wordsOf(sheets(4)));
  });

  it('is left as it is where it is enough, where they would be no larger, and where nothing else can be chosen', async () => {
    expect(await changesOf(asked(['8.5in', '11in'], 'crossword', {}))).toEqual([]);
    expect(await changesOf(asked(['5in', '8in'], 'crossword', { clueSide: 'grid' }))).toEqual([]);
    // One clue a word long after another: the list is no larger on a page alone.
    const long = 'what keepers call it where nobody has another word for it, now or ever before, '.repeat(4);
    const clues = HIVE_WORDS.map((word) => `${word} | ${long}`).join('\n');
    const book = asked(['5in', '8in'], 'crossword', { clues, words: 20 });
    const changes = await changesOf(book);
    const so = bookFrom(withLargeType(book.recipe, changes));
    expect(await wordsOf(so)).toBeGreaterThanOrEqual(await wordsOf(book));
  });
});
