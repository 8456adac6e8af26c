import { LRUCache } from 'lru-cache';
import { gridWord } from '../../words/index.ts';

/** Languages whose unwanted words are known. */
export const UNWANTED_LANGUAGES = ['en', 'es', 'de', 'fr', 'it', 'pt', 'nl', 'pl'] as const;
type UnwantedLanguage = (typeof UNWANTED_LANGUAGES)[number];

/** The lists of naughty-words (CC BY 4.0); see docs/licenses.md. */
const LISTS: Record<UnwantedLanguage, () => Promise<{ default: readonly string[] }>> = {
  en: () => import('naughty-words/en.json', { with: { type: 'json' } }),
  es: () => import('naughty-words/es.json', { with: { type: 'json' } }),
  de: () => import('naughty-words/de.json', { with: { type: 'json' } }),
  fr: () => import('naughty-words/fr.json', { with: { type: 'json' } }),
  it: () => import('naughty-words/it.json', { with: { type: 'json' } }),
  pt: () => import('naughty-words/pt.json', { with: { type: 'json' } }),
  nl: () => import('naughty-words/nl.json', { with: { type: 'json' } }),
  pl: () => import('naughty-words/pl.json', { with: { type: 'json' } }),
};

/** Shorter ones would be found in every grid. */
const SHORTEST = 3;

const loaded = new Map<UnwantedLanguage, string[][]>();
const kept = new LRUCache<string, readonly (readonly string[])[]>({ max: 20 });

/** Loads the lists. Puzzles are made synchronously: who makes them loads the lists first. */
export async function loadUnwanted(): Promise<void> {
  await Promise.all(
    UNWANTED_LANGUAGES.map(async (language) => {
      if (loaded.has(language)) return;
      const { default: words } = await LISTS[language]();
      loaded.set(language, words.flatMap(spelled));
    }),
  );
}

function spelled(word: string): string[][] {
  const read = gridWord(word);
  return 'letters' in read && read.letters.length >= SHORTEST ? [read.letters] : [];
}

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
    const listed = unwanted.flatMap((language) => {
      const words = loaded.get(language);
      if (!words) throw new Error('The unwanted words were not loaded before a puzzle was made.');
      return words;
    });
    found = [...listed, ...own].filter((word) => !allowed.has(word.join('')));
    kept.set(key, found);
  }
  return found;
}
