import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { HIVE_WORDS, recipeOf } from '../../book/book.sample.ts';
import { bookFrom, drawPage, filledItem } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { loadVocabularies } from '../../puzzles/vocabulary/index.ts';
import { eachMark } from '../../scene/index.ts';
import type { AnagramPairsItem } from '../anagram-pairs/fill.ts';
import type { CrossSumsItem } from '../cross-sums/fill.ts';
import type { CrosswordItem } from '../crossword/fill.ts';
import type { CryptogramItem } from '../cryptogram/fill.ts';
import type { FillInItem } from '../fill-in/fill.ts';
import type { HiddenMessageItem } from '../hidden-message/fill.ts';
import { pageKind } from '../index.ts';
import type { InequalityItem } from '../inequality/fill.ts';
import type { KakuroItem } from '../kakuro/fill.ts';
import type { NonogramItem } from '../nonogram/fill.ts';
import { anyOptions, anySetting, holdsInside, settingOf, TRIMS, textsDrawn } from '../pages.sample.ts';
import type { TriviaItem } from '../trivia/fill.ts';
import type { ScrambleItem } from '../word-scramble/fill.ts';
import type { WordWheelItem } from '../word-wheel/fill.ts';

const type = typesetterFromDisk();
beforeAll(loadVocabularies);
const everything = process.env.QUILL_SWEEP === 'all';

const CLUES = HIVE_WORDS.map((word, i) => `${word} | What number ${i + 1} of the hive is called`).join('\n');
const SAYINGS = [
  'A swarm of bees in May is worth a load of hay; a swarm of bees in June is worth a silver spoon. | Old rhyme',
  'Bees that have honey in their mouths have stings in their tails. | Old saying',
  'Where there are bees, there is honey.',
].join('\n');
const QUESTIONS = Array.from({ length: 20 }, (_, i) =>
  i % 3
    ? `What is thing number ${i} called in the hive of a keeper? | Thing ${i} | Skep | Comb`
    : `How many are ${i}? | ${i} and one more that nobody counted`,
).join('\n');
const PAIRS = HIVE_WORDS.map((word, i) => `${word} | thing ${i + 1} of the hive`).join('\n');
const WORDS = { lists: [{ title: 'In the hive', words: HIVE_WORDS }] };

type Section = Record<string, unknown>;

const bookOf = (kind: string, section: Section, more: object = {}) =>
  bookFrom(
    recipeOf([{ id: 's', kind, ...section }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      ...more,
    }),
  );
type Book = ReturnType<typeof bookOf>;
const itemOf = <Item>(book: Book, number: number) =>
  filledItem(book, book.sections.get('s')!, number) as Item;
const textsOn = textsDrawn(type);
const findings = (book: Book) =>
  proofBook(book, type)
    .filter(({ place }) => place?.view === 'page')
    .map(({ message }) => message);

/** Of each kind: what it needs to have words, or texts it may have, and the least type of its pages where all is crowded. */
const KINDS: Record<
  string,
  { given?: Record<string, unknown>; any?: Record<string, string[]>; least?: number; most?: object }
> = {
  // A choice of 30 near-misses and 60 words in 40 × 40 cells on the smallest page is crowded, too.
  'word-search': { given: { words: WORDS, clues: CLUES, character: 'B' }, least: 1.8 },
  crossword: { given: { clues: CLUES, fillClues: '' }, least: 1.4, most: { columns: 13, rows: 13 } },
  'fill-in': { given: { words: WORDS }, least: 3.5 },
  'word-scramble': { given: { words: WORDS }, least: 4.9 },
  cryptogram: { given: { texts: SAYINGS }, least: 2 },
  trivia: { given: { questions: QUESTIONS }, least: 4.9 },
  'number-search': { least: 3.5 },
  // Small cells have small numbers; the proof tells what a press does not print well.
  kakuro: { least: 2.5, most: { columns: 10, rows: 10 } },
  inequality: { least: 3.5 },
  cages: { least: 3.5 },
  'number-pyramid': { least: 3.5 },
  'word-ladder': { any: { pairs: ['', 'cold warm'] }, least: 3.5 },
  'cross-sums': { least: 3.5 },
  'word-cards': { given: { pairs: PAIRS } },
  'hidden-message': { given: { messages: 'Go to the hive at noon\nLook below', clues: CLUES } },
  'word-wheel': { least: 2 },
  'anagram-pairs': { least: 3 },
  nonogram: { least: 2, most: { columns: 20, rows: 20 } },
  bingo: { given: { words: WORDS }, least: 4.9 },
  'game-sheet': {},
};

