import { beforeAll, describe, expect, it } from 'vitest';
import { coverPdfs, writeInterior } from '#core/export/files.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { findWord } from '#core/puzzles/word-search/index.ts';
import { gathered, recipeOf } from '../support/books.ts';
import { fileOf, paintedTextOf, textOf } from './referees.ts';

const type = typesetterFromDisk();
const WORDS = ['עץ תפוח', 'פרח', 'דבורה', 'גן ירק', 'שמש', 'ורד אדום', 'נרקיס', 'צבעוני', 'כלנית', 'רקפת'];

const hebrew = recipeOf(
  [
    { id: 'title', kind: 'title-page' },
    { id: 'owner', kind: 'belongs-to' },
    {
      id: 'puzzles',
      kind: 'word-search',
      items: 20,
      options: { directions: 'diagonal', words: { lists: [{ title: 'בגינה שלנו', words: WORDS }] } },
    },
  ],
  {
    title: 'חידות לגננים (2026)',
    subtitle: 'Volume 3: חידות וגם coffee',
    penName: 'דנה כהן',
    language: 'he',
    cover: { fields: { blurb: 'חידות נעימות (לכל הגילאים).\nועכשיו עם 20 דפים גדולים.' } },
  },
);

/** Lines of a page in the order of reading, by pdftotext; direction marks left out. */
const read = (path: string, page: number) =>
  textOf(path, page)
    .replaceAll(/[\u200e\u200f\u202a-\u202e\u2066-\u2069]/g, '')
    .split('\n')
    .map((line) => line.trim().replaceAll(/\s+/g, ' '))
    .filter(Boolean);

/** Hebrew letters as they stand from the left; what runs to the right is left as it is. */
const fromTheLeft = (text: string) => [...text].reverse().join('');

describe('Hebrew, by two tools: Poppler puts lines in the order of reading, MuPDF leaves them as they are painted', () => {
  let interior = '';
  let wrap = '';
  beforeAll(async () => {
    const book = await gathered(hebrew);
    const chunks: Uint8Array[] = [];
    await writeInterior(book, type, (chunk) => {
      chunks.push(chunk);
    });
    interior = fileOf(Buffer.concat(chunks));
    wrap = fileOf((await coverPdfs(book, type))['wrap.pdf']!);
  });

  it('title and pen name on the title page', () => {
    expect(read(interior, 1)).toContain('דנה כהן');
    const painted = paintedTextOf(interior, 1);
    expect(painted).toContain(fromTheLeft('דנה כהן'));
    expect(painted.join(' ')).toContain(fromTheLeft('חידות'));
    // The number and its brackets stand as they are read, at the left of the words before them.
    expect(painted.join(' ')).toMatch(/\(2026\)/);
    expect(painted).toContain(`Volume 3: ${fromTheLeft('חידות וגם')} coffee`);
  });

  it('the list of a puzzle and its heading', () => {
    const page = read(interior, 3);
    const painted = paintedTextOf(interior, 3);
    for (const word of WORDS) {
      expect(
        page.some((line) => line.includes(word)),
        word,
      ).toBe(true);
      expect(painted).toContain(fromTheLeft(word));
    }
    expect(painted).toContain(`Word search 1: ${fromTheLeft('בגינה שלנו')}`);
  });

  it('words run to the left in the grid', () => {
    const rows = paintedTextOf(interior, 3).filter((line) => /^[א-ת]{16}$/.test(line));
    expect(rows).toHaveLength(16);
    const letters = rows.flatMap((row) => [...row]);
    const search = { columns: 16, rows: 16, letters };
    for (const word of WORDS) {
      const found = findWord(search, [...word.replaceAll(' ', '')]);
      expect(found, word).toHaveLength(1);
      // One that reads the same from both ends is found from the left.
      if (word !== fromTheLeft(word))
        expect(['back', 'down', 'down-left', 'up-left']).toContain(found[0]!.direction);
    }
  });

  it('every word of the wrap, the blurb set from its right edge', () => {
    const said = read(wrap, 1).join(' ');
    for (const words of ['דנה כהן', 'ועכשיו', 'חידות נעימות']) expect(said).toContain(words);
    const painted = paintedTextOf(wrap, 1);
    expect(painted).toContain(`.(${fromTheLeft('לכל הגילאים')}) ${fromTheLeft('חידות נעימות')}`);
    expect(painted).toContain(`.${fromTheLeft('דפים גדולים')} 20 ${fromTheLeft('ועכשיו עם')}`);
  });
});
