import { type Mark, type Matrix, meanScale, multiply, type Path } from '../../scene/index.ts';
import type { Operators, PdfGlyph } from './glyphs.ts';
import { inverted, isShading } from './graphics-state.ts';
import { movedPath } from './outlines.ts';
import { BeyondMarks, type PageSheet } from './page-sheet.ts';
import { shadedSheet, strokeOf } from './paint.ts';
import { placedGlyphs } from './text-run.ts';

/** How letters are shown (ISO 32000-1 §9.3.6): those beyond clip. */
const FILLS = [0, 2];
const STROKES = [1, 2];
const INVISIBLE = 3;

const UNIT: Matrix = [1, 0, 0, 1, 0, 0];

/**
 * Shows letters, as outlines that are drawn once for each color.
 * @param run goes through the steps of a letter that is drawn by some (Type 3)
 * @throws BeyondMarks for letters that clip
 */
export function showLetters(
  sheet: PageSheet,
  shown: readonly (PdfGlyph | number)[],
  run: (steps: Operators) => void,
): void {
  const { state, page } = sheet;
  const { font, mode, fill, stroke } = state;
  if (!font) return;
  if (mode > INVISIBLE) throw new BeyondMarks('letters that clip');
  const fills = FILLS.includes(mode);
  const strokes = STROKES.includes(mode);
  const drawn: Mark[] = [];
  const letter = (character: string, at: Matrix) => {
    const path = page.glyphs.outline(font, character);
    if (path.ops.length === 0) return;
    if (fills && fill && !isShading(fill))
      drawn.push({ type: 'symbol', drawing: page.glyphs.drawing(font, character, fill), matrix: at });
    if ((fills && isShading(fill)) || (strokes && stroke))
      drawn.push(...lettered(sheet, path, at, fills, strokes));
  };
  const pen = placedGlyphs(state, font, shown, (glyph, matrix) => {
    if (font.isType3Font) {
      const steps = font.charProcOperatorList?.[glyph.operatorListId ?? ''];
      if (steps && mode !== INVISIBLE)
        sheet.within(multiply(matrix, font.fontMatrix ?? UNIT), () => run(steps));
      return;
    }
    // A character that its font has not would be drawn as a box: nothing stands there, such as a space.
    if (!glyph.isInFont && !font.missingFile) return;
    letter(glyph.fontChar, matrix);
    if (glyph.accent) {
      const { offset, fontChar } = glyph.accent;
      letter(fontChar, multiply(matrix, [1, 0, 0, 1, offset.x, offset.y]));
    }
  });
  sheet.state.pen = pen;
  if (fills) sheet.seen(fill);
  if (strokes) sheet.seen(stroke);
  sheet.put(drawn, fills ? state.fillOpacity : state.strokeOpacity);
}

/** A letter that is shaded or drawn as a line. */
function lettered(
  { state, page }: PageSheet,
  path: Path,
  at: Matrix,
  fills: boolean,
  strokes: boolean,
): Mark[] {
  const { fill, stroke } = state;
  const drawn: Mark[] = [];
  if (fills && isShading(fill) && inverted(fill.matrix))
    drawn.push({
      type: 'group',
      clip: { path: movedPath(path, at) },
      marks: shadedSheet(page, fill),
    });
  if (strokes && isShading(stroke)) throw new BeyondMarks('lines in several colors');
  if (strokes && stroke && !isShading(stroke))
    drawn.push({
      type: 'path',
      path: movedPath(path, at),
      stroke: strokeOf(state, stroke, meanScale(state.matrix)),
    });
  return drawn;
}
