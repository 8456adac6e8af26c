import type { FaceId } from '../faces/index.ts';
import { graphemes } from '../words/graphemes.ts';
import type { TextMark } from './marks.ts';
import type { GlyphRun, Typesetter } from './typesetter.ts';

/**
 * Calls `each` for every glyph of a text mark with the x of its origin in points: the one place that knows how
 * running text, tracking and the letters of a grid are set, for every renderer.
 */
export function eachPlacedGlyph(
  mark: TextMark,
  type: Typesetter,
  each: (face: FaceId, glyph: number, x: number, run: GlyphRun, at: number) => void,
): void {
  if (mark.centers) {
    const { centers, face, size } = mark;
    const letters = graphemes(mark.text);
    for (let i = 0; i < letters.length; i++) {
      const { runs, width } = type.shape(letters[i]!, face);
      place(runs, centers[i]! - (width * size) / 2, size, 0, each);
    }
    return;
  }
  const { text, face, smallCaps, direction, x, size, tracking = 0 } = mark;
  place(type.shape(text, face, smallCaps, direction).runs, x, size, tracking, each);
}

function place(
  runs: GlyphRun[],
  start: number,
  size: number,
  tracking: number,
  each: (face: FaceId, glyph: number, x: number, run: GlyphRun, at: number) => void,
): void {
  let x = start;
  for (const run of runs) {
    for (let i = 0; i < run.glyphs.length; i++) {
      each(run.face, run.glyphs[i]!, x, run, i);
      x += run.advances[i]! * size + tracking;
    }
  }
}

/** Width of a line as it will be drawn, tracking included, in points. */
export function lineWidth(
  type: Typesetter,
  text: string,
  { face, size, tracking = 0, smallCaps }: Pick<TextMark, 'face' | 'size' | 'tracking' | 'smallCaps'>,
): number {
  const { width, runs } = type.shape(text, face, smallCaps);
  const glyphs = runs.reduce((sum, run) => sum + run.glyphs.length, 0);
  return width * size + Math.max(0, glyphs - 1) * tracking;
}
