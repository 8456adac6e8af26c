import { printedWords } from '../../printed-words/index.ts';

/** What is printed with an inequality grid. */
export const inequalityWords = printedWords({
  en: {
    title: 'More or less',
    rules:
      'Fill every row and column with 1 to {size}, each of them once. A sign opens toward the larger of two numbers.',
  },
  es: {
    title: 'Mayor o menor',
    rules:
      'Completa cada fila y columna con las cifras del 1 al {size}, una vez cada una. El signo se abre hacia el número mayor.',
  },
  de: {
    title: 'Größer oder kleiner',
    rules:
      'Fülle jede Zeile und Spalte mit 1 bis {size}, jede Zahl einmal. Ein Zeichen öffnet sich zur größeren von zwei Zahlen.',
  },
  fr: {
    title: 'Plus ou moins',
    rules:
      'Remplissez chaque ligne et colonne de 1 à {size}, chaque nombre une fois. Le signe s’ouvre vers le plus grand de deux nombres.',
  },
});
