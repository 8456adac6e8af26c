import { IntlMessageFormat } from 'intl-messageformat';

/** Languages that printed words are written in, by code. */
export const PRINTED_LANGUAGES = ['en', 'es', 'de', 'fr'] as const;

export type PrintedLanguage = (typeof PRINTED_LANGUAGES)[number];

/** Says one message of a catalog. @throws Error when a value that the message asks for is missing */
export type PrintedWords<Key extends string> = (
  language: PrintedLanguage,
  key: Key,
  values?: Readonly<Record<string, string | number>>,
) => string;

// Every runtime has these languages: to ask which of them it has would unfold its data of all languages, which takes
// longer than to draw a page.
IntlMessageFormat.resolveLocale = (locales) => new Intl.Locale([locales].flat()[0]!);

const isPrinted = (code: string): code is PrintedLanguage =>
  (PRINTED_LANGUAGES as readonly string[]).includes(code);

/**
 * The language of what the program itself prints in a book: the one chosen for it, the book's own, or English where
 * that has no words yet.
 */
export function printedLanguage({
  language,
  printedWords,
}: {
  language: string;
  printedWords?: PrintedLanguage | undefined;
}): PrintedLanguage {
  if (printedWords) return printedWords;
  const [code] = language.split('-');
  return isPrinted(code!) ? code : 'en';
}

/**
 * The words of a kind of page, a composition or the frame of a book, in every language. A message is written in the
 * syntax of ICU MessageFormat (Unicode, UTS #35, part 9): `{page}` for a value, `{count, plural, one {…} other {…}}`
 * where the words depend on a number. Values are printed as they are given.
 */
export function printedWords<Key extends string>(
  catalogs: Readonly<Record<PrintedLanguage, Readonly<Record<Key, string>>>>,
): PrintedWords<Key> {
  const read = new Map<string, IntlMessageFormat>();
  return (language, key, values) => {
    const name = `${language} ${key}`;
    let message = read.get(name);
    if (!message) {
      // No tags: what a publisher wrote may hold a “<”.
      message = new IntlMessageFormat(catalogs[language][key], language, undefined, { ignoreTag: true });
      read.set(name, message);
    }
    return String(message.format(values));
  };
}
