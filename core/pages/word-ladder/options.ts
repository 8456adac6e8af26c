import * as v from 'valibot';
import { LADDER_LETTERS } from '../../puzzles/word-ladder/index.ts';
import { enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';

const letters = enumOf(LADDER_LETTERS);
const steps = integerBetween(2, 8);

export const wordLadderOptions = exactObject({
  letters: setting(letters, 4, { label: 'Letters of a word' }),
  steps: setting(steps, 5, { label: 'Steps', help: 'How many letters are changed, one after the other.' }),
  pairs: setting(text(0, 20_000), '', {
    label: 'Own pairs of words',
    help: 'A line for each, such as COLD WARM: the first puzzles lead from one to the other. The words of those that follow are chosen.',
    control: 'texts',
  }),
  marks: setting(v.boolean(), false, {
    label: 'Show which letter changes',
    help: 'Its cell is gray in each step, which makes it much easier.',
  }),
  perPage: setting(enumOf([1, 2, 4, 6, 9, 12]), 6, { label: 'Puzzles per page' }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type WordLadderOptions = v.InferOutput<typeof wordLadderOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
export const wordLadderPin = exactObject({
  letters,
  steps,
  roll: integerBetween(0, 1_000_000),
  /** Words that the publisher gave, from one to the other. */
  pair: v.optional(v.tuple([text(1, 40), text(0, 40)])),
});

export type WordLadderPin = v.InferOutput<typeof wordLadderPin>;
