import { leastText } from '../../puzzles/turned.ts';
import { loadVocabularies } from '../../puzzles/vocabulary/index.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { drawWordLadderPage, drawWordLadderSolution } from './draw.ts';
import { fillWordLadder, inspectWordLadder, pinnedWordLadder, type WordLadderItem } from './fill.ts';
import { type WordLadderOptions, wordLadderOptions, wordLadderPin } from './options.ts';
import { wordLadderTrial } from './trial.ts';

export const wordLadder = defineKind<WordLadderOptions, WordLadderItem>({
  id: 'word-ladder',
  version: 1,
  later: { pairs: '' },
  name: 'Word ladder',
  purpose:
    'From one word to another, a letter at a time, in common English words; one shortest way each, with solutions.',
  family: 'Puzzles',
  samples: [
    { name: 'Word ladder' },
    { name: 'Word ladder for children', options: { letters: 3, steps: 3, marks: true, perPage: 4 } },
  ],
  extent: 'items',
  defaultCount: 60,
  numbered: true,
  inHouseFaces: () => true,
  options: wordLadderOptions,
  itemName: 'puzzle',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  prepareItems: loadVocabularies,
  fillSteps: fillWordLadder,
  pin: { schema: wordLadderPin, of: pinnedWordLadder },
  data: ({ words }) => ({ words }),
  told: ({ words, own }) =>
    `${Math.max(0, words.length - 1)} steps, ${own?.several ? 'one of several shortest ways' : 'the only shortest way'} among everyday words`,
  trial: wordLadderTrial,
  draw: drawWordLadderPage,
  solution: { box: drawWordLadderSolution },
  inspect: inspectWordLadder,
  sameAs: ({ words }) => leastText([words.join(' '), [...words].reverse().join(' ')]),
});
