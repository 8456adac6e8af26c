import { exactObject, integerBetween } from '../../schema.ts';
import { WORD_LIST_LIMITS } from '../../words/index.ts';
import { readLines } from '../lines.ts';
import { defineType } from '../resource.ts';

/** Letters of a word as it is listed, with its spaces and hyphens. */
const MOST_LETTERS = 60;

/** A word bank: plain text in UTF-8, one word or phrase a line. */
export const words = defineType({
  id: 'words',
  name: 'Word bank',
  extension: 'txt',
  mostBytes: WORD_LIST_LIMITS.bytes,
  facts: exactObject({ words: integerBetween(1, WORD_LIST_LIMITS.words) }),
  read: async (bytes) => {
    const value: readonly string[] = readLines(bytes, {
      lines: WORD_LIST_LIMITS.words,
      letters: MOST_LETTERS,
    });
    return { value, facts: { words: value.length }, bytes: 4 * bytes.length };
  },
});

/** The content of a word bank. */
export const writeWords = (list: readonly string[]): Uint8Array =>
  new TextEncoder().encode(`${list.map((word) => word.trim()).join('\n')}\n`);
