import { basesOf, type Form } from '../words/endings.ts';
import { stem } from '../words/stem.ts';
import type { PartOfSpeech } from './format.ts';
import type { Lexicon } from './lexicon.ts';
import { UNFIT } from './topic.ts';

/** A definition is cut at a semicolon to have no more letters than this; a longer one is no clue. */
const LONGEST = 100;
/** What has room in a cell of a grid. */
const LONGEST_IN_CELL = 26;
/** Words that are no more common than this are no help to somebody who guesses (levels of SCOWL). */
const COMMON = 60;
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
 * @param isShort has it to stand in a cell of a grid? Then no more than 26 letters; another word for the
 *   same, or for what it is one of, is good, too
 */
export function definitionOf(lexicon: Lexicon, word: string, isShort = false): string | null {
  const longest = isShort ? LONGEST_IN_CELL : LONGEST;
  const textsOf = isShort ? shortTexts : longTexts;
  // Not of the architect Wren, where the bird is meant.
  const sensesOf = (text: string) => {
    const lists = lexicon.find(text).map((id) => lexicon.senses(id));
    // Nouns come first in the list, also where the word is seldom one.
    return [...(lists.find((list) => list.length > 0) ?? [])].sort((a, b) => b.tags - a.tags);
  };
  const asked = word.trim();
  const first = (senses: readonly { synset: number }[], room: number) =>
    usable(lexicon, senses, { word: asked, longest: room, textsOf });
  const own = first(sensesOf(asked), longest);
  if (own) return own;
  const has = (text: string) => lexicon.find(text).some((id) => lexicon.senses(id).length > 0);
  for (const { base, form } of basesOf(asked.toLowerCase(), has))
    for (const sense of sensesOf(base)) {
      const said = FORMS[form][lexicon.kind(sense.synset)];
      const text = said && first([sense], longest - said.length - ' ()'.length);
      if (text) return `${text} (${said})`;
    }
  return null;
}

/** What the dictionary says of a meaning, without what stands in brackets and after a semicolon. */
const longTexts = (lexicon: Lexicon, synset: number): string[] => [
  lexicon
    .definition(synset)
    .replace(/\s*\([^)]*\)/g, '')
    .split(/;\s*/)[0]!
    .trim(),
];

const ARTICLE = /^(?:an?|the|to) /;

/** Other words for a meaning as well, and for what it is one of, if they are common. */
function shortTexts(lexicon: Lexicon, synset: number): string[] {
  const commonFor = (one: number) =>
    lexicon
      .members(one)
      .filter((id) => lexicon.level(id) > 0 && lexicon.level(id) <= COMMON)
      .map((id) => lexicon.word(id));
  return [
    ...longTexts(lexicon, synset).map((text) => text.replace(ARTICLE, '')),
    ...commonFor(synset),
    ...lexicon.pointed(synset, '@').flatMap(commonFor),
  ];
}

/** The first text of some senses that can be a clue for a word. */
function usable(
  lexicon: Lexicon,
  senses: readonly { synset: number }[],
  {
    word,
    longest,
    textsOf,
  }: { word: string; longest: number; textsOf(lexicon: Lexicon, synset: number): string[] },
): string | null {
  for (const { synset } of senses) {
    if (UNFIT.test(lexicon.definition(synset))) continue;
    for (const text of textsOf(lexicon, synset)) {
      if (text.length > longest || text.length < SHORT || tells(text, word)) continue;
      return text.charAt(0).toUpperCase() + text.slice(1);
    }
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
