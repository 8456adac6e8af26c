import type { Recipe } from '../../../book/recipe.ts';
import type { Rect } from '../../../print/index.ts';
import { type RandomStream, randomStream } from '../../../random.ts';
import { colorOfHex, IDENTITY, type Mark, pathBounds } from '../../../scene/index.ts';
import { motifs } from '../../motifs/index.ts';
import type { Panel } from '../composition.ts';

/** Share of the front's height that the motif fills, from the foot. */
const FIELD_SHARE = 0.44;
/** Figures across the front. */
const FIGURES_ACROSS = 9;
/** Figures in the row on the back. */
const FIGURES_IN_ROW = 6;

export const paletteOf = ({ style: { palette } }: Recipe) => ({
  ground: colorOfHex(palette.ground),
  accent: colorOfHex(palette.accent),
  second: colorOfHex(palette.second),
  light: colorOfHex(palette.light),
});

const streamOf = ({ seed }: Recipe, key: string): RandomStream => randomStream(seed, 'cover', key);

/** Figures of the house motif that thin out upwards, in staggered rows like a comb; they belong to the ground. */
function fieldOfFigures(recipe: Recipe, box: Rect, r: number): Mark[] {
  const { accent, second, light, ground } = paletteOf(recipe);
  const colors = [accent, accent, second, light];
  const figure = motifs[recipe.style.motif];
  const random = streamOf(recipe, 'front');
  const stepX = r * Math.sqrt(3);
  const stepY = r * 1.5;
  const marks: Mark[] = [];
  for (let row = 0; row * stepY < box.height + r; row++) {
    const height = (row * stepY) / box.height;
    const chance = height < 0.42 ? 1 : Math.max(0, 1 - (height - 0.42) / 0.58) ** 1.3;
    for (let column = -1; (column - 0.5) * stepX < box.width + stepX; column++) {
      const drawn = random.unit() < chance;
      const color = random.pick(colors);
      const x = box.x + (column + (row % 2) / 2) * stepX;
      const y = box.y + box.height - row * stepY;
      const { path, detail } = figure(x, y, r * 0.94, random);
      if (!drawn) continue;
      marks.push({ type: 'path', path, fill: color, background: true });
      if (detail)
        marks.push({
          type: 'path',
          path: detail,
          stroke: { width: Math.max(0.75, r / 14), paint: ground, cap: 'round', join: 'round' },
          background: true,
        });
    }
  }
  return marks;
}

/** The field on the front, which runs off the sheet at the foot and the outer edge, but not over the fold. */
export function figuresOnFront(recipe: Recipe, { trim }: Panel, sheet: Rect): Mark[] {
  const right = Math.min(sheet.x + sheet.width, trim.x + trim.width * 1.1);
  const top = trim.y + trim.height * (1 - FIELD_SHARE);
  const box = { x: trim.x, y: top, width: right - trim.x, height: sheet.y + sheet.height - top };
  return fieldOfFigures(recipe, box, trim.width / FIGURES_ACROSS / Math.sqrt(3)).filter(
    (mark) => mark.type !== 'path' || pathBounds(mark.path, IDENTITY).left >= trim.x - 0.01,
  );
}

/** A short row of figures above the foot of the back, from `x` on. */
export function rowOnBack(recipe: Recipe, { safe }: Panel, x: number, y: number): Mark[] {
  const { accent, second, light } = paletteOf(recipe);
  const random = streamOf(recipe, 'row');
  const r = safe.width / 34;
  const figure = motifs[recipe.style.motif];
  return Array.from({ length: FIGURES_IN_ROW }, (_, i): Mark => {
    const { path } = figure(x + r + i * r * 2.1, y, r * 0.9, random);
    return { type: 'path', path, fill: random.pick([accent, second, light]), background: true };
  });
}
