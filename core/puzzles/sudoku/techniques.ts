import { type Board, countBits, digitOf, isSingle } from './board.ts';

/** What a person sees in a grid, from the easiest on. */
export const TECHNIQUES = {
  'cage-sum': 'Sum of a cage',
  'naked-single': 'Naked single',
  'hidden-single': 'Hidden single',
  'unit-sum': 'Sum of a row, column or box',
  'unit-sums': 'Sums of several rows, columns or boxes',
  'locked-candidates': 'Locked candidates',
  'naked-pair': 'Naked pair',
  'hidden-pair': 'Hidden pair',
  'naked-triple': 'Naked triple',
  'hidden-triple': 'Hidden triple',
  'x-wing': 'X-wing',
  swordfish: 'Swordfish',
  'xy-wing': 'XY-wing',
  'xyz-wing': 'XYZ-wing',
  coloring: 'Coloring',
  chain: 'Chain',
} as const;
export type Technique = keyof typeof TECHNIQUES;

/** One thing that follows: what was seen, and the candidates that it rules out. */
export interface Step {
  technique: Technique;
  /** Cells that it is seen in. */
  cells: readonly number[];
  /** Digits that it is about, from 0. */
  digits: readonly number[];
  /** The unit that it is seen in, by its number in the shape. */
  unit?: number;
  /** The digit that it puts into a cell, in place of ruling others out. */
  put?: readonly [cell: number, digit: number];
  removes: readonly (readonly [cell: number, digit: number])[];
}

/** Looks for one step on a board, and changes nothing. */
export type Look = (board: Board) => Step | null;

const bitsOf = (mask: number): number[] => {
  const bits: number[] = [];
  for (let rest = mask; rest; rest &= rest - 1) bits.push(digitOf(rest & -rest));
  return bits;
};

const step = (
  technique: Technique,
  cells: readonly number[],
  digits: readonly number[],
  removes: Step['removes'],
  unit?: number,
): Step => ({ technique, cells, digits, removes, ...(unit === undefined ? {} : { unit }) });

export const nakedSingle: Look = ({ candidates, values, shape }) => {
  for (let cell = 0; cell < shape.cells; cell++)
    if (!values[cell] && isSingle(candidates[cell]!)) {
      const digit = digitOf(candidates[cell]!);
      return { ...step('naked-single', [cell], [digit], []), put: [cell, digit] };
    }
  return null;
};

export const hiddenSingle: Look = ({ places, values, shape: { size, units } }) => {
  // Boxes first, as the eye goes.
  for (let i = 0; i < units.length; i++) {
    const unit = (i + 2 * size) % units.length;
    for (let digit = 0; digit < size; digit++) {
      const mask = places[unit * size + digit]!;
      if (!isSingle(mask)) continue;
      const cell = units[unit]![digitOf(mask)]!;
      if (!values[cell]) return { ...step('hidden-single', [cell], [digit], [], unit), put: [cell, digit] };
    }
  }
  return null;
};

export const lockedCandidates: Look = ({ places, shape: { size, units, crossings } }) => {
  for (const { one, inOne, other, inOther } of crossings)
    for (let digit = 0; digit < size; digit++) {
      const here = places[one * size + digit]!;
      // A digit that is placed has one place, and none is left beyond it.
      if (here & ~inOne) continue;
      const beyond = places[other * size + digit]! & ~inOther;
      if (beyond)
        return step(
          'locked-candidates',
          bitsOf(here).map((i) => units[one]![i]!),
          [digit],
          bitsOf(beyond).map((i) => [units[other]![i]!, digit] as const),
          one,
        );
    }
  return null;
};

/** The most cells of a grid. */
const MOST_CELLS = 256;

/** Rows of a table of bits, with what each stands for; reused, as no two looks run at once. */
const rows = new Uint16Array(16);
const stands = new Int16Array(16);

/**
 * Finds so many rows that together have bits in as many columns: those columns are theirs alone.
 * @param count rows in the table
 * @param takes called with the columns and the chosen rows, as bits of their place in the table; true ends the search
 */
function subsets(count: number, most: number, takes: (columns: number, chosen: number) => boolean): boolean {
  const go = (from: number, left: number, columns: number, chosen: number): boolean => {
    for (let i = from; i <= count - left; i++) {
      const all = columns | rows[i]!;
      if (countBits(all) > most) continue;
      const now = chosen | (1 << i);
      if (left === 1 ? takes(all, now) : go(i + 1, left - 1, all, now)) return true;
    }
    return false;
  };
  return count > most && go(0, most, 0, 0);
}

