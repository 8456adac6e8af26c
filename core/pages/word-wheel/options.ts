import * as v from 'valibot';
import { SHORTEST, WHEEL_LETTERS } from '../../puzzles/word-wheel/index.ts';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { instructionsSetting } from '../puzzle/instructions.ts';

const letters = enumOf(WHEEL_LETTERS);
const shortest = enumOf(SHORTEST);

export const wordWheelOptions = exactObject({
  form: setting(enumOf(['wheel', 'square']), 'wheel', {
    label: 'Form',
    values: { wheel: 'Wheel', square: 'Square' },
    help: 'A square has nine letters.',
  }),
  letters: setting(letters, 9, { label: 'Letters of a wheel' }),
  shortest: setting(shortest, 4, { label: 'Letters of the shortest words' }),
  goals: setting(v.boolean(), true, {
    label: 'Goals',
    help: 'How many words are good, very good and excellent: half, seven tenths and nine tenths of all there are.',
  }),
  lines: setting(v.boolean(), true, { label: 'Lines to write on' }),
  perPage: setting(enumOf([1, 2, 4, 6]), 2, { label: 'Puzzles per page' }),
  instructions: instructionsSetting(),
  heading: headingSetting(),
});

export type WordWheelOptions = v.InferOutput<typeof wordWheelOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
export const wordWheelPin = exactObject({ letters, shortest, roll: integerBetween(0, 1_000_000) });

export type WordWheelPin = v.InferOutput<typeof wordWheelPin>;
