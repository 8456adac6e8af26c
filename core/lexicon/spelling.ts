import { couldOffend } from '../words/index.ts';
import type { Lexicon } from './lexicon.ts';

/** Words that are looked at together; the rest of a longer list is not. */
export const MOST_CHECKED = 2000;
/** Unknown words that are given a suggestion. */
const MOST_SUGGESTED = 8;
/** A list of which more is unknown is in another language. */
const FOREIGN_SHARE = 0.6;

export interface CheckedWords {
  /** Not in the dictionary, each with a word that is spelled nearly so, where there is one. */
  unknown: { word: string; suggestion: string | null }[];
  offending: string[];
}

/**
 * Checks the spelling of English words, and which of them could offend. A phrase is known where its parts are. Nothing is unknown in a
 * list that is mostly so: it is not in English. The unwanted words must have been loaded.
 */
export function checkWords(lexicon: Lexicon, words: readonly string[]): CheckedWords {
  const checked = words.slice(0, MOST_CHECKED);
  const known = (word: string) => lexicon.find(word).length > 0;
  const isKnown = (word: string) =>
    known(word) ||
    word
      .replaceAll('’', "'")
      .split(/[\s-]+/)
      .every((part) => known(part) || known(part.replace(/'s?$/, '')));
  const unknown = checked.filter((word) => !isKnown(word));
  const isEnglish = unknown.length <= checked.length * FOREIGN_SHARE;
  return {
    unknown: isEnglish
      ? unknown.map((word, i) => ({ word, suggestion: i < MOST_SUGGESTED ? nearest(lexicon, word) : null }))
      : [],
    offending: checked.filter(couldOffend(['en'])),
  };
}

const LETTERS = [...'abcdefghijklmnopqrstuvwxyz'];
/** A word of rare letters has thousands of neighbors that are looked up. */
const LONGEST = 16;

/** The most common word one slip away: a letter too many, too few, another one, or two that changed places (Damerau 1964). */
function nearest(lexicon: Lexicon, typed: string): string | null {
  const word = typed.toLowerCase();
  if (word.length > LONGEST || !/^[a-z]{3,}$/.test(word)) return null;
  const cuts = Array.from({ length: word.length + 1 }, (_, i) => [word.slice(0, i), word.slice(i)] as const);
  const slips = cuts.flatMap(([a, b]) => [
    ...(b ? [a + b.slice(1)] : []),
    ...(b.length > 1 ? [a + b[1] + b[0] + b.slice(2)] : []),
    ...LETTERS.flatMap((letter) => [a + letter + b, ...(b ? [a + letter + b.slice(1)] : [])]),
  ]);
  const found = [...new Set(slips)]
    .flatMap((slip) => lexicon.find(slip).filter((id) => lexicon.word(id) === slip))
    .map((id) => ({ word: lexicon.word(id), level: lexicon.level(id) || 100 }));
  return found.sort((a, b) => a.level - b.level)[0]?.word ?? null;
}
