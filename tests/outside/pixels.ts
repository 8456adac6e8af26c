import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import sharp from 'sharp';

/** Pictures by other people's renderers, and how far two pictures lie apart. */

/** A page of a PDF as Poppler (Cairo) draws it. */
export function byPoppler(path: string, page: number, width: number): Uint8Array {
  const out = path.replace(/\.pdf$/, `-poppler-${page}`);
  const range = ['-f', String(page), '-l', String(page)];
  const size = ['-scale-to-x', String(width), '-scale-to-y', '-1'];
  execFileSync('pdftocairo', ['-png', '-singlefile', ...range, ...size, path, out]);
  return readFileSync(`${out}.png`);
}

/** A page of a PDF as MuPDF draws it. */
export function byMuPdf(path: string, page: number, width: number): Uint8Array {
  const out = path.replace(/\.pdf$/, `-mupdf-${page}.png`);
  execFileSync('mutool', ['draw', '-q', '-o', out, '-w', String(width), '-c', 'rgb', path, String(page)]);
  return readFileSync(out);
}

/** Red, green and blue of every pixel, on white. A light blur: two renderers need not agree on the pixels of an edge. */
async function pixelsOf(png: Uint8Array) {
  const { data, info } = await sharp(png)
    .flatten({ background: '#ffffff' })
    .toColourspace('srgb')
    .removeAlpha()
    .blur(1.2)
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height, channels: info.channels };
}

export interface Difference {
  /** Mean and greatest difference of a channel of a pixel, of 255. */
  mean: number;
  max: number;
  /** Mean difference of the first picture from white paper: what a blank page would be off by. */
  ink: number;
}

/** How far the second picture lies from the first. @throws Error when their sizes differ by more than a pixel */
export async function difference(first: Uint8Array, second: Uint8Array): Promise<Difference> {
  const [a, b] = await Promise.all([pixelsOf(first), pixelsOf(second)]);
  if (a.width !== b.width || Math.abs(a.height - b.height) > 1 || a.channels !== b.channels)
    throw new Error(
      `One picture is ${a.width} × ${a.height} × ${a.channels}, the other ${b.width} × ${b.height} × ${b.channels}.`,
    );
  const count = Math.min(a.data.length, b.data.length);
  let sum = 0;
  let max = 0;
  let ink = 0;
  for (let i = 0; i < count; i++) {
    const off = Math.abs(a.data[i]! - b.data[i]!);
    sum += off;
    ink += 255 - a.data[i]!;
    if (off > max) max = off;
  }
  return { mean: sum / count, max, ink: ink / count };
}

/** True when every pixel is a gray. */
export async function isGray(png: Uint8Array): Promise<boolean> {
  const { data, channels } = await pixelsOf(png);
  if (channels === 1) return true;
  for (let i = 0; i < data.length; i += channels)
    if (data[i] !== data[i + 1] || data[i] !== data[i + 2]) return false;
  return true;
}
