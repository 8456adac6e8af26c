import type { Level } from '../../puzzles/level.ts';
import { cellsInside, type Outline } from '../../puzzles/outline/index.ts';
import {
  acrossFrom,
  cellsOf,
  DIRECTION_SETS,
  type Direction,
  type FillingLanguage,
  findWord,
  type Hidden,
  hideWords,
  lettersOfLanguage,
  lettersOfWords,
  mirrored,
  STEPS,
  searchEffort,
  searchLevel,
} from '../../puzzles/word-search/index.ts';
import { type RandomStream, randomStream } from '../../random.ts';
import { directionOf } from '../../scene/index.ts';
import { graphemes, gridWord } from '../../words/index.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { dealtFrom } from '../puzzle/deal.ts';
import { givesAway, levelProblems } from '../puzzle/judged.ts';
import { levelOf } from '../puzzle/level.ts';
import { outlineOf } from '../puzzle/outline-options.ts';
import { listsOf, type Usable, usableWords } from '../puzzle/word-source.ts';
import { cluesOf } from './clues.ts';
import { fillWordSearch as fillEarlier, inside } from './earlier/fill.ts';
import type { Making, WordSearchGiven, WordSearchOptions, WordSearchPin } from './options.ts';
import { unwantedOf } from './unwanted.ts';

export interface SearchItem {
  title?: string | undefined;
  /** In the order in which they are listed. */
  words: Usable[];
  search: Hidden;
  /** `whole` for none. */
  shape: Outline;
  directions: readonly Direction[];
  /** As it was written. */
  message: string;
  level: Level;
  /** That was asked for; null where the puzzle is made as the settings say. */
  wanted: Level | null;
  /** Words of the puzzle's own list that are longer than the grid. */
  tooLong: Usable[];
  /** How many words the puzzle was asked to have and its list could not give. */
  short: number;
}

const ALL = Object.keys(STEPS) as Direction[];

/** What puzzles of a level are made with. */
const OF_LEVEL: Record<Level, (words: number) => Pick<Making, 'directions' | 'crossings' | 'decoys'>> = {
  1: () => ({ directions: ALL.slice(0, 2), crossings: 'few', decoys: 0 }),
  2: () => ({ directions: ALL.slice(0, 3), crossings: 'some', decoys: 0 }),
  3: () => ({ directions: ALL.slice(0, 4), crossings: 'some', decoys: 0 }),
  4: () => ({ directions: ALL, crossings: 'some', decoys: 0 }),
  5: (words) => ({ directions: ALL, crossings: 'many', decoys: Math.min(30, words) }),
};
/** From this level on grids are filled with the letters of the words. */
const OWN_LETTERS = 4;
/** Puzzles made for a level, of which the nearest is taken. */
const TRIES = 24;
/** After so many of them more or fewer near-misses are laid, as the level needs it. */
const PLAIN_TRIES = 6;

/** The letters that a text leaves in a grid. */
export const lettersIn = (said: string): string[] =>
  graphemes(said.normalize('NFC').toLocaleUpperCase('en')).filter((letter) => /^\p{L}\p{M}*$/u.test(letter));

/** The list of an item, what of it can be used, and which turn of the list it is. */
function sourceOf({ options, resources, item }: FillContext<WordSearchOptions>) {
  const lists = listsOf(options, resources);
  const list = lists[(item - 1) % Math.max(1, lists.length)] ?? { words: [] };
  const room = Math.max(options.columns, options.rows);
  const all = usableWords(list.words);
  const ownList = !('bank' in options.words) && lists.length > 1;
  return {
    title: 'bank' in options.words ? undefined : list.title,
    listed: all,
    usable: all.filter(({ letters }) => letters.length <= room),
    tooLong: ownList ? all.filter(({ letters }) => letters.length > room) : [],
    /** A list made for this puzzle alone: a word it cannot hold is a fault, not a choice. */
    ownList,
    turn: Math.floor((item - 1) / Math.max(1, lists.length)),
  };
}

