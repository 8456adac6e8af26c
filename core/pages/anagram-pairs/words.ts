import { printedWords } from '../../printed-words/index.ts';

/** What is printed with pairs of anagrams. */
export const anagramPairsWords = printedWords({
  en: {
    match: 'Anagram pairs',
    write: 'Anagrams',
    matchRules: 'Each word at the left has the letters of one at the right. Join them with a line.',
    writeRules: 'Put the letters of each word in another order, so that they are a word again.',
  },
  es: {
    match: 'Parejas de anagramas',
    write: 'Anagramas',
    matchRules: 'Cada palabra de la izquierda tiene las letras de una de la derecha. Únelas con una línea.',
    writeRules: 'Cambia el orden de las letras de cada palabra para formar otra.',
  },
  de: {
    match: 'Anagramm-Paare',
    write: 'Anagramme',
    matchRules: 'Jedes Wort links hat die Buchstaben von einem rechts. Verbinde sie mit einer Linie.',
    writeRules:
      'Bringe die Buchstaben jedes Wortes in eine andere Reihenfolge, sodass wieder ein Wort entsteht.',
  },
  fr: {
    match: 'Paires d’anagrammes',
    write: 'Anagrammes',
    matchRules: 'Chaque mot de gauche a les lettres d’un mot de droite. Reliez-les d’un trait.',
    writeRules: 'Changez l’ordre des lettres de chaque mot pour en former un autre.',
  },
});
