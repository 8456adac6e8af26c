import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { decode } from 'fast-png';
import { beforeAll, describe, expect, it } from 'vitest';
import { PUZZLE_SOURCES, recipeOf } from '../book/book.sample.ts';
import { bookFrom, filledItem, itemScenes } from '../book/index.ts';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { makesItems, pageKinds } from '../pages/index.ts';
import type { SudokuItem } from '../pages/sudoku/fill.ts';
import { loadVocabularies } from '../puzzles/vocabulary/index.ts';
import { boundsOf, eachMark } from '../scene/index.ts';
import { itemFiles } from './item-files.ts';

const type = typesetterFromDisk();
beforeAll(loadVocabularies);

const bookWith = (kind: string, options: object, more: object = {}) =>
  bookFrom(
    recipeOf([{ id: 's', kind, items: 5, options, ...more }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
    }),
  );

const kinds = pageKinds().filter((kind) => makesItems(kind) && kind.data);

describe('one item alone', () => {
  it.each(kinds.map(({ id }) => id))(
    '%s: all of its ink is on the sheet, with little around it, and no page is named',
    (id) => {
      const kind = kinds.find((one) => one.id === id)!;
      const book = bookWith(id, PUZZLE_SOURCES[id] ?? {});
      const section = book.sections.get('s')!;
      filledItem(book, section, 2);
      const { puzzle, answer } = itemScenes(book, section, 2, type);
      expect(answer === null).toBe(!kind.solution);
      for (const scene of [puzzle, ...(answer ? [answer] : [])]) {
        const marks = scene.layers.flatMap((layer) => layer.marks);
        const ink = boundsOf(marks, type)!;
        expect(ink.left).toBeCloseTo(9, 3);
        expect(ink.top).toBeCloseTo(9, 3);
        expect(scene.width - ink.right).toBeCloseTo(9, 3);
        expect(scene.height - ink.bottom).toBeCloseTo(9, 3);
        eachMark(marks, (mark) => {
          if (mark.type === 'text') expect(mark.text).not.toMatch(/page|Answers? on/i);
        });
      }
    },
  );

  it('what takes two pages stands side by side', () => {
    const wide = (clueSide: string) => {
      const book = bookWith('crossword', { ...PUZZLE_SOURCES.crossword, clueSide });
      const section = book.sections.get('s')!;
      filledItem(book, section, 1);
      return itemScenes(book, section, 1, type).puzzle.width;
    };
    expect(wide('facing')).toBeGreaterThan(1.4 * wide('page'));
  });

  it('is a PNG of 300 pixels to the inch, and an SVG of points', async () => {
    const book = bookWith('sudoku', { level: 1 });
    const section = book.sections.get('s')!;
    const [svg, answer] = await itemFiles(book, section, 3, 'svg', type);
    expect([svg!.name, answer!.name]).toEqual(['puzzle-3.svg', 'puzzle-3-answer.svg']);
    const [, width, height] = /<svg[^>]* width="([\d.]+)" height="([\d.]+)"/.exec(
      new TextDecoder().decode(svg!.bytes),
    )!;
    const [png] = await itemFiles(book, section, 3, 'png', type);
    const pixels = decode(png!.bytes);
    expect(pixels.width / Number(width)).toBeCloseTo(300 / 72, 1);
    expect(pixels.height / Number(height)).toBeCloseTo(300 / 72, 1);
  });

  it('is a PDF with the answer on its second page, as other tools read it', async () => {
    const book = bookWith('sudoku', { level: 1 });
    const section = book.sections.get('s')!;
    const [pdf, ...more] = await itemFiles(book, section, 2, 'pdf', type);
    expect(more).toEqual([]);
    const folder = mkdtempSync(join(tmpdir(), 'quill-item-'));
    try {
      const file = join(folder, pdf!.name);
      writeFileSync(file, pdf!.bytes);
      const run = (tool: string, ...args: string[]) => execFileSync(tool, args, { encoding: 'utf8' });
      expect(run('qpdf', '--check', file)).toContain('No syntax or stream encoding errors found');
      const read = (page: string) =>
        run('pdftotext', '-f', page, '-l', page, '-layout', file, '-').replaceAll(/\D/g, '');
      const { givens, solution } = filledItem(book, section, 2) as SudokuItem;
      // Its number, and on the first page the digits that are crossed out as they are used up.
      expect(read('1')).toBe(`2${givens.replaceAll('.', '')}123456789`);
      expect(read('2')).toBe(`2${solution}`);
    } finally {
      rmSync(folder, { recursive: true });
    }
  });

  it('there is none where the section has no such item, or lacks what it is made from', async () => {
    const book = bookWith('sudoku', { level: 1 });
    const section = book.sections.get('s')!;
    for (const item of [0, 6]) expect(await itemFiles(book, section, item, 'svg', type)).toEqual([]);
    const paper = bookFrom(recipeOf([{ id: 's', kind: 'title-page' }], { quill: 4 }));
    expect(await itemFiles(paper, paper.sections.get('s')!, 1, 'png', type)).toEqual([]);
  });
});
