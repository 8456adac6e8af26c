import { printedWords } from '../../printed-words/index.ts';

/** What is printed on bingo cards. */
export const bingoWords = printedWords({
  en: { bingo: 'BINGO', free: 'FREE', card: 'Card {number}' },
  es: { bingo: 'BINGO', free: 'LIBRE', card: 'Cartón {number}' },
  de: { bingo: 'BINGO', free: 'FREI', card: 'Karte {number}' },
  fr: { bingo: 'BINGO', free: 'LIBRE', card: 'Carton {number}' },
});
