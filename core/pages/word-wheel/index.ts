import { loadVocabularies } from '../../puzzles/vocabulary/index.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { drawWordWheelPage, drawWordWheelSolution } from './draw.ts';
import { fillWordWheel, inspectWordWheel, pinnedWordWheel, type WordWheelItem } from './fill.ts';
import { type WordWheelOptions, wordWheelOptions, wordWheelPin } from './options.ts';
import { wordWheelTrial } from './trial.ts';

export const wordWheel = defineKind<WordWheelOptions, WordWheelItem>({
  id: 'word-wheel',
  version: 1,
  name: 'Word wheel',
  purpose:
    'How many English words are in these letters? Each has the one in the middle, and one takes all of them; all words in the solutions.',
  family: 'Puzzles',
  samples: [{ name: 'Word wheel' }, { name: 'Letter square', options: { form: 'square', perPage: 4 } }],
  called: ({ form }) => (form === 'square' ? 'Letter square' : 'Word wheel'),
  extent: 'items',
  defaultCount: 40,
  numbered: true,
  inHouseFaces: () => true,
  options: wordWheelOptions,
  itemName: 'puzzle',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  prepareItems: loadVocabularies,
  fillSteps: fillWordWheel,
  pin: { schema: wordWheelPin, of: pinnedWordWheel },
  data: ({ letters, words, whole }) => ({
    middle: letters.slice(0, 1),
    around: letters.slice(1),
    whole,
    words,
  }),
  told: ({ words, letters }) => `${words.length} words, one of ${letters.length} letters`,
  draw: drawWordWheelPage,
  solution: { box: drawWordWheelSolution },
  trial: wordWheelTrial,
  inspect: inspectWordWheel,
  // The letters around may stand in any order.
  sameAs: ({ letters }) => `${letters.slice(0, 1)} ${[...letters.slice(1)].sort().join('')}`,
});
