import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a crossword. */
export const crosswordWords = printedWords({
  en: {
    crossword: 'Crossword',
    across: 'Across',
    down: 'Down',
    arrowWords: 'Arrow words',
    arrowRules:
      'Each answer begins where the arrow of its clue points. It runs across or down, as the arrow does.',
  },
  es: {
    crossword: 'Crucigrama',
    across: 'Horizontales',
    down: 'Verticales',
    arrowWords: 'Autodefinido',
    arrowRules:
      'Cada respuesta empieza donde señala la flecha de su definición y sigue la dirección de esta.',
  },
  de: {
    crossword: 'Kreuzworträtsel',
    across: 'Waagerecht',
    down: 'Senkrecht',
    arrowWords: 'Pfeilrätsel',
    arrowRules:
      'Jede Antwort beginnt dort, wohin der Pfeil ihrer Frage zeigt, und läuft in seiner Richtung weiter.',
  },
  fr: {
    crossword: 'Mots croisés',
    across: 'Horizontalement',
    down: 'Verticalement',
    arrowWords: 'Mots fléchés',
    arrowRules: 'Chaque réponse commence là où pointe la flèche de sa définition et suit son sens.',
  },
});
