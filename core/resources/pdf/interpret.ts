import {
  type Color,
  type Mark,
  type Matrix,
  meanScale,
  multiply,
  type Path,
  type Raster,
  rectPath,
  type Stroke,
} from '../../scene/index.ts';
import { ResourceTrouble } from '../resource.ts';
import { colorOf, shadingOf } from './colors.ts';
import type { Glyphs, Operators, PdfFont, PdfGlyph } from './glyphs.ts';
import {
  type GraphicsState,
  initialState,
  inverted,
  isEven,
  isShading,
  type PdfPaint,
  type PlacedShading,
} from './graphics-state.ts';
import { outlineOf } from './outlines.ts';
import { type PdfPicture, rasterOf, stencilOf } from './pictures.ts';
import { placedGlyphs } from './text-run.ts';

/** What a page has that marks do not say: it is then taken as a picture. */
export class BeyondMarks extends Error {
  override name = 'BeyondMarks';
}

export interface PdfMarks {
  marks: Mark[];
  /** Something on it is neither black, white nor gray. */
  colored: boolean;
}

export interface Interpreted {
  ops: Readonly<Record<string, number>>;
  /** From the page's own coordinates to its sheet. */
  matrix: Matrix;
  width: number;
  height: number;
  glyphs: Glyphs;
  /** What pdf.js keeps under a name, or null. */
  find(name: string): unknown;
  /** Whether a layer is printed. */
  layerShown(properties: unknown): boolean;
  /** Begins the names of its pictures. */
  id: string;
}

/** Marks of one page; a page of letters has some five thousand. */
const MOST_MARKS = 300_000;
/** Numbers in its outlines. */
const MOST_NUMBERS = 12_000_000;
/** The thinnest line that a device can make (ISO 32000-1 §8.4.3.2) is as thin as this here, in points. */
const HAIRLINE = 0.25;
const CAPS = ['butt', 'round', 'square'] as const;
const JOINS = ['miter', 'round', 'bevel'] as const;

type Numbers = readonly number[];
type Group = { matrix?: Matrix; bbox?: readonly [number, number, number, number]; smask?: unknown };

/**
 * Turns what pdf.js read of a page (ISO 32000-1, chapters 8 and 9) into marks: outlines stay outlines, letters become
 * outlines that are drawn once, pictures keep their pixels.
 * @throws BeyondMarks for blending, soft masks, meshes, tilings and letters that clip
 * @throws ResourceTrouble for a page with too much on it
 */
