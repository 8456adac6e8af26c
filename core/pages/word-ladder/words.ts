import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a word ladder. */
export const wordLadderWords = printedWords({
  en: {
    title: 'Word ladder',
    rules: 'Go from the upper word to the lower one. Change one letter at each step; every step is a word.',
  },
  es: {
    title: 'Escalera de palabras',
    rules:
      'Ve de la palabra de arriba a la de abajo. Cambia una letra en cada paso; cada paso es una palabra.',
  },
  de: {
    title: 'Wortleiter',
    rules:
      'Geh vom oberen Wort zum unteren. Ändere in jedem Schritt einen Buchstaben; jeder Schritt ist ein Wort.',
  },
  fr: {
    title: 'Échelle de mots',
    rules: 'Allez du mot du haut à celui du bas. Changez une lettre à chaque pas ; chaque pas est un mot.',
  },
});
