import { leastTurned } from '../../puzzles/turned.ts';
import { wordListFormat } from '../item-formats.ts';
import { itemUnits } from '../kind.ts';
import { wordSearchData } from '../word-search/earlier/data.ts';
import { inspectWordSearch, type WordSearchItem } from '../word-search/earlier/fill.ts';
import { searchTrial } from '../word-search/trial.ts';
import { fillNumbers, numberSearchPin, pinnedNumbers } from './fill.ts';

/** What number searches of all versions have in common: the puzzles themselves. */
export const shared = {
  id: 'number-search',
  name: 'Number search',
  purpose: 'Numbers hidden in a grid of digits, with solutions.',
  family: 'Puzzles',
  extent: 'items',
  defaultCount: 20,
  numbered: true,
  itemName: 'puzzle',
  units: ({ count }: { count: number }) => itemUnits(count),
  fill: fillNumbers,
  pin: { schema: numberSearchPin, of: pinnedNumbers },
  data: wordSearchData,
  formats: [wordListFormat(({ words }: WordSearchItem) => words.map(({ word }) => word))],
  trial: searchTrial,
  inspect: inspectWordSearch,
  sameAs: ({ search }: WordSearchItem) => leastTurned(search.columns, search.letters),
} as const;
