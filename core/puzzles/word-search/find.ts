import { type Direction, STEPS } from './grid.ts';

/**
 * Every place where a word can be read in the grid, in all eight directions, by trying every cell: shares nothing
 * with the maker, so it can judge it. A word that reads the same both ways is counted once for each set of cells.
 */
export function findWord(
  grid: { columns: number; rows: number; letters: readonly (string | null)[] },
  word: readonly string[],
): { column: number; row: number; direction: Direction }[] {
  const { columns, rows, letters } = grid;
  const palindrome = word.every((letter, i) => letter === word[word.length - 1 - i]);
  const found: { column: number; row: number; direction: Direction }[] = [];
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      if (letters[row * columns + column] !== word[0]) continue;
      for (const direction of Object.keys(STEPS) as Direction[]) {
        const [dx, dy] = STEPS[direction];
        if (palindrome && (dx < 0 || (dx === 0 && dy < 0))) continue;
        const lastColumn = column + dx * (word.length - 1);
        const lastRow = row + dy * (word.length - 1);
        if (lastColumn < 0 || lastColumn >= columns || lastRow < 0 || lastRow >= rows) continue;
        let i = 1;
        while (i < word.length && letters[(row + dy * i) * columns + column + dx * i] === word[i]) i++;
        if (i === word.length) found.push({ column, row, direction });
      }
    }
  }
  return found;
}
