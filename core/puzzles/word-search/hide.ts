import type { RandomStream } from '../../random.ts';
import { type Direction, type Placement, STEPS } from './grid.ts';
import { linesOf, WAYS } from './lines.ts';
import { type Matcher, matcherOf } from './matcher.ts';

/** A letter with how often it is used to fill, against the others. */
export type Weighted = readonly [letter: string, weight: number];

export interface HideOrder {
  columns: number;
  rows: number;
  /** 1 for each cell that belongs to the grid, row by row; the whole grid if left out. */
  inside?: Uint8Array | undefined;
  directions: readonly Direction[];
  /** Each word with its letters in the grid; see `gridWord`. */
  words: readonly { word: string; letters: readonly string[] }[];
  /** How much words are to cross each other. */
  crossings: 'few' | 'some' | 'many';
  /** Near-misses: beginnings of listed words that go on otherwise. */
  decoys: number;
  /** What fills the grid. */
  filling: readonly Weighted[];
  /** What may be read in no direction, by its letters. Kept between calls by identity: pass the same list for the same words. */
  unwanted: readonly (readonly string[])[];
  /** What the first letters that are left over spell, in reading order. */
  message: readonly string[];
}

export interface Hidden {
  columns: number;
  rows: number;
  /** Row by row; null outside the outline. */
  letters: (string | null)[];
  placements: Placement[];
  /** Words that found no room, or that are part of another. Empty in a good puzzle. */
  leftOut: string[];
  /** Cells of the message, in order; fewer than it has letters where the words leave less. */
  message: number[];
  /** How many near-misses there are. */
  decoys: number;
}

/** Whole layouts tried before words are left out. */
const LAYOUTS = 40;
/** Places looked at for one word: many crossings take many looks. */
const LOOKS = { few: 20, some: 20, many: 240 } as const;
const LEAST_LOOKS = 6;
/** Looks for one near-miss, on average. */
const DECOY_LOOKS = 60;
/** Changes of filling letters, before a layout is given up. */
const REPAIRS = 600;
/** Of a layout with an outline, most places lie outside: more are looked at. */
const OUTLINE_LOOKS = 3;
const LEAST_DECOY = 4;

const EMPTY = -1;
const OUTSIDE = -2;

/** Known before all others, so that what finds unwanted words serves every list of words in Latin letters without accents. */
const LATIN = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];

/** Letters as small whole numbers, so that the inner loops compare numbers. */
interface Coded {
  word: string;
  codes: Int16Array;
}

/** A word on a line, at the places from its first to its last cell in the order of the line. */
interface OnLine {
  from: number;
  to: number;
  word: number;
}

class Alphabet {
  readonly letters: string[] = [];
  private readonly codes = new Map<string, number>();

  code(letter: string): number {
    let known = this.codes.get(letter);
    if (known === undefined) {
      known = this.letters.push(letter) - 1;
      this.codes.set(letter, known);
    }
    return known;
  }

  /** Codes of letters that are all known, or null. */
  known(letters: readonly string[]): number[] | null {
    const codes = letters.map((letter) => this.codes.get(letter) ?? -1);
    return codes.includes(-1) ? null : codes;
  }
}

const unwantedMatchers = new WeakMap<readonly (readonly string[])[], Map<string, Matcher>>();

/** What finds unwanted words in either direction. */
function unwantedMatcher(unwanted: readonly (readonly string[])[], alphabet: Alphabet): Matcher {
  const key = alphabet.letters.join('\0');
  const kept = unwantedMatchers.get(unwanted) ?? new Map<string, Matcher>();
  unwantedMatchers.set(unwanted, kept);
  let matcher = kept.get(key);
  if (!matcher) {
    const patterns = unwanted.flatMap((letters) => {
      const codes = alphabet.known(letters);
      return codes ? [codes, codes.slice().reverse()] : [];
    });
    // Lists of words that differ in their letters would fill the memory.
    if (kept.size >= MOST_MATCHERS) kept.clear();
    matcher = matcherOf(patterns, alphabet.letters.length);
    kept.set(key, matcher);
  }
  return matcher;
}
const MOST_MATCHERS = 20;

