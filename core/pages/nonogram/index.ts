import { leastTurned } from '../../puzzles/turned.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { filedByLevel } from '../puzzle/filed.ts';
import { LEVEL_NAMES } from '../puzzle/level.ts';
import { drawNonogramPage, drawNonogramSolution } from './draw.ts';
import { cluesOfItem, fillNonogram, inspectNonogram, type NonogramItem, pinnedNonogram } from './fill.ts';
import { type NonogramOptions, nonogramOptions, nonogramPin } from './options.ts';
import { nonogramTrial } from './trial.ts';
import { nonogramWords } from './words.ts';

export const nonogram = defineKind<NonogramOptions, NonogramItem>({
  id: 'nonogram',
  version: 1,
  later: { heading: '', picture: 'random' },
  name: 'Nonogram',
  purpose: 'Pictures to find by the numbers at rows and columns, one answer each, with solutions.',
  family: 'Puzzles',
  samples: [
    { name: 'Nonogram', shown: { level: 2 } },
    { name: 'Nonogram of a shape', options: { picture: 'shapes' } },
    {
      name: 'Nonograms for children, four a page',
      options: { columns: 8, rows: 8, perPage: 4, level: 1, symmetry: 'mirror' },
    },
  ],
  extent: 'items',
  defaultCount: 30,
  numbered: true,
  inHouseFaces: () => true,
  options: nonogramOptions,
  itemName: 'puzzle',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  usesPlace: true,
  fillSteps: fillNonogram,
  pin: { schema: nonogramPin, of: pinnedNonogram },
  data(item) {
    const { columns, rows, picture, level } = item;
    return { columns, rows, clues: cluesOfItem(item), solution: picture, level };
  },
  formats: [
    {
      id: 'text',
      name: 'Text',
      ending: 'txt',
      between: '\n',
      write(item, { label }) {
        const { rows, columns } = cluesOfItem(item);
        const lines = (all: readonly (readonly number[])[]) =>
          all.map((runs) => runs.join(' ') || '0').join('\n');
        return `${label}\nrows\n${lines(rows)}\ncolumns\n${lines(columns)}\n`;
      },
    },
  ],
  filed: filedByLevel(pinnedNonogram, (language) => nonogramWords(language, 'nonogram')),
  told: ({ level }) => LEVEL_NAMES[level],
  trial: nonogramTrial,
  draw: drawNonogramPage,
  solution: { box: drawNonogramSolution },
  inspect: inspectNonogram,
  sameAs: ({ columns, picture }) => leastTurned(columns, [...picture]),
});
