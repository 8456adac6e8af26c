import { eachMark, type Mark } from '../../scene/index.ts';

/** The fewest dots an inch of any picture among marks, as they print; null where there is none. */
export function leastDots(marks: readonly Mark[]): number | null {
  let least: number | null = null;
  eachMark(marks, (mark, { matrix }) => {
    if (mark.type !== 'image') return;
    const shown = mark.crop ?? mark.image;
    const across = (shown.width * 72) / (mark.width * Math.hypot(matrix[0], matrix[1]));
    const down = (shown.height * 72) / (mark.height * Math.hypot(matrix[2], matrix[3]));
    least = Math.min(least ?? Infinity, across, down);
  });
  return least;
}
