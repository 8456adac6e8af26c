/** Orders of three. */
const ORDERS = [
  [0, 1, 2],
  [0, 2, 1],
  [1, 0, 2],
  [1, 2, 0],
  [2, 0, 1],
  [2, 1, 0],
] as const;

const SIDE = 9;

/** A grid, or its mirror image on the long diagonal. */
const transposed = (cells: ArrayLike<number>): Uint8Array =>
  Uint8Array.from({ length: SIDE * SIDE }, (_, at) => cells[(at % SIDE) * SIDE + Math.floor(at / SIDE)]!);

/** A way to look at a grid: its rows and columns in another order, its digits renamed. */
interface View {
  cells: Uint8Array;
  given: Uint8Array;
  rows: number[];
  columns: number[];
  /** The new name of each digit. */
  name: Uint8Array;
}

/** The second row, as far as it is needed: the names of its digits where those of the first row are 1 to 9. */
function secondRow(
  cells: Uint8Array,
  first: number,
  second: number,
  columns: readonly number[],
  into: Uint8Array,
): void {
  const name = new Uint8Array(SIDE + 1);
  columns.forEach((column, i) => {
    name[cells[first * SIDE + column]!] = i + 1;
  });
  columns.forEach((column, i) => {
    into[i] = name[cells[second * SIDE + column]!]!;
  });
}

const compared = (one: ArrayLike<number>, other: ArrayLike<number>): number => {
  for (let i = 0; i < one.length; i++) if (one[i] !== other[i]) return one[i]! - other[i]!;
  return 0;
};

/** Column orders after the first three columns: the fourth has the digit of the first in the other row, so that a 4 begins it. */
function* columnOrders(cells: Uint8Array, first: number, second: number): Generator<number[]> {
  const columnOf = new Uint8Array(SIDE + 1);
  for (let column = 0; column < SIDE; column++) columnOf[cells[first * SIDE + column]!] = column;
  for (let stack = 0; stack < 3; stack++)
    for (const order of ORDERS) {
      const begin = order.map((i) => 3 * stack + i);
      const fourth = columnOf[cells[second * SIDE + begin[0]!]!]!;
      const next = Math.floor(fourth / 3);
      const last = 3 - stack - next;
      const [u, v] = [0, 1, 2].map((i) => 3 * next + i).filter((column) => column !== fourth) as [
        number,
        number,
      ];
      for (const middle of [
        [fourth, u, v],
        [fourth, v, u],
      ])
        for (const end of ORDERS) yield [...begin, ...middle, ...end.map((i) => 3 * last + i)];
    }
}

/** The rows below the first two, in the order that makes the grid least. */
function restOfRows({ cells, rows, columns, name }: View): number[] {
  const [first, second] = rows as [number, number];
  const band = Math.floor(first / 3);
  const third = [0, 1, 2].map((i) => 3 * band + i).find((row) => row !== first && row !== second)!;
  const begins = (row: number) => name[cells[row * SIDE + columns[0]!]!]!;
  const bands = [0, 1, 2]
    .filter((one) => one !== band)
    .map((one) => [0, 1, 2].map((i) => 3 * one + i).sort((a, b) => begins(a) - begins(b)))
    .sort((a, b) => begins(a[0]!) - begins(b[0]!));
  return [third, ...bands.flat()];
}

const inView = ({ cells, rows, columns, name }: View): Uint8Array =>
  Uint8Array.from(rows.flatMap((row) => columns.map((column) => name[cells[row * SIDE + column]!]!)));

const givenIn = ({ given, rows, columns }: View): string =>
  rows.map((row) => columns.map((column) => (given[row * SIDE + column] ? '1' : '0')).join('')).join('');

/**
 * The form that a classic sudoku of 9 × 9 shares with all that are no more than it turned, mirrored, with bands, rows, stacks or
 * columns exchanged or digits renamed: the least grid, row by row, that any of these gives its answer, and with it the least pattern of
 * givens. The least grid begins with 123456789, and its second row with 4.
 * @param givens and @param solution digits row by row, 0 for none
 * @returns 81 digits of the answer, then 1 for each given and 0 for none
 */
export function canonicalForm(givens: ArrayLike<number>, solution: ArrayLike<number>): string {
  const plain = Uint8Array.from({ length: SIDE * SIDE }, (_, at) => solution[at]!);
  const shown = Uint8Array.from({ length: SIDE * SIDE }, (_, at) => (givens[at] ? 1 : 0));
  const least = new Uint8Array(SIDE).fill(SIDE + 1);
  const row = new Uint8Array(SIDE);
  let views: Omit<View, 'name'>[] = [];
  for (const [cells, given] of [
    [plain, shown],
    [transposed(plain), transposed(shown)],
  ] as const)
    for (let first = 0; first < SIDE; first++)
      for (let second = first - (first % 3); second < first - (first % 3) + 3; second++) {
        if (second === first) continue;
        for (const columns of columnOrders(cells, first, second)) {
          secondRow(cells, first, second, columns, row);
          const difference = compared(row, least);
          if (difference > 0) continue;
          if (difference < 0) {
            least.set(row);
            views = [];
          }
          views.push({ cells, given, rows: [first, second], columns });
        }
      }
  let best: Uint8Array | null = null;
  let pattern = '';
  for (const { cells, given, rows, columns } of views) {
    const name = new Uint8Array(SIDE + 1);
    columns.forEach((column, i) => {
      name[cells[rows[0]! * SIDE + column]!] = i + 1;
    });
    const view: View = { cells, given, rows, columns, name };
    view.rows = [...rows, ...restOfRows(view)];
    const grid = inView(view);
    const difference = best ? compared(grid, best) : -1;
    if (difference > 0) continue;
    const mask = givenIn(view);
    if (difference < 0 || mask < pattern) {
      best = grid;
      pattern = mask;
    }
  }
  return `${best!.join('')}${pattern}`;
}
