export { answersOf } from './judge.ts';
export { FILLED } from './line.ts';
export { type Nonogram, nonogramSteps } from './make.ts';
export { pictureSteps } from './picture.ts';
export { type Clues, cluesOf, solveByLines } from './solve.ts';
