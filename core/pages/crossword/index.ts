import { ipuzFormat } from '../item-formats.ts';
import { defineKind, type Unit } from '../kind.ts';
import { letterSolution } from '../puzzle/letter-grid.ts';
import { drawCrosswordPage } from './draw.ts';
import {
  type CrosswordItem,
  cluesAsCsv,
  crosswordIpuz,
  fillCrossword,
  inspectCrossword,
  inspectCrosswords,
  pinnedCrossword,
} from './fill.ts';
import { type CrosswordOptions, crosswordOptions, crosswordPin } from './options.ts';

/** Of the small page by which it is offered. */
const SHOWN = `Propolis | Glue that bees make
Nectar | Sweet drink from a flower
Swarm | Half a colony on the move
Skep | What a hive of straw is called
Pollen | Yellow dust on hairy legs
Queen | Mother of all in the house
Drone | He does no work
Comb | Wall of six-sided rooms
Smoker | It calms those who live here
Veil | Worn over the face at work
Clover | Three leaves, seldom four
Heather | It colors the moor in August
Waggle | Dance that tells the way
Brood | Young ones in their cells
Sting | It hurts, and is used once
Worker | She gathers, cleans and feeds`;

const ipuz = ipuzFormat('crossword#1', crosswordIpuz);

export const crossword = defineKind<CrosswordOptions, CrosswordItem>({
  id: 'crossword',
  version: 1,
  name: 'Crossword',
  purpose: 'Crossing words with clues of your own, with solutions.',
  family: 'Puzzles',
  samples: [{ name: 'Crossword', shown: { clues: SHOWN, words: 16 } }],
  extent: 'items',
  defaultCount: 20,
  numbered: true,
  inHouseFaces: () => true,
  options: crosswordOptions,
  itemName: 'puzzle',
  units: ({ count, options: { clueSide } }) =>
    Array.from({ length: count }, (_, i): Unit => {
      const items = [i + 1];
      return clueSide === 'facing' ? { side: 'facing', items } : { items };
    }),
  fillSteps: fillCrossword,
  pin: { schema: crosswordPin, of: pinnedCrossword },
  data: (item) => JSON.parse(ipuz.write(item, { number: 1, label: '' })),
  formats: [
    ipuz,
    { id: 'clues', name: 'Table of clues (CSV)', ending: 'csv', between: '\n', write: cluesAsCsv },
  ],
  told: ({ columns, rows, letters, asked }) =>
    `${asked.length} words in ${columns} × ${rows} cells, ${Math.round((100 * letters.filter(Boolean).length) / Math.max(1, letters.length))} % of them with letters`,
  draw: drawCrosswordPage,
  solution: { box: letterSolution },
  inspect: inspectCrossword,
  inspectSection: inspectCrosswords,
});
