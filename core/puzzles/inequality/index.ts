export { INEQUALITY_SIZES, type InequalityGrid, neighbors, type Sign } from './grid.ts';
export { answersOf } from './judge.ts';
export { inequalitySteps } from './make.ts';
export { sameInequality } from './same.ts';
export { inequalityScales } from './scale.ts';
export { solveByLogic } from './solve.ts';
