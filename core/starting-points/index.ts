import { journals } from './journals.ts';
import { logs } from './logs.ts';
import { papers } from './papers.ts';
import { planners } from './planners.ts';
import type { StartingPoint } from './starting-point.ts';

export { recipeFrom, type StartingPoint } from './starting-point.ts';

/** All books to begin from that ship, those of a family together. */
export const STARTING_POINTS: readonly StartingPoint[] = (() => {
  const all = [...journals, ...logs, ...planners, ...papers];
  const families = [...new Set(all.map(({ family }) => family))];
  return families.flatMap((family) => all.filter((one) => one.family === family));
})();
