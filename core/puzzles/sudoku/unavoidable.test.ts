import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { filledGrid } from './fill.ts';
import { coversOf, type Shape, shapeOf } from './index.ts';
import { jigsawShape } from './jigsaw.ts';
import { Unavoidable } from './unavoidable.ts';

const SHAPES: readonly Shape[] = [
  shapeOf(4),
  shapeOf(6),
  shapeOf(9),
  shapeOf(6, 'diagonal'),
  shapeOf(9, 'diagonal'),
  jigsawShape(6, randomStream('unavoidable', 1)),
  jigsawShape(9, randomStream('unavoidable', 2)),
];

describe('cells of which one must be given', () => {
  it('are held only where another answer would be left, by the exact cover of a library', () => {
    let held = 0;
    fc.assert(
      fc.property(fc.constantFrom(...SHAPES), fc.integer(), (shape, seed) => {
        const random = randomStream('unavoidable', seed);
        const solution = filledGrid(shape, random);
        fc.pre(solution !== null);
        const sets = new Unavoidable(shape);
        sets.begin(solution!);
        const givens = solution!.slice();
        for (const cell of random.shuffled([...givens.keys()])) {
          givens[cell] = 0;
          if (sets.take([cell])) continue;
          held++;
          expect(coversOf(shape, givens)).toHaveLength(2);
          givens[cell] = solution![cell]!;
        }
        // As many digits as there are but one have a given: two without would change places.
        expect(new Set(givens).size).toBeGreaterThanOrEqual(shape.size);
      }),
      { numRuns: 30 },
    );
    expect(held).toBeGreaterThan(100);
  });

  it('are those of two digits and of two rows or columns of the same boxes', () => {
    const solution = Uint8Array.from('1234341221434321', Number);
    const sets = new Unavoidable(shapeOf(4));
    sets.begin(solution);
    // 2 . 4 over 4 . 2 in the third and fourth row, across two boxes: either way round is an answer.
    expect(sets.take([10])).toBe(true);
    expect(sets.take([8, 12])).toBe(true);
    expect(sets.take([14])).toBe(false);
    // What was refused is given as before, and so is what is given back.
    expect(sets.take([14])).toBe(false);
    sets.giveBack([10]);
    expect(sets.take([14])).toBe(true);
    expect(sets.take([10])).toBe(false);
  });
});
