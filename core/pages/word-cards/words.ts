import { printedWords } from '../../printed-words/index.ts';

/** What is printed with cards to cut out. */
export const wordCardsWords = printedWords({
  en: {
    dominoes: 'Dominoes',
    memory: 'Memory game',
    dominoesRules:
      'Cut out the cards. Lay them so that what touches belongs together: the last one meets the first.',
    memoryRules:
      'Cut out the cards and lay them face down. Turn up two at a time, and keep them if they are a pair.',
  },
  es: {
    dominoes: 'Dominó',
    memory: 'Juego de memoria',
    dominoesRules:
      'Recorta las fichas. Colócalas de modo que lo que se toca vaya junto: la última se une con la primera.',
    memoryRules: 'Recorta las cartas y ponlas boca abajo. Levanta dos cada vez, y quédatelas si son pareja.',
  },
  de: {
    dominoes: 'Domino',
    memory: 'Paare finden',
    dominoesRules:
      'Schneide die Karten aus. Lege sie so, dass zusammengehört, was sich berührt: Die letzte trifft auf die erste.',
    memoryRules:
      'Schneide die Karten aus und lege sie verdeckt hin. Decke je zwei auf, und behalte sie, wenn sie ein Paar sind.',
  },
  fr: {
    dominoes: 'Dominos',
    memory: 'Jeu de mémoire',
    dominoesRules:
      'Découpez les cartes. Posez-les de sorte que ce qui se touche aille ensemble : la dernière rejoint la première.',
    memoryRules:
      'Découpez les cartes et posez-les à l’envers. Retournez-en deux à la fois, et gardez-les si elles vont ensemble.',
  },
});
