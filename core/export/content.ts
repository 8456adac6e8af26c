import {
  COLOR_PLACES,
  type Color,
  eachPlacedGlyph,
  type FaceId,
  type Gradient,
  type GroupMark,
  grayOf,
  IDENTITY,
  type ImageMark,
  inside,
  isGradient,
  MATRIX_PLACES,
  type Mark,
  type Matrix,
  MITER_LIMIT,
  meanScale,
  multiply,
  type Paint,
  type Path,
  type PathMark,
  type Place,
  placesAt,
  SHEET,
  type SymbolMark,
  type TextMark,
  type Typesetter,
  walk,
} from '../scene/index.ts';
import { ByteWriter } from './byte-writer.ts';

/** A face as a content stream names it. */
export interface FaceNames {
  name: string;
  /** The two-byte code of a glyph in the file's subset of the face. */
  code(glyph: number, width: number, codePoints: number[]): number;
}

/** What a content stream names and its page must have: each call gives the name. */
export interface ContentResources {
  face(id: FaceId): FaceNames;
  /** A gradient as a pattern. @param matrix from the coordinates of the mark to those of the stream, both upwards */
  pattern(gradient: Gradient, matrix: Matrix): string;
  /** A graphics state with an opacity for fills and strokes. */
  opacity(opacity: number): string;
  image(mark: ImageMark): string;
  /**
   * Marks as a form of their own, in their own coordinates with y upwards.
   * @param faded true: put together as one
   * @param scale that it is placed at
   */
  form(marks: readonly Mark[], faded: boolean, scale: number): string;
}

const idle: ByteWriter[] = [];

const CAPS = { butt: 0, round: 1, square: 2 } as const;
const JOINS = { miter: 0, round: 1, bevel: 2 } as const;
const SPACE = 32;
const LINE_END = 10;
const ARRAY = 91;
const STRING = 60;
const STRING_END = 62;

/** The part of the graphics state that is written, to be written again only when it changes. */
interface State {
  fill: Paint | null;
  stroke: Paint | null;
  width: number;
  cap: number;
  join: number;
  limit: number;
  dash: string;
  /** Decimals of the width that was written. */
  places: number;
}

/** A stream begins after others, or where a form is placed: nothing is taken for granted. */
const UNKNOWN: State = {
  fill: null,
  stroke: null,
  width: Number.NaN,
  cap: -1,
  join: -1,
  limit: -1,
  dash: '?',
  places: -1,
};

const samePaint = (a: Paint | null, b: Paint): boolean => {
  if (a === b) return true;
  if (!a || isGradient(a) || isGradient(b)) return false;
  if ('gray' in a) return 'gray' in b && a.gray === b.gray;
  return 'rgb' in b && a.rgb[0] === b.rgb[0] && a.rgb[1] === b.rgb[1] && a.rgb[2] === b.rgb[2];
};

/** A group that holds one mark which paints every point once: fading it needs no form. */
function fadesAlone({ marks, clip }: GroupMark): boolean {
  const [only] = marks;
  if (clip || marks.length !== 1 || !only) return false;
  return only.type === 'image' || (only.type === 'path' && !(only.fill && only.stroke));
}

/**
 * Marks as a PDF content stream (ISO 32000-1 §8 and §9). y is turned numerically, so there is no flipped matrix;
 * graphics state is written only when it changes.
 * @param height of the sheet in points; 0 for a form, whose y is turned round its own origin
 * @param gray true writes every color as DeviceGray, for black interiors
 * @param scale the most that the stream as a whole is enlarged by where it is placed
 */
