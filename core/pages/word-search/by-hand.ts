import { cellsOf, findWord, STEPS } from '../../puzzles/word-search/index.ts';
import { type RandomStream, randomStream } from '../../random.ts';
import type { Watched } from '../puzzle/by-hand.ts';
import { LEVEL_NAMES } from '../puzzle/level.ts';
import { fillingFor, givenWordSearch, lettersIn, type SearchItem, strayWords } from './fill.ts';
import type { WordSearchGiven, WordSearchOptions } from './options.ts';
import { unwantedOf } from './unwanted.ts';

/** A word search as it is changed: its letters, and where its words are meant to stand. Never changed itself, only replaced. */
export interface SearchDraft {
  letters: readonly (string | null)[];
  /** Of each listed word, in their order; none where it found no place. */
  cells: readonly (readonly number[])[];
}

export const searchDraft = ({
  words,
  search: { columns, letters, placements },
}: SearchItem): SearchDraft => ({
  letters,
  cells: words.map(({ word }) => {
    const placed = placements.find((one) => one.word === word);
    return placed ? cellsOf(placed, columns) : [];
  }),
});

/** What keeps a word search as it was changed. */
export const searchPinned = (
  { title, words, message, search: { columns, rows, message: cells } }: SearchItem,
  { letters }: SearchDraft,
): WordSearchGiven => ({
  ...(title ? { title } : {}),
  ...{ columns, rows, letters: [...letters] },
  words: words.map(({ word }) => word),
  ...(message ? { message: { text: message, cells: [...cells] } } : {}),
});

/** Puts a letter into a cell. */
export const withLetter = (draft: SearchDraft, at: number, letter: string): SearchDraft =>
  draft.letters[at] === null || draft.letters[at] === letter
    ? draft
    : { ...draft, letters: draft.letters.map((before, cell) => (cell === at ? letter : before)) };

/**
 * The cells of a word that begins in one cell and runs toward another, in the nearest of the eight directions.
 * @returns null where it would leave the grid, or run over places without a letter
 */
export function cellsToward(
  { search: { columns, rows } }: Pick<SearchItem, 'search'>,
  { letters }: SearchDraft,
  from: number,
  to: number,
  length: number,
): number[] | null {
  const [x, y] = [from % columns, Math.floor(from / columns)];
  const [toX, toY] = [(to % columns) - x, Math.floor(to / columns) - y];
  let best: readonly [number, number] = STEPS.across;
  let nearest = -Infinity;
  for (const step of Object.values(STEPS)) {
    const near = (step[0] * toX + step[1] * toY) / Math.hypot(step[0], step[1]);
    if (near > nearest + 1e-9) {
      nearest = near;
      best = step;
    }
  }
  const cells = Array.from({ length }, (_, i) => [x + i * best[0], y + i * best[1]] as const);
  const isFree = ([cx, cy]: readonly [number, number]) =>
    cx >= 0 && cx < columns && cy >= 0 && cy < rows && letters[cy * columns + cx] !== null;
  return cells.every(isFree) ? cells.map(([cx, cy]) => cy * columns + cx) : null;
}

/** Fillings that are tried for the letters that a moved word leaves behind. */
const TRIES = 30;

/**
 * Moves a word: its letters stand in the new cells, and where it stood alone there are others, of those that the grid is filled
 * with. Words that it crosses wrongly lose their letters, which the solver tells.
 * @param word its place in the list
 */
export function withWord(
  item: SearchItem,
  draft: SearchDraft,
  word: number,
  cells: readonly number[],
  options: WordSearchOptions,
): SearchDraft {
  if (cells.join() === draft.cells[word]!.join()) return draft;
  const spelled = item.words[word]!.letters;
  const others = new Set([
    ...draft.cells.flatMap((own, i) => (i === word ? [] : own)),
    ...cells,
    ...item.search.message,
  ]);
  const left = draft.cells[word]!.filter((cell) => !others.has(cell));
  const laid = draft.letters.slice();
  cells.forEach((cell, i) => {
    laid[cell] = spelled[i]!;
  });
  const moved = draft.cells.map((own, i) => (i === word ? cells : own));
  const filler = fillingFor(options.filling, item.words);
  const random = randomStream('by hand', draft.letters.join(''), word, cells.join());
  let next: SearchDraft = { letters: laid, cells: moved };
  for (let i = 0; i < TRIES; i++) {
    const letters = laid.slice();
    for (const cell of left) letters[cell] = weighted(filler, random);
    next = { letters, cells: moved };
    if (watchSearch(item, next, options).isSound) break;
  }
  return next;
}

function weighted(letters: ReturnType<typeof fillingFor>, random: RandomStream): string {
  const all = letters.reduce((sum, [, weight]) => sum + weight, 0);
  let at = random.int(Math.max(1, all));
  for (const [letter, weight] of letters) {
    at -= weight;
    if (at < 0) return letter;
  }
  return letters[0]?.[0] ?? 'A';
}

const NAMED = 3;

const listOf = (names: readonly string[]) =>
  new Intl.ListFormat('en').format(
    names.length > NAMED + 1 ? [...names.slice(0, NAMED), `${names.length - NAMED} other words`] : names,
  );

/** Looks for every word with the independent search, for unwanted ones, and for the message. */
export function watchSearch(item: SearchItem, draft: SearchDraft, options: WordSearchOptions): Watched {
  const { columns, rows, message } = item.search;
  const grid = { columns, rows, letters: [...draft.letters] };
  const found = item.words.map(({ letters }) => findWord(grid, letters));
  const lost = item.words.flatMap(({ word }, i) => (found[i]!.length ? [] : [{ word, i }]));
  if (lost.length) {
    const names = listOf(lost.map(({ word }) => word.toLocaleUpperCase('en')));
    return {
      isSound: false,
      says:
        lost.length === 1
          ? `${names} cannot be found. Move it, or give it its letters back.`
          : `${names} cannot be found. Move them, or give them their letters back.`,
      cells: lost.flatMap(({ i }) => draft.cells[i]!),
    };
  }
  for (const [i, { word, letters }] of item.words.entries()) {
    if (found[i]!.length === 1) continue;
    return {
      isSound: false,
      says: `${word.toLocaleUpperCase('en')} can be found in ${found[i]!.length} places. Change a letter of one.`,
      cells: found[i]!.flatMap((one) => cellsOf({ ...one, word, length: letters.length }, columns)),
    };
  }
  const made = givenWordSearch(searchPinned(item, draft));
  const [stray] = strayWords({ ...grid, placements: made.search.placements }, unwantedOf(options));
  if (stray) {
    const letters = [...stray];
    return {
      isSound: false,
      says: `${stray} can be read in the grid and is unwanted. Change a letter of it.`,
      cells: findWord(grid, letters).flatMap((one) =>
        cellsOf({ ...one, word: stray, length: letters.length }, columns),
      ),
    };
  }
  if (message.map((at) => draft.letters[at]).join('') !== lettersIn(item.message).join(''))
    return {
      isSound: false,
      says: 'The message cannot be read any more. Give its letters back, or undo.',
      cells: message,
    };
  return {
    isSound: true,
    says: `Every word can be found once. ${LEVEL_NAMES[made.level]}.`,
    cells: [],
  };
}
