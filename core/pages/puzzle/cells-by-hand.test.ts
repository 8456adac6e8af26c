import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, filledItem } from '../../book/index.ts';
import type { Level } from '../../puzzles/level.ts';
import { cagesByHand } from '../cages/by-hand.ts';
import type { CagesGiven } from '../cages/options.ts';
import { crossSumsByHand } from '../cross-sums/by-hand.ts';
import type { CrossSumsGiven } from '../cross-sums/options.ts';
import { pageKind } from '../index.ts';
import { inequalityByHand } from '../inequality/by-hand.ts';
import type { InequalityGiven } from '../inequality/options.ts';
import { kakuroByHand } from '../kakuro/by-hand.ts';
import type { KakuroGiven } from '../kakuro/options.ts';
import { numberPyramidByHand } from '../number-pyramid/by-hand.ts';
import type { NumberPyramidGiven } from '../number-pyramid/options.ts';
import type { CellsByHand } from './by-hand.ts';
import { LEVEL_NAMES } from './level.ts';

type Item = { level: Level; wanted: Level };
const HOW = {
  cages: [cagesByHand, { size: 5, calculation: 'all' }],
  'cross-sums': [crossSumsByHand, { calculation: 'products' }],
  inequality: [inequalityByHand, { size: 5 }],
  kakuro: [kakuroByHand, { columns: 6, rows: 6 }],
  'number-pyramid': [numberPyramidByHand, { rows: 4 }],
} as const;
type Kind = keyof typeof HOW;
const KINDS = Object.keys(HOW) as Kind[];
/** What is done to a puzzle does not depend on which it is. */
const howTo = (kind: Kind) => HOW[kind][0] as unknown as CellsByHand<Item, object>;

const bookOf = (kind: Kind, pins: object = {}) =>
  bookFrom(
    recipeOf([{ id: 's', kind, items: 5, options: HOW[kind][1], pins }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
    }),
  );
function itemOf(kind: Kind, number: number, pins?: object): Item {
  const book = bookOf(kind, pins);
  return filledItem(book, book.sections.get('s')!, number) as Item;
}
const problemsOf = (kind: Kind, item: object) =>
  pageKind(kind).inspect!(
    item,
    { number: 1, displayNumber: 1, label: 'Puzzle 1' },
    bookOf(kind).sections.get('s')!.options,
  );
const schemaOf = (kind: Kind) => pageKind(kind).pin!.schema;

