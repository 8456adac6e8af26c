import { SIGNS, SIZES } from '../../puzzles/sudoku/index.ts';
import type { BroughtIn } from '../kind.ts';
import { readIpuz } from '../puzzle/ipuz.ts';
import { judgeGivens } from './by-hand.ts';
import type { SudokuWithGivens } from './options.ts';

/** Sizes by how many characters a puzzle of each has. */
const sizeOf = new Map(SIZES.map((size) => [size * size, size]));
const LENGTHS = `${[...sizeOf.keys()].slice(0, -1).join(', ')} or ${Math.max(...sizeOf.keys())}`;

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
  if (/^\s*[{[]/.test(text))
    return readIpuz(text, 'sudoku', ({ cells }) => {
      const signs = cells.map((value) => {
        const sign = (value ?? '').toUpperCase();
        return sign && SIGNS.includes(sign) ? sign : '.';
      });
      return given(signs.join(''));
    });
  const pins: SudokuWithGivens[] = [];
  const problems: string[] = [];
  text.split(/\r?\n/).forEach((line, i) => {
    const signs = line.replace(/\s/g, '');
    if (!signs || signs.startsWith('#')) return;
    const read = given(signs);
    if ('pin' in read) pins.push(read.pin);
    else problems.push(`Line ${i + 1} ${read.problem}`);
  });
  return { pins, problems };
}

/** A puzzle from its characters, row by row, or what is wrong with it. */
function given(signs: string): { pin: SudokuWithGivens } | { problem: string } {
  const size = sizeOf.get(signs.length);
  if (!size) return { problem: `has ${signs.length} characters; a sudoku has ${LENGTHS}.` };
  const givens = [...signs.toUpperCase()]
    .map((sign) => {
      const value = SIGNS.indexOf(sign);
      return value >= 0 && value < size ? sign : '.';
    })
    .join('');
  const pin: SudokuWithGivens = { size, variant: 'classic', givens };
  const problem = TROUBLES[judgeGivens(pin).answers];
  return problem ? { problem } : { pin };
}
