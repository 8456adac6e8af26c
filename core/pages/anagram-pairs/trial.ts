import { type CellTrial, rowsOfWords } from '../puzzle/trial.ts';
import type { AnagramPairsItem } from './fill.ts';

/** Each word, with cells for its anagram; those to choose from are listed where the puzzle lists them. */
export const anagramPairsTrial = ({ task, pairs, order }: AnagramPairsItem): CellTrial => ({
  of: 'cells',
  entry: { of: 'letters' },
  ...rowsOfWords(pairs.map(([word, anagram]) => ({ shown: word, letters: [...anagram] }))),
  ...(task === 'match' ? { words: order.map((pair) => pairs[pair]![1]) } : {}),
});
