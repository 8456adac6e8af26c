import type { Writing } from './cells.ts';
import { type OwnTable, type RowProblem, USUAL_RATES } from './tables.ts';

/** How a row is written that is typed in a form; units and signs may be written along. */
const TYPED: Writing = { decimal: '.', currency: 'USD', unit: 'in', days: 'year first' };

/** Reads a row that was typed, by the rules of a table of such rows. Fields left empty are left out. */
export function readTyped<Row>(
  table: OwnTable<Row>,
  fields: Readonly<Record<string, string | undefined>>,
): { value: Row } | { problems: RowProblem[] } {
  const cells: Record<string, string> = {};
  for (const [key, cell] of Object.entries(fields)) if (cell?.trim()) cells[key] = cell;
  const read = table.read(cells, { writing: TYPED, rates: USUAL_RATES });
  return 'problems' in read ? { problems: read.problems } : { value: read.row };
}
