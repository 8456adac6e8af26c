import type { RandomStream } from '../../random.ts';

/** Numbers of each column of a card of five: 1 to 15, 16 to 30 and so on. Common practice, no source. */
const NUMBERS = 75;

/** How many ways there are to put `count` of so many things in a row, as far as a number holds it. */
export function arrangements(things: number, count: number): number {
  let ways = 1;
  for (let i = 0; i < count; i++) ways *= things - i;
  return ways;
}

/** The n-th way to put `count` of so many things in a row (Lehmer code; Knuth, TAOCP vol. 4A, 7.2.1.2). */
export function arrangement(things: number, count: number, n: number): number[] {
  const left = Array.from({ length: things }, (_, i) => i);
  let rest = n % arrangements(things, count);
  return Array.from({ length: count }, (_, i) => {
    const below = arrangements(left.length - 1, count - 1 - i);
    const [chosen] = left.splice(Math.floor(rest / below), 1);
    rest %= below;
    return chosen!;
  });
}

const gcd = (a: number, b: number): number => (b ? gcd(b, a % b) : a);

/** About the golden section: places that follow each other come far apart. */
const APART = 0.618;

/** Takes places to numbers below `ways`, other places to other ones until all have been met, neighbors far apart. */
function spread(place: number, ways: number): number {
  let stride = Math.max(1, Math.floor(ways * APART));
  while (gcd(stride, ways) > 1) stride++;
  return Number((BigInt(place) * BigInt(stride)) % BigInt(ways));
}

/** The first row, or column, of a card: an arrangement of some things that no other place has. */
function firstOf<Thing>(things: readonly Thing[], { size, place }: Pick<Order, 'size' | 'place'>): Thing[] {
  const some = things.slice(0, MOST_THINGS);
  return arrangement(some.length, size, spread(place, arrangements(some.length, size))).map((i) => some[i]!);
}
/** So many suffice for 700 million cards of five, and are counted without loss. */
const MOST_THINGS = 60;

export interface Card {
  size: number;
  /** Row by row; null for a middle that is free. */
  cells: (string | null)[];
}

interface Order {
  size: number;
  free: boolean;
  /** Which card it is: cards with other places have other first rows, as long as there are as many. */
  place: number;
  /** Shuffles what is the same for all cards of a section. */
  deck: RandomStream;
  /** Of the card itself. */
  own: RandomStream;
}

const isFree = (at: number, { size, free }: Pick<Order, 'size' | 'free'>): boolean =>
  free && size % 2 === 1 && at === (size * size - 1) / 2;

/** How many different words a card takes. */
export const wordsOfCard = (size: number, free: boolean): number => size * size - (free && size % 2 ? 1 : 0);

/**
 * A card of words that no other place has: its first row is an arrangement of its own.
 * @param words as many as a card takes, at least
 */
export function wordCard(words: readonly string[], order: Order): Card {
  const { size, deck, own } = order;
  const shuffled = deck.shuffled(words);
  const first = firstOf(shuffled, order);
  const others = own.shuffled(shuffled.filter((word) => !first.includes(word)));
  let next = 0;
  return {
    size,
    cells: Array.from({ length: size * size }, (_, at) => {
      if (isFree(at, order)) return null;
      return at < size ? first[at]! : others[next++]!;
    }),
  };
}
/** A card of numbers that no other place has: each column has its own range, as callers expect. */
export function numberCard(order: Order): Card {
  const { size, deck, own } = order;
  const range = Math.floor(NUMBERS / size);
  const columns = Array.from({ length: size }, (_, column) => {
    const numbers = Array.from({ length: range }, (_, i) => column * range + i + 1);
    // The first column is an arrangement of its own; the others are drawn.
    if (column > 0) return own.shuffled(numbers).slice(0, size);
    return firstOf(deck.shuffled(numbers), order);
  });
  return {
    size,
    cells: Array.from({ length: size * size }, (_, at) =>
      isFree(at, order) ? null : String(columns[at % size]![Math.floor(at / size)]!),
    ),
  };
}
