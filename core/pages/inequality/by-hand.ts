import { answersOf, neighbors } from '../../puzzles/inequality/index.ts';
import { type CellsByHand, watchedAnswers } from '../puzzle/by-hand.ts';
import { type InequalityItem, ratedInequality } from './fill.ts';
import type { InequalityGiven } from './options.ts';
import { inequalityTrial } from './trial.ts';

/** Where a sign may be put. */
const NONE = '·';
const SIZE = 0.9;

const isOf = ([one, other]: readonly number[], a: number, b: number): boolean =>
  (one === a && other === b) || (one === b && other === a);

/** Numbers are given and taken out, and signs turned, put and taken out. */
export const inequalityByHand: CellsByHand<InequalityItem, InequalityGiven> = {
  draft: ({ size, givens, signs }) => ({
    size: size as InequalityGiven['size'],
    givens,
    signs: signs.map(({ less, more }): [number, number] => [less, more]),
  }),
  trial({ size, givens, signs }) {
    const every = neighbors(size).map(
      ([one, other]) => signs.find((pair) => isOf(pair, one, other)) ?? ([one, other] as const),
    );
    const all = every.map(([less, more]) => ({ less, more }));
    const shown = inequalityTrial({ size, givens, signs: all, solution: givens.replaceAll('.', ' ') });
    return {
      ...shown,
      cells: shown.cells.map((cell) => ({ ...cell, answer: cell.answer.trim() })),
      texts: shown.texts.map((text) =>
        signs.some((pair) => isOf(pair, ...text.between!)) ? text : { ...text, text: NONE, size: SIZE },
      ),
    };
  },
  watch(draft) {
    const { grid, solution, level } = ratedInequality(draft);
    return watchedAnswers(
      solution ? [solution] : answersOf(grid),
      level,
      'give a number in one of these, or put a sign beside it.',
    );
  },
  signs: ({ size }) => Array.from({ length: size }, (_, i) => String(i + 1)),
  typed: (draft, cell, sign) =>
    draft.givens[cell] === (sign || '.')
      ? draft
      : {
          ...draft,
          givens: draft.givens.slice(0, cell) + (sign || '.') + draft.givens.slice(cell + 1),
        },
  between(draft, cell, other) {
    const { size, signs } = draft;
    const pair = neighbors(size).find((one) => isOf(one, cell, other));
    if (!pair) return draft;
    const now = signs.find((one) => isOf(one, ...pair));
    const rest = signs.filter((one) => one !== now);
    if (!now) return { ...draft, signs: [...signs, pair] };
    return { ...draft, signs: now[0] === pair[0] ? [...rest, [pair[1], pair[0]]] : rest };
  },
};
