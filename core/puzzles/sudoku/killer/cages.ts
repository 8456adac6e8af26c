/** Cells that hang together, whose digits differ and add up to a sum. */
export interface Cage {
  /** In rising order. */
  cells: readonly number[];
  sum: number;
}
