import { describe, expect, it } from 'vitest';
import { HIVE_WORDS, recipeOf, sectionAt } from '../../book/book.sample.ts';
import { newerVersion, takeNewerVersion } from '../../book/edit.ts';
import { bookFrom, drawPage, filledItem } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { cellsOf, DIRECTION_SETS } from '../../puzzles/word-search/index.ts';
import { eachMark, type TextMark } from '../../scene/index.ts';
import { pageKind } from '../index.ts';
import type { WordSearchItem } from './earlier/fill.ts';
import type { SearchItem } from './fill.ts';

const type = typesetterFromDisk();
const WORDS = { lists: [{ title: 'In the hive', words: HIVE_WORDS }] };

function bookOf(options: object = {}, section: object = {}) {
  return bookFrom(
    recipeOf(
      [{ id: 'w', kind: 'word-search', items: 2, options: { words: WORDS, ...options }, ...section }],
      {
        quill: 4,
        print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      },
    ),
  );
}
type Book = ReturnType<typeof bookOf>;
const itemOf = (book: Book, number = 1) => filledItem(book, book.sections.get('w')!, number) as SearchItem;
const listOf = (...words: string[]) => ({ words: { lists: [{ words }] } });
function textsOn(book: Book, page: number): TextMark[] {
  const texts: TextMark[] = [];
  eachMark(drawPage(book, page, type).layers[0]?.marks ?? [], (mark) => {
    if (mark.type === 'text') texts.push(mark as TextMark);
  });
  return texts;
}
const read = (book: Book, page: number) => textsOn(book, page).map(({ text }) => text);
const findings = (book: Book) => proofBook(book, type).map(({ message }) => message);

describe('words of a word search', () => {
  const words = ['Swarm', 'queen bee', 'Bee-keeper', 'Wax', 'méthode'];

  it('are listed in capitals or as typed, with their spaces, hyphens and accents', () => {
    const capitals = read(bookOf(listOf(...words)), 1);
    expect(capitals).toEqual(expect.arrayContaining(['QUEEN BEE', 'BEE-KEEPER', 'MÉTHODE']));
    const typed = read(bookOf({ ...listOf(...words), capitals: 'typed' }), 1);
    expect(typed).toEqual(expect.arrayContaining(['queen bee', 'Bee-keeper', 'méthode']));
  });

  it('are in the order that is asked for', () => {
    const inOrder = (order: string) =>
      itemOf(bookOf({ ...listOf(...words), order })).words.map(({ word }) => word);
    expect(inOrder('typed')).toEqual(words);
    expect(inOrder('alphabet')).toEqual(['Bee-keeper', 'méthode', 'queen bee', 'Swarm', 'Wax']);
    expect(inOrder('length')).toEqual(['Wax', 'Swarm', 'méthode', 'queen bee', 'Bee-keeper']);
    expect(inOrder('mixed').sort()).toEqual(words.slice().sort());
  });

  it('are given as clues, and one without a clue is told', () => {
    const book = bookOf({
      ...listOf('Swarm', 'Wax', 'Queen'),
      shown: 'clues',
      clues: 'Swarm | Half a colony on the move\nWax | A comb is made of wax',
    });
    expect(read(book, 1)).toEqual(expect.arrayContaining(['Half a colony on the move', 'QUEEN']));
    const told = findings(book).join('\n');
    expect(told).toContain('QUEEN has no clue and is listed itself');
    expect(told).toContain('the clue of WAX has the word in it');
  });

  it('stand beside the grid, below it or on the facing page', () => {
    const gridAndList = (place: string) => {
      const book = bookOf({ place, wordsPerPuzzle: 28, columns: 22, rows: 22 });
      const pages = Array.from({ length: 4 }, (_, i) => textsOn(book, i + 1));
      const grid = pages.findIndex((texts) => texts.some(({ centers }) => centers));
      const list = pages.findIndex((texts) => texts.some(({ text }) => text === 'PROPOLIS'));
      const row = pages[grid]!.filter(({ centers }) => centers);
      const word = pages[list]!.find(({ text }) => text === 'PROPOLIS')!;
      return { grid, list, right: Math.max(...row.at(-1)!.centers!), bottom: row.at(-1)!.y, word };
    };
    const below = gridAndList('below');
    expect(below.word.y).toBeGreaterThan(below.bottom);
    const beside = gridAndList('beside');
    expect(beside.word.x).toBeGreaterThan(beside.right);
    const facing = gridAndList('facing');
    expect(facing.list).toBe(facing.grid + 1);
  });

  it('leave the grid of all pages of a section in the same place, whatever they are', () => {
    const book = bookOf({}, { items: 12, solutions: { place: 'none' } });
    // Pages of one side; those of the other have their margins the other way round.
    const grids = Array.from({ length: 6 }, (_, i) =>
      textsOn(book, 2 * i + 1)
        .filter(({ centers }) => centers)
        .map(({ centers, y }) => [...centers!, y].join(' ')),
    );
    expect(new Set(grids.map((rows) => rows.join('\n'))).size).toBe(1);
  });
});

