import * as v from 'valibot';
import { enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { ORDERS, type Order } from '../../text-lists/index.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';

const given = integerBetween(0, 7);

export const cryptogramOptions = exactObject({
  texts: setting(text(0, 100_000), '', {
    label: 'Texts',
    help: 'A line for each. Who said it comes after a tab or an upright bar: Keep the bees | Old saying.',
    control: 'texts',
  }),
  order: setting(enumOf(Object.keys(ORDERS) as Order[]), 'listed', { label: 'Order', values: ORDERS }),
  perPage: setting(enumOf([1, 2, 3, 4]), 1, { label: 'Puzzles per page' }),
  given: setting(given, 2, { label: 'Letters given' }),
  oneReading: setting(v.boolean(), false, {
    label: 'One reading alone',
    help: 'More letters are given, until everyday English words can be read in one way. For English texts.',
  }),
  key: setting(v.boolean(), true, {
    label: 'Strip for the key',
    help: 'The alphabet with a box at each letter, and how often each sign stands in the text; left out where the text would be too small beside it.',
  }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type CryptogramOptions = v.InferOutput<typeof cryptogramOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
export const cryptogramPin = exactObject({
  text: text(0, 2000),
  credit: text(0, 400),
  given,
  oneReading: v.optional(v.boolean()),
  roll: integerBetween(0, 1_000_000),
});

export type CryptogramPin = v.InferOutput<typeof cryptogramPin>;
