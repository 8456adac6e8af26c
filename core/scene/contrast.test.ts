import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { colorOfHex, contrast } from './index.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const ofHex = (a: string, b: string) => contrast(colorOfHex(a), colorOfHex(b));

describe('contrast (WCAG 2.2)', () => {
  // The ends of the scale are the definition’s; #767676 is the darkest well-known gray that passes 4.5 on white (from memory).
  it.each([
    ['#000000', '#ffffff', 21],
    ['#ffffff', '#ffffff', 1],
    ['#767676', '#ffffff', 4.54],
    ['#777777', '#ffffff', 4.48],
  ])('%s on %s is %d', (a, b, ratio) => {
    expect(ofHex(a, b)).toBeCloseTo(ratio, 2);
  });

  it('is the same both ways round, and between 1 and 21', () => {
    fc.assert(
      fc.property(hex, hex, (a, b) => {
        expect(ofHex(a, b)).toBe(ofHex(b, a));
        expect(ofHex(a, b)).toBeGreaterThanOrEqual(1);
        expect(ofHex(a, b)).toBeLessThanOrEqual(21);
      }),
    );
  });
});
