import type { WheelTrial } from '../puzzle/trial.ts';
import type { WordWheelItem } from './fill.ts';

/** The letters, and the words that they are to make. */
export const wordWheelTrial = ({ letters, shortest, words }: WordWheelItem): WheelTrial => ({
  ...{ of: 'wheel', letters, shortest, words },
});
