import { stem as porter2 } from 'porter2';

const kept = new Map<string, string>();
const STEMS_KEPT = 50_000;

/** The stem of an English word (Porter's second stemmer, as published by the Snowball project). */
export function stem(word: string): string {
  let found = kept.get(word);
  if (found === undefined) {
    if (kept.size >= STEMS_KEPT) kept.clear();
    found = porter2(word);
    kept.set(word, found);
  }
  return found;
}
