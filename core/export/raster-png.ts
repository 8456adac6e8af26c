import { encode } from 'fast-png';
import { alphaIn, type PixelRect, pixelsIn, type Raster } from '../scene/index.ts';

/** A part of a picture as a PNG file, gray where the press is. */
export function rasterPng(raster: Raster, crop: PixelRect, gray: boolean): Uint8Array {
  const { channels, pixels } = pixelsIn(raster, crop, gray);
  const alpha = alphaIn(raster, crop);
  const { width, height } = crop;
  if (!alpha) return encode({ width, height, data: pixels, channels });
  const data = new Uint8Array(width * height * (channels + 1));
  for (let i = 0, at = 0; i < width * height; i++) {
    for (let part = 0; part < channels; part++) data[at++] = pixels[i * channels + part]!;
    data[at++] = alpha[i]!;
  }
  return encode({ width, height, data, channels: channels === 1 ? 2 : 4 });
}
