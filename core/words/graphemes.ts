const segmenter = new Intl.Segmenter('en', { granularity: 'grapheme' });

/** Nothing outside this range joins with its neighbor, so the quick way is also the right one. */
const PLAIN = /^[\u0020-\u02ff]*$/;

/** The letters of a text as a reader counts them (Unicode UAX #29, extended grapheme clusters). */
export function graphemes(text: string): string[] {
  return PLAIN.test(text) ? [...text] : Array.from(segmenter.segment(text), (part) => part.segment);
}
