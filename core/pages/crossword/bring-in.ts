import { runsOf } from '../../puzzles/crossword/index.ts';
import type { BroughtIn } from '../kind.ts';
import { tooSmall } from '../puzzle/given-grid.ts';
import { lettersIn, readIpuz } from '../puzzle/ipuz.ts';
import type { CrosswordGiven } from './options.ts';

/** Reads crosswords as ipuz, with their answers; words are numbered anew, which gives the numbers that they have. */
export const readCrosswords = (text: string): BroughtIn =>
  readIpuz(text, 'crossword', (puzzle) => {
    const { columns, rows, clues } = puzzle;
    const small = tooSmall(puzzle);
    if (small) return { problem: small };
    const read = lettersIn(puzzle);
    if ('problem' in read) return read;
    if (!runsOf({ columns, rows, letters: read.letters }).length)
      return { problem: 'has no word of two letters and more.' };
    const asked = (across: boolean) =>
      [...(across ? clues.across : clues.down)].flatMap(([number, clue]) =>
        Number.isInteger(number) && number >= 1 && number <= 2000 ? [{ number, across, clue }] : [],
      );
    const pin: CrosswordGiven = {
      ...{ columns, rows, letters: read.letters },
      clues: [...asked(true), ...asked(false)],
    };
    return { pin };
  });
