import { runsOf } from '../../puzzles/crossword/index.ts';
import { fillings } from '../../puzzles/fill-in/index.ts';
import type { BroughtIn } from '../kind.ts';
import { tooSmall } from '../puzzle/given-grid.ts';
import { letterOf, lettersIn, readIpuz } from '../puzzle/ipuz.ts';
import type { FillInGiven } from './options.ts';

/** Words of a puzzle: more are no list that somebody reads. */
const MOST_WORDS = 80;
/** Words that are tried in places before it is given up: files come from anywhere. */
const TRIES = 20_000;

/** Reads fill-ins as ipuz, with their answers; what has more than one is not taken. */
export const readFillIns = (text: string): BroughtIn =>
  readIpuz(text, 'fill', (puzzle) => {
    const { columns, rows, cells, title } = puzzle;
    const small = tooSmall(puzzle);
    if (small) return { problem: small };
    const read = lettersIn(puzzle);
    if ('problem' in read) return read;
    const { letters } = read;
    const words = runsOf({ columns, rows, letters }).map(({ cells: run }) =>
      run.map((at) => letters[at]).join(''),
    );
    if (!words.length) return { problem: 'has no word of two letters and more.' };
    if (words.length > MOST_WORDS)
      return { problem: `has ${words.length} words; ${MOST_WORDS} are the most.` };
    const twice = words.find((word, i) => words.indexOf(word) !== i);
    if (twice) return { problem: `has ${twice} twice.` };
    const given = cells.flatMap((value, at) =>
      value !== null && letters[at] !== null && letterOf(value) === letters[at] ? [at] : [],
    );
    const budget = { tries: TRIES };
    const found = fillings({ columns, rows, letters }, new Set(given), 2, budget);
    if (budget.tries <= 0) return { problem: 'has so many ways to begin that it was not looked over.' };
    if (found.length > 1) return { problem: 'has more than one answer.' };
    const pin: FillInGiven = { ...(title ? { title } : {}), columns, rows, letters, given };
    return { pin };
  });
