import { type Color, type Drawing, IDENTITY, type Path } from '../../scene/index.ts';
import { outlineOf } from './outlines.ts';

/** One character as pdf.js shows it; widths in thousandths of the size, or as the font's matrix says. */
export interface PdfGlyph {
  fontChar: string;
  width: number;
  isSpace: boolean;
  isInFont: boolean;
  accent: { fontChar: string; offset: { x: number; y: number } } | null;
  vmetric?: readonly [number, number, number] | null;
  operatorListId?: string;
}

/** Steps of a page: a number for each, and what it takes. */
export interface Operators {
  fnArray: readonly number[];
  argsArray: readonly unknown[];
}

/** A font as pdf.js hands it out. */
export interface PdfFont {
  loadedName: string;
  fontMatrix?: readonly [number, number, number, number, number, number] | null;
  /** Its file is not in the PDF. */
  missingFile?: boolean;
  vertical?: boolean;
  defaultVMetrics?: readonly [number, number, number];
  isType3Font?: boolean;
  charProcOperatorList?: Readonly<Record<string, Operators>>;
}

/** Outlines kept for a file, of all its fonts. */
const MOST_KEPT = 20_000;

/** The outlines of the letters of a file: each read once, and one drawing for each color it is set in. */
export interface Glyphs {
  /** Of a size of 1, y upwards. Empty for a space, or where there is none. */
  outline(font: PdfFont, character: string): Path;
  drawing(font: PdfFont, character: string, color: Color): Drawing;
}

/** @param find what pdf.js keeps under a name, or null */
export function glyphsOf(find: (name: string) => unknown): Glyphs {
  const outlines = new Map<string, Path>();
  const drawings = new Map<string, Drawing>();
  const outline = (font: PdfFont, character: string): Path => {
    const key = `${font.loadedName}_path_${character}`;
    let path = outlines.get(key);
    if (!path) {
      const found = find(key) as { path?: ArrayLike<number> } | ArrayLike<number> | null;
      const steps = found && 'path' in found ? found.path : (found as ArrayLike<number> | null);
      path = outlineOf(steps ?? [], IDENTITY);
      if (outlines.size >= MOST_KEPT) outlines.clear();
      outlines.set(key, path);
    }
    return path;
  };
  return {
    outline,
    drawing(font, character, color) {
      const key = `${font.loadedName} ${character} ${'gray' in color ? color.gray : color.rgb.join(' ')}`;
      let drawing = drawings.get(key);
      if (!drawing) {
        drawing = { marks: [{ type: 'path', path: outline(font, character), fill: color }] };
        if (drawings.size >= MOST_KEPT) drawings.clear();
        drawings.set(key, drawing);
      }
      return drawing;
    },
  };
}
