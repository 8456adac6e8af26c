import Papa from 'papaparse';

/** A leading sign that a spreadsheet would take for a formula is defused with an apostrophe; plain numbers are not. */
const forSpreadsheet = (value: string): string =>
  /^[=+\-@\t\r]/.test(value) && !/^-?\d+([.,]\d+)?$/.test(value) ? `'${value}` : value;

export type CsvCell = string | number | boolean | null | undefined;

/** Rows as CSV (RFC 4180): quotes where they are needed, lines ended by CR and LF, nothing a spreadsheet would run. */
export function csvOf(rows: readonly (readonly CsvCell[])[]): string {
  const cells = rows.map((row) =>
    row.map((cell) => (cell === null || cell === undefined ? '' : forSpreadsheet(String(cell)))),
  );
  return `${Papa.unparse(cells, { newline: '\r\n' })}\r\n`;
}
