import { basesOf, type Form } from '../words/endings.ts';
import { stem } from '../words/stem.ts';
import type { PartOfSpeech } from './format.ts';
import type { Lexicon } from './lexicon.ts';
import { UNFIT } from './topic.ts';

/** A definition is cut at a semicolon to have no more letters than this; a longer one is no clue. */
const LONGEST = 100;
/** Parts of words as short as this are in many others. */
const SHORT = 3;

const [NOUN, VERB, ADJECTIVE] = [0, 1, 2] as const;

/** What is said of a form after the definition of the word it is made from, by the part of speech of that word. */
const FORMS: Record<Form, Partial<Record<PartOfSpeech, string>>> = {
  plural: { [NOUN]: 'plural', [VERB]: 'third person' },
  past: { [VERB]: 'past tense' },
  'going on': { [VERB]: 'present participle' },
  most: { [ADJECTIVE]: 'superlative' },
  more: { [ADJECTIVE]: 'comparative' },
  adverb: { [ADJECTIVE]: 'adverb' },
  quality: { [ADJECTIVE]: 'noun' },
  'who does': { [VERB]: 'one who does', [ADJECTIVE]: 'comparative' },
};

/**
 * The most usual definition of a word that is short enough for a clue and does not give the word away: none of its words has the
 * stem of one of the word’s own parts, or holds one. Of a form of a word, as a plural, that of the word with the form behind it. Null
 * where there is none.
 */
export function definitionOf(lexicon: Lexicon, word: string): string | null {
  // Not of the architect Wren, where the bird is meant.
  const sensesOf = (text: string) => {
    const lists = lexicon.find(text).map((id) => lexicon.senses(id));
    // Nouns come first in the list, also where the word is seldom one.
    return [...(lists.find((list) => list.length > 0) ?? [])].sort((a, b) => b.tags - a.tags);
  };
  const asked = word.trim();
  const own = usable(lexicon, sensesOf(asked), asked);
  if (own) return own;
  const has = (text: string) => lexicon.find(text).some((id) => lexicon.senses(id).length > 0);
  for (const { base, form } of basesOf(asked.toLowerCase(), has))
    for (const sense of sensesOf(base)) {
      const said = FORMS[form][lexicon.kind(sense.synset)];
      const text = said && usable(lexicon, [sense], asked, LONGEST - said.length - ' ()'.length);
      if (text) return `${text} (${said})`;
    }
  return null;
}

/** The first definition of some senses that can be a clue for a word. */
function usable(
  lexicon: Lexicon,
  senses: readonly { synset: number }[],
  word: string,
  longest = LONGEST,
): string | null {
  for (const { synset } of senses) {
    const whole = lexicon.definition(synset);
    const text = whole
      .replace(/\s*\([^)]*\)/g, '')
      .split(/;\s*/)[0]!
      .trim();
    if (text.length > longest || text.length < SHORT || UNFIT.test(whole) || tells(text, word)) continue;
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
