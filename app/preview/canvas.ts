import {
  alphaIn,
  CURVE,
  cropOf,
  eachPlacedGlyph,
  type FaceId,
  type GroupMark,
  grayOf,
  hexOf,
  type ImageMark,
  inside,
  isGradient,
  LINE,
  type Mark,
  type Matrix,
  MITER_LIMIT,
  MOVE,
  type Paint,
  type Path,
  type PathMark,
  type Place,
  pixelsIn,
  type Scene,
  SHEET,
  type TextMark,
  type Typesetter,
  walk,
} from '#core/scene/index.ts';
import {
  SHEET as MASKS,
  SMALL_TYPE_PIXELS,
  type SmallGlyph,
  setSmallGlyphs,
  smallGlyph,
} from './small-type.ts';

function pathOf({ ops, points: p }: Path): Path2D {
  const path = new Path2D();
  let i = 0;
  for (let k = 0; k < ops.length; k++) {
    const op = ops[k]!;
    if (op === CURVE) {
      path.bezierCurveTo(p[i]!, p[i + 1]!, p[i + 2]!, p[i + 3]!, p[i + 4]!, p[i + 5]!);
      i += 6;
    } else if (op === LINE) {
      path.lineTo(p[i]!, p[i + 1]!);
      i += 2;
    } else if (op === MOVE) {
      path.moveTo(p[i]!, p[i + 1]!);
      i += 2;
    } else path.closePath();
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

type Context = OffscreenCanvasRenderingContext2D;
type Size = { width: number; height: number };

function paintOf(context: Context, paint: Paint, gray: boolean): string | CanvasGradient {
  if (!isGradient(paint)) return hexOf(paint, gray);
  const gradient =
    paint.gradient === 'linear'
      ? context.createLinearGradient(...paint.from, ...paint.to)
      : context.createRadialGradient(...(paint.focus ?? paint.center), 0, ...paint.center, paint.radius);
  for (const { at, color } of paint.stops) gradient.addColorStop(at, hexOf(color, gray));
  return gradient;
}

/** A part of a picture as a canvas, gray where the press is. */
function canvasOf({ image, crop }: ImageMark, gray: boolean): OffscreenCanvas {
  const part = cropOf(image, crop);
  const { channels, pixels } = pixelsIn(image, part, gray);
  const alpha = alphaIn(image, part);
  const { width, height } = part;
  const data = new ImageData(width, height);
  for (let i = 0; i < width * height; i++) {
    const from = i * channels;
    data.data[4 * i] = pixels[from]!;
    data.data[4 * i + 1] = pixels[channels === 3 ? from + 1 : from]!;
    data.data[4 * i + 2] = pixels[channels === 3 ? from + 2 : from]!;
    data.data[4 * i + 3] = alpha ? alpha[i]! : 255;
  }
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.putImageData(data, 0, 0);
  return canvas;
}

/** A canvas only grows: a new size waits until the page itself is at rest. */
function growFor({ canvas }: Context, { width, height }: Size): void {
  const across = Math.max(width, MASKS);
  const down = height + MASKS;
  if (canvas.width < across) canvas.width = across;
  if (canvas.height < down) canvas.height = down;
}

/**
 * Draws a scene into the upper left corner of a canvas, as the press will print it. Below it the canvas is used for
 * what is drawn on the way; one that is too small grows.
 * @param context one that tells what is clear
 * @param scale pixels a point
 * @returns the pixels of that corner; the canvas itself may lack small type
 */
export function drawScene(
  context: Context,
  scene: Scene,
  type: Typesetter,
  scale: number,
  size: Size,
): ImageData {
  growFor(context, size);
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, size.width, size.height);
  const whole: Place = { ...SHEET, matrix: [scale, 0, 0, scale, 0, 0] };
  const drawing = drawingOn(context, type, scale, size, scene.gray, true);
  for (const layer of scene.layers) walk(layer.marks, drawing.visitor, whole);
  return drawing.finish();
}

/**
 * @param plain true where nothing lies under the drawing but white: small type can then be set over the finished pixels
 */
function drawingOn(
  context: Context,
  type: Typesetter,
  scale: number,
  { width, height }: Size,
  gray: boolean,
  plain: boolean,
) {
  let small: SmallGlyph[] = [];
  let cut = 0;
  const masks = { context, top: height };
  /** Small type is laid over pixels, so what is painted over it later needs it there. */
  const settle = () => {
    if (small.length === 0) return;
    const image = context.getImageData(0, 0, width, height);
    setSmallGlyphs(image, small, masks);
    small = [];
    context.putImageData(image, 0, 0);
  };

  const fillGlyphs = (mark: TextMark, [a, b, c, d, e, f]: Matrix) => {
    const { size, y } = mark;
    eachPlacedGlyph(mark, type, (face, glyph, x) => {
      context.setTransform(a * size, b * size, -c * size, -d * size, a * x + c * y + e, b * x + d * y + f);
      context.fill(glyphPath(type, face, glyph));
    });
  };

  const visitor = {
    path(mark: PathMark, { matrix }: Place) {
      context.setTransform(...matrix);
      const path = pathOf(mark.path);
      if (mark.fill) {
        settle();
        context.fillStyle = paintOf(context, mark.fill, gray);
        context.fill(path, mark.rule ?? 'nonzero');
      }
      const { stroke } = mark;
      if (!stroke) return;
      context.strokeStyle = paintOf(context, stroke.paint, gray);
      // A hairline on a small preview would vanish; on paper it does not.
      context.lineWidth = Math.max(stroke.width, 0.35 / scale);
      context.setLineDash(stroke.dash ? [...stroke.dash] : []);
      context.lineCap = stroke.cap ?? 'butt';
      context.lineJoin = stroke.join ?? 'miter';
      context.miterLimit = stroke.miterLimit ?? MITER_LIMIT;
      context.stroke(path);
    },
    text(mark: TextMark, { matrix }: Place) {
      const [a, b, c, d, e, f] = matrix;
      const { size, y } = mark;
      const ink = gray ? grayOf(mark.color) : mark.color;
      const masked =
        plain && cut === 0 && 'gray' in ink && size * a < SMALL_TYPE_PIXELS && b === 0 && c === 0 && a === d;
      if (!masked) {
        context.fillStyle = hexOf(mark.color, gray);
        fillGlyphs(mark, matrix);
        return;
      }
      eachPlacedGlyph(mark, type, (face, glyph, x) => {
        const outline = glyphPath(type, face, glyph);
        small.push(smallGlyph(outline, face, glyph, size * a, a * x + e, d * y + f, ink.gray));
      });
    },
    image(mark: ImageMark, { matrix }: Place) {
      settle();
      context.setTransform(...matrix);
      context.imageSmoothingQuality = 'high';
      context.drawImage(canvasOf(mark, gray), mark.x, mark.y, mark.width, mark.height);
    },
    enter(group: GroupMark, place: Place) {
      const { opacity = 1 } = group;
      if (group.clip || opacity < 1) settle();
      if (group.clip) {
        context.save();
        context.setTransform(...inside(group, place).matrix);
        context.clip(pathOf(group.clip.path), group.clip.rule ?? 'nonzero');
        cut++;
      }
      if (opacity >= 1) return undefined;
      fade(group.marks, opacity, inside(group, place));
      visitor.leave(group);
      return 'taken' as const;
    },
    leave(group: GroupMark) {
      if (!group.clip) return;
      context.restore();
      cut--;
    },
  };

  /** Marks put together on a canvas of their own, then laid over as one. */
  function fade(marks: readonly Mark[], opacity: number, place: Place) {
    const apart = new OffscreenCanvas(width, height).getContext('2d')!;
    walk(marks, drawingOn(apart, type, scale, { width, height }, gray, false).visitor, place);
    context.setTransform(1, 0, 0, 1, 0, 0);
    context.globalAlpha = opacity;
    context.drawImage(apart.canvas, 0, 0);
    context.globalAlpha = 1;
  }

  return {
    visitor,
    finish(): ImageData {
      const image = context.getImageData(0, 0, width, height);
      setSmallGlyphs(image, small, masks);
      return image;
    },
  };
}
