import { sameCrossSums } from '../../puzzles/cross-sums/index.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { filedByLevel } from '../puzzle/filed.ts';
import { LEVEL_NAMES } from '../puzzle/level.ts';
import { drawCrossSumsPage, drawCrossSumsSolution } from './draw.ts';
import { type CrossSumsItem, fillCrossSums, inspectCrossSums, pinnedCrossSums } from './fill.ts';
import { type CrossSumsOptions, crossSumsOptions, crossSumsPin } from './options.ts';
import { crossSumsTrial } from './trial.ts';
import { crossSumsWords } from './words.ts';

export const crossSums = defineKind<CrossSumsOptions, CrossSumsItem>({
  id: 'cross-sums',
  version: 1,
  name: 'Cross sums',
  purpose:
    'The digits from 1 to 9 in a square whose rows and columns are calculations; one answer each, levels measured, with solutions.',
  family: 'Puzzles',
  samples: [
    { name: 'Cross sums', shown: { level: 2 } },
    { name: 'Cross sums for children', options: { calculation: 'sums', level: 1 } },
  ],
  extent: 'items',
  defaultCount: 60,
  numbered: true,
  inHouseFaces: () => true,
  options: crossSumsOptions,
  itemName: 'puzzle',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  usesPlace: true,
  fillSteps: fillCrossSums,
  pin: { schema: crossSumsPin, of: pinnedCrossSums },
  data: ({ operators, results, givens, solution, level }) => ({
    operators,
    results,
    givens,
    solution,
    level,
  }),
  filed: filedByLevel(pinnedCrossSums, (language) => crossSumsWords(language, 'title')),
  told: ({ level, givens }) =>
    `${LEVEL_NAMES[level]}, ${givens.filter((given) => given === null).length} digits to fill in`,
  trial: crossSumsTrial,
  draw: drawCrossSumsPage,
  solution: { box: drawCrossSumsSolution },
  inspect: inspectCrossSums,
  sameAs: sameCrossSums,
});
