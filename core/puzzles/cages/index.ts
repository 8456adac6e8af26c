export {
  CAGE_SIZES,
  CALCULATIONS,
  type Cage,
  OPERATIONS,
  type Operation,
  operationsOf,
  resultOf,
} from './grid.ts';
export { answersOf } from './judge.ts';
export { cageSteps } from './make.ts';
export { cageScale } from './scale.ts';
export { solveByLogic } from './solve.ts';