/** What is left of the smallest type of a kind where large print of a size is asked for on any page, whatever is on it. */
const CROWDED = 0.3;

describe.each(Object.keys(KINDS))('any page of %s', (kind) => {
  const { given = {}, any = {}, least = 7, most = {} } = KINDS[kind]!;
  const hasItems = pageKind(kind).extent === 'items';

  it('stays inside the safe area, with an answer that does', () => {
    const texts = Object.fromEntries(Object.entries(given).map(([key, value]) => [key, [value]]));
    fc.assert(
      fc.property(
        anyOptions(kind, { ...texts, ...any } as Record<string, string[]>),
        fc.constantFrom(...TRIMS),
        anySetting,
        (options, trim, setting) => {
          for (const [key, limit] of Object.entries(most))
            options[key] = Math.min(Number(options[key]), limit as number);
          const length = hasItems ? { items: 1, solutions: { perPage: 4 } } : { pages: 2 };
          holdsInside(bookOf(kind, { options, ...length }, settingOf(trim, setting)), type, (size) =>
            // Beside rules and numbers of 18 pt the smallest pages have less room for as much.
            expect(size).toBeGreaterThanOrEqual(
              setting.largePrint && setting.largeType ? least * CROWDED : least,
            ),
          );
        },
      ),
      { numRuns: everything ? 200 : 8 },
    );
  });

  if (hasItems && pageKind(kind).solution) {
    it('is sound as it comes, says where its answer is, and the answer where the puzzle is', () => {
      const book = bookOf(kind, { options: given, items: 2, solutions: { perPage: 2 } });
      expect(findings(book)).toEqual([]);
      const answer = book.plan.pages.length;
      const pages = Array.from({ length: answer }, (_, i) => textsOn(book, i + 1));
      expect(pages.flat().filter((text) => /^(Answers?|Solution) on page \d+$/.test(text))).not.toEqual([]);
      expect(pages.flat().filter((text) => /^(page 1|Puzzle 1)$/.test(text))).not.toEqual([]);
    });

    it('stays as it is when it is pinned, whatever is set', () => {
      const before = bookOf(kind, { options: given, items: 2 });
      const definition = pageKind(kind);
      const pin = definition.pin!.of({
        options: before.sections.get('s')!.options,
        resources: before.resources,
        streamKey: [before.recipe.seed, 's'],
        item: 2,
        roll: 0,
        pin: undefined,
        total: 2,
      });
      const pinned = bookOf(kind, { items: 2, pins: { 2: pin } });
      expect(JSON.stringify(itemOf(pinned, 2))).toBe(JSON.stringify(itemOf(before, 2)));
      expect(definition.data!(itemOf(before, 1))).toBeTypeOf('object');
      if (definition.told) expect(definition.told(itemOf(before, 1))).toMatch(/^[A-Z\d]/);
    });
  }
});

