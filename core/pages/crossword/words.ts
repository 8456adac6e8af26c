import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a crossword. */
export const crosswordWords = printedWords({
  en: { crossword: 'Crossword', across: 'Across', down: 'Down' },
  es: { crossword: 'Crucigrama', across: 'Horizontales', down: 'Verticales' },
  de: { crossword: 'Kreuzworträtsel', across: 'Waagerecht', down: 'Senkrecht' },
  fr: { crossword: 'Mots croisés', across: 'Horizontalement', down: 'Verticalement' },
});
