import { inflateSync } from 'node:zlib';
import * as fontkit from 'fontkit';
import { convert } from 'fontverter';
import subsetFont from 'subset-font';
import { type FontFormat, formatOf, ResourceTrouble, typeface } from '#core/resources/index.ts';
import { familyIn, styleIn } from '#core/resources/typeface/inspect.ts';
import type { Prepared } from './prepare.ts';

/** Named styles of a variable font that are made into typefaces; nobody looks through more. */
const MOST_STYLES = 40;

const tooLarge = (): ResourceTrouble =>
  new ResourceTrouble(
    `has more than ${Math.round(typeface.mostBytes / 1048576)} MB when it is unpacked. Choose another.`,
  );

/**
 * Holds the tables of a WOFF against what its directory says of their length, so that none unpacks to more (WOFF 1.0,
 * W3C, sections 4 and 5). WOFF2 needs no such look: its unpacker stops at 30 MB.
 */
function checkPacked(bytes: Buffer): void {
  let room = typeface.mostBytes;
  for (let i = 0; i < bytes.readUInt16BE(12); i++) {
    const at = 44 + 20 * i;
    const [offset, packed, length] = [4, 8, 12].map((field) => bytes.readUInt32BE(at + field)) as [
      number,
      number,
      number,
    ];
    room -= length;
    if (room < 0) throw tooLarge();
    if (packed > length) throw new RangeError('packed to more than it was');
    if (packed < length) inflateSync(bytes.subarray(offset, offset + packed), { maxOutputLength: length });
  }
}

async function unpacked(bytes: Buffer, format: FontFormat): Promise<Buffer> {
  if (format === 'truetype' || format === 'opentype') return bytes;
  try {
    if (format === 'woff') checkPacked(bytes);
    const font = await convert(bytes, 'sfnt');
    if (font.length > typeface.mostBytes) throw tooLarge();
    return font;
  } catch (error) {
    if (error instanceof ResourceTrouble) throw error;
    throw new ResourceTrouble('cannot be unpacked: it is damaged or cut off. Save it again.');
  }
}

/** Names of weights (OpenType 1.9, OS/2 table, usWeightClass). */
const WEIGHTS = {
  Thin: 100,
  ExtraLight: 200,
  Light: 300,
  Regular: 400,
  Medium: 500,
  SemiBold: 600,
  Bold: 700,
  ExtraBold: 800,
  Black: 900,
} as const;

/** The styles that the maker of a variable font named; of one without names its usual weights, or what it shows by itself. */
function stylesOf(font: fontkit.Font): [name: string, axes: Record<string, number>][] {
  const { variationAxes: axes } = font;
  const byItself = Object.fromEntries(Object.entries(axes).map(([tag, axis]) => [tag, axis.default]));
  // Fonts that were cut down for the web often lack the names that their styles point to.
  const named = font.fvar.instance.every(({ name }) => name?.en)
    ? Object.entries(font.namedVariations).slice(0, MOST_STYLES)
    : [];
  if (named.length) return named;
  const { wght } = axes;
  if (!wght) return [[styleIn(font), byItself]];
  return Object.entries(WEIGHTS)
    .filter(([, weight]) => weight >= wght.min && weight <= wght.max)
    .map(([name, weight]) => [name, { ...byItself, wght: weight }]);
}

/** Unpacks a font that was packed for the web, and makes a static one of each style of a variable one. */
export async function prepareTypeface(bytes: Buffer): Promise<Prepared[]> {
  const plain = await unpacked(bytes, formatOf(bytes));
  let font: fontkit.Font;
  try {
    font = fontkit.create(plain);
    const family = familyIn(font).replace(/ (Variable|VF)$/, '');
    if (!font.directory.tables.fvar) return [{ name: `${family} ${styleIn(font)}`, bytes: plain }];
    const prepared: Prepared[] = [];
    for (const [style, axes] of stylesOf(font)) {
      const options = { targetFormat: 'sfnt', keepAllGlyphs: true, variationAxes: axes } as const;
      prepared.push({ name: `${family} ${style}`, bytes: await subsetFont(plain, null, options) });
    }
    return prepared;
  } catch {
    throw new ResourceTrouble('is not a readable font, or is cut off. Save it again.');
  }
}
