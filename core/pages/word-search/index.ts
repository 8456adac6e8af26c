import { ipuzFormat, rowsOf, wordListFormat } from '../item-formats.ts';
import { defineKind, itemUnits, type PageKind } from '../kind.ts';
import { SHOWN_WORDS } from '../puzzle/shown-words.ts';
import { bankNeeded } from '../puzzle/word-source.ts';
import { wordSearchData } from './data.ts';
import { drawWordSearchPage } from './draw.ts';
import {
  fillFromTheLeft,
  fillWordSearch,
  inspectWordSearch,
  pinnedWordSearch,
  type WordSearchItem,
} from './fill.ts';
import { firstLayout } from './first-layout.ts';
import { wordSearchLayout } from './layout.ts';
import { inspectWordLists } from './lists.ts';
import { pinSchema, type WordSearchOptions, wordSearchOptions } from './options.ts';
import { drawWordSearchSolution } from './solution.ts';

/** What every version says of itself. */
const searched = {
  id: 'word-search',
  name: 'Word search',
  purpose: 'Words hidden in a grid of letters, with solutions.',
  family: 'Puzzles',
  samples: [
    { name: 'Word search', shown: { words: { lists: [{ title: 'In the hive', words: SHOWN_WORDS }] } } },
  ],
  extent: 'items',
  defaultCount: 20,
  numbered: true,
  options: wordSearchOptions,
  needs: bankNeeded,
  itemName: 'puzzle',
  units: ({ count }: { count: number }) => itemUnits(count),
  fill: fillWordSearch,
  pin: { schema: pinSchema, of: pinnedWordSearch },
  data: wordSearchData,
  formats: [
    wordListFormat(({ words }: WordSearchItem) => words.map(({ word }) => word)),
    ipuzFormat('wordsearch#1', ({ words, search: { columns, rows, letters } }: WordSearchItem) => ({
      dimensions: { width: columns, height: rows },
      dictionary: words.map(({ letters: spelled }) => spelled.join('')),
      puzzle: rowsOf(columns, rows, (at) => letters[at]!),
    })),
  ],
  solution: { box: drawWordSearchSolution },
  inspect: inspectWordSearch,
  inspectSection: inspectWordLists,
} as const;

const first = defineKind<WordSearchOptions, WordSearchItem>({
  ...searched,
  version: 1,
  fill: fillFromTheLeft,
  draw: drawWordSearchPage(firstLayout),
});

export const wordSearch = defineKind<WordSearchOptions, WordSearchItem>({
  ...searched,
  version: 2,
  earlier: [
    {
      version: 1,
      migrate: (same) => same,
      changes:
        'The grid takes the room that the page has, with the words beside it where that gives larger letters, in columns that come out even. Hebrew words run to the left in it.',
      kept: first as unknown as PageKind,
    },
  ],
  draw: drawWordSearchPage(wordSearchLayout),
});
