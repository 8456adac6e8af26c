/** What an ending says of the word that it is put to. */
export type Form = 'plural' | 'past' | 'going on' | 'most' | 'more' | 'adverb' | 'quality' | 'who does';

/** Endings of English words and what stands in their place in the word that they are put to, in the way of WordNet's morphy(7). */
const ENDINGS: readonly (readonly [ending: string, instead: string, form: Form])[] = [
  ['ies', 'y', 'plural'],
  ['s', '', 'plural'],
  ['es', '', 'plural'],
  ['ied', 'y', 'past'],
  ['ed', 'e', 'past'],
  ['ed', '', 'past'],
  ['ing', '', 'going on'],
  ['ing', 'e', 'going on'],
  ['iest', 'y', 'most'],
  ['est', '', 'most'],
  ['est', 'e', 'most'],
  ['ily', 'y', 'adverb'],
  ['ly', '', 'adverb'],
  ['iness', 'y', 'quality'],
  ['ness', '', 'quality'],
  ['ier', 'y', 'more'],
  ['er', '', 'who does'],
  ['er', 'e', 'who does'],
];

const SHORTEST = 3;

/**
 * The words of a list that another may be made from by an ending, the likeliest first: HOPE and HOP for HOPED.
 * @param word in small letters
 */
export function basesOf(word: string, has: (word: string) => boolean): { base: string; form: Form }[] {
  return ENDINGS.flatMap(([ending, instead, form]) => {
    if (!word.endsWith(ending) || (ending === 's' && word.endsWith('ss'))) return [];
    const root = word.slice(0, -ending.length);
    const isDoubled = !instead && root.length > SHORTEST && root.at(-1) === root.at(-2);
    return [root + instead, ...(isDoubled ? [root.slice(0, -1)] : [])]
      .filter((base) => base.length >= SHORTEST && has(base))
      .map((base) => ({ base, form }));
  });
}
