import type { Recipe } from '../book/index.ts';
import { drawFront } from '../cover/index.ts';
import { printRules } from '../print/index.ts';
import type { Typesetter } from '../scene/index.ts';
import { parseLength } from '../units.ts';
import { sceneToSvg } from './svg.ts';

const JPEG_QUALITY = 90;

/** The e-book front as a JPEG: the front composed anew for its taller proportion. */
export async function frontJpeg(recipe: Recipe, type: Typesetter): Promise<Uint8Array> {
  const pixels = printRules(recipe.print.service, recipe.print.binding).cover.ebookFront;
  const width = parseLength(recipe.print.trim.width);
  const scene = drawFront(recipe, { width, height: (width * pixels.height) / pixels.width }, type);
  // Not before the interior is written: they take long to begin.
  const [{ Resvg }, { default: sharp }] = await Promise.all([import('@resvg/resvg-js'), import('sharp')]);
  const image = new Resvg(sceneToSvg(scene, type, pixels), { font: { loadSystemFonts: false } }).render();
  return sharp(image.pixels, { raw: { width: image.width, height: image.height, channels: 4 } })
    .removeAlpha()
    .jpeg({ quality: JPEG_QUALITY, chromaSubsampling: '4:4:4' })
    .toBuffer();
}
