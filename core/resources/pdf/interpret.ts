import { type Mark, type Matrix, multiply, rectPath } from '../../scene/index.ts';
import { ResourceTrouble } from '../resource.ts';
import { colorOf } from './colors.ts';
import type { Operators, PdfFont, PdfGlyph } from './glyphs.ts';
import type { PlacedShading } from './graphics-state.ts';
import { showLetters } from './letters.ts';
import { movedPath, outlineOf } from './outlines.ts';
import { picturesOn } from './page-pictures.ts';
import { BeyondMarks, type OpenedPage, openSheet, type PageSheet, shadingNamed } from './page-sheet.ts';
import { fillPath, shadedSheet, strokePath } from './paint.ts';
import type { PdfPicture } from './pictures.ts';

/** Numbers in the outlines of a page. */
const MOST_NUMBERS = 12_000_000;
const CAPS = ['butt', 'round', 'square'] as const;
const JOINS = ['miter', 'round', 'bevel'] as const;
const UNIT: Matrix = [1, 0, 0, 1, 0, 0];
const UNIT_SQUARE = [0, 0, 0, 1, 1, 0, 1, 1, 1, 1, 0, 1, 4];

type Numbers = readonly number[];
type Box = ArrayLike<number> | null | undefined;
type Group = { matrix?: Matrix; bbox?: Box; smask?: unknown };
/** What an operator does, by its name in pdf.js, with what it takes. */
type Handlers = Record<string, (args: never) => void>;

/**
 * Turns what pdf.js read of a page (ISO 32000-1, chapters 8 and 9) into marks: outlines stay outlines, letters become
 * outlines that are drawn once, pictures keep their pixels.
 * @throws BeyondMarks for blending, soft masks, meshes, tilings and letters that clip
 * @throws ResourceTrouble for a page with too much on it
 */
export function interpret(steps: Operators, page: OpenedPage): Pick<PageSheet, 'marks' | 'colored'> {
  const sheet = openSheet(page);
  const run = ({ fnArray, argsArray }: Operators) => {
    for (let i = 0; i < fnArray.length; i++) byNumber.get(fnArray[i]!)?.((argsArray[i] ?? []) as never);
  };
  // Operators that are in none of these leave no ink.
  const handlers = {
    ...stateOf(sheet),
    ...pathsOf(sheet),
    ...textOf(sheet, run),
    ...partsOf(sheet),
    ...picturesOf(sheet),
  };
  const byNumber = new Map(Object.entries(handlers).map(([name, handler]) => [page.ops[name]!, handler]));
  run(steps);
  return sheet;
}

/** The graphics state, but for text (ISO 32000-1 §8.4). */
function stateOf(sheet: PageSheet): Handlers {
  const set: Handlers = {
    LW: (value: number) => (sheet.state.width = Math.abs(value)),
    LC: (value: number) => (sheet.state.cap = CAPS[value] ?? 'butt'),
    LJ: (value: number) => (sheet.state.join = JOINS[value] ?? 'miter'),
    ML: (value: number) => (sheet.state.miterLimit = value),
    D: ([dash]: [Numbers]) => (sheet.state.dash = dash),
    Font: (given: [string, number]) => setFont(sheet, given),
    CA: (value: number) => (sheet.state.strokeOpacity = value),
    ca: (value: number) => (sheet.state.fillOpacity = value),
    BM: (value: unknown) => {
      if (![value].flat().some((mode) => ['source-over', 'Normal', 'Compatible'].includes(String(mode))))
        throw new BeyondMarks('blending');
    },
    SMask: (value: unknown) => {
      if (value) throw new BeyondMarks('soft masks');
    },
  };
  const pattern = ([sort, name, matrix]: readonly unknown[]): PlacedShading => {
    if (sort !== 'Shading') throw new BeyondMarks('patterns');
    return shadingNamed(
      sheet.page,
      name as string,
      multiply(sheet.state.base, (matrix as Matrix | null) ?? UNIT),
    );
  };
  return {
    save: () => sheet.save(),
    restore: () => sheet.restore(),
    transform: (matrix: Matrix) => (sheet.state.matrix = multiply(sheet.state.matrix, matrix)),
    setLineWidth: ([value]: Numbers) => set.LW!(value as never),
    setLineCap: ([value]: Numbers) => set.LC!(value as never),
    setLineJoin: ([value]: Numbers) => set.LJ!(value as never),
    setMiterLimit: ([value]: Numbers) => set.ML!(value as never),
    setDash: (given: [Numbers]) => set.D!(given as never),
    setGState: ([given]: [readonly (readonly [string, unknown])[]]) => {
      for (const [key, value] of given) set[key]?.(value as never);
    },
    setFillRGBColor: ([color]: [string]) => (sheet.state.fill = colorOf(color)),
    setStrokeRGBColor: ([color]: [string]) => (sheet.state.stroke = colorOf(color)),
    setFillTransparent: () => (sheet.state.fill = null),
    setStrokeTransparent: () => (sheet.state.stroke = null),
    setFillColorN: (given: readonly unknown[]) => (sheet.state.fill = pattern(given)),
    setStrokeColorN: (given: readonly unknown[]) => (sheet.state.stroke = pattern(given)),
  };
}

