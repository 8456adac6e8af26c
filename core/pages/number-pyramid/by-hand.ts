import { bricksIn, onlyAnswer } from '../../puzzles/pyramid/index.ts';
import { type CellsByHand, toggled, watchedAnswers } from '../puzzle/by-hand.ts';
import { type NumberPyramidItem, pyramidOn, ratedPyramid } from './fill.ts';
import { LARGEST_NUMBER, type NumberPyramidGiven } from './options.ts';
import { numberPyramidTrial } from './trial.ts';

/** Numbers of the lowest row are changed, and numbers given and hidden; the bricks above follow. */
export const numberPyramidByHand: CellsByHand<NumberPyramidItem, NumberPyramidGiven> = {
  draft: ({ rows, solution, givens }) => ({
    lowest: solution.slice(bricksIn(rows - 1)),
    given: [...givens.keys()].filter((at) => givens[at] !== null),
  }),
  trial: (draft) => numberPyramidTrial(pyramidOn(draft)),
  watch(draft) {
    const first = bricksIn(draft.lowest.length - 1);
    const empty = draft.lowest.flatMap((number, i) => (number ? [] : [first + i]));
    if (empty.length)
      return { isSound: false, says: 'A number of the lowest row is missing. Type one.', cells: empty };
    const pyramid = pyramidOn(draft);
    if (onlyAnswer(pyramid)) return watchedAnswers([pyramid.solution], ratedPyramid(pyramid), '');
    return {
      isSound: false,
      says: 'There is more than one answer. Give another number.',
      cells: [...pyramid.givens.keys()].filter((at) => pyramid.givens[at] === null),
    };
  },
  signs: () => [...'0123456789'],
  typed(draft, cell, sign) {
    const i = cell - bricksIn(draft.lowest.length - 1);
    if (i < 0) return draft;
    const before = draft.lowest[i]!;
    const longer = Number(`${before}${sign}`);
    const number = sign ? (longer > LARGEST_NUMBER ? Number(sign) : longer) : Math.floor(before / 10);
    return number === before
      ? draft
      : { ...draft, lowest: draft.lowest.map((now, at) => (at === i ? number : now)) };
  },
  given: (draft, cell) => ({ ...draft, given: toggled(draft.given, cell) }),
};
