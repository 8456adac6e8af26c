import { convertIpuzToUnified, parseIpuz } from '@xwordly/xword-parser';
import Logic from 'logic-solver';
import { describe, expect, it } from 'vitest';
import { HIVE_WORDS, recipeOf } from '#core/book/book.sample.ts';
import { bookFrom, filledItem } from '#core/book/index.ts';
import { pageKind } from '#core/pages/index.ts';
import { CALCULATIONS, cageSteps } from '#core/puzzles/cages/index.ts';
import { makeCrossSums, CALCULATIONS as OPERATIONS } from '#core/puzzles/cross-sums/index.ts';
import { inequalitySteps } from '#core/puzzles/inequality/index.ts';
import { kakuroSteps } from '#core/puzzles/kakuro/index.ts';
import { type Clues, cluesOf, FILLED, nonogramSteps } from '#core/puzzles/nonogram/index.ts';
import { loadVocabularies } from '#core/puzzles/vocabulary/index.ts';
import { randomStream } from '#core/random.ts';
import { atOnce } from '#core/steps.ts';
import { latin, solutions } from './formulas.ts';

const everything = process.env.QUILL_SWEEP === 'all';
const COUNT = everything ? 200 : 12;

const cellName = (at: number) => `c${at}`;

/** Every way to lay runs into a line, as the cells that are filled. */
function ways(runs: readonly number[], length: number, from = 0): number[][] {
  const [run, ...rest] = runs;
  if (run === undefined) return [[]];
  const found: number[][] = [];
  const needed = rest.reduce((sum, one) => sum + one + 1, 0);
  for (let begin = from; begin + run + needed <= length; begin++)
    for (const others of ways(rest, length, begin + run + 1))
      found.push([...Array.from({ length: run }, (_, i) => begin + i), ...others]);
  return found;
}

function nonogramFormula({ rows, columns }: Clues): Logic.Solver {
  const solver = new Logic.Solver();
  const line = (runs: readonly number[], cells: number[]) => {
    const laid = ways(runs, cells.length).map((filled) =>
      Logic.and(cells.map((cell, i) => (filled.includes(i) ? cellName(cell) : Logic.not(cellName(cell))))),
    );
    solver.require(Logic.or(laid));
  };
  rows.forEach((runs, row) => {
    line(
      runs,
      columns.map((_, column) => row * columns.length + column),
    );
  });
  columns.forEach((runs, column) => {
    line(
      runs,
      rows.map((_, row) => row * columns.length + column),
    );
  });
  return solver;
}

