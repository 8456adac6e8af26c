declare module 'hyphen' {
  /** A function that puts a character where words may be broken. */
  export default function createHyphenator(
    patterns: unknown,
    options: { hyphenChar: string },
  ): (text: string) => string;
}

declare module 'hyphen/patterns/*' {
  const patterns: unknown;
  export default patterns;
}
