import type { RandomStream } from '../../random.ts';

/**
 * Grids of 9 × 9 with boxes, fast: for each digit the 27 cells of each band of three rows as bits (bit = row in the band × 9
 * + column). A digit goes with the rows of a band as it goes with the columns of a stack: one to each box. So what is locked
 * is read from one table of 3 × 3 bits, and cells with a single candidate come from adding bits. The design is known from
 * solver communities.
 */
const CELLS = 81;
const EVERY = 0x7ffffff;
const ROW = 0x1ff;
/** One bit in each of three rows. */
const COLUMN = 0x40201;
/** Bands of the digits, then the cells of each band that are filled. */
const WORDS = 30;
const FILLED = 27;
/** Where the state is kept of what is known for sure, behind those of a search. */
const SURE = WORDS * (CELLS + 1);

/** Of 3 × 3 bits those that are in a choice of one to each row and column; 0 where there is none. */
const CLOSED = new Uint16Array(512);
for (const [a, b, c] of [
  [0, 1, 2],
  [0, 2, 1],
  [1, 0, 2],
  [1, 2, 0],
  [2, 0, 1],
  [2, 1, 0],
] as const) {
  const choice = (1 << a) | (8 << b) | (64 << c);
  for (let bits = 0; bits < 512; bits++)
    if ((bits & choice) === choice) CLOSED[bits] = CLOSED[bits]! | choice;
}
/** Which boxes a row of nine cells has bits in. */
const BOXES_IN = Uint8Array.from(
  { length: 512 },
  (_, row) => (row & 7 ? 1 : 0) | (row & 56 ? 2 : 0) | (row & 448 ? 4 : 0),
);
/** The cells of a row for bits of its boxes. */
const CELLS_OF = Uint16Array.from(
  { length: 8 },
  (_, boxes) => (boxes & 1 ? 7 : 0) | (boxes & 2 ? 56 : 0) | (boxes & 4 ? 448 : 0),
);
/** The cells of a band for 3 × 3 bits of rows and boxes. */
const BAND_OF = Int32Array.from(
  { length: 512 },
  (_, bits) => CELLS_OF[bits & 7]! | (CELLS_OF[(bits >> 3) & 7]! << 9) | (CELLS_OF[bits >> 6]! << 18),
);
/** The cells of a band that share no row, column or box with one of them. */
const APART = Int32Array.from({ length: 27 }, (_, cell) => {
  const [row, column] = [Math.floor(cell / 9), cell % 9];
  let apart = 0;
  for (let other = 0; other < 27; other++) {
    const [r, c] = [Math.floor(other / 9), other % 9];
    if (r !== row && Math.floor(c / 3) !== Math.floor(column / 3)) apart |= 1 << other;
  }
  return apart;
});

const lowest = (mask: number): number => 31 - Math.clz32(mask & -mask);

/** A solver with room of its own; one serves many grids, one after another. */
export class BandSolver {
  /** States one behind the other, as deep as a search can go. */
  readonly #states = new Int32Array(WORDS * (CELLS + 2));
  /** Cells with two and three candidates, as the last settling left them. */
  readonly #twos = new Int32Array(3);
  readonly #threes = new Int32Array(3);
  #left = 0;
  #first: Uint8Array | null = null;
  /** Whether the first answer is wanted, or only that there is one. */
  #reads = true;
  #random: RandomStream | null = null;

  /**
   * Counts the ways to fill a grid, no further than `most`.
   * @param givens of each cell, 0 for none
   * @returns the count, and the first way found
   */
  solve(givens: ArrayLike<number>, most = 2): { count: number; first: Uint8Array | null } {
    this.#random = null;
    const dirty = this.#begin(givens);
    return this.#run(dirty, most);
  }

  /** Begins anew with what is known for sure: nothing. */
  forget(): void {
    this.#empty(SURE);
  }

  /** Adds a digit to what is known for sure, with all that follows from it. */
  keep(cell: number, value: number): void {
    this.#put(SURE, cell, value);
    this.#settle(SURE, ROW);
  }

