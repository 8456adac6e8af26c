import { describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, filledItem, keepPin } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { givensOf, judgeGivens, withGiven } from './by-hand.ts';
import type { SudokuItem } from './fill.ts';

const recipe = recipeOf([{ id: 's', kind: 'sudoku', items: 2, options: { level: 2 } }]);
const itemOf = (of: typeof recipe, number = 1) => {
  const book = bookFrom(of);
  return filledItem(book, book.sections.get('s')!, number) as SudokuItem;
};
const item = itemOf(recipe);
const pin = givensOf(item)!;

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

  it('are not all there is to puzzles with cages and boxes of any outline', () => {
    for (const variant of ['jigsaw', 'killer'])
      expect(
        givensOf(
          itemOf(recipeOf([{ id: 's', kind: 'sudoku', items: 1, options: { variant, level: 1, size: 6 } }])),
        ),
      ).toBeNull();
  });
});
