export { bookWords } from './book-words.ts';
export {
  PRINTED_LANGUAGES,
  type PrintedLanguage,
  type PrintedWords,
  printedLanguage,
  printedWords,
} from './catalog.ts';
