import * as fontkit from 'fontkit';
import type { ShippedFace } from '../faces/index.ts';
import type { Typesetter } from './typesetter.ts';
import { typesetterWith } from './typesetter-with.ts';

/**
 * A glyph that was first asked for as a part of another, as a period is of a colon, would have no code points for ever, and
 * text with it could not be read out of a file: it gets those that it is asked for with later.
 */
export function openFont(bytes: Uint8Array): fontkit.Font {
  const font = fontkit.create(bytes);
  const find = font.getGlyph.bind(font);
  font.getGlyph = (id, codePoints = []) => {
    const glyph = find(id, codePoints);
    if (glyph && glyph.codePoints.length === 0) glyph.codePoints = codePoints;
    return glyph;
  };
  return font;
}

/**
 * A typesetter that opens what it is given.
 * @param read gives the bytes of a face that ships; called once for each face that is used
 */
export const createTypesetter = (read: (face: ShippedFace) => Uint8Array): Typesetter =>
  typesetterWith(read, openFont);
