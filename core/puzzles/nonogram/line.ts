/** What is known of a cell. */
export const UNKNOWN = 0;
export const FILLED = 1;
export const EMPTY = 2;

/** Lengths of the runs of filled cells, in order; none where no cell is filled. */
export function runsOf(cells: ArrayLike<number>, first: number, step: number, length: number): number[] {
  const runs: number[] = [];
  let run = 0;
  for (let i = 0; i <= length; i++) {
    const filled = i < length && cells[first + i * step] === FILLED;
    if (filled) run++;
    else if (run) {
      runs.push(run);
      run = 0;
    }
  }
  return runs;
}

/** Longest line that is solved. */
export const LONGEST_LINE = 30;
const WIDTH = LONGEST_LINE + 2;

/** Whether the first cells can hold the first runs, and the last cells the last ones; one pair of tables serves all lines. */
const before = new Uint8Array(WIDTH * WIDTH);
const after = new Uint8Array(WIDTH * WIDTH);
const line = new Uint8Array(WIDTH);
/** By length of the part: how many cells at its end, or its beginning, are not known to be empty or filled. */
const noEmpty = new Uint8Array(WIDTH + 1);

/**
 * Finds all that follows for one line from its runs and from what is known of its cells, and writes it down (dynamic programming
 * over prefixes and suffixes, after Batenburg and Kosters 2009, Solving Nonograms by combining relaxations).
 * @param cells `UNKNOWN`, `FILLED` or `EMPTY`, changed where something follows
 * @returns the cells that became known, as bits, the first lowest; −1 where nothing fits
 */
export function solveLine(
  cells: Uint8Array,
  first: number,
  step: number,
  length: number,
  runs: readonly number[],
): number {
  const k = runs.length;
  for (let i = 0; i < length; i++) line[i] = cells[first + i * step]!;
  // Cells up to i without one that is empty.
  noEmpty[0] = 0;
  for (let i = 0; i < length; i++) noEmpty[i + 1] = line[i] === EMPTY ? 0 : noEmpty[i]! + 1;
  // before[j, i]: the first i cells hold the first j runs, and no other filled cell.
  for (let j = 0; j <= k; j++) {
    const run = j ? runs[j - 1]! : 0;
    for (let i = 0; i <= length; i++) {
      let fits = 0;
      if (i === 0) fits = j === 0 ? 1 : 0;
      else if (line[i - 1] !== FILLED && before[j * WIDTH + i - 1]) fits = 1;
      else if (j && run <= i && noEmpty[i]! >= run) {
        if (i === run) fits = j === 1 ? 1 : 0;
        else if (line[i - run - 1] !== FILLED) fits = before[(j - 1) * WIDTH + i - run - 1]!;
      }
      before[j * WIDTH + i] = fits;
    }
  }
  if (!before[k * WIDTH + length]) return -1;
  // after[j, i]: cells from i on hold the runs from j on.
  for (let j = k; j >= 0; j--) {
    const run = j < k ? runs[j]! : 0;
    for (let i = length; i >= 0; i--) {
      let fits = 0;
      if (i === length) fits = j === k ? 1 : 0;
      else if (line[i] !== FILLED && after[j * WIDTH + i + 1]) fits = 1;
      else if (j < k && i + run <= length && noEmpty[i + run]! >= run) {
        if (i + run === length) fits = j === k - 1 ? 1 : 0;
        else if (line[i + run] !== FILLED) fits = after[(j + 1) * WIDTH + i + run + 1]!;
      }
      after[j * WIDTH + i] = fits;
    }
  }
  let found = 0;
  let filledTo = 0;
  // Where a run can begin, so that its cells can be filled: `filledTo` is the farthest such reach over the cell at hand.
  for (let i = 0; i < length; i++) {
    for (let j = 0; j < k; j++) {
      const run = runs[j]!;
      const end = i + run;
      if (end > length || noEmpty[end]! < run) continue;
      const left = i === 0 ? j === 0 : line[i - 1] !== FILLED && before[j * WIDTH + i - 1];
      const right = end === length ? j === k - 1 : line[end] !== FILLED && after[(j + 1) * WIDTH + end + 1];
      if (left && right && end > filledTo) filledTo = end;
    }
    if (line[i] !== UNKNOWN) continue;
    const canBeFilled = filledTo > i;
    let canBeEmpty = false;
    for (let j = 0; j <= k && !canBeEmpty; j++)
      canBeEmpty = Boolean(before[j * WIDTH + i] && after[j * WIDTH + i + 1]);
    if (canBeFilled === canBeEmpty) continue;
    cells[first + i * step] = canBeFilled ? FILLED : EMPTY;
    found |= 1 << i;
  }
  return found;
}
