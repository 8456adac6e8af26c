import { exactObject, integerBetween } from '../../schema.ts';
import { readLines } from '../lines.ts';
import { defineType } from '../resource.ts';

const MOST_TEXTS = 20_000;
const MOST_LETTERS = 4000;

/** A list of texts, such as prompts or sayings: plain text in UTF-8, one a line. */
export const texts = defineType({
  id: 'texts',
  name: 'Text list',
  extension: 'txt',
  mostBytes: 8 * 1024 * 1024,
  facts: exactObject({ texts: integerBetween(1, MOST_TEXTS) }),
  read: async (bytes) => {
    const value: readonly string[] = readLines(bytes, { lines: MOST_TEXTS, letters: MOST_LETTERS });
    return { value, facts: { texts: value.length }, bytes: 4 * bytes.length };
  },
});
