import * as v from 'valibot';
import { SIGNS, SIZES } from '../../puzzles/sudoku/index.ts';
import type { BroughtIn } from '../kind.ts';
import { judgeGivens } from './by-hand.ts';
import type { SudokuGiven } from './options.ts';

/** Sizes by how many characters a puzzle of each has. */
const sizeOf = new Map(SIZES.map((size) => [size * size, size]));
const LENGTHS = `${[...sizeOf.keys()].slice(0, -1).join(', ')} or ${Math.max(...sizeOf.keys())}`;

/** What ipuz (ipuz.org, version 2) says of a sudoku, as far as it is read. */
const ipuz = v.object({
  kind: v.array(v.string()),
  puzzle: v.pipe(
    v.array(
      v.pipe(
        v.array(
          v.union([
            v.number(),
            v.string(),
            v.null(),
            v.object({ cell: v.optional(v.union([v.number(), v.string()])), value: v.optional(v.string()) }),
          ]),
        ),
        v.maxLength(16),
      ),
    ),
    v.maxLength(16),
  ),
});

/** Cells of an ipuz puzzle in characters; null where it is none. */
function fromIpuz(text: string): string | null {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return null;
  }
  const read = v.safeParse(ipuz, json);
  if (!read.success || !read.output.kind.some((kind) => kind.includes('sudoku'))) return null;
  return read.output.puzzle
    .flat()
    .map((cell) => {
      const value = cell !== null && typeof cell === 'object' ? (cell.value ?? cell.cell) : cell;
      return SIGNS.includes(String(value ?? '0').toUpperCase()) ? String(value).toUpperCase() : '.';
    })
    .join('');
}

/** Why a puzzle cannot be brought in. */
const TROUBLES = {
  one: null,
  none: 'has no answer.',
  several: 'has more than one answer.',
  unknown: 'cannot be solved by logic, so that nothing shows that it has one answer.',
} as const;

/**
 * Reads sudokus: a line of characters for each, row by row, where 0, a dot or another sign is an empty cell; or one as ipuz.
 * Lines that begin with # are left out.
 */
export function readSudokus(text: string): BroughtIn {
  const pins: SudokuGiven[] = [];
  const problems: string[] = [];
  const take = (name: string, signs: string) => {
    const size = sizeOf.get(signs.length);
    if (!size) {
      problems.push(`${name} has ${signs.length} characters; a sudoku has ${LENGTHS}.`);
      return;
    }
    const givens = [...signs.toUpperCase()]
      .map((sign) => {
        const value = SIGNS.indexOf(sign);
        return value >= 0 && value < size ? sign : '.';
      })
      .join('');
    const pin: SudokuGiven = { size, variant: 'classic', givens };
    const why = TROUBLES[judgeGivens(pin).answers];
    if (why) problems.push(`${name} ${why}`);
    else pins.push(pin);
  };
  if (text.trim().startsWith('{')) {
    const signs = fromIpuz(text);
    if (signs === null) problems.push('The file is no ipuz with a sudoku.');
    else take('The puzzle', signs);
    return { pins, problems };
  }
  text.split(/\r?\n/).forEach((line, i) => {
    const signs = line.replace(/\s/g, '');
    if (signs && !signs.startsWith('#')) take(`Line ${i + 1}`, signs);
  });
  return { pins, problems };
}
