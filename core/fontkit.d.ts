declare module 'fontkit' {
  export interface Glyph {
    id: number;
    advanceWidth: number;
    codePoints: number[];
    bbox: { minX: number; minY: number; maxX: number; maxY: number };
    path: { commands: { command: string; args: number[] }[] };
  }
  export interface Subset {
    includeGlyph(glyph: number): number;
  }
  export interface Font {
    unitsPerEm: number;
    capHeight: number;
    postscriptName: string;
    'OS/2': unknown;
    numGlyphs: number;
    familyName: string;
    subfamilyName: string;
    italicAngle: number;
    directory: { tables: Record<string, { offset: number; length: number }> };
    /** Axes by tag; empty for a static font. */
    variationAxes: Record<string, { min: number; default: number; max: number }>;
    /** Styles that the maker named, as places on the axes. */
    namedVariations: Record<string, Record<string, number>>;
    fvar: { instance: { name?: { en?: string } }[] };
    availableFeatures: string[];
    getName(key: string): string | null;
    /** The font at a place on its axes. */
    getVariation(axes: Record<string, number>): Font;
    hasGlyphForCodePoint(codePoint: number): boolean;
    glyphForCodePoint(codePoint: number): Glyph;
    layout(
      text: string,
      features?: Readonly<Record<string, boolean>>,
      script?: string,
      language?: string,
      direction?: 'ltr' | 'rtl',
    ): {
      glyphs: Glyph[];
      positions: { xAdvance: number; xOffset: number; yOffset: number }[];
    };
    getGlyph(id: number, codePoints?: number[]): Glyph;
  }
  export function create(data: Uint8Array): Font;
}
