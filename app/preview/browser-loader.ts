import { type ReadingTools, type ResourceLoader, ResourceTrouble } from '#core/resources/index.ts';
import { pdfReader } from './pdf-reader.ts';

/** Upright, as the server has it, at 8 bits a channel. */
const decodePicture: ReadingTools['decodePicture'] = async (bytes) => {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(new Blob([bytes as BlobPart]), { premultiplyAlpha: 'none' });
  } catch {
    throw new ResourceTrouble('is not a readable picture, or is cut off. Save it again as PNG or JPEG.');
  }
  const { width, height } = bitmap;
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  const { data } = context.getImageData(0, 0, width, height);
  const pixels = new Uint8Array(3 * width * height);
  const alpha = new Uint8Array(width * height);
  let clear = false;
  for (let i = 0, at = 0, from = 0; i < alpha.length; i++) {
    pixels[at++] = data[from++]!;
    pixels[at++] = data[from++]!;
    pixels[at++] = data[from++]!;
    alpha[i] = data[from++]!;
    clear ||= alpha[i] !== 255;
  }
  return { width, height, channels: 3, pixels, ...(clear ? { alpha } : {}) };
};

/** Reads contents from the application, which gives out the workspace's own. The browser keeps them. */
export const browserLoader: ResourceLoader = {
  // The address is the hash, and the server names contents by it.
  trusted: true,
  decodePicture,
  pdfReader,
  async load(hash) {
    let response: Response;
    try {
      response = await fetch(`/resources/${hash}`);
    } catch {
      throw new ResourceTrouble('could not be loaded: the server cannot be reached.');
    }
    if (response.status === 404) return null;
    if (!response.ok || response.redirected)
      throw new ResourceTrouble('could not be loaded. It is tried again with the next change.');
    return new Uint8Array(await response.arrayBuffer());
  },
};