describe.each(KINDS)('%s, changed by hand', (kind) => {
  const how = howTo(kind);

  it('is sound as it comes, of its level, and the same puzzle when it is kept', () => {
    for (const number of [1, 2, 3, 4, 5]) {
      const item = itemOf(kind, number);
      const draft = how.draft(item);
      const watched = how.watch(draft);
      expect(watched).toMatchObject({ isSound: true, cells: [] });
      // Of cages that were made for every calculation, some may use fewer, and are measured against those.
      if (kind !== 'cages' && kind !== 'cross-sums')
        expect(watched.says).toBe(`One answer. ${LEVEL_NAMES[item.level]}.`);
      const kept = itemOf(kind, 1, { 1: v.parse(schemaOf(kind), draft) });
      expect(pageKind(kind).data!(kept)).toEqual({
        ...(pageKind(kind).data!(item) as object),
        level: kept.level,
      });
      expect(problemsOf(kind, kept)).toEqual([]);
      for (const { answer, given } of how.trial(draft).cells) if (given) expect(answer).not.toBe('');
    }
  });

  const changes = fc.array(
    fc.record({
      does: fc.constantFrom('typed', 'given', 'between', 'joined'),
      cell: fc.nat(),
      toward: fc.nat(),
      sign: fc.nat(),
    }),
    { minLength: 1, maxLength: 6 },
  );

  it('is a puzzle with one answer, or told what it lacks, whatever is changed', () => {
    const begun = [1, 2, 3].map((number) => how.draft(itemOf(kind, number)));
    let kept = 0;
    fc.assert(
      fc.property(fc.constantFrom(...begun), changes, (first, all) => {
        let draft = first;
        for (const { does, cell, toward, sign } of all) {
          const { cells } = how.trial(draft);
          const at = cell % cells.length;
          const other = toward % cells.length;
          const signs = ['', ...how.signs(draft)];
          if (does === 'typed') draft = how.typed(draft, at, signs[sign % signs.length]!);
          else if (does === 'given') draft = how.given?.(draft, at) ?? draft;
          else draft = how[does]?.(draft, at, other) ?? draft;
        }
        const trial = how.trial(draft);
        expect(trial.cells.length).toBe(how.trial(first).cells.length);
        const watched = how.watch(draft);
        for (const cell of watched.cells) expect(trial.cells[cell]).toBeDefined();
        const pin = v.safeParse(schemaOf(kind), draft);
        if (!watched.isSound) {
          expect(watched.says).toMatch(/\.$/);
          // What two answers differ in is not given.
          if (/^There is more than one/.test(watched.says)) {
            expect(watched.cells.length).toBeGreaterThan(0);
            for (const cell of watched.cells) expect(trial.cells[cell]!.given).not.toBe(true);
          }
          // Kept by another way than the dialog, it is told by the proof.
          if (pin.success) expect(problemsOf(kind, itemOf(kind, 1, { 1: pin.output }))).not.toEqual([]);
          return;
        }
        kept++;
        expect(pin.issues).toBeUndefined();
        expect(problemsOf(kind, itemOf(kind, 1, { 1: pin.output }))).toEqual([]);
      }),
      { numRuns: 120 },
    );
    expect(kept).toBeGreaterThan(0);
  });

  it('stays the same object where nothing can be done', () => {
    const draft = how.draft(itemOf(kind, 1));
    const { cells } = how.trial(draft);
    for (const at of cells.keys()) {
      expect(how.joined?.(draft, at, at) ?? draft).toBe(draft);
      expect(how.between?.(draft, at, at) ?? draft).toBe(draft);
    }
  });
});

