import type { Formatting } from '../../formats.ts';
import { type Bounds, type Mark, type TextInk, type Typesetter, textInkOf } from '../../scene/index.ts';
import type { Check } from '../finding.ts';
import { pageFinding, wrapFinding } from '../finding.ts';

/** Points. Boxes of letters that touch by less look apart: a box is wider than what a round letter fills of it. */
const TOUCH = 0.6;
/** Of the smaller capitals: what a tail of one line and an accent of the next may share. Common practice, no source. */
const SHARED = 0.2;

/** How far two boxes lie in each other, in points; 0 or less when they are apart. */
const depth = (one: Bounds, other: Bounds): number =>
  Math.min(
    Math.min(one.right, other.right) - Math.max(one.left, other.left),
    Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top),
  );

/** The two texts whose letters lie in each other the furthest; null when all are apart. */
export function deepestOverlap(
  marks: readonly Mark[],
  type: Typesetter,
): { one: TextInk; other: TextInk; depth: number } | null {
  const texts = textInkOf(marks, type).sort((a, b) => a.box.top - b.box.top);
  let worst: { one: TextInk; other: TextInk; depth: number } | null = null;
  for (let i = 0; i < texts.length; i++) {
    const one = texts[i]!;
    // Sorted by their tops: what begins below the foot of one lies below it, and so do all after it.
    for (let k = i + 1; k < texts.length && texts[k]!.box.top < one.box.bottom - TOUCH; k++) {
      const other = texts[k]!;
      if (depth(one.box, other.box) <= TOUCH) continue;
      const allowed = Math.max(TOUCH, SHARED * Math.min(one.capHeight, other.capHeight));
      for (const letter of one.letters)
        for (const beside of other.letters) {
          const d = depth(letter, beside);
          if (d > allowed && d > (worst?.depth ?? 0)) worst = { one, other, depth: d };
        }
    }
  }
  return worst;
}

const quoted = ({ mark }: TextInk): string => `“${mark.text.slice(0, 30)}”`;
const said = (
  { one, other, depth: d }: NonNullable<ReturnType<typeof deepestOverlap>>,
  formats: Formatting,
): string => `${quoted(one)} and ${quoted(other)} overlap by ${formats.length(d)}.`;

/** No words are printed over other words. */
export const overlap: Check = {
  id: 'overlap',
  name: 'No overlapping text',
  ofPage({ type, formats }, seen) {
    const worst = deepestOverlap(
      seen.scene.layers.flatMap(({ marks }) => marks),
      type,
    );
    return worst
      ? [
          pageFinding(
            'overlap',
            seen,
            `${said(worst, formats)} Use fewer or shorter words, a smaller grid, or a larger trim.`,
          ),
        ]
      : [];
  },
  ofBook({ cover, type, formats }) {
    return cover.flatMap(({ scene }) => {
      const worst = deepestOverlap(
        scene.layers.flatMap(({ marks }) => marks),
        type,
      );
      return worst ? [wrapFinding('overlap', 'fix', `${said(worst, formats)} Shorten one of them.`)] : [];
    });
  },
};
