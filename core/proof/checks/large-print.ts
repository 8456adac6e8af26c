import { textSizes } from '../../scene/index.ts';
import { type Check, pageFinding } from '../finding.ts';

/** Two decimals in a file are rounded. */
const ROUNDING = 0.01;
/** Words, and rows of letters; figures and single letters in cells are as large as those. */
const WORDS = /\p{L}\p{M}*\p{L}/u;
/** The letters of a grid that is an answer are looked up, not read. */
const WORDS_OF_ANSWERS = /\p{Ll}\p{M}*\p{Ll}/u;

/** In a book in large print of a size, words have it. */
export const largePrint: Check = {
  id: 'large-print',
  name: 'Type as large as the brief asks',
  ofPage({ book }, seen) {
    const { largePrint: isLarge, largeType, largeAnswers } = book.recipe.style;
    if (!isLarge || !largeType || (seen.page.role === 'solutions' && !largeAnswers)) return [];
    const words = seen.page.role === 'solutions' ? WORDS_OF_ANSWERS : WORDS;
    const sizes = textSizes(seen.scene)
      .filter(({ text }) => words.test(text))
      .map(({ size }) => size);
    const least = Math.min(...sizes);
    if (least >= largeType - ROUNDING) return [];
    return [
      pageFinding(
        'large-print',
        seen,
        `some words are smaller than ${Math.ceil(least)} pt; the brief asks for ${largeType} pt or more. Put fewer on a page, shorten the words, or use a smaller grid or a larger trim.`,
        'look',
      ),
    ];
  },
};
