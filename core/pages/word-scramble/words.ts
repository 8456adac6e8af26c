import { printedWords } from '../../printed-words/index.ts';

/** What is printed with words whose letters are in disorder, or whose vowels are missing. */
export const scrambleWords = printedWords({
  en: {
    letters: 'Word scramble',
    vowels: 'Missing vowels',
    lettersRules: 'Put the letters in order.',
    vowelsRules: 'Write the missing vowels into the boxes.',
  },
  es: {
    letters: 'Letras desordenadas',
    vowels: 'Faltan las vocales',
    lettersRules: 'Ordena las letras.',
    vowelsRules: 'Escribe en las casillas las vocales que faltan.',
  },
  de: {
    letters: 'Buchstabensalat',
    vowels: 'Fehlende Vokale',
    lettersRules: 'Bringe die Buchstaben in die richtige Reihenfolge.',
    vowelsRules: 'Schreibe die fehlenden Vokale in die Kästchen.',
  },
  fr: {
    letters: 'Lettres mêlées',
    vowels: 'Voyelles manquantes',
    lettersRules: 'Remettez les lettres dans l’ordre.',
    vowelsRules: 'Écrivez dans les cases les voyelles qui manquent.',
  },
});
