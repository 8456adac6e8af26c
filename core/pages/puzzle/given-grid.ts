import * as v from 'valibot';
import { integerBetween, text } from '../../schema.ts';
import { MOST_SIDE } from './ipuz.ts';

const side = integerBetween(2, MOST_SIDE);

/** The grid of a puzzle that was brought in: a letter a cell, row by row, null for a cell without one. */
export const givenGrid = {
  columns: side,
  rows: side,
  letters: v.pipe(v.array(v.nullable(text(1, 16))), v.maxLength(MOST_SIDE * MOST_SIDE)),
};

/** Whether a grid has as many letters, or places without one, as cells. */
export const isWhole = ({
  columns,
  rows,
  letters,
}: {
  columns: number;
  rows: number;
  letters: readonly unknown[];
}): boolean => letters.length === columns * rows;
export const NOT_WHOLE = 'has more or fewer letters than cells.';

/** What is said of a grid that is too small to be one. */
export const tooSmall = ({ columns, rows }: { columns: number; rows: number }): string | null =>
  columns < 2 || rows < 2 ? `has ${columns} × ${rows} cells; 2 × 2 are the least.` : null;
