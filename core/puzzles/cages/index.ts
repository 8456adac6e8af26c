export { CAGE_SIZES, CALCULATIONS, type Cage } from './grid.ts';
export { answersOf } from './judge.ts';
export { cageSteps } from './make.ts';
export { cageScale } from './scale.ts';