describe('grids', () => {
  it('show unwanted words in no direction; a listed one is told and may be allowed', () => {
    const options = { ...listOf('Queen', 'Wax', 'Sting'), unwantedMore: 'sting\nqu' };
    expect(findings(bookOf(options)).join('\n')).toContain('STING is among the unwanted words');
    const allowed = bookOf({ ...options, unwantedMore: 'sting\n+sting' });
    expect(findings(allowed).join('\n')).not.toContain('unwanted');
  });

  it('that show one are told by a reader of their own', () => {
    const book = bookOf({ ...listOf('Queen', 'Wax'), unwanted: [] });
    const kind = pageKind('word-search');
    const item = itemOf(book);
    const { letters, columns } = item.search;
    // Whatever stands in the last row from its fourth cell on, where no word lies.
    const at = Array.from({ length: 3 }, (_, i) => (item.search.rows - 1) * columns + 3 + i);
    const own = new Set(item.search.placements.flatMap((one) => cellsOf(one, columns)));
    const free = at.filter((cell) => !own.has(cell));
    expect(free.length).toBeGreaterThan(0);
    const unwantedMore = at.map((cell) => letters[cell]).join('');
    const told = kind.inspect!(item, { number: 1, displayNumber: 1, label: 'Puzzle 1' }, {
      ...(book.sections.get('w')!.options as object),
      unwantedMore,
    } as never);
    expect(told.map(({ message }) => message).join()).toContain(`${unwantedMore} can be read in the grid`);
  });

  it('carry a message, with a blank for each letter, or say that it has no room', () => {
    const message = 'The bees are home again';
    const book = bookOf({ messages: `${message}\nAnother one` });
    const item = itemOf(book);
    expect(item.search.message.map((at) => item.search.letters[at]).join('')).toBe('THEBEESAREHOMEAGAIN');
    expect(itemOf(book, 2).message).toBe('Another one');
    expect(read(book, 1)).toContain('The first letters that are left over, in reading order:');
    const small = bookOf({
      ...listOf('Queen', 'Drone', 'Smoker', 'Swarm'),
      ...{ columns: 6, rows: 6, messages: 'A message that is longer than all of the grid' },
    });
    expect(findings(small).join('\n')).toMatch(/the words leave \d+ letters, the message has 36/);
  });

  it('say how many cells they have when words do not fit', () => {
    const told = findings(bookOf({ ...listOf(...HIVE_WORDS), columns: 9, rows: 9, wordsPerPuzzle: 15 }));
    expect(told.join('\n')).toMatch(/does not fit: the grid has 81 cells, the words have \d+ letters/);
  });

  it('are of the level that is asked for, with the directions that it takes', () => {
    const book = bookOf({ level: 'rising', columns: 15, rows: 15, wordsPerPuzzle: 12 }, { items: 5 });
    const levels = [1, 2, 3, 4, 5].map((number) => itemOf(book, number));
    expect(levels.map(({ wanted }) => wanted)).toEqual([1, 2, 3, 4, 5]);
    expect(levels.map(({ directions }) => directions.length)).toEqual([2, 3, 4, 8, 8]);
    expect(levels.map(({ level }) => level)).toEqual([1, 2, 3, 4, 5]);
  });

  it('of a level stay as they are when they are pinned, near-misses and all', () => {
    const options = { level: 'rising', columns: 14, rows: 14, wordsPerPuzzle: 12 };
    const book = bookOf(options, { items: 10 });
    const numbers = Array.from({ length: 10 }, (_, i) => i + 1);
    const pins = Object.fromEntries(
      numbers.map((item) => [
        item,
        pageKind('word-search').pin!.of({
          options: book.sections.get('w')!.options,
          resources: book.resources,
          streamKey: [book.recipe.seed, 'w'],
          ...{ item, roll: 0, pin: undefined, total: 10 },
        }),
      ]),
    );
    const pinned = bookOf({ shape: 'heart', unwanted: ['de'] }, { items: 10, pins });
    for (const item of numbers) expect(itemOf(pinned, item).search).toEqual(itemOf(book, item).search);
  });

  it('of words that run to the left do so, message and all', () => {
    const item = itemOf(
      bookOf({ ...listOf('דבש', 'כוורת', 'דבורה', 'דונג'), directions: ['across'], messages: 'שלום' }),
    );
    for (const one of item.search.placements) expect(one.direction).toBe('back');
    expect(item.search.message.map((at) => item.search.letters[at]).join('')).toBe('שלום');
    const [first, second] = item.search.message;
    expect(first! % item.search.columns).toBeGreaterThan(second! % item.search.columns);
  });

  it('come as rows and cells for other programs', () => {
    const book = bookOf({ shape: 'heart', columns: 18, rows: 18 });
    const data = pageKind('word-search').data!(itemOf(book)) as {
      rows: string[];
      words: { word: string; cells: number[] }[];
    };
    expect(data.rows).toHaveLength(18);
    for (const row of data.rows) expect(row).toMatch(/^[A-Z.]{18}$/);
    const letters = data.rows.join('');
    for (const { word, cells } of data.words)
      expect(cells.map((at) => letters[at]).join('')).toBe(word.toUpperCase());
  });
});

