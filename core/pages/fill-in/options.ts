import * as v from 'valibot';
import { byKey, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { givenGrid, isWhole, NOT_WHOLE } from '../puzzle/given-grid.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
import { MOST_SIDE } from '../puzzle/ipuz.ts';
import { aroundSetting } from '../puzzle/letter-grid.ts';
import { wordSource } from '../puzzle/word-source.ts';

const side = integerBetween(7, 25);

export const fillInOptions = exactObject({
  words: setting(wordSource, { lists: [] }, { label: 'Words', control: 'words' }),
  wordsPerPuzzle: setting(integerBetween(5, 40), 18, { label: 'Words per puzzle' }),
  columns: setting(side, 17, { label: 'Columns', help: 'At most; a grid is as wide as its words need.' }),
  rows: setting(side, 17, { label: 'Rows', help: 'At most; a grid is as high as its words need.' }),
  given: setting(v.boolean(), true, {
    label: 'One word given',
    help: 'A word to begin with stands in the grid. More are given where the words would fit in two ways.',
  }),
  instructions: instructionsSetting(),
  around: aroundSetting(),
  heading: headingSetting(),
});

export type FillInOptions = v.InferOutput<typeof fillInOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
const madePin = exactObject({
  title: v.optional(text(1, 80)),
  words: v.pipe(v.array(text(1, 60)), v.maxLength(40)),
  columns: side,
  rows: side,
  given: v.boolean(),
  roll: integerBetween(0, 1_000_000),
});

/** A puzzle that was brought in, with its answer. */
const givenPin = v.pipe(
  exactObject({
    title: v.optional(text(1, 80)),
    ...givenGrid,
    /** Places of letters that are printed. */
    given: v.pipe(v.array(integerBetween(0, MOST_SIDE * MOST_SIDE - 1)), v.maxLength(MOST_SIDE * MOST_SIDE)),
  }),
  v.check((grid) => isWhole(grid), NOT_WHOLE),
);

export const fillInPin = byKey('letters', givenPin, madePin);

export type FillInMade = v.InferOutput<typeof madePin>;
export type FillInGiven = v.InferOutput<typeof givenPin>;
export type FillInPin = FillInMade | FillInGiven;