export function contentStream(
  marks: readonly Mark[],
  height: number,
  resources: ContentResources,
  type: Typesetter,
  gray: boolean,
  scale = 1,
): Uint8Array {
  // Forms are written while the stream that places them is: each has memory of its own, which is used again.
  const out = idle.pop() ?? new ByteWriter();
  out.clear();
  let state: State = { ...UNKNOWN };
  const saved: State[] = [];
  /** y of the mark's origin in the stream's own coordinates; groups begin anew at theirs. */
  let base = height;
  let places = placesAt(scale);
  const bases: [number, number][] = [];

  const operator = (name: string) => {
    out.text(name);
    out.byte(LINE_END);
  };
  const n = (value: number) => {
    out.number(value, places);
    out.byte(SPACE);
  };
  const save = () => {
    operator('q');
    saved.push({ ...state });
  };
  const restore = () => {
    operator('Q');
    state = saved.pop()!;
  };

  const color = (c: Color, stroking: boolean) => {
    const written = gray ? grayOf(c) : c;
    const part = (value: number) => {
      out.number(value, COLOR_PLACES);
      out.byte(SPACE);
    };
    if ('gray' in written) {
      part(written.gray);
      operator(stroking ? 'G' : 'g');
    } else {
      for (const value of written.rgb) part(value);
      operator(stroking ? 'RG' : 'rg');
    }
  };
  const paint = (wanted: Paint, stroking: boolean, place: Place) => {
    const key = stroking ? 'stroke' : 'fill';
    if (samePaint(state[key], wanted)) return;
    state[key] = wanted;
    if (!isGradient(wanted)) {
      color(wanted, stroking);
      return;
    }
    operator(stroking ? '/Pattern CS' : '/Pattern cs');
    operator(`/${resources.pattern(wanted, upwards(place.matrix, height))} ${stroking ? 'SCN' : 'scn'}`);
    // The same gradient lies elsewhere under another matrix.
    state[key] = null;
  };

  const path = ({ ops, points }: Path) => out.path(ops, points, base, places);

  const setStroke = (
    { paint: ink, width, dash, cap, join, miterLimit }: NonNullable<PathMark['stroke']>,
    place: Place,
  ) => {
    paint(ink, true, place);
    if (state.width !== width || state.places !== places) {
      n(width);
      operator('w');
      state.width = width;
      state.places = places;
    }
    const dashes = dash?.join(' ') ?? '';
    if (state.dash !== dashes) {
      out.text('[');
      for (const length of dash ?? []) n(length);
      operator('] 0 d');
      state.dash = dashes;
    }
    const c = CAPS[cap ?? 'butt'];
    if (state.cap !== c) {
      operator(`${c} J`);
      state.cap = c;
    }
    const j = JOINS[join ?? 'miter'];
    if (state.join !== j) {
      operator(`${j} j`);
      state.join = j;
    }
    const limit = miterLimit ?? MITER_LIMIT;
    if (j === 0 && state.limit !== limit) {
      n(limit);
      operator('M');
      state.limit = limit;
    }
  };

  const text = (mark: TextMark, place: Place) => {
    paint(mark.color, false, place);
    let face: FaceId | null = null;
    let names: FaceNames | null = null;
    let pen = 0;
    // Inside the array of TJ, and there inside a string of codes.
    let inArray = false;
    let inString = false;
    const flush = () => {
      if (inString) out.byte(STRING_END);
      if (inArray) operator('] TJ');
      inArray = inString = false;
    };
    operator('BT');
    const { size } = mark;
    eachPlacedGlyph(mark, type, (glyphFace, glyph, x, run, at) => {
      if (glyphFace !== face) {
        flush();
        names = resources.face(glyphFace);
        out.text(`/${names.name} `);
        n(size);
        out.text('Tf\n1 0 0 1 ');
        n(x);
        n(base - mark.y);
        operator('Tm');
        face = glyphFace;
        pen = x;
      }
      if (!inArray) {
        out.byte(ARRAY);
        inArray = true;
      }
      // TJ numbers are thousandths of the size, taken off the pen's position.
      const off = Math.round(((pen - x) / size) * 1000);
      if (off !== 0) {
        if (inString) out.byte(STRING_END);
        inString = false;
        out.number(off, 0);
        pen -= (off * size) / 1000;
      }
      if (!inString) {
        out.byte(STRING);
        inString = true;
      }
      const width = run.widths[at]!;
      out.hex4(names!.code(glyph, width, run.codePoints[at]!));
      pen += width * size;
    });
    flush();
    operator('ET');
  };

  /** The matrix of a group, from its coordinates to those round it, both with y upwards. */
  const concatenate = ([a, b, c, d, e, f]: Matrix) => {
    for (const part of [a, -b, -c, d]) {
      out.number(part, MATRIX_PLACES);
      out.byte(SPACE);
    }
    n(e);
    n(base - f);
    operator('cm');
  };
  const begin = (matrix: Matrix | undefined) => {
    save();
    bases.push([base, places]);
    if (!matrix) return;
    concatenate(matrix);
    base = 0;
  };
  const end = () => {
    restore();
    [base, places] = bases.pop()!;
  };

  const visitor = {
    path(mark: PathMark, place: Place) {
      if (mark.fill) paint(mark.fill, false, place);
      if (mark.stroke) setStroke(mark.stroke, place);
      if (!mark.fill && !mark.stroke) return;
      path(mark.path);
      const rule = mark.rule === 'evenodd' && mark.fill ? '*' : '';
      operator((mark.fill ? (mark.stroke ? 'B' : 'f') : 'S') + rule);
    },
    text,
    image(mark: ImageMark) {
      save();
      n(mark.width);
      out.text('0 0 ');
      n(mark.height);
      n(mark.x);
      n(base - mark.y - mark.height);
      operator('cm');
      operator(`/${resources.image(mark)} Do`);
      restore();
    },
    enter(group: GroupMark, place: Place) {
      begin(group.matrix);
      places = placesAt(scale * meanScale(inside(group, place).matrix));
      if (group.clip) {
        path(group.clip.path);
        operator(group.clip.rule === 'evenodd' ? 'W* n' : 'W n');
      }
      const { opacity = 1 } = group;
      if (opacity >= 1) return undefined;
      operator(`/${resources.opacity(opacity)} gs`);
      if (fadesAlone(group)) return undefined;
      const name = resources.form(group.marks, true, scale * meanScale(inside(group, place).matrix));
      // Forms have their origin where the group has its own.
      if (base !== 0) concatenate(IDENTITY);
      operator(`/${name} Do`);
      end();
      return 'taken' as const;
    },
    leave: end,
    symbol(mark: SymbolMark, place: Place) {
      begin(mark.matrix);
      const enlarged = scale * meanScale(multiply(place.matrix, mark.matrix));
      operator(`/${resources.form(mark.drawing.marks, false, enlarged)} Do`);
      end();
      return 'taken' as const;
    },
  };
  walk(marks, visitor, SHEET);
  const bytes = out.bytes().slice();
  idle.push(out);
  return bytes;
}

/** A matrix with y downwards on a sheet, as one from a mark's coordinates upwards to the stream's upwards. */
function upwards(matrix: Matrix, height: number): Matrix {
  const flip: Matrix = [1, 0, 0, -1, 0, height];
  return multiply(multiply(flip, matrix), [1, 0, 0, -1, 0, 0]);
}
