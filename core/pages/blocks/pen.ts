import type { Rect } from '../../print/index.ts';
import {
  type Align,
  BLACK,
  buildPath,
  ellipsePath,
  type FaceId,
  linePath,
  lineWidth,
  type Mark,
  type Path,
  rectPath,
  type Typesetter,
  textLine,
} from '../../scene/index.ts';
import { points } from '../paper/settings.ts';
import type { Look } from './look.ts';

/** What blocks are drawn with. */
export interface Pen {
  type: Typesetter;
  look: Look;
  /** Half the pitch of writing lines, in points: every height is a whole number of it. */
  unit: number;
  /** Sizes of type at 6 × 9 in are multiplied by it. */
  typeScale: number;
  /** Sizes of drawn things at 6 × 9 in are multiplied by it. */
  scale: number;
  /** Of what stands beside each other nothing is narrower than it needs to be, as long as there is room for all. */
  leastWidths?: true;
  /** Names of rows that belong together are of one size. */
  evenNames?: true;
  /** Of ways to set a page, one with less that is too small to write in is better, and rows of a low page may stand in three columns. */
  bestWay?: true;
}

/** Half the pitch at 6 × 9 in, in points. */
const UNIT_AT_6X9 = points(9 / 64, 'in');
export const scaleOf = (unit: number): number => unit / UNIT_AT_6X9;

/** Nothing is set smaller, in points. */
const LEAST_TYPE = 7;
/** A width that is just enough is still that when it has been computed in another way, in points. */
const ROUNDING = 0.01;
/** Thinnest line of a service, in points. */
const HAIR = 0.75;

export const sizes = (pen: Pen) => ({
  title: pen.look.title * pen.typeScale,
  label: Math.max(LEAST_TYPE, pen.look.label * pen.typeScale),
  text: Math.max(LEAST_TYPE, pen.look.text * pen.typeScale),
  small: Math.max(LEAST_TYPE, 8 * pen.typeScale),
});

/** A number of millimeters at 6 × 9 in. */
export const size = (pen: Pen, millimeters: number): number => points(millimeters, 'mm') * pen.scale;

export interface Words {
  x: number;
  y: number;
  width?: number;
  align?: Align;
  size?: number;
  face?: FaceId;
  gray?: number;
}

const CAPITALS = 0.8;

/** How a label is written: in tracked capitals where the look has them. */
function asLabel(pen: Pen, words: string, wanted: number) {
  const { capitals } = pen.look;
  if (capitals === null) return { text: words, size: wanted, tracking: 0 };
  const small = Math.max(LEAST_TYPE, wanted * CAPITALS);
  return { text: words.toUpperCase(), size: small, tracking: small * capitals };
}

/** Width that a label takes, in points. */
export function labelWidth(pen: Pen, words: string, wanted = sizes(pen).label): number {
  const { text, size: set, tracking } = asLabel(pen, words, wanted);
  return lineWidth(pen.type, text, { face: pen.look.faces.label, size: set, tracking });
}

/** Width of words that are set as small as they may be. @param wide what they take at their own size */
const atLeastType = (wide: number, set: number): number => wide * Math.min(1, LEAST_TYPE / set) + ROUNDING;

/** The least width in which a label is drawn, in points. */
export function leastLabelWidth(pen: Pen, words: string, wanted = sizes(pen).label): number {
  return words ? atLeastType(labelWidth(pen, words, wanted), asLabel(pen, words, wanted).size) : 0;
}

/** The least width in which words are drawn, in points. */
export function leastWordsWidth(pen: Pen, text: string, set = sizes(pen).text): number {
  return text ? atLeastType(lineWidth(pen.type, text, { face: pen.look.faces.text, size: set }), set) : 0;
}

/** A label on its baseline; smaller where it would be wider than there is room, and left out where that is too small. */
export function label(pen: Pen, words: string, at: Words): Mark[] {
  const face = at.face ?? pen.look.faces.label;
  const { text, size: set, tracking } = asLabel(pen, words, at.size ?? sizes(pen).label);
  return fitted(pen, text, face, set, tracking, at);
}

/** Words as they are written, on their baseline; otherwise as labels. */
export function words(pen: Pen, text: string, at: Words): Mark[] {
  return fitted(pen, text, at.face ?? pen.look.faces.text, at.size ?? sizes(pen).text, 0, at);
}

/** A size at which a line is no wider than there is room, in points: its own one, or a smaller one in whole tenths. */
function fittingSize(wide: number, set: number, width = Infinity): number {
  return wide > width ? Math.floor(10 * set * (width / wide)) / 10 : set;
}

