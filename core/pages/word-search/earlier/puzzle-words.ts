import { printedWords } from '../../../printed-words/index.ts';

/** What is printed with a puzzle and with its solution. */
export const puzzleWords = printedWords({
  en: { puzzle: 'Puzzle {number}', solution: 'Solution on page {page}', page: 'page {page}' },
  es: { puzzle: 'Sopa de letras {number}', solution: 'Solución en la página {page}', page: 'página {page}' },
  de: { puzzle: 'Rätsel {number}', solution: 'Lösung auf Seite {page}', page: 'Seite {page}' },
  fr: { puzzle: 'Grille {number}', solution: 'Solution page {page}', page: 'page {page}' },
});
