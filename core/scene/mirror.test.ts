import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { boundsOf, type Mark, mirroredMarks, turnedRound } from './index.ts';
import { MARK_SAMPLES } from './marks.sample.ts';

const type = typesetterFromDisk();

describe('marks in the mirror', () => {
  it('lie as far from the axis on the other side, whatever they are and however they are turned', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.values(MARK_SAMPLES)),
        fc.integer({ min: -200, max: 400 }),
        fc.constantFrom(0, 90, 180, 270),
        (marks, axis, degrees) => {
          const turned: Mark[] = [{ type: 'group', matrix: turnedRound(degrees, 31, 77), marks: [...marks] }];
          const seen = boundsOf(turned, type)!;
          const mirrored = boundsOf(mirroredMarks(turned, axis, type), type)!;
          // Ink of a letter is not in the middle of its width.
          expect(Math.abs(mirrored.left - (2 * axis - seen.right))).toBeLessThan(4);
          expect(Math.abs(mirrored.right - (2 * axis - seen.left))).toBeLessThan(4);
          const back = boundsOf(mirroredMarks(mirroredMarks(turned, axis, type), axis, type), type)!;
          for (const edge of ['left', 'right', 'top', 'bottom'] as const)
            expect(back[edge]).toBeCloseTo(seen[edge], 2);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('texts keep their letters in order, those of a grid too', () => {
    const text: Mark = {
      type: 'text',
      text: 'AB',
      face: 'alegreya-bold',
      size: 10,
      x: 20,
      y: 5,
      color: { gray: 0 },
    };
    const [moved] = mirroredMarks([text], 100, type);
    expect(moved).toEqual({ ...text, x: 180 - type.width('AB', 'alegreya-bold', 10) });
    const [grid] = mirroredMarks([{ ...text, centers: [10, 30] }], 100, type);
    expect(grid).toMatchObject({ text: 'AB', centers: [190, 170] });
  });
});
