import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, filledItem, keepPin } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { givenOf, judgeGivens, watchSudoku, withApart, withGiven, withJoined } from './by-hand.ts';
import { inspectSudoku, type SudokuItem } from './fill.ts';
import { type SudokuJigsaw, type SudokuKiller, type SudokuWithGivens, sudokuPin } from './options.ts';

const recipe = recipeOf([{ id: 's', kind: 'sudoku', items: 2, options: { level: 2 } }]);
const itemOf = (of: typeof recipe, number = 1) => {
  const book = bookFrom(of);
  return filledItem(book, book.sections.get('s')!, number) as SudokuItem;
};
const item = itemOf(recipe);
const pin = givenOf(item) as SudokuWithGivens;

describe('givens that are changed by hand', () => {
  it('have one answer as they were made, with the level of the puzzle', () => {
    const verdict = judgeGivens(pin);
    expect(verdict).toMatchObject({
      answers: 'one',
      rating: { level: item.level, techniques: item.techniques },
    });
    expect([...(verdict as { solution: Uint8Array }).solution].join('')).toBe(item.solution);
  });

  it('keep their answer with one digit more, and are kept as a pin that the proof finds nothing against', () => {
    const at = pin.givens.indexOf('.');
    const more = withGiven(pin, at, item.solution[at]!);
    expect(judgeGivens(more).answers).toBe('one');
    const kept = keepPin(recipe, 's', 1, more);
    expect(itemOf(kept)).toMatchObject({ givens: more.givens, solution: item.solution });
    expect(itemOf(kept, 2)).toEqual(itemOf(recipe, 2));
    const found = proofBook(bookFrom(kept), typesetterFromDisk()).filter(({ check }) => check === 'items');
    expect(found).toEqual([]);
  });

  it('have none with a digit that contradicts, and several with too few, which differ somewhere', () => {
    const at = pin.givens.indexOf('.');
    const wrong = [...'123456789'].find((sign) => sign !== item.solution[at])!;
    expect(judgeGivens(withGiven(pin, at, wrong)).answers).toBe('none');
    const few = Array.from({ length: 60 }, (_, cell) => cell).reduce(
      (so, cell) => withGiven(so, cell, '.'),
      pin,
    );
    const verdict = judgeGivens(few);
    expect(verdict.answers).toBe('several');
    const { differ } = verdict as { differ: number[] };
    expect(differ.length).toBeGreaterThan(3);
    for (const cell of differ) expect(few.givens[cell]).toBe('.');
  });

  it('may have an answer that logic does not find, and are not searched where they are too large', () => {
    // Printed by newspapers in 2012 as the hardest of all (from memory).
    const hard = '8..........36......7..9.2...5...7.......457.....1...3...1....68..85...1..9....4..';
    const verdict = judgeGivens({ size: 9, variant: 'classic', givens: hard });
    expect(verdict).toMatchObject({ answers: 'one', rating: null });
    expect(judgeGivens({ size: 16, variant: 'classic', givens: '.'.repeat(256) }).answers).toBe('unknown');
  });
});

describe.each(['jigsaw', 'killer'] as const)('boxes and cages that are changed by hand: %s', (variant) => {
  const own = recipeOf([{ id: 's', kind: 'sudoku', items: 3, options: { variant, size: 6, level: 2 } }]);
  const items = [1, 2, 3].map((number) => itemOf(own, number));
  const given = (of: SudokuItem) => givenOf(of) as SudokuJigsaw | SudokuKiller;

  it('are the same puzzle as they come', () => {
    for (const one of items) {
      const begun = given(one);
      expect(watchSudoku(begun).says).toContain('One answer. ');
      const kept = itemOf(keepPin(own, 's', 1, v.parse(sudokuPin, begun)));
      expect(kept).toEqual({ ...one, wanted: one.level });
    }
  });

  it('have one answer, or are told what they lack, whichever cells are moved', () => {
    const moves = fc.array(
      fc.record({ cell: fc.nat(35), toward: fc.constantFrom(-6, -1, 1, 6), apart: fc.boolean() }),
      { minLength: 1, maxLength: 4 },
    );
    fc.assert(
      fc.property(fc.constantFrom(...items), moves, (one, all) => {
        const now = all.reduce(
          (next, { cell, toward, apart }) =>
            apart && next.variant === 'killer'
              ? withApart(next, cell)
              : withJoined(next, cell, Math.max(0, Math.min(35, cell + toward))),
          given(one),
        );
        const watched = watchSudoku(now);
        const pin = v.safeParse(sudokuPin, now);
        if (watched.isSound) {
          expect(pin.issues).toBeUndefined();
          const kept = itemOf(keepPin(own, 's', 1, pin.output));
          expect(inspectSudoku(kept, { label: 'Puzzle 1' })).toEqual([]);
        } else {
          expect(watched.says).toMatch(/\.$/);
          if (pin.success)
            expect(
              inspectSudoku(itemOf(keepPin(own, 's', 1, pin.output)), { label: 'Puzzle 1' }),
            ).not.toEqual([]);
        }
      }),
      { numRuns: 80 },
    );
  });
});