  /**
   * Whether what is known for sure and some more givens leave a cell its digit alone, in a grid that they have an answer for.
   * @param groups cells of the givens, from place `from` on; those before it do not count
   * @param solution the answer
   */
  leavesOnly(
    groups: readonly (readonly number[])[],
    from: number,
    solution: ArrayLike<number>,
    cell: number,
  ): boolean {
    this.#random = null;
    const s = this.#states;
    s.copyWithin(0, SURE, SURE + WORDS);
    for (let i = from; i < groups.length; i++)
      for (const given of groups[i]!) this.#put(0, given, solution[given]!);
    const band = Math.floor(cell / 27);
    const at = (solution[cell]! - 1) * 3 + band;
    // Another answer would have another digit there.
    s[at] = s[at]! & ~(1 << (cell - band * 27));
    return this.#run(ROW, 1, false).count === 0;
  }

  /** A filled grid by random choices. */
  fill(random: RandomStream): Uint8Array {
    this.#random = random;
    const dirty = this.#begin(new Uint8Array(CELLS));
    return this.#run(dirty, 1).first!;
  }

  #run(dirty: number, most: number, reads = true): { count: number; first: Uint8Array | null } {
    this.#reads = reads;
    this.#left = most;
    this.#first = null;
    this.#search(0, dirty);
    return { count: most - this.#left, first: this.#first };
  }

