import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a word wheel or a letter square. */
export const wordWheelWords = printedWords({
  en: {
    wheel: 'Word wheel',
    square: 'Letter square',
    rules:
      'Make words of {shortest} letters or more. Each has the letter in the middle, and uses no letter more often than it is there. One word takes all {letters}.',
    goals: 'Good {good} · very good {better} · excellent {best}',
  },
  es: {
    wheel: 'Rueda de letras',
    square: 'Cuadrado de letras',
    rules:
      'Forma palabras de {shortest} letras o más. Todas llevan la letra del centro, y ninguna usa una letra más veces de las que está. Una palabra usa las {letters}.',
    goals: 'Bien {good} · muy bien {better} · excelente {best}',
  },
  de: {
    wheel: 'Buchstabenrad',
    square: 'Buchstabenquadrat',
    rules:
      'Bilde Wörter aus {shortest} Buchstaben oder mehr. Jedes hat den Buchstaben in der Mitte und keinen öfter, als er da ist. Ein Wort braucht alle {letters}.',
    goals: 'Gut {good} · sehr gut {better} · hervorragend {best}',
  },
  fr: {
    wheel: 'Roue des mots',
    square: 'Carré de lettres',
    rules:
      'Formez des mots de {shortest} lettres ou plus. Chacun contient la lettre du centre, et n’emploie aucune lettre plus souvent qu’elle n’y est. Un mot les emploie toutes les {letters}.',
    goals: 'Bien {good} · très bien {better} · excellent {best}',
  },
});
