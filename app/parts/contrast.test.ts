import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { theme } from '../theme.ts';
import { contrast } from './contrast.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);

describe('contrast (WCAG 2.2)', () => {
  // The ends of the scale are the definition’s; #767676 is the darkest well-known gray that passes 4.5 on white (from memory).
  it.each([
    ['#000000', '#ffffff', 21],
    ['#ffffff', '#ffffff', 1],
    ['#767676', '#ffffff', 4.54],
    ['#777777', '#ffffff', 4.48],
  ])('%s on %s is %d', (a, b, ratio) => {
    expect(contrast(a, b)).toBeCloseTo(ratio, 2);
  });

  it('is the same both ways round, and between 1 and 21', () => {
    fc.assert(
      fc.property(hex, hex, (a, b) => {
        expect(contrast(a, b)).toBe(contrast(b, a));
        expect(contrast(a, b)).toBeGreaterThanOrEqual(1);
        expect(contrast(a, b)).toBeLessThanOrEqual(21);
      }),
    );
  });
});

describe('the theme', () => {
  const { text, background, primary, error, warning } = theme.palette;

  // Success criterion 1.4.3: 4.5 to 1 for text.
  it.each([
    ['text', text.primary],
    ['second text', text.secondary],
    ['actions', primary.main],
    ['what to fix', error.main],
    ['warnings', warning.main],
  ])('%s can be read on the ground of pages and on paper', (_, color) => {
    for (const ground of [background.default, background.paper])
      expect(contrast(color, ground)).toBeGreaterThanOrEqual(4.5);
  });

  it('words on buttons can be read', () => {
    expect(contrast(primary.contrastText, primary.main)).toBeGreaterThanOrEqual(4.5);
  });
});
