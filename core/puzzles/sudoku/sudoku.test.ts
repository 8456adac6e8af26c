import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { LEVELS } from '../level.ts';
import { BandSolver } from './bands.ts';
import { Board, FINDS } from './board.ts';
import { filledGrid } from './fill.ts';
import { coversOf, gridText, rate, readGrid, type Shape, SIZES, shapeOf, sudokuSteps } from './index.ts';
import { jigsawShape } from './jigsaw.ts';
import { SudokuMaker, SYMMETRIES } from './make.ts';
import { GRADES, type Grade } from './rate.ts';
import { solutionsOf } from './solve.ts';
import { TECHNIQUES, type Technique } from './techniques.ts';

const everything = process.env.QUILL_SWEEP === 'all';

/** Runs what gives way to its end. */
const made = (order: Parameters<typeof sudokuSteps>[0], ...key: (string | number)[]) =>
  atOnce(sudokuSteps(order, randomStream('sudoku', ...key)));

const holds = (shape: Shape, values: ArrayLike<number>): boolean =>
  shape.units.every((unit) => new Set(Array.from(unit, (cell) => values[cell])).size === shape.size);
const countGivens = (values: Uint8Array): number => values.filter(Boolean).length;

describe('shapes and grids', () => {
  it('boxes of every size share out the cells, and peers are those of the units', () => {
    for (const size of SIZES)
      for (const variant of ['classic', 'diagonal'] as const) {
        const { cells, units, peers, sees } = shapeOf(size, variant);
        expect(units).toHaveLength(3 * size + (variant === 'diagonal' ? 2 : 0));
        for (let cell = 0; cell < cells; cell++) {
          const own = units.filter((unit) => unit.includes(cell));
          const shared = [...new Set(own.flatMap((unit) => [...unit]))].filter((other) => other !== cell);
          shared.sort((a, b) => a - b);
          expect([...peers[cell]!].sort((a, b) => a - b)).toEqual(shared);
          const seen = [...sees.subarray(cell * cells, (cell + 1) * cells).keys()];
          expect(seen.filter((other) => sees[cell * cells + other])).toEqual(shared);
        }
      }
    // 20 peers on 9 × 9: common knowledge of the game, no source.
    expect(shapeOf(9).peers[40]).toHaveLength(20);
  });

  it('boxes of any outline are in one piece each, of as many cells', () => {
    for (const size of [4, 6, 9] as const)
      for (let seed = 0; seed < 10; seed++) {
        const { boxOf } = jigsawShape(size, randomStream('outline', size, seed));
        for (let box = 0; box < size; box++) {
          const cells = [...boxOf.keys()].filter((cell) => boxOf[cell] === box);
          const reached = new Set([cells[0]!]);
          for (const cell of reached)
            for (const next of [cell - size, cell + size, cell - 1, cell + 1])
              if (cells.includes(next) && Math.abs((next % size) - (cell % size)) <= 1) reached.add(next);
          expect(reached.size).toBe(size);
        }
      }
  });

  it('a grid in characters is read as it is written, and one that is none is told', () => {
    const text = '53..7....6..195....98....6.8...6...34..8.3..17...2...6.6....28....419..5....8..79';
    expect(gridText(readGrid(9, text))).toBe(text);
    expect(gridText(readGrid(9, text.replaceAll('.', '0')))).toBe(text);
    expect(readGrid(16, `${'G'.repeat(16)}${'.'.repeat(240)}`)[15]).toBe(16);
    expect(() => readGrid(9, '123')).toThrow('A grid of 9 × 9 has 81 characters, not 3.');
  });

  it('filled grids have every digit once in each unit', () => {
    for (const size of SIZES)
      for (const variant of ['classic', 'diagonal'] as const) {
        const shape = shapeOf(size, variant);
        const grid = filledGrid(shape, randomStream('fill', size, variant));
        expect(holds(shape, grid!)).toBe(true);
      }
    const bands = new BandSolver();
    for (let seed = 0; seed < 200; seed++)
      expect(holds(shapeOf(9), bands.fill(randomStream('bands', seed)))).toBe(true);
  });
});

