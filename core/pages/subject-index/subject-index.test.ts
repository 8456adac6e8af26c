import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, drawPage, filledItem } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { eachMark } from '../../scene/index.ts';
import { anyOptions, anySetting, holdsInside, settingOf, TRIMS } from '../pages.sample.ts';
import { evenColumns, type IndexLine, inColumns, indexLines, placesOf } from './lines.ts';

const type = typesetterFromDisk();
const ruled = (id: string, pages: number, subjects: string, more: object = {}) => ({
  id,
  kind: 'ruled',
  pages,
  options: { heading: 'subject', subjects },
  ...more,
});
const bookOf = (sections: object[], options: object = {}, more: object = {}, front = false) => {
  const index = { id: 'x', kind: 'subject-index', options };
  return bookFrom(
    recipeOf(front ? [index, ...sections] : [...sections, index], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      ...more,
    }),
  );
};
type Book = ReturnType<typeof bookOf>;
const pagesOf = (book: Book) => book.plan.pages.filter(({ section }) => section === 'x');
/** The words of the index, line by line from column to column. */
const said = (book: Book): string[] =>
  pagesOf(book).flatMap(({ number }) => {
    const texts: { text: string; x: number; y: number }[] = [];
    eachMark(drawPage(book, number, type).layers[0]!.marks, (mark) => {
      if (mark.type === 'text') texts.push({ text: mark.text, x: mark.x, y: mark.y });
    });
    return texts.map(({ text }) => text);
  });

describe('an index', () => {
  it('leads to every page of a subject, in the order of the language, whatever the capitals', () => {
    const book = bookOf(
      [ruled('a', 3, 'Wax\nbees\nÄpfel'), ruled('b', 2, 'Bees\nZebra')],
      {},
      { language: 'de' },
    );
    expect(said(book)).toEqual([
      'Register',
      'A',
      'Äpfel',
      '3',
      'B',
      'bees',
      '2, 4',
      'W',
      'Wax',
      '1',
      'Z',
      'Zebra',
      '5',
    ]);
  });

  it('pages that follow each other are one stretch, and many numbers have lines of their own', () => {
    expect(said(bookOf([ruled('a', 5, 'Bees')], { letters: false }))).toEqual(['Index', 'Bees', '1–5']);
    const turns = bookOf([ruled('a', 16, 'Bees\nWax')], { letters: false });
    expect(said(turns)).toEqual([
      'Index',
      'Bees',
      '1, 3, 5, 7, 9, 11, 13,',
      '15',
      'Wax',
      '2, 4, 6, 8, 10, 12, 14,',
      '16',
    ]);
  });

  it('takes prompts, authors and words from the pages that have them', () => {
    const book = bookOf(
      [
        { id: 'p', kind: 'composed', pages: 2, options: { design: 'reflection', varied: 'What is new?' } },
        { id: 't', kind: 'text-list', options: { list: 'Keep the bees | Old saying\nLook twice' } },
        { id: 'w', kind: 'tracing', options: { what: 'list', list: 'Wren' } },
      ],
      { letters: false },
    );
    const { pages } = book.plan;
    const first = (section: string) => pages.find((page) => page.section === section)!.number;
    expect(said(book)).toEqual([
      'Index',
      'Old saying',
      String(first('t')),
      'What is new?',
      `${first('p')}, ${first('p') + 1}`,
      'Wren',
      String(first('w')),
    ]);
  });

  it('every number is that of a page with the subject, and none is missing', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.integer({ min: 1, max: 30 }), fc.subarray(['Ants', 'Bees', 'Moths', 'Wasps', 'flies'])),
          {
            minLength: 1,
            maxLength: 6,
          },
        ),
        fc.constantFrom('any', 'right'),
        fc.boolean(),
        (parts, starts, front) => {
          const sections = parts.map(([pages, subjects], i) =>
            ruled(`s${i}`, pages, subjects.join('\n'), starts === 'right' ? { starts } : {}),
          );
          const book = bookOf([{ id: 'c', kind: 'contents' }, ...sections], { letters: false }, {}, front);
          const { plan } = book;
          const found = new Map<string, Set<number>>();
          let term = '';
          for (const text of said(book).slice(1)) {
            if (!/^[\d–, ]+$/.test(text)) {
              term = text;
              found.set(term, new Set());
              continue;
            }
            for (const one of text.split(',').filter((part) => part.trim())) {
              const [from, to = from] = one.split('–').map(Number);
              for (let page = from!; page <= to!; page++) found.get(term)!.add(page);
            }
          }
          const expected = new Map<string, Set<number>>();
          for (const { number, unit } of plan.pages) {
            const subject = (unit?.data as { subject?: string } | undefined)?.subject;
            if (subject) expected.set(subject, (expected.get(subject) ?? new Set()).add(number));
          }
          expect(found).toEqual(expected);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('has as many pages as it takes, and stays inside the safe area, whatever its settings', () => {
    const subjects = Array.from({ length: 150 }, (_, i) => `Subject ${i} of the hive and its hedge`).join(
      '\n',
    );
    fc.assert(
      fc.property(
        anyOptions('subject-index'),
        fc.constantFrom(...TRIMS),
        anySetting,
        (options, trim, setting) => {
          const book = bookOf([ruled('a', 200, subjects)], options, settingOf(trim, setting));
          holdsInside(book, type);
          expect(said(book).filter((text) => text.startsWith('Subject'))).toHaveLength(
            options.of === 'subjects' ? 150 : 0,
          );
          // None is empty.
          for (const { number } of pagesOf(book))
            expect(drawPage(book, number, type).layers[0]!.marks.length).toBeGreaterThan(0);
        },
      ),
      { numRuns: 8 },
    );
  });

  it('an index of nothing is told', () => {
    const found = [...proofBook(bookOf([{ id: 'a', kind: 'ruled', pages: 24 }]), type)];
    expect(found.map(({ message }) => message)).toContainEqual(expect.stringMatching(/nothing to index/));
  });
});