describe('answers', () => {
  const marks = (answer: string) => {
    const book = bookOf({ answer, wordsPerPuzzle: 10 }, { items: 1, solutions: { perPage: 1 } });
    const all = drawPage(book, book.plan.pages.length - 1, type).layers[0]!.marks;
    const last = drawPage(book, book.plan.pages.length, type).layers[0]!.marks;
    return all.length > last.length ? all : last;
  };

  it('are outlines, strokes, or the letters of the words among dots', () => {
    const strokes = marks('strokes').filter((mark) => mark.type === 'path' && mark.stroke?.cap === 'round');
    expect(strokes).toHaveLength(10);
    const dots = marks('letters').filter((mark) => mark.type === 'path' && mark.fill && !mark.stroke);
    expect(dots.length).toBeGreaterThan(100);
    expect(marks('outlines').filter((mark) => mark.type === 'path').length).toBeGreaterThanOrEqual(11);
  });
});

describe('earlier versions', () => {
  const pin = {
    title: 'In the hive',
    words: ['Queen', 'Drone', 'Wax'],
    columns: 10,
    rows: 10,
    directions: 'diagonal',
    roll: 0,
  };

  it('are taken on with the directions of their set, and pinned puzzles keep their letters', () => {
    const recipe = recipeOf(
      [
        {
          ...{ id: 'w', kind: 'word-search', version: 2, items: 2 },
          options: { words: WORDS, directions: 'backwards', wordsPerPuzzle: 10 },
          pins: { 1: pin },
        },
      ],
      { quill: 4 },
    );
    const before = bookFrom(recipe);
    expect(newerVersion(sectionAt(recipe))?.version).toBe(3);
    const after = bookFrom(takeNewerVersion(recipe, 'w'));
    expect(after.sections.get('w')!.options).toMatchObject({
      directions: [...DIRECTION_SETS.backwards],
      wordsPerPuzzle: 10,
    });
    expect(itemOf(after, 2).words).toHaveLength(10);
    expect(drawPage(after, 2, type).layers[0]!.marks.length).toBeGreaterThan(20);
    const was = filledItem(before, before.sections.get('w')!, 1) as WordSearchItem;
    expect(itemOf(after).search.letters).toEqual(was.search.letters);
    expect(itemOf(after).search.placements).toEqual(was.search.placements);
  });
});
