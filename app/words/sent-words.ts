import * as v from 'valibot';
import { MOST_CHECKED } from '#core/lexicon/spelling.ts';

/** Letters of a word that is looked up. */
const MOST_LETTERS = 60;

/** Words as the dictionary is asked about them, a line for each. */
export const SentWords = v.object({
  words: v.pipe(
    v.string(),
    v.maxLength(MOST_CHECKED * MOST_LETTERS, 'Too many words at once. Ask for fewer.'),
    v.transform((text) => text.split('\n').filter(Boolean).slice(0, MOST_CHECKED)),
  ),
});