describe('digits that cannot stand together', () => {
  it('are told, and no others', () => {
    // Eight digits of the first row, and the ninth in the column of its last cell: nothing is left for that.
    const rows = Array.from({ length: 9 }, () => '.........');
    rows[0] = '12345678.';
    rows[4] = '2.......9';
    rows[6] = '...7.....';
    const puzzle = { size: 9, variant: 'classic', givens: rows.join('') } as const;
    const watched = watchSudoku(puzzle);
    expect(watched).toMatchObject({ isSound: false, cells: [0, 1, 2, 3, 4, 5, 6, 7, 44] });
    expect(watched.says).toMatch(/^There is no answer: the marked digits/);
  });
});

describe('boxes of any outline', () => {
  const boxes = 'AABBAABBCCDDCCDD';
  const jigsaw: SudokuJigsaw = { size: 4, variant: 'jigsaw', boxes, givens: '.'.repeat(16) };

  it('say when one has too many cells, or does not hang together', () => {
    const more = withJoined(jigsaw, 1, 2);
    expect(more.boxes).toBe('AAABAABBCCDDCCDD');
    expect(watchSudoku(more)).toMatchObject({
      isSound: false,
      says: expect.stringContaining('5 and 3 cells'),
    });
    expect(v.safeParse(sudokuPin, more).success).toBe(false);
    const torn = { ...jigsaw, boxes: 'ABABAABBCCDDCCDD' };
    expect(watchSudoku(torn)).toMatchObject({ isSound: false, cells: [2, 1] });
    expect(v.safeParse(sudokuPin, torn).success).toBe(false);
    const halves = { ...jigsaw, boxes: 'AABBBBAACCDDCCDD' };
    expect(watchSudoku(halves)).toMatchObject({ isSound: false, cells: [6, 7, 4, 5] });
    expect(withJoined(jigsaw, 0, 1)).toBe(jigsaw);
    expect(withJoined(jigsaw, 3, 4)).toBe(jigsaw);
  });
});

describe('cages', () => {
  const killer: SudokuKiller = {
    ...{ size: 4, variant: 'killer', solution: '1234341221434321' },
    cages: [[0, 1, 2], [3, 7], ...[4, 5, 6, 8, 9, 10, 11, 12, 13, 14, 15].map((cell) => [cell])],
  };

  it('take cells along and let them go, with nothing left behind that does not hang together', () => {
    expect(withJoined(killer, 2, 6).cages[0]).toEqual([0, 1, 2, 6]);
    const apart = withApart(killer, 1);
    expect(apart.cages.slice(0, 3)).toEqual([[0], [1], [2]]);
    expect(withApart(killer, 4)).toBe(killer);
    expect(watchSudoku(withJoined(killer, 0, 4)).isSound).toBe(false);
  });

  it('have no digit twice, and not too many cells', () => {
    const twice = withJoined(killer, 2, 6);
    // The cells hold 1 2 3 and 1.
    expect(watchSudoku(twice)).toMatchObject({ isSound: false, cells: [0, 6] });
    expect(v.safeParse(sudokuPin, twice).success).toBe(false);
    const large = [3, 7, 6, 5].reduce(
      (next, cell, i, all) => withJoined(next, all[i - 1] ?? 2, cell),
      killer,
    );
    expect(watchSudoku(large).says).toMatch(/^A cage has 7 cells; 6 are the most\./);
    expect(v.safeParse(sudokuPin, { ...killer, cages: killer.cages.slice(1) }).success).toBe(false);
  });
});
