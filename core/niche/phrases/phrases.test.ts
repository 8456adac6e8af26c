import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gapTable, type KnownPhrase, missingCells } from '../gaps.ts';
import { DEFAULT_LISTS, EXPANSION_IDS, expand, groupByStems, partsOf, suggestionStarts } from './index.ts';

describe('groups', () => {
  it('group phrases by what they share beside the niche’s own words', () => {
    const groups = groupByStems(
      'beekeeping journal',
      [
        'beekeeping journal',
        'beekeeping journals for women',
        'womens beekeeping journal',
        'beekeeper journal 2027',
      ].map((phrase) => ({ phrase })),
    );
    expect(groups.map(({ name, phrases }) => [name, phrases.length])).toEqual([
      ['women', 2],
      ['', 2],
    ]);
  });
});

describe('parts of a phrase', () => {
  it.each([
    [
      'Beekeeping Word Search for Adults: Large Print',
      { topic: 'beekeeping', kind: 'word search', audience: 'adults', format: 'large print' },
    ],
    [
      '100 easy sudoku for kids',
      { topic: '', kind: 'sudoku', audience: 'kids', number: '100', format: 'easy' },
    ],
    ['gardening planner 2027', { topic: 'gardening', kind: 'planner', year: '2027' }],
    ['Beekeeper’s log book', { topic: 'beekeeper', kind: 'log book' }],
    ['moss', { topic: 'moss', kind: '' }],
  ])('%s', (phrase, parts) => {
    expect(partsOf(phrase, DEFAULT_LISTS)).toMatchObject(parts);
  });
});

describe('expanding a phrase', () => {
  it('from one phrase to hundreds, each once, none empty, the phrase itself first', () => {
    const all = expand('beekeeping word search', EXPANSION_IDS, DEFAULT_LISTS, 2026);
    expect(all.length).toBeGreaterThan(150);
    expect(all[0]).toEqual({ phrase: 'beekeeping word search', way: 'itself' });
    expect(new Set(all.map(({ phrase }) => phrase)).size).toBe(all.length);
    const phrases = all.map(({ phrase }) => phrase);
    expect(phrases).toEqual(
      expect.arrayContaining([
        'beekeeping word search for teens',
        'beekeeping word search large print',
        '365 beekeeping word search',
        'beekeeping word search 2027',
        'christmas beekeeping word search',
        'beekeeping planner',
        'large print beekeeping word search for seniors',
      ]),
    );
    expect(suggestionStarts('bee')).toHaveLength(53);
  });

  it('makes no nonsense: what is hard, undated or counted must make sense of the kind of book', () => {
    const phrases = (phrase: string) =>
      expand(phrase, EXPANSION_IDS, DEFAULT_LISTS, 2026).map((one) => one.phrase);
    expect(phrases('moth word search').join('\n')).not.toMatch(/undated/);
    expect(phrases('moth journal').join('\n')).not.toMatch(/\b(easy|hard)\b|^\d+ moth journal/m);
    expect(phrases('moth planner')).toContain('moth planner undated');
    expect(phrases('moth word search')).toContain('hard moth word search for teens');
    // Of a kind that nobody knows, everything may be said.
    expect(phrases('moth chart')).toContain('moth chart hard');
  });

  it('a part that is there gives way and is not doubled', () => {
    for (const { phrase } of expand('bird journal for kids', ['audience', 'combined'], DEFAULT_LISTS, 2026))
      expect(phrase.match(/ for /g)?.length ?? 0).toBeLessThanOrEqual(1);
  });

  it('keeps what an expanded phrase was made of readable', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...DEFAULT_LISTS.audiences),
        fc.constantFrom(...DEFAULT_LISTS.kinds),
        (whom, kind) => {
          const parts = partsOf(`moth ${kind} for ${whom}`, DEFAULT_LISTS);
          expect(parts).toMatchObject({ topic: 'moth', audience: whom, kind });
        },
      ),
    );
  });
});

describe('gaps', () => {
  const known = (phrase: string, demand: number, sellers: number): KnownPhrase => ({
    id: phrase,
    phrase,
    parts: partsOf(phrase, DEFAULT_LISTS),
    results: 49,
    demand,
    sellers,
    itself: phrase === 'bee word search',
    searches: null,
  });
  it('demand with few books on sale comes first; empty corners are no gaps', () => {
    const table = gapTable(
      [
        // What the niche itself says is no news.
        known('bee word search', 5000, 1),
        known('bee word search for adults', 900, 18),
        known('bee word search for kids large print', 400, 1),
        known('bee word search for teens', 3, 0),
        known('bees word search for kids large print', 100, 9),
      ],
      'audience',
      'format',
      50,
      0.1,
    );
    expect(table.best.map(({ row, column }) => `${row} ${column}`)).toEqual([
      'adults any format',
      'kids large print',
    ]);
    const at = (row: string, column: string) =>
      table.cells[table.rows.indexOf(row)]![table.columns.indexOf(column)];
    expect(at('kids', 'large print')).toMatchObject({ demand: 400, sellers: 1, results: 49, share: 8 });
    expect(at('kids', 'large print')!.phrases).toHaveLength(2);
    expect(at('adults', 'large print')).toBeNull();
  });

  it('what is searched for and on sale nowhere is a gap; what nobody asks for is left out', () => {
    const table = gapTable(
      [
        known('bee word search for adults', 900, 18),
        { ...known('bee word search for nurses', 0, 0), results: 0, searches: 700 },
        { ...known('bee word search for dads', 0, 0), results: 0, searches: null },
      ],
      'audience',
      'format',
      50,
      0.1,
    );
    // 700 searches sell 70 copies, to a single book.
    expect(table.best.map(({ row, share }) => [row, share])).toEqual([
      ['nurses', expect.closeTo(70, 9)],
      ['adults', 18],
    ]);
    expect(table.rows).toEqual(['adults', 'nurses']);
  });

  it('cells that nobody asked for yet are told as phrases, once each, and only those that make sense', () => {
    const lists = { ...DEFAULT_LISTS, audiences: ['kids', 'teens'], formats: ['large print', 'undated'] };
    const own = partsOf('bee word search', lists);
    const missing = missingCells(
      [known('large print bee word search for kids', 9, 1)],
      own,
      'audience',
      'format',
      lists,
    );
    expect(missing).toEqual(['large print bee word search for teens']);
    expect(missingCells([], partsOf('bee planner', lists), 'audience', 'format', lists)).toHaveLength(4);
    // Everything that is missing, once known, is missing no longer.
    fc.assert(
      fc.property(
        fc.subarray(['audience', 'format', 'kind'] as const, { minLength: 2, maxLength: 2 }),
        ([a, b]) => {
          const first = missingCells([], own, a!, b!, DEFAULT_LISTS);
          const after = missingCells(
            first.map((phrase) => known(phrase, 0, 0)),
            own,
            a!,
            b!,
            DEFAULT_LISTS,
          );
          expect(new Set(first).size).toBe(first.length);
          expect(after).toEqual([]);
        },
      ),
    );
  });
});
