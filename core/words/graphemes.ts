/** Made when it is first needed: it takes longer than everything else of a start. */
let segmenter: Intl.Segmenter | undefined;

/** Nothing outside this range joins with its neighbor, so the quick way is also the right one. */
const PLAIN = /^[\u0020-\u02ff]*$/;

/** The letters of a text as a reader counts them (Unicode UAX #29, extended grapheme clusters). */
export function graphemes(text: string): string[] {
  if (PLAIN.test(text)) return [...text];
  segmenter ??= new Intl.Segmenter('en', { granularity: 'grapheme' });
  return Array.from(segmenter.segment(text), (part) => part.segment);
}
