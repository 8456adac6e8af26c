import { exactObject, integerBetween } from '../../schema.ts';
import { readLines } from '../lines.ts';
import { defineType } from '../resource.ts';

const MOST_ENTRIES = 500_000;
const MOST_LETTERS = 600;
const MB = 1024 * 1024;

/** A word with what is said of it: a clue, a meaning, a translation; '' where nothing is. */
export interface DictionaryEntry {
  word: string;
  text: string;
}

/** Words and what is said of each: plain text in UTF-8, an entry a line, the word parted from the rest by a tab. */
export const dictionary = defineType({
  id: 'dictionary',
  name: 'Dictionary',
  extension: 'tsv',
  mostBytes: 40 * MB,
  facts: exactObject({ entries: integerBetween(1, MOST_ENTRIES) }),
  read: async (bytes) => {
    const lines = readLines(bytes, { lines: MOST_ENTRIES, letters: MOST_LETTERS });
    const value: readonly DictionaryEntry[] = lines.map((line) => {
      const [word, ...rest] = line.split('\t');
      return { word: word!.trim(), text: rest.join(' ').trim() };
    });
    return { value, facts: { entries: value.length }, bytes: 8 * bytes.length };
  },
});
