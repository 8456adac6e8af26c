declare module 'culori' {
  /** A color of CSS Color 4 in sRGB, channels from 0 to 1; undefined for what is none. */
  export function rgb(
    color: string,
  ): { r: number; g: number; b: number; alpha?: number | undefined } | undefined;
}
