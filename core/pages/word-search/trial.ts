import { cellsOf } from '../../puzzles/word-search/index.ts';
import type { SearchTrial } from '../puzzle/trial.ts';
import type { SearchItem } from './fill.ts';

/** What of a puzzle its trial takes, of words or numbers. */
type Searched = {
  words: SearchItem['words'];
  search: Pick<SearchItem['search'], 'columns' | 'placements'> & { letters: readonly (string | null)[] };
};

/** The grid, in which the words are marked. */
export const searchTrial = ({ words, search: { columns, letters, placements } }: Searched): SearchTrial => ({
  of: 'search',
  ...{ columns, letters },
  words: words.flatMap(({ word, letters: spelled }) => {
    const placed = placements.find((one) => one.word === word);
    return placed ? [{ word: spelled.join(''), shown: word, cells: cellsOf(placed, columns) }] : [];
  }),
});