/** Words in the order in which they are listed. */
function inOrder(
  words: readonly Usable[],
  order: WordSearchOptions['order'],
  random: RandomStream,
): Usable[] {
  const spelled = ({ letters }: Usable) => letters.join('');
  const byLetters = (a: Usable, b: Usable) => (spelled(a) < spelled(b) ? -1 : 1);
  if (order === 'typed') return words.slice();
  if (order === 'mixed') return random.shuffled(words);
  if (order === 'alphabet') return words.slice().sort(byLetters);
  return words.slice().sort((a, b) => a.letters.length - b.letters.length || byLetters(a, b));
}

/** The level that a puzzle is to have; null where it is made as the settings say. */
export const wantedLevel = ({
  options,
  streamKey,
  item,
  total = item,
}: Pick<FillContext<WordSearchOptions>, 'options' | 'streamKey' | 'item' | 'total'>): Level | null =>
  options.level === 'set'
    ? null
    : levelOf(options.level, item, total, randomStream(...streamKey, item, 'level'));

/** What one puzzle is made from. */
export function pinnedWordSearch(context: FillContext<WordSearchOptions>): Making {
  const { options, streamKey, item, roll } = context;
  const source = sourceOf(context);
  const [seed, section] = streamKey;
  const dealt = dealtFrom(source.usable, {
    size: options.wordsPerPuzzle,
    place: roll === 0 ? source.turn : null,
    deck: (cycle) => randomStream(seed, section, source.title ?? '', 'deck', cycle),
    own: randomStream(...streamKey, item, roll, 'words'),
    clash: (word, other) => inside(word, other) || inside(other, word),
  });
  const asListed = options.order === 'typed' ? source.usable.filter((word) => dealt.includes(word)) : dealt;
  const words = inOrder(asListed, options.order, randomStream(...streamKey, item, roll, 'order'));
  const wanted = wantedLevel(context);
  const messages = options.messages.split(/\r?\n/).filter((line) => line.trim());
  const own = wanted === null ? options : OF_LEVEL[wanted](words.length);
  return {
    ...(source.title ? { title: source.title } : {}),
    words: words.map(({ word }) => word),
    columns: options.columns,
    rows: options.rows,
    shape: outlineOf(options),
    directions: [...own.directions],
    crossings: own.crossings,
    decoys: own.decoys,
    filling: wanted !== null && wanted >= OWN_LETTERS ? 'words' : options.filling,
    message: messages.length ? messages[(item - 1) % messages.length]!.trim() : '',
    unwanted: options.unwanted,
    unwantedMore: options.unwantedMore,
    ...(wanted === null ? {} : { level: wanted }),
    roll,
  };
}

/** Letters of a language fill no grid of another script. */
export function fillingFor(filling: Making['filling'], words: readonly Usable[]) {
  const isLatin = words.every(({ letters }) => letters.every((letter) => /\p{Script=Latin}/u.test(letter)));
  return words.length && (filling === 'words' || !isLatin)
    ? lettersOfWords(words)
    : lettersOfLanguage(filling === 'words' ? 'en' : (filling as FillingLanguage));
}

