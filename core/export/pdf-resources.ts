import { createHash } from 'node:crypto';
import {
  alphaIn,
  boundsOf,
  cropOf,
  type FaceId,
  type Gradient,
  grayOf,
  type ImageMark,
  MATRIX_PLACES,
  type Mark,
  type Matrix,
  pixelsIn,
  placesAt,
  roundTo,
  type Typesetter,
} from '../scene/index.ts';
import { type ContentResources, contentStream } from './content.ts';
import { type EmbeddedFace, faceEmbedder } from './pdf-faces.ts';
import type { PdfFile, PdfRef, PdfValue } from './pdf-file.ts';

/** Content up to this many bytes is told apart by itself, longer by its hash. */
const SHORT_BYTES = 200;

type Category = 'Font' | 'Pattern' | 'ExtGState' | 'XObject';
/** Names that a stream uses, each with the dictionary it stands in. */
export type UsedNames = Map<string, Category>;

/** A content stream in the file, with the names it uses. */
export interface WrittenContent {
  ref: PdfRef;
  used: UsedNames;
}

/** Everything of a file that its pages share: faces, pictures, patterns, forms, and content that is equal. */
export function fileResources(file: PdfFile, type: Typesetter) {
  const refs = new Map<string, () => PdfRef>();
  const names = new Map<string, string>();
  const fonts = new Map<FaceId, EmbeddedFace>();
  const embed = faceEmbedder(file, type);
  const contents = new Map<string, PdfRef>();
  const dictionaries = new Map<string, PdfRef>();
  /** Forms by the very marks they were made from; what is equal is found again by its content. */
  const forms = new WeakMap<readonly Mark[], Map<string, string>>();

  const hashOf = (...parts: (Uint8Array | string)[]) => {
    const hash = createHash('sha1');
    for (const part of parts) hash.update(part);
    return hash.digest('base64');
  };
  /** One name, and one object, for everything with the same key. */
  const named = (category: Category, letter: string, key: string, make: () => PdfRef, used: UsedNames) => {
    let name = names.get(`${category} ${key}`);
    if (!name) {
      const ref = make();
      name = `${letter}${names.size + 1}`;
      names.set(`${category} ${key}`, name);
      refs.set(name, () => ref);
    }
    used.set(name, category);
    return name;
  };
  const object = (data: Record<string, PdfValue | undefined>, bytes?: Uint8Array): PdfRef => {
    const ref = file.ref(data);
    ref.end(bytes);
    return ref;
  };

  const openFace = (face: FaceId): EmbeddedFace => {
    let found = fonts.get(face);
    if (!found) {
      found = embed(face);
      fonts.set(face, found);
      const { ref } = found;
      refs.set(found.name, () => ref);
    }
    return found;
  };

  const pattern = (gradient: Gradient, matrix: Matrix, gray: boolean, used: UsedNames) => {
    const key = JSON.stringify([gradient, matrix, gray]);
    return named(
      'Pattern',
      'P',
      key,
      () =>
        object({
          Type: 'Pattern',
          PatternType: 2,
          Matrix: matrix.map((part) => roundTo(part, MATRIX_PLACES)),
          Shading: shadingOf(gradient, gray),
        }),
      used,
    );
  };

  const image = (mark: ImageMark, gray: boolean, used: UsedNames) => {
    const { image: raster } = mark;
    const crop = cropOf(raster, mark.crop);
    const whole = crop.width === raster.width && crop.height === raster.height;
    const key = [raster.id, crop.x, crop.y, crop.width, crop.height, gray].join(' ');
    return named(
      'XObject',
      'X',
      key,
      () => {
        const space = (channels: number) => (channels === 1 ? 'DeviceGray' : 'DeviceRGB');
        const picture = {
          Type: 'XObject',
          Subtype: 'Image',
          Width: crop.width,
          Height: crop.height,
          BitsPerComponent: 8,
        };
        const alpha = alphaIn(raster, crop);
        const mask = alpha ? { SMask: object({ ...picture, ColorSpace: 'DeviceGray' }, alpha) } : {};
        // As it came, if nothing was cut and the press takes its colors: no loss, and no time.
        if (raster.jpeg && whole && !(gray && raster.channels === 3))
          return object(
            { ...picture, ...mask, ColorSpace: space(raster.channels), Filter: 'DCTDecode' },
            raster.jpeg,
          );
        const { channels, pixels } = pixelsIn(raster, crop, gray);
        return object({ ...picture, ...mask, ColorSpace: space(channels) }, pixels);
      },
      used,
    );
  };

  const form = (marks: readonly Mark[], faded: boolean, scale: number, gray: boolean, used: UsedNames) => {
    const known = forms.get(marks) ?? new Map<string, string>();
    forms.set(marks, known);
    const variant = `${faded} ${placesAt(scale)} ${gray}`;
    const name = known.get(variant);
    if (name) {
      used.set(name, 'XObject');
      return name;
    }
    const inner: UsedNames = new Map();
    const bytes = contentStream(marks, 0, namesFor(inner, gray), type, gray, scale);
    const box = boundsOf(marks, type) ?? { left: 0, top: 0, right: 0, bottom: 0 };
    // A little room round the ink, where viewers smooth its edges.
    const room = 1 / scale;
    const data = {
      Type: 'XObject',
      Subtype: 'Form',
      BBox: [box.left - room, -box.bottom - room, box.right + room, -box.top + room].map((edge) =>
        roundTo(edge, placesAt(scale)),
      ),
      ...(faded ? { Group: { S: 'Transparency', CS: gray ? 'DeviceGray' : 'DeviceRGB', I: true } } : {}),
      Resources: dictionary(inner),
    };
    const made = named('XObject', 'X', `form ${variant} ${hashOf(bytes)}`, () => object(data, bytes), used);
    known.set(variant, made);
    return made;
  };

  /** The names a content stream may use; `used` gathers those it does. */
  const namesFor = (used: UsedNames, gray: boolean): ContentResources => ({
    face: (id) => {
      const face = openFace(id);
      used.set(face.name, 'Font');
      return face;
    },
    pattern: (gradient, matrix) => pattern(gradient, matrix, gray, used),
    opacity: (opacity) =>
      named(
        'ExtGState',
        'G',
        String(opacity),
        () => object({ Type: 'ExtGState', ca: opacity, CA: opacity }),
        used,
      ),
    image: (mark) => image(mark, gray, used),
    form: (marks, faded, scale) => form(marks, faded, scale, gray, used),
  });

  /** The resource dictionary for names; one object for every set of them. */
  const dictionary = (used: UsedNames): PdfRef => {
    const sorted = [...used.keys()].sort();
    const key = sorted.join(' ');
    let ref = dictionaries.get(key);
    if (!ref) {
      const parts: Partial<Record<Category, Record<string, PdfRef>>> = {};
      for (const name of sorted) {
        const category = used.get(name)!;
        parts[category] ??= {};
        parts[category][name] = refs.get(name)!();
      }
      ref = object(parts);
      dictionaries.set(key, ref);
    }
    return ref;
  };

  /** Marks as a content stream of the file; equal content is written once. */
  const content = (marks: readonly Mark[], height: number, gray: boolean): WrittenContent => {
    const used: UsedNames = new Map();
    const bytes = contentStream(marks, height, namesFor(used, gray), type, gray);
    // Short content, such as a page number, is its own key.
    const key = bytes.length < SHORT_BYTES ? Buffer.from(bytes).toString('latin1') : hashOf(bytes);
    let ref = contents.get(key);
    if (!ref) {
      ref = object({}, bytes);
      contents.set(key, ref);
    }
    return { ref, used };
  };

  return {
    content,
    dictionary,
    /** Writes what is known only when all pages are: the subsets of the faces. */
    finish() {
      for (const face of fonts.values()) face.finish();
    },
  };
}

