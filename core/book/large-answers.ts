import type { Rect } from '../print/index.ts';
import type { Mark } from '../scene/index.ts';
import type { Recipe } from './recipe.ts';

/** How much larger answers are in large print: their 9.5 pt come to more than 14. */
const LARGE = 1.5;
const ANSWER = 9.5;

export const answersScale = ({ style }: Pick<Recipe, 'style'>): number =>
  style.largePrint && style.largeAnswers ? Math.max(LARGE, (style.largeType ?? 0) / ANSWER) : 1;

/** Draws into a smaller room, and enlarges what is drawn so that it takes the whole one. */
export function enlarged(room: Rect, scale: number, draw: (room: Rect) => Mark[]): Mark[] {
  if (scale === 1) return draw(room);
  const { x, y, width, height } = room;
  const marks = draw({ x, y, width: width / scale, height: height / scale });
  return [{ type: 'group', matrix: [scale, 0, 0, scale, x * (1 - scale), y * (1 - scale)], marks }];
}

/** Where a rectangle lies for what is drawn before it is enlarged, see `enlarged`. @param room of the same corner as the whole one */
export const beforeEnlarged = (rect: Rect, { x, y }: Pick<Rect, 'x' | 'y'>, scale: number): Rect => ({
  x: x + (rect.x - x) / scale,
  y: y + (rect.y - y) / scale,
  width: rect.width / scale,
  height: rect.height / scale,
});
