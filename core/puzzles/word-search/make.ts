import type { RandomStream } from '../../random.ts';
import {
  DIRECTION_SETS,
  type Direction,
  type DirectionSet,
  type Placement,
  STEPS,
  type WordSearch,
} from './grid.ts';

export interface WordSearchOrder {
  columns: number;
  rows: number;
  directions: DirectionSet;
  /** Each word with its letters in the grid; see `gridWord`. */
  words: readonly { word: string; letters: readonly string[] }[];
}

/** Whole layouts tried before words are left out. */
const LAYOUTS = 40;
/** Places looked at for one word, the best of which is taken. */
const LOOKS = 60;
/** Rounds of changing filling letters that happen to spell a listed word. */
const REPAIRS = 200;

const EMPTY = -1;
const LATIN = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];

/** Letters as small whole numbers, so that the inner loops compare numbers. */
interface Coded {
  word: string;
  codes: Int16Array;
  palindrome: boolean;
}

/**
 * Lays the words into a grid and fills the rest, so that every placed word can be read exactly once in all eight
 * directions. Longest words first, each at the best of a number of random places (most letters shared with words
 * that cross it); whole layouts are begun anew when a word finds no room. Words that find none in any layout, or
 * that are part of another listed word, are named in `leftOut`.
 */
export function makeWordSearch(order: WordSearchOrder, random: RandomStream): WordSearch {
  const alphabet: string[] = [];
  const codeOf = new Map<string, number>();
  const code = (letter: string): number => {
    let known = codeOf.get(letter);
    if (known === undefined) {
      known = alphabet.push(letter) - 1;
      codeOf.set(letter, known);
    }
    return known;
  };
  const coded: Coded[] = order.words.map(({ word, letters }) => ({
    word,
    codes: Int16Array.from(letters, code),
    palindrome: letters.every((letter, i) => letter === letters[letters.length - 1 - i]),
  }));
  const { kept, hidden } = withoutHidden(coded);
  const fillers = fillingLetters(alphabet).map(code);
  const longestFirst = kept.slice().sort((a, b) => b.codes.length - a.codes.length);

  let best: { cells: Int16Array; placed: Map<Coded, Placement> } | undefined;
  for (let layout = 0; layout < LAYOUTS; layout++) {
    const cells = new Int16Array(order.columns * order.rows).fill(EMPTY);
    const placed = new Map<Coded, Placement>();
    for (const word of longestFirst) {
      const placement = place(cells, order, word, random);
      if (placement) placed.set(word, placement);
    }
    if (best && placed.size <= best.placed.size) continue;
    const clean = fill(cells, order, [...placed.keys()], fillers, random);
    if (clean) best = { cells: clean, placed };
    if (best?.placed.size === kept.length) break;
  }
  const placed = best?.placed ?? new Map<Coded, Placement>();
  const cells =
    best?.cells ?? Int16Array.from({ length: order.columns * order.rows }, () => random.pick(fillers));
  return {
    columns: order.columns,
    rows: order.rows,
    letters: Array.from(cells, (cell) => alphabet[cell]!),
    placements: kept.flatMap((word) => placed.get(word) ?? []),
    leftOut: [...hidden, ...kept.filter((word) => !placed.has(word))].map((word) => word.word),
  };
}

/** A word inside another, forwards or backwards, could always be read twice. */
function withoutHidden(words: Coded[]): { kept: Coded[]; hidden: Coded[] } {
  const text = (codes: Int16Array) => String.fromCharCode(...codes);
  const texts = words.map((word) => ({ there: text(word.codes), back: text(word.codes.slice().reverse()) }));
  const isHidden = words.map((word, i) =>
    texts.some(
      ({ there }, j) =>
        i !== j &&
        (words[j]!.codes.length > word.codes.length ||
          (words[j]!.codes.length === word.codes.length && j < i)) &&
        (there.includes(texts[i]!.there) || there.includes(texts[i]!.back)),
    ),
  );
  return { kept: words.filter((_, i) => !isHidden[i]), hidden: words.filter((_, i) => isHidden[i]) };
}

/** Latin words are hidden among A to Z and their own accented letters; other scripts among their own letters. */
function fillingLetters(alphabet: readonly string[]): string[] {
  const latin = alphabet.some((letter) => /\p{Script=Latin}/u.test(letter)) || alphabet.length === 0;
  return latin ? [...new Set([...LATIN, ...alphabet])] : alphabet.slice();
}

