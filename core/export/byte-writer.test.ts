import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal, MATRIX_PLACES, placesAt } from '../scene/index.ts';
import { ByteWriter } from './byte-writer.ts';

const written = (write: (out: ByteWriter) => void): string => {
  const out = new ByteWriter(1);
  write(out);
  return Buffer.from(out.bytes()).toString('latin1');
};
const number = (value: number, places: number) => written((out) => out.number(value, places));

describe('numbers in bytes', () => {
  it('read back as the number, rounded to its places, in plain decimals without zeros at the end', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        fc.integer({ min: 0, max: MATRIX_PLACES }),
        (value, places) => {
          const text = number(value, places);
          expect(text).toMatch(/^(0|-?(0|[1-9]\d*)(\.\d*[1-9])?)$/);
          expect(text.split('.')[1]?.length ?? 0).toBeLessThanOrEqual(places);
          expect(Math.abs(Number(text) - value)).toBeLessThanOrEqual(0.5 / 10 ** places + 1e-9);
        },
      ),
    );
  });

  it('are the same as text and as bytes, so that PDF and SVG cannot differ', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20_000, max: 20_000, noNaN: true }),
        fc.integer({ min: 0, max: MATRIX_PLACES }),
        (value, places) => {
          expect(number(value, places)).toBe(decimal(value, places));
        },
      ),
    );
  });

  it.each([
    [-0.001, 2, '0'],
    [10, 2, '10'],
    [9999.996, 2, '10000'],
    [-1234567.891, 2, '-1234567.89'],
    [0.012_34, 8, '0.01234'],
    [-0.5, 1, '-0.5'],
  ])('%d with %d places is %s', (value, places, text) => {
    expect(number(value, places)).toBe(text);
  });

  it('what is no number is refused instead of written', () => {
    expect(() => number(Number.NaN, 2)).toThrow(RangeError);
    expect(() => number(Number.POSITIVE_INFINITY, 2)).toThrow(RangeError);
  });

  it('codes have four hexadecimal digits', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffff }), (code) => {
        expect(written((out) => out.hex4(code))).toBe(code.toString(16).padStart(4, '0'));
      }),
    );
  });
});

describe('the places of a coordinate', () => {
  it('make it exact to 1/100 pt on the sheet, at any scale', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-4, max: 1e4, noNaN: true }),
        fc.double({ min: 0, max: 800, noNaN: true }),
        (scale, onSheet) => {
          const inside = onSheet / scale;
          const error = Math.abs(Number(decimal(inside, placesAt(scale))) - inside) * scale;
          expect(error).toBeLessThanOrEqual(0.005 + 1e-6);
        },
      ),
    );
  });
});
