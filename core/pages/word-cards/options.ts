import * as v from 'valibot';
import { enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { ORDERS, type Order } from '../../text-lists/index.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';

const game = enumOf(['dominoes', 'memory']);
export const MOST_PAIRS = 16;
/** Letters of one side of a card: they fit in the least type. */
export const MOST_LETTERS = 80;

export const wordCardsOptions = exactObject({
  game: setting(game, 'dominoes', {
    label: 'Cards for',
    values: { dominoes: 'Dominoes', memory: 'A memory game' },
  }),
  pairs: setting(text(0, 100_000), '', {
    label: 'Pairs',
    help: 'A line for each, with an upright bar between: bee | hive. In a memory game a word alone is a pair of itself.',
    control: 'texts',
  }),
  order: setting(enumOf(Object.keys(ORDERS) as Order[]), 'listed', {
    label: 'Order of pairs',
    values: ORDERS,
  }),
  perSet: setting(integerBetween(4, MOST_PAIRS), 8, {
    label: 'Pairs per set',
    help: 'A set is on one page: a domino for each pair, or two cards of a memory game.',
  }),
  blankBack: setting(v.boolean(), true, {
    label: 'Blank back',
    help: 'So that cutting out cards takes nothing else away.',
  }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type WordCardsOptions = v.InferOutput<typeof wordCardsOptions>;

const side = text(0, 400);

/** Everything a pinned set is made from, so that no setting can change it. */
export const wordCardsPin = exactObject({
  game,
  pairs: v.pipe(v.array(v.tuple([side, side])), v.maxLength(MOST_PAIRS)),
  roll: integerBetween(0, 1_000_000),
});

export type WordCardsPin = v.InferOutput<typeof wordCardsPin>;
