import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a kakuro. */
export const kakuroWords = printedWords({
  en: {
    kakuro: 'Kakuro',
    rules:
      'Fill the white cells with 1 to 9. Each run adds up to the sum at its beginning, and has no digit twice.',
  },
  es: {
    kakuro: 'Kakuro',
    rules:
      'Completa las casillas blancas con cifras del 1 al 9. Cada tramo suma el número de su inicio y no repite ninguna cifra.',
  },
  de: {
    kakuro: 'Kakuro',
    rules:
      'Fülle die weißen Felder mit 1 bis 9. Jede Reihe ergibt die Summe an ihrem Anfang, und keine Ziffer steht darin zweimal.',
  },
  fr: {
    kakuro: 'Kakuro',
    rules:
      'Remplissez les cases blanches de 1 à 9. Chaque suite a pour somme le nombre à son début, sans chiffre répété.',
  },
});
