import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_CURVE, estimateSales, RIVAL_CELLS, RIVAL_FLAGS, type Rival, readRivals } from './index.ts';
import { indexed } from './rivals.sample.ts';

/** As the database writes them. */
const lineOf = (rival: Rival): string => {
  const { trim, hidden, notComparable, watched, source, ink, ...plain } = rival;
  const cells: Partial<Record<string, string | number | null>> = {
    ...plain,
    width: trim?.width ?? null,
    height: trim?.height ?? null,
    flags:
      (hidden ? RIVAL_FLAGS.hidden : 0) +
      (notComparable ? RIVAL_FLAGS.notComparable : 0) +
      (watched ? RIVAL_FLAGS.watched : 0) +
      (source === 'own' ? RIVAL_FLAGS.own : 0) +
      (ink === 'color' ? RIVAL_FLAGS.color : 0),
  };
  return `${RIVAL_CELLS.map((name) => cells[name] ?? '').join('\t')}\n`;
};

describe('rivals as lines of text', () => {
  it('are read as they were written, with their estimates; what is not known stays so', () => {
    const known = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: null });
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            title: fc.constantFrom('Bee Log', 'Bees & “hives”, 1,000 of them', 'É\\t'),
            price: known(fc.integer({ min: 99, max: 9999 }).map((cents) => cents / 100)),
            trim: known(fc.constant({ width: 8.5, height: 11 })),
            pages: known(fc.integer({ min: 24, max: 828 })),
            rank: known(fc.integer({ min: 1, max: 2_000_000 })),
            usualRank: known(fc.double({ min: 1, max: 1e6, noNaN: true })),
            reviews: known(fc.integer({ min: 0, max: 9000 })),
            rating: known(fc.constantFrom(1, 3.7, 5)),
            published: known(fc.constant('2026-01-05')),
            ink: fc.constantFrom('black' as const, 'color' as const),
            source: fc.constantFrom('market' as const, 'own' as const),
            hidden: fc.boolean(),
            notComparable: fc.boolean(),
            watched: fc.boolean(),
          }),
          { maxLength: 20 },
        ),
        (drawn) => {
          const rivals = drawn.map((more) => indexed(more));
          const text = rivals.map(lineOf).join('');
          expect(readRivals(text, DEFAULT_CURVE)).toEqual(rivals);
          // What is cut off at the end is no rival.
          expect(readRivals(text.slice(0, -1), DEFAULT_CURVE)).toHaveLength(Math.max(0, rivals.length - 1));
        },
      ),
    );
    expect(readRivals('', DEFAULT_CURVE)).toEqual([]);
  });

  it('a trim needs both its sides; the estimates are those of the curve', () => {
    const whole = indexed({ price: 12.83, pages: 257, rank: 915 });
    const [read] = readRivals(lineOf(whole), DEFAULT_CURVE);
    expect(read).toMatchObject(estimateSales(whole, DEFAULT_CURVE));
    // $0.85 + 257 × $0.012 = $3.93; $12.83 gives $3.76 (worked figures common in the trade, no source).
    expect([read!.printCost!.toFixed(2), read!.royalty!.toFixed(2)]).toEqual(['3.93', '3.76']);
    const cells = lineOf(whole).split('\t');
    cells[RIVAL_CELLS.indexOf('height')] = '';
    const [without] = readRivals(cells.join('\t'), DEFAULT_CURVE);
    expect([without!.trim, without!.printCost, without!.earnings]).toEqual([null, null, null]);
  });
});
