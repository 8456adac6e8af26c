import * as v from 'valibot';
import { LEVELS } from '../../puzzles/level.ts';
import { DIRECTION_SETS, type Direction, FILLING_LANGUAGES, STEPS } from '../../puzzles/word-search/index.ts';
import { chosenBy, enumOf, exactObject, integerBetween, isObject, someOf, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { UNWANTED_LANGUAGES } from '../../words/index.ts';
import { givenGrid, isWhole, NOT_WHOLE } from '../puzzle/given-grid.ts';
import { headingSetting } from '../puzzle/heading.ts';
import { answerSetting, waysSetting } from '../puzzle/hidden-grid.ts';
import { MOST_SIDE } from '../puzzle/ipuz.ts';
import { LEVEL_NAMES, levels } from '../puzzle/level.ts';
import { characterSetting, pinnedOutline, shapeSetting } from '../puzzle/outline-options.ts';
import { wordSource } from '../puzzle/word-source.ts';
import { pinSchema as earlierPin } from './earlier/options.ts';

const side = integerBetween(6, 40);
/** Words of a puzzle that is brought in. */
export const MOST_GIVEN = 80;
const DIRECTIONS = Object.keys(STEPS) as [Direction, ...Direction[]];
const single = someOf(DIRECTIONS, 1);
/** One by one; or by the name of a set, as in recipes that were written before they could be. */
const directions = chosenBy(single, (input) =>
  typeof input === 'string'
    ? (v.pipe(
        enumOf(Object.keys(DIRECTION_SETS) as (keyof typeof DIRECTION_SETS)[]),
        v.transform((set) => [...DIRECTION_SETS[set]]),
      ) as never)
    : single,
);
const crossings = enumOf(['few', 'some', 'many']);
const filling = enumOf(['words', ...FILLING_LANGUAGES]);
const decoys = integerBetween(0, 30);

const ARROWS: Record<Direction, string> = {
  across: '→',
  down: '↓',
  'down-right': '↘',
  'up-right': '↗',
  back: '←',
  up: '↑',
  'up-left': '↖',
  'down-left': '↙',
};

const LANGUAGE_NAMES: Record<(typeof UNWANTED_LANGUAGES)[number], string> = {
  en: 'English',
  es: 'Spanish',
  de: 'German',
  fr: 'French',
  it: 'Italian',
  pt: 'Portuguese',
  nl: 'Dutch',
  pl: 'Polish',
};

const ownMaking = { level: ['set'] };

export const wordSearchOptions = exactObject({
  words: setting(wordSource, { lists: [] }, { label: 'Words', control: 'words' }),
  columns: setting(side, 16, { label: 'Columns', help: 'Letters across the grid.' }),
  rows: setting(side, 16, { label: 'Rows', help: 'Letters down the grid.' }),
  shape: shapeSetting(),
  character: characterSetting(),
  wordsPerPuzzle: setting(integerBetween(4, 60), 15, { label: 'Words per puzzle' }),
  level: setting(enumOf(['set', ...levels.options]), 'set', {
    label: 'Level',
    values: { set: 'As set below', ...LEVEL_NAMES, rising: 'Rising', mixed: 'Mixed' },
    help: 'Measured on the finished puzzle. Sets directions, crossings, near-misses and filling letters.',
  }),
  directions: setting(directions, ['across', 'down', 'down-right', 'up-right'], {
    label: 'Directions',
    values: ARROWS,
    when: ownMaking,
  }),
  crossings: setting(crossings, 'some', {
    label: 'Crossings',
    values: { few: 'Few', some: 'Some', many: 'Many' },
    when: ownMaking,
  }),
  decoys: setting(decoys, 0, {
    label: 'Near-misses',
    help: 'Beginnings of listed words that end in another letter.',
    when: ownMaking,
  }),
  filling: setting(filling, 'en', {
    label: 'Filled with letters of',
    values: { words: 'The words', en: 'English', es: 'Spanish', de: 'German', fr: 'French', it: 'Italian' },
    when: ownMaking,
  }),
  unwanted: setting(someOf(UNWANTED_LANGUAGES, 0), ['en'], {
    label: 'No unwanted words of',
    values: LANGUAGE_NAMES,
  }),
  unwantedMore: setting(text(0, 4_000), '', {
    label: 'Further unwanted words',
    help: 'A word in each line. One with a plus before it may be read all the same: +HELLEBORE.',
    rows: 2,
  }),
  messages: setting(text(0, 20_000), '', {
    label: 'Messages in the left-over letters',
    help: 'One in each line, for one puzzle after another.',
    rows: 2,
  }),
  shown: setting(enumOf(['words', 'clues']), 'words', {
    label: 'Listed',
    values: { words: 'Words', clues: 'Clues' },
  }),
  clues: setting(text(0, 200_000), '', {
    label: 'Clues',
    help: 'Word | Clue, a word in each line.',
    rows: 4,
    when: { shown: ['clues'] },
  }),
  capitals: setting(enumOf(['capitals', 'typed']), 'capitals', {
    label: 'Words in',
    values: { capitals: 'Capitals', typed: 'As typed' },
    when: { shown: ['words'] },
  }),
  order: setting(enumOf(['alphabet', 'length', 'typed', 'mixed']), 'alphabet', {
    label: 'Order of the list',
    values: { alphabet: 'Alphabetical', length: 'By length', typed: 'As typed', mixed: 'Mixed' },
  }),
  place: setting(enumOf(['best', 'below', 'beside', 'facing']), 'best', {
    label: 'List',
    values: { best: 'Best place', below: 'Below the grid', beside: 'Beside the grid', facing: 'Facing page' },
  }),
  answer: answerSetting(),
  instructions: waysSetting('words'),
  heading: headingSetting(),
});

export type WordSearchOptions = v.InferOutput<typeof wordSearchOptions>;

/** Everything a puzzle is made from, so that no setting can change one that is pinned. */
const ownPin = exactObject({
  title: v.optional(text(1, 80)),
  words: v.pipe(v.array(text(1, 60)), v.maxLength(60)),
  columns: side,
  rows: side,
  shape: pinnedOutline,
  directions: someOf(DIRECTIONS, 1),
  crossings,
  decoys,
  filling,
  message: text(0, 1_600),
  unwanted: someOf(UNWANTED_LANGUAGES, 0),
  unwantedMore: text(0, 4_000),
  /** That was asked for, if one was. */
  level: v.optional(enumOf(LEVELS)),
  roll: integerBetween(0, 1_000_000),
});

/** A puzzle that was brought in, or changed by hand: its letters, and the words that are listed. */
const givenPin = v.pipe(
  exactObject({
    title: v.optional(text(1, 80)),
    ...givenGrid,
    words: v.pipe(v.array(text(1, 60)), v.maxLength(MOST_GIVEN)),
    /** What the letters say that no word takes, and their cells. */
    message: v.optional(
      exactObject({
        text: text(1, 1_600),
        cells: v.pipe(v.array(integerBetween(0, MOST_SIDE * MOST_SIDE - 1)), v.maxLength(1_600)),
      }),
    ),
  }),
  v.check((grid) => isWhole(grid), NOT_WHOLE),
);

const made = v.union(
  [ownPin, earlierPin],
  'is no puzzle that was pinned: words, columns, rows, directions or roll are missing.',
);

/** Puzzles that were pinned under an earlier version stay as that version makes them. */
export const wordSearchPin = chosenBy(v.union([ownPin, givenPin, earlierPin]), (input) =>
  isObject(input) && 'letters' in input ? givenPin : made,
);

export type WordSearchGiven = v.InferOutput<typeof givenPin>;
export type Making = v.InferOutput<typeof ownPin>;
export type WordSearchPin = v.InferOutput<typeof wordSearchPin>;
