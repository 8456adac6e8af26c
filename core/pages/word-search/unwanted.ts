import { LRUCache } from 'lru-cache';
import { spelled, type UnwantedLanguage, unwantedWords } from '../../words/index.ts';

const kept = new LRUCache<string, readonly (readonly string[])[]>({ max: 20 });

/**
 * Words that no grid of a section shows, by their letters; the same list for the same settings.
 * @param more a word in each line; one after a plus is taken out again
 * @throws Error where the lists were not loaded
 */
export function unwantedOf({
  unwanted,
  unwantedMore,
}: {
  unwanted: readonly UnwantedLanguage[];
  unwantedMore: string;
}): readonly (readonly string[])[] {
  const key = JSON.stringify([unwanted, unwantedMore]);
  let found = kept.get(key);
  if (!found) {
    const lines = unwantedMore.split(/\r?\n/).map((line) => line.trim());
    const allowed = new Set(
      lines.flatMap((line) =>
        line.startsWith('+') ? spelled(line.slice(1)).map((word) => word.join('')) : [],
      ),
    );
    const own = lines.filter((line) => !line.startsWith('+')).flatMap(spelled);
    found = [...unwantedWords(unwanted), ...own].filter((word) => !allowed.has(word.join('')));
    kept.set(key, found);
  }
  return found;
}
