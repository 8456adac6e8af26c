import * as v from 'valibot';
import { enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { ORDERS, type Order } from '../../text-lists/index.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';

export const triviaOptions = exactObject({
  questions: setting(text(0, 400_000), '', {
    label: 'Questions and answers',
    help: 'A line for each: the question, its answer, then wrong answers to choose from, if any, with upright bars between: How many legs has a bee? | Six | Four | Eight.',
    control: 'texts',
  }),
  order: setting(enumOf(Object.keys(ORDERS) as Order[]), 'listed', { label: 'Order', values: ORDERS }),
  perPuzzle: setting(integerBetween(3, 20), 10, { label: 'Questions per quiz' }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type TriviaOptions = v.InferOutput<typeof triviaOptions>;

/** Everything a pinned quiz is made from, so that no setting can change it. */
export const triviaPin = exactObject({
  rows: v.pipe(v.array(v.pipe(v.array(text(0, 1000)), v.maxLength(8))), v.maxLength(20)),
  roll: integerBetween(0, 1_000_000),
});

export type TriviaPin = v.InferOutput<typeof triviaPin>;