/** A gradient as a shading dictionary with its function (ISO 32000-1 §8.7.4.5, §7.10). */
function shadingOf(gradient: Gradient, gray: boolean): Record<string, PdfValue> {
  const seen = gradient.stops.map(({ at, color }) => ({ at, color: gray ? grayOf(color) : color }));
  const allGray = seen.every(({ color }) => 'gray' in color);
  const stops = seen.map(({ at, color }) => ({
    at,
    color: 'rgb' in color ? [...color.rgb] : allGray ? [color.gray] : [color.gray, color.gray, color.gray],
  }));
  const [focusX, focusY] = gradient.gradient === 'radial' ? (gradient.focus ?? gradient.center) : [0, 0];
  return {
    ColorSpace: allGray ? 'DeviceGray' : 'DeviceRGB',
    Extend: [true, true],
    Function: blend(stops),
    ...(gradient.gradient === 'linear'
      ? { ShadingType: 2, Coords: [gradient.from[0], -gradient.from[1], gradient.to[0], -gradient.to[1]] }
      : {
          ShadingType: 3,
          Coords: [focusX, -focusY, 0, gradient.center[0], -gradient.center[1], gradient.radius],
        }),
  };
}

function blend(stops: { at: number; color: number[] }[]): Record<string, PdfValue> {
  const [first] = stops;
  if (!first) throw new RangeError('A gradient needs at least one stop.');
  const between = (a: number[], b: number[]) => ({ FunctionType: 2, Domain: [0, 1], C0: a, C1: b, N: 1 });
  const last = stops.at(-1)!;
  const all = [
    ...(first.at > 0 ? [{ at: 0, color: first.color }] : []),
    ...stops,
    ...(last.at < 1 ? [{ at: 1, color: last.color }] : []),
  ];
  if (all.length === 1) return between(first.color, first.color);
  const parts = all.slice(1).map((stop, i) => between(all[i]!.color, stop.color));
  if (parts.length === 1) return parts[0]!;
  return {
    FunctionType: 3,
    Domain: [0, 1],
    Functions: parts,
    Bounds: all.slice(1, -1).map(({ at }) => at),
    Encode: parts.flatMap(() => [0, 1]),
  };
}
