import Papa from 'papaparse';
import * as v from 'valibot';
import { csvOf } from '../csv.ts';
import { type Day, daySchema } from './days.ts';

/** A date of the publisher's own: of one day, or of every year. */
export interface OwnDate {
  /** `2027-05-31`, or `05-31` for every year. */
  on: string;
  text: string;
}

/** Letters that own dates may take in a recipe, and in the text of one. */
export const MOST_DATES_TEXT = 60_000;
const MOST_TEXT = 80;

/** A leap year, so that the 29th of February is a day. */
const isOn = (on: string): boolean =>
  v.safeParse(daySchema, /^\d\d-\d\d$/.test(on) ? `2028-${on}` : on).success;

/**
 * Reads own dates: a line for each, the day and what is on it, parted by a comma, semicolon or tab (CSV, RFC 4180). A first line
 * that is a heading is passed over.
 * @throws RangeError that names the first line that is wrong
 */
export function readOwnDates(text: string): OwnDate[] {
  const clean = text.replace(/^\uFEFF/, '').trim();
  if (!clean) return [];
  // What parts the cells stands behind the first day.
  const delimiter = /^"?(?:\d{4}-)?\d\d-\d\d"?\s*([,;\t])/m.exec(clean)?.[1] ?? ',';
  const rows = Papa.parse<string[]>(clean, { delimiter, skipEmptyLines: false }).data;
  return rows.flatMap((cells, i): OwnDate[] => {
    // An apostrophe before a sign is how tables from here keep spreadsheets from running a cell (core/csv.ts).
    const [on = '', ...rest] = cells.map((cell) => cell.trim().replace(/^'(?=[=+\-@])/, ''));
    const said = rest.filter(Boolean).join(', ');
    if (!on && !said) return [];
    const where = `Line ${i + 1}`;
    if (!isOn(on)) {
      if (i === 0 && !/\d/.test(on)) return [];
      throw new RangeError(
        `${where} begins with “${on.slice(0, 30)}”. Write the day as 2027-05-31, or 05-31 for every year, then a comma and the text.`,
      );
    }
    if (!said) throw new RangeError(`${where} has the day ${on}, but no text after it.`);
    if ([...said].length > MOST_TEXT)
      throw new RangeError(`${where}: the text has more than ${MOST_TEXT} letters. Shorten it.`);
    return [{ on, text: said }];
  });
}

/** Own dates as their text: a line of CSV for each. */
export const ownDatesText = (dates: readonly OwnDate[]): string =>
  csvOf(dates.map(({ on, text }) => [on, text]))
    .replace(/\r\n/g, '\n')
    .trim();

/** Own dates by day, those of every year under their month and day. */
export function byDay(dates: readonly OwnDate[]): (day: Day) => string[] {
  const found = new Map<string, string[]>();
  for (const { on, text } of dates) found.set(on, [...(found.get(on) ?? []), text]);
  return (day) => [...(found.get(day) ?? []), ...(found.get(day.slice(5)) ?? [])];
}
