/** The group of each cell of a grid, row by row. */
export type Groups = readonly number[];

/** Whether two cells of a grid share a side. */
export const touch = (columns: number, one: number, other: number): boolean =>
  Math.abs(one - other) === columns ||
  (Math.abs(one - other) === 1 && Math.floor(one / columns) === Math.floor(other / columns));

/** Groups as lists of their cells in rising order, by their first cells. What does not hang together is of different groups. */
export function hangingGroups(columns: number, groups: Groups): number[][] {
  const seen = new Set<number>();
  const found: number[][] = [];
  for (const first of groups.keys()) {
    if (seen.has(first)) continue;
    const cells = [first];
    seen.add(first);
    for (const cell of cells)
      for (const next of [cell - columns, cell - 1, cell + 1, cell + columns])
        if (groups[next] === groups[first] && touch(columns, cell, next) && !seen.has(next)) {
          seen.add(next);
          cells.push(next);
        }
    found.push(cells.sort((a, b) => a - b));
  }
  return found;
}

/** The group of each cell, from lists of cells. @returns −1 for a cell of none */
export const groupsOf = (cells: number, lists: readonly (readonly number[])[]): number[] =>
  Array.from({ length: cells }, (_, at) => lists.findIndex((list) => list.includes(at)));

/** Whether lists part a grid: every cell is in one of them, once, and each hangs together. */
export function partsGrid(columns: number, cells: number, lists: readonly (readonly number[])[]): boolean {
  const all = lists.flat().sort((a, b) => a - b);
  return (
    all.length === cells &&
    all.every((cell, at) => cell === at) &&
    hangingGroups(columns, groupsOf(cells, lists)).length === lists.length
  );
}
