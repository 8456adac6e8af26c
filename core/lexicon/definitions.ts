import { stem } from '../words/stem.ts';
import type { Lexicon } from './lexicon.ts';
import { UNFIT } from './topic.ts';

/** A definition is cut at a semicolon to have no more letters than this; a longer one is no clue. */
const LONGEST = 100;
/** Parts of words as short as this are in many others. */
const SHORT = 3;

/**
 * The most usual definition of a word that is short enough for a clue and does not give the word away: none of its words has the
 * stem of one of the word’s own parts, or holds one. Null where there is none.
 */
export function definitionOf(lexicon: Lexicon, word: string): string | null {
  // Not of the architect Wren, where the bird is meant.
  const senses = lexicon.find(word.trim()).map((id) => lexicon.senses(id));
  const [usual = []] = senses.filter((list) => list.length > 0);
  for (const { synset } of usual) {
    const whole = lexicon.definition(synset);
    const text = whole
      .replace(/^\([^)]*\)\s*/, '')
      .split(/;\s*/)[0]!
      .trim();
    if (text.length > LONGEST || text.length < SHORT || UNFIT.test(whole) || tells(text, word)) continue;
    return text.charAt(0).toUpperCase() + text.slice(1);
  }
  return null;
}

/** Has a text a word of the same stem as a part of the answer, or one that is written inside the other? */
function tells(text: string, answer: string): boolean {
  const parts = answer
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((part) => part.length >= SHORT);
  const stems = parts.map(stem);
  return (text.toLowerCase().match(/\p{L}+/gu) ?? []).some(
    (said) =>
      stems.includes(stem(said)) ||
      parts.some((part) => said.includes(part) || (said.length > SHORT && part.includes(said))),
  );
}
