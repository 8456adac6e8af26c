import { printedWords } from '../../printed-words/index.ts';

/** What is printed with cross sums. */
export const crossSumsWords = printedWords({
  en: {
    title: 'Cross sums',
    rules: 'Fill in the digits from 1 to 9, each once, so that every row and every column comes out.',
    leftToRight: 'Calculate from left to right and from top to bottom.',
  },
  es: {
    title: 'Sumas cruzadas',
    rules: 'Coloca las cifras del 1 al 9, una vez cada una, para que salgan todas las filas y columnas.',
    leftToRight: 'Calcula de izquierda a derecha y de arriba abajo.',
  },
  de: {
    title: 'Kreuzrechnen',
    rules: 'Trage die Ziffern von 1 bis 9 je einmal so ein, dass jede Zeile und jede Spalte aufgeht.',
    leftToRight: 'Gerechnet wird von links nach rechts und von oben nach unten.',
  },
  fr: {
    title: 'Opérations croisées',
    rules:
      'Placez les chiffres de 1 à 9, une fois chacun, pour que chaque ligne et chaque colonne soit juste.',
    leftToRight: 'Calculez de gauche à droite et de haut en bas.',
  },
});
