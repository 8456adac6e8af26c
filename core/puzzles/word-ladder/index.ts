export { laddersBetween } from './judge.ts';
export { ladderSteps } from './make.ts';
export { LADDER_LETTERS } from './steps.ts';