describe('a ladder that there is none of', () => {
  it('is told, and keeps its page free', () => {
    const book = bookOf('word-ladder', { items: 2, options: { letters: 3, steps: 8 } });
    const none = { letters: 3, words: [] };
    expect(
      pageKind('word-ladder').inspect!(none, { number: 1, displayNumber: 1, label: 'Puzzle 1' }, {}),
    ).toEqual([
      expect.objectContaining({
        severity: 'fix',
        message: expect.stringContaining('no ladder of so many steps'),
      }),
    ]);
    // A second way, and a way that the book has not.
    const wrong = { letters: 3, words: ['CAT', 'COT', 'COG', 'DOG'] };
    expect(
      pageKind('word-ladder').inspect!(wrong, { number: 1, displayNumber: 1, label: 'Puzzle 1' }, {}),
    ).toEqual([expect.objectContaining({ message: expect.stringContaining('more than one answer') })]);
    expect(textsOn(book, 1).join(' ')).toContain('Word ladder 1–2');
  });
});

describe('titles by a pattern', () => {
  it('stands on the page: of one level where all of them are, with what the whole book counts', () => {
    const sudokus = (level: unknown) =>
      bookOf('sudoku', { items: 4, options: { perPage: 2, level, heading: '{level} {n} of {total}' } });
    expect(textsOn(sudokus(1), 2)).toContain('Very easy 3–4 of 4');
    expect(textsOn(sudokus('rising'), 1)).toContain('1–2 of 4');
  });
});

