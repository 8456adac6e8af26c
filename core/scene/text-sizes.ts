import type { Scene } from './marks.ts';
import { meanScale } from './matrix.ts';
import { eachMark } from './measure.ts';

/** Two decimals in a file are rounded: what is so little below a size, in points, has it. */
export const SIZE_ROUNDING = 0.01;

/** Every text of a drawing with the size that it is seen in, in points, in the order in which they are drawn. */
export function textSizes({ layers }: Pick<Scene, 'layers'>): { text: string; size: number }[] {
  const texts: { text: string; size: number }[] = [];
  for (const { marks } of layers)
    eachMark(marks, (mark, { matrix }) => {
      if (mark.type === 'text') texts.push({ text: mark.text, size: mark.size * meanScale(matrix) });
    });
  return texts;
}

/** Words, and rows of letters; figures and single letters in cells are as large as those. */
const WORDS = /\p{L}\p{M}*\p{L}/u;

/** As `textSizes`, of words alone. */
export const wordSizes = (scene: Pick<Scene, 'layers'>): ReturnType<typeof textSizes> =>
  textSizes(scene).filter(({ text }) => WORDS.test(text));
