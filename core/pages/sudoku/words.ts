import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a sudoku. */
export const sudokuWords = printedWords({
  en: {
    classic: 'Sudoku',
    diagonal: 'Diagonal sudoku',
    jigsaw: 'Jigsaw sudoku',
    killer: 'Killer sudoku',
    usedUp: 'Digits used up:',
    classicRules: 'Fill every row, column and box with {signs}, each of them once.',
    diagonalRules: 'Fill every row, column, box and long diagonal with {signs}, each of them once.',
    jigsawRules: 'Fill every row, column and outlined box with {signs}, each of them once.',
    killerRules:
      'Fill every row, column and box with {signs}, each of them once. The digits of a cage differ and add up to its sum.',
    digits: '1 to {last}',
    letters: '1 to 9 and A to {last}',
  },
  es: {
    classic: 'Sudoku',
    diagonal: 'Sudoku diagonal',
    jigsaw: 'Sudoku irregular',
    killer: 'Sudoku killer',
    usedUp: 'Cifras completas:',
    classicRules: 'Completa cada fila, columna y recuadro con {signs}, una sola vez cada uno.',
    diagonalRules:
      'Completa cada fila, columna, recuadro y diagonal larga con {signs}, una sola vez cada uno.',
    jigsawRules: 'Completa cada fila, columna y zona delimitada con {signs}, una sola vez cada uno.',
    killerRules:
      'Completa cada fila, columna y recuadro con {signs}, una sola vez cada uno. Las cifras de una jaula son distintas y suman lo que indica.',
    digits: 'los signos del 1 al {last}',
    letters: 'los signos del 1 al 9 y de la A a la {last}',
  },
  de: {
    classic: 'Sudoku',
    diagonal: 'Diagonal-Sudoku',
    jigsaw: 'Puzzle-Sudoku',
    killer: 'Killer-Sudoku',
    usedUp: 'Verbrauchte Ziffern:',
    classicRules: 'Jede Zeile, jede Spalte und jeder Block enthält {signs} je einmal.',
    diagonalRules: 'Jede Zeile, jede Spalte, jeder Block und jede lange Diagonale enthält {signs} je einmal.',
    jigsawRules: 'Jede Zeile, jede Spalte und jedes umrandete Gebiet enthält {signs} je einmal.',
    killerRules:
      'Jede Zeile, jede Spalte und jeder Block enthält {signs} je einmal. Die Ziffern eines Käfigs sind verschieden und ergeben seine Summe.',
    digits: '1 bis {last}',
    letters: '1 bis 9 und A bis {last}',
  },
  fr: {
    classic: 'Sudoku',
    diagonal: 'Sudoku diagonal',
    jigsaw: 'Sudoku irrégulier',
    killer: 'Sudoku killer',
    usedUp: 'Chiffres épuisés :',
    classicRules: 'Chaque ligne, chaque colonne et chaque carré contient une seule fois chacun {signs}.',
    diagonalRules:
      'Chaque ligne, chaque colonne, chaque carré et chaque grande diagonale contient une seule fois chacun {signs}.',
    jigsawRules: 'Chaque ligne, chaque colonne et chaque zone contient une seule fois chacun {signs}.',
    killerRules:
      'Chaque ligne, chaque colonne et chaque carré contient une seule fois chacun {signs}. Les chiffres d’une cage diffèrent et donnent sa somme.',
    digits: 'des signes de 1 à {last}',
    letters: 'des signes de 1 à 9 et de A à {last}',
  },
});