function place(
  cells: Int16Array,
  order: WordSearchOrder,
  word: Coded,
  random: RandomStream,
): Placement | null {
  const { columns, rows } = order;
  const allowed = DIRECTION_SETS[order.directions];
  const n = word.codes.length;
  let best: Placement | null = null;
  let bestShared = -1;
  const consider = (direction: Direction, column: number, row: number) => {
    const [dx, dy] = STEPS[direction];
    let shared = 0;
    for (let i = 0, at = row * columns + column; i < n; i++, at += dy * columns + dx) {
      const cell = cells[at]!;
      if (cell === word.codes[i]) shared++;
      else if (cell !== EMPTY) return;
    }
    // Lying wholly on other words' letters would hide it twice over.
    if (shared === n || shared <= bestShared) return;
    bestShared = shared;
    best = { word: word.word, column, row, direction, length: n };
  };
  const span = (step: number, size: number): [number, number] => [
    step < 0 ? n - 1 : 0,
    step > 0 ? size - n : size - 1,
  ];
  for (let look = 0; look < LOOKS && (look < LOOKS / 6 || bestShared < 1); look++) {
    const direction = random.pick<Direction>(allowed);
    const [dx, dy] = STEPS[direction];
    const [left, right] = span(dx, columns);
    const [top, bottom] = span(dy, rows);
    if (left > right || top > bottom) continue;
    consider(direction, left + random.int(right - left + 1), top + random.int(bottom - top + 1));
  }
  if (!best) {
    // A full grid: look at every place, beginning anywhere, and take the first that fits.
    const start = random.int(cells.length);
    search: for (let k = 0; k < cells.length; k++) {
      const at = (start + k) % cells.length;
      for (const direction of allowed) {
        const [dx, dy] = STEPS[direction];
        const [left, right] = span(dx, columns);
        const [top, bottom] = span(dy, rows);
        const column = at % columns;
        const row = Math.floor(at / columns);
        if (column < left || column > right || row < top || row > bottom) continue;
        consider(direction, column, row);
        if (best) break search;
      }
    }
  }
  const found = best as Placement | null;
  if (!found) return null;
  const [dx, dy] = STEPS[found.direction];
  for (let i = 0; i < n; i++) cells[(found.row + dy * i) * columns + found.column + dx * i] = word.codes[i]!;
  return found;
}

/** Fills the empty cells; null when the laid words themselves spell one of them a second time. */
function fill(
  laid: Int16Array,
  order: WordSearchOrder,
  words: readonly Coded[],
  fillers: readonly number[],
  random: RandomStream,
): Int16Array | null {
  const cells = laid.slice();
  for (let i = 0; i < cells.length; i++) if (cells[i] === EMPTY) cells[i] = random.pick(fillers);
  for (let round = 0; round < REPAIRS; round++) {
    const extra = words
      .map((word) => secondReading(cells, laid, order, word))
      .find((reading) => reading !== null);
    if (!extra) return cells;
    const free = extra.filter((at) => laid[at] === EMPTY);
    if (free.length === 0) return null;
    cells[random.pick(free)] = random.pick(fillers);
  }
  return null;
}

const ALL_STEPS = Object.values(STEPS);

/** The cells of a reading beyond the first of a word; a reading with a filling letter in it is preferred. */
function secondReading(
  cells: Int16Array,
  laid: Int16Array,
  order: WordSearchOrder,
  word: Coded,
): number[] | null {
  const { columns, rows } = order;
  const { codes } = word;
  const n = codes.length;
  const readings: number[][] = [];
  for (let at = 0; at < cells.length; at++) {
    if (cells[at] !== codes[0]) continue;
    const column = at % columns;
    const row = (at - column) / columns;
    for (const [dx, dy] of ALL_STEPS) {
      if (word.palindrome && (dx < 0 || (dx === 0 && dy < 0))) continue;
      const endColumn = column + dx * (n - 1);
      const endRow = row + dy * (n - 1);
      if (endColumn < 0 || endColumn >= columns || endRow < 0 || endRow >= rows) continue;
      const step = dy * columns + dx;
      let i = 1;
      while (i < n && cells[at + step * i] === codes[i]) i++;
      if (i === n) readings.push(Array.from({ length: n }, (_, k) => at + step * k));
    }
  }
  if (readings.length < 2) return null;
  return readings.find((reading) => reading.some((at) => laid[at] === EMPTY)) ?? readings[1]!;
}
