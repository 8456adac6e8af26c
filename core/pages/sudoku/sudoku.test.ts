import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, filledItem } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { sameSudoku } from '../../puzzles/sudoku/index.ts';
import { formatsOf } from '../index.ts';
import { anyOptions, anySetting, holdsInside, settingOf, TRIMS, textsDrawn } from '../pages.sample.ts';
import { inspectSudoku, type SudokuItem } from './fill.ts';
import { sudoku } from './index.ts';

const type = typesetterFromDisk();
const everything = process.env.QUILL_SWEEP === 'all';

const sudokus = (items: number, options: object = {}, more: object = {}, section: object = {}) =>
  bookFrom(
    recipeOf([{ id: 's', kind: 'sudoku', items, options, ...section }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      ...more,
    }),
  );
type Book = ReturnType<typeof sudokus>;

const itemOf = (book: Book, number: number) =>
  filledItem(book, book.sections.get('s')!, number) as SudokuItem;
const textsOn = textsDrawn(type);
const findings = (book: Book) => proofBook(book, type).filter(({ place }) => place?.view === 'page');

describe('what is told of a sudoku', () => {
  it('is its level and the techniques that it takes', () => {
    expect(sudoku.told!(itemOf(sudokus(1, { level: 1 }), 1))).toBe('Very easy, naked single');
    expect(sudoku.told!(itemOf(sudokus(1, { level: 3 }), 1))).toMatch(
      /^Medium, naked single, .*(pair|triple|locked)/,
    );
  });
});

describe('a section of sudokus', () => {
  it('levels rise over it, are all the same, or are mixed', () => {
    const levels = (options: object) => {
      const book = sudokus(10, options);
      return Array.from({ length: 10 }, (_, i) => itemOf(book, i + 1).level);
    };
    expect(levels({})).toEqual([1, 1, 2, 2, 3, 3, 4, 4, 5, 5]);
    expect(new Set(levels({ level: 2 }))).toEqual(new Set([2]));
    expect(new Set(levels({ level: 'mixed' })).size).toBeGreaterThan(2);
  });

  it('prints the givens on the page and the answer on the page that it names', () => {
    const book = sudokus(4, { level: 2 }, {}, { solutions: { perPage: 4 } });
    const [page, answers] = [textsOn(book, 1), textsOn(book, 2)];
    expect(page).toContain('Sudoku 1–4');
    expect(page).toContain('Answers on page 2');
    expect(page).toContain('Fill every row, column and box with 1 to 9, each of them once.');
    for (let number = 1; number <= 4; number++) {
      const { givens, solution } = itemOf(book, number);
      expect(page.join('')).toContain(givens.replaceAll('.', ''));
      expect(answers.join('')).toContain(solution);
    }
    expect(answers.filter((text) => text === 'page 1')).toHaveLength(4);
    expect(findings(book)).toEqual([]);
  });

  it('says in the language of the book what is to be done', () => {
    expect(textsOn(sudokus(1, { size: 16, level: 1, perPage: 1 }, { language: 'de' }), 1)).toEqual(
      expect.arrayContaining(['sehr leicht', expect.stringMatching(/1 bis 9 und A bis G je einmal/)]),
    );
  });

  it('a pinned puzzle stays as it is whatever is set', () => {
    const pin = { size: 9, variant: 'classic', symmetry: 'none', level: 3, roll: 2 };
    const before = itemOf(sudokus(2, {}, {}, { pins: { 2: pin } }), 2);
    const after = itemOf(sudokus(2, { size: 6, level: 1 }, {}, { pins: { 2: pin } }), 2);
    expect(after).toEqual(before);
    expect(before.level).toBe(3);
    expect(itemOf(sudokus(2, {}, {}, { rolls: { 2: 1 } }), 2)).not.toEqual(itemOf(sudokus(2), 2));
  });

  it('boxes of irregular outline are told to be too large, and usual ones are drawn', () => {
    const book = sudokus(1, { variant: 'jigsaw', size: 12, level: 1, perPage: 1 });
    expect(itemOf(book, 1)).toMatchObject({ variant: 'classic', size: 12 });
    expect(findings(book).map(({ message }) => message)).toEqual([
      expect.stringMatching(/made up to 9 × 9; these 12 × 12 grids have usual ones/),
    ]);
  });
});

