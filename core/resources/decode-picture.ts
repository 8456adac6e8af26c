import type { Raster } from '../scene/index.ts';
import { MOST_PIXELS, ResourceTrouble } from './resource.ts';

/** Gray and clear, or red, green, blue and clear: what sharp gives beside the opaque ones. */
const WITH_ALPHA = new Set([2, 4]);

/**
 * Decodes a PNG or JPEG in Node, upright, at 8 bits a channel. The size is told from the header, before any pixel is.
 * @throws ResourceTrouble for what is no such picture, is cut off, or has too many pixels
 */
export async function decodePicture(bytes: Uint8Array): Promise<Omit<Raster, 'id'>> {
  // Most books have no picture, and it takes long to begin.
  const { default: sharp } = await import('sharp');
  try {
    const image = sharp(bytes, { limitInputPixels: false, failOn: 'truncated' });
    const { format, width, height, space, orientation = 1, hasAlpha } = await image.metadata();
    if (format !== 'png' && format !== 'jpeg')
      throw new ResourceTrouble(`is a ${format} file. Save it as PNG or JPEG.`);
    if (width * height > MOST_PIXELS)
      throw new ResourceTrouble(
        `has ${width.toLocaleString('en-US')} × ${height.toLocaleString('en-US')} pixels; ${MOST_PIXELS / 1e6} million are allowed. Make it smaller.`,
      );
    const gray = space === 'b-w' || space === 'grey16';
    const { data, info } = await image
      .autoOrient()
      .toColorspace(gray ? 'b-w' : 'srgb')
      .raw({ depth: 'uchar' })
      .toBuffer({ resolveWithObject: true });
    // A PDF takes the file itself where no pixel of it would be changed.
    const asItCame = format === 'jpeg' && orientation === 1 && (gray || space === 'srgb');
    const raster = {
      width: info.width,
      height: info.height,
      ...(asItCame ? { jpeg: bytes } : {}),
    };
    const pixels = new Uint8Array(data.buffer, data.byteOffset, data.byteLength);
    if (!hasAlpha || !WITH_ALPHA.has(info.channels))
      return { ...raster, channels: info.channels === 1 ? 1 : 3, pixels };
    return { ...raster, ...splitPixels(pixels, info.channels === 2 ? 1 : 3) };
  } catch (error) {
    if (error instanceof ResourceTrouble) throw error;
    throw new ResourceTrouble('is not a readable picture, or is cut off. Save it again as PNG or JPEG.');
  }
}

/** Takes the opacity out from between the colors. */
function splitPixels(mixed: Uint8Array, channels: 1 | 3) {
  const count = mixed.length / (channels + 1);
  const pixels = new Uint8Array(count * channels);
  const alpha = new Uint8Array(count);
  for (let i = 0, at = 0, from = 0; i < count; i++) {
    for (let part = 0; part < channels; part++) pixels[at++] = mixed[from++]!;
    alpha[i] = mixed[from++]!;
  }
  return { channels, pixels, alpha };
}