/** Paths, filled, drawn and cut by (ISO 32000-1 §8.5). */
function pathsOf(sheet: PageSheet): Handlers {
  const { ops } = sheet.page;
  let numbers = 0;
  let cutBy: 'nonzero' | 'evenodd' | null = null;
  const fills: Record<number, 'nonzero' | 'evenodd'> = {
    [ops.fill!]: 'nonzero',
    [ops.eoFill!]: 'evenodd',
    [ops.fillStroke!]: 'nonzero',
    [ops.closeFillStroke!]: 'nonzero',
    [ops.eoFillStroke!]: 'evenodd',
    [ops.closeEOFillStroke!]: 'evenodd',
  };
  const strokes = [
    'stroke',
    'closeStroke',
    'fillStroke',
    'closeFillStroke',
    'eoFillStroke',
    'closeEOFillStroke',
  ];
  const stroking = new Set(strokes.map((name) => ops[name]!));
  const painted = (op: number, steps: ArrayLike<number>) => {
    numbers += steps.length;
    if (numbers > MOST_NUMBERS) throw new ResourceTrouble('has too many curves. Save it more simply.');
    if (steps.length && fills[op]) fillPath(sheet, steps, fills[op]);
    if (steps.length && stroking.has(op)) strokePath(sheet, steps);
    // A path cuts what comes after it, and not itself.
    if (cutBy) sheet.cut(outlineOf(steps, sheet.state.matrix), cutBy);
    cutBy = null;
  };
  return {
    constructPath: ([op, [steps]]: [number, readonly [ArrayLike<number> | null]]) => painted(op, steps ?? []),
    endPath: () => painted(ops.endPath!, []),
    clip: () => (cutBy = 'nonzero'),
    eoClip: () => (cutBy = 'evenodd'),
    shadingFill: ([name]: [string]) => {
      const shading = shadingNamed(sheet.page, name, sheet.state.matrix);
      sheet.seen(shading);
      sheet.put(shadedSheet(sheet.page, shading), sheet.state.fillOpacity);
    },
    paintSolidColorImageMask: () => fillPath(sheet, UNIT_SQUARE, 'nonzero'),
  };
}

function setFont({ page, state }: PageSheet, [name, size]: [string, number]): void {
  state.font = page.find(name) as PdfFont | null;
  state.size = size;
}

