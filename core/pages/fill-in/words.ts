import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a fill-in. */
export const fillInWords = printedWords({
  en: {
    fillIn: 'Fill-in',
    rules: 'Put every word of the list into the grid, each of them once.',
    length: '{count} letters',
  },
  es: {
    fillIn: 'Palabras a encajar',
    rules: 'Coloca todas las palabras de la lista en la cuadrícula, cada una una sola vez.',
    length: '{count} letras',
  },
  de: {
    fillIn: 'Wörter einsetzen',
    rules: 'Setze alle Wörter der Liste in das Gitter ein, jedes genau einmal.',
    length: '{count} Buchstaben',
  },
  fr: {
    fillIn: 'Mots à placer',
    rules: 'Placez tous les mots de la liste dans la grille, chacun une seule fois.',
    length: '{count} lettres',
  },
});
