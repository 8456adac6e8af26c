import { defineKind, itemUnits } from '../kind.ts';
import { fewerAndFewer, LEAST_LARGE } from '../puzzle/fewer.ts';
import { drawTriviaPage, drawTriviaSolution } from './draw.ts';
import { fillTrivia, inspectTrivia, inspectTrivias, pinnedTrivia, type TriviaItem } from './fill.ts';
import { type TriviaOptions, triviaOptions, triviaPin } from './options.ts';
import { triviaTrial } from './trial.ts';

/** Of the small page by which it is offered. */
const SHOWN = `How many legs has a bee? | Six | Four | Eight
What is a hive of straw called? | Skep | Comb | Frame
Who lays the eggs? | The queen | A drone | A worker
What do bees make from the resin of trees? | Propolis | Nectar | Brood
Which dance tells the way? | The waggle | The jig | The waltz
What calms bees at work? | Smoke | Song | Rain`;

export const trivia = defineKind<TriviaOptions, TriviaItem>({
  id: 'trivia',
  version: 1,
  later: { heading: '' },
  name: 'Quiz',
  purpose: 'Questions of your own, to choose an answer or write it down, with an answer key.',
  family: 'Puzzles',
  samples: [{ name: 'Quiz', shown: { questions: SHOWN, perPuzzle: 6 } }],
  extent: 'items',
  defaultCount: 10,
  numbered: true,
  inHouseFaces: () => true,
  options: triviaOptions,
  itemName: 'puzzle',
  units: ({ count }) => itemUnits(count),
  smaller: (options) => fewerAndFewer(options, ['perPuzzle'], LEAST_LARGE.questions),
  fill: fillTrivia,
  pin: { schema: triviaPin, of: pinnedTrivia },
  data: ({ questions }) => ({ questions }),
  draw: drawTriviaPage,
  solution: { box: drawTriviaSolution },
  trial: triviaTrial,
  inspect: inspectTrivia,
  inspectSection: inspectTrivias,
});
