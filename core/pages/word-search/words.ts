import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a word search. */
export const searchWords = printedWords({
  en: {
    title: 'Word search',
    straight: 'Words run across and down.',
    slanting: 'Words run across, down and slanting.',
    backwards: 'Words run in all directions, some of them backwards.',
    leftOver: 'The first letters that are left over, in reading order:',
  },
  es: {
    title: 'Sopa de letras',
    straight: 'Las palabras van en horizontal y en vertical.',
    slanting: 'Las palabras van en horizontal, en vertical y en diagonal.',
    backwards: 'Las palabras van en todas las direcciones, algunas al revés.',
    leftOver: 'Las primeras letras que sobran, en orden de lectura:',
  },
  de: {
    title: 'Wortsuche',
    straight: 'Die Wörter stehen waagerecht und senkrecht.',
    slanting: 'Die Wörter stehen waagerecht, senkrecht und schräg.',
    backwards: 'Die Wörter stehen in allen Richtungen, manche rückwärts.',
    leftOver: 'Die ersten übrigen Buchstaben in Leserichtung:',
  },
  fr: {
    title: 'Mots cachés',
    straight: 'Les mots se lisent horizontalement et verticalement.',
    slanting: 'Les mots se lisent horizontalement, verticalement et en diagonale.',
    backwards: 'Les mots se lisent dans tous les sens, certains à rebours.',
    leftOver: 'Les premières lettres qui restent, dans le sens de la lecture :',
  },
});
