import { bookWords, printedLanguage } from '../../../printed-words/index.ts';
import {
  beginningOf,
  type Color,
  type FaceId,
  fitText,
  type Mark,
  type Typesetter,
  textLine,
} from '../../../scene/index.ts';
import type { CoverContext, CoverLayer } from '../composition.ts';
import { paletteOf } from './figures.ts';
import type { FieldFields, FieldOptions } from './index.ts';

/** Share of the safe width that words may take, so that they do not stand on its edge. */
const MEASURE_SHARE = 0.97;
/** Between the blurb and the row of figures below it, in points. */
const ABOVE_ROW = 34;
/** Of the middle of that row above what is kept clear for the barcode. */
export const ROW_ABOVE_CLEAR = 26;

const SMALL_FACE = 'alegreya-sans-medium';

type Context = CoverContext<FieldOptions, FieldFields>;

interface Block {
  text: string;
  field: string;
  face: FaceId;
  color: Color;
  max: number;
  height: number;
  lines: number;
}

/** A block of centered lines below `top`, and the y of its last baseline. */
function block(
  { text, field, face, color, ...room }: Block,
  x: number,
  width: number,
  top: number,
  type: Typesetter,
) {
  const { size, lines, leading, direction } = fitText(
    type,
    text,
    face,
    { width, height: room.height },
    { max: room.max, min: 9, lines: room.lines, leading: 1.06 },
  );
  const first = top + type.capHeight(face) * size;
  const marks = lines.map(
    (line, i): Mark => ({
      ...textLine(type, line, { face, size, color, direction }, x, first + i * leading, 'center'),
      sourceField: field,
    }),
  );
  return { marks, end: first + (lines.length - 1) * leading };
}

/** Pen name, title, subtitle and series, one below the other from the head of the front. */
export function wordsOnFront({ recipe, options, faces, front, type }: Context): CoverLayer[] {
  const { trim, safe } = front!;
  const { accent, light } = paletteOf(recipe);
  const middle = safe.x + safe.width / 2;
  const layers: CoverLayer[] = [];
  let y = safe.y + trim.height * 0.03;
  const add = (id: string, name: string, width: number, words: Block) => {
    const { marks, end } = block(words, middle, width, y, type);
    const { field } = words;
    layers.push({ id, name, role: 'text', panel: 'front', anchor: { x: 'center', y: 'top' }, field, marks });
    y = end;
  };
  const measure = safe.width * MEASURE_SHARE;
  if (recipe.penName)
    add('front-pen-name', 'Pen name', measure, {
      text: recipe.penName,
      field: 'penName',
      face: SMALL_FACE,
      color: light,
      max: trim.width / 19,
      height: 40,
      lines: 1,
    });
  y += trim.height * 0.065;
  add('front-title', 'Title', measure, {
    text: recipe.title,
    field: 'title',
    face: faces.display,
    color: accent,
    max: ((trim.width / 5.6) * options.titleSize) / 100,
    height: trim.height * 0.3,
    lines: 5,
  });
  if (recipe.subtitle) {
    y += trim.height * 0.045;
    add('front-subtitle', 'Subtitle', safe.width * 0.92, {
      text: recipe.subtitle,
      field: 'subtitle',
      face: faces.text,
      color: light,
      max: trim.width / 20,
      height: trim.height * 0.1,
      lines: 3,
    });
  }
  if (recipe.series) {
    y += trim.height * 0.04;
    add('front-series', 'Series', measure, {
      text: bookWords(printedLanguage(recipe), 'series', {
        series: recipe.series.name,
        volume: recipe.series.volume,
      }),
      field: 'series',
      face: SMALL_FACE,
      color: accent,
      max: trim.width / 30,
      height: 20,
      lines: 1,
    });
  }
  return layers;
}

/** Where words on the back begin and how wide they are. */
export const columnOnBack = ({ safe }: NonNullable<Context['back']>) => ({
  x: safe.x + safe.width * 0.05,
  width: safe.width * 0.9,
});

