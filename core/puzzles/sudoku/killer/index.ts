export type { Cage } from './cages.ts';
export { killerAnswers } from './judge.ts';
export { killerSteps, LARGEST_KILLER } from './make.ts';
export { looksOfCages, rateKiller } from './rate.ts';
