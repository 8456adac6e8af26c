import { gridWord } from './letters.ts';

/** Languages whose unwanted words are known. */
export const UNWANTED_LANGUAGES = ['en', 'es', 'de', 'fr', 'it', 'pt', 'nl', 'pl'] as const;
export type UnwantedLanguage = (typeof UNWANTED_LANGUAGES)[number];

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
/** Loads the lists. Puzzles are made synchronously: who makes them loads the lists first. */
export async function loadUnwanted(): Promise<void> {
  await Promise.all(
    UNWANTED_LANGUAGES.map(async (language) => {
      if (loaded.has(language)) return;
      const { default: words } = await LISTS[language]();
      loaded.set(
        language,
        words.flatMap((word) => spelled(word)),
      );
    }),
  );
}

/** A word by its letters in a grid; an empty list for one that is too short to be looked for. */
export function spelled(word: string): string[][] {
  const read = gridWord(word);
  return 'letters' in read && read.letters.length >= SHORTEST ? [read.letters] : [];
}

/**
 * The unwanted words of languages, by their letters.
 * @throws Error where the lists were not loaded
 */
export const unwantedWords = (languages: readonly UnwantedLanguage[]): string[][] =>
  languages.flatMap((language) => {
    const words = loaded.get(language);
    if (!words) throw new Error('The unwanted words were not loaded before they were asked for.');
    return words;
  });

/**
 * Tells words that could offend: an unwanted word, or one that has such a word as a part of its own (“jungle cock”, not “peacock”).
 * @throws Error where the lists were not loaded
 */
export function couldOffend(languages: readonly UnwantedLanguage[]): (word: string) => boolean {
  const unwanted = new Set(unwantedWords(languages).map((letters) => letters.join('')));
  const is = (text: string) => {
    const read = gridWord(text);
    return 'letters' in read && unwanted.has(read.letters.join(''));
  };
  return (word) => is(word) || word.split(/[\s-]+/).some(is);
}
