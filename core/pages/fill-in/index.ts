import { ipuzFormat, rowsOf, wordListFormat } from '../item-formats.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { fewerAndFewer, LEAST_LARGE } from '../puzzle/fewer.ts';
import { filedByTitle } from '../puzzle/filed.ts';
import { letterSolution } from '../puzzle/letter-grid.ts';
import { SHOWN_WORDS } from '../puzzle/shown-words.ts';
import { bankNeeded, listProblems, listsOf } from '../puzzle/word-source.ts';
import { readFillIns } from './bring-in.ts';
import { drawFillInPage } from './draw.ts';
import { type FillInItem, fillFillIn, inspectFillIn, pinnedFillIn } from './fill.ts';
import { type FillInOptions, fillInOptions, fillInPin } from './options.ts';
import { fillInTrial } from './trial.ts';
import { fillInWords } from './words.ts';

export const fillIn = defineKind<FillInOptions, FillInItem>({
  id: 'fill-in',
  version: 1,
  later: { heading: '' },
  name: 'Fill-in',
  purpose: 'Words of a list to put into a grid, in one way alone, with solutions.',
  family: 'Puzzles',
  samples: [{ name: 'Fill-in', shown: { words: { lists: [{ words: SHOWN_WORDS }] }, wordsPerPuzzle: 12 } }],
  extent: 'items',
  defaultCount: 20,
  numbered: true,
  inHouseFaces: () => true,
  options: fillInOptions,
  needs: bankNeeded,
  itemName: 'puzzle',
  units: ({ count }) => itemUnits(count),
  smaller: (options) => [
    ...fewerAndFewer(options, ['wordsPerPuzzle'], LEAST_LARGE.words),
    ...fewerAndFewer(options, ['columns', 'rows'], LEAST_LARGE.side),
  ],
  fillSteps: fillFillIn,
  pin: { schema: fillInPin, of: pinnedFillIn },
  data: ({ title, columns, rows, letters, words, given }) => ({
    ...(title ? { title } : {}),
    ...{ columns, rows },
    solution: Array.from({ length: rows }, (_, row) =>
      letters.slice(row * columns, (row + 1) * columns).map((letter) => letter ?? '.'),
    ),
    words: words.map(({ word }) => word),
    given,
  }),
  formats: [
    wordListFormat(({ words }: FillInItem) => words.map(({ word }) => word)),
    ipuzFormat('fill#1', ({ columns, rows, letters, given }: FillInItem) => ({
      dimensions: { width: columns, height: rows },
      puzzle: rowsOf(columns, rows, (at) => {
        if (letters[at] === null) return '#';
        return given.includes(at) ? { cell: 0, value: letters[at] } : 0;
      }),
      solution: rowsOf(columns, rows, (at) => letters[at] ?? '#'),
    })),
  ],
  filed: filedByTitle((language) => fillInWords(language, 'fillIn')),
  told: ({ columns, rows, words }) => `${words.length} words in ${columns} × ${rows} cells`,
  bringIn: {
    help: 'A fill-in with its answer in ipuz, or a list of them in square brackets.',
    read: readFillIns,
  },
  trial: fillInTrial,
  draw: drawFillInPage,
  solution: { box: letterSolution },
  inspect: inspectFillIn,
  sameAs: ({ columns, letters }) => `${columns} ${letters.map((letter) => letter ?? '.').join('')}`,
  inspectSection: (items, options, resources) =>
    listProblems(items, listsOf(options, resources), {
      wordsPerPuzzle: options.wordsPerPuzzle,
      longest: Math.max(options.columns, options.rows),
    }),
});
