import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { turnings } from '../turned.ts';
import { killerSteps } from './killer/index.ts';
import { sudokuSteps } from './make.ts';
import { leastShuffled, type PrintedSudoku, sameSudoku } from './same.ts';
import { gridText, rectangularBoxes, type Size } from './shape.ts';

const made = (size: Size, variant: 'classic' | 'diagonal' | 'jigsaw', seed: number): PrintedSudoku => {
  const order = { size, variant, level: 1, symmetry: 'none' } as const;
  const { givens, solution, shape } = atOnce(sudokuSteps(order, randomStream('same', size, variant, seed)));
  return {
    size,
    variant,
    givens: gridText(givens),
    solution: gridText(solution),
    ...(variant === 'jigsaw' ? { boxes: [...shape.boxOf].map((box) => 'ABCDEFGHI'[box]).join('') } : {}),
  };
};

/** Laid another way, its digits renamed. */
function disguised(puzzle: PrintedSudoku, way: number, seed: number): PrintedSudoku {
  const { size } = puzzle;
  const { was } = turnings(size, size)[way]!;
  const signs = [...'123456789ABCDEFG'].slice(0, size);
  const names = new Map([
    ['.', '.'],
    ...randomStream('names', seed)
      .shuffled(signs)
      .map((to, i) => [signs[i]!, to]),
  ] as [string, string][]);
  const laid = (text: string) => was.map((cell) => names.get(text[cell]!)!).join('');
  return {
    ...puzzle,
    givens: laid(puzzle.givens),
    solution: laid(puzzle.solution),
    ...(puzzle.boxes ? { boxes: was.map((cell) => puzzle.boxes![cell]!).join('') } : {}),
  };
}

/** Rows in another order that keeps those of a box together. */
function rowsShuffled(puzzle: PrintedSudoku, seed: number): PrintedSudoku {
  const { size } = puzzle;
  const random = randomStream('rows', seed);
  const boxes = rectangularBoxes(size);
  const high = size / boxes.indexOf(1);
  const bands = random.shuffled(Array.from({ length: size / high }, (_, band) => band));
  const rows = bands.flatMap((band) =>
    random.shuffled(Array.from({ length: high }, (_, i) => band * high + i)),
  );
  const laid = (text: string) => rows.map((row) => text.slice(row * size, (row + 1) * size)).join('');
  return { ...puzzle, givens: laid(puzzle.givens), solution: laid(puzzle.solution) };
}

describe('sudokus that are the same', () => {
  const PUZZLES = [
    made(4, 'classic', 1),
    made(9, 'classic', 1),
    made(9, 'diagonal', 1),
    made(9, 'jigsaw', 1),
    made(16, 'classic', 1),
  ];

  it('are so turned, mirrored and renamed', () => {
    fc.assert(
      fc.property(fc.nat(PUZZLES.length - 1), fc.nat(7), fc.integer(), (i, way, seed) => {
        const puzzle = PUZZLES[i]!;
        expect(sameSudoku(disguised(puzzle, way, seed))).toBe(sameSudoku(puzzle));
      }),
      { numRuns: 60 },
    );
  });

  it('are so with rows in another order where boxes allow it', () => {
    const puzzle = made(6, 'classic', 3);
    // A box is wider than high: a half turn, not a quarter.
    for (let seed = 0; seed < 10; seed++)
      expect(sameSudoku(disguised(rowsShuffled(puzzle, seed), 3, seed))).toBe(sameSudoku(puzzle));
  });

  it('are told apart by one given, by outlines of boxes, and from others of their kind', () => {
    for (const puzzle of PUZZLES) {
      const at = puzzle.givens.indexOf('.');
      const more = puzzle.givens.slice(0, at) + puzzle.solution[at] + puzzle.givens.slice(at + 1);
      expect(sameSudoku({ ...puzzle, givens: more })).not.toBe(sameSudoku(puzzle));
    }
    for (const [size, variant] of [
      [6, 'classic'],
      [9, 'jigsaw'],
      [9, 'diagonal'],
    ] as const) {
      const forms = Array.from({ length: 20 }, (_, seed) => sameSudoku(made(size, variant, seed)));
      expect(new Set(forms).size).toBe(20);
    }
    const jigsaw = made(9, 'jigsaw', 1);
    expect(sameSudoku({ ...jigsaw, boxes: made(9, 'jigsaw', 2).boxes! })).not.toBe(sameSudoku(jigsaw));
  });

  it('count the grids of 4 × 4: 288 are two, but for turns, order of lines and names', () => {
    // Both numbers are well known (OEIS A107739 and A109741, from memory).
    const rows = [...'1234']
      .flatMap((a) =>
        [...'1234'].flatMap((b) => [...'1234'].flatMap((c) => [...'1234'].map((d) => a + b + c + d))),
      )
      .filter((row) => new Set(row).size === 4);
    const distinct = (signs: string) => new Set(signs).size === 4;
    const grids = rows.flatMap((one) =>
      rows.flatMap((two) =>
        distinct(one.slice(0, 2) + two.slice(0, 2)) && distinct(one.slice(2) + two.slice(2))
          ? rows.flatMap((three) =>
              rows.flatMap((four) => {
                const columns = [0, 1, 2, 3].every((i) => distinct(one[i]! + two[i]! + three[i]! + four[i]!));
                const boxes = distinct(three.slice(0, 2) + four.slice(0, 2));
                return columns && boxes ? [one + two + three + four] : [];
              }),
            )
          : [],
      ),
    );
    expect(grids).toHaveLength(288);
    const forms = grids.map((grid) => leastShuffled(4, grid, grid));
    expect(new Set(forms).size).toBe(2);
  });

  it('have answers of 6 × 6 of which no more than 49 are different', () => {
    // PrintedSudoku from counts by several people (from memory); how often each comes up differs.
    const forms = Array.from({ length: 300 }, (_, seed) => {
      const { solution } = made(6, 'classic', seed);
      return sameSudoku({ size: 6, variant: 'classic', givens: solution, solution });
    });
    const different = new Set(forms).size;
    expect(different).toBeGreaterThan(25);
    expect(different).toBeLessThanOrEqual(49);
  });

  it('of cages keep their digits', () => {
    const { cages, solution } = atOnce(killerSteps(6, 1, randomStream('killer')));
    const killer: PrintedSudoku = {
      size: 6,
      variant: 'killer',
      givens: '.'.repeat(36),
      solution: gridText(solution),
      cages,
    };
    const { now } = turnings(6, 6)[5]!;
    const laid = cages
      .map(({ cells, sum }) => ({ cells: cells.map((cell) => now[cell]!).sort((a, b) => a - b), sum }))
      .reverse();
    expect(sameSudoku({ ...killer, cages: laid })).toBe(sameSudoku(killer));
    const [first, ...others] = cages;
    expect(sameSudoku({ ...killer, cages: [{ ...first!, sum: first!.sum + 1 }, ...others] })).not.toBe(
      sameSudoku(killer),
    );
  });
});
