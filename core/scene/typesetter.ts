import type { Font } from 'fontkit';
import type { FaceId, OwnFace } from '../faces/index.ts';
import type { Direction } from './direction.ts';
import type { KnownFace } from './known-faces.ts';
import type { Path } from './path.ts';

/** A stretch of glyphs in one face. Lengths in ems. */
export interface GlyphRun {
  face: FaceId;
  glyphs: number[];
  /** How far the pen moves after each glyph, kerning included. */
  advances: number[];
  /** The glyph's own width in the font file, which a PDF viewer moves by unless told otherwise. */
  widths: number[];
  codePoints: number[][];
}

export interface ShapedText {
  width: number;
  runs: GlyphRun[];
  /** Letters that no face has; they are drawn as the empty box of the first face. */
  missing: string[];
}

/** Ink of a glyph in ems, y upwards from the baseline. */
export interface GlyphBox {
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
}

export interface Typesetter {
  /** Takes in a face of a publisher's own, a static font that was read before. Added again, it stays for longer. */
  add(face: OwnFace, bytes: Uint8Array): void;
  /** Whether words can be set in a face: in one that ships always, in an own one once it was added. */
  has(face: FaceId): boolean;
  /**
   * The glyphs of a line from the left to the right, whichever way its words run (Unicode UAX #9).
   * @param smallCaps small letters as small capitals, where the face has them (OpenType feature smcp)
   * @param base direction of the paragraph that the line is of; if left out, that of its first letter
   */
  shape(text: string, face: FaceId, smallCaps?: boolean, base?: Direction): ShapedText;
  /** The words of lines, shaped; those that run to the left are left out. */
  words(lines: Iterable<string>, face: FaceId, smallCaps?: boolean): Record<string, ShapedText>;
  /** Keeps what another typesetter has found out of a face; what was found out here stays. */
  keep(known: KnownFace): void;
  /** Width in points, tracking left out. */
  width(text: string, face: FaceId, size: number, smallCaps?: boolean): number;
  hasSmallCaps(face: FaceId): boolean;
  box(face: FaceId, glyph: number): GlyphBox;
  /** The outline of a glyph in ems, y upwards. */
  outline(face: FaceId, glyph: number): Path;
  capHeight(face: FaceId): number;
  /** False when the license bits of the font file forbid embedding (OpenType OS/2, fsType). */
  mayEmbed(face: FaceId): boolean;
  /** The opened font, for a writer that embeds it. */
  font(face: FaceId): Font;
}