/**
 * Hides words in a grid: each can be read once and no more, in all eight directions, and no unwanted word at all, unless a listed
 * word has it in itself. Longest words first, each at the best of a number of places; what is filled in is drawn anew wherever it
 * spells something (found by an automaton for all words at once); whole layouts are begun anew when a word finds no room.
 */
export function hideWords(order: HideOrder, random: RandomStream): Hidden {
  const { columns, rows } = order;
  const alphabet = new Alphabet();
  for (const letter of LATIN) alphabet.code(letter);
  const fillers = order.filling.map(([letter]) => alphabet.code(letter));
  const weighted = drawer(
    fillers,
    order.filling.map(([, weight]) => weight),
    random,
  );
  const coded = order.words.map(
    ({ word, letters }): Coded => ({
      word,
      codes: Int16Array.from(letters, (letter) => alphabet.code(letter)),
    }),
  );
  const message = order.message.map((letter) => alphabet.code(letter));
  // Few letters may spell the words wherever they are drawn: then more are taken.
  const wide = isLatin(alphabet.letters.slice(LATIN.length), fillers)
    ? LATIN.map((_, code) => code)
    : fillers;
  let isStuck = false;
  const draw = () => (isStuck ? random.pick(wide) : weighted());
  const isWithin = contained(coded, beginningsOf(coded, alphabet.letters.length));
  const kept = coded.filter((_, i) => !isWithin[i]);
  const words = beginningsOf(kept, alphabet.letters.length);
  const unwanted = unwantedMatcher(order.unwanted, alphabet);
  const blank = new Int16Array(columns * rows).fill(EMPTY);
  if (order.inside) for (let at = 0; at < blank.length; at++) if (!order.inside[at]) blank[at] = OUTSIDE;
  const longestFirst = kept.slice().sort((a, b) => b.codes.length - a.codes.length);

  let best:
    | { cells: Int16Array; placed: Map<Coded, Placement>; message: number[]; decoys: number }
    | undefined;
  for (let layout = 0; layout < LAYOUTS; layout++) {
    const cells = blank.slice();
    const placed = new Map<Coded, Placement>();
    for (const word of longestFirst) {
      const placement = place(cells, order, word, random);
      if (placement) placed.set(word, placement);
    }
    const isMore =
      !best ||
      placed.size > best.placed.size ||
      (placed.size === best.placed.size && best.message.length < message.length);
    if (!isMore) continue;
    const free: number[] = [];
    for (let at = 0; at < cells.length; at++) if (cells[at] === EMPTY) free.push(at);
    const spelled = free.slice(0, message.length);
    spelled.forEach((at, i) => {
      cells[at] = message[i]!;
    });
    const fixed = new Uint8Array(cells.length);
    for (let at = 0; at < cells.length; at++) if (cells[at] !== EMPTY) fixed[at] = 1;
    const decoys = message.length ? [] : layDecoys(cells, order, kept, draw, random);
    for (const at of free) if (cells[at] === EMPTY) cells[at] = draw();
    const state = cleaned(
      cells,
      fixed,
      onLines(order, placed, kept),
      { words, unwanted },
      order,
      draw,
      random,
    );
    if (state !== 'clean') {
      isStuck = state === 'stuck';
      continue;
    }
    const left = decoys.filter(({ at, codes }) => codes.every((code, i) => cells[at[i]!] === code)).length;
    if (best && spelled.length < best.message.length && placed.size <= best.placed.size) continue;
    best = { cells, placed, message: spelled, decoys: left };
    if (placed.size === kept.length && spelled.length === message.length) break;
  }
  const placed = best?.placed ?? new Map<Coded, Placement>();
  const cells = best?.cells ?? blank.map((cell) => (cell === OUTSIDE ? cell : draw()));
  return {
    columns,
    rows,
    letters: Array.from(cells, (cell) => (cell === OUTSIDE ? null : alphabet.letters[cell]!)),
    placements: kept.flatMap((word) => placed.get(word) ?? []),
    leftOut: coded.filter((word) => !placed.has(word)).map(({ word }) => word),
    message: best?.message ?? [],
    decoys: best?.decoys ?? 0,
  };
}