describe('an index of puzzles', () => {
  const items = (id: string, kind: string, count: number, options: object, more: object = {}) => ({
    ...{ id, kind, items: count, options },
    ...more,
  });
  const lists = (...titles: string[]) => ({
    lists: titles.map((title) => ({
      title,
      words: ['beeswax', 'honeycomb', 'propolis', 'queenless', 'foundation'],
    })),
  });

  it('by level: from the easiest on, kind by kind in the language of the book, with the pages of those levels', () => {
    const puzzles = [
      items('s', 'sudoku', 10, { size: 4, perPage: 1, level: 'rising' }),
      items('m', 'maze', 3, { level: 2, columns: 8, rows: 8 }),
    ];
    const book = bookOf(puzzles, { of: 'levels' }, { language: 'es' });
    expect(said(book)).toEqual([
      'Índice alfabético',
      ...['Muy fácil', 'Sudoku', '1, 2'],
      ...['Fácil', 'Laberinto', '11–13', 'Sudoku', '3, 4'],
      ...['Medio', 'Sudoku', '5, 6'],
      ...['Difícil', 'Sudoku', '7, 8'],
      ...['Muy difícil', 'Sudoku', '9, 10'],
    ]);
  });

  it('by title: of lists, each with all of its pages, as typed by whoever wrote them', () => {
    const words = lists('Ducks', 'bees', 'Éclairs');
    const puzzles = [
      items('w', 'word-search', 4, { words, wordsPerPuzzle: 5 }),
      items('f', 'fill-in', 2, { words: lists('Bees'), wordsPerPuzzle: 5 }),
    ];
    expect(said(bookOf(puzzles, { of: 'titles' }))).toEqual([
      'Index',
      ...['B', 'bees', '2, 5, 6'],
      ...['D', 'Ducks', '1, 4'],
      ...['E', 'Éclairs', '3'],
    ]);
    expect(said(bookOf(puzzles, { of: 'titles', letters: false }))).not.toContain('B');
  });

  it('knows pinned puzzles by what they are pinned as, and nothing of the level of those brought in', () => {
    const level = (n: number) => ({ size: 4, variant: 'classic', symmetry: 'none', level: n, roll: 0 });
    const given = { size: 4, variant: 'classic', givens: '1234341221434321' };
    const pins = { 1: level(3), 2: given };
    const book = bookOf([items('s', 'sudoku', 3, { size: 4, perPage: 1, level: 1 }, { pins })], {
      of: 'levels',
    });
    expect(said(book)).toEqual(['Index', 'Very easy', 'Sudoku', '3', 'Medium', 'Sudoku', '1']);
  });

  it('lists the level that a puzzle then has, wherever it was to be had', () => {
    const book = bookOf([items('s', 'sudoku', 8, { size: 6, perPage: 2, level: 'mixed' })], { of: 'levels' });
    const names = ['Very easy', 'Easy', 'Medium', 'Hard', 'Very hard'];
    const listed = new Map<string, string[]>();
    let under = '';
    for (const text of said(book).slice(1))
      if (names.includes(text)) under = text;
      else if (text !== 'Sudoku') listed.set(under, text.split(', '));
    const section = book.sections.get('s')!;
    for (let item = 1; item <= 8; item++) {
      const { wanted } = filledItem(book, section, item) as { wanted: number };
      const pages = (listed.get(names[wanted - 1]!) ?? []).flatMap((range) => {
        const [from, to = from] = range.split('–').map(Number);
        return Array.from({ length: to! - from! + 1 }, (_, i) => from! + i);
      });
      expect(pages).toContain(Math.ceil(item / 2));
    }
  });

  it('of nothing is told, with what to do', () => {
    const found = proofBook(bookOf([{ id: 'a', kind: 'ruled', pages: 24 }], { of: 'levels' }), type);
    expect([...found].map(({ message }) => message)).toContainEqual(
      expect.stringMatching(/Add puzzles with a level/),
    );
  });
});

