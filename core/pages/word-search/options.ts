import * as v from 'valibot';
import { enumOf, exactObject, identifier, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { WORD_LIST_LIMITS } from '../../words/index.ts';

const words = v.pipe(
  v.array(text(1, 60)),
  v.maxLength(
    WORD_LIST_LIMITS.words,
    (issue) => `has ${issue.input.length} words; ${WORD_LIST_LIMITS.words} are allowed. Split the list.`,
  ),
);
const size = integerBetween(8, 30);
const directions = enumOf(['straight', 'diagonal', 'backwards']);

/** Words come from a word bank among the resources, or from lists of the section's own. */
const source = v.union(
  [
    exactObject({ bank: identifier }),
    exactObject({
      lists: v.pipe(v.array(exactObject({ title: v.optional(text(1, 80)), words })), v.maxLength(500)),
    }),
  ],
  'should be { "bank": "…" } or { "lists": [{ "title": "…", "words": ["…"] }] }.',
);

export const wordSearchOptions = exactObject({
  words: setting(source, { lists: [] }, { label: 'Words', control: 'words' }),
  columns: setting(size, 16, { label: 'Columns', help: 'Letters across the grid.' }),
  rows: setting(size, 16, { label: 'Rows', help: 'Letters down the grid.' }),
  wordsPerPuzzle: setting(integerBetween(10, 20), 15, { label: 'Words per puzzle' }),
  directions: setting(directions, 'diagonal', {
    label: 'Directions',
    help: 'Straight: across and down; diagonal: also slanting; backwards: also from right to left and upwards.',
    values: { straight: '→ ↓', diagonal: '+ diagonal', backwards: '+ backwards' },
  }),
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
