import { fitsKind, isCounted } from '../kinds.ts';
import type { PhraseLists } from './lists.ts';
import { type PhraseParts, partsOf } from './parts.ts';

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

/** The parts of a phrase in the order in which buyers type them: a format leads where somebody is named, else it ends. */
export function phraseOf({ topic, kind, audience, format, number, year }: Partial<PhraseParts>): string {
  const forWhom = audience ? `for ${audience}` : '';
  return joined(number, audience && format, topic, kind, year, forWhom, audience ? '' : format);
}

const joined = (...parts: (string | undefined)[]) =>
  parts.filter(Boolean).join(' ').replace(/\s+/g, ' ').trim();

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
  const own = partsOf(phrase, lists);
  const { topic, kind, audience, format, number } = own;
  const formats = lists.formats.filter((how) => fitsKind(how, kind));
  const base = { topic, kind, audience };
  const made: Record<Expansion, () => string[]> = {
    letters: () => [],
    audience: () => lists.audiences.map((whom) => phraseOf({ ...base, format, audience: whom })),
    format: () => formats.map((how) => phraseOf({ ...base, format: how })),
    number: () =>
      isCounted(kind) ? lists.numbers.map((count) => phraseOf({ ...base, format, number: count })) : [],
    year: () => [year, year + 1].map((when) => phraseOf({ ...base, year: String(when) })),
    occasion: () =>
      lists.occasions.map((when) => joined(when, topic === when ? phraseOf({ audience }) : phraseOf(base))),
    kind: () =>
      lists.kinds.map((what) => phraseOf({ ...base, kind: what, number: isCounted(what) ? number : '' })),
    combined: () =>
      lists.audiences.flatMap((whom) =>
        formats.map((how) => phraseOf({ ...base, format: how, audience: whom })),
      ),
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
