export { onlyAnswer } from './judge.ts';
export { makePyramid } from './make.ts';
export { samePyramid } from './same.ts';
export { pyramidScales } from './scale.ts';
export { bricksIn, solveByLogic, standing } from './solve.ts';
