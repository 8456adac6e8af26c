/** What finds many patterns in one pass over a line: the automaton of Aho and Corasick (Communications of the ACM 18, 1975). */
export interface Matcher {
  /** Number of letters; they are coded from 0. */
  letters: number;
  /**
   * Twice the state after a letter, by state and letter, and one more where a pattern ends in it: the others need no further look.
   * State 0 is the first.
   */
  next: Uint16Array | Int32Array;
  /** The pattern that ends in a state, or −1, and the next state in which a shorter one ends with it, or 0. */
  ends: Int32Array;
  also: Int32Array;
  /** Lengths of the patterns. */
  lengths: readonly number[];
}

/** More states than this do not fit into two bytes each. */
const MOST_SMALL = 32_768;

/** @param patterns of letters from 0; none empty, and of equal ones the first is found */
export function matcherOf(patterns: readonly ArrayLike<number>[], letters: number): Matcher {
  const most = 1 + patterns.reduce((sum, { length }) => sum + length, 0);
  // State 0 is nobody's child, so that 0 stands for none until all are known.
  const next = new Int32Array(most * letters);
  const ends = new Int32Array(most).fill(-1);
  const fails = new Int32Array(most);
  const also = new Int32Array(most);
  let states = 1;
  patterns.forEach((pattern, id) => {
    let state = 0;
    for (let i = 0; i < pattern.length; i++) {
      const edge = state * letters + pattern[i]!;
      if (next[edge] === 0) next[edge] = states++;
      state = next[edge]!;
    }
    if (ends[state] === -1) ends[state] = id;
  });
  const queue: number[] = [];
  for (let letter = 0; letter < letters; letter++) {
    const child = next[letter]!;
    if (child) queue.push(child);
  }
  for (const state of queue) {
    const fail = fails[state]!;
    also[state] = ends[fail] !== -1 ? fail : also[fail]!;
    for (let letter = 0; letter < letters; letter++) {
      const edge = state * letters + letter;
      const child = next[edge]!;
      const other = next[fail * letters + letter]!;
      if (child) {
        fails[child] = other;
        queue.push(child);
      } else next[edge] = other;
    }
  }
  const marked = states < MOST_SMALL ? new Uint16Array(states * letters) : new Int32Array(states * letters);
  for (let edge = 0; edge < marked.length; edge++) {
    const state = next[edge]!;
    marked[edge] = 2 * state + (ends[state] !== -1 || also[state] !== 0 ? 1 : 0);
  }
  return {
    letters,
    next: marked,
    ends: ends.subarray(0, states),
    also: also.subarray(0, states),
    lengths: patterns.map(({ length }) => length),
  };
}
