import { loadVocabularies } from '../../puzzles/vocabulary/index.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { drawAnagramPairsPage, drawAnagramPairsSolution } from './draw.ts';
import {
  type AnagramPairsItem,
  fillAnagramPairs,
  inspectAnagramPairs,
  inspectAnagramSection,
  pinnedAnagramPairs,
} from './fill.ts';
import { type AnagramPairsOptions, anagramPairsOptions, anagramPairsPin } from './options.ts';
import { anagramPairsTrial } from './trial.ts';

export const anagramPairs = defineKind<AnagramPairsOptions, AnagramPairsItem>({
  id: 'anagram-pairs',
  version: 1,
  name: 'Anagram pairs',
  purpose:
    'Common English words to be joined with others of the same letters, or to be turned into them; each has one anagram.',
  family: 'Puzzles',
  samples: [{ name: 'Anagram pairs' }, { name: 'Anagrams to write', options: { task: 'write' } }],
  called: ({ task }) => (task === 'write' ? 'Anagrams' : 'Anagram pairs'),
  extent: 'items',
  defaultCount: 30,
  numbered: true,
  inHouseFaces: () => true,
  options: anagramPairsOptions,
  itemName: 'puzzle',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  prepareItems: loadVocabularies,
  fill: fillAnagramPairs,
  pin: { schema: anagramPairsPin, of: pinnedAnagramPairs },
  data: ({ task, pairs, order }) => ({
    task,
    pairs,
    ...(task === 'match' ? { right: order.map((pair) => pairs[pair]![1]) } : {}),
  }),
  told: ({ pairs }) =>
    `${pairs.length} pairs, the longest of ${Math.max(0, ...pairs.map(([word]) => word.length))} letters`,
  trial: anagramPairsTrial,
  draw: drawAnagramPairsPage,
  solution: { box: drawAnagramPairsSolution },
  inspect: inspectAnagramPairs,
  inspectSection: inspectAnagramSection,
  sameAs: ({ pairs }) =>
    pairs
      .map((pair) => [...pair].sort().join(' '))
      .sort()
      .join('|'),
});
