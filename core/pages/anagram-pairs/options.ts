import type * as v from 'valibot';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';

const letters = integerBetween(3, 10);
const pairs = integerBetween(4, 16);
const task = enumOf(['match', 'write']);

export const anagramPairsOptions = exactObject({
  task: setting(task, 'match', {
    label: 'To do',
    values: { match: 'Join pairs with lines', write: 'Write the other word' },
  }),
  pairs: setting(pairs, 10, { label: 'Pairs per puzzle' }),
  shortest: setting(letters, 4, { label: 'Letters of the shortest words' }),
  longest: setting(letters, 7, { label: 'Letters of the longest words' }),
  perPage: setting(enumOf([1, 2]), 1, { label: 'Puzzles per page' }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type AnagramPairsOptions = v.InferOutput<typeof anagramPairsOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
export const anagramPairsPin = exactObject({
  task,
  pairs,
  shortest: letters,
  longest: letters,
  roll: integerBetween(0, 1_000_000),
});

export type AnagramPairsPin = v.InferOutput<typeof anagramPairsPin>;
