import type { PhraseLists } from './lists.ts';

/** What a phrase is made of: “beekeeping word search for adults large print”. Parts it does not have are empty. */
export interface PhraseParts {
  topic: string;
  kind: string;
  audience: string;
  format: string;
  number: string;
  year: string;
}

export const PART_NAMES = {
  audience: 'Audience',
  format: 'Format',
  kind: 'Kind of book',
} as const;
export type PartName = keyof typeof PART_NAMES;
/** What is said where a phrase leaves the part open. */
export const ANY_PART: Record<PartName, string> = {
  audience: 'anyone',
  format: 'any format',
  kind: 'any kind',
};

const tidy = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[’']s?\b/g, '')
    .replace(/[^\p{L}\p{N}\s]/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim();

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

const patterns = new WeakMap<readonly string[], RegExp>();

/** Entries of a list as whole words, longest first, with a plural. */
function patternOf(list: readonly string[]): RegExp {
  let pattern = patterns.get(list);
  if (!pattern) {
    const alternatives = list
      .map(tidy)
      .filter(Boolean)
      .sort((a, b) => b.length - a.length)
      .map(escaped);
    pattern = new RegExp(`(?:^|\\s)(${alternatives.join('|') || '(?!)'})(?:s|es)?(?=\\s|$)`, 'u');
    patterns.set(list, pattern);
  }
  return pattern;
}

/** Takes a phrase or a title apart by the publisher's lists. What is left over is its topic. */
export function partsOf(phrase: string, lists: PhraseLists): PhraseParts {
  let rest = tidy(phrase);
  const take = (pattern: RegExp): string => {
    const found = pattern.exec(rest);
    if (!found) return '';
    rest = rest.replace(found[0], ' ');
    return found[1]!;
  };
  const kind = take(patternOf(lists.kinds));
  const format = take(patternOf(lists.formats));
  const audience = take(patternOf(lists.audiences));
  const year = take(/(?:^|\s)(20\d\d)(?=\s|$)/);
  const number = take(/(?:^|\s)(\d{1,4})(?=\s|$)/);
  const topic = rest
    .replace(/(^|\s)(for|with|the|a|an|my|of|and|book|books|pages|puzzles)(?=\s|$)/g, ' ')
    .replace(/(^|\s)(for|with|the|a|an|my|of|and|book|books|pages|puzzles)(?=\s|$)/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return { topic, kind, audience, format, number, year };
}
