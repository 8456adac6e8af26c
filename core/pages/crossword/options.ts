import * as v from 'valibot';
import { VOCABULARIES } from '../../puzzles/vocabulary/index.ts';
import { byKey, enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { givenGrid, isWhole, NOT_WHOLE } from '../puzzle/given-grid.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { aroundSetting } from '../puzzle/letter-grid.ts';

const side = integerBetween(7, 25);
const layout = enumOf(['free', 'dense']);
const vocabulary = enumOf(VOCABULARIES);
const isDense = { layout: ['dense'] };

export const crosswordOptions = exactObject({
  layout: setting(layout, 'free', {
    label: 'Grid',
    help: 'A dense one is the same when it is turned by half; every letter is crossed, and everyday English words fill it.',
    values: { free: 'Words cross freely', dense: 'Dense and symmetrical' },
  }),
  clues: setting(text(0, 400_000), '', {
    label: 'Words and clues',
    help: 'A line for each: the word, an upright bar or a tab, its clue: Propolis | Glue that bees make. A clue after ~ has not been reviewed.',
    control: 'clues',
  }),
  words: setting(integerBetween(5, 40), 18, {
    label: 'Words per puzzle',
    when: { layout: ['free'] },
  }),
  vocabulary: setting(vocabulary, 'common', {
    label: 'Filled with',
    values: { common: 'The most common English words', everyday: 'Everyday English words' },
    when: isDense,
  }),
  fillClues: setting(text(0, 400_000), '', {
    label: 'Clues of words that fill',
    help: 'A line for each: the word, an upright bar, its clue. A clue after ~ has not been reviewed.',
    control: 'fill-clues',
    when: isDense,
  }),
  columns: setting(side, 17, { label: 'Columns', help: 'At most; a grid is as wide as its words need.' }),
  rows: setting(side, 17, { label: 'Rows', help: 'At most; a grid is as high as its words need.' }),
  clueSide: setting(enumOf(['page', 'facing', 'grid']), 'page', {
    label: 'Clues',
    help: 'In the grid, a cell beside the first letter of each word asks for it, with an arrow: clues of a few words are best.',
    values: {
      page: 'On the page of the grid',
      facing: 'On the facing page',
      grid: 'In the grid, with arrows',
    },
  }),
  perPage: setting(enumOf([1, 2, 4]), 1, {
    label: 'Puzzles per page',
    help: 'Several are for small grids: each has its clues beside or below it.',
    when: { clueSide: ['page', 'grid'] },
  }),
  counts: setting(v.boolean(), true, {
    label: 'Letter counts',
    help: 'How many letters the answer has, after each clue.',
  }),
  around: aroundSetting(),
  heading: headingSetting(),
});

export type CrosswordOptions = v.InferOutput<typeof crosswordOptions>;

/** Words that a puzzle is dealt. */
export const MOST_DEALT = 40;

/** Everything a pinned puzzle is made from, so that no setting can change it. */
const madePin = exactObject({
  words: v.pipe(v.array(exactObject({ word: text(1, 60), clue: text(0, 400) })), v.maxLength(MOST_DEALT)),
  /** So many of them are enough. */
  enough: v.optional(integerBetween(1, MOST_DEALT)),
  columns: side,
  rows: side,
  roll: integerBetween(0, 1_000_000),
  layout: v.optional(layout, 'free'),
  vocabulary: v.optional(vocabulary, 'common'),
});

/** A puzzle that was brought in, or changed by hand, with its answer. */
const givenPin = v.pipe(
  exactObject({
    ...givenGrid,
    clues: v.pipe(
      v.array(
        exactObject({
          number: integerBetween(1, 2000),
          across: v.boolean(),
          clue: text(0, 400),
          /** As it is written, where that tells more than its letters, such as where words part. */
          word: v.optional(text(1, 60)),
        }),
      ),
      v.maxLength(800),
    ),
  }),
  v.check((grid) => isWhole(grid), NOT_WHOLE),
);

export const crosswordPin = byKey('letters', givenPin, madePin);

export type CrosswordMade = v.InferOutput<typeof madePin>;
export type CrosswordGiven = v.InferOutput<typeof givenPin>;
export type CrosswordPin = CrosswordMade | CrosswordGiven;
