import { samePyramid } from '../../puzzles/pyramid/index.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { filedByLevel } from '../puzzle/filed.ts';
import { LEVEL_NAMES } from '../puzzle/level.ts';
import { drawNumberPyramidPage, drawNumberPyramidSolution } from './draw.ts';
import {
  fillNumberPyramid,
  inspectNumberPyramid,
  type NumberPyramidItem,
  pinnedNumberPyramid,
} from './fill.ts';
import { type NumberPyramidOptions, numberPyramidOptions, numberPyramidPin } from './options.ts';
import { numberPyramidTrial } from './trial.ts';
import { numberPyramidWords } from './words.ts';

export const numberPyramid = defineKind<NumberPyramidOptions, NumberPyramidItem>({
  id: 'number-pyramid',
  version: 1,
  name: 'Number pyramid',
  purpose:
    'Bricks that are the sum of the two below them, for children; one answer each, levels measured, with solutions.',
  family: 'Puzzles',
  samples: [
    { name: 'Number pyramid', shown: { level: 2 } },
    { name: 'Small number pyramid, eight a page', options: { rows: 3, largest: 5, perPage: 8, level: 1 } },
  ],
  extent: 'items',
  defaultCount: 60,
  numbered: true,
  inHouseFaces: () => true,
  options: numberPyramidOptions,
  itemName: 'puzzle',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  usesPlace: true,
  fillSteps: fillNumberPyramid,
  pin: { schema: numberPyramidPin, of: pinnedNumberPyramid },
  data: ({ rows, givens, solution, level }) => ({ rows, givens, solution, level }),
  filed: filedByLevel(pinnedNumberPyramid, (language) => numberPyramidWords(language, 'title')),
  told: ({ level, givens }) =>
    `${LEVEL_NAMES[level]}, ${givens.filter((number) => number === null).length} bricks to fill in`,
  trial: numberPyramidTrial,
  draw: drawNumberPyramidPage,
  solution: { box: drawNumberPyramidSolution },
  inspect: inspectNumberPyramid,
  sameAs: samePyramid,
});
