import type { RandomStream } from '../../random.ts';

/** A square of numbers, each once in every row and column, filled cell by cell at random. */
export function latinSquare(size: number, random: RandomStream): Uint8Array {
  const cells = new Uint8Array(size * size);
  const rows = new Uint16Array(size);
  const columns = new Uint16Array(size);
  const numbers = Array.from({ length: size }, (_, i) => i);
  const fill = (at: number): boolean => {
    if (at === cells.length) return true;
    const [row, column] = [Math.floor(at / size), at % size];
    for (const number of random.shuffled(numbers)) {
      const bit = 1 << number;
      if ((rows[row]! | columns[column]!) & bit) continue;
      rows[row]! |= bit;
      columns[column]! |= bit;
      cells[at] = number + 1;
      if (fill(at + 1)) return true;
      rows[row]! &= ~bit;
      columns[column]! &= ~bit;
    }
    return false;
  };
  fill(0);
  return cells;
}