describe('words with clues', () => {
  const crossword = (clues: string, options: object = {}) =>
    bookOf('crossword', { items: 2, options: { clues, words: 5, ...options } });
  const list = 'Bee | It hums\nHive | Where it lives\nQueen | She rules\nComb | Wall of wax\nHoney | Gold';

  it('are asked for with their letter counts', () => {
    const book = crossword(`${list}\nRoyal jelly | Food for one\nSemi-sweet | Not quite`, { words: 7 });
    const texts = textsOn(book, 1).join(' ');
    expect(texts).toContain('Across');
    expect(texts).toContain('It hums (3)');
    expect(texts).toContain('(5,5)');
    expect(texts).toContain('(4-5)');
  });

  it('stand two or four a page, each grid with its own; on the facing page there is one', () => {
    const small = { columns: 9, rows: 9, words: 5 };
    const count = (book: Book, page: number, text: string) =>
      textsOn(book, page).filter((one) => one === text).length;
    const two = crossword(list, { ...small, perPage: 2 });
    expect(textsOn(two, 1)).toContain('Crossword 1–2');
    expect([count(two, 1, 'Across'), count(two, 1, 'Down')]).toEqual([2, 2]);
    expect(findings(two)).toEqual([]);
    expect(two.plan.items.s!.pages).toEqual([1, 1]);
    const facing = crossword(list, { ...small, perPage: 4, clueSide: 'facing' });
    expect(new Set(facing.plan.items.s!.pages).size).toBe(2);
  });

  it('are asked for in cells of the grid, with arrows; what is too long for a cell is told', () => {
    const inGrid = { columns: 8, rows: 8, words: 5, clueSide: 'grid' };
    const book = crossword(`${list}\nRoyal jelly | Food for one`, { ...inGrid, columns: 11, words: 6 });
    const texts = textsOn(book, 1);
    expect(texts[0]).toBe('Arrow words 1');
    const calledWith = (clueSide: string) => pageKind('crossword').called!({ clueSide } as never);
    expect(['page', 'facing', 'grid'].map(calledWith)).toEqual(['Crossword', 'Crossword', 'Arrow words']);
    expect(texts.join(' ')).not.toMatch(/Across|\(3\)/);
    // The grid shows how many letters there are, but not where a word ends.
    for (const clue of ['It hums', 'She rules', 'Gold', 'Food for one (5,5)'])
      expect(texts.join(' ')).toContain(clue);
    expect(findings(book).join(' ')).not.toMatch(/ pt/);
    const long = list.replace('Gold', 'It is long in telling, and longer in reading. '.repeat(4));
    expect(findings(crossword(long, inGrid)).join(' ')).toMatch(/“It is .*” is .* pt; 7 pt .* Shorten it, /);
  });

  it('that find no room in any size that prints are drawn too small, and told', () => {
    const long = HIVE_WORDS.map((word) => `${word} | ${'It is long in telling. '.repeat(12)}`).join('\n');
    const crowded = bookOf('crossword', { items: 1, options: { clues: long, words: 12, perPage: 4 } });
    expect(findings(crowded).join(' ')).toMatch(/pt/);
  });

  it('that are missing, give the word away or are none are told', () => {
    expect(findings(crossword(`${list}\nNet |\nJazz | Loud\n7up | Drink`, { words: 7 }))).toEqual(
      expect.arrayContaining([
        'Puzzle 1: NET has no clue. Write one after an upright bar.',
        'Puzzle 1: JAZZ shares no letter with the others, so that nothing can cross it. Use another word.',
        expect.stringContaining('Words left out: “7up” has digits in it.'),
      ]),
    );
    expect(findings(crossword(list.replace('It hums', 'A bee is one')))).toContain(
      'Puzzle 1: the clue of BEE has the word in it. Write another one.',
    );
    expect(findings(crossword(''))).toContain(
      'Puzzle 1: there are no words. Type or paste words with their clues.',
    );
    expect(findings(crossword(list, { words: 12 }))).toContain(
      'From puzzle 1: the list gives 5 of the 12 words asked for. Add words or ask for fewer.',
    );
  });

  it('fill a dense grid: what is said of it, of its size and of words that cannot stand in one', () => {
    const dense = (options: object) => crossword(list, { layout: 'dense', columns: 9, rows: 9, ...options });
    const [word] = itemOf<CrosswordItem>(dense({}), 1).asked.filter(({ clue }) => !clue);
    const told = findings(
      dense({
        clues: `${list}\nCafé | Where to sit`,
        fillClues: `${word!.word} | ~ Nobody read it\nZzz | ~ Nor this`,
      }),
    );
    expect(told).toEqual(
      expect.arrayContaining([
        expect.stringMatching(
          /^Puzzle 1: \d+ words have no clue \([A-Z]+, .*…\)\. Write them, or take them from the dictionary\.$/,
        ),
        expect.stringContaining(
          'CAFÉ cannot stand in a dense grid: three letters and more, without accents.',
        ),
      ]),
    );
    // Words that stand in no grid need no review.
    expect(told.join()).not.toContain('ZZZ');
    const wide = dense({ columns: 25, rows: 7 });
    expect(itemOf<CrosswordItem>(wide, 1).columns).toBe(21);
    expect(findings(wide)).toContain(
      'Puzzle 1: a dense grid has 21 columns and rows at most; it was made so. Ask for fewer.',
    );
    const item = itemOf<CrosswordItem>(dense({ clues: '' }), 1);
    expect(pageKind('crossword').told!(item)).toMatch(/^\d+ words in 9 × 9 cells, 0 of them from the list$/);
    expect(findings(dense({ clues: '' })).join()).not.toContain('there are no words');
    const none = { ...item, asked: [], letters: [] };
    expect(
      pageKind('crossword').inspectSection!(
        [{ number: 1, label: 'Puzzle 1', item: none }],
        dense({ clues: '' }).sections.get('s')!.options,
        dense({ clues: '' }).resources,
      ),
    ).toEqual([
      expect.objectContaining({ severity: 'fix', message: expect.stringContaining('no grid of this size') }),
    ]);
  });

  it('keep the clue of the list where they fill a grid that they were not dealt to, and save those without one', () => {
    const book = crossword('', { layout: 'dense', columns: 7, rows: 7 });
    const { asked } = itemOf<CrosswordItem>(book, 1);
    const fillClues = asked.slice(0, 3).map(({ word }) => `${word.toLowerCase()} | Clue of ${word.length}`);
    const known = crossword('', { layout: 'dense', columns: 7, rows: 7, fillClues: fillClues.join('\n') });
    const item = itemOf<CrosswordItem>(known, 1);
    expect(item.letters).toEqual(itemOf<CrosswordItem>(book, 1).letters);
    expect(item.asked.slice(0, 3).map(({ clue }) => clue)).toEqual(
      asked.slice(0, 3).map(({ word }) => `Clue of ${word.length}`),
    );
    const bare = pageKind('crossword').formats!.find(({ id }) => id === 'no-clue')!;
    expect(bare.write(item, { number: 1, label: 'Puzzle 1' }).split('\n')).toEqual(
      asked.slice(3).map(({ word }) => word),
    );
  });

  it('from the dictionary are printed without their mark, and asked to be reviewed', () => {
    const book = crossword(list.replace('| It hums', '| ~ It hums'));
    const texts = [1, 2].map((page) => textsOn(book, page).join(' ')).join(' ');
    expect(texts).toContain('It hums (3)');
    expect(texts).not.toContain('~');
    expect(findings(book)).toContain(
      'Puzzle 1: the list has a clue from the dictionary that nobody has reviewed (BEE). Read each and take its ~ away.',
    );
  });

  it('stand on the facing page where that is asked for', () => {
    const book = crossword(list, { clueSide: 'facing' });
    const [left, right] = book.plan.pages.filter(({ part }) => part === 'left' || part === 'right');
    expect(textsOn(book, left!.number)).toContain('Crossword 1');
    expect(textsOn(book, right!.number).join(' ')).toContain('It hums (3)');
  });

  it('a letter that another word reads is found out', () => {
    const item = itemOf<CrosswordItem>(crossword(list), 1);
    const at = item.letters.findIndex((letter) => letter !== null);
    const letters = item.letters.map((letter, i) => (i === at ? 'Z' : letter));
    const said = pageKind('crossword').inspect!(
      { ...item, letters },
      { number: 1, displayNumber: 1, label: 'Puzzle 1' },
      {},
    );
    expect(said[0]!.message).toMatch(/cannot be read once as it should/);
  });
});

