import { LONGEST_RUN } from './layout.ts';

/** What keeps digits from being a puzzle, and the cells that it is about. */
export interface KakuroTrouble {
  of: 'none' | 'edge' | 'single' | 'long' | 'twice';
  cells: number[];
}

/** The runs of a grid as they stand, of whatever length. */
function runsIn(solution: string, columns: number, rows: number): number[][] {
  const lines = [
    ...Array.from({ length: rows }, (_, row) => Array.from({ length: columns }, (_, i) => row * columns + i)),
    ...Array.from({ length: columns }, (_, column) =>
      Array.from({ length: rows }, (_, i) => i * columns + column),
    ),
  ];
  return lines.flatMap((line) => {
    const runs: number[][] = [[]];
    for (const cell of line)
      if (solution[cell] === '.') runs.push([]);
      else runs.at(-1)!.push(cell);
    return runs.filter((run) => run.length);
  });
}

/**
 * Why digits are no puzzle: there are none, one stands where sums belong, alone or too long in a row or column, or twice in it.
 * @param solution digits row by row, `.` for a cell that takes none
 */
export function troubleOf({
  columns,
  rows,
  solution,
}: {
  columns: number;
  rows: number;
  solution: string;
}): KakuroTrouble | null {
  const cells = [...solution].flatMap((sign, at) => (sign === '.' ? [] : [at]));
  if (!cells.length) return { of: 'none', cells };
  const atEdge = cells.filter((cell) => cell < columns || cell % columns === 0);
  if (atEdge.length) return { of: 'edge', cells: atEdge };
  const runs = runsIn(solution, columns, rows);
  const single = runs.filter((run) => run.length === 1).flat();
  if (single.length) return { of: 'single', cells: [...new Set(single)] };
  const long = runs.find((run) => run.length > LONGEST_RUN);
  if (long) return { of: 'long', cells: long };
  for (const run of runs) {
    const twice = run.filter((cell) =>
      run.some((other) => other !== cell && solution[other] === solution[cell]),
    );
    if (twice.length) return { of: 'twice', cells: twice };
  }
  return null;
}
