import { type Bounds, pathBounds } from './bounds.ts';
import type { Mark, TextMark } from './marks.ts';
import { eachPlacedGlyph } from './placed-glyphs.ts';
import type { Typesetter } from './typesetter.ts';
import { walk } from './walk.ts';

/** A text as it lies on the sheet. */
export interface TextInk {
  mark: TextMark & { sourceField?: string };
  /** Round all of its ink. */
  box: Bounds;
  /** Of each of its letters that has ink. */
  letters: Bounds[];
  /** Points on the sheet. */
  size: number;
  /** Height of its capitals on the sheet, in points. */
  capHeight: number;
}

/** Every text of a sheet with the ink of its letters, in points of the sheet. Texts without ink are left out. */
export function textInkOf(marks: readonly Mark[], type: Typesetter): TextInk[] {
  const texts: TextInk[] = [];
  walk(marks, {
    text(mark, { matrix: [a, b, c, d, e, f] }) {
      const { size, y } = mark;
      const letters: Bounds[] = [];
      eachPlacedGlyph(mark, type, (face, glyph, x) => {
        const ink = type.box(face, glyph);
        if (ink.minX === ink.maxX) return;
        const placed = [
          ...[a * size, b * size, -c * size, -d * size],
          ...[a * x + c * y + e, b * x + d * y + f],
        ] as const;
        letters.push(pathBounds(type.outline(face, glyph), placed as never));
      });
      if (letters.length === 0) return;
      const scale = Math.sqrt(Math.abs(a * d - b * c));
      texts.push({
        mark,
        letters,
        box: {
          left: Math.min(...letters.map(({ left }) => left)),
          top: Math.min(...letters.map(({ top }) => top)),
          right: Math.max(...letters.map(({ right }) => right)),
          bottom: Math.max(...letters.map(({ bottom }) => bottom)),
        },
        size: size * scale,
        capHeight: type.capHeight(mark.face) * size * scale,
      });
    },
  });
  return texts;
}
