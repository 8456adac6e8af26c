import {
  type Colour,
  eachPlacedGlyph,
  type FaceId,
  type Mark,
  type PathCommand,
  type Scene,
  type Typesetter,
} from '../scene/index.ts';

/** Outlines kept as path data, by typesetter, face, glyph and size. */
const OUTLINES_KEPT = 6000;

/** Two decimals are 1/7200 in: finer than any press. */
const rounded = (n: number): number => Math.round(n * 100) / 100;
const num = (n: number): string => String(rounded(n));
/** Turning and scaling need more. */
const fine = (n: number): string => String(Math.round(n * 1e5) / 1e5);

const paint = (colour: Colour | undefined): string => {
  if (!colour) return 'none';
  const parts = 'grey' in colour ? [colour.grey, colour.grey, colour.grey] : colour.rgb;
  return `#${parts
    .map((part) =>
      Math.round(part * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
};

const pathData = (commands: readonly PathCommand[]): string =>
  commands.map(([letter, ...numbers]) => letter + numbers.map(num).join(' ')).join('');

const outlines = new WeakMap<Typesetter, Map<string, string>>();

/**
 * Path data of a glyph, relative to where the pen stands, so that it is put into words once for all its places: a
 * page of puzzles has hundreds of letters, few of them different. Every number is the difference of two rounded
 * places, so that errors do not add up along the outline.
 */
function glyphData(type: Typesetter, face: FaceId, glyph: number, size: number): string {
  let kept = outlines.get(type);
  if (!kept || kept.size >= OUTLINES_KEPT) {
    kept = new Map();
    outlines.set(type, kept);
  }
  const key = `${face} ${glyph} ${size}`;
  let data = kept.get(key);
  if (data === undefined) {
    data = '';
    let pen = [0, 0];
    let start = pen;
    for (const [letter, ...numbers] of type.outline(face, glyph)) {
      if (letter === 'Z') {
        data += 'z';
        pen = start;
        continue;
      }
      const places = numbers.map((n, i) => rounded(i % 2 ? -n * size : n * size));
      data += letter.toLowerCase() + places.map((n, i) => num(n - pen[i % 2]!)).join(' ');
      pen = places.slice(-2);
      if (letter === 'M') start = pen;
    }
    kept.set(key, data);
  }
  return data;
}

/** Where a picture lies on a larger one, in pixels. */
interface Place {
  x: number;
  y: number;
}

/**
 * A scene as SVG 1.1 with text as outlines, so that it looks the same where the typefaces are not installed.
 * @param pixels width and height of the picture; the scene fills it
 * @param at its place, when it is part of a larger picture
 */
export function sceneToSvg(
  scene: Scene,
  type: Typesetter,
  pixels: { width: number; height: number },
  at: Place = { x: 0, y: 0 },
): string {
  const out: string[] = [];
  const walk = (marks: readonly Mark[]) => {
    for (const mark of marks) {
      if (mark.mark === 'group') {
        out.push(`<g transform="matrix(${mark.matrix.map(fine).join(' ')})">`);
        walk(mark.marks);
        out.push('</g>');
      } else if (mark.mark === 'path') {
        const { stroke } = mark;
        const line = stroke
          ? ` stroke="${paint(stroke.colour)}" stroke-width="${num(stroke.width)}"${stroke.dash ? ` stroke-dasharray="${stroke.dash.join(' ')}"` : ''}${stroke.round ? ' stroke-linecap="round" stroke-linejoin="round"' : ''}`
          : '';
        out.push(`<path d="${pathData(mark.path)}" fill="${paint(mark.fill)}"${line}/>`);
      } else {
        let data = '';
        eachPlacedGlyph(mark, type, (face, glyph, x) => {
          data += `M${num(x)} ${num(mark.y)}${glyphData(type, face, glyph, mark.size)}`;
        });
        out.push(`<path d="${data}" fill="${paint(mark.colour)}"/>`);
      }
    }
  };
  for (const layer of scene.layers) walk(layer.marks);
  return `<svg xmlns="http://www.w3.org/2000/svg" x="${at.x}" y="${at.y}" width="${pixels.width}" height="${pixels.height}" viewBox="0 0 ${num(scene.width)} ${num(scene.height)}" preserveAspectRatio="none">${out.join('')}</svg>`;
}
