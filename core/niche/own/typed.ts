import type { Writing } from './cells.ts';
import { type OwnTable, type RowProblem, USUAL_RATES } from './tables.ts';

/** How a row is written that is typed in a form; units and signs may be written along. */
const TYPED = { decimal: '.', unit: 'in', days: 'year first' } as const;

/**
 * Reads a row that was typed, by the rules of a table of such rows. Fields left empty are left out.
 * @param currency of prices that carry no sign, and the one they are turned into
 */
export function readTyped<Row>(
  table: OwnTable<Row>,
  fields: Readonly<Record<string, string | undefined>>,
  currency: Writing['currency'] = 'USD',
): { value: Row } | { problems: RowProblem[] } {
  const cells: Record<string, string> = {};
  for (const [key, cell] of Object.entries(fields)) if (cell?.trim()) cells[key] = cell;
  const read = table.read(cells, {
    writing: { ...TYPED, currency },
    rates: USUAL_RATES,
    into: currency,
  });
  return 'problems' in read ? { problems: read.problems } : { value: read.row };
}
