declare module 'fontverter' {
  /** Packs or unpacks a font. */
  export function convert(font: Buffer, to: 'sfnt' | 'woff' | 'woff2'): Promise<Buffer>;
}

declare module 'subset-font' {
  export default function subsetFont(
    font: Buffer,
    text: null,
    options: {
      targetFormat: 'sfnt';
      keepAllGlyphs: true;
      /** Places on the axes of a variable font, by tag. */
      variationAxes: Record<string, number>;
    },
  ): Promise<Buffer>;
}
