export {
  CALCULATIONS,
  CELLS,
  type CrossSums,
  comesOutWell,
  LINES,
  OPERATORS,
  resultOf,
  SIDE,
} from './grid.ts';
export { answersOf } from './judge.ts';
export { makeCrossSums } from './make.ts';
export { sameCrossSums } from './same.ts';
export { crossSumsScales } from './scale.ts';
export { solveByLines } from './solve.ts';
