import {
  CURVE,
  cropOf,
  type Drawing,
  decimal,
  eachPlacedGlyph,
  type FaceId,
  type FillRule,
  type Gradient,
  type GroupMark,
  hexOf,
  type ImageMark,
  inside,
  isGradient,
  LINE,
  MATRIX_PLACES,
  type Matrix,
  MITER_LIMIT,
  MOVE,
  meanScale,
  multiply,
  type Paint,
  type Path,
  type PathMark,
  PLACES,
  type Place,
  placesAt,
  roundTo,
  type Scene,
  type Stroke,
  type SymbolMark,
  type TextMark,
  type Typesetter,
  walk,
} from '../scene/index.ts';
import { rasterPng } from './raster-png.ts';

/** Outlines kept as path data, by typesetter, face, glyph and size. */
const OUTLINES_KEPT = 6000;

function pathData({ ops, points: p }: Path, places: number): string {
  let data = '';
  let i = 0;
  for (let k = 0; k < ops.length; k++) {
    const op = ops[k]!;
    const count = op === CURVE ? 6 : op === LINE || op === MOVE ? 2 : 0;
    data += op === CURVE ? 'C' : op === LINE ? 'L' : op === MOVE ? 'M' : 'Z';
    for (let j = 0; j < count; j++) data += (j ? ' ' : '') + decimal(p[i++]!, places);
  }
  return data;
}

const outlines = new WeakMap<Typesetter, Map<string, string>>();

/**
 * Path data of a glyph, relative to where the pen stands, so that it is put into words once for all its places: a
 * page of puzzles has hundreds of letters, few of them different. Every number is the difference of two rounded
 * places, so that errors do not add up along the outline.
 */
function glyphData(type: Typesetter, face: FaceId, glyph: number, size: number, places: number): string {
  let kept = outlines.get(type);
  if (!kept || kept.size >= OUTLINES_KEPT) {
    kept = new Map();
    outlines.set(type, kept);
  }
  const key = `${face} ${glyph} ${size} ${places}`;
  let data = kept.get(key);
  if (data === undefined) {
    data = relativeData(type.outline(face, glyph), size, places);
    kept.set(key, data);
  }
  return data;
}

function relativeData({ ops, points: p }: Path, size: number, places: number): string {
  let data = '';
  let penX = 0;
  let penY = 0;
  let startX = 0;
  let startY = 0;
  let i = 0;
  for (let k = 0; k < ops.length; k++) {
    const op = ops[k]!;
    if (op !== CURVE && op !== LINE && op !== MOVE) {
      data += 'z';
      penX = startX;
      penY = startY;
      continue;
    }
    data += op === CURVE ? 'c' : op === LINE ? 'l' : 'm';
    let x = 0;
    let y = 0;
    for (let j = 0; j < (op === CURVE ? 3 : 1); j++) {
      x = roundTo(p[i++]! * size, places);
      y = roundTo(-p[i++]! * size, places);
      data += `${j ? ' ' : ''}${decimal(x - penX, places)} ${decimal(y - penY, places)}`;
    }
    penX = x;
    penY = y;
    if (op === MOVE) {
      startX = x;
      startY = y;
    }
  }
  return data;
}

const matrixData = (matrix: Matrix): string =>
  `matrix(${matrix.map((part, i) => decimal(part, i < 4 ? MATRIX_PLACES : PLACES)).join(' ')})`;

/** Where a picture lies on a larger one, in pixels. */
interface SvgPlace {
  x: number;
  y: number;
}

/**
 * A scene as SVG with text as outlines and pictures inside, so that it looks the same everywhere.
 * @param pixels width and height of the picture; the scene fills it
 * @param at its place, when it is part of a larger picture
 */
