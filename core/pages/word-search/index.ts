import { defineKind, itemUnits } from '../kind.ts';
import { wordSearchData } from './data.ts';
import { drawWordSearchPage } from './draw.ts';
import { fillWordSearch, inspectWordSearch, pinnedWordSearch } from './fill.ts';
import { pinSchema, wordSearchOptions } from './options.ts';
import { drawWordSearchSolution } from './solution.ts';

export const wordSearch = defineKind({
  id: 'word-search',
  version: 1,
  name: 'Word search',
  purpose: 'Words hidden in a grid of letters, with solutions.',
  extent: 'items',
  defaultCount: 20,
  numbered: true,
  options: wordSearchOptions,
  needs: ({ words }) => ('bank' in words ? [{ id: words.bank, type: 'words', path: 'words.bank' }] : []),
  itemName: 'puzzle',
  units: ({ count }) => itemUnits(count),
  fill: fillWordSearch,
  pin: { schema: pinSchema, of: pinnedWordSearch },
  data: wordSearchData,
  draw: drawWordSearchPage,
  solution: { box: drawWordSearchSolution },
  inspect: inspectWordSearch,
});
