import type { FaceId } from '../faces/index.ts';
import type { GlyphBox, ShapedText, Typesetter } from './typesetter.ts';
import { type WrittenPath, writtenPath } from './written-path.ts';

/** What was asked of one face, as plain data: what another typesetter need not open the face for. */
export interface KnownFace {
  face: FaceId;
  capHeight?: number;
  /** Words as they are set, and as they are in small capitals. */
  words: Record<string, ShapedText>;
  smallCaps: Record<string, ShapedText>;
  /** By glyph. */
  boxes: Record<number, GlyphBox>;
  outlines: Record<number, WrittenPath>;
}

interface Asked {
  lines: Set<string>;
  smallCaps: Set<string>;
  boxes: Set<number>;
  outlines: Set<number>;
  capHeight: boolean;
}

/**
 * A typesetter that does as another one, and notes what it is asked.
 * @returns with `noted`, what is known from it so far
 */
export function notingTypesetter(type: Typesetter): Typesetter & { noted(): KnownFace[] } {
  const asked = new Map<FaceId, Asked>();
  const of = (face: FaceId): Asked => {
    let found = asked.get(face);
    if (!found) {
      found = {
        lines: new Set(),
        smallCaps: new Set(),
        boxes: new Set(),
        outlines: new Set(),
        capHeight: false,
      };
      asked.set(face, found);
    }
    return found;
  };
  const note = (line: string, face: FaceId, smallCaps = false) =>
    void of(face)[smallCaps ? 'smallCaps' : 'lines'].add(line);
  const byGlyph = <T>(glyphs: Set<number>, value: (glyph: number) => T): Record<number, T> =>
    Object.fromEntries([...glyphs].map((glyph) => [glyph, value(glyph)]));
  return {
    ...type,
    shape(text, face, smallCaps, base) {
      note(text, face, smallCaps);
      return type.shape(text, face, smallCaps, base);
    },
    width(text, face, size, smallCaps) {
      note(text, face, smallCaps);
      return type.width(text, face, size, smallCaps);
    },
    box(face, glyph) {
      of(face).boxes.add(glyph);
      return type.box(face, glyph);
    },
    outline(face, glyph) {
      of(face).outlines.add(glyph);
      return type.outline(face, glyph);
    },
    capHeight(face) {
      of(face).capHeight = true;
      return type.capHeight(face);
    },
    noted: () =>
      [...asked].map(([face, { lines, smallCaps, boxes, outlines, capHeight }]) => ({
        face,
        ...(capHeight ? { capHeight: type.capHeight(face) } : {}),
        words: type.words(lines, face),
        smallCaps: type.words(smallCaps, face, true),
        boxes: byGlyph(boxes, (glyph) => type.box(face, glyph)),
        outlines: byGlyph(outlines, (glyph) => writtenPath(type.outline(face, glyph))),
      })),
  };
}
