import Papa from 'papaparse';
import { DENSE_SIDES, denseSteps } from '../../puzzles/crossword/dense/index.ts';
import { type Crossword, freeFormSteps, numbersOf, runsOf } from '../../puzzles/crossword/index.ts';
import { type RandomStream, randomStream } from '../../random.ts';
import { gridWord } from '../../words/index.ts';
import { rowsOf } from '../item-formats.ts';
import type { FillContext, ItemProblem, SectionProblem } from '../kind.ts';
import { type Clued, cluedWords } from '../puzzle/clued-words.ts';
import { dealtFrom } from '../puzzle/deal.ts';
import { givesAway, placeProblems } from '../puzzle/judged.ts';
import { leftOutTold } from '../puzzle/word-source.ts';
import {
  type CrosswordGiven,
  type CrosswordMade,
  type CrosswordOptions,
  type CrosswordPin,
  MOST_DEALT,
} from './options.ts';

/** A word in the grid, as it is asked for. */
export interface Asked {
  /** Of the cell at which it begins. */
  number: number;
  across: boolean;
  word: string;
  clue: string;
  /** Places of its cells, row by row. */
  cells: number[];
}

export interface CrosswordItem extends Pick<Crossword, 'columns' | 'rows' | 'letters'> {
  /** Across and then down, by number. */
  asked: Asked[];
  /** Words that found no place. */
  leftOut: string[];
  /** Of a dense grid: how many of its words are the publisher’s. */
  own?: number;
  /** It was brought in, and owes nothing to the list of the section. */
  given?: true;
}

const longest = ({ columns, rows, layout }: Pick<CrosswordOptions, 'columns' | 'rows' | 'layout'>) =>
  layout === 'dense' ? Math.min(DENSE_SIDES.max, Math.max(columns, rows)) : Math.max(columns, rows);

/** Words of the publisher that a dense grid is dealt; as many of them are placed as fit. */
const DEALT_TO_DENSE = 24;
/** Of a grid that asks for its words itself, words that it may choose from for each one that it takes: empty cells stand out there. */
const CHOICE = 3;
/** Dense grids are filled by letters without accents. */
const PLAIN = /^[A-Z]{3,}$/;

const usableFor = (options: CrosswordOptions): Clued[] =>
  cluedWords(options.clues).clued.filter(
    ({ letters }) =>
      letters.length <= longest(options) && (options.layout === 'free' || PLAIN.test(letters.join(''))),
  );

/** What a pinned puzzle is made from. */
export function pinnedCrossword({
  options,
  streamKey,
  item,
  roll,
}: FillContext<CrosswordOptions>): CrosswordMade {
  const { columns, rows, layout, vocabulary } = options;
  const usable = usableFor(options);
  const isDense = layout === 'dense';
  const chooses = !isDense && options.clueSide === 'grid';
  const size = isDense ? DEALT_TO_DENSE : options.words * (chooses ? CHOICE : 1);
  const dealt = dealtFrom(usable, {
    size: isDense || chooses ? Math.min(size, usable.length, MOST_DEALT) : size,
    place: roll === 0 ? item - 1 : null,
    deck: (cycle) => randomStream(...streamKey, 'deck', cycle),
    own: randomStream(...streamKey, item, roll, 'words'),
    clash: () => false,
  });
  const words = dealt.map(({ word, clue }) => ({ word, clue }));
  return { words, ...(chooses ? { enough: options.words } : {}), columns, rows, roll, layout, vocabulary };
}

/** Makes one puzzle from its own random stream, giving way while it works. */
export function* fillCrossword(context: FillContext<CrosswordOptions>): Generator<void, CrosswordItem> {
  const made = (context.pin as CrosswordPin | undefined) ?? pinnedCrossword(context);
  if ('letters' in made) return givenCrossword(made);
  const words = made.words.flatMap(({ word, clue }): Clued[] => {
    const found = gridWord(word);
    return 'problem' in found ? [] : [{ ...found, clue }];
  });
  const random = randomStream(...context.streamKey, context.item, made.roll, 'grid');
  return made.layout === 'dense'
    ? yield* denseCrossword(made, words, context.options, random)
    : yield* freeCrossword(made, words, random);
}

