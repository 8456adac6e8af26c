import type { Rect } from '../../print/index.ts';
import {
  BLACK,
  beginningOf,
  ellipsePath,
  type FaceId,
  fitText,
  fittedLines,
  type Mark,
  type Typesetter,
} from '../../scene/index.ts';
import { lineMarks, setParagraph } from '../../text/index.ts';
import type { DrawContext } from '../kind.ts';
import { inkRoom } from '../paper/lines.ts';

/** Ornaments and letters reach over the edge of their room, in points. */
const OVERHANG = { weight: 4 };

/** Where matter may stand. */
export const matterRoom = ({ body, frame }: Pick<DrawContext<never, never>, 'body' | 'frame'>): Rect =>
  inkRoom(body, frame.safe, OVERHANG);

/** A text in parts: paragraphs, titles that begin with #, items of a list that begin with a dash. */
type Part = { kind: 'paragraph' | 'title' | 'item'; text: string };

/** Reads a text: an empty line ends a paragraph, a title and an item have a line of their own. */
export function partsOf(text: string): Part[] {
  const parts: Part[] = [];
  let open: string[] = [];
  const close = () => {
    if (open.length) parts.push({ kind: 'paragraph', text: open.join(' ') });
    open = [];
  };
  for (const line of text.split(/\r?\n/).map((one) => one.trim())) {
    const [, sign, words] = /^([#-])\s+(.*)$/.exec(line) ?? [];
    if (sign && words) {
      close();
      parts.push({ kind: sign === '#' ? 'title' : 'item', text: words });
    } else if (line) open.push(line);
    else close();
  }
  close();
  return parts;
}

interface Prose {
  type: Typesetter;
  faces: { display: FaceId; text: FaceId };
  /** Largest and smallest size, in points. */
  max: number;
  min: number;
}

/** From baseline to baseline, between parts and before titles, in sizes of the type. */
const LEADING = 1.42;
const BETWEEN = 0.62;
const BEFORE_TITLE = 0.9;
const TITLE = 1.25;
const INDENT = 1.3;

function setAt({ type, faces }: Prose, parts: readonly Part[], box: Rect, size: number) {
  const marks: Mark[] = [];
  let y = box.y;
  parts.forEach(({ kind, text }, i) => {
    if (i > 0) y += size * (kind === 'item' && parts[i - 1]!.kind === 'item' ? BETWEEN * 0.4 : BETWEEN);
    const title = kind === 'title';
    const own = title ? size * TITLE : size;
    if (title && i > 0) y += size * BEFORE_TITLE;
    const style = { face: title ? faces.display : faces.text, size: own, color: BLACK } as const;
    const inset = kind === 'item' ? size * INDENT : 0;
    const lines = setParagraph(type, text, { ...style, align: 'ragged' }, box.width - inset);
    lines.forEach((line, k) => {
      y += own * LEADING;
      if (kind === 'item' && k === 0)
        marks.push({
          type: 'path',
          path: ellipsePath(box.x + size * 0.4, y - size * 0.3, size * 0.13),
          fill: BLACK,
        });
      marks.push(...lineMarks(type, line, style, box.x + inset, y));
    });
  });
  // The last line reaches below its baseline.
  return { marks, height: y - box.y + size * 0.3 };
}

/** A text in a box, as large as it fits. */
export function setProse(
  prose: Prose,
  text: string,
  box: Rect,
): { marks: Mark[]; height: number; fits: boolean } {
  const parts = partsOf(text);
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
