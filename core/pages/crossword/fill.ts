import { LRUCache } from 'lru-cache';
import Papa from 'papaparse';
import { type Crossword, freeFormSteps, numbersOf, runsOf } from '../../puzzles/crossword/index.ts';
import { randomStream } from '../../random.ts';
import { readTexts } from '../../text-lists/index.ts';
import { gridWord } from '../../words/index.ts';
import { rowsOf } from '../item-formats.ts';
import type { FillContext, ItemProblem, SectionProblem } from '../kind.ts';
import { dealtFrom } from '../puzzle/deal.ts';
import { givesAway, placeProblems } from '../puzzle/judged.ts';
import { leftOutTold, type Usable } from '../puzzle/word-source.ts';
import type { CrosswordOptions, CrosswordPin } from './options.ts';

/** A word that can stand in a grid, with what is asked for. */
export interface Clued extends Usable {
  clue: string;
}

/** Before a clue that nobody has read yet, as of a dictionary; it is not printed. */
const UNREVIEWED = /^~\s*/;

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
}

const KEPT = 20;
interface ReadClues {
  clued: Clued[];
  reasons: string[];
  /** Words whose clue has not been reviewed. */
  unreviewed: string[];
}
const read = new LRUCache<string, ReadClues>({ max: KEPT });

/** The words of a list with their clues, each word once, and why others cannot stand in a grid. */
export function cluedWords(source: string): ReadClues {
  const known = read.get(source);
  if (known) return known;
  const clued = new Map<string, Clued>();
  const reasons: string[] = [];
  const unreviewed: string[] = [];
  for (const { text, credit } of readTexts(source)) {
    const found = gridWord(text);
    if ('problem' in found) reasons.push(`“${found.word}” ${found.problem}`);
    else if (clued.has(found.letters.join('')))
      reasons.push(`${found.word.toLocaleUpperCase('en')} is listed twice; it is used once.`);
    else {
      clued.set(found.letters.join(''), { ...found, clue: credit.replace(UNREVIEWED, '') });
      if (UNREVIEWED.test(credit)) unreviewed.push(found.word);
    }
  }
  const all = { clued: [...clued.values()], reasons, unreviewed };
  read.set(source, all);
  return all;
}

const longest = ({ columns, rows }: Pick<CrosswordOptions, 'columns' | 'rows'>) => Math.max(columns, rows);

/** What a pinned puzzle is made from. */
export function pinnedCrossword({
  options,
  streamKey,
  item,
  roll,
}: FillContext<CrosswordOptions>): CrosswordPin {
  const { columns, rows, words: size } = options;
  const usable = cluedWords(options.clues).clued.filter(({ letters }) => letters.length <= longest(options));
  const dealt = dealtFrom(usable, {
    size,
    place: roll === 0 ? item - 1 : null,
    deck: (cycle) => randomStream(...streamKey, 'deck', cycle),
    own: randomStream(...streamKey, item, roll, 'words'),
    clash: () => false,
  });
  return { words: dealt.map(({ word, clue }) => ({ word, clue })), columns, rows, roll };
}

/** Makes one puzzle from its own random stream, giving way while it works. */
export function* fillCrossword(context: FillContext<CrosswordOptions>): Generator<void, CrosswordItem> {
  const made = (context.pin as CrosswordPin | undefined) ?? pinnedCrossword(context);
  const { columns, rows, roll } = made;
  const words = made.words.flatMap(({ word, clue }): Clued[] => {
    const found = gridWord(word);
    return 'problem' in found ? [] : [{ ...found, clue }];
  });
  const random = randomStream(...context.streamKey, context.item, roll, 'grid');
  const { grid, leftOut } = yield* freeFormSteps(
    { words: words.map(({ letters }) => letters), columns, rows },
    random,
  );
  const numbers = numbersOf(grid);
  const asked = grid.entries.map(({ word, column, row, across }): Asked => {
    const first = row * grid.columns + column;
    const { word: shown, clue, letters } = words[word]!;
    const cells = letters.map((_, i) => first + i * (across ? 1 : grid.columns));
    return { number: numbers.get(first)!, across, word: shown, clue, cells };
  });
  return {
    columns: grid.columns,
    rows: grid.rows,
    letters: grid.letters,
    asked: asked.sort((a, b) => Number(b.across) - Number(a.across) || a.number - b.number),
    leftOut: leftOut.map((word) => words[word]!.word),
  };
}

const FEW = 4;
const namedFew = (words: readonly string[]): string =>
  words
    .slice(0, FEW)
    .map((word) => word.toLocaleUpperCase('en'))
    .join(', ') + (words.length > FEW ? ' …' : '');

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
  for (const { word, clue } of asked) {
    const name = word.toLocaleUpperCase('en');
    if (!clue) say('fix', `${name} has no clue. Write one after an upright bar.`);
    else if (givesAway(clue, word)) say('look', `the clue of ${name} has the word in it. Write another one.`);
  }
  return problems;
}

/** What is wrong with the list: said once for all puzzles. */
export function inspectCrosswords(
  items: readonly { number: number; label: string; item: CrosswordItem }[],
  options: CrosswordOptions,
): SectionProblem[] {
  const [first] = items;
  if (!first) return [];
  const { clued, reasons, unreviewed } = cluedWords(options.clues);
  const wide = longest(options);
  const tooLong = clued.filter(({ letters }) => letters.length > wide);
  const all = [
    ...reasons,
    ...tooLong.map(
      ({ word, letters }) =>
        `${word.toLocaleUpperCase('en')} has ${letters.length} letters, the grid is ${wide} wide.`,
    ),
  ];
  const problems: SectionProblem[] = [];
  const empty = items.find(({ item }) => item.asked.length === 0 && item.leftOut.length === 0);
  if (empty)
    problems.push({
      severity: 'fix',
      message: `${empty.label}: there are no words. Type or paste words with their clues.`,
      item: empty.number,
    });
  else if (clued.length - tooLong.length < options.words)
    problems.push({
      severity: 'look',
      message: `From ${first.label.toLowerCase()}: the list gives ${clued.length - tooLong.length} of the ${options.words} words asked for. Add words or ask for fewer.`,
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
