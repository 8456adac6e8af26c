import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a number search. */
export const numberWords = printedWords({
  en: {
    title: 'Number search',
    straight: 'Numbers run across and down.',
    slanting: 'Numbers run across, down and slanting.',
    backwards: 'Numbers run in all directions, some of them backwards.',
  },
  es: {
    title: 'Números ocultos',
    straight: 'Los números van en horizontal y en vertical.',
    slanting: 'Los números van en horizontal, en vertical y en diagonal.',
    backwards: 'Los números van en todas las direcciones, algunos al revés.',
  },
  de: {
    title: 'Zahlensuche',
    straight: 'Die Zahlen stehen waagerecht und senkrecht.',
    slanting: 'Die Zahlen stehen waagerecht, senkrecht und schräg.',
    backwards: 'Die Zahlen stehen in allen Richtungen, manche rückwärts.',
  },
  fr: {
    title: 'Nombres cachés',
    straight: 'Les nombres se lisent horizontalement et verticalement.',
    slanting: 'Les nombres se lisent horizontalement, verticalement et en diagonale.',
    backwards: 'Les nombres se lisent dans tous les sens, certains à rebours.',
  },
});
