import type { RandomStream } from '../../random.ts';
import { type Alphabet, type Coded, OUTSIDE } from './coded.ts';
import { type Direction, type Placement, STEPS } from './grid.ts';
import type { HideOrder } from './hide.ts';
import { linesOf, WAYS } from './lines.ts';
import { type Matcher, matcherOf } from './matcher.ts';

/** Changes of filling letters, before a layout is given up. */
const REPAIRS = 600;

/** A word on a line, at the places from its first to its last cell in the order of the line. */
interface OnLine {
  from: number;
  to: number;
  word: number;
}

const unwantedMatchers = new WeakMap<readonly (readonly string[])[], Map<string, Matcher>>();

/** What finds unwanted words in either direction. */
export function unwantedMatcher(unwanted: readonly (readonly string[])[], alphabet: Alphabet): Matcher {
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

/** Words from both ends, by their first two letters. */
interface Beginnings {
  letters: number;
  /** By two letters, one more than the place of the first of those that begin with them; 0 for none. */
  first: Int16Array;
  /** One more than the place of the next one that begins so. */
  next: Int16Array;
  /** The third letter of each, by which most are told apart; ANY where it has none. */
  thirds: Int16Array;
  /** Of word n at 2n, and from its end at 2n + 1. */
  codes: readonly Int16Array[];
}
const ANY = -3;

/** As quick to set up as to use; an automaton takes longer to build than a grid of a few words to fill. */
export function beginningsOf(words: readonly Coded[], letters: number): Beginnings {
  const codes: Int16Array[] = [];
  for (const { codes: there } of words) codes.push(there, there.slice().reverse());
  const first = new Int16Array(letters * letters);
  const next = new Int16Array(codes.length);
  const thirds = new Int16Array(codes.length);
  for (let id = codes.length - 1; id >= 0; id--) {
    const word = codes[id]!;
    const pair = word[0]! * letters + word[1]!;
    thirds[id] = word.length > 2 ? word[2]! : ANY;
    next[id] = first[pair]!;
    first[pair] = id + 1;
  }
  return { letters, first, next, thirds, codes };
}

/**
 * Which words can be read inside another one, forwards or backwards: those could always be read twice. Of words that are the
 * same, the first is none of them.
 */
export function contained(words: readonly Coded[], { letters, first, next, codes }: Beginnings): boolean[] {
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

/** The way of lines along which, or against which, each direction runs. */
const WAY_OF: Readonly<Record<Direction, number>> = {
  ...{ across: 0, back: 0, down: 1, up: 1 },
  ...{ 'down-right': 2, 'up-left': 2, 'up-right': 3, 'down-left': 3 },
};

/** The words on each line. */
export function onLines(
  { columns, rows }: HideOrder,
  placed: ReadonlyMap<Coded, Placement>,
  words: readonly Coded[],
): Map<number, OnLine[]> {
  const { on, places } = linesOf(columns, rows);
  const found = new Map<number, OnLine[]>();
  for (const [coded, { column, row, direction, length }] of placed) {
    const [dx, dy] = STEPS[direction];
    const way = WAY_OF[direction];
    const at = (row * columns + column) * WAYS.length + way;
    const last = ((row + dy * (length - 1)) * columns + column + dx * (length - 1)) * WAYS.length + way;
    const [from, to] = [Math.min(places[at]!, places[last]!), Math.max(places[at]!, places[last]!)];
    const line = on[at]!;
    const one = { from, to, word: words.indexOf(coded) };
    const there = found.get(line);
    if (there) there.push(one);
    else found.set(line, [one]);
  }
  return found;
}

const NONE: readonly OnLine[] = [];

// Functions of their own: what a loop hands to one inside it costs an object at every turn.
const isLaid = (own: readonly OnLine[], word: number, from: number, to: number): boolean =>
  own.some((one) => one.word === word && one.from === from && one.to === to);
const isInside = (own: readonly OnLine[], from: number, to: number): boolean =>
  own.some((one) => one.from <= from && one.to >= to);

/** The first reading on a line that must go: from and to. @param at cells of the line @param own words that are laid on it */
function badReading(
  cells: Int16Array,
  at: Int32Array,
  own: readonly OnLine[],
  { letters, first, next, thirds, codes }: Beginnings,
  { next: after, ends, also, lengths }: Matcher,
): [from: number, to: number] | null {
  const length = at.length;
  let state = 0;
  let before = OUTSIDE;
  for (let i = 0; i < length; i++) {
    const letter = cells[at[i]!]!;
    if (letter < 0) {
      state = 0;
      before = letter;
      continue;
    }
    // Words that begin with the letter before this one.
    let id = before >= 0 ? first[before * letters + letter]! : 0;
    if (id) {
      const from = i - 1;
      const third = i + 1 < length ? cells[at[i + 1]!]! : OUTSIDE;
      for (; id; id = next[id - 1]!) {
        const begins = thirds[id - 1]!;
        if (begins !== third && begins !== ANY) continue;
        const word = codes[id - 1]!;
        if (word.length > length - from) continue;
        let n = 2;
        while (n < word.length && cells[at[from + n]!] === word[n]) n++;
        if (n < word.length) continue;
        const to = from + word.length - 1;
        if (!isLaid(own, (id - 1) >> 1, from, to)) return [from, to];
      }
    }
    before = letter;
    // Unwanted ones that end here.
    const edge = after[(state >> 1) * letters + letter]!;
    state = edge;
    if ((edge & 1) === 0) continue;
    for (let ending = edge >> 1; ending; ending = also[ending]!) {
      const id = ends[ending]!;
      if (id < 0) continue;
      const from = i - lengths[id]! + 1;
      if (!isInside(own, from, i)) return [from, i];
    }
  }
  return null;
}

/**
 * Draws filling letters anew until nothing can be read that should not.
 * @param fixed 1 for cells whose letter stays
 * @returns `clash` where letters that stay spell something, `stuck` where no letters were found that do not
 */
export function cleaned(
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
  const bad = (line: number) => badReading(cells, lines[line]!, laid.get(line) ?? NONE, words, unwanted);
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