/** Makes one puzzle from its own random stream; words of scripts that run to the left do so in the grid as well. */
export function fillWordSearch(context: FillContext<WordSearchOptions>): SearchItem {
  const pin = context.pin as WordSearchPin | undefined;
  if (pin && 'letters' in pin) return givenWordSearch(pin);
  if (pin && !Array.isArray(pin.directions)) return fromEarlier(context, pin.directions);
  const made = (pin as Making | undefined) ?? pinnedWordSearch(context);
  const wanted = made.level ?? null;
  const source = pin ? null : sourceOf(context);
  const words = made.words.flatMap((word): Usable[] => {
    const read = gridWord(word);
    return 'letters' in read ? [read] : [];
  });
  const { columns, rows, shape, directions } = made;
  const random = randomStream(...context.streamKey, context.item, made.roll, 'grid');
  const order = {
    ...{ columns, rows, directions, words },
    inside: shape === 'whole' ? undefined : cellsInside(shape, columns, rows),
    crossings: made.crossings,
    decoys: made.decoys,
    filling: fillingFor(made.filling, words),
    unwanted: unwantedOf(made),
    message: lettersIn(made.message),
  };
  let best: { search: Hidden; level: Level } | null = null;
  for (let i = 0; i < (wanted === null ? 1 : TRIES); i++) {
    if (best && i >= PLAIN_TRIES) {
      const more = best.level < wanted!;
      order.crossings = more ? 'many' : 'few';
      order.decoys = Math.max(0, Math.min(30, order.decoys + (more ? 3 : -3)));
    }
    const search = hideWords(order, random);
    const level = searchLevel(searchEffort(search, directions));
    const off = (one: Level) => Math.abs(one - (wanted ?? one));
    if (!best || (search.leftOut.length <= best.search.leftOut.length && off(level) < off(best.level)))
      best = { search, level };
    if (off(best.level) === 0) break;
  }
  const { search, level } = best!;
  const toTheLeft = words.some(({ word }) => directionOf(word) === 'rtl');
  return {
    title: made.title,
    words,
    search: toTheLeft ? fromTheRight(search) : search,
    ...{ shape, directions, level, wanted },
    message: made.message,
    tooLong: source?.tooLong ?? [],
    short: source && !source.ownList ? context.options.wordsPerPuzzle - words.length : 0,
  };
}

/** A puzzle that was brought in: its words are where they are read, in the directions that they run in. */
export function givenWordSearch({
  title,
  columns,
  rows,
  letters,
  words: listed,
  message,
}: WordSearchGiven): SearchItem {
  const words = usableWords(listed);
  const grid = { columns, rows, letters };
  const placements = words.flatMap(({ word, letters: spelled }) =>
    findWord(grid, spelled)
      .slice(0, 1)
      .map((found) => ({ ...found, word, length: spelled.length })),
  );
  const used = ALL.filter((direction) => placements.some((placed) => placed.direction === direction));
  const directions = used.length ? used : ALL;
  return {
    ...{ title, words, directions, shape: 'whole', wanted: null, tooLong: [], short: 0 },
    message: message?.text ?? '',
    search: { ...grid, placements, leftOut: [], message: message?.cells ?? [], decoys: 0 },
    level: searchLevel(searchEffort({ ...grid, placements }, directions)),
  };
}

const fromTheRight = (search: Hidden): Hidden => ({
  ...mirrored(search),
  message: search.message.map((at) => acrossFrom(at, search.columns)),
});

/** A puzzle that was pinned under an earlier version, as that makes it. */
function fromEarlier(context: FillContext<WordSearchOptions>, set: keyof typeof DIRECTION_SETS): SearchItem {
  const { title, words, search, tooLong } = fillEarlier(context as never);
  const directions = DIRECTION_SETS[set];
  return {
    ...{ title, words, tooLong, directions, shape: 'whole', message: '', wanted: null, short: 0 },
    search: { ...search, message: [], decoys: 0 },
    level: searchLevel(searchEffort(search, directions)),
  };
}

