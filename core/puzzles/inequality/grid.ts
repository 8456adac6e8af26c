/** A sign between two cells that touch: the number of one is less than that of the other. */
export interface Sign {
  less: number;
  more: number;
}

/** A square of numbers from 1 to its size, each once in every row and column, of which some are told, and signs between cells. */
export interface InequalityGrid {
  size: number;
  /** Row by row; 0 for a cell that is to be filled. */
  givens: ArrayLike<number>;
  signs: readonly Sign[];
}

/** Sizes that puzzles may have. */
export const INEQUALITY_SIZES = [4, 5, 6, 7] as const;

/** Cells that touch, each pair once. */
export const neighbors = (size: number): [number, number][] =>
  Array.from({ length: size * size }, (_, at): [number, number][] => [
    ...((at + 1) % size ? [[at, at + 1] as [number, number]] : []),
    ...(at + size < size * size ? [[at, at + size] as [number, number]] : []),
  ]).flat();
