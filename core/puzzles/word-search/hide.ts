import type { RandomStream } from '../../random.ts';
import { beginningsOf, cleaned, contained, onLines, unwantedMatcher } from './clean.ts';
import { Alphabet, type Coded, EMPTY, OUTSIDE } from './coded.ts';
import type { Direction, Placement } from './grid.ts';
import { layDecoys, place, waysOf } from './lay.ts';

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
/** Known before all others, so that what finds unwanted words serves every list of words in Latin letters without accents. */
const LATIN = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];

/**
 * Hides words in a grid: each can be read once and no more, in all eight directions, and no unwanted word at all, unless a listed
 * word has it in itself. Longest words first, each at the best of a number of places; what is filled in is drawn anew wherever it
 * spells something; whole layouts are begun anew when a word finds no room.
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
  const coded = order.words.map(({ word, letters }): Coded => ({ word, codes: alphabet.codes(letters) }));
  const message = order.message.map((letter) => alphabet.code(letter));
  // Few letters may spell the words wherever they are drawn: then more are taken.
  const wide = isLatin(alphabet.letters.slice(LATIN.length), fillers)
    ? LATIN.map((_, code) => code)
    : fillers;
  let isStuck = false;
  const draw = () => (isStuck ? random.pick(wide) : weighted());
  const all = beginningsOf(coded, alphabet.letters.length);
  const isWithin = contained(coded, all);
  const isWhole = !isWithin.includes(true);
  const kept = isWhole ? coded : coded.filter((_, i) => !isWithin[i]);
  const words = isWhole ? all : beginningsOf(kept, alphabet.letters.length);
  const unwanted = unwantedMatcher(order.unwanted, alphabet);
  const blank = new Int16Array(columns * rows).fill(EMPTY);
  if (order.inside) for (let at = 0; at < blank.length; at++) if (!order.inside[at]) blank[at] = OUTSIDE;
  const ways = waysOf(order);
  const longestFirst = kept.slice().sort((a, b) => b.codes.length - a.codes.length);

  /** Of words that cannot be hidden at all, a grid with nothing in it that is unwanted. */
  const lettersAlone = (): Int16Array => {
    const cells = blank.map((cell) => (cell === OUTSIDE ? cell : random.pick(wide)));
    const none = { words: beginningsOf([], alphabet.letters.length), unwanted };
    cleaned(cells, new Uint8Array(cells.length), new Map(), none, order, () => random.pick(wide), random);
    return cells;
  };

  let best:
    | { cells: Int16Array; placed: Map<Coded, Placement>; message: number[]; decoys: number }
    | undefined;
  for (let layout = 0; layout < LAYOUTS; layout++) {
    const cells = blank.slice();
    const placed = new Map<Coded, Placement>();
    for (const word of longestFirst) {
      const placement = place(cells, order, ways, word, random);
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
    const fixed = new Uint8Array(cells.length).fill(1);
    for (let i = spelled.length; i < free.length; i++) fixed[free[i]!] = 0;
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
  const cells = best?.cells ?? lettersAlone();
  const letters = new Array<string | null>(cells.length);
  for (let at = 0; at < cells.length; at++)
    letters[at] = cells[at] === OUTSIDE ? null : alphabet.letters[cells[at]!]!;
  return {
    ...{ columns, rows, letters },
    placements: kept.flatMap((word) => placed.get(word) ?? []),
    leftOut: coded.filter((word) => !placed.has(word)).map(({ word }) => word),
    message: best?.message ?? [],
    decoys: best?.decoys ?? 0,
  };
}

/** Whether a grid is filled with Latin letters. */
const isLatin = (others: readonly string[], fillers: readonly number[]): boolean =>
  fillers.some((code) => code < LATIN.length) || !others.length;

/** Parts of the whole weight, for each of which it is known with which letter to begin. */
const PARTS = 256;

/** What draws letters by their weights. */
function drawer(letters: readonly number[], weights: readonly number[], random: RandomStream): () => number {
  const sums: number[] = [];
  let total = 0;
  for (const weight of weights) {
    total += weight;
    sums.push(total);
  }
  const last = sums.length - 1;
  const begins = new Uint8Array(PARTS);
  for (let part = 0, i = 0; part < PARTS; part++) {
    while (i < last && sums[i]! <= (part / PARTS) * total) i++;
    begins[part] = i;
  }
  return () => {
    const unit = random.unit();
    const at = unit * total;
    let i = begins[(unit * PARTS) | 0]!;
    while (i < last && sums[i]! <= at) i++;
    return letters[i]!;
  };
}
