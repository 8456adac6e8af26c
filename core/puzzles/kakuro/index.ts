export { answersOf } from './judge.ts';
export { type Layout, layoutOf } from './layout.ts';
export { kakuroSteps } from './make.ts';
export { kakuroScale, kakuroScales, SIDES } from './scale.ts';
export { solveByRuns } from './solve.ts';
export { type KakuroTrouble, troubleOf } from './trouble.ts';
