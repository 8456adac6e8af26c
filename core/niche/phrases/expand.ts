import type { PhraseLists } from './lists.ts';
import { partsOf } from './parts.ts';

/** Ways to expand a phrase. Letters are asked of the marketplace's suggestions; the others come from the lists. */
export const EXPANSIONS = {
  letters: 'a–z',
  audience: 'audience',
  format: 'format',
  number: 'numbers',
  year: 'year',
  occasion: 'occasion',
  kind: 'kind of book',
  combined: 'audience × format',
} as const;
export type Expansion = keyof typeof EXPANSIONS;
export const EXPANSION_IDS = Object.keys(EXPANSIONS) as Expansion[];

export interface Candidate {
  phrase: string;
  /** How it was found. */
  way: Expansion | 'itself';
}

const ALPHABET = [...'abcdefghijklmnopqrstuvwxyz'];

/** What to ask the marketplace's suggestions for: the phrase, and every letter after and before it. */
export const suggestionStarts = (phrase: string): string[] => [
  phrase,
  ...ALPHABET.map((letter) => `${phrase} ${letter}`),
  ...ALPHABET.map((letter) => `${letter} ${phrase}`),
];

const joined = (...parts: string[]) => parts.filter(Boolean).join(' ').replace(/\s+/g, ' ').trim();

/**
 * The phrases a phrase expands to by lists. Each way replaces what the phrase already has of its kind: “for kids”
 * gives way to “for adults”, and is not added to it.
 * @param year the year it is now
 */
export function expand(
  phrase: string,
  ways: readonly Expansion[],
  lists: PhraseLists,
  year: number,
): Candidate[] {
  const { topic, kind, audience, format, number } = partsOf(phrase, lists);
  const forWhom = audience ? `for ${audience}` : '';
  const base = joined(topic, kind);
  const made: Record<Expansion, () => string[]> = {
    letters: () => [],
    audience: () => lists.audiences.map((whom) => joined(format, base, `for ${whom}`)),
    format: () => lists.formats.map((how) => joined(base, forWhom, how)),
    number: () => lists.numbers.map((count) => joined(count, format, base, forWhom)),
    year: () => [year, year + 1].map((when) => joined(base, String(when), forWhom)),
    occasion: () => lists.occasions.map((when) => joined(when, topic === when ? '' : base, forWhom)),
    kind: () => lists.kinds.map((what) => joined(number, topic, what, forWhom)),
    combined: () =>
      lists.audiences.flatMap((whom) => lists.formats.map((how) => joined(how, base, `for ${whom}`))),
  };
  const seen = new Set<string>();
  const all: Candidate[] = [
    { phrase: phrase.toLowerCase().trim(), way: 'itself' },
    ...ways.flatMap((way) => made[way]().map((found): Candidate => ({ phrase: found, way }))),
  ];
  return all.filter(({ phrase: found }) => {
    if (!found || seen.has(found)) return false;
    seen.add(found);
    return true;
  });
}