const nakedSubset =
  (most: number, technique: Technique): Look =>
  ({ candidates, values, shape: { units } }) => {
    for (let u = 0; u < units.length; u++) {
      const unit = units[u]!;
      let count = 0;
      for (let i = 0; i < unit.length; i++)
        if (!values[unit[i]!]) {
          rows[count] = candidates[unit[i]!]!;
          stands[count++] = unit[i]!;
        }
      let found: Step | null = null;
      subsets(count, most, (digits, chosen) => {
        const removes: [number, number][] = [];
        for (let i = 0; i < count; i++)
          if (!(chosen & (1 << i)))
            for (const digit of bitsOf(rows[i]! & digits)) removes.push([stands[i]!, digit]);
        if (!removes.length) return false;
        found = step(
          technique,
          bitsOf(chosen).map((i) => stands[i]!),
          bitsOf(digits),
          removes,
          u,
        );
        return true;
      });
      if (found) return found;
    }
    return null;
  };

const hiddenSubset =
  (most: number, technique: Technique): Look =>
  ({ candidates, places, values, shape: { size, units } }) => {
    for (let u = 0; u < units.length; u++) {
      const unit = units[u]!;
      let count = 0;
      for (let digit = 0; digit < size; digit++) {
        const mask = places[u * size + digit]!;
        if (isSingle(mask) && values[unit[digitOf(mask)]!]) continue;
        rows[count] = mask;
        stands[count++] = digit;
      }
      let found: Step | null = null;
      subsets(count, most, (columns, chosen) => {
        const digits = bitsOf(chosen).reduce((mask, i) => mask | (1 << stands[i]!), 0);
        const cells = bitsOf(columns).map((i) => unit[i]!);
        const removes = cells.flatMap((cell) =>
          bitsOf(candidates[cell]! & ~digits).map((digit) => [cell, digit] as const),
        );
        if (!removes.length) return false;
        found = step(technique, cells, bitsOf(digits), removes, u);
        return true;
      });
      if (found) return found;
    }
    return null;
  };

/** A digit that has its places in some rows in as many columns, or the other way round. */
const fish =
  (most: number, technique: Technique): Look =>
  ({ places, shape: { size, units } }) => {
    for (let digit = 0; digit < size; digit++)
      for (const [from, across] of [
        [0, size],
        [size, 0],
      ] as const) {
        let count = 0;
        for (let i = 0; i < size; i++) {
          const mask = places[(from + i) * size + digit]!;
          if (isSingle(mask)) continue;
          rows[count] = mask;
          stands[count++] = i;
        }
        let found: Step | null = null;
        subsets(count, most, (columns, chosen) => {
          const lines = bitsOf(chosen).reduce((mask, i) => mask | (1 << stands[i]!), 0);
          const removes = bitsOf(columns).flatMap((column) =>
            bitsOf(places[(across + column) * size + digit]! & ~lines).map(
              (i) => [units[across + column]![i]!, digit] as const,
            ),
          );
          if (!removes.length) return false;
          const cells = bitsOf(chosen).flatMap((i) =>
            bitsOf(rows[i]!).map((place) => units[from + stands[i]!]![place]!),
          );
          found = step(technique, cells, [digit], removes);
          return true;
        });
        if (found) return found;
      }
    return null;
  };

/** Cells that see all of some others and have a digit. */
function seenByAll(
  { candidates, values, shape: { cells, peers, sees } }: Board,
  of: readonly number[],
  digit: number,
) {
  const [first, ...rest] = of;
  const found: (readonly [number, number])[] = [];
  for (const cell of peers[first!]!)
    if (
      !values[cell] &&
      candidates[cell]! & (1 << digit) &&
      rest.every((other) => other !== cell && sees[other * cells + cell])
    )
      found.push([cell, digit]);
  return found;
}

/** Cells of two digits around a cell; reused, as no two looks run at once. */
const near = new Int16Array(MOST_CELLS);

/** Fills `near` with the cells of two digits that a cell sees and whose digits are as wanted. @returns how many */
function cellsNear(
  { candidates, values, shape }: Board,
  pivot: number,
  wanted: (pair: number) => boolean,
): number {
  let count = 0;
  for (const cell of shape.peers[pivot]!)
    if (!values[cell] && countBits(candidates[cell]!) === 2 && wanted(candidates[cell]!))
      near[count++] = cell;
  return count;
}

