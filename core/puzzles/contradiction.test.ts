import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contradiction } from './contradiction.ts';

describe('what cannot be together', () => {
  it('is found with nothing in it that could be left out, and is nothing but sets that cannot be', () => {
    const sets = fc.array(fc.uniqueArray(fc.nat(11), { minLength: 1, maxLength: 4 }), {
      minLength: 1,
      maxLength: 6,
    });
    fc.assert(
      fc.property(sets, (forbidden) => {
        const all = Array.from({ length: 12 }, (_, one) => one);
        const canBe = (some: readonly number[]) =>
          !forbidden.some((set) => set.every((one) => some.includes(one)));
        const found = contradiction(all, canBe);
        expect(canBe(found)).toBe(false);
        for (const one of found) expect(canBe(found.filter((other) => other !== one))).toBe(true);
        expect(
          forbidden.some((set) => set.length === found.length && set.every((one) => found.includes(one))),
        ).toBe(true);
      }),
    );
  });

  it('is all that there is, where it can be', () => {
    expect(contradiction(['a', 'b'], () => true)).toEqual(['a', 'b']);
  });
});
