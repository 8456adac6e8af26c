import { leastGroups } from '../../puzzles/turned.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { filedByLevel } from '../puzzle/filed.ts';
import { LEVEL_NAMES } from '../puzzle/level.ts';
import { drawCagesPage, drawCagesSolution } from './draw.ts';
import { type CagesItem, fillCages, inspectCages, pinnedCages } from './fill.ts';
import { type CagesOptions, cagesOptions, cagesPin } from './options.ts';
import { cagesTrial } from './trial.ts';
import { cagesWords } from './words.ts';

export const cages = defineKind<CagesOptions, CagesItem>({
  id: 'cages',
  version: 1,
  name: 'Number cages',
  purpose:
    'Numbers once in every row and column, in cages that say what they make; one answer each, levels measured, with solutions.',
  family: 'Puzzles',
  samples: [
    { name: 'Number cages', shown: { level: 3 } },
    {
      name: 'Number cages with sums, six a page',
      options: { size: 4, calculation: 'sums', perPage: 6, level: 1 },
    },
  ],
  extent: 'items',
  defaultCount: 40,
  numbered: true,
  inHouseFaces: () => true,
  options: cagesOptions,
  itemName: 'puzzle',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  usesPlace: true,
  fillSteps: fillCages,
  pin: { schema: cagesPin, of: pinnedCages },
  data: ({ size, cages, solution, level }) => ({ size, cages, solution, level }),
  filed: filedByLevel(pinnedCages, (language) => cagesWords(language, 'title')),
  told: ({ level, cages }) => `${LEVEL_NAMES[level]}, ${cages.length} cages`,
  trial: cagesTrial,
  draw: drawCagesPage,
  solution: { box: drawCagesSolution },
  inspect: inspectCages,
  sameAs: ({ size, cages }) =>
    leastGroups(
      size,
      cages.map(({ cells, operation, target }) => ({ cells, says: `${target}${operation ?? ''}` })),
    ),
});
