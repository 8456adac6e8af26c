import { sameInequality } from '../../puzzles/inequality/index.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { filedByLevel } from '../puzzle/filed.ts';
import { LEVEL_NAMES } from '../puzzle/level.ts';
import { drawInequalityPage, drawInequalitySolution } from './draw.ts';
import { fillInequality, type InequalityItem, inspectInequality, pinnedInequality } from './fill.ts';
import { type InequalityOptions, inequalityOptions, inequalityPin } from './options.ts';
import { inequalityTrial } from './trial.ts';
import { inequalityWords } from './words.ts';

export const inequality = defineKind<InequalityOptions, InequalityItem>({
  id: 'inequality',
  version: 1,
  name: 'Inequality grid',
  purpose:
    'Numbers once in every row and column, with signs between them; one answer each, levels measured, with solutions.',
  family: 'Puzzles',
  samples: [
    { name: 'Inequality grid', shown: { level: 3 } },
    { name: 'Small inequality grid, six a page', options: { size: 4, perPage: 6, level: 1 } },
  ],
  extent: 'items',
  defaultCount: 40,
  numbered: true,
  inHouseFaces: () => true,
  options: inequalityOptions,
  itemName: 'puzzle',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  usesPlace: true,
  fillSteps: fillInequality,
  pin: { schema: inequalityPin, of: pinnedInequality },
  data: ({ size, givens, signs, solution, level }) => ({
    ...{ size, givens },
    signs: signs.map(({ less, more }) => [less, more]),
    ...{ solution, level },
  }),
  filed: filedByLevel(pinnedInequality, (language) => inequalityWords(language, 'title')),
  told: ({ level, signs }) => `${LEVEL_NAMES[level]}, ${signs.length} signs`,
  trial: inequalityTrial,
  draw: drawInequalityPage,
  solution: { box: drawInequalitySolution },
  inspect: inspectInequality,
  sameAs: sameInequality,
});
