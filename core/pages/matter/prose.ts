import { emphasizedFace } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import type { RichPart, RichRun } from '../../rich-text/index.ts';
import {
  BLACK,
  beginningOf,
  ellipsePath,
  type FaceId,
  fitText,
  fittedLines,
  type Mark,
  type Raster,
  type Typesetter,
  textLine,
} from '../../scene/index.ts';
import { lineMarks, type Run, setParagraph } from '../../text/index.ts';
import type { DrawContext } from '../kind.ts';
import { inkRoom } from '../paper/lines.ts';

/** Ornaments and letters reach over the edge of their room, in points. */
const OVERHANG = { weight: 4 };

/** Where matter may stand. */
export const matterRoom = ({ body, frame }: Pick<DrawContext<never, never>, 'body' | 'frame'>): Rect =>
  inkRoom(body, frame.safe, OVERHANG);

interface Prose {
  type: Typesetter;
  faces: { display: FaceId; text: FaceId };
  /** Largest and smallest size, in points. */
  max: number;
  min: number;
  /** Pictures that the text names by their number, and the height of the page that their sizes are of, in points. */
  pictures?: { images: readonly Raster[]; pageHeight: number };
}

/** From baseline to baseline, between parts and before titles, in sizes of the type. */
const LEADING = 1.42;
const BETWEEN = 0.62;
const BEFORE_TITLE = 0.9;
const TITLE = 1.25;
const INDENT = 1.3;

interface Set {
  marks: Mark[];
  height: number;
}

/** A picture in the middle, as wide as the text at most. */
export function pictureIn(
  image: Raster,
  { x, y, width }: Pick<Rect, 'x' | 'y' | 'width'>,
  most: number,
): Set {
  const scale = Math.min(width / image.width, most / image.height);
  const [across, height] = [image.width * scale, image.height * scale];
  return {
    marks: [{ type: 'image', image, x: x + (width - across) / 2, y, width: across, height }],
    height,
  };
}

function setAt({ type, faces, pictures }: Prose, parts: readonly RichPart[], box: Rect, size: number): Set {
  const marks: Mark[] = [];
  const inList = (part?: RichPart) => part?.kind === 'item' || part?.kind === 'numbered';
  let y = box.y;
  parts.forEach((part, i) => {
    if (i > 0) y += size * (inList(part) && inList(parts[i - 1]) ? BETWEEN * 0.4 : BETWEEN);
    if (part.kind === 'picture') {
      const image = pictures?.images[part.picture - 1];
      if (!image) return;
      const set = pictureIn(image, { ...box, y: y + size * 0.4 }, (pictures.pageHeight * part.size) / 100);
      marks.push(...set.marks);
      y += set.height + size * 0.4;
      return;
    }
    const title = part.kind === 'title';
    const own = title ? size * TITLE : size;
    if (title && i > 0) y += size * BEFORE_TITLE;
    const style = { face: title ? faces.display : faces.text, size: own, color: BLACK } as const;
    const sign = part.kind === 'numbered' ? `${part.number}.` : '';
    const inset = inList(part)
      ? Math.max(size * INDENT, sign ? type.width(sign, style.face, own) + size * 0.5 : 0)
      : 0;
    linesOf(part.runs, style.face).forEach((runs, paragraph) => {
      const lines = setParagraph(type, runs, { ...style, align: 'ragged' }, box.width - inset);
      lines.forEach((line, k) => {
        y += own * LEADING;
        if (paragraph === 0 && k === 0) {
          if (part.kind === 'item')
            marks.push({
              type: 'path',
              path: ellipsePath(box.x + size * 0.4, y - size * 0.3, size * 0.13),
              fill: BLACK,
            });
          if (sign) marks.push(textLine(type, sign, style, box.x, y));
        }
        marks.push(...lineMarks(type, line, style, box.x + inset, y));
      });
    });
  });
  // The last line reaches below its baseline.
  return { marks, height: y - box.y + size * 0.3 };
}

/** The lines that a part is broken into by hand, each in the faces of its looks. */
function linesOf(runs: readonly RichRun[], face: FaceId): Run[][] {
  const lines: Run[][] = [[]];
  for (const run of runs)
    run.text.split('\n').forEach((text, i) => {
      if (i > 0) lines.push([]);
      lines.at(-1)!.push({ text, face: emphasizedFace(face, run) });
    });
  return lines;
}

/** A text in a box, as large as it fits. */
export function setProse(prose: Prose, parts: readonly RichPart[], box: Rect): Set & { fits: boolean } {
  for (let size = prose.max; ; size -= 0.25) {
    const set = setAt(prose, parts, box, Math.max(size, prose.min));
    const fits = set.height <= box.height + 1e-6;
    if (fits || size <= prose.min) return { ...set, fits };
  }
}

/** A heading over a page of matter. @returns its marks, and where what follows begins */
export function matterHeading(
  {
    type,
    faces,
    heading,
    max,
  }: { type: Typesetter; faces: { display: FaceId }; heading: string; max: number },
  { x, y, width, height }: Rect,
): { marks: Mark[]; bottom: number } {
  if (!heading) return { marks: [], bottom: y };
  const fitted = fitText(
    type,
    heading,
    faces.display,
    { width, height: height * 0.3 },
    { max, min: 10, lines: 3, leading: 1.15 },
  );
  const { x: at, align } = beginningOf(fitted.direction, { x, width });
  const baseline = y + type.capHeight(faces.display) * fitted.size;
  const marks = fittedLines(type, fitted, { face: faces.display }, at, baseline, align);
  return { marks, bottom: y + fitted.height + max * 0.7 };
}
