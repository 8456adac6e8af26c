import * as v from 'valibot';
import { TASKS } from '../../puzzles/scramble/index.ts';
import { enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';
import { wordSource } from '../puzzle/word-source.ts';

const task = enumOf(TASKS);

/** Longest word: its boxes fit a small page. */
export const LONGEST = 14;

export const scrambleOptions = exactObject({
  words: setting(wordSource, { lists: [] }, { label: 'Words', control: 'words' }),
  task: setting(task, 'letters', {
    label: 'To find',
    values: { letters: 'The order of the letters', vowels: 'The missing vowels' },
  }),
  wordsPerPuzzle: setting(integerBetween(4, 20), 10, { label: 'Words per puzzle' }),
  boxes: setting(enumOf(['beside', 'below']), 'beside', {
    label: 'Boxes',
    values: { beside: 'Beside the letters', below: 'Below the letters' },
    when: { task: ['letters'] },
  }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type ScrambleOptions = v.InferOutput<typeof scrambleOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
export const scramblePin = exactObject({
  title: v.optional(text(1, 80)),
  words: v.pipe(v.array(text(1, 60)), v.maxLength(20)),
  task,
  roll: integerBetween(0, 1_000_000),
});

export type ScramblePin = v.InferOutput<typeof scramblePin>;
