import { printedWords } from '../../printed-words/index.ts';

/** What is printed with a cryptogram. */
export const cryptogramWords = printedWords({
  en: {
    cryptogram: 'Cryptogram',
    rules: 'Each letter stands for another one, the same all through the text. Find out what it says.',
    key: 'Key',
  },
  es: {
    cryptogram: 'Criptograma',
    rules: 'Cada letra sustituye a otra, siempre la misma en todo el texto. Descubre lo que dice.',
    key: 'Clave',
  },
  de: {
    cryptogram: 'Geheimschrift',
    rules:
      'Jeder Buchstabe steht für einen anderen, im ganzen Text für denselben. Finde heraus, was da steht.',
    key: 'Schlüssel',
  },
  fr: {
    cryptogram: 'Cryptogramme',
    rules: 'Chaque lettre en remplace une autre, la même dans tout le texte. Retrouvez ce qui est écrit.',
    key: 'Clé',
  },
});
