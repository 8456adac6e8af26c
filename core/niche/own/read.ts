import Papa from 'papaparse';
import { guessWriting, type Writing } from './cells.ts';
import type { Field, OwnTable, ReadContext, RowProblem } from './tables.ts';

/** A table as it came: cells of text, and the line each row began on. */
export interface RawTable {
  heading: string[] | null;
  rows: { line: number; cells: string[] }[];
}

/** Rows taken from one table. */
export const MOST_ROWS = 200_000;

/** For each column, the key of the field it holds, or null when it is left out. */
export type Matching = (string | null)[];

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

const fieldFor = (heading: string, fields: readonly Field[]): Field | undefined => {
  const name = plain(heading);
  return (
    fields.find((field) => plain(field.name) === name || field.headings.includes(name)) ??
    fields.find((field) => name && field.headings.some((known) => name.startsWith(`${known} `)))
  );
};

/**
 * Reads a table that was pasted from a spreadsheet or comes as CSV (RFC 4180; tabs and semicolons too). Its first row
 * is the heading when its cells are names of fields.
 * @throws RangeError when there are more rows than are taken at once
 */
export function readRaw(text: string, fields: readonly Field[]): RawTable {
  const clean = text.replace(/^\uFEFF/, '');
  const rows: RawTable['rows'] = [];
  let line = 1;
  const delimiter = guessDelimiter(clean);
  const parsed = Papa.parse<string[]>(clean, { delimiter, skipEmptyLines: false });
  for (const cells of parsed.data) {
    // An apostrophe before a sign is how tables from here keep spreadsheets from running a cell (core/csv.ts).
    const trimmed = cells.map((cell) => cell.trim().replace(/^'(?=[=+\-@])/, ''));
    if (trimmed.some(Boolean)) rows.push({ line, cells: trimmed });
    // A quoted cell may run over lines.
    line += 1 + cells.reduce((sum, cell) => sum + (cell.match(/\r\n|\r|\n/g)?.length ?? 0), 0);
  }
  if (rows.length > MOST_ROWS)
    throw new RangeError(
      `The table has ${rows.length.toLocaleString('en-US')} rows; ${MOST_ROWS.toLocaleString('en-US')} can be imported at once. Split it.`,
    );
  const first = rows[0]?.cells ?? [];
  const named = first.filter((cell) => fieldFor(cell, fields)).length;
  const isHeading = named > 0 && first.every((cell) => !/^[\d.,\s$£€]+$/.test(cell) || cell === '');
  return isHeading ? { heading: first, rows: rows.slice(1) } : { heading: null, rows };
}

/** The sign that parts the cells: the one that stands as often in each of the first lines. */
function guessDelimiter(text: string): string {
  const lines = text
    .slice(0, 20_000)
    .split(/\r\n|\r|\n/)
    .slice(0, 30)
    .filter(Boolean);
  const scored = ['\t', ';', ','].map((sign) => {
    const times = lines.map((line) => line.replace(/"[^"]*"/g, '').split(sign).length - 1);
    const min = Math.min(...times);
    return { sign, score: times.length && min > 0 ? min * (new Set(times).size === 1 ? 10 : 1) : 0 };
  });
  const [best] = scored.sort((a, b) => b.score - a.score);
  return best && best.score > 0 ? best.sign : ',';
}

/** Guesses which column holds what: by its heading, otherwise by what its cells look like. */
export function matchColumns({ heading, rows }: RawTable, fields: readonly Field[]): Matching {
  const columns = Math.max(heading?.length ?? 0, ...rows.slice(0, 200).map(({ cells }) => cells.length), 0);
  const taken = new Set<string>();
  const take = (field: Field | undefined): string | null => {
    if (!field || taken.has(field.key)) return null;
    taken.add(field.key);
    return field.key;
  };
  if (heading) return Array.from({ length: columns }, (_, i) => take(fieldFor(heading[i] ?? '', fields)));
  const free = (test: (field: Field) => boolean) =>
    fields.find((field) => test(field) && !taken.has(field.key));
  return Array.from({ length: columns }, (_, i) => {
    const cells = rows.slice(0, 50).flatMap((row) => row.cells[i] || []);
    const max = (pattern: RegExp) =>
      cells.length > 0 && cells.filter((cell) => pattern.test(cell)).length > cells.length * 0.7;
    if (max(/[$£€¥]/)) return take(free(({ kind }) => kind === 'money'));
    if (max(/\d\s*[x×]\s*\d/)) return take(free(({ kind }) => kind === 'trim'));
    if (max(/^\d{4}-\d{1,2}-\d{1,2}$|^\d{1,2}[./]\d{1,2}[./]\d{4}$/))
      return take(free(({ kind }) => kind === 'day'));
    if (max(/^[\d.,\s]+$/)) return take(free(({ kind }) => kind === 'whole'));
    if (max(/\p{L}/u)) return take(free(({ kind }) => kind === 'text'));
    return null;
  });
}

/** Cells looked at for a guess. */
const SAMPLE = 300;

/** Guesses how the matched columns are written. */
export function guessTableWriting(raw: RawTable, matching: Matching, fields: readonly Field[]): Writing {
  const cells = (...kinds: Field['kind'][]) =>
    matching.flatMap((key, column) => {
      const field = fields.find((known) => known.key === key);
      if (!field || !kinds.includes(field.kind)) return [];
      return raw.rows.slice(0, SAMPLE).flatMap(({ cells: row }) => row[column] || []);
    });
  return guessWriting({
    numbers: cells('whole'),
    prices: cells('money'),
    lengths: cells('trim', 'length'),
    days: cells('day'),
  });
}

export interface Unreadable {
  line: number;
  /** By field; to be mended in place. */
  cells: Record<string, string>;
  problems: RowProblem[];
}

/** The cells of a row by the fields its columns hold; empty ones are left out. */
export function cellsOf(row: readonly string[], matching: Matching): Record<string, string> {
  const cells: Record<string, string> = {};
  matching.forEach((key, column) => {
    const text = row[column];
    if (key && text) cells[key] = text;
  });
  return cells;
}

/** Reads all rows. What cannot be read is listed with its line and the reason; nothing is dropped silently. */
export function readRows<Row>(
  table: OwnTable<Row>,
  raw: RawTable,
  matching: Matching,
  context: ReadContext,
): { rows: Row[]; unreadable: Unreadable[] } {
  const rows: Row[] = [];
  const unreadable: Unreadable[] = [];
  for (const { line, cells: row } of raw.rows) {
    const cells = cellsOf(row, matching);
    const read = table.read(cells, context);
    if ('row' in read) rows.push(read.row);
    else unreadable.push({ line, cells, problems: read.problems });
  }
  return { rows, unreadable };
}
