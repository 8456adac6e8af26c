import { defineKind, itemUnits } from '../kind.ts';
import { SHOWN_CLUES } from '../puzzle/shown-words.ts';
import { drawHiddenMessagePage, drawHiddenMessageSolution } from './draw.ts';
import {
  fillHiddenMessage,
  type HiddenMessageItem,
  inspectHiddenMessage,
  inspectHiddenMessages,
  pinnedHiddenMessage,
} from './fill.ts';
import { type HiddenMessageOptions, hiddenMessageOptions, hiddenMessagePin } from './options.ts';
import { hiddenMessageTrial } from './trial.ts';

export const hiddenMessage = defineKind<HiddenMessageOptions, HiddenMessageItem>({
  id: 'hidden-message',
  version: 1,
  name: 'Hidden message',
  purpose:
    'Answers to clues in rows of boxes; one column of them spells a message of your own. With solutions.',
  family: 'Puzzles',
  samples: [{ name: 'Hidden message', shown: { messages: 'Follow the bees', clues: SHOWN_CLUES } }],
  extent: 'items',
  defaultCount: 20,
  numbered: true,
  inHouseFaces: () => true,
  options: hiddenMessageOptions,
  itemName: 'puzzle',
  units: ({ count }) => itemUnits(count),
  fill: fillHiddenMessage,
  pin: { schema: hiddenMessagePin, of: pinnedHiddenMessage },
  data: ({ message, rows }) => ({
    message,
    rows: rows.map(({ letter, word, at, clue }) => ({ letter, word, at, clue })),
  }),
  told: ({ rows }) => `${rows.filter(({ word }) => word).length} words for ${rows.length} letters`,
  trial: hiddenMessageTrial,
  draw: drawHiddenMessagePage,
  solution: { box: drawHiddenMessageSolution },
  inspect: inspectHiddenMessage,
  inspectSection: inspectHiddenMessages,
  sameAs: ({ rows }) => rows.map(({ word, at }) => `${word.toLowerCase()} ${at}`).join('|'),
});