export function interpret(list: Operators, page: Interpreted): PdfMarks {
  const { ops, glyphs } = page;
  const marks: Mark[] = [];
  const saved: GraphicsState[] = [];
  const hidden: boolean[] = [];
  let state = initialState(page.matrix, marks);
  let colored = false;
  let count = 0;
  let numbers = 0;
  let cutBy: 'nonzero' | 'evenodd' | null = null;

  const put = (...drawn: Mark[]) => {
    if (hidden.includes(true)) return;
    count += drawn.length;
    if (count > MOST_MARKS) throw new ResourceTrouble('has too much on it. Save it more simply.');
    state.into.push(...drawn);
  };
  const cut = (path: Path, rule: 'nonzero' | 'evenodd') => {
    const inside: Mark[] = [];
    if (!hidden.includes(true)) state.into.push({ type: 'group', clip: { path, rule }, marks: inside });
    state.into = inside;
  };
  const faded = (opacity: number, drawn: Mark[]): Mark[] =>
    opacity >= 1 || drawn.length === 0 ? drawn : [{ type: 'group', opacity, marks: drawn }];
  const seen = (paint: PdfPaint) => {
    if (paint && !isShading(paint)) colored ||= 'rgb' in paint;
    else if (paint) colored ||= paint.gradient.stops.some(({ color }) => 'rgb' in color);
  };

  /** An outline on the sheet, shaded in the coordinates of the shading. */
  const shaded = (steps: ArrayLike<number>, rule: 'nonzero' | 'evenodd', paint: PlacedShading): Mark[] => {
    const back = inverted(paint.matrix);
    if (!back) return [];
    const path = outlineOf(steps, multiply(back, state.matrix));
    const fill: Mark = { type: 'path', path, rule, fill: paint.gradient };
    return [
      {
        type: 'group',
        matrix: paint.matrix,
        ...(paint.clip ? { clip: { path: paint.clip } } : {}),
        marks: [fill],
      },
    ];
  };
  const filled = (steps: ArrayLike<number>, rule: 'nonzero' | 'evenodd') => {
    const { fill, matrix } = state;
    seen(fill);
    if (!fill) return;
    put(
      ...faded(
        state.fillOpacity,
        isShading(fill)
          ? shaded(steps, rule, fill)
          : [{ type: 'path', path: outlineOf(steps, matrix), rule, fill }],
      ),
    );
  };
  const strokeOf = (paint: Color, scale: number): Stroke => ({
    width: Math.max(state.width * scale, HAIRLINE),
    paint,
    cap: state.cap,
    join: state.join,
    miterLimit: state.miterLimit,
    ...(state.dash.some((length) => length > 0) ? { dash: state.dash.map((length) => length * scale) } : {}),
  });
  const stroked = (steps: ArrayLike<number>) => {
    const { stroke, matrix } = state;
    seen(stroke);
    if (!stroke) return;
    if (isShading(stroke)) throw new BeyondMarks('lines in several colors');
    const even = isEven(matrix);
    const scale = meanScale(matrix);
    // A line that is wider one way than the other is drawn where it was, and moved with what it is on.
    const mark: Mark = even
      ? { type: 'path', path: outlineOf(steps, matrix), stroke: strokeOf(stroke, scale) }
      : {
          type: 'group',
          matrix,
          marks: [
            {
              type: 'path',
              path: outlineOf(steps, [1, 0, 0, 1, 0, 0]),
              stroke: { ...strokeOf(stroke, 1), width: state.width || HAIRLINE / (scale || 1) },
            },
          ],
        };
    put(...faded(state.strokeOpacity, [mark]));
  };
  const painted = (op: number, steps: ArrayLike<number>) => {
    numbers += steps.length;
    if (numbers > MOST_NUMBERS) throw new ResourceTrouble('has too many curves. Save it more simply.');
    if (steps.length) PAINTERS[op]?.(steps);
    if (cutBy) cut(outlineOf(steps, state.matrix), cutBy);
    cutBy = null;
  };
  const PAINTERS: Record<number, (steps: ArrayLike<number>) => void> = {
    [ops.fill!]: (steps) => filled(steps, 'nonzero'),
    [ops.eoFill!]: (steps) => filled(steps, 'evenodd'),
    [ops.stroke!]: stroked,
    [ops.closeStroke!]: stroked,
  };
  for (const name of ['fillStroke', 'closeFillStroke', 'eoFillStroke', 'closeEOFillStroke'])
    PAINTERS[ops[name]!] = (steps) => {
      filled(steps, /eo/i.test(name) ? 'evenodd' : 'nonzero');
      stroked(steps);
    };

  /** A picture on the unit square, its top at 1. */
  const placed = (image: Raster, matrix: Matrix): Mark => ({
    type: 'group',
    matrix: multiply(matrix, [1, 0, 0, -1, 0, 1]),
    marks: [{ type: 'image', image, x: 0, y: 0, width: 1, height: 1 }],
  });
  const rasters = new Map<string, Raster>();
  const named = (name: string, make: () => Raster): Raster => {
    let raster = rasters.get(name);
    if (!raster) {
      raster = make();
      rasters.set(name, raster);
    }
    colored ||= raster.channels === 3;
    return raster;
  };
  let unnamed = 0;
  // The first part of a name counts the files that were opened.
  const nameOf = (given: unknown): string =>
    typeof given === 'string' ? given.replace(/^(g_)?d\d+_/, '$1') : `inline ${++unnamed}`;
  /** A picture by its name, or as it stands in the page. Pages of a file share those of one name. */
  const picture = (given: unknown): Raster | null => {
    const found = (typeof given === 'string' ? page.find(given) : given) as PdfPicture | null;
    if (!found?.data) return null;
    const name = nameOf(given);
    return named(name, () => rasterOf(found, `${page.id} ${name}`));
  };
  const stencil = (given: { data: unknown }): Raster | null => {
    const { data } = given;
    const found = (typeof data === 'string' ? page.find(data) : given) as PdfPicture | null;
    const { fill } = state;
    if (!found?.data || !fill) return null;
    if (isShading(fill)) throw new BeyondMarks('stencils in several colors');
    const color = 'gray' in fill ? fill.gray : fill.rgb.join(' ');
    const name = `${nameOf(data)} in ${color}`;
    return named(name, () => stencilOf(found, fill, `${page.id} ${name}`));
  };
  const pictured = (raster: Raster | null, matrices: readonly Matrix[]) => {
    if (raster)
      put(
        ...faded(
          state.fillOpacity,
          matrices.map((matrix) => placed(raster, multiply(state.matrix, matrix))),
        ),
      );
  };
  const repeated = (sx: number, kx: number, ky: number, sy: number, places: ArrayLike<number>): Matrix[] =>
    Array.from({ length: places.length / 2 }, (_, i) => [sx, kx, ky, sy, places[2 * i]!, places[2 * i + 1]!]);
  const UNIT: Matrix = [1, 0, 0, 1, 0, 0];

  const letters = (shown: readonly (PdfGlyph | number)[]) => {
    const { font, mode, fill, stroke } = state;
    if (!font) return;
    if (mode > 3) throw new BeyondMarks('letters that clip');
    const drawn: Mark[] = [];
    const fills = mode === 0 || mode === 2;
    const strokes = mode === 1 || mode === 2;
    state.pen = placedGlyphs(state, font, shown, (glyph, matrix) => {
      if (font.isType3Font) {
        const list = font.charProcOperatorList?.[glyph.operatorListId ?? ''];
        if (list && mode !== 3) within(() => run(list), multiply(matrix, font.fontMatrix ?? UNIT));
        return;
      }
      const one = (character: string, at: Matrix) => {
        const path = glyphs.outline(font, character);
        if (path.ops.length === 0) return;
        if (fills && fill && !isShading(fill))
          drawn.push({ type: 'symbol', drawing: glyphs.drawing(font, character, fill), matrix: at });
        if ((fills && isShading(fill)) || (strokes && stroke))
          drawn.push(...lettered(path, at, fills, strokes));
      };
      // A character that its font has not would be drawn as a box: nothing stands there, such as a space.
      if (!glyph.isInFont && !font.missingFile) return;
      one(glyph.fontChar, matrix);
      if (glyph.accent) {
        const { offset, fontChar } = glyph.accent;
        one(fontChar, multiply(matrix, [1, 0, 0, 1, offset.x, offset.y]));
      }
    });
    if (fills) seen(fill);
    if (strokes) seen(stroke);
    put(...faded(fills ? state.fillOpacity : state.strokeOpacity, drawn));
  };
  /** A letter that is shaded or drawn as a line. */
  const lettered = (path: Path, at: Matrix, fills: boolean, strokes: boolean): Mark[] => {
    const { fill, stroke } = state;
    const drawn: Mark[] = [];
    if (fills && isShading(fill)) {
      const back = inverted(fill.matrix);
      if (back)
        drawn.push({
          type: 'group',
          matrix: fill.matrix,
          clip: { path: movedPath(path, multiply(back, at)) },
          marks: [{ type: 'path', path: everywhere(back), fill: fill.gradient }],
        });
    }
    if (strokes && isShading(stroke)) throw new BeyondMarks('lines in several colors');
    if (strokes && stroke && !isShading(stroke))
      drawn.push({
        type: 'path',
        path: movedPath(path, at),
        stroke: strokeOf(stroke, meanScale(state.matrix)),
      });
    return drawn;
  };
  /** The whole sheet in other coordinates. */
  const everywhere = (back: Matrix): Path => movedPath(rectPath(0, 0, page.width, page.height), back);

  const save = () => {
    if (saved.length > 500) throw new ResourceTrouble('is nested too deeply. Save it more simply.');
    saved.push({ ...state });
  };
  const restore = () => {
    state = saved.pop() ?? state;
  };
  const within = (draw: () => void, matrix: Matrix) => {
    save();
    const depth = saved.length;
    state = { ...state, matrix };
    draw();
    saved.length = depth;
    restore();
  };
  const boxed = (box: ArrayLike<number>) =>
    cut(movedPath(rectPath(box[0]!, box[1]!, box[2]! - box[0]!, box[3]! - box[1]!), state.matrix), 'nonzero');
  const formed = (matrix: Matrix | null | undefined, box: ArrayLike<number> | null | undefined) => {
    save();
    if (matrix) state.matrix = multiply(state.matrix, matrix);
    state.base = state.matrix;
    if (box) boxed(box);
  };
  const shadingNamed = (name: string, matrix: Matrix): PlacedShading => {
    const found = page.find(name) as { getIR?(): readonly unknown[] } | readonly unknown[] | null;
    const described = found && 'getIR' in found && found.getIR ? found.getIR() : found;
    const shading = described ? shadingOf(described as readonly unknown[]) : null;
    if (!shading) throw new BeyondMarks('shadings');
    return { ...shading, matrix };
  };
  const pattern = (given: readonly unknown[]): PlacedShading => {
    if (given[0] !== 'Shading') throw new BeyondMarks('patterns');
    return shadingNamed(
      given[1] as string,
      multiply(state.base, (given[2] as Matrix | null) ?? [1, 0, 0, 1, 0, 0]),
    );
  };
  const textAt = (x: number, y: number) => {
    state.pen = [x, y];
    state.line = [x, y];
  };
  const SET: Record<string, (value: never) => void> = {
    LW: (value: number) => (state.width = Math.abs(value)),
    LC: (value: number) => (state.cap = CAPS[value] ?? 'butt'),
    LJ: (value: number) => (state.join = JOINS[value] ?? 'miter'),
    ML: (value: number) => (state.miterLimit = value),
    D: ([dash]: [Numbers]) => (state.dash = dash),
    Font: ([name, size]: [string, number]) => HANDLERS.setFont!([name, size] as never),
    CA: (value: number) => (state.strokeOpacity = value),
    ca: (value: number) => (state.fillOpacity = value),
    BM: (value: unknown) => {
      if (![value].flat().some((mode) => ['source-over', 'Normal', 'Compatible'].includes(String(mode))))
        throw new BeyondMarks('blending');
    },
    SMask: (value: unknown) => {
      if (value) throw new BeyondMarks('soft masks');
    },
  };

  // What each operator does; those that are not here leave no ink.
  const HANDLERS: Record<string, (args: never) => void> = {
    save,
    restore,
    transform: (matrix: Matrix) => (state.matrix = multiply(state.matrix, matrix)),
    setLineWidth: ([value]: Numbers) => SET.LW!(value as never),
    setLineCap: ([value]: Numbers) => SET.LC!(value as never),
    setLineJoin: ([value]: Numbers) => SET.LJ!(value as never),
    setMiterLimit: ([value]: Numbers) => SET.ML!(value as never),
    setDash: (given: [Numbers]) => SET.D!(given as never),
    setGState: ([given]: [readonly (readonly [string, unknown])[]]) => {
      for (const [key, value] of given) SET[key]?.(value as never);
    },
    constructPath: ([op, [steps]]: [number, readonly [ArrayLike<number> | null]]) => painted(op, steps ?? []),
    endPath: () => painted(ops.endPath!, []),
    clip: () => (cutBy = 'nonzero'),
    eoClip: () => (cutBy = 'evenodd'),
    setFillRGBColor: ([color]: [string]) => (state.fill = colorOf(color)),
    setStrokeRGBColor: ([color]: [string]) => (state.stroke = colorOf(color)),
    setFillTransparent: () => (state.fill = null),
    setStrokeTransparent: () => (state.stroke = null),
    setFillColorN: (given: readonly unknown[]) => (state.fill = pattern(given)),
    setStrokeColorN: (given: readonly unknown[]) => (state.stroke = pattern(given)),
    shadingFill: ([name]: [string]) => {
      const shading = shadingNamed(name, state.matrix);
      seen(shading);
      const back = inverted(shading.matrix);
      const fill: Mark | null = back && { type: 'path', path: everywhere(back), fill: shading.gradient };
      const clip = shading.clip ? { clip: { path: shading.clip } } : {};
      if (fill)
        put(...faded(state.fillOpacity, [{ type: 'group', matrix: shading.matrix, ...clip, marks: [fill] }]));
    },
    beginText: () => {
      state.textMatrix = UNIT;
      textAt(0, 0);
    },
    setFont: ([name, size]: [string, number]) => {
      state.font = page.find(name) as PdfFont | null;
      state.size = size;
    },
    setCharSpacing: ([value]: Numbers) => (state.letterSpace = value!),
    setWordSpacing: ([value]: Numbers) => (state.wordSpace = value!),
    setHScale: ([value]: Numbers) => (state.stretch = value! / 100),
    setLeading: ([value]: Numbers) => (state.leading = -value!),
    setTextRise: ([value]: Numbers) => (state.rise = value!),
    setTextRenderingMode: ([value]: Numbers) => (state.mode = value!),
    setTextMatrix: ([matrix]: [Matrix]) => {
      state.textMatrix = matrix;
      textAt(0, 0);
    },
    moveText: ([x, y]: Numbers) => textAt(state.line[0] + x!, state.line[1] + y!),
    setLeadingMoveText: ([x, y]: Numbers) => {
      state.leading = y!;
      textAt(state.line[0] + x!, state.line[1] + y!);
    },
    nextLine: () => textAt(state.line[0], state.line[1] + state.leading),
    showText: ([shown]: [readonly (PdfGlyph | number)[]]) => letters(shown),
    paintFormXObjectBegin: ([matrix, box]: [Matrix | null, Numbers | null]) => formed(matrix, box),
    paintFormXObjectEnd: restore,
    beginGroup: ([group]: [Group]) => {
      if (group.smask) throw new BeyondMarks('soft masks');
      formed(group.matrix, group.bbox);
      // What is in the group is put together first, then faded as one.
      const { fillOpacity } = state;
      if (fillOpacity < 1) {
        const inside: Mark[] = [];
        put({ type: 'group', opacity: fillOpacity, marks: inside });
        Object.assign(state, { into: inside, fillOpacity: 1, strokeOpacity: 1 });
      }
    },
    endGroup: restore,
    beginMarkedContent: () => hidden.push(false),
    beginMarkedContentProps: ([tag, properties]: [string, unknown]) =>
      hidden.push(tag === 'OC' && !page.layerShown(properties)),
    endMarkedContent: () => hidden.pop(),
    paintImageXObject: ([name]: [string]) => pictured(picture(name), [UNIT]),
    paintInlineImageXObject: ([image]: [PdfPicture]) => pictured(picture(image), [UNIT]),
    paintInlineImageXObjectGroup: ([image, places]: [PdfPicture, readonly { transform: Matrix }[]]) => {
      if (places.length) throw new BeyondMarks('pictures in pieces');
      pictured(picture(image), []);
    },
    paintImageXObjectRepeat: ([name, sx, sy, places]: [string, number, number, ArrayLike<number>]) =>
      pictured(picture(name), repeated(sx, 0, 0, sy, places)),
    paintImageMaskXObject: ([mask]: [PdfPicture]) => {
      seen(state.fill);
      pictured(stencil(mask), [UNIT]);
    },
    paintImageMaskXObjectRepeat: ([mask, sx, kx, ky, sy, places]: [
      PdfPicture,
      number,
      number,
      number,
      number,
      ArrayLike<number>,
    ]) => {
      seen(state.fill);
      pictured(stencil(mask), repeated(sx, kx ?? 0, ky ?? 0, sy, places));
    },
    paintImageMaskXObjectGroup: ([masks]: [readonly (PdfPicture & { transform: Matrix })[]]) => {
      seen(state.fill);
      for (const mask of masks) pictured(stencil(mask), [mask.transform]);
    },
    paintSolidColorImageMask: () => filled([0, 0, 0, 1, 1, 0, 1, 1, 1, 1, 0, 1, 4], 'nonzero'),
  };
  const byNumber = new Map(Object.entries(HANDLERS).map(([name, handler]) => [ops[name]!, handler]));
  const run = ({ fnArray, argsArray }: Operators) => {
    for (let i = 0; i < fnArray.length; i++) byNumber.get(fnArray[i]!)?.((argsArray[i] ?? []) as never);
  };
  run(list);
  return { marks, colored };
}

/** A path of ours, moved. */
function movedPath({ ops, points }: Path, [a, b, c, d, e, f]: Matrix): Path {
  const out = new Float32Array(points.length);
  for (let i = 0; i < points.length; i += 2) {
    out[i] = a * points[i]! + c * points[i + 1]! + e;
    out[i + 1] = b * points[i]! + d * points[i + 1]! + f;
  }
  return { ops, points: out };
}
