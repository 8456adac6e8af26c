import { answersOf, type KakuroTrouble, troubleOf } from '../../puzzles/kakuro/index.ts';
import { type CellsByHand, type Watched, watchedAnswers } from '../puzzle/by-hand.ts';
import { gridCells } from '../puzzle/trial.ts';
import { type KakuroItem, ratedKakuro, sumsOf } from './fill.ts';
import type { KakuroGiven } from './options.ts';
import { kakuroTrial } from './trial.ts';

const TROUBLES: Readonly<Record<KakuroTrouble['of'], string>> = {
  none: 'There is no digit. Type some.',
  edge: 'The first row and the first column have sums alone. Take the digits out.',
  single:
    'The marked digits are alone in a row or column between dark cells. Take them out, or put digits beside them.',
  long: 'More than nine digits follow each other. Take one out.',
  twice: 'A digit stands twice in one sum. Change one of the two.',
};

/** Whether digits may go into a cell. */
const takes = (columns: number, at: number): boolean => at >= columns && at % columns > 0;

/** Places of the cells that digits may go into. */
const placesOf = ({ columns, solution }: KakuroGiven): number[] =>
  [...solution].flatMap((_, at) => (takes(columns, at) ? [at] : []));

/** Digits of the answer are changed, and cells closed and opened; the sums follow. */
export const kakuroByHand: CellsByHand<KakuroItem, KakuroGiven> = {
  draft: ({ columns, rows, solution }) => ({ columns, rows, solution }),
  trial(draft) {
    const { columns, rows, solution } = draft;
    const { cells, of } = gridCells(columns, rows, (at) => {
      if (!takes(columns, at)) return null;
      return solution[at] === '.' ? { answer: '', closed: true } : { answer: solution[at]! };
    });
    const trouble = troubleOf(draft)?.of;
    // Sums are told as soon as there are runs that may have them.
    if (trouble && trouble !== 'twice')
      return {
        ...{ of: 'cells', width: columns, height: rows, ratio: 1, cells },
        entry: { of: 'digits', most: 9 },
        ...{ runs: [], lines: [], texts: [], closed: closedIn(draft) },
      };
    const shown = kakuroTrial(draft);
    const { layout } = sumsOf(draft);
    return {
      ...shown,
      cells,
      runs: layout.runs.map((run) => ({ cells: run.cells.map((at) => of[at]!), apart: true })),
    };
  },
  watch(draft): Watched {
    const places = placesOf(draft);
    const cellOf = (at: number): number => places.indexOf(at);
    const trouble = troubleOf(draft);
    if (trouble)
      return {
        isSound: false,
        says: TROUBLES[trouble.of],
        cells: trouble.cells.map(cellOf).filter((cell) => cell >= 0),
      };
    const level = ratedKakuro(draft);
    const { layout, sums } = sumsOf(draft);
    try {
      return watchedAnswers(
        level ? [Uint8Array.from(draft.solution, Number)] : answersOf(layout, sums),
        level,
        'type another digit into one of these.',
        cellOf,
      );
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      return {
        isSound: false,
        says: 'It would take too long to find out whether there is one answer alone. Change some digits, or close a cell.',
        cells: [],
      };
    }
  },
  signs: () => [...'123456789'],
  typed(draft, cell, sign) {
    const at = placesOf(draft)[cell]!;
    const { solution } = draft;
    return solution[at] === (sign || '.')
      ? draft
      : { ...draft, solution: solution.slice(0, at) + (sign || '.') + solution.slice(at + 1) };
  },
};

const closedIn = ({ columns, solution }: KakuroGiven) =>
  [...solution].flatMap((sign, at) =>
    sign === '.' ? [[at % columns, Math.floor(at / columns)] as const] : [],
  );
