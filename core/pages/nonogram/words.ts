import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a nonogram. */
export const nonogramWords = printedWords({
  en: {
    nonogram: 'Nonogram',
    rules:
      'Numbers tell how many cells in a row or column are filled together, in order, with at least one empty cell between them.',
  },
  es: {
    nonogram: 'Nonograma',
    rules:
      'Los números indican cuántas casillas seguidas se rellenan en cada fila y columna, en orden y con al menos una vacía entre ellas.',
  },
  de: {
    nonogram: 'Nonogramm',
    rules:
      'Die Zahlen sagen, wie viele Felder in einer Zeile oder Spalte zusammen ausgefüllt sind, der Reihe nach und mit mindestens einem leeren Feld dazwischen.',
  },
  fr: {
    nonogram: 'Nonogramme',
    rules:
      'Les nombres indiquent combien de cases se suivent, remplies, dans chaque ligne et colonne, dans l’ordre et séparées par au moins une case vide.',
  },
});
