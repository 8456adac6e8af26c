import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Logic from 'logic-solver';
import { describe, expect, it } from 'vitest';
import {
  type Cage,
  gridText,
  killerSteps,
  type Size,
  shapeOf,
  sudokuSteps,
  type Variant,
} from '#core/puzzles/sudoku/index.ts';
import { randomStream } from '#core/random.ts';
import { atOnce } from '#core/steps.ts';
import { latin, solutions } from './formulas.ts';

const everything = process.env.QUILL_SWEEP === 'all';

function made(size: Size, variant: Exclude<Variant, 'killer'>, level: 1 | 2 | 3 | 4 | 5, seed: number) {
  const order = { size, variant, level, symmetry: 'half-turn' } as const;
  const steps = sudokuSteps(order, randomStream('outside', size, variant, level, seed));
  for (let step = steps.next(); ; step = steps.next()) {
    if (!step.done) continue;
    const { givens, solution, shape } = step.value;
    return { givens: gridText(givens), solution: gridText(solution), boxOf: shape.boxOf };
  }
}
type Made = ReturnType<typeof made>;

/** qqwing 1.3 (GPL 2, Debian): a solver that counts. */
describe('as qqwing solves them', () => {
  it('9 × 9 sudokus of every level have one answer, the one in the book', () => {
    const count = everything ? 200 : 40;
    const puzzles = ([1, 2, 3, 4, 5] as const).flatMap((level) =>
      Array.from({ length: count }, (_, seed) => made(9, 'classic', level, seed)),
    );
    const { stdout } = spawnSync('qqwing', ['--solve', '--count-solutions', '--one-line'], {
      input: `${puzzles.map(({ givens }) => givens).join('\n')}\n`,
      encoding: 'utf8',
      timeout: 120_000,
    });
    const answers = stdout.split('\n').filter((line) => /^\d{81}$/.test(line));
    expect(answers).toEqual(puzzles.map(({ solution }) => solution));
    const counts = stdout.split('\n').filter((line) => /solution/.test(line));
    expect(counts).toHaveLength(puzzles.length);
    for (const line of counts) expect(line).toMatch(/only 1 solution|unique/i);
  });
});

/** A grid as the game of Debian's sgt-puzzles (MIT) names it: numbers, and letters for so many empty cells. */
const described = ({ givens }: Pick<Made, 'givens'>): string =>
  numbered([...givens].map((sign) => '123456789ABCDEFG'.indexOf(sign) + 1));

function numbered(values: readonly number[]): string {
  let text = '';
  let empty = 0;
  const pass = () => {
    text += 'z'.repeat(Math.floor(empty / 26)) + (empty % 26 ? String.fromCharCode(96 + (empty % 26)) : '');
    empty = 0;
  };
  for (const value of values) {
    if (value === 0) empty++;
    else {
      pass();
      text += /\d$/.test(text) ? `_${value}` : value;
    }
  }
  pass();
  return text;
}

/** Outlines of boxes as the game names them: between lines, so many steps until the next one, rows first. */
function outlined({ boxOf }: Pick<Made, 'boxOf'>, size: number): string {
  const edges: boolean[] = [];
  for (let row = 0; row < size; row++)
    for (let column = 1; column < size; column++)
      edges.push(boxOf[row * size + column - 1] !== boxOf[row * size + column]);
  for (let column = 0; column < size; column++)
    for (let row = 1; row < size; row++)
      edges.push(boxOf[(row - 1) * size + column] !== boxOf[row * size + column]);
  let text = '';
  let free = 0;
  for (const edge of [...edges, true]) {
    if (!edge) free++;
    else {
      text += 'z'.repeat(Math.floor(free / 25)) + (free % 25 ? String.fromCharCode(96 + (free % 25)) : '_');
      free = 0;
    }
  }
  return text;
}

/** Cages as the game names them: an empty grid, outlines, and the sums where their first cells are. */
function caged(cages: readonly Cage[], size: number): string {
  const boxOf = new Uint8Array(size * size);
  const sums = Array.from({ length: size * size }, () => 0);
  cages.forEach(({ cells, sum }, i) => {
    for (const cell of cells) boxOf[cell] = i;
    sums[cells[0]!] = sum;
  });
  const empty = described({ givens: '.'.repeat(size * size) });
  return `${BOXES[size as Size]}k:${empty},${outlined({ boxOf }, size)},${numbered(sums)}`;
}

const BOXES: Partial<Record<Size, string>> = { 4: '2x2', 6: '2x3', 9: '3x3', 12: '3x4', 16: '4x4' };

/** The answers of a killer as MiniSat finds them, two at most. */
function killerAnswers({ cages }: { cages: readonly Cage[] }, size: Size): number[][] {
  const { solver, numbers, name } = latin(size);
  const { boxOf } = shapeOf(size);
  for (const number of numbers)
    for (const box of new Set(boxOf))
      solver.require(
        Logic.exactlyOne([...boxOf.keys()].filter((at) => boxOf[at] === box).map((at) => name(at, number))),
      );
  for (const { cells, sum } of cages) {
    for (const number of numbers) solver.require(Logic.atMostOne(cells.map((at) => name(at, number))));
    const all = cells.flatMap((at) => numbers.map((number) => name(at, number)));
    solver.require(
      Logic.equalBits(
        Logic.weightedSum(
          all,
          cells.flatMap(() => numbers),
        ),
        Logic.constantBits(sum),
      ),
    );
  }
  return solutions(solver).map((found) => {
    const answer: number[] = [];
    for (const one of found) {
      const read = /^n(\d+)_(\d+)$/.exec(one);
      if (read) answer[Number(read[1])] = Number(read[2]);
    }
    return answer;
  });
}