describe('changes by hand', () => {
  it('of an inequality grid turn a sign, take it out, and put it back; numbers are given and taken out', () => {
    const draft: InequalityGiven = { size: 4, givens: '.'.repeat(16), signs: [] };
    const one = inequalityByHand.between!(draft, 0, 1);
    const two = inequalityByHand.between!(one, 0, 1);
    expect([one, two].map(({ signs }) => signs)).toEqual([[[0, 1]], [[1, 0]]]);
    expect(inequalityByHand.between!(two, 1, 0)).toEqual(draft);
    expect(inequalityByHand.between!(draft, 0, 2)).toBe(draft);
    expect(inequalityByHand.between!(draft, 3, 4)).toBe(draft);
    const given = inequalityByHand.typed(draft, 5, '3');
    expect(given.givens).toBe(`.....3${'.'.repeat(10)}`);
    expect(inequalityByHand.typed(given, 5, '')).toEqual(draft);
    expect(inequalityByHand.watch(draft).says).toMatch(/^There is more than one answer/);
    // 4 is less than nothing.
    expect(inequalityByHand.watch(inequalityByHand.typed(one, 0, '4'))).toMatchObject({
      isSound: false,
      says: expect.stringMatching(/^There is no answer/),
      cells: [0, 1],
    });
    // Four signs lead around in a circle; others do not matter.
    const round: InequalityGiven['signs'] = [
      [0, 1],
      [10, 11],
      [1, 5],
      [5, 4],
      [3, 7],
      [4, 0],
    ];
    expect(inequalityByHand.watch({ ...draft, signs: round }).cells).toEqual([0, 1, 4, 5]);
    // The same number twice in a row.
    const twice = `..3.${'.'.repeat(8)}3..3`;
    expect(inequalityByHand.watch({ ...draft, givens: twice }).cells).toEqual([12, 15]);
  });

  it('of a kakuro say what is wrong with runs, and close and open cells', () => {
    // The least kakuro: 1 2 over 3 1, in a grid whose first row and column hold sums.
    const draft: KakuroGiven = {
      ...{ columns: 5, rows: 5 },
      solution: ['.....', '.12..', '.31..', '.....', '.....'].join(''),
    };
    expect(kakuroByHand.watch(draft)).toMatchObject({ isSound: true });
    const cellAt = (row: number, column: number) => (row - 1) * 4 + column - 1;
    const says = (row: number, column: number, sign: string) =>
      kakuroByHand.watch(kakuroByHand.typed(draft, cellAt(row, column), sign));
    expect(says(1, 1, '2')).toMatchObject({ isSound: false, cells: [cellAt(1, 1), cellAt(1, 2)] });
    expect(says(1, 1, '2').says).toMatch(/twice in one sum/);
    expect(says(1, 1, '')).toMatchObject({ isSound: false, cells: [cellAt(1, 2), cellAt(2, 1)] });
    expect(says(4, 4, '5')).toMatchObject({ isSound: false, cells: [cellAt(4, 4)] });
    expect(says(4, 4, '5').says).toMatch(/alone/);
    // 5 + 6 over 6 + 5: the sums are the same the other way round.
    const even = { ...draft, solution: ['.....', '.56..', '.65..', '.....', '.....'].join('') };
    expect(kakuroByHand.watch(even)).toMatchObject({ isSound: false, cells: [0, 1, 4, 5] });
    const none = [0, 1, 4, 5].reduce((next, cell) => kakuroByHand.typed(next, cell, ''), draft);
    expect(kakuroByHand.watch(none).says).toBe('There is no digit. Type some.');
    expect(kakuroByHand.trial(none).cells.every(({ closed }) => closed)).toBe(true);
  });

  it('of cross sums exchange two digits, and turn a sign', () => {
    const draft: CrossSumsGiven = {
      solution: [1, 2, 3, 4, 5, 6, 7, 8, 9],
      given: [0, 4],
      operators: Array.from({ length: 6 }, () => ['+', '+']),
    };
    expect(crossSumsByHand.typed(draft, 0, '9').solution).toEqual([9, 2, 3, 4, 5, 6, 7, 8, 1]);
    expect(crossSumsByHand.typed(draft, 0, '1')).toBe(draft);
    const turned = crossSumsByHand.between!(draft, 5, 4);
    expect(turned.operators[1]).toEqual(['+', '−']);
    expect(crossSumsByHand.between!(turned, 4, 7).operators[4]).toEqual(['+', '−']);
    expect(crossSumsByHand.between!(draft, 2, 3)).toBe(draft);
    expect(crossSumsByHand.between!(draft, 0, 2)).toBe(draft);
    // 1 − 2 goes below 1.
    const below = crossSumsByHand.between!(draft, 0, 1);
    expect(crossSumsByHand.watch(below)).toMatchObject({ isSound: false, cells: [0, 1, 2] });
    expect(crossSumsByHand.given!(draft, 4).given).toEqual([0]);
  });

  it('of a pyramid add up anew, and read numbers of two digits', () => {
    const draft: NumberPyramidGiven = { lowest: [1, 2, 3], given: [0, 3, 5] };
    const [more] = ['2', '4'].map((sign) => numberPyramidByHand.typed(draft, 3, sign));
    expect(more!.lowest).toEqual([12, 2, 3]);
    expect(numberPyramidByHand.trial(more!).cells.map(({ answer }) => answer)).toEqual([
      '19',
      '14',
      '5',
      '12',
      '2',
      '3',
    ]);
    // 99 is more than a lowest brick holds: it begins anew.
    expect(numberPyramidByHand.typed({ ...draft, lowest: [9, 2, 3] }, 3, '9').lowest[0]).toBe(9);
    expect(numberPyramidByHand.typed(draft, 0, '5')).toBe(draft);
    const empty = numberPyramidByHand.typed(draft, 4, '');
    expect(numberPyramidByHand.watch(empty)).toMatchObject({ isSound: false, cells: [4] });
    // The top brick and one side leave the rest open.
    expect(numberPyramidByHand.watch({ ...draft, given: [0, 3] })).toMatchObject({
      isSound: false,
      cells: [1, 2, 4, 5],
    });
  });

  it('of cages take a cell along, set one apart, and keep what they do where they can', () => {
    const draft: CagesGiven = {
      size: 4,
      solution: '1234341221434321',
      cages: [
        { cells: [0, 1], operation: '×' },
        { cells: [2, 3, 7], operation: '+' },
        ...[4, 5, 6, 8, 9, 10, 11, 12, 13, 14, 15].map((at) => ({ cells: [at], operation: null })),
      ],
    };
    const first = ({ cages }: CagesGiven) => cages.find(({ cells }) => cells.includes(1))!;
    const joined = cagesByHand.joined!(draft, 1, 2);
    expect(first(joined)).toEqual({ cells: [0, 1, 2], operation: '×' });
    expect(joined.cages.find(({ cells }) => cells.includes(3))).toEqual({ cells: [3, 7], operation: '+' });
    // What the middle of a cage held together falls apart.
    const parted = cagesByHand.typed(draft, 3, '');
    expect(parted.cages.filter(({ cells }) => cells.some((at) => [2, 3, 7].includes(at)))).toEqual(
      [2, 3, 7].map((at) => ({ cells: [at], operation: null })),
    );
    expect(cagesByHand.typed(draft, 4, '')).toBe(draft);
    expect(first(cagesByHand.typed(draft, 0, '÷')).operation).toBe('÷');
    // 4 and 3 have no whole quotient, three cells no difference.
    expect(cagesByHand.typed(parted, 2, '÷')).toBe(parted);
    expect(cagesByHand.typed(draft, 2, '−')).toBe(draft);
    const large = [2, 3, 7, 6].reduce(
      (next, at, i, all) => cagesByHand.joined!(next, all[i - 1] ?? 1, at),
      draft,
    );
    expect(cagesByHand.watch(large)).toMatchObject({ isSound: false, cells: [0, 1, 2, 3, 6, 7] });
  });
});