/** Whether a grid is filled with Latin letters. */
const isLatin = (others: readonly string[], fillers: readonly number[]): boolean =>
  fillers.some((code) => code < LATIN.length) || !others.length;

/** What draws letters by their weights. */
function drawer(letters: readonly number[], weights: readonly number[], random: RandomStream): () => number {
  const sums: number[] = [];
  let total = 0;
  for (const weight of weights) {
    total += weight;
    sums.push(total);
  }
  return () => {
    const at = random.unit() * total;
    let i = 0;
    while (i < sums.length - 1 && sums[i]! <= at) i++;
    return letters[i]!;
  };
}

/** Words from both ends, by their first two letters. */
interface Beginnings {
  letters: number;
  /** By two letters, one more than the place of the first of those that begin with them; 0 for none. */
  first: Int16Array;
  /** One more than the place of the next one that begins so. */
  next: Int16Array;
  /** Of word n at 2n, and from its end at 2n + 1. */
  codes: readonly Int16Array[];
}

/** As quick to set up as to use; an automaton takes longer to build than a grid of a few words to fill. */
function beginningsOf(words: readonly Coded[], letters: number): Beginnings {
  const codes = words.flatMap((word) => [word.codes, word.codes.slice().reverse()]);
  const first = new Int16Array(letters * letters);
  const next = new Int16Array(codes.length);
  for (let id = codes.length - 1; id >= 0; id--) {
    const pair = codes[id]![0]! * letters + codes[id]![1]!;
    next[id] = first[pair]!;
    first[pair] = id + 1;
  }
  return { letters, first, next, codes };
}

/**
 * Which words can be read inside another one, forwards or backwards: those could always be read twice. Of words that are the
 * same, the first is none of them.
 */
function contained(words: readonly Coded[], { letters, first, next, codes }: Beginnings): boolean[] {
  const isWithin = words.map(() => false);
  words.forEach((whole, i) => {
    const line = whole.codes;
    for (let at = 0; at + 1 < line.length; at++)
      for (let id = first[line[at]! * letters + line[at + 1]!]!; id; id = next[id - 1]!) {
        const word = (id - 1) >> 1;
        const part = codes[id - 1]!;
        if (word === i || part.length > line.length - at) continue;
        let n = 2;
        while (n < part.length && part[n] === line[at + n]) n++;
        if (n === part.length) isWithin[part.length === line.length ? Math.max(word, i) : word] = true;
      }
  });
  return isWithin;
}

/** From where to where the first letter may stand, along one side of the grid. */
const span = (step: number, size: number, length: number): [number, number] => [
  step < 0 ? length - 1 : 0,
  step > 0 ? size - length : size - 1,
];

/** How many letters a word shares with what is laid, at a place; −1 where it does not fit. */
function sharedAt(cells: Int16Array, codes: Int16Array, at: number, step: number): number {
  let shared = 0;
  for (let i = 0; i < codes.length; i++, at += step) {
    const cell = cells[at]!;
    if (cell === codes[i]) shared++;
    else if (cell !== EMPTY) return -1;
  }
  // Lying wholly on other words' letters would hide it twice over.
  return shared === codes.length ? -1 : shared;
}

