export { bookWords } from './book-words.ts';
export {
  PRINTED_LANGUAGES,
  type PrintedLanguage,
  printedLanguage,
  printedWords,
} from './catalog.ts';
