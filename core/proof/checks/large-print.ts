import { SIZE_ROUNDING, wordSizes } from '../../scene/index.ts';
import { type Check, pageFinding } from '../finding.ts';

/** The letters of a grid that is an answer are looked up, not read. */
const WORDS_OF_ANSWERS = /\p{Ll}\p{M}*\p{Ll}/u;

/** In a book in large print of a size, words have it. */
export const largePrint: Check = {
  id: 'large-print',
  name: 'Type as large as the brief asks',
  ofPage({ book }, seen) {
    const { largePrint: isLarge, largeType, largeAnswers } = book.recipe.style;
    if (!isLarge || !largeType || (seen.page.role === 'solutions' && !largeAnswers)) return [];
    const isAnswer = seen.page.role === 'solutions';
    const sizes = wordSizes(seen.scene)
      .filter(({ text }) => !isAnswer || WORDS_OF_ANSWERS.test(text))
      .map(({ size }) => size);
    const least = Math.min(...sizes);
    if (least >= largeType - SIZE_ROUNDING) return [];
    return [
      pageFinding(
        'large-print',
        seen,
        `some words are smaller than ${Math.ceil(least)} pt; the brief asks for ${largeType} pt or more. Put fewer on a page, give lists and clues a page of their own, shorten the words, or use a smaller grid or a larger trim.`,
        'look',
      ),
    ];
  },
};
