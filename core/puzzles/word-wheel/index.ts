export { spelledFrom } from './judge.ts';
export { SHORTEST, WHEEL_LETTERS, type WordWheel, wheelSteps } from './make.ts';
