/** How hard a puzzle is, from 1, very easy, to 5; measured, whatever the puzzle. */
export const LEVELS = [1, 2, 3, 4, 5] as const;
export type Level = (typeof LEVELS)[number];
