import { ResourceTrouble } from '../resource.ts';

export type FontFormat = 'truetype' | 'opentype' | 'woff' | 'woff2';

/** By the first four bytes (OpenType 1.9, “Organization of an OpenType Font”; WOFF 1.0 and 2.0 of the W3C). */
const FORMATS: Record<string, FontFormat> = {
  '\0\x01\0\0': 'truetype',
  true: 'truetype',
  OTTO: 'opentype',
  wOFF: 'woff',
  wOF2: 'woff2',
};

/** What kind of font file it is. @throws ResourceTrouble for one that is none, or several fonts in one file */
export function formatOf(bytes: Uint8Array): FontFormat {
  const start = String.fromCharCode(...bytes.subarray(0, 4));
  if (start === 'ttcf')
    throw new ResourceTrouble('is a collection of fonts. Save each font as its own file.');
  const format = FORMATS[start];
  if (!format) throw new ResourceTrouble('is not a font. TTF, OTF, WOFF and WOFF2 can be read.');
  return format;
}