describe('lines in columns', () => {
  it('keep their order and height, and no letter stands last', () => {
    const entry = fc.record({
      by: fc.constant('subjects' as const),
      text: fc.constantFrom('ant', 'bee', 'Boo', 'éclair', '9', 'a longer term'),
      numbers: fc.array(fc.constantFrom('1', '23', '114–116', 'xviii'), { minLength: 1, maxLength: 14 }),
    });
    fc.assert(
      fc.property(
        fc.array(entry, { maxLength: 60 }),
        fc.integer({ min: 3, max: 20 }),
        fc.integer({ min: 6, max: 40 }),
        (entries, height, letters) => {
          const lines = indexLines(entries, 'en', { line: letters + 3, numbers: letters }, true);
          const columns = inColumns(lines, height);
          expect(columns.flat()).toEqual(lines);
          for (const column of columns) {
            expect(placesOf(column).at(-1) ?? 0).toBeLessThanOrEqual(height);
            expect(column.at(-1)?.kind).not.toBe('letter');
          }
          for (const [i, { numbers }] of entries.entries()) {
            const own = lines.flatMap((line): string[] => {
              if (line.kind === 'entry' && line.entry === i) return line.behind ? numbers : [];
              if (line.kind !== 'numbers' || line.entry !== i) return [];
              const some = numbers.slice(line.from, line.from + line.count);
              if (some.length > 1) expect(some.join(', ').length).toBeLessThanOrEqual(letters);
              return some;
            });
            expect(own).toEqual(numbers);
          }
        },
      ),
      { numRuns: 100 },
    );
  });

  it('of the last page are about as long as each other, and no page more', () => {
    const ends = (column: readonly IndexLine[]) => placesOf(column).at(-1) ?? 0;
    const entries = (count: number) =>
      Array.from({ length: count }, (_, i) => ({
        by: 'subjects' as const,
        text: `${String.fromCharCode(97 + Math.floor(i / 3))}${i}`,
        numbers: ['12'],
      }));
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 90 }),
        fc.integer({ min: 5, max: 20 }),
        fc.integer({ min: 1, max: 3 }),
        (count, height, across) => {
          const lines = indexLines(entries(count), 'en', { line: 30, numbers: 24 }, true);
          const [full, even] = [inColumns(lines, height), evenColumns(lines, height, across)];
          expect(even.flat()).toEqual(lines);
          expect(Math.ceil(even.length / across)).toBe(Math.ceil(full.length / across));
          const last = even.slice(Math.floor((even.length - 1) / across) * across);
          // A letter and its first entry stand together, so that a column may end two lines early.
          const longest = Math.max(...last.map(ends));
          expect(longest).toBeLessThanOrEqual(height);
          const needed = last.reduce((sum, column) => sum + ends(column), 0) / across;
          if (lines.length > 3 * across) expect(longest - needed).toBeLessThan(4);
        },
      ),
    );
    const lines = indexLines(entries(24), 'en', { line: 30, numbers: 24 }, true);
    const heights = (columns: IndexLine[][]) => columns.map(ends).map(Math.round);
    expect(heights(inColumns(lines, 25))).toEqual([25, 11]);
    expect(heights(evenColumns(lines, 25, 2))).toEqual([18, 18]);
  });
});