/** MiniSat 2.2 as logic-solver 2.0.1 (MIT): a general solver of formulas. */
describe('as a solver of formulas finds', () => {
  it('nonograms have one answer, the one in the book', () => {
    for (let seed = 0; seed < COUNT; seed++) {
      const order = { columns: 10, rows: 10, density: 0.55, mirrored: seed % 2 === 0 };
      const { cells } = atOnce(nonogramSteps(order, randomStream('outside', 'nonogram', seed)));
      const found = solutions(nonogramFormula(cluesOf(cells, 10, 10)));
      expect(found).toHaveLength(1);
      const filled = [...cells.keys()].filter((at) => cells[at] === FILLED).map(cellName);
      expect(found[0]!.filter((name) => /^c\d+$/.test(name)).sort()).toEqual(filled.sort());
    }
  });

  it('inequality grids have one answer, the one in the book', () => {
    for (let seed = 0; seed < COUNT; seed++) {
      const size = 4 + (seed % 4);
      const { solution, givens, signs } = atOnce(
        inequalitySteps(size, randomStream('outside', 'inequality', seed)),
      );
      const { solver, numbers, name } = latin(size);
      for (const cell of solution.keys()) if (givens[cell]) solver.require(name(cell, givens[cell]));
      for (const { less, more } of signs)
        for (const low of numbers)
          for (const high of numbers)
            if (low >= high)
              solver.require(Logic.or([Logic.not(name(less, low)), Logic.not(name(more, high))]));
      const found = solutions(solver);
      expect(found).toHaveLength(1);
      const meant = Array.from(solution, (number, cell) => name(cell, number));
      expect(found[0]!.filter((one) => one.startsWith('n')).sort()).toEqual(meant.sort());
    }
  });

  it('grids with cages have one answer, the one in the book', () => {
    for (let seed = 0; seed < COUNT; seed++) {
      const size = 4 + (seed % 4);
      const calculation = CALCULATIONS[seed % 3]!;
      const { solution, cages } = atOnce(
        cageSteps(size, calculation, randomStream('outside', 'cages', seed)),
      );
      const { solver, numbers, name } = latin(size);
      for (const { cells, operation, target } of cages) {
        // Every way to fill it that does not make what it says is ruled out.
        const ways = cells.reduce<number[][]>(
          (before, _) => before.flatMap((way) => numbers.map((number) => [...way, number])),
          [[]],
        );
        const makes = ([first = 0, second = 0, ...more]: number[]) => {
          if (operation === null) return first === target;
          if (operation === '+') return first + second + more.reduce((sum, one) => sum + one, 0) === target;
          if (operation === '×') return first * second * more.reduce((all, one) => all * one, 1) === target;
          const [high, low] = [Math.max(first, second), Math.min(first, second)];
          return operation === '−' ? high - low === target : high === target * low;
        };
        for (const way of ways)
          if (!makes(way))
            solver.require(Logic.or(way.map((number, i) => Logic.not(name(cells[i]!, number)))));
      }
      const found = solutions(solver);
      expect(found).toHaveLength(1);
      const meant = Array.from(solution, (number, cell) => name(cell, number));
      expect(found[0]!.filter((one) => one.startsWith('n')).sort()).toEqual(meant.sort());
    }
  });

  it('cross sums have one answer, the one in the book', () => {
    const digits = [1, 2, 3, 4, 5, 6, 7, 8, 9];
    const cells = [...digits.keys()];
    const value = (sign: string, one: number, other: number) =>
      sign === '+' ? one + other : sign === '−' ? one - other : one * other;
    const name = (cell: number, digit: number) => `d${cell}_${digit}`;
    for (let seed = 0; seed < COUNT; seed++) {
      const { operators, results, givens, solution } = makeCrossSums(
        OPERATIONS[seed % 3]!,
        randomStream('outside', 'cross sums', seed),
      );
      const solver = new Logic.Solver();
      for (const cell of cells) solver.require(Logic.exactlyOne(digits.map((digit) => name(cell, digit))));
      for (const digit of digits) solver.require(Logic.exactlyOne(cells.map((cell) => name(cell, digit))));
      givens.forEach((given, cell) => {
        if (given !== null) solver.require(name(cell, given));
      });
      operators.forEach(([first, second], line) => {
        const [x, y, z] = line < 3 ? [3 * line, 3 * line + 1, 3 * line + 2] : [line - 3, line, line + 3];
        for (const a of digits)
          for (const b of digits)
            for (const c of digits)
              if (value(second, value(first, a, b), c) !== results[line])
                solver.require(
                  Logic.or([name(x!, a), name(y!, b), name(z!, c)].map((one) => Logic.not(one))),
                );
      });
      const found = solutions(solver);
      expect(found).toHaveLength(1);
      const meant = solution.map((digit, cell) => name(cell, digit));
      expect(found[0]!.filter((one) => one.startsWith('d')).sort()).toEqual(meant.sort());
    }
  });

  it('kakuros have one answer, the one in the book', () => {
    for (let seed = 0; seed < COUNT; seed++) {
      const { layout, sums, solution } = atOnce(kakuroSteps(7, 7, randomStream('outside', 'kakuro', seed)));
      const solver = new Logic.Solver();
      const digits = [1, 2, 3, 4, 5, 6, 7, 8, 9];
      const name = (cell: number, digit: number) => `d${cell}_${digit}`;
      const open = [...layout.open.keys()].filter((at) => layout.open[at]);
      for (const cell of open) solver.require(Logic.exactlyOne(digits.map((digit) => name(cell, digit))));
      layout.runs.forEach(({ cells }, r) => {
        for (const digit of digits) solver.require(Logic.atMostOne(cells.map((cell) => name(cell, digit))));
        const all = cells.flatMap((cell) => digits.map((digit) => name(cell, digit)));
        const weights = cells.flatMap(() => digits);
        solver.require(Logic.equalBits(Logic.weightedSum(all, weights), Logic.constantBits(sums[r]!)));
      });
      const found = solutions(solver);
      expect(found).toHaveLength(1);
      const meant = open.map((cell) => name(cell, solution[cell]!));
      expect(found[0]!.filter((one) => one.startsWith('d')).sort()).toEqual(meant.sort());
    }
  });
});

