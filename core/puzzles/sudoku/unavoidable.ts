import type { Shape } from './shape.ts';

/** Units whose cells could change places one by one as far as all other units go: two rows of the same boxes, for example. */
function twinsOf({ units, places, size }: Shape): (readonly [Int16Array, Int16Array])[] {
  /** The units of a cell without one of them, as one text. */
  const others = (cell: number, unit: number) =>
    [...places[cell]!].filter((at, i) => i % 2 === 0 && at !== unit * size).join(' ');
  return units.flatMap((one, u) =>
    units.slice(u + 1).flatMap((other, i) => {
      const alike = one.every((cell, place) => {
        const opposite = other[place]!;
        return cell !== opposite && others(cell, u) === others(opposite, u + 1 + i);
      });
      return alike ? [[one, other] as const] : [];
    }),
  );
}

/**
 * Sets of cells of a filled grid of which one must be given, as there is another answer that differs in these cells alone
 * (unavoidable sets: McGuire, Tugemann and Civario 2012, “There is no 16-clue sudoku”): those in which two digits change
 * places, and those in which two rows or columns do. There are others, so what they let go need not have one answer; what
 * they hold is held for sure, at the cost of some counts.
 */
export class Unavoidable {
  readonly #shape: Shape;
  readonly #twins: readonly (readonly [Int16Array, Int16Array])[];
  /** The cell of each digit in each unit: `cellOf[unit * size + digit]`, digits from 0. */
  readonly #cellOf: Int16Array;
  /** Sets that each cell is in, so many to a cell, and how many it has. */
  readonly #in: Int16Array;
  readonly #many: Uint8Array;
  readonly #most: number;
  /** Of each set, its cells that are given. */
  readonly #given: Int16Array;
  /** The set that a cell, or a place of two units, was put into last. */
  readonly #seen: Int16Array;
  readonly #queue: Int16Array;

  constructor(shape: Shape) {
    const { size, cells, units } = shape;
    this.#shape = shape;
    this.#twins = twinsOf(shape);
    this.#cellOf = new Int16Array(units.length * size);
    this.#most = size - 1 + this.#twins.length;
    this.#in = new Int16Array(cells * this.#most);
    this.#many = new Uint8Array(cells);
    // The smallest set has two cells of each of two digits, or of each of two units.
    this.#given = new Int16Array((((size * (size - 1)) / 2 + this.#twins.length) * size) / 2);
    this.#seen = new Int16Array(cells);
    this.#queue = new Int16Array(cells);
  }

  /** Begins with a grid in which every cell is given. @param solution the digit of each cell, from 1 */
  begin(solution: Uint8Array): void {
    const { size, units } = this.#shape;
    this.#many.fill(0);
    for (let u = 0; u < units.length; u++) {
      const unit = units[u]!;
      for (let i = 0; i < size; i++) this.#cellOf[u * size + solution[unit[i]!]! - 1] = unit[i]!;
    }
    let sets = 0;
    for (let one = 0; one < size; one++)
      for (let other = one + 1; other < size; other++) sets = this.#digits(one, other, solution, sets);
    for (const [one, other] of this.#twins) sets = this.#units(one, other, solution, sets);
  }

  #add(cell: number, set: number): void {
    const many = this.#many[cell]!;
    this.#in[cell * this.#most + many] = set;
    this.#many[cell] = many + 1;
  }

  /** The cells of two digits, parted where no unit joins them. @returns the number of sets */
  #digits(one: number, other: number, solution: Uint8Array, before: number): number {
    const { size, places } = this.#shape;
    let sets = before;
    this.#seen.fill(0);
    for (let i = 0; i < size; i++) {
      const start = this.#cellOf[i * size + one]!;
      if (this.#seen[start]) continue;
      this.#queue[0] = start;
      this.#seen[start] = 1;
      let count = 1;
      for (let at = 0; at < count; at++) {
        const cell = this.#queue[at]!;
        this.#add(cell, sets);
        const opposite = solution[cell] === one + 1 ? other : one;
        const own = places[cell]!;
        for (let k = 0; k < own.length; k += 2) {
          const next = this.#cellOf[own[k]! + opposite]!;
          if (this.#seen[next]) continue;
          this.#seen[next] = 1;
          this.#queue[count++] = next;
        }
      }
      this.#given[sets++] = count;
    }
    return sets;
  }

  /** The places of two units, parted where no digit joins them. @returns the number of sets */
  #units(one: Int16Array, other: Int16Array, solution: Uint8Array, before: number): number {
    const { size } = this.#shape;
    let sets = before;
    this.#seen.fill(0);
    for (let start = 0; start < size; start++) {
      if (this.#seen[start]) continue;
      let count = 0;
      for (let place = start; !this.#seen[place]; ) {
        this.#seen[place] = 1;
        this.#add(one[place]!, sets);
        this.#add(other[place]!, sets);
        count += 2;
        const digit = solution[other[place]!];
        let next = 0;
        while (solution[one[next]!] !== digit) next++;
        place = next;
      }
      this.#given[sets++] = count;
    }
    return sets;
  }

  /**
   * Takes cells away that were given, where every set still has one that is.
   * @returns whether they are taken away
   */
  take(cells: readonly number[]): boolean {
    let goes = true;
    for (const cell of cells) {
      const first = cell * this.#most;
      const end = first + this.#many[cell]!;
      for (let i = first; i < end; i++) {
        const set = this.#in[i]!;
        const left = this.#given[set]! - 1;
        this.#given[set] = left;
        if (left === 0) goes = false;
      }
    }
    if (!goes) this.giveBack(cells);
    return goes;
  }

  /** Gives cells that were taken away. */
  giveBack(cells: readonly number[]): void {
    for (const cell of cells) {
      const first = cell * this.#most;
      const end = first + this.#many[cell]!;
      for (let i = first; i < end; i++) this.#given[this.#in[i]!]!++;
    }
  }
}
