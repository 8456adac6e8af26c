import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fingerprint } from './fingerprint.ts';
import { randomStream } from './random.ts';
import { POINTS_PER, parseLength, showLength } from './units.ts';

describe('lengths', () => {
  // ISO 32000-1 §8.3.2.3: a point is 1/72 in; an inch is 25.4 mm exactly (ISO 80000-3).
  it.each([
    ['1in', 72],
    ['25.4mm', 72],
    ['2.54 cm', 72],
    ['72pt', 72],
    ['6in', 432],
    ['152.4mm', 432],
  ])('%s is %d pt', (text, points) => {
    expect(parseLength(text)).toBeCloseTo(points, 9);
  });

  it('what is shown reads back as the same length, to the decimals shown', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2000, noNaN: true }),
        fc.constantFrom('in', 'mm'),
        (points, unit) => {
          const step = (unit === 'in' ? 0.0005 : 0.05) * POINTS_PER[unit];
          expect(Math.abs(parseLength(showLength(points, unit)) - points)).toBeLessThanOrEqual(step + 1e-9);
        },
      ),
    );
  });

  it.each(['', '6', 'in', '6 inches', '-1in', '1e3mm', '6in 9in'])(
    '“%s” is no length, and is named',
    (text) => {
      expect(() => parseLength(text)).toThrow(`“${text}” is not a length.`);
    },
  );
});

describe('fingerprints', () => {
  it('do not depend on the order of keys, and change with any value', () => {
    const json = fc.dictionary(fc.string(), fc.oneof(fc.integer(), fc.string(), fc.array(fc.integer())), {
      maxKeys: 6,
    });
    fc.assert(
      fc.property(json, fc.string(), fc.integer(), (value, key, number) => {
        const turned = Object.fromEntries(Object.entries(value).reverse());
        expect(fingerprint(turned)).toBe(fingerprint(value));
        expect(fingerprint({ ...value, undefinedKey: undefined })).toBe(fingerprint(value));
        const changed = { ...value, [key]: number };
        if (JSON.stringify(changed[key]) !== JSON.stringify(value[key]))
          expect(fingerprint(changed)).not.toBe(fingerprint(value));
      }),
    );
  });

  it('are SHA-256: of an empty object as sha256sum says', () => {
    // printf '{}' | sha256sum
    expect(fingerprint({})).toBe('44136fa355b3678a1146ad16f7e8649e94fb4fc21fe77e8310c060f61caaff8a');
  });
});

describe('random streams', () => {
  it('give the same numbers for the same key and others for a neighboring one', () => {
    const first = (...key: (string | number)[]) => {
      const stream = randomStream(...key);
      return Array.from({ length: 8 }, () => stream.int(1_000_000));
    };
    fc.assert(
      fc.property(fc.string(), fc.nat(1000), (seed, item) => {
        expect(first(seed, item)).toEqual(first(seed, item));
        expect(first(seed, item)).not.toEqual(first(seed, item + 1));
        // Parts do not run into each other.
        expect(first(seed, 'a', 'b')).not.toEqual(first(seed, 'ab'));
      }),
    );
  });

  it('are even: chi-squared over 64 cells stays under its 99.99 % point', () => {
    // 63 degrees of freedom: 113.5 (NIST/SEMATECH e-Handbook, 1.3.6.7.4, gives 103.4 for 99.9 %; from memory beyond it).
    for (const key of ['moth-7', 'moth-8', 'a', '']) {
      const stream = randomStream(key);
      const cells = new Array(64).fill(0);
      for (let i = 0; i < 64_000; i++) cells[stream.int(64)]++;
      const chi = cells.reduce((sum, count) => sum + (count - 1000) ** 2 / 1000, 0);
      expect(chi).toBeLessThan(113.5);
      expect(chi).toBeGreaterThan(25);
    }
  });

  it('shuffle a list into every order about as often', () => {
    const stream = randomStream('orders');
    const seen = new Map<string, number>();
    for (let i = 0; i < 24_000; i++) {
      const order = stream.shuffled([1, 2, 3, 4]).join('');
      seen.set(order, (seen.get(order) ?? 0) + 1);
    }
    expect(seen.size).toBe(24);
    for (const times of seen.values()) expect(Math.abs(times - 1000)).toBeLessThan(160);
  });

  it('keep every element when they shuffle, and leave the list as it was', () => {
    fc.assert(
      fc.property(fc.array(fc.integer()), fc.string(), (list, key) => {
        const before = list.slice();
        const shuffled = randomStream(key).shuffled(list);
        expect(list).toEqual(before);
        expect(shuffled.slice().sort()).toEqual(before.sort());
      }),
    );
  });
});
