import type { RandomStream } from '../../random.ts';
import { type Alphabet, type Coded, OUTSIDE } from './coded.ts';
import { type Placement, STEPS } from './grid.ts';
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
  /** Of word n at 2n, and from its end at 2n + 1. */
  codes: readonly Int16Array[];
}

/** As quick to set up as to use; an automaton takes longer to build than a grid of a few words to fill. */
export function beginningsOf(words: readonly Coded[], letters: number): Beginnings {
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
