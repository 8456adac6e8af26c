import type { Rect } from '../../print/index.ts';
import { bookWords } from '../../printed-words/index.ts';
import {
  type Align,
  BLACK,
  type Color,
  type FaceId,
  fitText,
  fittedLines,
  type Mark,
  rectPath,
} from '../../scene/index.ts';
import { rule, sprig } from '../blocks/pen.ts';
import type { DrawContext } from '../kind.ts';
import { FRAMES, type FrameId } from '../ornament/frames.ts';
import type { TitlePageOptions } from './index.ts';

type Context = DrawContext<TitlePageOptions, never>;

interface Said {
  text: string;
  /** The field of the recipe that it repeats. */
  sourceField?: string;
  face: FaceId;
  color?: Color;
  max: number;
  lines?: number;
}

/** Words in a box, from its top down. @returns where they end */
function setIn(
  { type }: Context,
  { text, sourceField, face, color = BLACK, max, lines = 5 }: Said,
  { x, y, width, height }: Rect,
  align: Align = 'center',
): { marks: Mark[]; bottom: number } {
  const fitted = fitText(type, text, face, { width, height }, { max, min: 8, lines, leading: 1.14 });
  const at = align === 'left' ? x : align === 'right' ? x + width : x + width / 2;
  const baseline = y + type.capHeight(face) * fitted.size;
  const marks = fittedLines(type, fitted, { face, color }, at, baseline, align).map((line) => ({
    ...line,
    ...(sourceField ? { sourceField } : {}),
  }));
  return { marks, bottom: y + fitted.height };
}

const parts = (context: Context) => {
  const { book, options, faces, language, body, frame } = context;
  const { leastType } = frame.grid;
  const { display, text } = faces;
  const unit = Math.min(body.width, body.height) / 100;
  return {
    unit,
    title: { text: book.title, sourceField: 'title', face: display, max: 13 * unit },
    subtitle: {
      text: book.subtitle,
      sourceField: 'subtitle',
      face: text,
      max: Math.max(5 * unit, leastType),
      lines: 3,
    },
    penName: {
      text: book.penName,
      sourceField: 'penName',
      face: text,
      max: Math.max(12, 4.4 * unit, leastType),
      lines: 2,
    },
    imprint: {
      text: book.imprint,
      sourceField: 'imprint',
      face: text,
      max: Math.max(9, 3 * unit, leastType),
      lines: 1,
    },
    series:
      book.series && options.series
        ? {
            text: bookWords(language, 'series', { series: book.series.name, volume: book.series.volume }),
            face: text,
            max: Math.max(9, 3.1 * unit, leastType),
            lines: 2,
          }
        : null,
  };
};

/** Pen name and imprint at the foot. */
function foot(context: Context, box: Rect, align: Align = 'center'): Mark[] {
  const { unit, penName, imprint } = parts(context);
  const height = 8 * unit;
  return [
    ...(penName.text
      ? setIn(context, penName, { ...box, y: box.y + box.height - 15 * unit, height }, align).marks
      : []),
    ...(imprint.text
      ? setIn(context, imprint, { ...box, y: box.y + box.height - 5.5 * unit, height: 5 * unit }, align).marks
      : []),
  ];
}

/** Title, a divider and what comes after it, in the upper part of a box. */
function head(
  context: Context,
  box: Rect,
  divider: (y: number) => { marks: Mark[]; height: number },
): Mark[] {
  const { unit, title, subtitle, series } = parts(context);
  const set = setIn(context, title, { ...box, height: box.height * 0.45 });
  const marks = [...set.marks];
  let y = set.bottom + 4 * unit;
  const between = divider(y);
  marks.push(...between.marks);
  y += between.height + 5.5 * unit;
  if (subtitle.text) {
    const below = setIn(context, subtitle, { ...box, y, height: box.height * 0.22 });
    marks.push(...below.marks);
    y = below.bottom + 4 * unit;
  }
  if (series) marks.push(...setIn(context, series, { ...box, y, height: 10 * unit }).marks);
  return marks;
}

/** The words of the page within a frame. */
const framed =
  (frame: FrameId) =>
  (context: Context): Mark[] => {
    const { body } = context;
    const { marks, inside } = FRAMES[frame](body);
    const { unit } = parts(context);
    const box = { ...inside, y: inside.y + inside.height * 0.14, height: inside.height * 0.6 };
    const middle = inside.x + inside.width / 2;
    return [
      ...marks,
      ...head(context, box, (y) => ({
        marks: [rule([middle - 9 * unit, y], [middle + 9 * unit, y], 1)],
        height: 1,
      })),
      ...foot(context, { ...inside, height: inside.height - 2 * unit }),
    ];
  };

