/** The six orders of three, one behind the other. */
const ORDERS = Uint8Array.of(0, 1, 2, 0, 2, 1, 1, 0, 2, 1, 2, 0, 2, 0, 1, 2, 1, 0);

const SIDE = 9;
/** Three columns each. */
const STACK = Uint8Array.of(0, 0, 0, 1, 1, 1, 2, 2, 2);

/** A grid, or its mirror image on the long diagonal. */
const transposed = (cells: Uint8Array): Uint8Array =>
  cells.map((_, at) => cells[(at % SIDE) * SIDE + Math.floor(at / SIDE)]!);

/** A way to look at a grid: rows and columns in another order; its digits are renamed so that the first row is 1 to 9. */
interface View {
  cells: Uint8Array;
  given: Uint8Array;
  /** The first two: the order of the others follows from them. */
  first: number;
  second: number;
  columns: number[];
}

/** Scratch of `look`, which is called a thousand times for a book: the columns in their order, and the place of each. */
const columns = new Uint8Array(SIDE);
const place = new Uint8Array(SIDE);
/** Of each column, the one whose digit in the first row it has in the second. */
const leadsTo = new Uint8Array(SIDE);
const columnOf = new Uint8Array(SIDE + 1);

function put(at: number, a: number, b: number, c: number): void {
  columns[at] = a;
  columns[at + 1] = b;
  columns[at + 2] = c;
  place[a] = at;
  place[b] = at + 1;
  place[c] = at + 2;
}
/** The digit of the second row at a place. */
const digit = (at: number): number => place[leadsTo[columns[at]!]!]! + 1;

/** The views whose second row is the least so far. */
interface Least {
  second: Uint8Array;
  views: View[];
}

function readPair(cells: Uint8Array, first: number, second: number): void {
  for (let column = 0; column < SIDE; column++) columnOf[cells[first * SIDE + column]!] = column;
  for (let column = 0; column < SIDE; column++) leadsTo[column] = columnOf[cells[second * SIDE + column]!]!;
}

/**
 * Looks at all orders of columns under which the second row begins with 456789, of rows that keep the digits of a stack
 * together: the order of one stack decides those of the others, and only the last three digits are left to compare.
 */
function lookAtKept(least: Least, cells: Uint8Array, given: Uint8Array, first: number, second: number): void {
  readPair(cells, first, second);
  for (let stack = 0; stack < SIDE; stack += 3)
    for (let order = 0; order < ORDERS.length; order += 3) {
      put(0, stack + ORDERS[order]!, stack + ORDERS[order + 1]!, stack + ORDERS[order + 2]!);
      for (let at = 3; at < SIDE; at++) {
        columns[at] = leadsTo[columns[at - 3]!]!;
        place[columns[at]!] = at;
      }
      let at = 6;
      if (least.views.length) {
        while (at < SIDE && digit(at) === least.second[at]) at++;
        if (at < SIDE && digit(at) > least.second[at]!) continue;
      }
      if (at < SIDE) {
        for (let i = 0; i < SIDE; i++) least.second[i] = digit(i);
        least.views = [];
      }
      least.views.push({ cells, given, first, second, columns: Array.from(columns) });
    }
}

/** Looks at all orders of columns under which the second row begins with 4, of rows that keep no stack together. */
function look(least: Least, cells: Uint8Array, given: Uint8Array, first: number, second: number): void {
  readPair(cells, first, second);
  for (let stack = 0; stack < 3; stack++)
    for (let order = 0; order < ORDERS.length; order += 3) {
      const a = 3 * stack + ORDERS[order]!;
      const b = 3 * stack + ORDERS[order + 1]!;
      const c = 3 * stack + ORDERS[order + 2]!;
      const fourth = leadsTo[a]!;
      const next = STACK[fourth]!;
      // What the next two digits are at least: 5 for the one that comes from the same stack as the 4.
      const near = STACK[leadsTo[b]!] === next;
      const also = STACK[leadsTo[c]!] === next;
      const fifth = near ? 5 : 7;
      const sixth = near ? 7 : also ? 5 : 8;
      const known = least.second[1]!;
      if (fifth > known || (fifth === known && sixth > least.second[2]!)) continue;
      const u = 3 * next + (fourth === 3 * next ? 1 : 0);
      const v = 9 * next + 3 - fourth - u;
      const last = 3 * (3 - stack - next);
      // The first digit that comes from there is a 7.
      const seven = leadsTo[near ? c : b]!;
      put(0, a, b, c);
      for (let middle = 0; middle < 2; middle++) {
        put(3, fourth, middle ? v : u, middle ? u : v);
        if ((near && digit(1) !== fifth) || (also && digit(2) !== sixth)) continue;
        for (let end = 0; end < ORDERS.length; end += 3) {
          if (last + ORDERS[end]! !== seven) continue;
          put(6, last + ORDERS[end]!, last + ORDERS[end + 1]!, last + ORDERS[end + 2]!);
          if (digit(1) !== fifth || digit(2) !== sixth) continue;
          let at = 3;
          if (fifth === least.second[1] && sixth === least.second[2])
            while (at < SIDE && digit(at) === least.second[at]) at++;
          else at = 0;
          if (at < SIDE) {
            if (at > 0 && digit(at) > least.second[at]!) continue;
            for (; at < SIDE; at++) least.second[at] = digit(at);
            least.views = [];
          }
          least.views.push({ cells, given, first, second, columns: Array.from(columns) });
        }
      }
    }
}