/** Text (ISO 32000-1 §9.3 and §9.4). */
function textOf(sheet: PageSheet, run: (steps: Operators) => void): Handlers {
  const penAt = (x: number, y: number) => {
    sheet.state.pen = [x, y];
    sheet.state.line = [x, y];
  };
  const moveBy = (x: number, y: number) => penAt(sheet.state.line[0] + x, sheet.state.line[1] + y);
  return {
    beginText: () => {
      sheet.state.textMatrix = UNIT;
      penAt(0, 0);
    },
    setFont: (given: [string, number]) => setFont(sheet, given),
    setCharSpacing: ([value]: [number]) => (sheet.state.letterSpace = value),
    setWordSpacing: ([value]: [number]) => (sheet.state.wordSpace = value),
    setHScale: ([value]: [number]) => (sheet.state.stretch = value / 100),
    setLeading: ([value]: [number]) => (sheet.state.leading = -value),
    setTextRise: ([value]: [number]) => (sheet.state.rise = value),
    setTextRenderingMode: ([value]: [number]) => (sheet.state.mode = value),
    setTextMatrix: ([matrix]: [Matrix]) => {
      sheet.state.textMatrix = matrix;
      penAt(0, 0);
    },
    moveText: ([x, y]: [number, number]) => moveBy(x, y),
    setLeadingMoveText: ([x, y]: [number, number]) => {
      sheet.state.leading = y;
      moveBy(x, y);
    },
    nextLine: () => moveBy(0, sheet.state.leading),
    showText: ([shown]: [readonly (PdfGlyph | number)[]]) => showLetters(sheet, shown, run),
  };
}

/** Forms, groups and layers (ISO 32000-1 §8.10, §11.6.6 and §8.11). */
function partsOf(sheet: PageSheet): Handlers {
  const begin = (matrix: Matrix | null | undefined, box: Box) => {
    sheet.save();
    const { state } = sheet;
    if (matrix) state.matrix = multiply(state.matrix, matrix);
    state.base = state.matrix;
    if (!box) return;
    const [left, bottom, right, top] = [box[0]!, box[1]!, box[2]!, box[3]!];
    sheet.cut(movedPath(rectPath(left, bottom, right - left, top - bottom), state.matrix), 'nonzero');
  };
  return {
    paintFormXObjectBegin: ([matrix, box]: [Matrix | null, Box]) => begin(matrix, box),
    paintFormXObjectEnd: () => sheet.restore(),
    beginGroup: ([group]: [Group]) => {
      if (group.smask) throw new BeyondMarks('soft masks');
      begin(group.matrix, group.bbox);
      const { fillOpacity } = sheet.state;
      if (fillOpacity >= 1) return;
      // What is in the group is put together first, then faded as one.
      const inside: Mark[] = [];
      sheet.put([{ type: 'group', opacity: fillOpacity, marks: inside }]);
      Object.assign(sheet.state, { into: inside, fillOpacity: 1, strokeOpacity: 1 });
    },
    endGroup: () => sheet.restore(),
    beginMarkedContent: () => sheet.hidden.push(false),
    beginMarkedContentProps: ([tag, properties]: [string, unknown]) =>
      sheet.hidden.push(tag === 'OC' && !sheet.page.layerShown(properties)),
    endMarkedContent: () => sheet.hidden.pop(),
  };
}

/** Pictures and stencils (ISO 32000-1 §8.9), alone and repeated. */
function picturesOf(sheet: PageSheet): Handlers {
  const { picture, stencil } = picturesOn(sheet);
  const repeated = ([sx, kx, ky, sy]: Numbers, places: ArrayLike<number>): Matrix[] =>
    Array.from({ length: places.length / 2 }, (_, i) => [
      sx!,
      kx!,
      ky!,
      sy!,
      places[2 * i]!,
      places[2 * i + 1]!,
    ]);
  return {
    paintImageXObject: ([name]: [string]) => picture(name, [UNIT]),
    paintInlineImageXObject: ([image]: [PdfPicture]) => picture(image, [UNIT]),
    paintInlineImageXObjectGroup: () => {
      throw new BeyondMarks('pictures in pieces');
    },
    paintImageXObjectRepeat: ([name, sx, sy, places]: [string, number, number, ArrayLike<number>]) =>
      picture(name, repeated([sx, 0, 0, sy], places)),
    paintImageMaskXObject: ([mask]: [PdfPicture]) => stencil(mask, [UNIT]),
    paintImageMaskXObjectRepeat: ([mask, sx, kx = 0, ky = 0, sy, places]: [
      PdfPicture,
      number,
      number | undefined,
      number | undefined,
      number,
      ArrayLike<number>,
    ]) => stencil(mask, repeated([sx, kx, ky, sy], places)),
    paintImageMaskXObjectGroup: ([masks]: [readonly (PdfPicture & { transform: Matrix })[]]) => {
      for (const mask of masks) stencil(mask, [mask.transform]);
    },
  };
}
