import { ipuzFormat, rowsOf, wordListFormat } from '../../item-formats.ts';
import { defineKind, itemUnits, type PageKind } from '../../kind.ts';
import { bankNeeded } from '../../puzzle/word-source.ts';
import { inspectWordLists } from '../lists.ts';
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
import { pinSchema, type WordSearchOptions, wordSearchOptions } from './options.ts';
import { drawWordSearchSolution } from './solution.ts';

const kept = {
  id: 'word-search',
  name: 'Word search',
  purpose: 'Words hidden in a grid of letters, with solutions.',
  family: 'Puzzles',
  extent: 'items',
  defaultCount: 20,
  numbered: true,
  options: wordSearchOptions,
  needs: bankNeeded,
  itemName: 'puzzle',
  units: ({ count }: { count: number }) => itemUnits(count),
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

export const first = defineKind<WordSearchOptions, WordSearchItem>({
  ...kept,
  version: 1,
  fill: fillFromTheLeft,
  draw: drawWordSearchPage(firstLayout),
}) as unknown as PageKind;

export const second = defineKind<WordSearchOptions, WordSearchItem>({
  ...kept,
  version: 2,
  fill: fillWordSearch,
  draw: drawWordSearchPage(wordSearchLayout),
}) as unknown as PageKind;
