import * as v from 'valibot';
import { enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { ORDERS, type Order } from '../../text-lists/index.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';

/** Letters of a message: as many rows fit a page. */
export const MOST_LETTERS = 24;

export const hiddenMessageOptions = exactObject({
  messages: setting(text(0, 100_000), '', {
    label: 'Messages',
    help: `A line for each puzzle, of ${MOST_LETTERS} letters at most. It is read downward in the marked column.`,
    control: 'texts',
  }),
  clues: setting(text(0, 400_000), '', {
    label: 'Words and clues',
    help: 'A line for each: the word, an upright bar or a tab, its clue. A word without a clue is asked for by its letters in disorder.',
    control: 'clues',
  }),
  order: setting(enumOf(Object.keys(ORDERS) as Order[]), 'listed', {
    label: 'Order of messages',
    values: ORDERS,
  }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type HiddenMessageOptions = v.InferOutput<typeof hiddenMessageOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
export const hiddenMessagePin = exactObject({
  message: text(0, 400),
  rows: v.pipe(
    v.array(
      exactObject({ letter: text(1, 8), word: text(0, 60), clue: text(0, 400), at: integerBetween(0, 60) }),
    ),
    v.maxLength(MOST_LETTERS),
  ),
  roll: integerBetween(0, 1_000_000),
});

export type HiddenMessagePin = v.InferOutput<typeof hiddenMessagePin>;
