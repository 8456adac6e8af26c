import { graphemes } from './graphemes.ts';

/** Why a word cannot go into a grid, or null with the letters it has there. */
export type GridWord = { word: string; letters: string[] } | { word: string; problem: string };

const LETTERS_ONLY = /^[\p{L}\p{M}]+$/u;
/** What a listed word may hold and the grid leaves out: spaces, hyphens, apostrophes, full stops. */
const LEFT_OUT = /[\s\-‐‑–'’.·]/gu;

/**
 * The letters a word has in a grid: capitals, composed (Unicode NFC), accents kept, spaces, hyphens and
 * apostrophes left out.
 */
export function gridWord(word: string): GridWord {
  const shown = word.normalize('NFC').trim();
  const bare = shown.replace(LEFT_OUT, '').toLocaleUpperCase('en').normalize('NFC');
  if (/\p{Extended_Pictographic}/u.test(bare))
    return { word: shown, problem: 'has a symbol or emoji in it. Use letters only.' };
  if (/\p{Nd}/u.test(bare))
    return { word: shown, problem: 'has digits in it. Write the number out or remove the word.' };
  if (!LETTERS_ONLY.test(bare)) {
    const strange = graphemes(bare).find((letter) => !LETTERS_ONLY.test(letter)) ?? '';
    return {
      word: shown,
      problem: bare ? `has “${strange}” in it, which is not a letter.` : 'has no letters.',
    };
  }
  const letters = graphemes(bare);
  if (letters.length < 2)
    return { word: shown, problem: 'is a single letter. A word to find needs at least two.' };
  return { word: shown, letters };
}