describe('killer sudokus', () => {
  const killers = sudokus(2, { variant: 'killer', level: 2, perPage: 2 }, {}, { solutions: { perPage: 2 } });

  it('print the sums of their cages and nothing else, and the answer on the page that is named', () => {
    const [page, answers] = [textsOn(killers, 1), textsOn(killers, 2)];
    expect(page).toContain('Killer sudoku 1–2');
    for (const number of [1, 2]) {
      const { cages, givens, solution } = itemOf(killers, number);
      expect(givens).toBe('.'.repeat(81));
      for (const { cells, sum } of cages!) {
        expect(page).toContain(String(sum));
        expect(cells.reduce((all, cell) => all + Number(solution[cell]), 0)).toBe(sum);
      }
      expect(answers.join('')).toContain(solution);
    }
    // As many sums as cages, besides the numbers of the puzzles.
    const sums = page.filter((text) => /^\d+$/.test(text)).length;
    const many = [1, 2].reduce((all, number) => all + itemOf(killers, number).cages!.length, 0);
    expect(sums).toBe(many + 2);
    expect(findings(killers)).toEqual([]);
    expect(sudoku.told!(itemOf(killers, 1))).toMatch(/^Easy, sum of a cage, naked single, hidden single$/);
  });

  it('are judged by their cages, and known again', () => {
    const item = itemOf(killers, 1);
    const said = (changed: Partial<SudokuItem>) =>
      inspectSudoku({ ...item, ...changed }, { label: 'Puzzle 1' }).map(({ message }) => message);
    expect(said({})).toEqual([]);
    const [first, ...rest] = item.cages!;
    expect(said({ cages: [{ ...first!, sum: 45 }, ...rest] })).toEqual([
      'Puzzle 1: has no answer. Re-roll the puzzle.',
    ]);
    expect(sameSudoku({ ...item })).toBe(sameSudoku(item));
    expect(sameSudoku(itemOf(killers, 2))).not.toBe(sameSudoku(item));
  });

  it('are told to be too large, and classic ones are drawn', () => {
    const book = sudokus(1, { variant: 'killer', size: 12, level: 1, perPage: 1 });
    expect(itemOf(book, 1)).toMatchObject({ variant: 'classic', size: 12 });
    expect(findings(book).map(({ message }) => message)).toEqual([
      expect.stringMatching(/killer sudokus are made up to 9 × 9; these 12 × 12 grids are classic ones/),
    ]);
  });

  it('are saved with what makes them: cages, or zones of a jigsaw, and no line of characters', () => {
    const saved = (book: Book) => {
      const formats = formatsOf(sudoku, book.sections.get('s')!.options);
      const ipuz = formats.find(({ id }) => id === 'ipuz')!;
      const text = ipuz.write(itemOf(book, 1), { number: 1, label: 'Puzzle 1' });
      return { ids: formats.map(({ id }) => id), ipuz: JSON.parse(text) };
    };
    const killer = saved(killers);
    expect(killer.ids).toEqual(['ipuz', 'json']);
    expect(killer.ipuz.boxes).toBe(true);
    const [cage] = itemOf(killers, 1).cages!;
    expect(killer.ipuz.cages[0]).toEqual({
      operator: '+',
      value: cage!.sum,
      cells: cage!.cells.map((cell) => [(cell % 9) + 1, Math.floor(cell / 9) + 1]),
    });
    const jigsaw = saved(sudokus(1, { variant: 'jigsaw', size: 6, level: 1 }));
    expect(jigsaw.ids).toEqual(['ipuz', 'json']);
    expect(jigsaw.ipuz.boxes).toBe(false);
    expect(jigsaw.ipuz.zones.map(({ cells }: { cells: unknown[] }) => cells.length)).toEqual(
      Array(6).fill(6),
    );
    expect(saved(sudokus(1, { level: 1 })).ids).toEqual(['line', 'ipuz', 'json']);
  });
});

describe('what is wrong with a sudoku', () => {
  const item = (): SudokuItem => itemOf(sudokus(1, { level: 1 }), 1);
  const said = (changed: Partial<SudokuItem>) =>
    inspectSudoku({ ...item(), ...changed }, { label: 'Puzzle 1' }).map(({ message }) => message);

  it('is found by solving it anew', () => {
    const { givens, solution } = item();
    expect(said({})).toEqual([]);
    const first = givens.indexOf('.');
    const wrong = '123456789'.replace(solution[first]!, '')[0]!;
    expect(said({ givens: givens.slice(0, first) + wrong + givens.slice(first + 1) })).toEqual([
      'Puzzle 1: has no answer. Re-roll the puzzle.',
    ]);
    expect(said({ givens: `${givens.slice(0, 9)}${'.'.repeat(72)}` })).toEqual([
      'Puzzle 1: has more than one answer. Re-roll the puzzle.',
    ]);
    expect(said({ solution: solution.split('').reverse().join('') })).toEqual([
      'Puzzle 1: the answer in the book is another. Re-roll the puzzle.',
    ]);
    expect(said({ wanted: 4 })[0]).toMatch(/is of level 1, not 4/);
  });

  it('the same puzzle twice is told with the first place, turned about or in another section', () => {
    const text = item().givens;
    const pinned = (givens: string) => ({ size: 9, variant: 'classic', givens });
    const turned = [...text]
      .reverse()
      .join('')
      .replaceAll(/[1-9]/g, (digit) => String(10 - Number(digit)));
    const section = { kind: 'sudoku', items: 2, options: { level: 1, perPage: 1 } };
    const book = bookFrom(
      recipeOf(
        [
          { id: 'a', ...section, pins: { 1: pinned(text), 2: pinned(turned) } },
          { id: 'b', ...section, pins: { 2: pinned(text) } },
        ],
        { quill: 4, print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } } },
      ),
    );
    const twice = findings(book).filter(({ message }) => message.includes('the same as'));
    expect(twice.map(({ message }) => message)).toEqual([
      'Puzzle 2: is the same as Puzzle 1. Unpin it, then re-roll.',
      'Puzzle 4: is the same as Puzzle 1. Unpin it, then re-roll.',
    ]);
    expect(twice.map(({ place }) => place)).toMatchObject([
      { page: 2, section: 'a' },
      { page: 4, section: 'b' },
    ]);
  });
});

describe('any page of sudokus', () => {
  it('stays inside the safe area, and small digits are told', () => {
    fc.assert(
      fc.property(
        anyOptions('sudoku'),
        fc.constantFrom(...TRIMS),
        anySetting,
        fc.integer(),
        (options, trim, setting, seed) => {
          // Hard ones of large grids take long; how they are drawn is the same.
          const level = Number(options.size) > 9 ? 1 : options.level;
          const more = { ...settingOf(trim, setting), seed: `any ${seed}` };
          const book = sudokus(1, { ...options, level }, more);
          let small = false;
          holdsInside(book, type, (size) => {
            small ||= size < 7;
          });
          const told = proofBook(book, type).some(({ message }) => /type is .* pt/.test(message));
          expect(told).toBe(small);
        },
      ),
      { numRuns: everything ? 400 : 25 },
    );
  });
});
