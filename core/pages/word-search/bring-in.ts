import { findWord } from '../../puzzles/word-search/index.ts';
import { gridWord } from '../../words/index.ts';
import type { BroughtIn } from '../kind.ts';
import { tooSmall } from '../puzzle/given-grid.ts';
import { letterOf, readIpuz } from '../puzzle/ipuz.ts';
import { MOST_GIVEN, type WordSearchGiven } from './options.ts';

/** Reads word searches as ipuz; each word has to be in the grid once. */
export const readWordSearches = (text: string): BroughtIn =>
  readIpuz(text, 'wordsearch', (puzzle) => {
    const { columns, rows, cells, title, words } = puzzle;
    const small = tooSmall(puzzle);
    if (small) return { problem: small };
    if (!words.length) return { problem: 'has no list of words (“dictionary”).' };
    if (words.length > MOST_GIVEN)
      return { problem: `has ${words.length} words; ${MOST_GIVEN} are the most.` };
    const letters = cells.map((value) => (value === null ? null : letterOf(value)));
    for (const word of words) {
      const name = word.slice(0, 40).toLocaleUpperCase('en');
      const read = gridWord(word);
      if ('problem' in read) return { problem: `lists “${name}”, which ${read.problem}` };
      const times = findWord({ columns, rows, letters }, read.letters).length;
      if (times !== 1) return { problem: `has ${name} ${times} times in its grid, where once is right.` };
    }
    const pin: WordSearchGiven = {
      ...(title ? { title } : {}),
      ...{ columns, rows, letters },
      words: words.map((word) => word.slice(0, 60)),
    };
    return { pin };
  });