/** @xwordly/xword-parser 1.0.5 (MIT): reads ipuz as other programs do. */
describe('crosswords as a reader of ipuz reads them', () => {
  it.each(['free', 'dense'])('have their size, letters, numbers and clues: %s', async (layout) => {
    await loadVocabularies();
    const clues = HIVE_WORDS.map((word, i) => `${word} | Clue ${i}`);
    const clueOf = new Map(clues.map((line) => line.split(' | ') as [string, string]));
    const book = bookFrom(
      recipeOf(
        [
          {
            id: 's',
            kind: 'crossword',
            items: 6,
            options: { layout, clues: clues.join('\n'), words: 15, columns: 15, rows: 15 },
          },
        ],
        { quill: 4 },
      ),
    );
    for (let number = 1; number <= 6; number++) {
      const item = filledItem(book, book.sections.get('s')!, number);
      const text = JSON.stringify(pageKind('crossword').data!(item));
      const { grid, clues: read } = convertIpuzToUnified(parseIpuz(text));
      const [height, width] = [grid.height, grid.width];
      expect(grid.cells).toHaveLength(height);
      // Read off the reader's grid: a word begins where its number stands and ends at a block.
      const isLetter = (row: number, column: number) =>
        row >= 0 && column >= 0 && row < height && column < width && !grid.cells[row]![column]!.isBlack;
      const begins = new Map<number, [row: number, column: number]>();
      let counted = 0;
      let letters = 0;
      for (let row = 0; row < height; row++)
        for (let column = 0; column < width; column++) {
          if (!isLetter(row, column)) continue;
          const across = !isLetter(row, column - 1) && isLetter(row, column + 1);
          const down = !isLetter(row - 1, column) && isLetter(row + 1, column);
          const { number: shown } = grid.cells[row]![column]!;
          if (across || down) {
            expect(shown).toBe(++counted);
            begins.set(counted, [row, column]);
          } else expect(shown).toBeUndefined();
        }
      for (const [direction, list] of [
        ['across', read.across],
        ['down', read.down],
      ] as const)
        for (const clue of list) {
          let [row, column] = begins.get(clue.number)!;
          let word = '';
          while (isLetter(row, column)) {
            word += grid.cells[row]![column]!.solution;
            if (direction === 'across') column++;
            else row++;
          }
          letters += word.length;
          // What fills a dense grid has no clue of the publisher's.
          const meant = clueOf.get(word.toLowerCase()) ?? (layout === 'dense' ? '' : `no word ${word}`);
          expect(clue.text).toBe(meant);
        }
      if (layout === 'free') expect(read.across.length + read.down.length).toBe(15);
      else {
        // Every letter is read twice, in the grid and in the one turned by half.
        const white = grid.cells.flat().filter(({ isBlack }) => !isBlack).length;
        const turned = grid.cells.toReversed().map((row) => row.toReversed());
        expect(turned.map((row) => row.map(({ isBlack }) => isBlack))).toEqual(
          grid.cells.map((row) => row.map(({ isBlack }) => isBlack)),
        );
        expect(letters).toBe(2 * white);
      }
    }
  });
});
