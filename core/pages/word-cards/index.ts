import { defineKind, itemUnits } from '../kind.ts';
import { SHOWN_PAIRS } from '../puzzle/shown-words.ts';
import { drawWordCardsPage, drawWordCardsSolution } from './draw.ts';
import {
  fillWordCards,
  inspectAllWordCards,
  inspectWordCards,
  pinnedWordCards,
  type WordCardsItem,
} from './fill.ts';
import { type WordCardsOptions, wordCardsOptions, wordCardsPin } from './options.ts';

const shown = { pairs: SHOWN_PAIRS };

export const wordCards = defineKind<WordCardsOptions, WordCardsItem>({
  id: 'word-cards',
  version: 1,
  name: 'Word dominoes',
  purpose: 'Cards to cut out, from pairs of your own: dominoes that make one ring, or a memory game.',
  family: 'Puzzles',
  samples: [
    { name: 'Word dominoes', shown },
    { name: 'Memory cards', options: { game: 'memory' }, shown },
  ],
  called: ({ game }) => (game === 'memory' ? 'Memory cards' : 'Word dominoes'),
  extent: 'items',
  defaultCount: 4,
  numbered: true,
  inHouseFaces: () => true,
  options: wordCardsOptions,
  itemName: 'puzzle',
  units: ({ count, options: { blankBack } }) =>
    itemUnits(count).map((unit) => (blankBack ? { ...unit, back: 'blank' } : unit)),
  fill: fillWordCards,
  pin: { schema: wordCardsPin, of: pinnedWordCards },
  data: ({ game, pairs, cards }) => ({ game, pairs, cards }),
  told: ({ cards }) => `${cards.length} cards`,
  draw: drawWordCardsPage,
  solution: { box: drawWordCardsSolution },
  inspect: inspectWordCards,
  inspectSection: inspectAllWordCards,
});
