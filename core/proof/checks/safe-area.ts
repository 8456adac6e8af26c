import type { Rect } from '../../print/index.ts';
import { type Bounds, eachMark, type InkMark, markBounds } from '../../scene/index.ts';
import type { Check, Finding, ProofContext } from '../finding.ts';

/** Rounding of two decimals in a file; less than a press can show. */
const TOLERANCE = 0.02;

/** How far a box reaches beyond a rectangle, in points; 0 or less when inside. */
export function overshoot(box: Bounds, safe: Rect): number {
  return Math.max(
    safe.x - box.left,
    safe.y - box.top,
    box.right - safe.x - safe.width,
    box.bottom - safe.y - safe.height,
  );
}

const named = (mark: InkMark): string =>
  mark.type === 'text' ? `“${mark.text.slice(0, 30)}”` : mark.type === 'image' ? 'A picture' : 'A line';

/** The mark that reaches furthest out of a rectangle, of those that must stay in. */
function furthest(
  context: ProofContext,
  scene: { layers: { marks: Parameters<typeof eachMark>[0] }[] },
  safeFor: (box: Bounds) => Rect | null,
) {
  let worst = { over: 0, what: '' };
  for (const layer of scene.layers) {
    eachMark(layer.marks, (mark, { matrix, background, clip }) => {
      if (background) return;
      const box = markBounds(mark, matrix, context.type, clip);
      const safe = box && safeFor(box);
      if (!box || !safe) return;
      const over = overshoot(box, safe);
      if (over > worst.over) worst = { over, what: named(mark) };
    });
  }
  return worst.over > TOLERANCE ? worst : null;
}

export const safeArea: Check = {
  id: 'safe-area',
  name: 'Nothing but background outside the safe area',
  ofPage(context, { page, frame, scene }) {
    const worst = furthest(context, scene, () => frame.safe);
    if (!worst) return [];
    const finding: Finding = {
      check: 'safe-area',
      severity: 'fix',
      message: `Page ${page.number}: ${worst.what} extends ${context.formats.length(worst.over)} into the margin. Use fewer or smaller items, or a larger trim.`,
      place: { view: 'page', page: page.number, ...(page.section ? { section: page.section } : {}) },
    };
    return [finding];
  },
  ofBook(context) {
    return context.cover.flatMap(({ sheet, scene }): Finding[] => {
      const { spine, front, back } = sheet;
      const worst = furthest(context, scene, (box) => {
        if (spine && box.left >= spine.x - 1 && box.right <= spine.x + spine.width + 1) return null;
        const onBack = back && (!front || (box.left + box.right) / 2 < front.trim.x);
        return (onBack ? back : front!).safe;
      });
      return worst
        ? [
            {
              check: 'safe-area',
              severity: 'fix',
              message: `Wrap: ${worst.what} reaches ${context.formats.length(worst.over)} out of the safe area. Shorten it or make it smaller.`,
              place: { view: 'wrap' },
            },
          ]
        : [];
    });
  },
};