  /** Sets up the first state. @returns the digits to look at */
  #begin(givens: ArrayLike<number>): number {
    this.#empty(0);
    for (let cell = 0; cell < CELLS; cell++) if (givens[cell]) this.#put(0, cell, givens[cell]!);
    return ROW;
  }

  #empty(o: number): void {
    this.#states.fill(EVERY, o, o + FILLED);
    this.#states.fill(0, o + FILLED, o + WORDS);
  }

  /** Puts a digit into a cell. Where the rules forbid it, no candidate is left, and what settles the state sees that. */
  #put(o: number, cell: number, value: number): void {
    const s = this.#states;
    const band = cell < 27 ? 0 : cell < 54 ? 1 : 2;
    const place = cell - band * 27;
    const bit = 1 << place;
    const at = o + (value - 1) * 3 + band;
    s[at] = s[at]! & (APART[place]! | bit);
    for (let i = o + band; i < o + FILLED; i += 3) if (i !== at) s[i] = s[i]! & ~bit;
    s[o + FILLED + band] = s[o + FILLED + band]! | bit;
  }

  #search(depth: number, dirty: number): void {
    const s = this.#states;
    const o = depth * WORDS;
    if (!this.#settle(o, dirty)) return;
    const [f0, f1, f2] = [s[o + FILLED]!, s[o + FILLED + 1]!, s[o + FILLED + 2]!];
    if ((f0 & f1 & f2) === EVERY) {
      this.#left--;
      if (this.#reads) this.#first ??= this.#read(o);
      return;
    }
    // A cell with two candidates, or the one with the fewest.
    const twos = this.#twos;
    let band = twos[0] ? 0 : twos[1] ? 1 : twos[2] ? 2 : -1;
    let cells = band < 0 ? 0 : twos[band]!;
    if (band < 0) {
      const threes = this.#threes;
      band = threes[0] ? 0 : threes[1] ? 1 : threes[2] ? 2 : f0 !== EVERY ? 0 : f1 !== EVERY ? 1 : 2;
      cells = threes[band] || EVERY & ~s[o + FILLED + band]!;
    }
    const bit = cells & -cells;
    const next = o + WORDS;
    let digits = 0;
    for (let d = 0; d < 9; d++) if (s[o + d * 3 + band]! & bit) digits |= 1 << d;
    // All else stands as it was settled.
    const changed = digits;
    while (digits && this.#left > 0) {
      const d = this.#random ? pickBit(digits, this.#random) : lowest(digits);
      digits &= ~(1 << d);
      s.copyWithin(next, o, next);
      this.#put(next, band * 27 + lowest(bit), d + 1);
      this.#search(depth + 1, changed);
    }
  }

  #read(o: number): Uint8Array {
    const s = this.#states;
    const values = new Uint8Array(CELLS);
    for (let i = 0; i < FILLED; i++) {
      const digit = Math.floor(i / 3);
      for (let rest = s[o + i]!; rest; rest &= rest - 1) values[(i % 3) * 27 + lowest(rest)] = digit + 1;
    }
    return values;
  }

  /** Rules out what the rules of the game do, until nothing changes. @returns false where no answer is left */
  #settle(o: number, first: number): boolean {
    const s = this.#states;
    let dirty = first;
    for (;;) {
      while (dirty) {
        const d = lowest(dirty);
        dirty &= dirty - 1;
        const i = o + d * 3;
        let a = s[i]!;
        let b = s[i + 1]!;
        let c = s[i + 2]!;
        for (;;) {
          // One to each row and box of a band …
          const x =
            a &
            BAND_OF[
              CLOSED[BOXES_IN[a & ROW]! | (BOXES_IN[(a >> 9) & ROW]! << 3) | (BOXES_IN[a >> 18]! << 6)]!
            ]!;
          const y =
            b &
            BAND_OF[
              CLOSED[BOXES_IN[b & ROW]! | (BOXES_IN[(b >> 9) & ROW]! << 3) | (BOXES_IN[b >> 18]! << 6)]!
            ]!;
          const z =
            c &
            BAND_OF[
              CLOSED[BOXES_IN[c & ROW]! | (BOXES_IN[(c >> 9) & ROW]! << 3) | (BOXES_IN[c >> 18]! << 6)]!
            ]!;
          if (x === 0 || y === 0 || z === 0) return false;
          // … and one to each column and box of a stack.
          const p = (x | (x >> 9) | (x >> 18)) & ROW;
          const q = (y | (y >> 9) | (y >> 18)) & ROW;
          const r = (z | (z >> 9) | (z >> 18)) & ROW;
          const t = CLOSED[(p & 7) | ((q & 7) << 3) | ((r & 7) << 6)]!;
          const u = CLOSED[((p >> 3) & 7) | (q & 56) | ((r & 56) << 3)]!;
          const v = CLOSED[(p >> 6) | ((q >> 6) << 3) | (r & 448)]!;
          if (t === 0 || u === 0 || v === 0) return false;
          const na = x & (COLUMN * ((t & 7) | ((u & 7) << 3) | ((v & 7) << 6)));
          const nb = y & (COLUMN * (((t >> 3) & 7) | (u & 56) | ((v & 56) << 3)));
          const nc = z & (COLUMN * ((t >> 6) | ((u >> 6) << 3) | (v & 448)));
          const same = na === a && nb === b && nc === c;
          a = na;
          b = nb;
          c = nc;
          if (same) break;
        }
        s[i] = a;
        s[i + 1] = b;
        s[i + 2] = c;
        // A row with one place: its cell loses every other digit.
        for (let band = 0; band < 3; band++) {
          const x = band === 0 ? a : band === 1 ? b : c;
          const r0 = x & ROW;
          const r1 = x & (ROW << 9);
          const r2 = x & (ROW << 18);
          let found = (r0 & (r0 - 1)) === 0 ? r0 : 0;
          if ((r1 & (r1 - 1)) === 0) found |= r1;
          if ((r2 & (r2 - 1)) === 0) found |= r2;
          found &= ~s[o + FILLED + band]!;
          if (!found) continue;
          s[o + FILLED + band] = s[o + FILLED + band]! | found;
          for (let e = 0; e < 9; e++) {
            const at = o + e * 3 + band;
            if (e !== d && s[at]! & found) {
              s[at] = s[at]! & ~found;
              dirty |= 1 << e;
            }
          }
        }
      }
      for (let band = 0; band < 3; band++) {
        let one = 0;
        let two = 0;
        let three = 0;
        let four = 0;
        for (let at = o + band; at < o + FILLED; at += 3) {
          const x = s[at]!;
          four |= three & x;
          three |= two & x;
          two |= one & x;
          one |= x;
        }
        if (one !== EVERY) return false;
        this.#twos[band] = two & ~three;
        this.#threes[band] = three & ~four;
        let found = one & ~two & ~s[o + FILLED + band]!;
        if (!found) continue;
        s[o + FILLED + band] = s[o + FILLED + band]! | found;
        while (found) {
          const bit = found & -found;
          found ^= bit;
          const cell = lowest(bit);
          for (let d = 0; d < 9; d++) {
            const at = o + d * 3 + band;
            if (!(s[at]! & bit)) continue;
            s[at] = s[at]! & (APART[cell]! | bit);
            dirty |= 1 << d;
            break;
          }
        }
      }
      if (!dirty) return true;
    }
  }
}

function pickBit(mask: number, random: RandomStream): number {
  let rest = mask;
  let count = 0;
  for (let bits = mask; bits; bits &= bits - 1) count++;
  for (let skip = random.int(count); skip > 0; skip--) rest &= rest - 1;
  return lowest(rest);
}
