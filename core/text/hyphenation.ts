import createHyphenator from 'hyphen';

/** The parts of a word between which it may be broken with a hyphen. */
export type Hyphenate = (word: string) => readonly string[];

/** Breaks no word: for languages without patterns, and before they are loaded. */
export const wholeWords: Hyphenate = (word) => [word];

/**
 * Patterns by language (the hyphenation patterns of CTAN; F. M. Liang, “Word Hy-phen-a-tion by Com-put-er”, Stanford 1983),
 * each loaded when a book in that language is.
 */
const PATTERNS: Readonly<Record<string, () => Promise<{ default: unknown }>>> = {
  bg: () => import('hyphen/patterns/bg.js'),
  ca: () => import('hyphen/patterns/ca.js'),
  cs: () => import('hyphen/patterns/cs.js'),
  da: () => import('hyphen/patterns/da.js'),
  de: () => import('hyphen/patterns/de-1996.js'),
  el: () => import('hyphen/patterns/el-monoton.js'),
  en: () => import('hyphen/patterns/en-us.js'),
  'en-GB': () => import('hyphen/patterns/en-gb.js'),
  es: () => import('hyphen/patterns/es.js'),
  et: () => import('hyphen/patterns/et.js'),
  fi: () => import('hyphen/patterns/fi.js'),
  fr: () => import('hyphen/patterns/fr.js'),
  ga: () => import('hyphen/patterns/ga.js'),
  hr: () => import('hyphen/patterns/hr.js'),
  hu: () => import('hyphen/patterns/hu.js'),
  is: () => import('hyphen/patterns/is.js'),
  it: () => import('hyphen/patterns/it.js'),
  la: () => import('hyphen/patterns/la.js'),
  lt: () => import('hyphen/patterns/lt.js'),
  lv: () => import('hyphen/patterns/lv.js'),
  nb: () => import('hyphen/patterns/nb.js'),
  nl: () => import('hyphen/patterns/nl.js'),
  nn: () => import('hyphen/patterns/nn.js'),
  pl: () => import('hyphen/patterns/pl.js'),
  pt: () => import('hyphen/patterns/pt.js'),
  ro: () => import('hyphen/patterns/ro.js'),
  ru: () => import('hyphen/patterns/ru.js'),
  sk: () => import('hyphen/patterns/sk.js'),
  sl: () => import('hyphen/patterns/sl.js'),
  sv: () => import('hyphen/patterns/sv.js'),
  tr: () => import('hyphen/patterns/tr.js'),
  uk: () => import('hyphen/patterns/uk.js'),
};

/** Languages whose words can be broken, by code. */
export const HYPHENATED_LANGUAGES: readonly string[] = Object.keys(PATTERNS);

const loaded = new Map<string, Promise<Hyphenate>>();

/**
 * How words of a language are broken: `en-US` as `en`, unless it has patterns of its own as `en-GB` has. Languages without
 * patterns keep their words whole.
 */
export function hyphenation(language: string): Promise<Hyphenate> {
  const code = Object.hasOwn(PATTERNS, language) ? language : language.split('-')[0]!;
  if (!Object.hasOwn(PATTERNS, code)) return Promise.resolve(wholeWords);
  let found = loaded.get(code);
  if (!found) {
    const after = code.startsWith('en') ? 3 : 2;
    found = PATTERNS[code]!().then(({ default: patterns }) => breaker(patterns, after));
    loaded.set(code, found);
    // What could not be loaded is tried again with the next book.
    found.catch(() => loaded.delete(code));
  }
  return found;
}

/** Stands between the parts of a word, and in no word that is set. */
const SOFT_HYPHEN = '\u00ad';

/** @param after letters of a word that go to the next line, at least (righthyphenmin of TeX’s hyph-utf8; from memory) */
function breaker(patterns: unknown, after: number): Hyphenate {
  const hyphenate = createHyphenator(patterns, { hyphenChar: SOFT_HYPHEN });
  const known = new Map<string, readonly string[]>();
  return (word) => {
    let parts = known.get(word);
    if (!parts) {
      if (known.size > MOST_WORDS_KEPT) known.clear();
      const found = hyphenate(word).split(SOFT_HYPHEN).filter(Boolean);
      if (found.length > 1 && found.at(-1)!.length < after) found.splice(-2, 2, found.slice(-2).join(''));
      parts = found;
      known.set(word, parts);
    }
    return parts;
  };
}

/** Words are asked for again with every size that a text is tried in. */
const MOST_WORDS_KEPT = 20_000;