/** Names of rows that belong together are made smaller with the longest of them, but by no more than this share. */
const MOST_WITH_OTHERS = 0.75;

/** The size of names of rows that belong together, as `words` sets them, in points. @param width that each has */
export function namesSize(pen: Pen, names: readonly string[], width: number): number {
  const set = sizes(pen).text;
  if (!pen.evenNames) return set;
  const { text: face } = pen.look.faces;
  const all = names.map((name) =>
    fittingSize(lineWidth(pen.type, name, { face, size: set, tracking: 0 }), set, width),
  );
  return Math.max(LEAST_TYPE, Math.floor(10 * set * MOST_WITH_OTHERS) / 10, Math.min(set, ...all));
}

function fitted(pen: Pen, text: string, face: FaceId, set: number, tracking: number, at: Words): Mark[] {
  if (!text) return [];
  const fitting = fittingSize(lineWidth(pen.type, text, { face, size: set, tracking }), set, at.width);
  if (fitting < LEAST_TYPE) return [];
  const style = {
    face,
    size: fitting,
    color: at.gray === undefined ? BLACK : { gray: at.gray },
    ...(tracking ? { tracking: tracking * (fitting / set) } : {}),
  };
  return [textLine(pen.type, text, style, at.x, at.y, at.align)];
}

/** Where the baseline of a label lies whose middle is at `y`. */
export const centered = (pen: Pen, y: number, of = sizes(pen).label): number =>
  y + (pen.type.capHeight(pen.look.faces.label) * of * (pen.look.capitals === null ? 1 : CAPITALS)) / 2;

/** A line to write on. */
export function writingLine(pen: Pen, from: number, to: number, y: number): Mark {
  return writingLines(pen, from, to, [y]);
}

/** Lines to write on, one below the other. */
export function writingLines(pen: Pen, from: number, to: number, heights: readonly number[]): Mark {
  const path = buildPath(2 * heights.length);
  for (const y of heights) path.move(from, y).line(to, y);
  const { dotted, writing } = pen.look;
  return {
    type: 'path',
    path: path.done(),
    stroke: dotted
      ? { width: 1.1, paint: { gray: writing }, dash: [0.02, 3.4], cap: 'round' }
      : { width: HAIR, paint: { gray: writing } },
  };
}

/** A line of the structure of a page. */
export const rule = (
  from: readonly [number, number],
  to: readonly [number, number],
  width = 0.9,
  gray = 0,
): Mark => ({
  type: 'path',
  path: linePath(...from, ...to),
  stroke: { width, paint: { gray } },
});

export interface Boxed {
  /** Gray of the ground; none if left out. */
  fill?: number;
  /** Weight and gray of the edge; none if `weight` is 0. */
  weight?: number;
  gray?: number;
  radius?: number;
}

/** A box with the corners of the look. Its edge lies inside. */
export function boxed(pen: Pen, rect: Rect, { fill, weight = HAIR, gray = 0.3, radius }: Boxed = {}): Mark {
  const half = weight / 2;
  const inner = {
    x: rect.x + half,
    y: rect.y + half,
    width: rect.width - weight,
    height: rect.height - weight,
  };
  return {
    type: 'path',
    path: roundedRect(
      inner,
      Math.min(radius ?? pen.look.radius * pen.scale, inner.width / 2, inner.height / 2),
    ),
    ...(fill === undefined ? {} : { fill: { gray: fill } }),
    ...(weight > 0 ? { stroke: { width: weight, paint: { gray } } } : {}),
  };
}

/** A quarter of a circle as a cubic curve. */
const QUARTER = (4 / 3) * (Math.SQRT2 - 1);

export function roundedRect({ x, y, width, height }: Rect, radius: number): Path {
  if (radius <= 0) return rectPath(x, y, width, height);
  const [right, bottom, k] = [x + width, y + height, radius * (1 - QUARTER)];
  return buildPath(10)
    .move(x + radius, y)
    .line(right - radius, y)
    .curve(right - k, y, right, y + k, right, y + radius)
    .line(right, bottom - radius)
    .curve(right, bottom - k, right - k, bottom, right - radius, bottom)
    .line(x + radius, bottom)
    .curve(x + k, bottom, x, bottom - k, x, bottom - radius)
    .line(x, y + radius)
    .curve(x, y + k, x + k, y, x + radius, y)
    .close()
    .done();
}

