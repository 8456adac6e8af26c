import { loadVocabularies } from '../../puzzles/vocabulary/index.ts';
import { ipuzFormat } from '../item-formats.ts';
import { defineKind, itemUnits, type Unit } from '../kind.ts';
import { NO_CLUE } from '../puzzle/clued-words.ts';
import { fewerAndFewer, LEAST_LARGE } from '../puzzle/fewer.ts';
import { letterSolution } from '../puzzle/letter-grid.ts';
import { SHOWN_CLUES, SHOWN_DENSE } from '../puzzle/shown-words.ts';
import { readCrosswords } from './bring-in.ts';
import { drawCrosswordPage } from './draw.ts';
import {
  type CrosswordItem,
  cluesAsCsv,
  crosswordIpuz,
  fillCrossword,
  inspectCrossword,
  inspectCrosswords,
  pinnedCrossword,
  wordsWithoutClue,
} from './fill.ts';
import { type CrosswordOptions, crosswordOptions, crosswordPin } from './options.ts';
import { crosswordTrial } from './trial.ts';

const ipuz = ipuzFormat('crossword#1', crosswordIpuz);

/** Clues on the facing page are those of one puzzle. */
const perPageOf = ({ clueSide, perPage }: CrosswordOptions): number => (clueSide === 'facing' ? 1 : perPage);

export const crossword = defineKind<CrosswordOptions, CrosswordItem>({
  id: 'crossword',
  version: 1,
  later: { heading: '', layout: 'free', vocabulary: 'common', fillClues: '', perPage: 1 },
  name: 'Crossword',
  purpose: 'Crossing words with clues of your own, with solutions.',
  family: 'Puzzles',
  samples: [
    { name: 'Crossword', shown: { clues: SHOWN_CLUES, words: 16 } },
    {
      name: 'Crossword, dense',
      purpose: 'Symmetrical grids in which every letter is crossed, filled with everyday English words.',
      options: { layout: 'dense', columns: 15, rows: 15, around: 'black', clueSide: 'facing' },
      shown: { columns: 9, rows: 9, clueSide: 'page', fillClues: SHOWN_DENSE },
    },
    {
      name: 'Small crosswords, two a page',
      options: { columns: 9, rows: 9, words: 8, perPage: 2 },
      shown: { clues: SHOWN_CLUES },
    },
    {
      name: 'Arrow words',
      purpose: 'Crossing words that cells of the grid ask for, with arrows to where each begins.',
      options: { columns: 8, rows: 11, words: 10, clueSide: 'grid' },
      shown: { clues: SHOWN_CLUES },
    },
  ],
  called: ({ clueSide }) => (clueSide === 'grid' ? 'Arrow words' : 'Crossword'),
  extent: 'items',
  defaultCount: 20,
  numbered: true,
  inHouseFaces: () => true,
  hyphenates: true,
  options: crosswordOptions,
  itemName: 'puzzle',
  prepareItems: async ({ layout }) => {
    if (layout === 'dense') await loadVocabularies();
  },
  itemsPerUnit: perPageOf,
  roomier: ({ clueSide }) => (clueSide === 'page' ? [{ clueSide: 'facing' }] : []),
  smaller: (options) => [
    ...(options.layout === 'free' ? fewerAndFewer(options, ['words'], LEAST_LARGE.words, 2) : []),
    ...fewerAndFewer(options, ['columns', 'rows'], LEAST_LARGE.side, options.layout === 'dense' ? 4 : 1),
  ],
  units: ({ count, options }) =>
    options.clueSide === 'facing'
      ? Array.from({ length: count }, (_, i): Unit => ({ side: 'facing', items: [i + 1] }))
      : itemUnits(count, perPageOf(options)),
  fillSteps: fillCrossword,
  pin: { schema: crosswordPin, of: pinnedCrossword },
  data: (item) => JSON.parse(ipuz.write(item, { number: 1, label: '' })),
  formats: [
    ipuz,
    { id: 'clues', name: 'Table of clues (CSV)', ending: 'csv', between: '\n', write: cluesAsCsv },
    {
      id: NO_CLUE,
      name: 'Words without a clue (text)',
      ending: 'txt',
      between: '\n',
      write: wordsWithoutClue,
    },
  ],
  told: ({ columns, rows, letters, asked, own }) =>
    own === undefined
      ? `${asked.length} words in ${columns} × ${rows} cells, ${Math.round((100 * letters.filter(Boolean).length) / Math.max(1, letters.length))} % of them with letters`
      : `${asked.length} words in ${columns} × ${rows} cells, ${own} of them from the list`,
  bringIn: {
    help: 'A crossword with its answer and clues in ipuz, or a list of them in square brackets.',
    read: readCrosswords,
  },
  trial: crosswordTrial,
  draw: drawCrosswordPage,
  solution: { box: letterSolution },
  inspect: inspectCrossword,
  inspectSection: inspectCrosswords,
  sameAs: ({ columns, letters }) => `${columns} ${letters.map((letter) => letter ?? '.').join('')}`,
});
