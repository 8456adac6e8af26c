import { luma } from './color.ts';

/** A decoded picture at its true resolution. */
export interface Raster {
  /** Names its pixels: two with the same id are the same picture (for a file, the hash of its bytes). */
  id: string;
  /** In pixels. */
  width: number;
  height: number;
  /** 1: gray; 3: red, green and blue. */
  channels: 1 | 3;
  /** Row by row, 8 bits a channel. */
  pixels: Uint8Array;
  /** Row by row, 0 (clear) to 255 (opaque); opaque if left out. */
  alpha?: Uint8Array;
  /** The JPEG file it was decoded from, where a PDF can take it as it is: baseline or progressive, gray or RGB. */
  jpeg?: Uint8Array;
}

/** A rectangle of whole pixels. */
export interface PixelRect {
  x: number;
  y: number;
  width: number;
  height: number;
}

/**
 * The part of a crop that lies in the picture, in whole pixels.
 * @throws RangeError for a crop that lies outside the picture
 */
export function cropOf(raster: Raster, crop: PixelRect | undefined): PixelRect {
  if (!crop) return { x: 0, y: 0, width: raster.width, height: raster.height };
  const x = Math.max(0, Math.round(crop.x));
  const y = Math.max(0, Math.round(crop.y));
  const right = Math.min(raster.width, Math.round(crop.x + crop.width));
  const bottom = Math.min(raster.height, Math.round(crop.y + crop.height));
  if (right <= x || bottom <= y)
    throw new RangeError(
      `A crop of ${crop.width} × ${crop.height} pixels at ${crop.x}, ${crop.y} lies outside a picture of ${raster.width} × ${raster.height}.`,
    );
  return { x, y, width: right - x, height: bottom - y };
}

/** The pixels of a part of a picture, gray where the press is. */
export function pixelsIn(
  raster: Raster,
  { x, y, width, height }: PixelRect,
  gray: boolean,
): { channels: 1 | 3; pixels: Uint8Array } {
  const from = raster.channels;
  const to = gray ? 1 : from;
  const whole = x === 0 && y === 0 && width === raster.width && height === raster.height;
  if (whole && from === to) return { channels: to, pixels: raster.pixels };
  const pixels = new Uint8Array(width * height * to);
  let at = 0;
  for (let row = y; row < y + height; row++) {
    let source = (row * raster.width + x) * from;
    if (from === to) {
      pixels.set(raster.pixels.subarray(source, source + width * from), at);
      at += width * from;
      continue;
    }
    for (let column = 0; column < width; column++, source += 3)
      pixels[at++] = Math.round(
        luma(raster.pixels[source]!, raster.pixels[source + 1]!, raster.pixels[source + 2]!),
      );
  }
  return { channels: to, pixels };
}

/** The opacity of a part of a picture, or null where all of it is opaque. */
export function alphaIn(raster: Raster, { x, y, width, height }: PixelRect): Uint8Array | null {
  const { alpha } = raster;
  if (!alpha) return null;
  if (width === raster.width && height === raster.height) return alpha;
  const part = new Uint8Array(width * height);
  for (let row = 0; row < height; row++) {
    const from = (y + row) * raster.width + x;
    part.set(alpha.subarray(from, from + width), row * width);
  }
  return part;
}
