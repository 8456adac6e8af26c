import * as fontkit from 'fontkit';
import { embeddingTrouble } from '../../faces/embedding.ts';
import { ResourceTrouble } from '../resource.ts';
import type { TypefaceFacts } from './index.ts';

const BROKEN = 'is not a readable font, or is cut off. Save it again as TTF or OTF.';

/** A name from a font, fit for a line; `otherwise` where there is none. */
const said = (name: unknown, otherwise: string): string =>
  (typeof name === 'string' ? [...name.replace(/[\p{Cc}\s]+/gu, ' ').trim()].slice(0, 100).join('') : '') ||
  otherwise;

/** The family that a font belongs to (OpenType 1.9, name table, IDs 16 and 1). */
export const familyIn = (font: fontkit.Font): string =>
  said(font.getName('preferredFamily') ?? font.familyName, 'Typeface');

/** Its style within the family (IDs 17 and 2). */
export const styleIn = (font: fontkit.Font): string =>
  said(font.getName('preferredSubfamily') ?? font.subfamilyName, 'Regular');

const clamped = (value: number, min: number, max: number): number =>
  Math.min(max, Math.max(min, Math.round(value) || min));

/** Draws every glyph and sets a word, so that whatever is damaged in the font shows now and not in a book. */
function tryOut(font: fontkit.Font): void {
  for (let glyph = 0; glyph < font.numGlyphs; glyph++) {
    const { path, bbox } = font.getGlyph(glyph);
    if (path.commands.some(({ args }) => !args.every(Number.isFinite)) || Number.isNaN(bbox.minX))
      throw new Error(`glyph ${glyph}`);
  }
  font.layout('Hamburgefonstiv fi fl 0123456789');
}

/**
 * Reads what a static font says of itself (name and OS/2 tables).
 * @param thorough its glyphs are read too, which takes a second in a font of many
 * @throws ResourceTrouble for a font that is damaged, variable, without outlines, or may not be embedded
 */
export function inspectFont(bytes: Uint8Array, thorough = false): TypefaceFacts {
  let found: TypefaceFacts;
  try {
    const font = fontkit.create(bytes);
    const trouble = troubleOf(font, bytes.length);
    if (trouble) throw new ResourceTrouble(trouble);
    if (thorough) tryOut(font);
    const os2 = font['OS/2'] as { usWeightClass: number; fsSelection: { italic: boolean } };
    found = {
      family: familyIn(font),
      weight: clamped(os2.usWeightClass, 1, 1000),
      italic: Boolean(os2.fsSelection.italic) || font.italicAngle !== 0,
    };
  } catch (error) {
    if (error instanceof ResourceTrouble) throw error;
    throw new ResourceTrouble(BROKEN);
  }
  return found;
}

function troubleOf(font: fontkit.Font, bytes: number): string | null {
  const { tables } = font.directory;
  if (Object.values(tables).some(({ offset, length }) => offset + length > bytes)) return BROKEN;
  if (tables.fvar)
    return 'is a variable font. Upload it, which makes a typeface of each of its styles, or save one style.';
  if (tables.CFF2) return 'has outlines of a kind that PDF does not support (CFF2). Save it as TTF.';
  if (!tables.glyf && !tables['CFF ']) return 'has no outlines. Choose one that has.';
  if (!(font.unitsPerEm >= 16 && font.unitsPerEm <= 16_384)) return BROKEN;
  return embeddingTrouble(font);
}
