import type { Level } from '../../puzzles/level.ts';
import { leastTurned } from '../../puzzles/turned.ts';
import { cellsOf, DIRECTION_SETS } from '../../puzzles/word-search/index.ts';
import { isObject } from '../../schema.ts';
import { loadUnwanted } from '../../words/index.ts';
import { ipuzFormat, rowsOf, wordListFormat } from '../item-formats.ts';
import { defineKind, type Unit } from '../kind.ts';
import { fewerAndFewer, LEAST_LARGE } from '../puzzle/fewer.ts';
import { titleOf } from '../puzzle/filed.ts';
import { LEVEL_NAMES } from '../puzzle/level.ts';
import { SHOWN_WORDS } from '../puzzle/shown-words.ts';
import { bankNeeded } from '../puzzle/word-source.ts';
import { readWordSearches } from './bring-in.ts';
import { drawWordSearchPage, drawWordSearchSolution } from './draw.ts';
import { first, second } from './earlier/index.ts';
import { fillWordSearch, inspectWordSearch, pinnedWordSearch, type SearchItem, wantedLevel } from './fill.ts';
import { inspectWordLists } from './lists.ts';
import { type WordSearchOptions, wordSearchOptions, wordSearchPin } from './options.ts';
import { searchTrial } from './trial.ts';
import { searchWords } from './words.ts';

const SHOWN = { words: { lists: [{ title: 'In the hive', words: SHOWN_WORDS }] }, wordsPerPuzzle: 12 };

export const wordSearch = defineKind<WordSearchOptions, SearchItem>({
  id: 'word-search',
  version: 3,
  earlier: [
    {
      version: 1,
      migrate: (same) => same,
      changes:
        'The grid takes the room that the page has, with the words beside it where that gives larger letters, in columns that come out even. Hebrew words run to the left in it.',
      kept: first,
    },
    {
      version: 2,
      migrate: ({ directions, ...options }) => ({
        ...options,
        ...(typeof directions === 'string' && Object.hasOwn(DIRECTION_SETS, directions)
          ? { directions: [...DIRECTION_SETS[directions as keyof typeof DIRECTION_SETS]] }
          : {}),
      }),
      changes:
        'Grids are made anew: filled like the language, without unwanted words, in an outline if wished. The page has the head of other puzzles, words with rings to tick, and answers that show the words alone. Pinned puzzles keep their letters.',
      kept: second,
    },
  ],
  later: { heading: '' },
  name: 'Word search',
  purpose: 'Words hidden in a grid of letters or in an outline, with solutions.',
  family: 'Puzzles',
  samples: [
    { name: 'Word search', shown: SHOWN },
    {
      name: 'Word search in a heart',
      options: { shape: 'heart', columns: 18, rows: 18, wordsPerPuzzle: 12 },
      shown: SHOWN,
    },
  ],
  extent: 'items',
  defaultCount: 20,
  numbered: true,
  inHouseFaces: () => true,
  options: wordSearchOptions,
  needs: bankNeeded,
  itemName: 'puzzle',
  usesPlace: true,
  prepareItems: loadUnwanted,
  units: ({ count, options: { place } }) =>
    Array.from({ length: count }, (_, i): Unit => {
      const items = [i + 1];
      return place === 'facing' ? { side: 'facing', items } : { items };
    }),
  roomier: ({ place }) => (place === 'facing' ? [] : [{ place: 'facing' }]),
  smaller: (options) => [
    ...fewerAndFewer(options, ['columns', 'rows'], LEAST_LARGE.side),
    ...fewerAndFewer(options, ['wordsPerPuzzle'], LEAST_LARGE.words),
  ],
  fill: fillWordSearch,
  pin: { schema: wordSearchPin, of: pinnedWordSearch },
  filed: ({ options, pin, ...context }) => ({
    title: titleOf(options.words, context.item, pin),
    level: isObject(pin)
      ? (pin as { level?: Level }).level
      : (wantedLevel({ options, ...context }) ?? undefined),
    called: (language) => searchWords(language, 'title'),
  }),
  told: ({ level, words, directions, search: { decoys } }) =>
    [
      LEVEL_NAMES[level],
      `${words.length} words`,
      `${directions.length} directions`,
      ...(decoys ? [`${decoys} near-misses`] : []),
    ].join(', '),
  data: ({ title, words, search: { columns, rows, letters, placements } }) => ({
    ...(title ? { title } : {}),
    rows: rowsOf(columns, rows, (at) => letters[at] ?? '.').map((row) => row.join('')),
    words: words.map(({ word }) => {
      const placed = placements.find((one) => one.word === word);
      return { word, cells: placed ? cellsOf(placed, columns) : [] };
    }),
  }),
  formats: [
    wordListFormat(({ words }: SearchItem) => words.map(({ word }) => word)),
    ipuzFormat('wordsearch#1', ({ words, search: { columns, rows, letters } }: SearchItem) => ({
      dimensions: { width: columns, height: rows },
      dictionary: words.map(({ letters: spelled }) => spelled.join('')),
      puzzle: rowsOf(columns, rows, (at) => letters[at] ?? null),
    })),
  ],
  bringIn: {
    help: 'A word search with its list of words in ipuz, or a list of them in square brackets.',
    read: readWordSearches,
  },
  trial: searchTrial,
  draw: drawWordSearchPage,
  solution: { box: drawWordSearchSolution },
  inspect: inspectWordSearch,
  inspectSection: inspectWordLists,
  sameAs: ({ search }) =>
    leastTurned(
      search.columns,
      search.letters.map((letter) => letter ?? ' '),
    ),
});
