import * as v from 'valibot';
import { enumOf, exactObject, integerBetween, text } from '../../../schema.ts';
import { setting } from '../../../settings.ts';
import { wordSource } from '../../puzzle/word-source.ts';

const size = integerBetween(8, 30);
export const directions = enumOf(['straight', 'diagonal', 'backwards']);

export const directionsSetting = () =>
  setting(directions, 'diagonal', {
    label: 'Directions',
    help: 'Straight: across and down; diagonal: also slanting; backwards: also from right to left and upwards.',
    values: { straight: '→ ↓', diagonal: '+ diagonal', backwards: '+ backwards' },
  });

export const wordSearchOptions = exactObject({
  words: setting(wordSource, { lists: [] }, { label: 'Words', control: 'words' }),
  columns: setting(size, 16, { label: 'Columns', help: 'Letters across the grid.' }),
  rows: setting(size, 16, { label: 'Rows', help: 'Letters down the grid.' }),
  wordsPerPuzzle: setting(integerBetween(10, 20), 15, { label: 'Words per puzzle' }),
  directions: directionsSetting(),
});

export type WordSearchOptions = v.InferOutput<typeof wordSearchOptions>;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
export const pinSchema = exactObject({
  title: v.optional(text(1, 80)),
  words: v.pipe(v.array(text(1, 60)), v.maxLength(20)),
  columns: size,
  rows: size,
  directions,
  roll: integerBetween(0, 1_000_000),
});

export type WordSearchPin = v.InferOutput<typeof pinSchema>;
