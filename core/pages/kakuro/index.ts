import { leastTurned } from '../../puzzles/turned.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { filedByLevel } from '../puzzle/filed.ts';
import { LEVEL_NAMES } from '../puzzle/level.ts';
import { drawKakuroPage, drawKakuroSolution } from './draw.ts';
import { fillKakuro, inspectKakuro, type KakuroItem, pinnedKakuro, sumsOf } from './fill.ts';
import { type KakuroOptions, kakuroOptions, kakuroPin } from './options.ts';
import { kakuroTrial } from './trial.ts';
import { kakuroWords } from './words.ts';

export const kakuro = defineKind<KakuroOptions, KakuroItem>({
  id: 'kakuro',
  version: 1,
  later: { heading: '' },
  name: 'Kakuro',
  purpose: 'Crossing sums with one answer each, their levels measured, with solutions.',
  family: 'Puzzles',
  samples: [
    { name: 'Kakuro', shown: { level: 3 } },
    { name: 'Small kakuro, four a page', options: { columns: 6, rows: 6, perPage: 4, level: 1 } },
  ],
  extent: 'items',
  defaultCount: 30,
  numbered: true,
  inHouseFaces: () => true,
  options: kakuroOptions,
  itemName: 'puzzle',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  usesPlace: true,
  fillSteps: fillKakuro,
  pin: { schema: kakuroPin, of: pinnedKakuro },
  data(item) {
    const { columns, rows, solution, level } = item;
    const { layout, sums } = sumsOf(item);
    return {
      ...{ columns, rows },
      clues: layout.runs.map(({ cells, across }, r) => ({ cells, across, sum: sums[r] })),
      ...{ solution, level },
    };
  },
  filed: filedByLevel(pinnedKakuro, (language) => kakuroWords(language, 'kakuro')),
  told: ({ level }) => LEVEL_NAMES[level],
  trial: kakuroTrial,
  draw: drawKakuroPage,
  solution: { box: drawKakuroSolution },
  inspect: inspectKakuro,
  sameAs: ({ columns, solution }) => leastTurned(columns, [...solution]),
});