/** A puzzle that was brought in: its words are read off the grid. */
export function givenCrossword({ columns, rows, letters, clues }: CrosswordGiven): CrosswordItem {
  const grid = { columns, rows, letters };
  const numbers = numbersOf(grid);
  const asked = runsOf(grid).map(({ cells, across }): Asked => {
    const number = numbers.get(cells[0]!)!;
    const { clue = '', word } = clues.find((one) => one.number === number && one.across === across) ?? {};
    const spelled = cells.map((at) => letters[at]).join('');
    return { number, across, word: word && lettersOf(word) === spelled ? word : spelled, clue, cells };
  });
  return { ...grid, asked: asked.sort(byNumber), leftOut: [], given: true };
}

function* freeCrossword(
  { columns, rows, enough }: CrosswordMade,
  words: readonly Clued[],
  random: RandomStream,
): Generator<void, CrosswordItem> {
  const { grid, leftOut } = yield* freeFormSteps(
    { words: words.map(({ letters }) => letters), enough, columns, rows },
    random,
  );
  const missing = Math.max(0, Math.min(enough ?? words.length, words.length) - grid.entries.length);
  return { ...askedIn(grid, words), leftOut: leftOut.slice(0, missing).map((word) => words[word]!.word) };
}

/** Of a grid that could not be filled, a puzzle without words. */
function* denseCrossword(
  { columns, rows, vocabulary }: CrosswordMade,
  words: readonly Clued[],
  { clues, fillClues }: CrosswordOptions,
  random: RandomStream,
): Generator<void, CrosswordItem> {
  const own = new Map(words.map((word) => [word.letters.join(''), word]));
  const found = yield* denseSteps(
    {
      columns: Math.min(DENSE_SIDES.max, columns),
      rows: Math.min(DENSE_SIDES.max, rows),
      first: [...own.keys()],
      vocabulary,
    },
    random,
  );
  if (!found) return { columns: 0, rows: 0, letters: [], asked: [], leftOut: [] };
  // A word of the list may stand in a grid that it was not dealt to: its clue is known all the same.
  const known = new Map(
    [fillClues, clues].flatMap((source) =>
      cluedWords(source).clued.map((word) => [word.letters.join(''), word] as const),
    ),
  );
  const asked = found.words.map(
    (letters) => own.get(letters) ?? known.get(letters) ?? { word: letters, letters: [...letters], clue: '' },
  );
  return {
    ...askedIn(found.grid, asked),
    leftOut: [],
    own: found.words.filter((letters) => own.has(letters)).length,
  };
}

/** Across and then down, by number. */
const byNumber = (a: Asked, b: Asked): number => Number(b.across) - Number(a.across) || a.number - b.number;

/** A grid with what is asked for in it. */
function askedIn(grid: Crossword, words: readonly Clued[]): Omit<CrosswordItem, 'leftOut'> {
  const { columns, rows, letters } = grid;
  const numbers = numbersOf(grid);
  const asked = grid.entries.map((entry): Asked => {
    const first = entry.row * columns + entry.column;
    const { word, clue, letters: own } = words[entry.word]!;
    const cells = own.map((_, i) => first + i * (entry.across ? 1 : columns));
    return { number: numbers.get(first)!, across: entry.across, word, clue, cells };
  });
  return { columns, rows, letters, asked: asked.sort(byNumber) };
}

const FEW = 4;
const namedFew = (words: readonly string[]): string =>
  words
    .slice(0, FEW)
    .map((word) => word.toLocaleUpperCase('en'))
    .join(', ') + (words.length > FEW ? ' …' : '');

const WRITE_ONE = 'Write one after an upright bar.';
const WRITE_CLUES = 'Write them, or take them from the dictionary.';

const lettersOf = (word: string): string => {
  const found = gridWord(word);
  return 'letters' in found ? found.letters.join('') : '';
};

/** Reads every run of letters off the grid and compares it with what is asked for. */
export function inspectCrossword(item: CrosswordItem, { label }: { label: string }): ItemProblem[] {
  const { letters, asked, leftOut } = item;
  const problems: ItemProblem[] = [];
  const say = (severity: ItemProblem['severity'], message: string) =>
    problems.push({ severity, message: `${label}: ${message}` });
  const readWords = runsOf(item).map(({ cells }) => cells.map((at) => letters[at]).join(''));
  const meant = asked.map(({ word }) => lettersOf(word));
  const stray = readWords.filter((word) => !meant.includes(word));
  const twice = readWords.filter((word, i) => readWords.indexOf(word) !== i);
  if (stray.length || twice.length || readWords.length !== meant.length)
    say(
      'fix',
      `${[...stray, ...twice][0] ?? 'a word'} cannot be read once as it should. Re-roll the puzzle.`,
    );
  problems.push(...placeProblems(label, leftOut, new Set(letters)));
  const bare = asked.filter(({ clue }) => !clue).map(({ word }) => word);
  if (bare.length > FEW) say('fix', `${bare.length} words have no clue (${namedFew(bare)}). ${WRITE_CLUES}`);
  else for (const word of bare) say('fix', `${namedFew([word])} has no clue. ${WRITE_ONE}`);
  for (const { word, clue } of asked)
    if (clue && givesAway(clue, word))
      say('look', `the clue of ${namedFew([word])} has the word in it. Write another one.`);
  return problems;
}

