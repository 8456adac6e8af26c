import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { readTexts } from './index.ts';
import { isPacked, linesOfTable, TABLE_LIMITS } from './table-file.ts';

const XML = '<?xml version="1.0" encoding="UTF-8"?>';
const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const PACKAGE = 'http://schemas.openxmlformats.org/package/2006/relationships';

const escaped = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

/** A spreadsheet of one sheet, as ECMA-376 part 1 has it: texts are shared strings. */
function spreadsheet(
  rows: readonly (readonly (string | number)[])[],
  more: Record<string, Uint8Array> = {},
): Uint8Array {
  const texts = [...new Set(rows.flat().filter((cell) => typeof cell === 'string'))];
  const cells = (row: readonly (string | number)[], r: number) =>
    row
      .map((cell, c) => {
        const at = `${'ABC'[c]}${r + 1}`;
        return typeof cell === 'string'
          ? `<c r="${at}" t="s"><v>${texts.indexOf(cell)}</v></c>`
          : `<c r="${at}"><v>${cell}</v></c>`;
      })
      .join('');
  const files: Record<string, string> = {
    '[Content_Types].xml': `${XML}<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/></Types>`,
    '_rels/.rels': `${XML}<Relationships xmlns="${PACKAGE}"><Relationship Id="r1" Type="${REL}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
    'xl/workbook.xml': `${XML}<workbook xmlns="${MAIN}" xmlns:r="${REL}"><sheets><sheet name="Texts" sheetId="1" r:id="r1"/></sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `${XML}<Relationships xmlns="${PACKAGE}"><Relationship Id="r1" Type="${REL}/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="r2" Type="${REL}/sharedStrings" Target="sharedStrings.xml"/></Relationships>`,
    'xl/sharedStrings.xml': `${XML}<sst xmlns="${MAIN}">${texts.map((text) => `<si><t xml:space="preserve">${escaped(text)}</t></si>`).join('')}</sst>`,
    'xl/worksheets/sheet1.xml': `${XML}<worksheet xmlns="${MAIN}"><sheetData>${rows.map((row, r) => `<row r="${r + 1}">${cells(row, r)}</row>`).join('')}</sheetData></worksheet>`,
  };
  return zipSync({
    ...Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])),
    ...more,
  });
}

describe('texts of a spreadsheet', () => {
  it('come line by line with who said them, and without the names of the columns', async () => {
    const bytes = spreadsheet([
      ['Quotation', 'Source'],
      ['Keep the bees & the clover', 'Old saying'],
      ['Two\nlines', ''],
      [1848, 'a year'],
      ['', 'nobody'],
    ]);
    expect(isPacked(bytes)).toBe(true);
    expect(readTexts(await linesOfTable(bytes))).toEqual([
      { text: 'Keep the bees & the clover', credit: 'Old saying' },
      { text: 'Two lines', credit: '' },
      { text: '1848', credit: 'a year' },
    ]);
  });

  it('keep a first row that names nothing', async () => {
    expect(await linesOfTable(spreadsheet([['Wren'], ['Robin']]))).toBe('Wren\nRobin');
  });

  it('are refused with a sentence where the file is none, broken, or grows too large', async () => {
    const good = spreadsheet([['Wren']]);
    const zeros = new Uint8Array(TABLE_LIMITS.unpacked + 1);
    await expect(linesOfTable(spreadsheet([['Wren']], { 'xl/bomb.xml': zeros }))).rejects.toThrow(
      /larger unpacked/,
    );
    await expect(linesOfTable(good.slice(0, good.length - 40))).rejects.toThrow(/cannot be read/);
    await expect(linesOfTable(zipSync({ 'a.xml': strToU8('<a/>') }))).rejects.toThrow(/cannot be read/);
    await expect(linesOfTable(new Uint8Array(TABLE_LIMITS.file + 1))).rejects.toThrow(/larger than 4 MB/);
    const many = Object.fromEntries(Array.from({ length: 501 }, (_, i) => [`p${i}.xml`, strToU8('<a/>')]));
    await expect(linesOfTable(zipSync(many))).rejects.toThrow(/too many parts/);
    expect(isPacked(strToU8('Wren,Robin'))).toBe(false);
  });
});
