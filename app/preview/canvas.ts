import {
  type Colour,
  eachPlacedGlyph,
  type FaceId,
  type Mark,
  type PathCommand,
  type Scene,
  type Typesetter,
} from '#core/scene/index.ts';
import { SMALL_TYPE_PIXELS, type SmallGlyph, setSmallGlyphs, smallGlyph } from './small-type.ts';

const css = (colour: Colour): string => {
  const parts = 'grey' in colour ? [colour.grey, colour.grey, colour.grey] : colour.rgb;
  return `rgb(${parts.map((part) => Math.round(part * 255)).join(' ')})`;
};

function pathOf(commands: readonly PathCommand[]): Path2D {
  const path = new Path2D();
  for (const c of commands) {
    if (c[0] === 'M') path.moveTo(c[1], c[2]);
    else if (c[0] === 'L') path.lineTo(c[1], c[2]);
    else if (c[0] === 'C') path.bezierCurveTo(c[1], c[2], c[3], c[4], c[5], c[6]);
    else path.closePath();
  }
  return path;
}

const glyphPaths = new Map<FaceId, Map<number, Path2D>>();

/** The outline of a glyph: the very curves that are embedded in the file. */
function glyphPath(type: Typesetter, face: FaceId, glyph: number): Path2D {
  let paths = glyphPaths.get(face);
  if (!paths) {
    paths = new Map();
    glyphPaths.set(face, paths);
  }
  let path = paths.get(glyph);
  if (!path) {
    path = pathOf(type.outline(face, glyph));
    paths.set(glyph, path);
  }
  return path;
}

/**
 * Draws a scene into the upper left corner of a canvas.
 * @param scale pixels a point
 * @returns the pixels of that corner; the canvas itself may lack small type
 */
export function drawScene(
  context: OffscreenCanvasRenderingContext2D,
  scene: Scene,
  type: Typesetter,
  scale: number,
  { width, height }: { width: number; height: number },
): ImageData {
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, width, height);
  const base = new DOMMatrix([scale, 0, 0, scale, 0, 0]);
  let small: SmallGlyph[] = [];
  const withSmallType = () => {
    const image = context.getImageData(0, 0, width, height);
    setSmallGlyphs(image, small);
    small = [];
    return image;
  };
  const walk = (marks: readonly Mark[], matrix: DOMMatrix) => {
    for (const mark of marks) {
      if (mark.mark === 'group') walk(mark.marks, matrix.multiply(new DOMMatrix([...mark.matrix])));
      else if (mark.mark === 'path') {
        context.setTransform(matrix);
        const path = pathOf(mark.path);
        if (mark.fill) {
          // What is filled later lies over the letters set before.
          if (small.length) context.putImageData(withSmallType(), 0, 0);
          context.fillStyle = css(mark.fill);
          context.fill(path);
        }
        if (mark.stroke) {
          context.strokeStyle = css(mark.stroke.colour);
          // A hairline on a small preview would vanish; on paper it does not.
          context.lineWidth = Math.max(mark.stroke.width, 0.35 / scale);
          context.setLineDash(mark.stroke.dash ? [...mark.stroke.dash] : []);
          context.lineCap = mark.stroke.round ? 'round' : 'butt';
          context.lineJoin = mark.stroke.round ? 'round' : 'miter';
          context.stroke(path);
        }
      } else {
        context.fillStyle = css(mark.colour);
        const { a, b, c, d, e, f } = matrix;
        const { size, y } = mark;
        if ('grey' in mark.colour && size * a < SMALL_TYPE_PIXELS && b === 0 && c === 0 && a === d) {
          const { grey } = mark.colour;
          eachPlacedGlyph(mark, type, (face, glyph, x) => {
            small.push(
              smallGlyph(glyphPath(type, face, glyph), face, glyph, size * a, a * x + e, d * y + f, grey),
            );
          });
          continue;
        }
        eachPlacedGlyph(mark, type, (face, glyph, x) => {
          context.setTransform(
            a * size,
            b * size,
            -c * size,
            -d * size,
            a * x + c * y + e,
            b * x + d * y + f,
          );
          context.fill(glyphPath(type, face, glyph));
        });
      }
    }
  };
  for (const layer of scene.layers) walk(layer.marks, base);
  return withSmallType();
}
