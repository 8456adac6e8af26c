import type { Shape } from './shape.ts';

/** The one bit of a mask as a digit, from 0. */
export const digitOf = (mask: number): number => 31 - Math.clz32(mask);
export const isSingle = (mask: number): boolean => (mask & (mask - 1)) === 0;
export function countBits(mask: number): number {
  let rest = mask - ((mask >>> 1) & 0x5555);
  rest = (rest & 0x3333) + ((rest >>> 2) & 0x3333);
  return ((((rest + (rest >>> 4)) & 0x0f0f) * 0x0101) >>> 8) & 0x1f;
}

/** What a board finds by itself and puts down: nothing, digits that alone are left for a cell, or all single places too. */
export const FINDS = { nothing: 0, nakedSingles: 1, singles: 2 } as const;
export type Finds = (typeof FINDS)[keyof typeof FINDS];

/**
 * A grid being solved: candidates of each cell and places of each digit in each unit, kept together as they shrink, so that
 * a digit with one place is seen the moment it is so. Copied, not undone.
 */
export class Board {
  readonly shape: Shape;
  /** Candidates of each cell, bit 0 for the digit 1; of a cell that is filled, its digit. */
  readonly candidates: Uint16Array;
  /** Places of a digit in a unit, as bits: `places[unit * size + digit]`. */
  readonly places: Uint16Array;
  /** The digit of each cell, from 1; 0 where it is open. */
  readonly values: Uint8Array;
  /** Cells that are open. */
  open: number;
  /** A cell without a candidate, or a digit without a place, was met. */
  broken = false;
  finds: Finds = FINDS.singles;
  /** What waits to be put down, as cell × size + digit. */
  readonly #waiting: Int32Array;
  readonly #size: number;
  readonly #own: readonly Int32Array[];
  readonly #units: readonly Int16Array[];
  #waits = 0;

  constructor(shape: Shape) {
    const { size, cells, units } = shape;
    this.shape = shape;
    this.#size = size;
    this.#own = shape.places;
    this.#units = units;
    this.candidates = new Uint16Array(cells);
    this.places = new Uint16Array(units.length * size);
    this.values = new Uint8Array(cells);
    this.open = cells;
    // Each of a cell's candidates and each place of a digit waits once at the most.
    this.#waiting = new Int32Array(cells + units.length * size + cells);
    this.clear();
  }

  /** Every cell open, every digit possible everywhere. */
  clear(): this {
    const every = (1 << this.shape.size) - 1;
    this.candidates.fill(every);
    this.places.fill(every);
    this.values.fill(0);
    this.open = this.shape.cells;
    this.broken = false;
    this.#waits = 0;
    return this;
  }

  /** As another board of the same shape stands, which has nothing waiting. */
  copy(other: Board): this {
    this.candidates.set(other.candidates);
    this.places.set(other.places);
    this.values.set(other.values);
    this.open = other.open;
    this.broken = other.broken;
    this.finds = other.finds;
    this.#waits = 0;
    return this;
  }

  /** Puts down givens, and what follows from them by what the board finds. @param values of each cell, 0 for none */
  give(values: ArrayLike<number>): this {
    for (let cell = 0; cell < this.shape.cells && !this.broken; cell++) {
      const value = values[cell]!;
      if (value) this.put(cell, value - 1);
    }
    return this;
  }

  /** Puts a digit, from 0, into a cell, and what follows. */
  put(cell: number, digit: number): void {
    this.#set(cell, digit);
    this.#settle();
  }

  /** Takes a candidate out of a cell, and puts down what follows. @returns whether it was there */
  remove(cell: number, digit: number): boolean {
    if (!(this.candidates[cell]! & (1 << digit)) || this.values[cell]) return false;
    this.#eliminate(cell, digit);
    this.#settle();
    return true;
  }

  #settle(): void {
    const { size } = this.shape;
    while (this.#waits > 0 && !this.broken) {
      const next = this.#waiting[--this.#waits]!;
      const cell = Math.floor(next / size);
      this.#set(cell, next - cell * size);
    }
    if (this.broken) this.#waits = 0;
  }

  #set(cell: number, digit: number): void {
    const { candidates, values, shape } = this;
    const bit = 1 << digit;
    if (values[cell]) {
      if (values[cell] !== digit + 1) this.broken = true;
      return;
    }
    if (!(candidates[cell]! & bit)) {
      this.broken = true;
      return;
    }
    values[cell] = digit + 1;
    this.open--;
    let others = candidates[cell]! ^ bit;
    candidates[cell] = bit;
    const own = shape.places[cell]!;
    while (others) {
      const other = digitOf(others);
      others ^= 1 << other;
      for (let i = 0; i < own.length; i += 2) this.#lose(own[i]!, other, own[i + 1]!);
    }
    const peers = shape.peers[cell]!;
    for (let i = 0; i < peers.length; i++) {
      const peer = peers[i]!;
      if (candidates[peer]! & bit) this.#eliminate(peer, digit);
    }
  }

  #eliminate(cell: number, digit: number): void {
    const rest = this.candidates[cell]! & ~(1 << digit);
    this.candidates[cell] = rest;
    if (rest === 0) {
      this.broken = true;
      return;
    }
    if ((rest & (rest - 1)) === 0 && this.finds !== FINDS.nothing && !this.values[cell])
      this.#waiting[this.#waits++] = cell * this.#size + digitOf(rest);
    const own = this.#own[cell]!;
    for (let i = 0; i < own.length; i += 2) this.#lose(own[i]!, digit, own[i + 1]!);
  }

  /** A digit loses one of its places in a unit. @param first the place of the first digit of the unit in the list of places */
  #lose(first: number, digit: number, place: number): void {
    const at = first + digit;
    const rest = this.places[at]! & ~place;
    this.places[at] = rest;
    if ((rest & (rest - 1)) !== 0) return;
    if (rest === 0) this.broken = true;
    else if (this.finds === FINDS.singles) {
      const cell = this.#units[first / this.#size]![digitOf(rest)]!;
      if (!this.values[cell]) this.#waiting[this.#waits++] = cell * this.#size + digit;
    }
  }
}
