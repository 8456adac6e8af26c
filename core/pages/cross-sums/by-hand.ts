import { answersOf, CELLS, comesOutWell, LINES, OPERATORS } from '../../puzzles/cross-sums/index.ts';
import { type CellsByHand, toggled, watchedAnswers } from '../puzzle/by-hand.ts';
import { type CrossSumsItem, solvedCrossSums } from './fill.ts';
import type { CrossSumsGiven } from './options.ts';
import { crossSumsTrial } from './trial.ts';

const SIGNS = OPERATORS.products;

/** Digits change places, signs are turned, digits given and hidden; the results follow. */
export const crossSumsByHand: CellsByHand<CrossSumsItem, CrossSumsGiven> = {
  draft: ({ solution, givens, operators }) => ({
    solution: [...solution],
    given: [...givens.keys()].filter((at) => givens[at] !== null),
    operators: operators.map(([first, second]): CrossSumsGiven['operators'][number] => [first, second]),
  }),
  trial: (draft) => crossSumsTrial(solvedCrossSums(draft)),
  watch(draft) {
    const { solution, operators } = draft;
    const bad = LINES.find(
      ([a, b, c], line) => !comesOutWell([solution[a]!, solution[b]!, solution[c]!], operators[line]!),
    );
    if (bad)
      return {
        isSound: false,
        says: 'The marked line goes below 1 or above 99. Change a sign or a digit of it.',
        cells: bad,
      };
    const item = solvedCrossSums(draft);
    return watchedAnswers(answersOf(item), item.level, 'give a digit in one of these.');
  },
  signs: () => Array.from({ length: CELLS }, (_, i) => String(i + 1)),
  typed(draft, cell, sign) {
    const digit = Number(sign);
    const { solution } = draft;
    if (!digit || solution[cell] === digit) return draft;
    // Every digit is there once: the two change places.
    return {
      ...draft,
      solution: solution.map((now, at) => (at === cell ? digit : now === digit ? solution[cell]! : now)),
    };
  },
  given: (draft, cell) => ({ ...draft, given: toggled(draft.given, cell) }),
  between(draft, cell, other) {
    const [before, behind] = [Math.min(cell, other), Math.max(cell, other)];
    const line = LINES.findIndex((cells) => cells.includes(before) && cells.includes(behind));
    const place = line < 0 ? -1 : LINES[line]!.indexOf(before);
    if (place < 0 || LINES[line]![place + 1] !== behind) return draft;
    return {
      ...draft,
      operators: draft.operators.map((signs, at): typeof signs => {
        if (at !== line) return signs;
        const next = SIGNS[(SIGNS.indexOf(signs[place]!) + 1) % SIGNS.length]!;
        return place === 0 ? [next, signs[1]] : [signs[0], next];
      }),
    };
  },
};
