import type { Color, Raster } from '../../scene/index.ts';

/** A picture as pdf.js hands it out (its ImageKind: 1 one bit a pixel, 2 RGB, 3 RGB with opacity). */
export interface PdfPicture {
  width: number;
  height: number;
  kind?: number;
  data: Uint8Array | Uint8ClampedArray;
}

/** One bit a pixel, rows filled up to whole bytes, as 0 or 255. */
function unpackBits({ width, height, data }: PdfPicture): Uint8Array {
  const row = (width + 7) >> 3;
  const pixels = new Uint8Array(width * height);
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      pixels[at++] = ((data[y * row + (x >> 3)] ?? 0) >> (7 - (x & 7))) & 1 ? 255 : 0;
  return pixels;
}

/** Its pixels at their true number, gray where all of them are. @param id names them */
export function rasterOf(picture: PdfPicture, id: string): Raster {
  const { width, height, kind, data } = picture;
  if (kind === 1) return { id, width, height, channels: 1, pixels: unpackBits(picture) };
  const step = kind === 3 ? 4 : 3;
  const count = width * height;
  let gray = true;
  let clear = false;
  for (let i = 0, from = 0; i < count; i++, from += step) {
    gray &&= data[from] === data[from + 1] && data[from] === data[from + 2];
    clear ||= step === 4 && data[from + 3] !== 255;
    if (!gray && (clear || step === 3)) break;
  }
  const channels = gray ? 1 : 3;
  const pixels = new Uint8Array(count * channels);
  const alpha = clear ? new Uint8Array(count) : null;
  for (let i = 0, from = 0, at = 0; i < count; i++, from += step) {
    pixels[at++] = data[from]!;
    if (channels === 3) {
      pixels[at++] = data[from + 1]!;
      pixels[at++] = data[from + 2]!;
    }
    if (alpha) alpha[i] = data[from + 3]!;
  }
  return { id, width, height, channels, pixels, ...(alpha ? { alpha } : {}) };
}

/** A stencil in a color: it covers where its bits are not set. */
export function stencilOf(mask: PdfPicture, color: Color, id: string): Raster {
  const { width, height } = mask;
  const alpha = unpackBits(mask).map((bit) => 255 - bit);
  const parts = ('gray' in color ? [color.gray] : [...color.rgb]).map((part) => Math.round(part * 255));
  const pixels = new Uint8Array(width * height * parts.length);
  for (let i = 0; i < pixels.length; i++) pixels[i] = parts[i % parts.length]!;
  return { id, width, height, channels: parts.length === 1 ? 1 : 3, pixels, alpha };
}