describe('pins of puzzles that were changed', () => {
  const refused: [Kind, object][] = [
    ['inequality', { size: 4, givens: '.'.repeat(15), signs: [] }],
    ['inequality', { size: 4, givens: `5${'.'.repeat(15)}`, signs: [] }],
    ['inequality', { size: 4, givens: '.'.repeat(16), signs: [[0, 2]] }],
    [
      'inequality',
      {
        size: 4,
        givens: '.'.repeat(16),
        signs: [
          [0, 1],
          [1, 0],
        ],
      },
    ],
    ['kakuro', { columns: 5, rows: 5, solution: '.'.repeat(25) }],
    ['kakuro', { columns: 5, rows: 5, solution: `12${'.'.repeat(23)}` }],
    ['kakuro', { columns: 5, rows: 5, solution: `......11...11${'.'.repeat(12)}` }],
    [
      'cross-sums',
      { solution: [1, 1, 3, 4, 5, 6, 7, 8, 9], given: [], operators: Array(6).fill(['+', '+']) },
    ],
    [
      'cross-sums',
      { solution: [1, 2, 3, 4, 5, 6, 7, 8, 9], given: [], operators: Array(6).fill(['−', '+']) },
    ],
    ['number-pyramid', { lowest: [1, 0, 3], given: [] }],
    ['cages', { size: 4, solution: '1234341221434321', cages: [{ cells: [0, 1], operation: '+' }] }],
    ['cages', { size: 4, solution: '1'.repeat(16), cages: [] }],
    [
      'cages',
      {
        size: 4,
        solution: '1234341221434321',
        cages: Array.from({ length: 16 }, (_, at) => ({ cells: [at], operation: '+' })),
      },
    ],
  ];

  it.each(refused)('of %s are refused where they are no puzzle: %j', (kind, pin) => {
    expect(v.safeParse(schemaOf(kind), pin).success).toBe(false);
  });
});
