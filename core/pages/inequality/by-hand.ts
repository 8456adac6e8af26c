import { contradiction } from '../../puzzles/contradiction.ts';
import { answersOf, type InequalityGrid, neighbors, type Sign } from '../../puzzles/inequality/index.ts';
import { type CellsByHand, watchedAnswers } from '../puzzle/by-hand.ts';
import { type InequalityItem, ratedInequality } from './fill.ts';
import type { InequalityGiven } from './options.ts';
import { inequalityTrial } from './trial.ts';

/** Where a sign may be put. */
const NONE = '·';
const SIZE = 0.9;

const isOf = ([one, other]: readonly number[], a: number, b: number): boolean =>
  (one === a && other === b) || (one === b && other === a);

/** Cells whose numbers and signs cannot all be, with none that could be left out. */
function contradicting({ size, givens, signs }: InequalityGrid): number[] {
  const given = Array.from(givens).flatMap((number, cell) => (number ? [{ cell, number }] : []));
  const least = contradiction<Sign | (typeof given)[number]>([...signs, ...given], (some) => {
    const numbers = new Uint8Array(size * size);
    for (const one of some) if ('cell' in one) numbers[one.cell] = one.number;
    const left = some.filter((one) => 'less' in one);
    return answersOf({ size, givens: numbers, signs: left }).length > 0;
  });
  const cells = least.flatMap((one) => ('cell' in one ? [one.cell] : [one.less, one.more]));
  return [...new Set(cells)].sort((a, b) => a - b);
}

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
    const answers = solution ? [solution] : answersOf(grid);
    if (!answers.length)
      return {
        isSound: false,
        says: 'There is no answer: what is given and the signs in the marked cells contradict each other. Undo, or take one of them out.',
        cells: contradicting(grid),
      };
    return watchedAnswers(answers, level, 'give a number in one of these, or put a sign beside it.');
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
