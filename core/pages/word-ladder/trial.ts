import { graphemes } from '../../words/index.ts';
import { type CellTrial, rowsOfWords } from '../puzzle/trial.ts';
import type { WordLadderItem } from './fill.ts';

/** The first word and the last, with the steps between them to be found. */
export const wordLadderTrial = ({ words }: WordLadderItem): CellTrial => ({
  of: 'cells',
  entry: { of: 'letters' },
  ...rowsOfWords(
    words.map((word, i) => ({
      shown: '',
      letters: graphemes(word.toLocaleUpperCase('en')),
      given: () => i === 0 || i === words.length - 1,
    })),
  ),
});
