import { type CellTrial, rowsOfWords } from '../puzzle/trial.ts';
import type { ScrambleItem } from './fill.ts';

/** Letters in disorder with cells beside them, or words with their consonants. */
export const scrambleTrial = ({ task, words }: ScrambleItem): CellTrial => ({
  of: 'cells',
  entry: { of: 'letters' },
  ...rowsOfWords(
    words.map(({ letters, shown }) =>
      task === 'letters'
        ? { shown: shown.join(''), letters }
        : { shown: '', letters, given: (at: number) => shown[at] !== null },
    ),
  ),
});
