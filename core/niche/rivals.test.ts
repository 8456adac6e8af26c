import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bars, dots, layOut, niceStep, type RivalFilter, trimShares } from './index.ts';
import { laid } from './rivals.sample.ts';

const DAY = '2026-11-24';
const some = fc.array(
  fc.record({
    rank: fc.option(fc.integer({ min: 1, max: 900_000 })),
    price: fc.option(fc.integer({ min: 300, max: 2000 }).map((cents) => cents / 100)),
    pages: fc.option(fc.integer({ min: 24, max: 400 })),
    reviews: fc.option(fc.integer({ min: 0, max: 3000 })),
    hidden: fc.boolean(),
    unlike: fc.boolean(),
    title: fc.constantFrom('Bee Log', 'Night Sky Journal', 'Bee Hunt', 'Moss'),
  }),
  { maxLength: 60 },
);

describe('the rivals on the table', () => {
  it('a filter lets through what a plain reading of each row would', () => {
    fc.assert(
      fc.property(
        some,
        fc.integer({ min: 1, max: 900_000 }),
        fc.integer({ min: 300, max: 2000 }),
        (rows, rank, cents) => {
          const rivals = rows.map((row, i) => laid({ ...row, id: `r${i}` }));
          const table = layOut(rivals, DAY);
          const filter: RivalFilter = { rank: [1, rank], price: [0, cents / 100], words: 'bee' };
          const wanted = rivals.flatMap((rival, i) =>
            !rival.hidden &&
            rival.rank !== null &&
            rival.rank <= rank &&
            rival.price !== null &&
            rival.price <= cents / 100 &&
            rival.title.includes('Bee')
              ? [i]
              : [],
          );
          expect([...table.narrow(filter).places]).toEqual(wanted);
        },
      ),
    );
  });

  it('sorts by any column either way, what is not known last', () => {
    fc.assert(
      fc.property(
        some,
        fc.constantFrom('rank', 'price', 'earnings', 'age', 'trim'),
        fc.boolean(),
        (rows, by, down) => {
          const rivals = rows.map((row, i) => laid({ ...row, id: `r${i}` }));
          const table = layOut(rivals, DAY);
          const sorted = table.sort(table.narrow({ marks: 'counted' }).places, by as 'rank', down);
          const values = [...sorted].map((i) => (by === 'trim' ? 1 : table.numbers[by as 'rank'][i]!));
          const known = values.filter((value) => !Number.isNaN(value));
          expect(values.slice(0, known.length)).toEqual(known);
          for (let i = 1; i < known.length; i++)
            expect(down ? known[i - 1]! >= known[i]! : known[i - 1]! <= known[i]!).toBe(true);
        },
      ),
    );
  });

  it('without one part of it, a filter lets through what the other parts do', () => {
    fc.assert(
      fc.property(some, fc.integer({ min: 1, max: 900_000 }), (rows, rank) => {
        const rivals = rows.map((row, i) => laid({ ...row, id: `r${i}` }));
        const table = layOut(rivals, DAY);
        const { price, ...others } = {
          price: [0, 9] as const,
          rank: [1, rank] as const,
          words: 'bee',
          trim: '6×9',
        };
        const narrowed = table.narrow({ ...others, price });
        expect([...narrowed.but('price')]).toEqual([...table.narrow(others).places]);
        expect([...narrowed.but('pages')]).toEqual([...narrowed.places]);
      }),
    );
  });

  it('marks: what counts, what is left out, what is hidden', () => {
    const table = layOut(
      [
        laid({ id: 'a' }),
        laid({ id: 'b', hidden: true }),
        laid({ id: 'c', unlike: true }),
        laid({ id: 'd', watched: true }),
      ],
      DAY,
    );
    expect([...table.narrow({}).places]).toEqual([0, 2, 3]);
    expect([...table.narrow({ marks: 'counted' }).places]).toEqual([0, 3]);
    expect([...table.narrow({ marks: 'left out' }).places]).toEqual([1, 2]);
    expect([...table.narrow({ marks: 'watched' }).places]).toEqual([3]);
    expect([...table.narrow({ ids: ['d', 'a', 'zzz'] }).places]).toEqual([0, 3]);
  });
});

describe('charts', () => {
  it('bars hold every known value once, in even steps from a round number', () => {
    fc.assert(
      fc.property(some, (rows) => {
        const rivals = rows.map((row, i) => laid({ ...row, id: `r${i}` }));
        const table = layOut(rivals, DAY);
        const all = table.narrow({ marks: 'counted' }).places;
        const found = bars(table, all, 'price');
        const known = [...all].filter((i) => rivals[i]!.price !== null);
        expect(found.reduce((sum, { count }) => sum + count, 0)).toBe(known.length);
        expect(found.length).toBeLessThanOrEqual(15);
        for (const [i, bar] of found.entries()) if (i) expect(bar.from).toBeCloseTo(found[i - 1]!.to, 9);
      }),
    );
    expect([7, 0.3, 1234].map((width) => niceStep(width, 10))).toEqual([1, 0.05, 200]);
  });

  it('of many thousands, dots are gathered and none is lost', () => {
    const rivals = Array.from({ length: 5000 }, (_, i) =>
      laid({ id: `r${i}`, rank: 1 + i * 37, price: 5 + (i % 40) / 4 }),
    );
    const table = layOut(rivals, DAY);
    const gathered = dots(table, table.narrow({}).places, 'price', 'copies');
    expect(gathered.length).toBeLessThan(200);
    expect(gathered.reduce((sum, { count }) => sum + count, 0)).toBe(5000);
    expect(trimShares(table, table.narrow({}).places)).toEqual([{ trim: '6×9', count: 5000 }]);
  });
});
