import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { csvOf } from '../../csv.ts';
import {
  comparablesTable,
  guessTableWriting,
  matchColumns,
  phrasesTable,
  type ReadContext,
  readDay,
  readNumber,
  readRaw,
  readRows,
  readTrim,
  salesTable,
  USUAL_RATES,
} from './index.ts';

function bring(
  text: string,
  table: typeof comparablesTable = comparablesTable,
  into: ReadContext['into'] = 'USD',
) {
  const raw = readRaw(text, table.fields);
  const matching = matchColumns(raw, table.fields);
  const writing = guessTableWriting(raw, matching, table.fields);
  return { raw, matching, writing, ...readRows(table, raw, matching, { writing, rates: USUAL_RATES, into }) };
}

describe('RFC 4180, rule by rule', () => {
  const cells = (text: string) => readRaw(text, salesTable.fields).rows.map((row) => row.cells);
  it.each([
    [
      '1: records on lines of their own',
      'aaa,bbb,ccc\r\nzzz,yyy,xxx\r\n',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      '2: the last may have no line end',
      'aaa,bbb,ccc\r\nzzz,yyy,xxx',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      '5: quoted cells',
      '"aaa","bbb","ccc"\r\nzzz,yyy,xxx',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      '6: line ends and commas inside quotes',
      '"aaa","b\r\nb,b","ccc"\r\nzzz,yyy,xxx',
      [
        ['aaa', 'b\r\nb,b', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    ['7: doubled quotes', '"aaa","b""bb","ccc"', [['aaa', 'b"bb', 'ccc']]],
  ])('%s', (_, text, wanted) => {
    expect(cells(text)).toEqual(wanted);
  });

  it('3: a heading is told from rows, and 4: what csvOf writes reads back', () => {
    expect(readRaw('rank,copies\r\n12,34\r\n', salesTable.fields)).toEqual({
      heading: ['rank', 'copies'],
      rows: [{ line: 2, cells: ['12', '34'] }],
    });
    const cell = fc.string({ unit: fc.constantFrom('a', 'é', '"', ',', ';', '\n', ' b', '9', 'x') });
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell, cell), { minLength: 2, maxLength: 8 }), (rows) => {
        const wanted = rows.map((row) => row.map((text) => text.trim())).filter((row) => row.some(Boolean));
        const quoted = rows
          .map((row) => row.map((text) => `"${text.replaceAll('"', '""')}"`).join(','))
          .join('\r\n');
        expect(cells(quoted)).toEqual(wanted);
      }),
    );
    expect(csvOf([['a "b"', '=1+1', -3.5, null, true]])).toBe('"a ""b""",\'=1+1,-3.5,,true\r\n');
  });

  it('lines are counted through quoted line ends, so that a problem names its line', () => {
    const { unreadable } = bring('title,rank\r\n"two\r\nlines",5\r\nok,x\r\n');
    expect(unreadable).toMatchObject([
      { line: 4, problems: [{ field: 'rank', reason: 'Rank: “x” is not a number.' }] },
    ]);
  });
});

describe('a table from a spreadsheet', () => {
  it('decimal commas, euros, centimeters and days are guessed together', () => {
    const found = bring(
      'Titel;Autor;Preis;Rang;Bewertungen;Seiten;Breite;Höhe;Datum\n' +
        'Bienen;Odile M;8,99 €;12.345;17;120;15,24;22,86;24.11.2025\n' +
        'Sterne;Teodor V;10,50 €;1.204.500;0;96;21,59;27,94;3.2.2024\n',
    );
    expect(found.writing).toEqual({ decimal: ',', currency: 'EUR', unit: 'cm', days: 'day first' });
    expect(found.unreadable).toEqual([]);
    expect(found.rows[0]).toMatchObject({
      title: 'Bienen',
      price: 9.71,
      rank: 12345,
      trim: { width: 6, height: 9 },
      published: '2025-11-24',
    });
    expect(found.rows[1]).toMatchObject({ rank: 1204500, trim: { width: 8.5, height: 11 } });
  });

  it('pasted with tabs, without a heading, columns are known by their look', () => {
    const found = bring('Bee Log\t$7.99\t6 x 9 in\t2025-03-01\nNight Book\t$8.49\t8.5 x 11 in\t2024-12-24\n');
    expect(found.matching).toEqual(['title', 'price', 'trim', 'published']);
    expect(found.rows[1]).toMatchObject({
      price: 8.49,
      trim: { width: 8.5, height: 11 },
      published: '2024-12-24',
    });
  });

  it('every row that cannot be read is listed with its reason, and none is lost', () => {
    const found = bring(
      'title,price,rank,pages,trim\nA,8.99,100,120,6 x 9\n,8.99,100,120,6 x 9\nC,about nine,100,120,6 x 9\nD,8.99,0,120,6 x 9\nE,8.99,7,0,90 x 90 in\n',
    );
    expect(found.rows).toHaveLength(1);
    expect(
      found.unreadable.map(({ line, problems }) => [line, problems.map(({ reason }) => reason)]),
    ).toEqual([
      [3, ['Title is empty.']],
      [4, ['Price: “about nine” is not a price.']],
      [5, ['Rank: 0 is not between 1 and 100,000,000.']],
      [6, ['Trim: 90 × 90 in is not a plausible trim size.', 'Pages: 0 is not between 1 and 3,000.']],
    ]);
  });

  it('phrases and sales have tables of their own', () => {
    expect(bring('Keyword\tSearch volume\nBee  Journal\t1,200\n', phrasesTable as never).rows).toEqual([
      { phrase: 'bee journal', results: null, volume: 1200 },
    ]);
    expect(bring('915\t6044\n2000\t2550\n', salesTable as never).rows).toEqual([
      { rank: 915, copies: 6044 },
      { rank: 2000, copies: 2550 },
    ]);
  });
});