/** Solves games, and reads the answers from what it saves. */
function solved(games: readonly string[]): { answers: number[][]; complaints: string } {
  const folder = mkdtempSync(join(tmpdir(), 'quill-solo-'));
  try {
    const { stderr } = spawnSync('/usr/games/sgt-solo', ['--save', join(folder, 's'), '--test-solve'], {
      input: `${games.join('\n')}\n`,
      encoding: 'utf8',
      timeout: 300_000,
    });
    const answers = stderr
      ? []
      : games.map((_, i) => {
          const saved = readFileSync(join(folder, `s${i}`), 'utf8');
          return /^SOLVE\s*:\d+:S(.*)$/m.exec(saved)![1]!.split(',').map(Number);
        });
    return { answers, complaints: stderr };
  } finally {
    rmSync(folder, { recursive: true });
  }
}

describe('as the solver of Debian’s sgt-puzzles sees them', () => {
  it.each([
    [4, 'classic', 1],
    [6, 'classic', 2],
    [12, 'classic', 2],
    [16, 'classic', 2],
    [9, 'diagonal', 3],
    [6, 'jigsaw', 3],
    [9, 'jigsaw', 3],
  ] as const)('%i, %s: one answer each, the one in the book', (size, variant, level) => {
    const count = everything ? 150 : size > 9 ? 5 : 20;
    const puzzles = Array.from({ length: count }, (_, seed) => made(size, variant, level, seed));
    const games = puzzles.map((puzzle) =>
      variant === 'jigsaw'
        ? `${size}j:${described(puzzle)},${outlined(puzzle, size)}`
        : `${BOXES[size]}${variant === 'diagonal' ? 'x' : ''}:${described(puzzle)}`,
    );
    const { answers, complaints } = solved(games);
    expect(complaints).toBe('');
    expect(answers).toEqual(
      puzzles.map(({ solution }) => [...solution].map((sign) => '123456789ABCDEFG'.indexOf(sign) + 1)),
    );
  });

  it.each([
    [6, 3],
    [6, 4],
    [9, 4],
    [9, 5],
  ] as const)('%i, killer, level %i: one answer each, the one in the book', (size, level) => {
    // The game has no cages of one cell.
    const puzzles = Array.from({ length: everything ? 400 : 40 }, (_, seed) =>
      atOnce(killerSteps(size, level, randomStream('outside killer', size, level, seed))),
    ).filter(({ cages }) => cages.every(({ cells }) => cells.length > 1));
    expect(puzzles.length).toBeGreaterThan(2);
    let alike = 0;
    for (const puzzle of puzzles) {
      const { answers, complaints } = solved([caged(puzzle.cages, size)]);
      if (!complaints) {
        expect(answers).toEqual([[...puzzle.solution]]);
        alike++;
        continue;
      }
      // Of one killer in ten the game says that there are several answers where an exact search finds one: a general solver
      // decides.
      expect(complaints).toMatch(/Multiple solutions/);
      expect(killerAnswers(puzzle, size)).toEqual([[...puzzle.solution]]);
    }
    expect(alike).toBeGreaterThan(puzzles.length / 2);
  });

  it('would tell of a puzzle that has two answers', () => {
    const puzzle = made(9, 'classic', 3, 1);
    const first = [...puzzle.givens].findIndex((sign) => sign !== '.');
    const givens = `${puzzle.givens.slice(0, first)}.${puzzle.givens.slice(first + 1)}`;
    expect(solved([`3x3:${described({ ...puzzle, givens })}`]).complaints).toMatch(/Multiple solutions/);
  });
});

/** MiniSat 2.2 as logic-solver 2.0.1 (MIT): a general solver of formulas. */
describe('as a general solver of formulas sees them', () => {
  it.each([4, 6, 9] as const)(
    '%i, killer: one answer at each level, cages of one cell among them',
    (size) => {
      let single = 0;
      for (const level of [1, 2, 3, 4, 5] as const)
        for (let seed = 0; seed < (everything ? 40 : 2); seed++) {
          const puzzle = atOnce(killerSteps(size, level, randomStream('outside formula', size, level, seed)));
          expect(killerAnswers(puzzle, size)).toEqual([[...puzzle.solution]]);
          single += puzzle.cages.filter(({ cells }) => cells.length === 1).length;
        }
      expect(single).toBeGreaterThan(0);
    },
  );

  it('would tell of a killer that has two answers', () => {
    const { cages } = atOnce(killerSteps(6, 3, randomStream('outside formula', 6, 3, 1)));
    // One cage alone leaves nearly all open.
    expect(killerAnswers({ cages: cages.slice(0, 1) }, 6)).toHaveLength(2);
  });
});