function place(
  cells: Int16Array,
  { columns, rows, directions, crossings, inside }: HideOrder,
  { word, codes }: Coded,
  random: RandomStream,
): Placement | null {
  const n = codes.length;
  const open = directions.filter((direction) => {
    const [dx, dy] = STEPS[direction];
    return (dx === 0 || n <= columns) && (dy === 0 || n <= rows);
  });
  if (!open.length) return null;
  let best: { at: number; direction: Direction } | null = null;
  let worth = Number.NEGATIVE_INFINITY;
  const most = LOOKS[crossings] * (inside ? OUTLINE_LOOKS : 1);
  const worthOf = (shared: number) => (crossings === 'few' ? -shared : shared);
  // Without need for crossings the first place that is as good as can be is taken.
  const enough = crossings === 'few' ? 0 : crossings === 'some' ? 1 : n;
  for (let look = 0; look < most && (worth < enough || look < LEAST_LOOKS); look++) {
    const direction = random.pick(open);
    const [dx, dy] = STEPS[direction];
    const [left, right] = span(dx, columns, n);
    const [top, bottom] = span(dy, rows, n);
    const at = (top + random.int(bottom - top + 1)) * columns + left + random.int(right - left + 1);
    const shared = sharedAt(cells, codes, at, dy * columns + dx);
    if (shared < 0 || worthOf(shared) <= worth) continue;
    worth = worthOf(shared);
    best = { at, direction };
  }
  if (!best) {
    // A full grid: every place, beginning anywhere, and the first that fits.
    const start = random.int(cells.length);
    search: for (let k = 0; k < cells.length; k++) {
      const at = (start + k) % cells.length;
      const column = at % columns;
      const row = (at - column) / columns;
      for (const direction of open) {
        const [dx, dy] = STEPS[direction];
        const [left, right] = span(dx, columns, n);
        const [top, bottom] = span(dy, rows, n);
        if (column < left || column > right || row < top || row > bottom) continue;
        if (sharedAt(cells, codes, at, dy * columns + dx) < 0) continue;
        best = { at, direction };
        break search;
      }
    }
  }
  if (!best) return null;
  const { at, direction } = best;
  const [dx, dy] = STEPS[direction];
  for (let i = 0; i < n; i++) cells[at + i * (dy * columns + dx)] = codes[i]!;
  const column = at % columns;
  return { word, column, row: (at - column) / columns, direction, length: n };
}

/** Lays beginnings of words that end in another letter. @returns where they lie and with which letters */
function layDecoys(
  cells: Int16Array,
  { columns, rows, directions, decoys }: HideOrder,
  words: readonly Coded[],
  draw: () => number,
  random: RandomStream,
): { at: number[]; codes: number[] }[] {
  const long = words.filter(({ codes }) => codes.length >= LEAST_DECOY);
  const laid: { at: number[]; codes: number[] }[] = [];
  if (!long.length || !directions.length) return laid;
  for (let look = 0; look < decoys * DECOY_LOOKS && laid.length < decoys; look++) {
    const { codes } = random.pick(long);
    // The wrong letter is the last one, or the one before it.
    const wrong = codes.length - 1 - (codes.length > LEAST_DECOY ? random.int(2) : 0);
    const decoy = codes.slice(0, wrong + 1);
    decoy[wrong] = draw();
    if (decoy[wrong] === codes[wrong]) continue;
    const direction = random.pick(directions);
    const [dx, dy] = STEPS[direction];
    const n = decoy.length;
    const [left, right] = span(dx, columns, n);
    const [top, bottom] = span(dy, rows, n);
    if (left > right || top > bottom) continue;
    const first = (top + random.int(bottom - top + 1)) * columns + left + random.int(right - left + 1);
    const step = dy * columns + dx;
    if (sharedAt(cells, decoy, first, step) < 0) continue;
    const at = Array.from(decoy, (_, i) => first + i * step);
    at.forEach((cell, i) => {
      cells[cell] = decoy[i]!;
    });
    laid.push({ at, codes: [...decoy] });
  }
  return laid;
}

