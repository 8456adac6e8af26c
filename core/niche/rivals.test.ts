import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  authorShares,
  histogram,
  indexRivals,
  niceStep,
  type RivalFilter,
  scatterPoints,
  trimShares,
} from './index.ts';
import { indexed } from './rivals.sample.ts';

const DAY = '2026-11-24';
const some = fc.array(
  fc.record({
    rank: fc.option(fc.integer({ min: 1, max: 900_000 })),
    price: fc.option(fc.integer({ min: 300, max: 2000 }).map((cents) => cents / 100)),
    pages: fc.option(fc.integer({ min: 24, max: 400 })),
    reviews: fc.option(fc.integer({ min: 0, max: 3000 })),
    hidden: fc.boolean(),
    notComparable: fc.boolean(),
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
          const rivals = rows.map((row, i) => indexed({ ...row, id: `r${i}` }));
          const table = indexRivals(rivals, DAY);
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
          expect([...table.filterBy(filter).rowIndices]).toEqual(wanted);
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
          const rivals = rows.map((row, i) => indexed({ ...row, id: `r${i}` }));
          const table = indexRivals(rivals, DAY);
          const sorted = table.sort(table.filterBy({ marks: 'counted' }).rowIndices, by as 'rank', down);
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
        const rivals = rows.map((row, i) => indexed({ ...row, id: `r${i}` }));
        const table = indexRivals(rivals, DAY);
        const { price, ...others } = {
          price: [0, 9] as const,
          rank: [1, rank] as const,
          words: 'bee',
          trim: '6×9',
        };
        const filtered = table.filterBy({ ...others, price });
        expect([...filtered.without('price')]).toEqual([...table.filterBy(others).rowIndices]);
        expect([...filtered.without('pages')]).toEqual([...filtered.rowIndices]);
      }),
    );
  });

  it('marks: what counts, what is left out, what is hidden', () => {
    const table = indexRivals(
      [
        indexed({ id: 'a' }),
        indexed({ id: 'b', hidden: true }),
        indexed({ id: 'c', notComparable: true }),
        indexed({ id: 'd', watched: true }),
      ],
      DAY,
    );
    expect([...table.filterBy({}).rowIndices]).toEqual([0, 2, 3]);
    expect([...table.filterBy({ marks: 'counted' }).rowIndices]).toEqual([0, 1, 3]);
    expect([...table.filterBy({ marks: 'left out' }).rowIndices]).toEqual([2]);
    expect([...table.filterBy({ marks: 'hidden' }).rowIndices]).toEqual([1]);
    expect([...table.filterBy({ marks: 'watched' }).rowIndices]).toEqual([3]);
    expect([...table.filterBy({ ids: ['d', 'a', 'zzz'] }).rowIndices]).toEqual([0, 3]);
  });
});

describe('charts', () => {
  it('authors are counted with their books and their share of the copies', () => {
    const rivals = [
      indexed({ id: 'a', penName: 'Una', rank: 1000 }),
      indexed({ id: 'b', penName: 'Una', rank: null }),
      indexed({ id: 'c', penName: 'Ivo', rank: 1000 }),
      indexed({ id: 'd', penName: 'Ivo', rank: 10, notComparable: true }),
      indexed({ id: 'e', penName: '', rank: 10 }),
    ];
    expect([...authorShares(rivals)]).toEqual([
      ['Una', { books: 2, share: 0.5 }],
      ['Ivo', { books: 1, share: 0.5 }],
    ]);
    const table = indexRivals(rivals, DAY);
    const sorted = table.sort(table.filterBy({}).rowIndices, 'author', false);
    expect(Array.from(sorted, (i) => rivals[i]!.penName)).toEqual(['', 'Ivo', 'Ivo', 'Una', 'Una']);
  });

  it('bars hold every known value once, in even steps from a round number', () => {
    fc.assert(
      fc.property(some, (rows) => {
        const rivals = rows.map((row, i) => indexed({ ...row, id: `r${i}` }));
        const table = indexRivals(rivals, DAY);
        const all = table.filterBy({ marks: 'counted' }).rowIndices;
        const found = histogram(table, all, 'price');
        const known = [...all].filter((i) => rivals[i]!.price !== null);
        expect(found.reduce((sum, { count }) => sum + count, 0)).toBe(known.length);
        expect(found.length).toBeLessThanOrEqual(15);
        for (const [i, bar] of found.entries()) if (i) expect(bar.from).toBeCloseTo(found[i - 1]!.to, 9);
      }),
    );
    expect([7, 0.3, 1234].map((width) => niceStep(width, 10))).toEqual([1, 0.05, 200]);
  });

  it('a few far off do not squeeze the rest: the last bar takes them in, and dots say how many are left out', () => {
    const rivals = Array.from({ length: 100 }, (_, i) =>
      indexed({ id: `r${i}`, rank: 1000 + i, price: i < 98 ? 5 + (i % 10) : 180 + i, pages: 100 }),
    );
    const table = indexRivals(rivals, DAY);
    const { rowIndices } = table.filterBy({});
    const bars = histogram(table, rowIndices, 'price');
    expect(bars.at(-1)!.open).toBe(true);
    expect(bars.at(-1)!.to).toBeLessThan(20);
    expect(bars.reduce((sum, { count }) => sum + count, 0)).toBe(100);
    expect(bars.reduce((sum, { copies }) => sum + copies, 0)).toBeCloseTo(
      rivals.reduce((sum, { copies }) => sum + copies!, 0),
      3,
    );
    expect(histogram(table, rowIndices, 'pages').some(({ open }) => open)).toBe(false);
    const { dots, beyond } = scatterPoints(table, rowIndices, 'price', 'copies');
    expect([dots.length, beyond]).toEqual([98, 2]);
  });

  it('of many thousands, dots are gathered and none is lost', () => {
    const rivals = Array.from({ length: 5000 }, (_, i) =>
      indexed({ id: `r${i}`, rank: 1 + i * 37, price: 5 + (i % 40) / 4 }),
    );
    const table = indexRivals(rivals, DAY);
    const { dots: gathered, beyond } = scatterPoints(table, table.filterBy({}).rowIndices, 'price', 'copies');
    expect(beyond).toBe(0);
    expect(gathered.length).toBeLessThan(200);
    expect(gathered.reduce((sum, { count }) => sum + count, 0)).toBe(5000);
    expect(trimShares(table, table.filterBy({}).rowIndices)).toEqual([
      {
        trim: '6×9',
        count: 5000,
        copies: expect.closeTo(
          rivals.reduce((sum, { copies }) => sum + copies!, 0),
          3,
        ),
      },
    ]);
  });
});
