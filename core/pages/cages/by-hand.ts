import { answersOf, OPERATIONS, type Operation, operationsOf } from '../../puzzles/cages/index.ts';
import { groupsOf, hangingGroups, touch } from '../../puzzles/groups.ts';
import { type CellsByHand, watchedAnswers } from '../puzzle/by-hand.ts';
import { type CagesItem, cagesWith, ratedCages } from './fill.ts';
import { type CagesGiven, MOST_CELLS } from './options.ts';
import { cagesTrial } from './trial.ts';

/** Other cages over the same numbers; each keeps the calculation of the cage that most of its cells had, where it can. */
function regrouped(draft: CagesGiven, groups: readonly number[]): CagesGiven {
  const { size, solution, cages } = draft;
  return {
    ...draft,
    cages: hangingGroups(size, groups).map((cells) => {
      const may = operationsOf(cells.map((at) => Number(solution[at])));
      const before = cages
        .map(({ cells: old, operation }) => ({
          operation,
          shared: old.filter((at) => cells.includes(at)).length,
        }))
        .sort((a, b) => b.shared - a.shared)
        .find(({ operation, shared }) => shared && operation && may.includes(operation));
      return { cells, operation: before?.operation ?? may[0] ?? null };
    }),
  };
}

const groupsIn = ({ size, cages }: CagesGiven): number[] =>
  groupsOf(
    size * size,
    cages.map(({ cells }) => cells),
  );

/** Cells go from cage to cage, and cages get other calculations; what they make follows. */
export const cagesByHand: CellsByHand<CagesItem, CagesGiven> = {
  draft: ({ size, solution, cages }) => ({
    size: size as CagesGiven['size'],
    solution,
    cages: cages.map(({ cells, operation }) => ({ cells: [...cells], operation })),
  }),
  trial: (draft) => cagesTrial({ ...draft, cages: cagesWith(draft) }),
  watch(draft) {
    const large = draft.cages.find(({ cells }) => cells.length > MOST_CELLS);
    if (large)
      return {
        isSound: false,
        says: `A cage has ${large.cells.length} cells; ${MOST_CELLS} are the most. Set one of them apart.`,
        cells: large.cells,
      };
    const cages = cagesWith(draft);
    const level = ratedCages(draft.size, cages);
    return watchedAnswers(
      level ? [Array.from(draft.solution, Number)] : answersOf({ size: draft.size, cages }),
      level,
      'set one of these apart, or give its cage another calculation.',
    );
  },
  signs: () => OPERATIONS,
  typed(draft, cell, sign) {
    const cage = draft.cages.find(({ cells }) => cells.includes(cell))!;
    if (!sign) {
      if (cage.cells.length === 1) return draft;
      const groups = groupsIn(draft);
      groups[cell] = draft.cages.length;
      return regrouped(draft, groups);
    }
    const numbers = cage.cells.map((at) => Number(draft.solution[at]));
    const operation = sign as Operation;
    if (cage.operation === operation || !operationsOf(numbers).includes(operation)) return draft;
    return { ...draft, cages: draft.cages.map((one) => (one === cage ? { ...one, operation } : one)) };
  },
  joined(draft, cell, other) {
    const groups = groupsIn(draft);
    if (!touch(draft.size, cell, other) || groups[cell] === groups[other]) return draft;
    groups[other] = groups[cell]!;
    return regrouped(draft, groups);
  },
};
