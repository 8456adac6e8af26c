import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { gridText, type Size, sudokuSteps, type Variant } from '#core/puzzles/sudoku/index.ts';
import { randomStream } from '#core/random.ts';

const everything = process.env.QUILL_SWEEP === 'all';

function made(size: Size, variant: Variant, level: 1 | 2 | 3 | 4 | 5, seed: number) {
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
function described({ givens }: Made): string {
  let text = '';
  let last = '';
  for (const part of givens.match(/\.+|[^.]/g)!) {
    const next =
      part[0] === '.'
        ? 'z'.repeat(Math.floor(part.length / 26)) +
          (part.length % 26 ? String.fromCharCode(96 + (part.length % 26)) : '')
        : String('123456789ABCDEFG'.indexOf(part) + 1);
    text += /\d$/.test(last) && /^\d/.test(next) ? `_${next}` : next;
    last = next;
  }
  return text;
}

/** Outlines of boxes as the game names them: between lines, so many steps until the next one, rows first. */
function outlined({ boxOf }: Made, size: number): string {
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

const BOXES: Partial<Record<Size, string>> = { 4: '2x2', 6: '2x3', 9: '3x3', 12: '3x4', 16: '4x4' };

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

  it('would tell of a puzzle that has two answers', () => {
    const puzzle = made(9, 'classic', 3, 1);
    const first = [...puzzle.givens].findIndex((sign) => sign !== '.');
    const givens = `${puzzle.givens.slice(0, first)}.${puzzle.givens.slice(first + 1)}`;
    expect(solved([`3x3:${described({ ...puzzle, givens })}`]).complaints).toMatch(/Multiple solutions/);
  });
});
