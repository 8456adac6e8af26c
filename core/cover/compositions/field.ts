import type { Recipe } from '../../book/recipe.ts';
import type { Rect } from '../../print/index.ts';
import { randomStream } from '../../random.ts';
import {
  type Color,
  colorOfHex,
  type FaceId,
  fitText,
  IDENTITY,
  type Mark,
  pathBounds,
  rectPath,
  type Typesetter,
  textLine,
} from '../../scene/index.ts';
import { motifs } from '../motifs/index.ts';
import type { Composition } from './composition.ts';

/** Share of the front's height that the motif fills, from the foot. */
const FIELD_SHARE = 0.44;
/** Share of the safe width that words may take, so that they do not stand on its edge. */
const MEASURE_SHARE = 0.97;
/** Figures across the front. */
const FIGURES_ACROSS = 9;

const palette = (recipe: Recipe) => {
  const { ground, accent, second, light } = recipe.style.palette as Record<
    'ground' | 'accent' | 'second' | 'light',
    string
  >;
  return {
    ground: colorOfHex(ground),
    accent: colorOfHex(accent),
    second: colorOfHex(second),
    light: colorOfHex(light),
  };
};

/** A field of figures that thins out upwards, in staggered rows like a comb; it belongs to the ground. */
function fieldOfFigures(recipe: Recipe, box: Rect, r: number, key: string): Mark[] {
  const { accent, second, light, ground } = palette(recipe);
  const colors = [accent, accent, second, light];
  const figure = motifs[recipe.style.motif];
  const random = randomStream(recipe.seed, 'cover', key);
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

interface Block {
  text: string;
  sourceField: string;
  face: FaceId;
  color: Color;
  most: number;
  height: number;
  lines: number;
}

/** Sets a block of centred lines from `top` and gives the y below it. */
function setBlock(
  marks: Mark[],
  block: Block,
  x: number,
  width: number,
  top: number,
  type: Typesetter,
): number {
  const fitted = fitText(
    type,
    block.text,
    block.face,
    { width, height: block.height },
    { most: block.most, least: 9, lines: block.lines, leading: 1.06 },
  );
  fitted.lines.forEach((line, i) => {
    const y = top + type.capHeight(block.face) * fitted.size + i * fitted.leading;
    const mark = textLine(
      type,
      line,
      { face: block.face, size: fitted.size, color: block.color },
      x,
      y,
      'center',
    );
    marks.push({ ...mark, sourceField: block.sourceField });
  });
  return top + type.capHeight(block.face) * fitted.size + (fitted.lines.length - 1) * fitted.leading;
}

/** Title over a field of the house motif on a plain dark ground. */
export const field: Composition = {
  name: 'Field',

  ground: (recipe, sheet) => [
    {
      type: 'path',
      path: rectPath(sheet.x, sheet.y, sheet.width, sheet.height),
      fill: palette(recipe).ground,
      background: true,
    },
  ],

  front(recipe, { trim, safe, sheet }, type) {
    const colors = palette(recipe);
    const display = recipe.style.typefaces.display;
    const middle = safe.x + safe.width / 2;
    const measure = safe.width * MEASURE_SHARE;
    const right = Math.min(sheet.x + sheet.width, trim.x + trim.width * 1.1);
    const r = trim.width / FIGURES_ACROSS / Math.sqrt(3);
    const marks = clipped(
      fieldOfFigures(
        recipe,
        {
          x: trim.x,
          y: trim.y + trim.height * (1 - FIELD_SHARE),
          width: right - trim.x,
          height: sheet.y + sheet.height - (trim.y + trim.height * (1 - FIELD_SHARE)),
        },
        r,
        'front',
      ),
      trim.x,
    );
    let y = safe.y + trim.height * 0.03;
    if (recipe.penName) {
      const penName = recipe.penName;
      y = setBlock(
        marks,
        {
          text: penName,
          sourceField: 'penName',
          face: 'alegreya-sans-medium',
          color: colors.light,
          most: trim.width / 19,
          height: 40,
          lines: 1,
        },
        middle,
        measure,
        y,
        type,
      );
    }
    y += trim.height * 0.065;
    const scale = recipe.cover.adjust.titleScale;
    y = setBlock(
      marks,
      {
        text: recipe.title,
        sourceField: 'title',
        face: display,
        color: colors.accent,
        most: (trim.width / 5.6) * scale,
        height: trim.height * 0.3,
        lines: 5,
      },
      middle,
      measure,
      y,
      type,
    );
    if (recipe.subtitle) {
      y += trim.height * 0.045;
      y = setBlock(
        marks,
        {
          text: recipe.subtitle,
          sourceField: 'subtitle',
          face: recipe.style.typefaces.text,
          color: colors.light,
          most: trim.width / 20,
          height: trim.height * 0.1,
          lines: 3,
        },
        middle,
        safe.width * 0.92,
        y,
        type,
      );
    }
    if (recipe.series) {
      y += trim.height * 0.04;
      const line = `Volume ${recipe.series.volume} of ${recipe.series.name}`;
      setBlock(
        marks,
        {
          text: line,
          sourceField: 'series',
          face: 'alegreya-sans-medium',
          color: colors.accent,
          most: trim.width / 30,
          height: 20,
          lines: 1,
        },
        middle,
        measure,
        y,
        type,
      );
    }
    return marks;
  },

  back(recipe, { safe }, keepClear, type) {
    const colors = palette(recipe);
    const marks: Mark[] = [];
    const face = recipe.style.typefaces.text;
    const blurb = recipe.cover.fields.blurb;
    const top = safe.y + safe.height * 0.1;
    const inner = { x: safe.x + safe.width * 0.05, width: safe.width * 0.9 };
    const room = keepClear.y - 60 - top;
    if (blurb) {
      const fitted = fitText(
        type,
        blurb,
        face,
        { width: inner.width, height: room },
        { most: safe.width / 21, least: 8, lines: 60, leading: 1.42 },
      );
      fitted.lines.forEach((line, i) => {
        marks.push({
          ...textLine(
            type,
            line,
            { face, size: fitted.size, color: colors.light },
            inner.x,
            top + fitted.size + i * fitted.leading,
          ),
          sourceField: 'blurb',
        });
      });
    }
    const random = randomStream(recipe.seed, 'cover', 'row');
    const r = safe.width / 34;
    const figure = motifs[recipe.style.motif];
    for (let i = 0; i < 6; i++) {
      const { path } = figure(inner.x + r + i * r * 2.1, keepClear.y - 26, r * 0.9, random);
      marks.push({
        type: 'path',
        path,
        fill: random.pick([colors.accent, colors.second, colors.light]),
        background: true,
      });
    }
    if (recipe.imprint) {
      const y = safe.y + safe.height - 4;
      const { size } = fitText(
        type,
        recipe.imprint,
        'alegreya-sans-medium',
        { width: keepClear.x - inner.x - 12, height: 24 },
        { most: 11, least: 7, lines: 1 },
      );
      marks.push({
        ...textLine(
          type,
          recipe.imprint,
          { face: 'alegreya-sans-medium', size, color: colors.light },
          inner.x,
          y,
        ),
        sourceField: 'imprint',
      });
    }
    return marks;
  },

  spine(recipe, { length, width }, type) {
    const { accent, light } = palette(recipe);
    const display = recipe.style.typefaces.display;
    const marks: Mark[] = [];
    const baseline = (size: number, face: FaceId) => width / 2 + (type.capHeight(face) * size) / 2;
    // Ascenders and descenders stay inside the strip with the capitals centred in it.
    const most = Math.min(16, width * 0.82);
    const title = fitText(
      type,
      recipe.title,
      display,
      { width: length * 0.6, height: width },
      { most, least: 7, lines: 1 },
    );
    if (!title.fits) return marks;
    marks.push({
      ...textLine(
        type,
        recipe.title,
        { face: display, size: title.size, color: accent },
        0,
        baseline(title.size, display),
      ),
      sourceField: 'title',
    });
    if (recipe.penName) {
      const face: FaceId = 'alegreya-sans-medium';
      const name = fitText(
        type,
        recipe.penName,
        face,
        { width: length * 0.35, height: width },
        { most: most * 0.85, least: 7, lines: 1 },
      );
      if (name.fits)
        marks.push({
          ...textLine(
            type,
            recipe.penName,
            { face, size: name.size, color: light },
            length,
            baseline(name.size, face),
            'right',
          ),
          sourceField: 'penName',
        });
    }
    return marks;
  },
};

/** Leaves out figures that reach over the fold onto the spine. */
const clipped = (marks: Mark[], fold: number): Mark[] =>
  marks.filter((mark) => mark.type !== 'path' || pathBounds(mark.path, IDENTITY).left >= fold - 0.01);
