import { buildPath, type Path } from '../../scene/index.ts';

/** Where the cells of a grid are on the sheet. */
export interface CellGrid {
  columns: number;
  rows: number;
  /** Of the upper left corner. */
  x: number;
  y: number;
  /** Side of a cell, in points. */
  cell: number;
}

/**
 * The lines of a grid, each once and as long as it runs on.
 * @param weight of the line between two cells of the grid, or between one and what is outside, which is −1; 0 for no line
 * @returns a path for each weight that was told
 */
export function gridLines<Weight extends number>(
  { columns, rows, x, y, cell }: CellGrid,
  weight: (one: number, other: number) => Weight | 0,
): Map<Weight, Path> {
  const paths = new Map<Weight, ReturnType<typeof buildPath>>();
  for (const upright of [true, false]) {
    const [lines, along] = upright ? [columns, rows] : [rows, columns];
    const at = (line: number, i: number): number => {
      if (line < 0 || line >= lines) return -1;
      return upright ? i * columns + line : line * columns + i;
    };
    for (let line = 0; line <= lines; line++)
      for (let from = 0; from < along; ) {
        const here = weight(at(line - 1, from), at(line, from));
        let to = from + 1;
        while (to < along && weight(at(line - 1, to), at(line, to)) === here) to++;
        if (here !== 0) {
          const path = paths.get(here) ?? buildPath();
          paths.set(here, path);
          const [across, start, end] = [line * cell, from * cell, to * cell];
          if (upright) path.move(x + across, y + start).line(x + across, y + end);
          else path.move(x + start, y + across).line(x + end, y + across);
        }
        from = to;
      }
  }
  return new Map([...paths].map(([width, path]) => [width, path.done()]));
}
