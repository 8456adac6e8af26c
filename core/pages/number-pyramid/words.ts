import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a number pyramid. */
export const numberPyramidWords = printedWords({
  en: {
    title: 'Number pyramid',
    rules: 'The number on each brick is the sum of the two bricks that it stands on. Fill in all of them.',
  },
  es: {
    title: 'Pirámide de números',
    rules: 'El número de cada ladrillo es la suma de los dos que lo sostienen. Complétalos todos.',
  },
  de: {
    title: 'Zahlenpyramide',
    rules: 'Die Zahl auf jedem Stein ist die Summe der beiden Steine, auf denen er liegt. Fülle alle aus.',
  },
  fr: {
    title: 'Pyramide de nombres',
    rules: 'Le nombre de chaque brique est la somme des deux briques qui la portent. Complétez-les toutes.',
  },
});
