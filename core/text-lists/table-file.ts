const MB = 1024 * 1024;

/** What a table may be, packed and unpacked. */
export const TABLE_LIMITS = { file: 4 * MB, unpacked: 40 * MB, entries: 500, rows: 20_000 } as const;

/** Whether bytes are a ZIP, as tables of spreadsheets (Office Open XML, ISO/IEC 29500) are. */
export const isPacked = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;

/** The parts of a table that hold text, unpacked within limits and joined again without being packed. */
async function unpacked(bytes: Uint8Array): Promise<ArrayBuffer> {
  const { unzipSync, zipSync } = await import('fflate');
  let [total, entries] = [0, 0];
  const parts = unzipSync(bytes, {
    filter: ({ name, originalSize }) => {
      entries += 1;
      if (entries > TABLE_LIMITS.entries) throw new RangeError('The table has too many parts.');
      if (!/\.(xml|rels)$/.test(name) || name.split('/').includes('..')) return false;
      total += originalSize;
      if (total > TABLE_LIMITS.unpacked) throw new RangeError('The table is larger unpacked than is read.');
      return true;
    },
  });
  return zipSync(parts, { level: 0 }).buffer as ArrayBuffer;
}

const cellText = (cell: unknown): string =>
  cell === null || cell === undefined
    ? ''
    : (cell instanceof Date ? cell.toISOString().slice(0, 10) : String(cell)).replace(/\s+/g, ' ').trim();

/**
 * The cells of the first sheet of a spreadsheet (XLSX), row by row, as texts.
 * @throws RangeError, with a sentence, for what is no such file or too large
 */
export async function rowsOfTable(bytes: Uint8Array): Promise<string[][]> {
  if (bytes.length > TABLE_LIMITS.file)
    throw new RangeError('The table is larger than 4 MB. Take out what is not needed.');
  const { readSheet } = await import('read-excel-file/universal');
  let rows: unknown[][];
  try {
    rows = (await readSheet(await unpacked(bytes))) as unknown[][];
  } catch (error) {
    if (error instanceof RangeError) throw error;
    throw new RangeError('The file cannot be read as a spreadsheet. Save it as XLSX or CSV and try again.');
  }
  if (rows.length > TABLE_LIMITS.rows)
    throw new RangeError(
      `The table has ${rows.length.toLocaleString('en-US')} rows; ${TABLE_LIMITS.rows.toLocaleString('en-US')} are read.`,
    );
  return rows.map((row) => row.map(cellText));
}

/**
 * The rows of a spreadsheet as a list of texts: a line for each, its second cell after a tab. A first row that names its columns is
 * left out.
 * @throws RangeError, as rowsOfTable
 */
export async function linesOfTable(bytes: Uint8Array): Promise<string> {
  const rows = await rowsOfTable(bytes);
  const lines = rows.map(([text = '', credit = '']) => [text, credit]).filter(([text]) => text);
  const named =
    lines[0]?.[0] !== undefined &&
    /^(text|prompt|quotation|quote|verse|riddle|fact|joke|word|name)s?$/i.test(lines[0][0]);
  return lines
    .slice(named ? 1 : 0)
    .map(([text, credit]) => (credit ? `${text}\t${credit}` : text))
    .join('\n');
}