/** Two rows of a band, in either order. */
const PAIRS = Array.from({ length: SIDE }, (_, first) =>
  [0, 1, 2].map((i) => [first, first - (first % 3) + i] as const).filter(([, second]) => second !== first),
).flat();

/** The digits of each row in each stack, as bits. */
function digitsOfStacks(cells: Uint8Array): Uint16Array {
  const digits = new Uint16Array(SIDE * 3);
  for (let at = 0; at < cells.length; at++) digits[Math.floor(at / 3)]! |= 1 << cells[at]!;
  return digits;
}

/** Whether the digits of a stack of one row are together in a stack of another: then those of all stacks are. */
const keeps = (digits: Uint16Array, first: number, second: number): boolean =>
  digits[3 * second] === digits[3 * first + 1] || digits[3 * second] === digits[3 * first + 2];

/** The rows below the first three, in the order that makes the grid least. @param name the new name of each digit */
function lastRows({ cells, first, columns }: View, name: Uint8Array): number[] {
  const begins = (row: number) => name[cells[row * SIDE + columns[0]!]!]!;
  return [0, 1, 2]
    .filter((band) => band !== STACK[first])
    .map((band) => [3 * band, 3 * band + 1, 3 * band + 2].sort((a, b) => begins(a) - begins(b)))
    .sort((a, b) => begins(a[0]!) - begins(b[0]!))
    .flat();
}

/** How rows of a view compare with those of a grid from a row on: below 0 where they are less, 0 where they are the same. */
function compared(
  best: Uint8Array,
  { cells, columns }: View,
  rows: number[],
  from: number,
  name: Uint8Array,
): number {
  for (let i = 0; i < rows.length; i++)
    for (let j = 0; j < SIDE; j++) {
      const difference = name[cells[rows[i]! * SIDE + columns[j]!]!]! - best[(from + i) * SIDE + j]!;
      if (difference !== 0) return difference;
    }
  return 0;
}

const givenIn = ({ given, columns }: View, rows: readonly number[]): string =>
  rows.map((row) => columns.map((column) => (given[row * SIDE + column] ? '1' : '0')).join('')).join('');

/**
 * The form that a classic sudoku of 9 × 9 shares with all that are no more than it turned, mirrored, with bands, rows, stacks or
 * columns exchanged or digits renamed: the least grid, row by row, that any of these gives its answer, and with it the least pattern of
 * givens. The least grid begins with 123456789, and its second row with 4.
 * @param givens and @param solution digits row by row, 0 for none
 * @returns 81 digits of the answer, then 1 for each given and 0 for none
 */
export function canonicalForm(givens: ArrayLike<number>, solution: ArrayLike<number>): string {
  const plain = Uint8Array.from(solution);
  const shown = Uint8Array.from(givens, (digit) => (digit ? 1 : 0));
  const least: Least = { second: new Uint8Array(SIDE).fill(SIDE + 1), views: [] };
  const sides = [
    [plain, shown],
    [transposed(plain), transposed(shown)],
  ] as const;
  for (const [cells, given] of sides) {
    const digits = digitsOfStacks(cells);
    for (const [first, second] of PAIRS)
      if (keeps(digits, first, second)) lookAtKept(least, cells, given, first, second);
  }
  // Where two rows keep a stack together, the second begins with 456789, and no others have as little.
  if (!least.views.length)
    for (const [cells, given] of sides)
      for (const [first, second] of PAIRS) look(least, cells, given, first, second);
  const best = new Uint8Array(SIDE * SIDE);
  const name = new Uint8Array(SIDE + 1);
  let pattern = '';
  for (const view of least.views) {
    const { first, second, columns } = view;
    for (let i = 0; i < SIDE; i++) name[view.cells[first * SIDE + columns[i]!]!] = i + 1;
    // The first two rows are those of all views, and the third is what is left of their band.
    const head = [first, second, 9 * STACK[first]! + 3 - first - second];
    let difference = pattern ? compared(best, view, head, 0, name) : -1;
    if (difference > 0) continue;
    const rest = lastRows(view, name);
    if (difference === 0) difference = compared(best, view, rest, 3, name);
    if (difference > 0) continue;
    const rows = [...head, ...rest];
    const mask = givenIn(view, rows);
    if (difference === 0 && mask >= pattern) continue;
    pattern = mask;
    rows.forEach((row, i) => {
      columns.forEach((column, j) => {
        best[i * SIDE + j] = name[view.cells[row * SIDE + column]!]!;
      });
    });
  }
  return `${best.join('')}${pattern}`;
}