describe('what is wrong with a puzzle is found by code that did not make it', () => {
  const label = { number: 1, displayNumber: 1, label: 'Puzzle 1' };
  const said = (kind: string, item: unknown) =>
    pageKind(kind).inspect!(item, label, {}).map(({ message }) => message);

  it('in a nonogram', () => {
    const item = itemOf<NonogramItem>(
      bookOf('nonogram', { items: 1, options: { columns: 5, rows: 5, level: 1 } }),
      1,
    );
    expect(said('nonogram', item)).toEqual([]);
    const two = { ...item, columns: 2, rows: 2, picture: '#..#' };
    expect(said('nonogram', two)).toEqual(['Puzzle 1: has more than one answer. Re-roll the puzzle.']);
    expect(said('nonogram', { ...item, wanted: 5 })[0]).toMatch(/is of level \d, not 5/);
  });

  it('in a kakuro', () => {
    const item = itemOf<KakuroItem>(
      bookOf('kakuro', { items: 1, options: { columns: 5, rows: 5, level: 2 } }),
      1,
    );
    expect(said('kakuro', item)).toEqual([]);
    const two = { ...item, columns: 3, rows: 3, solution: '....12.21' };
    expect(said('kakuro', two)).toEqual(['Puzzle 1: has more than one answer. Re-roll the puzzle.']);
  });

  it('in an inequality grid', () => {
    const item = itemOf<InequalityItem>(
      bookOf('inequality', { items: 1, options: { size: 4, level: 2, perPage: 1 } }),
      1,
    );
    expect(said('inequality', item)).toEqual([]);
    const open = { ...item, givens: '.'.repeat(16), signs: [] };
    expect(said('inequality', open)).toEqual(['Puzzle 1: has more than one answer. Re-roll the puzzle.']);
    const [first, ...others] = item.signs;
    const turned = { ...item, signs: [{ less: first!.more, more: first!.less }, ...others] };
    expect(said('inequality', turned)[0]).toMatch(/has no answer|is another/);
  });

  it('in cross sums', () => {
    const item = itemOf<CrossSumsItem>(bookOf('cross-sums', { items: 1, options: { level: 1 } }), 1);
    expect(said('cross-sums', item)).toEqual([]);
    const open = { ...item, operators: item.operators.map(() => ['+', '+']), results: Array(6).fill(15) };
    expect(said('cross-sums', { ...open, givens: Array(9).fill(null) })).toEqual([
      'Puzzle 1: has more than one answer. Re-roll the puzzle.',
    ]);
    expect(said('cross-sums', { ...item, results: item.results.map((result) => result + 100) })).toEqual([
      'Puzzle 1: has no answer. Re-roll the puzzle.',
    ]);
    expect(said('cross-sums', { ...item, wanted: 5 })[0]).toMatch(/is of level 1, not 5/);
  });

  it('in a word wheel', () => {
    const item = itemOf<WordWheelItem>(bookOf('word-wheel', { items: 1 }), 1);
    expect(said('word-wheel', item)).toEqual([]);
    const another = ['Puzzle 1: the answer in the book is another. Re-roll the puzzle.'];
    expect(said('word-wheel', { ...item, words: item.words.slice(1) })).toEqual(another);
    expect(
      said('word-wheel', { ...item, whole: item.words[0] === item.whole ? 'NONE' : item.words[0] }),
    ).toEqual(another);
    expect(said('word-wheel', { ...item, letters: 'QXZJVKWPB' })).toEqual([
      'Puzzle 1: has no answer. Re-roll the puzzle.',
    ]);
    expect(said('word-wheel', { ...item, letters: '' })).toEqual([
      'Puzzle 1: was not found. Re-roll the puzzle.',
    ]);
  });

  it('in pairs of anagrams', () => {
    const item = itemOf<AnagramPairsItem>(bookOf('anagram-pairs', { items: 1 }), 1);
    expect(said('anagram-pairs', item)).toEqual([]);
    const several = { ...item, pairs: [['LISTEN', 'SILENT']] };
    expect(said('anagram-pairs', several)[0]).toMatch(/the anagram of LISTEN may be .* or /);
    const [[word]] = item.pairs as [[string, string]];
    expect(said('anagram-pairs', { ...item, pairs: [[word, 'OTHER']] })).toEqual([
      `Puzzle 1: the anagram of ${word} is not OTHER. Re-roll the puzzle.`,
    ]);
    expect(
      findings(
        bookOf('anagram-pairs', { items: 1, options: { pairs: 16, shortest: 10, longest: 10 } }),
      ).join(),
    ).toMatch(/there are \d+ of the 16 pairs asked for/);
  });

  it('in a hidden message, and in its lists', () => {
    const hidden = (options: object) =>
      bookOf('hidden-message', { items: 1, options: { clues: CLUES, ...options } });
    const item = itemOf<HiddenMessageItem>(hidden({ messages: 'Look below' }), 1);
    expect(said('hidden-message', item)).toEqual([]);
    const [first, ...others] = item.rows;
    const moved = { ...first!, letters: first!.letters.map(() => 'Q') };
    const letters = (rows: HiddenMessageItem['rows']) => rows.map(({ letters: all, at }) => all[at]).join('');
    expect(letters(item.rows)).toBe('LOOKBELOW');
    expect(said('hidden-message', { ...item, rows: [moved, ...others] })).toEqual([
      'Puzzle 1: the marked column does not read as the message. Re-roll the puzzle.',
    ]);
    expect(findings(hidden({ messages: 'Zzz' }))).toContain(
      'Puzzle 1: no word is left for Z, so that it is printed. Add words that have it.',
    );
    expect(findings(hidden({ messages: 'A message of more letters than fit' })).join()).toMatch(
      /the message has 28 letters; 24 are the most/,
    );
    expect(findings(hidden({ messages: '', clues: '' }))).toEqual([
      'Puzzle 1: there is no message. Type or paste some, a line for each.',
      'Puzzle 1: there are no words. Type or paste words with their clues.',
    ]);
    expect(
      findings(
        hidden({ messages: 'Bee', clues: 'Bee | ~ A bee\nHive | It hums\nEel | Long fish\n7up | No' }),
      ),
    ).toEqual(
      expect.arrayContaining([
        'Puzzle 1: the clue of BEE has the word in it. Write another one.',
        'One clue comes from the dictionary and nobody has reviewed it. Read each and take its ~ away.',
        expect.stringContaining('Words left out: “7up”'),
      ]),
    );
  });

  it('in a fill-in', () => {
    const item = itemOf<FillInItem>(
      bookOf('fill-in', { items: 1, options: { words: WORDS, wordsPerPuzzle: 8 } }),
      1,
    );
    expect(said('fill-in', item)).toEqual([]);
    expect(said('fill-in', { ...item, words: item.words.slice(1) })).toEqual([
      'Puzzle 1: the answer in the book is another. Re-roll the puzzle.',
    ]);
  });

  it('in a cryptogram, and a text too short to be found out', () => {
    const item = itemOf<CryptogramItem>(bookOf('cryptogram', { items: 1, options: { texts: SAYINGS } }), 1);
    expect(said('cryptogram', item)).toEqual([]);
    expect(said('cryptogram', { ...item, cipher: item.cipher.replace(/[A-Z]/, '?') })).toEqual([
      'Puzzle 1: the key does not give the text back. Re-roll the puzzle.',
    ]);
    const short = bookOf('cryptogram', { items: 1, options: { texts: 'Go on' } });
    expect(findings(short)[0]).toMatch(/the text has 3 different letters/);
  });

  it('the strip for the key of a cryptogram makes way for its text', () => {
    const textSize = (perPage: number) => {
      const book = bookOf(
        'cryptogram',
        { items: perPage, options: { texts: SAYINGS, perPage } },
        { style: { largePrint: true } },
      );
      const { cipher } = itemOf<CryptogramItem>(book, 1);
      const sizes: number[] = [];
      let strips = 0;
      eachMark(drawPage(book, 1, type).layers[0]!.marks, (mark) => {
        if (mark.type !== 'text') return;
        if (mark.text === 'Z' && !mark.centers) strips++;
        if (mark.centers && cipher.replace(/[^A-Z]/g, '').startsWith(mark.text)) sizes.push(mark.size);
      });
      return { size: Math.min(...sizes), strips };
    };
    expect(textSize(1).strips).toBeGreaterThan(0);
    expect(textSize(2).size).toBeGreaterThan(7);
  });

  it('in words in disorder', () => {
    const item = itemOf<ScrambleItem>(bookOf('word-scramble', { items: 1, options: { words: WORDS } }), 1);
    expect(said('word-scramble', item)).toEqual([]);
    const [first, ...others] = item.words;
    const kept = { ...item, words: [{ ...first!, shown: [...first!.letters] }, ...others] };
    expect(said('word-scramble', kept)[0]).toMatch(/is not printed as it should/);
    const twins = bookOf('word-scramble', {
      items: 1,
      options: { words: { lists: [{ words: ['Nectar', 'Carnet', 'Swarm', 'Aaa'] }] }, wordsPerPuzzle: 4 },
    });
    expect(itemOf<ScrambleItem>(twins, 1).words.map(({ word }) => word)).toHaveLength(2);
  });
});

