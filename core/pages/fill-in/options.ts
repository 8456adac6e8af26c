import * as v from 'valibot';
import { exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
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
export const fillInPin = exactObject({
  title: v.optional(text(1, 80)),
  words: v.pipe(v.array(text(1, 60)), v.maxLength(40)),
  columns: side,
  rows: side,
  given: v.boolean(),
  roll: integerBetween(0, 1_000_000),
});

export type FillInPin = v.InferOutput<typeof fillInPin>;
