import { artwork, type PdfSheet, pdf, picture, type Resources } from '../../resources/index.ts';
import type { Mark, Raster } from '../../scene/index.ts';
import type { ImportedFile } from './index.ts';
import type { Given } from './placing.ts';

/** Pictures say nothing of their size: in their true size they print at what services ask of them, in dots an inch. */
export const PRINT_DPI = 300;
/** A unit of an SVG is a ninety-sixth of an inch (CSS Values and Units 3, 6.2). */
const SVG_UNIT = 72 / 96;

/** What is put on a page, with what is to be said of where it comes from. */
export interface Content extends Given {
  marks: Mark[];
  sheet: PdfSheet | null;
}

const whole = (width: number, height: number) => ({
  width,
  height,
  trim: { x: 0, y: 0, width, height },
});

const colors = new WeakMap<Raster, boolean>();

/** Whether a picture has a pixel that is no gray. Looked for once: it may have millions. */
export function isColored(raster: Raster): boolean {
  const known = colors.get(raster);
  if (known !== undefined) return known;
  const { channels, pixels } = raster;
  let colored = false;
  if (channels === 3)
    for (let i = 0; !colored && i < pixels.length; i += 3)
      colored = pixels[i] !== pixels[i + 1] || pixels[i] !== pixels[i + 2];
  colors.set(raster, colored);
  return colored;
}

/** @returns a sentence where it cannot be read */
export function contentOf(
  file: ImportedFile,
  page: number,
  resources: Resources,
): Content | { trouble: string } {
  if (file.pdf !== undefined) {
    const sheet = resources.value(pdf, file.pdf).sheet(page);
    return 'trouble' in sheet ? sheet : { ...sheet, marks: sheet.drawing.marks, sheet };
  }
  if (file.artwork !== undefined) {
    const { width, height, drawing } = resources.value(artwork, file.artwork);
    const matrix = [SVG_UNIT, 0, 0, SVG_UNIT, 0, 0] as const;
    return {
      ...whole(width * SVG_UNIT, height * SVG_UNIT),
      marks: [{ type: 'symbol', drawing, matrix }],
      sheet: null,
    };
  }
  const image = resources.value(picture, file.picture!);
  const [width, height] = [image.width, image.height].map((pixels) => (pixels * 72) / PRINT_DPI) as [
    number,
    number,
  ];
  return {
    ...whole(width, height),
    marks: [{ type: 'image', image, x: 0, y: 0, width, height }],
    sheet: null,
  };
}