/** Looks for every listed word with the independent search, for unwanted ones, and for the message. */
export function inspectWordSearch(
  item: SearchItem,
  { number, label }: { number: number; label: string },
  options: WordSearchOptions,
): ItemProblem[] {
  const { search, words, message, wanted, level } = item;
  const problems: ItemProblem[] = [];
  const fix = (said: string) => problems.push({ severity: 'fix', message: `${label}: ${said}` });
  const look = (said: string) => problems.push({ severity: 'look', message: `${label}: ${said}` });
  const wide = Math.max(search.columns, search.rows);
  const cells = search.letters.filter((letter) => letter !== null).length;
  const asked = words.reduce((sum, { letters }) => sum + letters.length, 0);
  // Without words there is nothing to look for; why, is said once for all puzzles: see lists.ts.
  for (const { word, letters } of item.tooLong)
    fix(
      `${word.toUpperCase()} has ${letters.length} letters, the grid is ${wide} wide. ${letters.length <= 40 ? `Use a ${letters.length}-letter grid or remove the word.` : 'Remove the word.'}`,
    );
  for (const { word, letters } of words) {
    const name = word.toLocaleUpperCase('en');
    const times = findWord(search, letters).length;
    if (search.leftOut.includes(word)) {
      const holder = words.find((other) => other.word !== word && inside({ word, letters }, other));
      if (holder) fix(`${name} is also inside ${holder.word.toUpperCase()}. Remove one of them.`);
      else
        fix(
          `${name} does not fit: the grid has ${cells} cells, the words have ${asked} letters. Use a larger grid, fewer words or more directions.`,
        );
    } else if (times !== 1) fix(`${name} appears ${times} times. Re-roll the puzzle.`);
  }
  const unwanted = unwantedOf(options);
  const [stray] = strayWords(search, unwanted);
  if (stray) fix(`${stray} can be read in the grid and is unwanted. Re-roll the puzzle.`);
  const listed = new Set(unwanted.map((letters) => letters.join('')));
  const chosen = words.find(({ letters }) => listed.has(letters.join('')));
  if (chosen)
    look(
      `${chosen.word.toLocaleUpperCase('en')} is among the unwanted words. Remove it, or allow it under “Further unwanted words”.`,
    );
  if (options.shown === 'clues') {
    const clues = cluesOf(options.clues);
    for (const { word, letters } of words) {
      const name = word.toLocaleUpperCase('en');
      const clue = clues.get(letters.join(''));
      if (clue === undefined)
        look(`${name} has no clue and is listed itself. Write one under “Clues”: ${name} | …`);
      else if (givesAway(clue, word)) look(`the clue of ${name} has the word in it. Write another one.`);
    }
  }
  const spelled = lettersIn(message);
  const left = search.message.map((at) => search.letters[at]);
  if (left.length < spelled.length)
    fix(
      `the words leave ${left.length} letters, the message has ${spelled.length}. Use a larger grid, fewer words or a shorter message.`,
    );
  else if (left.join('') !== spelled.join('')) fix('the message cannot be read. Re-roll the puzzle.');
  if (wanted !== null && words.length)
    problems.push(
      ...levelProblems(label, { level, wanted }, 're-roll it, or use another size or other words.'),
    );
  // One list serves all puzzles of the section: said once.
  if (item.short > 0 && number === 1)
    problems.push({
      severity: 'look',
      message: `From ${label.toLowerCase()}: the list gives ${words.length} of the ${words.length + item.short} words asked for. Add words or ask for fewer.`,
    });
  return problems;
}

/** Unwanted words that can be read in a grid, but not within a listed one: by looking for each in all lines as one text. */
export function strayWords(
  search: Pick<Hidden, 'columns' | 'rows' | 'letters' | 'placements'>,
  unwanted: readonly (readonly string[])[],
): string[] {
  const { columns, rows, letters, placements } = search;
  const lines: number[][] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++)
      for (const [dx, dy] of Object.values(STEPS)) {
        const isInside = (x: number, y: number) => x >= 0 && x < columns && y >= 0 && y < rows;
        if (isInside(column - dx, row - dy)) continue;
        const line: number[] = [];
        for (let [x, y] = [column, row]; isInside(x, y); x += dx, y += dy) line.push(y * columns + x);
        lines.push(line);
      }
  // A letter of several characters would shift all that follow: letters stand for themselves as one character each.
  const signs = new Map<string, string>();
  const signOf = (letter: string) => {
    const known = signs.get(letter) ?? String.fromCodePoint(0xe000 + signs.size);
    signs.set(letter, known);
    return known;
  };
  const cells: number[] = [];
  const written = lines
    .map((line) => {
      cells.push(...line, -1);
      return `${line.map((at) => (letters[at] == null ? ' ' : signOf(letters[at]))).join('')} `;
    })
    .join('');
  const placed = placements.map((one) => new Set(cellsOf(one, columns)));
  const found: string[] = [];
  for (const word of unwanted) {
    if (!word.every((letter) => signs.has(letter))) continue;
    const sought = word.map(signOf).join('');
    for (let at = written.indexOf(sought); at >= 0; at = written.indexOf(sought, at + 1)) {
      const own = cells.slice(at, at + word.length);
      if (placed.some((set) => own.every((cell) => set.has(cell)))) continue;
      found.push(word.join(''));
      break;
    }
  }
  return found;
}