describe('questions', () => {
  const quiz = (questions: string, options: object = {}) =>
    bookOf('trivia', {
      items: 1,
      options: { questions, perPuzzle: 3, ...options },
      solutions: { perPage: 1 },
    });

  it('are printed with their choices, and answered with the letter of the right one', () => {
    const book = quiz(
      'How many legs has a bee? | Six | Four | Eight\nWho rules? | The queen\nWhere? | Here | There',
    );
    const { questions } = itemOf<TriviaItem>(book, 1);
    expect([...questions[0]!.choices].sort()).toEqual(['Eight', 'Four', 'Six']);
    expect(questions[1]!.choices).toEqual([]);
    const texts = textsOn(book, 1);
    expect(texts).toEqual(
      expect.arrayContaining(['How many legs has a bee?', 'Six', 'Four', 'Eight', 'Who rules?']),
    );
    const letter = 'ABC'[questions[0]!.choices.indexOf('Six')];
    expect(textsOn(book, 2)).toEqual(expect.arrayContaining([`${letter} Six`, 'The queen']));
    expect(findings(book)).toEqual([]);
  });

  it('without an answer, with it twice, or with it in the question are told', () => {
    expect(
      findings(quiz('Who?\nWhat is a skep made of? | Straw | straw\nIs a queen a queen? | A queen | No')),
    ).toEqual([
      'Puzzle 1: question 1 has no answer. Write one after an upright bar.',
      'Puzzle 1: question 2 has its answer twice among the choices. Change one of them.',
      'Puzzle 1: question 3 has its answer in it. Put it in other words.',
    ]);
    expect(findings(quiz(''))).toEqual([
      'Puzzle 1: there are no questions. Type or paste some, a line for each.',
    ]);
    expect(findings(quiz('Who? | She', { perPuzzle: 5 }))).toEqual([
      'The list has 1 of the 5 questions asked for, so that they come back. Add questions, or ask for fewer.',
    ]);
  });
});

