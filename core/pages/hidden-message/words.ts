import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a message hidden in a column. */
export const hiddenMessageWords = printedWords({
  en: {
    title: 'Hidden message',
    rules: 'Write the answers into the boxes. Read downward, the marked ones hold a message.',
    letters: 'Letters: {letters}',
  },
  es: {
    title: 'Mensaje oculto',
    rules: 'Escribe las respuestas en las casillas. Leídas hacia abajo, las marcadas esconden un mensaje.',
    letters: 'Letras: {letters}',
  },
  de: {
    title: 'Lösungswort',
    rules:
      'Trage die Antworten ein. Die markierten Kästchen ergeben, von oben nach unten gelesen, eine Botschaft.',
    letters: 'Buchstaben: {letters}',
  },
  fr: {
    title: 'Message caché',
    rules: 'Écrivez les réponses dans les cases. Lues vers le bas, les cases marquées donnent un message.',
    letters: 'Lettres : {letters}',
  },
});
