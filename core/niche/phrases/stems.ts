import { stem } from '../../words/stem.ts';

const LITTLE_WORDS = new Set('a an and by for from in my of on or our the to with your'.split(' '));

const words = (phrase: string): string[] =>
  (phrase.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).filter((word) => !LITTLE_WORDS.has(word));

export interface PhraseGroup<T> {
  /** The word most of its phrases share beside the niche's own; empty for those that share none. */
  name: string;
  phrases: T[];
}

/**
 * Groups phrases by the stem they share beside those of the niche's own phrase: “for women”, “gifts for women” and
 * “womens” together. Larger groups first; phrases that share nothing last.
 */
export function groupByStems<T extends { phrase: string }>(
  own: string,
  phrases: readonly T[],
): PhraseGroup<T>[] {
  const ownStems = new Set(words(own).map(stem));
  const extras = phrases.map(({ phrase }) =>
    [...new Map(words(phrase).map((word) => [stem(word), word])).entries()].filter(
      ([root]) => !ownStems.has(root),
    ),
  );
  const counts = new Map<string, number>();
  const forms = new Map<string, Map<string, number>>();
  for (const extra of extras) {
    for (const [root, word] of extra) {
      counts.set(root, (counts.get(root) ?? 0) + 1);
      const seen = forms.get(root) ?? new Map<string, number>();
      forms.set(root, seen.set(word, (seen.get(word) ?? 0) + 1));
    }
  }
  const groups = new Map<string, T[]>();
  phrases.forEach((phrase, i) => {
    const [best] = extras[i]!.map(([root]) => root)
      .filter((root) => counts.get(root)! > 1)
      .sort((a, b) => counts.get(b)! - counts.get(a)! || (a < b ? -1 : 1));
    const key = best ?? '';
    groups.set(key, [...(groups.get(key) ?? []), phrase]);
  });
  const nameOf = (root: string) =>
    root ? [...forms.get(root)!].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]![0] : '';
  return [...groups]
    .sort(([a, x], [b, y]) => Number(a === '') - Number(b === '') || y.length - x.length || (a < b ? -1 : 1))
    .map(([root, members]) => ({ name: nameOf(root), phrases: members }));
}
