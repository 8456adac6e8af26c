import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type RandomStream, randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { canonicalForm } from './canonical.ts';
import { readGrid, sudokuSteps } from './index.ts';

const everything = process.env.QUILL_SWEEP === 'all';

interface Puzzle {
  givens: number[];
  solution: number[];
}

const made = (seed: number): Puzzle => {
  const order = { size: 9, variant: 'classic', level: 1, symmetry: 'none' } as const;
  const { givens, solution } = atOnce(sudokuSteps(order, randomStream('canonical', seed)));
  return { givens: [...givens], solution: [...solution] };
};
const PUZZLES = Array.from({ length: 12 }, (_, seed) => made(seed));

/** Bands in any order, and rows within each. */
const anyLines = (random: RandomStream): number[] =>
  random.shuffled([0, 1, 2]).flatMap((band) => random.shuffled([0, 1, 2]).map((i) => 3 * band + i));

/** The same puzzle as somebody else would print it. */
function disguised({ givens, solution }: Puzzle, seed: number): Puzzle {
  const random = randomStream('disguise', seed);
  const [rows, columns] = [anyLines(random), anyLines(random)];
  const names = [0, ...random.shuffled([1, 2, 3, 4, 5, 6, 7, 8, 9])];
  const isTurned = random.int(2) === 1;
  const view = (cells: number[]) =>
    Array.from({ length: 81 }, (_, at) => {
      const [row, column] = [rows[Math.floor(at / 9)]!, columns[at % 9]!];
      return names[cells[isTurned ? column * 9 + row : row * 9 + column]!]!;
    });
  return { givens: view(givens), solution: view(solution) };
}

const formOf = ({ givens, solution }: Puzzle) => canonicalForm(givens, solution);

describe('the canonical form of a sudoku', () => {
  it('is that of every puzzle which is no more than it in disguise', () => {
    fc.assert(
      fc.property(fc.nat(PUZZLES.length - 1), fc.integer(), (i, seed) => {
        const puzzle = PUZZLES[i]!;
        expect(formOf(disguised(puzzle, seed))).toBe(formOf(puzzle));
      }),
      { numRuns: everything ? 2000 : 60 },
    );
  });

  it('has 456789 in its second row where two rows keep a stack together, as not all grids have', () => {
    const begins = PUZZLES.map((puzzle) => formOf(puzzle).slice(9, 15));
    const keeps = PUZZLES.map(({ solution }) => {
      const digits = (at: (i: number) => number) =>
        [0, 1, 2]
          .map((i) => solution[at(i)]!)
          .sort()
          .join('');
      return Array.from({ length: 9 }, (_, line) => line).some((line) =>
        [0, 1, 2].some((i) => {
          const other = line - (line % 3) + i;
          const [along, down] = [
            (row: number, stack: number) => digits((k) => row * 9 + 3 * stack + k),
            (column: number, band: number) => digits((k) => (3 * band + k) * 9 + column),
          ];
          return (
            other !== line &&
            [along, down].some((of) => [1, 2].some((stack) => of(line, 0) === of(other, stack)))
          );
        }),
      );
    });
    expect(begins.map((six) => six === '456789')).toEqual(keeps);
    expect(new Set(keeps).size).toBe(2);
  });

  it('tells other puzzles apart, also those with the same answer', () => {
    expect(new Set(PUZZLES.map(formOf)).size).toBe(PUZZLES.length);
    const [{ givens, solution }] = PUZZLES as [Puzzle];
    const more = givens.slice();
    const at = more.indexOf(0);
    more[at] = solution[at]!;
    expect(canonicalForm(more, solution)).not.toBe(canonicalForm(givens, solution));
    expect(canonicalForm(more, solution).slice(0, 81)).toBe(canonicalForm(givens, solution).slice(0, 81));
  });

  it('is a grid of the same puzzle, and the least: no disguise reads less', () => {
    for (const puzzle of PUZZLES.slice(0, 4)) {
      const form = formOf(puzzle);
      expect(form.slice(0, 9)).toBe('123456789');
      expect(form.slice(9, 11)).toMatch(/^45/);
      const grid = [...readGrid(9, form.slice(0, 81))];
      for (let i = 0; i < 9; i++) {
        expect(new Set(grid.slice(9 * i, 9 * i + 9)).size).toBe(9);
        expect(new Set(Array.from({ length: 9 }, (_, row) => grid[row * 9 + i])).size).toBe(9);
      }
      for (let seed = 0; seed < 200; seed++) {
        const other = disguised(puzzle, seed).solution;
        const names = other.slice(0, 9);
        const read = other.map((digit) => names.indexOf(digit) + 1).join('');
        expect(read >= form.slice(0, 81)).toBe(true);
      }
    }
  });

  it('of the most canonical grid is itself: known as the least of all (from memory)', () => {
    // The first grid in the order of all 5,472,730,538 that are essentially different (Russell and Jarvis 2006).
    const first = '123456789456789123789123456231674895875912364694538217317265948542897631968341572';
    const cells = [...first].map(Number);
    const form = canonicalForm(cells, cells);
    expect(form.slice(0, 27)).toBe('123456789456789123789123456');
    expect(form.slice(0, 81) <= first).toBe(true);
    expect(form.slice(81)).toBe('1'.repeat(81));
  });
});
