import { type KnownWord, vocabularyOf } from '../vocabulary/index.ts';

let kept: { list: readonly KnownWord[]; bySorted: Map<string, string[]> } | null = null;

/** Everyday words by their letters in the order of the alphabet. */
function bySorted(): Map<string, string[]> {
  const list = vocabularyOf('everyday');
  if (kept?.list === list) return kept.bySorted;
  const found = new Map<string, string[]>();
  for (const { letters } of list) {
    const key = [...letters].sort().join('');
    found.set(key, [...(found.get(key) ?? []), letters]);
  }
  kept = { list, bySorted: found };
  return found;
}

/**
 * The everyday words that a wheel spells with the letter in its middle: every choice of the others is put in order and looked up.
 * Shares nothing with how wheels are made.
 * @param letters the one in the middle first
 * @returns by the alphabet
 */
export function spelledFrom(letters: string, shortest: number): string[] {
  const known = bySorted();
  const [middle, ...others] = letters;
  const keys = new Set<string>();
  for (let choice = 0; choice < 1 << others.length; choice++) {
    const chosen = others.filter((_, i) => choice & (1 << i));
    if (chosen.length + 1 >= shortest) keys.add([middle, ...chosen].sort().join(''));
  }
  return [...keys].flatMap((key) => known.get(key) ?? []).sort();
}
