export { laddersBetween } from './judge.ts';
export { LONGEST_LADDER, ladderBetween, ladderSteps, type NoLadder } from './make.ts';
export { LADDER_LETTERS } from './steps.ts';