describe('cells', () => {
  it('numbers read back in either writing', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 99_999_999 }),
        fc.constantFrom('.', ','),
        (hundredths, decimal) => {
          const value = hundredths / 100;
          const text = new Intl.NumberFormat(decimal === '.' ? 'en-US' : 'de-DE', {
            minimumFractionDigits: 2,
          }).format(value);
          expect(readNumber(text, { decimal: decimal as '.' | ',' })).toEqual({ value });
        },
      ),
    );
    const counted = ['#45,678', '110 pages', '12 pp.', '1,204 ratings', '# 7'];
    expect(counted.map((text) => readNumber(text, { decimal: '.' }))).toEqual(
      [45678, 110, 12, 1204, 7].map((value) => ({ value })),
    );
    for (const text of ['', '#', 'pages', '1.2.3', '12a', '1,23,456', '--3'])
      expect(readNumber(text, { decimal: '.' })).toHaveProperty('problem');
  });

  it('days and trims', () => {
    expect(readDay('03/04/2025', { days: 'day first' })).toEqual({ value: '2025-04-03' });
    expect(readDay('03/04/2025', { days: 'month first' })).toEqual({ value: '2025-03-04' });
    expect(readDay('24 Nov 2026', { days: 'month first' })).toEqual({ value: '2026-11-24' });
    expect(readDay('31/02/2025', { days: 'day first' })).toHaveProperty('problem');
    const metric = { decimal: '.', currency: 'GBP', unit: 'mm', days: 'day first' } as const;
    expect(readTrim('148 × 210', metric)).toEqual({ value: { width: 5.827, height: 8.268 } });
    expect(readTrim('8.5" x 11"', metric)).toEqual({ value: { width: 8.5, height: 11 } });
    expect(readTrim('large', metric)).toHaveProperty('problem');
    // ISO 216: A5 is 148 × 210 mm.
    expect(readTrim('A5', metric)).toEqual({ value: { width: 5.827, height: 8.268 } });
    expect(readDay('Jan 2023', { days: 'day first' })).toEqual({ value: '2023-01-01' });
    expect(readDay('September 2024', { days: 'day first' })).toEqual({ value: '2024-09-01' });
    expect(readDay('2023-11', { days: 'day first' })).toEqual({ value: '2023-11-01' });
    expect(readDay('13 2023', { days: 'day first' })).toHaveProperty('problem');
  });

  it('what a table from here says is read back: guarded signs, category, black ink, yen', () => {
    const text = csvOf([
      ['title', 'author', 'price', 'ink', 'category', 'id'],
      ['=SUM of Bees', '-dash', '¥1,200', 'B&W', 'Word searches › Garden', 'own-7f'],
    ]);
    expect(text).toContain("'=SUM of Bees");
    expect(bring(text).rows).toEqual([
      expect.objectContaining({
        id: 'own-7f',
        title: '=SUM of Bees',
        penName: '-dash',
        // 1,200 yen at the usual rate of 0.0067 dollars.
        price: 8.04,
        ink: 'black',
        category: 'Word searches › Garden',
      }),
    ]);
  });
});

describe('money and marks of a table', () => {
  it('prices are turned into the currency of the market, by their own sign, their column, or how the table is written', () => {
    const prices = (text: string, into: ReadContext['into']) =>
      bring(text, comparablesTable, into).rows.map(({ price }) => price);
    expect(prices('Title,Price\nA,£8.00\nB,$8.00\n', 'GBP')).toEqual([8, 6.4]);
    expect(prices('Title,Price,Currency\nA,8.00,GBP\nB,8.00,USD\n', 'USD')).toEqual([10, 8]);
    expect(prices('Title,Price,Currency\nA,8.00,GBP\n', 'GBP')).toEqual([8]);
    const { unreadable } = bring('Title,Price,Currency\nA,8.00,doubloons\n');
    expect(unreadable[0]!.problems).toEqual([
      { field: 'currency', reason: 'Currency: “doubloons” is not one of USD, GBP, EUR, JPY.' },
    ]);
  });

  it('marks are read where the table has them, and left alone where it has not', () => {
    const { rows } = bring(
      'title,price,hidden,not comparable,under watch\nA,8.99,yes,no,no\nB,8.99,no,yes,yes\nC,8.99,,,\n',
    );
    expect(rows.map(({ hidden, notComparable, watched }) => [hidden, notComparable, watched])).toEqual([
      [true, false, false],
      [false, true, true],
      [undefined, undefined, undefined],
    ]);
    expect(bring('title,hidden\nA,perhaps\n').unreadable[0]!.problems[0]!.reason).toBe(
      'Hidden: “perhaps” is neither yes nor no.',
    );
  });
});