/** The words on each line. */
function onLines(
  { columns, rows }: HideOrder,
  placed: ReadonlyMap<Coded, Placement>,
  words: readonly Coded[],
): Map<number, OnLine[]> {
  const { on, places } = linesOf(columns, rows);
  const found = new Map<number, OnLine[]>();
  for (const [coded, { column, row, direction, length }] of placed) {
    const [dx, dy] = STEPS[direction];
    const way = WAYS.findIndex(([x, y]) => (x === dx && y === dy) || (x === -dx && y === -dy));
    const at = (row * columns + column) * WAYS.length + way;
    const last = ((row + dy * (length - 1)) * columns + column + dx * (length - 1)) * WAYS.length + way;
    const [from, to] = [Math.min(places[at]!, places[last]!), Math.max(places[at]!, places[last]!)];
    const line = on[at]!;
    const one = { from, to, word: words.indexOf(coded) };
    found.set(line, [...(found.get(line) ?? []), one]);
  }
  return found;
}

/**
 * Draws filling letters anew until nothing can be read that should not.
 * @param fixed 1 for cells whose letter stays
 * @returns `clash` where letters that stay spell something, `stuck` where no letters were found that do not
 */
function cleaned(
  cells: Int16Array,
  fixed: Uint8Array,
  laid: ReadonlyMap<number, readonly OnLine[]>,
  { words, unwanted }: { words: Beginnings; unwanted: Matcher },
  { columns, rows }: HideOrder,
  draw: () => number,
  random: RandomStream,
): 'clean' | 'clash' | 'stuck' {
  const { lines, on } = linesOf(columns, rows);
  const waiting = lines.map((_, line) => line).reverse();
  const isWaiting = new Uint8Array(lines.length).fill(1);
  let repairs = 0;
  const { letters, first, next, codes } = words;
  const { next: nextUnwanted } = unwanted;
  /** The first reading on a line that must go: from and to. */
  const bad = (line: number): [number, number] | null => {
    const own = laid.get(line) ?? [];
    const at = lines[line]!;
    const last = at.length - 1;
    let state = 0;
    for (let i = 0; i <= last; i++) {
      const letter = cells[at[i]!]!;
      if (letter < 0) {
        state = 0;
        continue;
      }
      state = nextUnwanted[(state >> 1) * letters + letter]!;
      for (let ending = state & 1 ? state >> 1 : 0; ending; ending = unwanted.also[ending]!) {
        const id = unwanted.ends[ending]!;
        if (id < 0) continue;
        const from = i - unwanted.lengths[id]! + 1;
        if (!own.some((one) => one.from <= from && one.to >= i)) return [from, i];
      }
      const follows = i < last ? cells[at[i + 1]!]! : OUTSIDE;
      if (follows < 0) continue;
      for (let id = first[letter * letters + follows]!; id; id = next[id - 1]!) {
        const word = codes[id - 1]!;
        const to = i + word.length - 1;
        if (to > last) continue;
        let n = 2;
        while (n < word.length && cells[at[i + n]!] === word[n]) n++;
        if (n < word.length) continue;
        if (!own.some((one) => one.word === (id - 1) >> 1 && one.from === i && one.to === to)) return [i, to];
      }
    }
    return null;
  };
  while (waiting.length) {
    const line = waiting.pop()!;
    isWaiting[line] = 0;
    for (let found = bad(line); found; found = bad(line)) {
      const free = Array.from(lines[line]!.subarray(found[0], found[1] + 1)).filter((at) => !fixed[at]);
      if (!free.length) return 'clash';
      if (++repairs > REPAIRS) return 'stuck';
      const at = random.pick(free);
      cells[at] = draw();
      for (let way = 0; way < WAYS.length; way++) {
        const crossing = on[at * WAYS.length + way]!;
        if (crossing === line || isWaiting[crossing]) continue;
        isWaiting[crossing] = 1;
        waiting.push(crossing);
      }
    }
  }
  return 'clean';
}
