import { gridWord } from './letters.ts';

/** Languages whose unwanted words are known. */
export const UNWANTED_LANGUAGES = ['en', 'es', 'de', 'fr', 'it', 'pt', 'nl', 'pl'] as const;
export type UnwantedLanguage = (typeof UNWANTED_LANGUAGES)[number];

/** Shorter ones would be found in every grid. */
const SHORTEST = 3;

const loaded = new Map<UnwantedLanguage, string[][]>();
/** Loads the lists. Puzzles are made synchronously: who makes them loads the lists first. */
export async function loadUnwanted(): Promise<void> {
  if (loaded.size) return;
  const { UNWANTED_LISTS } = await import('./unwanted-lists.ts');
  for (const language of UNWANTED_LANGUAGES) loaded.set(language, UNWANTED_LISTS[language].flatMap(spelled));
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
