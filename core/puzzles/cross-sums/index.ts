export { CALCULATIONS, type CrossSums, SIDE } from './grid.ts';
export { answersOf } from './judge.ts';
export { makeCrossSums } from './make.ts';
export { sameCrossSums } from './same.ts';
export { crossSumsScales } from './scale.ts';
