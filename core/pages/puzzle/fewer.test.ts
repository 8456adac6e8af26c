import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fewerAndFewer } from './fewer.ts';

describe('fewer and fewer', () => {
  it('goes down by a step at a time, all together, and not below the least', () => {
    expect(fewerAndFewer({ columns: 15, rows: 13 }, ['columns', 'rows'], 9, 2)).toEqual([
      { columns: 13, rows: 11 },
      { columns: 11, rows: 9 },
    ]);
    expect(fewerAndFewer({ words: 6 }, ['words'], 6)).toEqual([]);
    const some = fc.integer({ min: 1, max: 40 });
    fc.assert(
      fc.property(some, some, some, fc.integer({ min: 1, max: 5 }), (a, b, least, step) => {
        const all = fewerAndFewer({ a, b }, ['a', 'b'], least, step);
        for (const [i, one] of all.entries())
          expect(one).toEqual({ a: a - step * (i + 1), b: b - step * (i + 1) });
        for (const { a: left, b: right } of all)
          expect(Math.min(left!, right!)).toBeGreaterThanOrEqual(least);
        expect(Math.min(a, b) - step * (all.length + 1)).toBeLessThan(least);
      }),
    );
  });
});