/** Between two pairs of lines, as on old books. */
function lines(context: Context): Mark[] {
  const { body } = context;
  const { unit, title, subtitle, series } = parts(context);
  const right = body.x + body.width;
  const pair = (y: number, down: 1 | -1): Mark[] => [
    rule([body.x, y], [right, y], 2.2),
    rule([body.x, y + down * 4], [right, y + down * 4], 0.75),
  ];
  const top = body.y + body.height * 0.1;
  const box = { ...body, y: top + 9 * unit };
  const set = setIn(context, { ...title, max: 15 * unit }, { ...box, height: body.height * 0.34 });
  const below = subtitle.text
    ? setIn(context, subtitle, { ...box, y: set.bottom + 6 * unit, height: body.height * 0.14 })
    : { marks: [], bottom: set.bottom };
  const bottom = below.bottom + 9 * unit;
  return [
    ...pair(top, 1),
    ...set.marks,
    ...below.marks,
    ...pair(bottom, -1),
    ...(series ? setIn(context, series, { ...box, y: bottom + 6 * unit, height: 10 * unit }).marks : []),
    ...foot(context, body),
  ];
}

/** Set from the left, with a bar beside the title. */
function left(context: Context): Mark[] {
  const { body } = context;
  const { unit, title, subtitle, series } = parts(context);
  const box = { ...body, x: body.x + 6.5 * unit, width: body.width - 6.5 * unit };
  const top = body.y + body.height * 0.18;
  const set = setIn(
    context,
    { ...title, max: 14 * unit },
    { ...box, y: top, height: body.height * 0.36 },
    'left',
  );
  const marks = [...set.marks];
  let y = set.bottom + 4 * unit;
  if (subtitle.text) {
    const below = setIn(context, subtitle, { ...box, y, height: body.height * 0.16 }, 'left');
    marks.push(...below.marks);
    y = below.bottom + 4 * unit;
  }
  const bar: Mark = {
    type: 'path',
    path: rectPath(body.x + 1, top, 2.2 * unit, y - 4 * unit - top),
    fill: BLACK,
  };
  return [
    bar,
    ...marks,
    ...(series ? setIn(context, series, { ...box, y, height: 10 * unit }, 'left').marks : []),
    ...foot(context, box, 'left'),
  ];
}

/** The title in white on a black band. */
function band(context: Context): Mark[] {
  const { body, type } = context;
  const { unit, title, subtitle, series } = parts(context);
  const box = { ...body, x: body.x + 7 * unit, width: body.width - 14 * unit };
  const top = body.y + body.height * 0.2;
  const white = { ...title, color: { gray: 1 }, max: 12 * unit };
  const fitted = setIn(context, white, { ...box, y: top + 9 * unit, height: body.height * 0.3 });
  const descent = type.capHeight(title.face) * 3 * unit;
  const bottom = fitted.bottom + 7 * unit + descent;
  const below = { ...box, y: bottom + 7 * unit };
  const set = subtitle.text
    ? setIn(context, subtitle, { ...below, height: body.height * 0.16 })
    : { marks: [], bottom };
  return [
    {
      type: 'path',
      path: rectPath(body.x + 1, top, body.width - 2, bottom - top),
      fill: BLACK,
    },
    ...fitted.marks,
    ...set.marks,
    ...(series ? setIn(context, series, { ...box, y: set.bottom + 5 * unit, height: 10 * unit }).marks : []),
    ...foot(context, body),
  ];
}

/** Between two sprigs. */
function sprigs(context: Context): Mark[] {
  const { body } = context;
  const { unit } = parts(context);
  const middle = body.x + body.width / 2;
  const pair = (y: number, length: number): Mark[] => [
    ...sprig(middle - 1.5 * unit, y, length, -1, 3 * unit),
    ...sprig(middle + 1.5 * unit, y, length, 1, 3 * unit),
  ];
  const top = body.y + body.height * 0.12;
  return [
    ...pair(top, 26 * unit),
    ...head(
      context,
      {
        ...body,
        x: body.x + 4 * unit,
        width: body.width - 8 * unit,
        y: top + 10 * unit,
        height: body.height * 0.6,
      },
      (y) => ({ marks: pair(y + 2 * unit, 15 * unit), height: 4 * unit }),
    ),
    ...foot(context, body),
  ];
}

/** How a title page is drawn besides the plain one. */
export const TITLE_DESIGNS: Readonly<Record<string, (context: Context) => Mark[]>> = {
  lines,
  left,
  band,
  sprigs,
  frame: framed('double'),
  rounded: framed('rounded'),
  notched: framed('notched'),
  corners: framed('corners'),
};