/** A cell of two digits and two others that each share one of them: one of the two has the third digit. */
export const xyWing: Look = (board) => {
  const { candidates, values, shape } = board;
  for (let pivot = 0; pivot < shape.cells; pivot++) {
    if (values[pivot] || countBits(candidates[pivot]!) !== 2) continue;
    const own = candidates[pivot]!;
    const count = cellsNear(board, pivot, (pair) => countBits(pair & own) === 1);
    for (let i = 0; i < count; i++)
      for (let j = i + 1; j < count; j++) {
        const [a, b] = [candidates[near[i]!]!, candidates[near[j]!]!];
        const shared = a & b & ~own;
        if (!shared || (a & own) === (b & own)) continue;
        const digit = digitOf(shared);
        const removes = seenByAll(board, [near[i]!, near[j]!], digit);
        if (removes.length)
          return step('xy-wing', [pivot, near[i]!, near[j]!], bitsOf(own | shared), removes);
      }
  }
  return null;
};

/** A cell of three digits and two of two among them: one of the three has the digit that all share. */
export const xyzWing: Look = (board) => {
  const { candidates, values, shape } = board;
  for (let pivot = 0; pivot < shape.cells; pivot++) {
    const own = candidates[pivot]!;
    if (values[pivot] || countBits(own) !== 3) continue;
    const count = cellsNear(board, pivot, (pair) => (pair & ~own) === 0);
    for (let i = 0; i < count; i++)
      for (let j = i + 1; j < count; j++) {
        const [a, b] = [candidates[near[i]!]!, candidates[near[j]!]!];
        if (a === b) continue;
        const removes = seenByAll(board, [pivot, near[i]!, near[j]!], digitOf(a & b));
        if (removes.length) return step('xyz-wing', [pivot, near[i]!, near[j]!], bitsOf(own), removes);
      }
  }
  return null;
};

/** The most units of a cell. */
const MOST_UNITS = 5;
/** Of each cell those that it is linked to, and how many they are; reused, as no two looks run at once. */
const linkedTo = new Int16Array(MOST_CELLS * MOST_UNITS);
const links = new Uint8Array(MOST_CELLS);
const color = new Int8Array(MOST_CELLS);
const chained = new Int16Array(MOST_CELLS);

/** Whether a cell sees one of the cells of a chain that have a color. */
function seesColor(sees: Uint8Array, first: number, count: number, one: number): boolean {
  for (let i = 0; i < count; i++) if (color[chained[i]!] === one && sees[first + chained[i]!]) return true;
  return false;
}

/** Pairs of places of a digit, linked into chains, colored in turn: one of the two colors is true. */
export const coloring: Look = ({ candidates, places, values, shape }) => {
  const { size, units, cells, sees } = shape;
  for (let digit = 0; digit < size; digit++) {
    links.fill(0, 0, cells);
    color.fill(0, 0, cells);
    for (let u = 0; u < units.length; u++) {
      const mask = places[u * size + digit]!;
      const one = mask & -mask;
      const other = mask ^ one;
      if (!other || !isSingle(other)) continue;
      const a = units[u]![digitOf(one)]!;
      const b = units[u]![digitOf(other)]!;
      linkedTo[a * MOST_UNITS + links[a]!++] = b;
      linkedTo[b * MOST_UNITS + links[b]!++] = a;
    }
    for (let start = 0; start < cells; start++) {
      if (color[start] || !links[start]) continue;
      color[start] = 1;
      chained[0] = start;
      let count = 1;
      for (let at = 0; at < count; at++) {
        const cell = chained[at]!;
        for (let i = 0; i < links[cell]!; i++) {
          const next = linkedTo[cell * MOST_UNITS + i]!;
          if (color[next]) continue;
          color[next] = -color[cell]!;
          chained[count++] = next;
        }
      }
      if (count < 4) continue;
      const chain = chained.subarray(0, count);
      /** A color two cells of which see each other is the false one. */
      const clash = [1, -1].find((one) =>
        chain.some((cell) => color[cell] === one && seesColor(sees, cell * cells, count, one)),
      );
      const removes: (readonly [number, number])[] = [];
      if (clash)
        for (const cell of chain) {
          if (color[cell] === clash) removes.push([cell, digit]);
        }
      else
        for (let cell = 0; cell < cells; cell++)
          if (
            !values[cell] &&
            candidates[cell]! & (1 << digit) &&
            seesColor(sees, cell * cells, count, 1) &&
            seesColor(sees, cell * cells, count, -1) &&
            !chain.includes(cell)
          )
            removes.push([cell, digit]);
      if (removes.length) return step('coloring', [...chain], [digit], removes);
    }
  }
  return null;
};

export const nakedPair = nakedSubset(2, 'naked-pair');
export const hiddenPair = hiddenSubset(2, 'hidden-pair');
export const nakedTriple = nakedSubset(3, 'naked-triple');
export const hiddenTriple = hiddenSubset(3, 'hidden-triple');
export const xWing = fish(2, 'x-wing');
export const swordfish = fish(3, 'swordfish');
