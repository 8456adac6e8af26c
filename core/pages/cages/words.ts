import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a grid with cages. */
export const cagesWords = printedWords({
  en: {
    title: 'Number cages',
    rules:
      'Fill every row and column with 1 to {size}, each of them once. The numbers of a cage make what stands in its corner.',
  },
  es: {
    title: 'Jaulas de números',
    rules:
      'Completa cada fila y columna con las cifras del 1 al {size}, una vez cada una. Las cifras de una jaula dan lo que indica su esquina.',
  },
  de: {
    title: 'Zahlenkäfige',
    rules:
      'Fülle jede Zeile und Spalte mit 1 bis {size}, jede Zahl einmal. Die Zahlen eines Käfigs ergeben, was in seiner Ecke steht.',
  },
  fr: {
    title: 'Cages de nombres',
    rules:
      'Remplissez chaque ligne et colonne de 1 à {size}, chaque nombre une fois. Les nombres d’une cage donnent ce qui est écrit dans son coin.',
  },
});