export const circle = (
  x: number,
  y: number,
  radius: number,
  { fill, weight = 0.9, gray = 0.15 }: Boxed = {},
): Mark => ({
  type: 'path',
  path: ellipsePath(x, y, radius),
  ...(fill === undefined ? {} : { fill: { gray: fill } }),
  ...(weight > 0 ? { stroke: { width: weight, paint: { gray } } } : {}),
});

/** Edge of a box to tick, in points. */
export const checkSize = (pen: Pen): number => size(pen, 3.4);

/** A box to tick, its middle at a point. */
export function checkBox(pen: Pen, x: number, y: number, edge = checkSize(pen)): Mark {
  if (pen.look.check === 'round') return circle(x, y, edge / 2);
  const radius = pen.look.radius > 0 ? edge * 0.22 : 0;
  return boxed(
    pen,
    { x: x - edge / 2, y: y - edge / 2, width: edge, height: edge },
    { weight: 0.9, gray: 0.15, radius },
  );
}

/** A small leaf, black with a white vein, its stalk at a point. @param angle from the right, clockwise, in radians */
export function leaf(x: number, y: number, length: number, angle: number): Mark[] {
  const at = (along: number, across: number): [number, number] => [
    x + Math.cos(angle) * along - Math.sin(angle) * across,
    y + Math.sin(angle) * along + Math.cos(angle) * across,
  ];
  const wide = length * 0.21;
  const outline = buildPath(4)
    .move(x, y)
    .curve(...at(length * 0.25, wide * 1.25), ...at(length * 0.7, wide), ...at(length, 0))
    .curve(...at(length * 0.7, -wide), ...at(length * 0.25, -wide * 1.25), x, y)
    .close()
    .done();
  return [
    { type: 'path', path: outline, fill: BLACK },
    {
      type: 'path',
      path: linePath(...at(length * 0.12, 0), ...at(length * 0.78, 0)),
      stroke: { width: HAIR, paint: { gray: 1 }, cap: 'round' },
    },
  ];
}

/** A sprig from a point to the left or right: a stem with leaves on both sides. */
export function sprig(x: number, y: number, length: number, direction: 1 | -1, leafLength: number): Mark[] {
  const stem = length - leafLength * 0.8;
  const marks: Mark[] = [rule([x, y], [x + direction * stem, y], HAIR)];
  const base = direction === 1 ? 0 : Math.PI;
  // Leaves stand in turn on either side, far enough apart that paper shows between them.
  const count = Math.max(1, Math.floor(stem / (leafLength * 0.5)));
  const step = stem / count;
  for (let i = 0; i < count; i++) {
    const lean = (i % 2 ? 1 : -1) * direction * 0.72;
    marks.push(...leaf(x + direction * step * (i + 0.6), y, leafLength, base + lean));
  }
  marks.push(...leaf(x + direction * stem, y, leafLength * 0.8, base));
  return marks;
}

/** Height of the title of a block, in units. */
export const TITLE = 2;

/** The title of a block within its first units, with a remark beside it. */
export function title(pen: Pen, said: string, { x, y, width }: Rect, remark = ''): Mark[] {
  const height = TITLE * pen.unit;
  const { section, faces } = pen.look;
  const own = sizes(pen);
  if (section === 'centered') {
    const set = own.label * 1.25;
    const baseline = y + height * 0.62;
    const wide = Math.min(labelWidth(pen, said, set), width * 0.8);
    const middle = x + width / 2;
    const gap = size(pen, 3);
    const length = size(pen, 6.5);
    const room = (width - wide) / 2 - gap;
    return [
      ...label(pen, said, { x: middle, y: baseline, width: width * 0.8, align: 'center', size: set }),
      ...(room > length
        ? [
            ...sprig(middle - wide / 2 - gap, baseline - set * 0.25, length, -1, size(pen, 1.9)),
            ...sprig(middle + wide / 2 + gap, baseline - set * 0.25, length, 1, size(pen, 1.9)),
          ]
        : []),
    ];
  }
  const baseline = y + height * (section === 'rule' ? 0.55 : 0.66);
  const set = section === 'plain' ? own.label * 1.12 : own.label;
  const remarkX = x + labelWidth(pen, said, set) + size(pen, 2);
  return [
    ...label(pen, said, { x, y: baseline, width, size: set }),
    ...(remark
      ? words(pen, remark, {
          x: remarkX,
          y: baseline,
          width: x + width - remarkX,
          face: faces.note,
          size: own.small,
        })
      : []),
    ...(section === 'rule' ? [rule([x, y + height * 0.78], [x + width, y + height * 0.78])] : []),
  ];
}
