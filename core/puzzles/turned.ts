/** A rectangle of cells, turned or mirrored. */
export interface Turned {
  columns: number;
  /** The cell as it was, for each place in the turned rectangle, row by row. */
  was: number[];
  /** The place in the turned rectangle for each cell as it was. */
  now: number[];
}

/** A rectangle of cells in all eight ways to turn and to mirror it, as it is first. */
export function turnings(columns: number, rows: number): Turned[] {
  const ways: Turned[] = [];
  for (const across of [false, true])
    for (const leftward of [false, true])
      for (const upward of [false, true]) {
        const width = across ? rows : columns;
        const now = Array.from({ length: columns * rows }, (_, cell) => {
          const x = leftward ? columns - 1 - (cell % columns) : cell % columns;
          const row = Math.floor(cell / columns);
          const y = upward ? rows - 1 - row : row;
          return across ? x * width + y : y * width + x;
        });
        const was = new Array<number>(now.length);
        now.forEach((place, cell) => {
          was[place] = cell;
        });
        ways.push({ columns: width, was, now });
      }
  return ways;
}

/** The least of texts, by code unit. */
export const leastText = (texts: readonly string[]): string =>
  texts.reduce((least, text) => (text < least ? text : least));

/** What a rectangle says that is the same however it is turned and mirrored. @param cells a short text each, row by row */
export function leastTurned(columns: number, cells: readonly string[], between = ''): string {
  return leastText(
    turnings(columns, cells.length / columns).map(
      (way) => `${way.columns} ${way.was.map((cell) => cells[cell]).join(between)}`,
    ),
  );
}

/** Signs by the order in which they come first: a, b, c … What is the same but for names becomes the same. Dots stay. */
export function renamed(signs: readonly string[]): string[] {
  const names = new Map([['.', '.']]);
  return signs.map((sign) => {
    const name = names.get(sign) ?? String.fromCharCode(96 + names.size);
    names.set(sign, name);
    return name;
  });
}

/**
 * Groups of cells of a square, each with what it says, however the square is turned and mirrored.
 * @param groups cells of each, and what stands for them
 */
export function leastGroups(
  side: number,
  groups: readonly { cells: readonly number[]; says: string }[],
): string {
  return leastText(
    turnings(side, side).map(({ now }) =>
      groups
        .map(({ cells, says }) => `${cells.map((cell) => now[cell]!).sort((a, b) => a - b)} ${says}`)
        .sort()
        .join('; '),
    ),
  );
}