describe('solvers', () => {
  it('count the 288 grids of 4 × 4 (OEIS A107739) and the 28,200,960 of 6 × 6 by their first row', () => {
    expect(solutionsOf(shapeOf(4), new Uint8Array(16), 1000).count).toBe(288);
    expect(coversOf(shapeOf(4), new Uint8Array(16), 1000)).toHaveLength(288);
    // A first row and a first column besides leave as many each time: 28,200,960 / 6! = 39,168 (OEIS A107739).
    const row = Uint8Array.from({ length: 36 }, (_, cell) => (cell < 6 ? cell + 1 : 0));
    expect(solutionsOf(shapeOf(6), row, 100_000).count).toBe(39_168);
  });

  it('solve a grid of 17 givens, the fewest there can be (McGuire, Tugemann and Civario 2012)', () => {
    // The first of the list of Gordon Royle, from memory; what it says of itself is checked here.
    const givens = readGrid(
      9,
      '000000010400000000020000000000050407008000300001090000300400200050100000000806000',
    );
    const solution = '693784512487512936125963874932651487568247391741398625319475268856129743274836159';
    expect(countGivens(givens)).toBe(17);
    for (const found of [
      solutionsOf(shapeOf(9), givens),
      new BandSolver().solve(givens),
      { count: coversOf(shapeOf(9), givens).length, first: coversOf(shapeOf(9), givens)[0]! },
    ]) {
      expect(found.count).toBe(1);
      expect(gridText(found.first!)).toBe(solution);
    }
  });

  it('three that share nothing agree on grids with none, one and many answers', () => {
    const bands = new BandSolver();
    const shape = shapeOf(9);
    const seen = { none: 0, one: 0, many: 0 };
    fc.assert(
      fc.property(fc.integer(), fc.integer({ min: 40, max: 62 }), fc.boolean(), (seed, empty, spoiled) => {
        const random = randomStream('agree', seed);
        const grid = bands.fill(random);
        for (const cell of random.shuffled([...grid.keys()]).slice(0, empty)) grid[cell] = 0;
        if (spoiled) grid[random.int(81)] = 1 + random.int(9);
        const count = solutionsOf(shape, grid, 5).count;
        seen[count === 0 ? 'none' : count === 1 ? 'one' : 'many']++;
        expect(bands.solve(grid, 5).count).toBe(count);
        expect(coversOf(shape, grid, 5)).toHaveLength(count);
      }),
      { numRuns: everything ? 3000 : 150 },
    );
    for (const times of Object.values(seen)) expect(times).toBeGreaterThan(5);
  });

  it('a board keeps candidates and places in step, whatever is put down', () => {
    fc.assert(
      fc.property(fc.integer(), fc.constantFrom(...SIZES), fc.nat(30), (seed, size, puts) => {
        const shape = shapeOf(size);
        const random = randomStream('board', seed);
        const board = new Board(shape);
        board.finds = random.pick([FINDS.nothing, FINDS.nakedSingles, FINDS.singles]);
        for (let i = 0; i < puts && !board.broken; i++) {
          const cell = random.int(shape.cells);
          const digits = Array.from({ length: size }, (_, d) => d).filter(
            (d) => board.candidates[cell]! & (1 << d),
          );
          if (random.unit() < 0.5) board.put(cell, random.pick(digits));
          else board.remove(cell, random.pick(digits));
        }
        if (board.broken) return;
        shape.units.forEach((unit, u) => {
          for (let digit = 0; digit < size; digit++) {
            const places = Array.from(unit, (cell, i) =>
              board.candidates[cell]! & (1 << digit) ? 1 << i : 0,
            );
            expect(board.places[u * size + digit]).toBe(places.reduce((mask, bit) => mask | bit, 0));
          }
        });
        expect(board.open).toBe(board.values.filter((value) => value === 0).length);
      }),
      { numRuns: 200 },
    );
  });
});