describe('bingo cards', () => {
  const bingo = (options: object, more: object = {}) => bookOf('bingo', { items: 6, options, ...more });

  it('have a number and a heading over their columns', () => {
    const texts = textsOn(bingo({}), 1);
    expect(texts).toEqual(expect.arrayContaining(['B', 'I', 'N', 'G', 'O', 'FREE', 'Card 1']));
    expect(findings(bingo({}))).toEqual([]);
  });

  it('stay as they are when they are pinned, and say how many words they take', () => {
    const book = bingo({ cards: 'words', words: WORDS, size: 3 });
    const pin = itemOf(book, 2);
    expect(itemOf(bingo({}, { pins: { 2: pin } }), 2)).toEqual(pin);
    expect(findings(bingo({ cards: 'words', words: { lists: [{ words: ['Bee', 'Hive'] }] } }))).toContain(
      'there are 2 different words; a card of 5 × 5 takes 24. Add words, or make the cards smaller.',
    );
  });
});

describe('sheets of games', () => {
  it('go on through the games from page to page, or have one alone', () => {
    const mixed = bookOf('game-sheet', { pages: 2 });
    expect(textsOn(mixed, 1)).toEqual(expect.arrayContaining(['Games for two', 'Dots and boxes', 'Hangman']));
    expect(textsOn(mixed, 2)).toEqual(expect.arrayContaining(['No triangle', 'Sprouts', 'Categories']));
    const alone = bookOf('game-sheet', { pages: 1, options: { game: 'battle', perPage: 1, score: false } });
    const texts = textsOn(alone, 1);
    expect(texts).toEqual(expect.arrayContaining(['Sea battle', 'Mine', 'Theirs', 'ABCDEFGHIJ']));
    expect(texts).not.toContain('First');
  });
});

describe('the same puzzle', () => {
  it.each(Object.keys(KINDS).filter((id) => pageKind(id).sameAs))(
    '%s: is known by what it is, whatever section it is made for; puzzles of other seeds are others',
    (id) => {
      const { given = {} } = KINDS[id]!;
      const keyOf = (seed: string, section: string) => {
        const book = bookFrom(
          recipeOf([{ id: section, kind: id, items: 1, options: given }], { quill: 4, seed }),
        );
        return pageKind(id).sameAs!(filledItem(book, book.sections.get(section)!, 1));
      };
      expect(keyOf('one', 's')).toBe(keyOf('one', 's'));
      expect(keyOf('one', 's')).not.toBe('');
      expect(new Set(['one', 'other', 'third'].map((seed) => keyOf(seed, 's'))).size).toBeGreaterThan(1);
    },
  );
});
