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
    hasGlyphForCodePoint(codePoint: number): boolean;
    glyphForCodePoint(codePoint: number): Glyph;
    layout(text: string): {
      glyphs: Glyph[];
      positions: { xAdvance: number; xOffset: number; yOffset: number }[];
    };
    getGlyph(id: number): Glyph;
  }
  export function create(data: Uint8Array): Font;
}