/** The blurb at the head of the back, and the imprint at its foot beside the barcode. */
export function wordsOnBack({ recipe, faces, fields, back, type }: Context): CoverLayer[] {
  const { safe, clear } = back!;
  const { light } = paletteOf(recipe);
  const { x, width } = columnOnBack(back!);
  const layers: CoverLayer[] = [];
  if (fields.blurb) {
    const face = faces.text;
    const top = safe.y + safe.height * 0.1;
    const { size, lines, leading, direction } = fitText(
      type,
      fields.blurb,
      face,
      { width, height: clear.y - ROW_ABOVE_CLEAR - ABOVE_ROW - top },
      { max: safe.width / 21, min: 8, lines: 60, leading: 1.42 },
    );
    const beginning = beginningOf(direction, { x, width });
    const style = { face, size, color: light, direction };
    layers.push({
      id: 'back-blurb',
      name: 'Blurb',
      role: 'text',
      panel: 'back',
      anchor: { x: 'left', y: 'top' },
      field: 'blurb',
      marks: lines.map((line, i) => ({
        ...textLine(type, line, style, beginning.x, top + size + i * leading, beginning.align),
        sourceField: 'blurb',
      })),
    });
  }
  if (recipe.imprint) {
    const { size } = fitText(
      type,
      recipe.imprint,
      SMALL_FACE,
      { width: clear.x - x - 12, height: 24 },
      { max: 11, min: 7, lines: 1 },
    );
    const style = { face: SMALL_FACE, size, color: light } as const;
    layers.push({
      id: 'back-imprint',
      name: 'Imprint',
      role: 'text',
      panel: 'back',
      anchor: { x: 'left', y: 'bottom' },
      field: 'imprint',
      marks: [
        { ...textLine(type, recipe.imprint, style, x, safe.y + safe.height - 4), sourceField: 'imprint' },
      ],
    });
  }
  return layers;
}

/**
 * Title and pen name along the spine, where they can be read; nothing on one that is too short for its title.
 * @param smallest points; what would be smaller is left off
 */
export function wordsOnSpine({ recipe, faces, spine, type }: Context, smallest: number): CoverLayer[] {
  const { length, width, place } = spine!;
  const { accent, light } = paletteOf(recipe);
  // Ascenders and descenders stay inside the strip with the capitals centered in it.
  const max = Math.min(16, width * 0.82);
  const line = (
    words: { id: string; name: string; field: string; text: string; face: FaceId; color: Color },
    room: { share: number; max: number; end: boolean },
  ): CoverLayer | null => {
    const { id, name, field, text, face, color } = words;
    const { size, fits } = fitText(
      type,
      text,
      face,
      { width: length * room.share, height: width },
      { max: room.max, min: 7, lines: 1 },
    );
    if (!fits || size < smallest) return null;
    const baseline = width / 2 + (type.capHeight(face) * size) / 2;
    const mark = textLine(
      type,
      text,
      { face, size, color },
      room.end ? length : 0,
      baseline,
      room.end ? 'right' : 'left',
    );
    return {
      id,
      name,
      role: 'text',
      panel: 'spine',
      anchor: { x: 'center', y: room.end ? 'bottom' : 'top' },
      field,
      marks: [{ type: 'group', matrix: place, marks: [{ ...mark, sourceField: field }] }],
    };
  };
  const title = line(
    {
      id: 'spine-title',
      name: 'Title on the spine',
      field: 'title',
      text: recipe.title,
      face: faces.display,
      color: accent,
    },
    { share: 0.6, max, end: false },
  );
  if (!title) return [];
  const name =
    recipe.penName &&
    line(
      {
        id: 'spine-pen-name',
        name: 'Pen name on the spine',
        field: 'penName',
        text: recipe.penName,
        face: SMALL_FACE,
        color: light,
      },
      { share: 0.35, max: Math.max(max * 0.85, Math.min(max, smallest)), end: true },
    );
  return name ? [title, name] : [title];
}
