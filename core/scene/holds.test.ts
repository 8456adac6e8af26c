import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildPath, ellipsePath, holds, IDENTITY, rectPath } from './index.ts';

const ring = buildPath()
  .move(0, 0)
  .line(100, 0)
  .line(100, 100)
  .line(0, 100)
  .close()
  .move(25, 25)
  .line(75, 25)
  .line(75, 75)
  .line(25, 75)
  .close()
  .done();

describe('what a fill paints (ISO 32000-1 §8.5.3.3)', () => {
  it('of an ellipse is what its equation says', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -40, max: 40, noNaN: true }),
        fc.double({ min: -40, max: 40, noNaN: true }),
        (x, y) => {
          const distance = (x / 30) ** 2 + (y / 20) ** 2;
          // Curves are taken for short lines.
          fc.pre(Math.abs(distance - 1) > 0.02);
          expect(holds(ellipsePath(0, 0, 30, 20), 'nonzero', IDENTITY, x, y)).toBe(distance < 1);
        },
      ),
    );
  });

  it('inside of a second outline depends on the rule', () => {
    expect(holds(ring, 'nonzero', IDENTITY, 50, 50)).toBe(true);
    expect(holds(ring, 'evenodd', IDENTITY, 50, 50)).toBe(false);
    expect(holds(ring, 'evenodd', IDENTITY, 10, 50)).toBe(true);
    expect(holds(ring, 'nonzero', IDENTITY, 101, 50)).toBe(false);
  });

  it('is asked for on the sheet, wherever the path is put', () => {
    expect(holds(rectPath(0, 0, 10, 10), 'nonzero', [2, 0, 0, 2, 100, 100], 119, 119)).toBe(true);
    expect(holds(rectPath(0, 0, 10, 10), 'nonzero', [2, 0, 0, 2, 100, 100], 121, 119)).toBe(false);
  });

  it('of an outline that was left open is what closing it would hold', () => {
    const open = buildPath().move(0, 0).line(10, 0).line(10, 10).done();
    expect(holds(open, 'nonzero', IDENTITY, 8, 2)).toBe(true);
    expect(holds(open, 'nonzero', IDENTITY, 2, 8)).toBe(false);
  });
});
