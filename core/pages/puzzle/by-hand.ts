/** What a solver says of a puzzle that is being changed by hand. */
export interface Watched {
  /** It can be kept. */
  isSound: boolean;
  says: string;
  /** Cells that this is about. */
  cells: readonly number[];
}