describe('techniques', () => {
  it('never rule out what is in the answer, and every one of them is met', () => {
    const met = new Set<Technique>();
    const maker = new SudokuMaker(shapeOf(9));
    for (let grade = 0; grade < GRADES.length; grade++)
      for (let seed = 0; seed < (grade === 4 ? 500 : everything ? 400 : 60); seed++) {
        const wanted = {
          from: grade as Grade,
          to: grade as Grade,
          symmetry: 'none' as const,
          leastGivens: 0,
        };
        const puzzle = atOnce(maker.attempt(wanted, randomStream('techniques', grade, seed)));
        const rating = puzzle && rate(maker.shape, puzzle.givens);
        if (!rating) continue;
        expect(rating.solution).toEqual(puzzle.solution);
        expect(rating.grade).toBe(puzzle.grade);
        for (const { technique, put, removes } of rating.steps) {
          met.add(technique);
          if (put) expect(puzzle.solution[put[0]]).toBe(put[1] + 1);
          for (const [cell, digit] of removes) expect(puzzle.solution[cell]).not.toBe(digit + 1);
          expect(removes.length > 0 || put !== undefined).toBe(true);
        }
      }
    // Sums are those of killers; see killer/.
    const ofSums = ['cage-sum', 'unit-sum', 'unit-sums'];
    expect([...met, ...ofSums].sort()).toEqual(Object.keys(TECHNIQUES).sort());
  });

  it('a puzzle that needs a search beyond them is not rated', () => {
    // By Arto Inkala, 2012, as newspapers printed it; from memory, one answer as checked here.
    const givens = readGrid(
      9,
      '8..........36......7..9.2...5...7.......457.....1...3...1....68..85...1..9....4..',
    );
    expect(new BandSolver().solve(givens).count).toBe(1);
    expect(rate(shapeOf(9), givens)).toBeNull();
  });
});

describe('making', () => {
  it.each([
    [4, 'classic', [1]],
    [6, 'classic', [1, 2]],
    [6, 'diagonal', [1, 2]],
    [6, 'jigsaw', [1, 3]],
    [9, 'classic', LEVELS],
    [9, 'diagonal', LEVELS],
    [9, 'jigsaw', [1, 2, 3, 4]],
    [12, 'classic', [1, 2, 3]],
    [12, 'diagonal', [3]],
    [16, 'classic', [1, 3]],
  ] as const)(
    '%i, %s, levels %s: one answer each, at the level that was asked for',
    (size, variant, levels) => {
      for (const level of levels)
        for (let seed = 0; seed < (everything && size < 12 ? 100 : size < 12 ? 4 : 1); seed++) {
          // Of small grids few have four givens at a time to spare.
          const symmetry = SYMMETRIES[seed % (size < 9 ? 2 : SYMMETRIES.length)]!;
          const { givens, solution, shape, grade } = made(
            { size, variant, level, symmetry },
            size,
            variant,
            level,
            seed,
          );
          expect(GRADES[grade]!.level).toBe(level);
          expect(rate(shape, givens)?.level).toBe(level);
          expect(coversOf(shape, givens)).toEqual([solution]);
          const at = (row: number, column: number) => givens[row * size + column] !== 0;
          for (let row = 0; row < size; row++)
            for (let column = 0; column < size; column++) {
              const other = {
                none: at(row, column),
                'half-turn': at(size - 1 - row, size - 1 - column),
                'quarter-turn': at(column, size - 1 - row),
                mirror: at(row, size - 1 - column),
              }[symmetry];
              expect(at(row, column)).toBe(other);
            }
        }
    },
  );

  it('beginners are given more, and from the third level on no given is to spare', () => {
    const givensOf = (level: 1 | 2 | 3) =>
      made({ size: 9, variant: 'classic', level, symmetry: 'none' }, 'spare', level).givens;
    expect(countGivens(givensOf(1))).toBeGreaterThanOrEqual(36);
    expect(countGivens(givensOf(2))).toBeGreaterThanOrEqual(29);
    const givens = givensOf(3);
    for (const [cell, value] of givens.entries())
      if (value) {
        const fewer = givens.slice();
        fewer[cell] = 0;
        expect(solutionsOf(shapeOf(9), fewer).count).toBeGreaterThan(1);
      }
  });

  it('what a size can not give comes as near as it can', () => {
    const { grade, givens, solution, shape } = made(
      { size: 4, variant: 'classic', level: 5, symmetry: 'none' },
      'small',
    );
    expect(GRADES[grade]!.level).toBeLessThan(5);
    expect(coversOf(shape, givens)).toEqual([solution]);
  });

  it('gives way while it works, and the same key makes the same puzzle', () => {
    const order = { size: 16, variant: 'classic', level: 2, symmetry: 'half-turn' } as const;
    const steps = sudokuSteps(order, randomStream('way'));
    let yielded = 0;
    for (let step = steps.next(); !step.done; step = steps.next()) yielded++;
    expect(yielded).toBeGreaterThan(10);
    expect(made(order, 'same').givens).toEqual(made(order, 'same').givens);
  });
});