export function sceneToSvg(
  scene: Scene,
  type: Typesetter,
  pixels: { width: number; height: number },
  at: SvgPlace = { x: 0, y: 0 },
): string {
  const { gray } = scene;
  const out: string[] = [];
  const definitions: string[] = [];
  /** Ids of what is defined, the same for the same thing; no two scenes on one picture have the same. */
  const ids = new Map<unknown, string>();
  const prefix = `s${decimal(at.x, 0)}-${decimal(at.y, 0)}-`;
  const define = (key: unknown, write: (id: string) => string): string => {
    let id = ids.get(key);
    if (!id) {
      id = `${prefix}${ids.size + 1}`;
      ids.set(key, id);
      definitions.push(write(id));
    }
    return id;
  };

  const paint = (wanted: Paint | undefined): string => {
    if (!wanted) return 'none';
    return isGradient(wanted)
      ? `url(#${define(wanted, (id) => gradientElement(wanted, id, gray))})`
      : hexOf(wanted, gray);
  };
  const strokeAttributes = (stroke: Stroke, places: number): string => {
    const { cap = 'butt', join = 'miter', miterLimit = MITER_LIMIT, dash } = stroke;
    const n = (value: number) => decimal(value, places);
    return ` stroke="${paint(stroke.paint)}" stroke-width="${n(stroke.width)}"${
      dash?.length ? ` stroke-dasharray="${dash.map(n).join(' ')}"` : ''
    }${cap === 'butt' ? '' : ` stroke-linecap="${cap}"`}${
      join === 'miter' ? ` stroke-miterlimit="${n(miterLimit)}"` : ` stroke-linejoin="${join}"`
    }`;
  };
  const rule = (attribute: string, wanted: FillRule | undefined) =>
    wanted === 'evenodd' ? ` ${attribute}="evenodd"` : '';
  const placesOf = (place: Place) => placesAt(meanScale(place.matrix));

  const visitor = {
    path(mark: PathMark, place: Place) {
      const places = placesOf(place);
      const line = mark.stroke ? strokeAttributes(mark.stroke, places) : '';
      out.push(
        `<path d="${pathData(mark.path, places)}" fill="${paint(mark.fill)}"${rule('fill-rule', mark.rule)}${line}/>`,
      );
    },
    text(mark: TextMark, place: Place) {
      const places = placesOf(place);
      let data = '';
      eachPlacedGlyph(mark, type, (face, glyph, x) => {
        data += `M${decimal(x, places)} ${decimal(mark.y, places)}${glyphData(type, face, glyph, mark.size, places)}`;
      });
      out.push(`<path d="${data}" fill="${paint(mark.color)}"/>`);
    },
    image(mark: ImageMark, place: Place) {
      const crop = cropOf(mark.image, mark.crop);
      const n = (value: number) => decimal(value, placesOf(place));
      const id = define(`${mark.image.id} ${Object.values(crop).join(' ')}`, (name) => {
        const png = base64(rasterPng(mark.image, crop, gray));
        return `<image id="${name}" width="1" height="1" preserveAspectRatio="none" href="data:image/png;base64,${png}"/>`;
      });
      out.push(
        `<use href="#${id}" transform="matrix(${n(mark.width)} 0 0 ${n(mark.height)} ${n(mark.x)} ${n(mark.y)})"/>`,
      );
    },
    enter(group: GroupMark, place: Place) {
      const { matrix, clip, opacity = 1 } = group;
      let attributes = matrix ? ` transform="${matrixData(matrix)}"` : '';
      if (clip) {
        const places = placesOf(inside(group, place));
        const id = define(
          clip,
          (name) =>
            `<clipPath id="${name}"><path d="${pathData(clip.path, places)}"${rule('clip-rule', clip.rule)}/></clipPath>`,
        );
        attributes += ` clip-path="url(#${id})"`;
      }
      if (opacity < 1) attributes += ` opacity="${decimal(opacity, 3)}"`;
      out.push(`<g${attributes}>`);
      return undefined;
    },
    leave() {
      out.push('</g>');
    },
    symbol(mark: SymbolMark, place: Place) {
      const id = symbol(mark.drawing, { ...place, matrix: multiply(place.matrix, mark.matrix) });
      out.push(`<use href="#${id}" transform="${matrixData(mark.matrix)}"/>`);
      return 'taken' as const;
    },
  };
  /** A drawing, written once among the definitions. */
  function symbol(drawing: Drawing, place: Place): string {
    return define(drawing, (id) => {
      const held = out.splice(0);
      walk(drawing.marks, visitor, place);
      const inner = out.splice(0).join('');
      out.push(...held);
      return `<g id="${id}">${inner}</g>`;
    });
  }
  for (const layer of scene.layers) walk(layer.marks, visitor);
  const defs = definitions.length ? `<defs>${definitions.join('')}</defs>` : '';
  return `<svg xmlns="http://www.w3.org/2000/svg" x="${at.x}" y="${at.y}" width="${pixels.width}" height="${pixels.height}" viewBox="0 0 ${decimal(scene.width, PLACES)} ${decimal(scene.height, PLACES)}" preserveAspectRatio="none">${defs}${out.join('')}</svg>`;
}

function gradientElement(gradient: Gradient, id: string, gray: boolean): string {
  const n = (value: number) => decimal(value, MATRIX_PLACES);
  const stops = gradient.stops
    .map(({ at, color }) => `<stop offset="${n(at)}" stop-color="${hexOf(color, gray)}"/>`)
    .join('');
  if (gradient.gradient === 'linear') {
    const [[x1, y1], [x2, y2]] = [gradient.from, gradient.to];
    return `<linearGradient id="${id}" gradientUnits="userSpaceOnUse" x1="${n(x1)}" y1="${n(y1)}" x2="${n(x2)}" y2="${n(y2)}">${stops}</linearGradient>`;
  }
  const [cx, cy] = gradient.center;
  const [fx, fy] = gradient.focus ?? gradient.center;
  return `<radialGradient id="${id}" gradientUnits="userSpaceOnUse" cx="${n(cx)}" cy="${n(cy)}" r="${n(gradient.radius)}" fx="${n(fx)}" fy="${n(fy)}">${stops}</radialGradient>`;
}

function base64(bytes: Uint8Array): string {
  let binary = '';
  for (let i = 0; i < bytes.length; i += 0x8000)
    binary += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(binary);
}