/** What is wrong with the list: said once for all puzzles. */
export function inspectCrosswords(
  items: readonly { number: number; label: string; item: CrosswordItem }[],
  options: CrosswordOptions,
): SectionProblem[] {
  const [first] = items;
  if (!first) return [];
  const isDense = options.layout === 'dense';
  const { clued, reasons, unreviewed: ownUnreviewed } = cluedWords(options.clues);
  const fill = isDense ? cluedWords(options.fillClues) : { reasons: [], unreviewed: [] };
  const stands = new Set(items.flatMap(({ item }) => item.asked.map(({ word }) => lettersOf(word))));
  const unreviewed = [...ownUnreviewed, ...fill.unreviewed.filter((word) => stands.has(lettersOf(word)))];
  const usable = usableFor(options);
  const wide = longest(options);
  const all = [
    ...reasons,
    ...fill.reasons,
    ...clued
      .filter((word) => !usable.includes(word))
      .map(({ word, letters }) =>
        letters.length > wide
          ? `${namedFew([word])} has ${letters.length} letters, the grid is ${wide} wide.`
          : `${namedFew([word])} cannot stand in a dense grid: three letters and more, without accents.`,
      ),
  ];
  const problems: SectionProblem[] = [];
  const empty = items.find(({ item }) => item.asked.length === 0 && item.leftOut.length === 0);
  if (empty)
    problems.push({
      severity: 'fix',
      message: isDense
        ? `${empty.label}: no grid of this size could be filled. Choose everyday words, another size, or fewer words of your own.`
        : `${empty.label}: there are no words. Type or paste words with their clues.`,
      item: empty.number,
    });
  else if (!isDense && usable.length < options.words && items.some(({ item }) => !item.given))
    problems.push({
      severity: 'look',
      message: `From ${first.label.toLowerCase()}: the list gives ${usable.length} of the ${options.words} words asked for. Add words or ask for fewer.`,
      item: first.number,
    });
  if (isDense && Math.max(options.columns, options.rows) > DENSE_SIDES.max)
    problems.push({
      severity: 'look',
      message: `${first.label}: a dense grid has ${DENSE_SIDES.max} columns and rows at most; it was made so. Ask for fewer.`,
      item: first.number,
    });
  if (unreviewed.length)
    problems.push({
      severity: 'look',
      message: `${first.label}: the list has ${unreviewed.length === 1 ? 'a clue' : `${unreviewed.length} clues`} from the dictionary that nobody has reviewed (${namedFew(unreviewed)}). Read each and take its ~ away.`,
      item: first.number,
    });
  if (all.length)
    problems.push({
      severity: 'look',
      message: `Words left out: ${leftOutTold(all)}`,
      item: first.number,
    });
  return problems;
}

/** A cell without a letter, in ipuz. */
const BLOCK = '#';

/** What ipuz says of the puzzle. */
export function crosswordIpuz({ columns, rows, letters, asked }: CrosswordItem) {
  const numbers = new Map(asked.map(({ cells, number }) => [cells[0]!, number]));
  const clues = (isAcross: boolean) =>
    asked.filter(({ across }) => across === isAcross).map(({ number, clue }) => [number, clue] as const);
  return {
    dimensions: { width: columns, height: rows },
    puzzle: rowsOf(columns, rows, (at) => (letters[at] === null ? BLOCK : (numbers.get(at) ?? 0))),
    solution: rowsOf(columns, rows, (at) => letters[at] ?? BLOCK),
    clues: { Across: clues(true), Down: clues(false) },
  };
}

/** The clues as a table (RFC 4180). */
export const cluesAsCsv = ({ asked }: CrosswordItem, { label }: { label: string }): string =>
  Papa.unparse(
    asked.map(({ number, across, word, clue }) => [label, number, across ? 'across' : 'down', word, clue]),
    { newline: '\n' },
  );

/** The words of a puzzle that nobody has written a clue for, a line for each. */
export const wordsWithoutClue = ({ asked }: CrosswordItem): string =>
  asked
    .filter(({ clue }) => !clue)
    .map(({ word }) => word)
    .join('\n');
