import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { BLACK, breakLines, ellipsePath, type Mark, type Typesetter, textLine } from '../../scene/index.ts';
import { clearOfLeft } from './page.ts';

/** A part of a list: a heading, a clue with its number, a word. */
export interface Listed {
  text: string;
  heading?: true;
  number?: number;
  /** Before it, to tick. */
  ring?: true;
}

export interface ListFaces {
  text: FaceId;
  heading: FaceId;
}

const LEADING = 1.22;
/** Between two columns, and for a number before its text, in ems. */
const COLUMN_GAP = 1.2;
const NUMBER = 1.7;
/** A ring before a text, in ems, and the weight of its line in points. */
const RING = { indent: 1.25, radius: 0.32, line: 0.75 } as const;
/** Above a text, and above a heading that does not begin a column, in lines. */
const AIR = 0.18;
const HEADING_AIR = 0.5;

interface Broken {
  listed: Listed;
  lines: string[];
}

/** A list broken into the lines of a column. */
export interface SetList {
  size: number;
  columns: number;
  width: number;
  /** By column, from the first. */
  flow: Broken[][];
  height: number;
}

const heightOf = ({ listed, lines }: Broken, isFirst: boolean): number =>
  lines.length + (isFirst ? 0 : listed.heading ? HEADING_AIR : AIR);

/** How a list runs through columns of a height, in lines; null where it needs more of them. A heading takes what follows with it. */
function flowed(set: readonly Broken[], columns: number, height: number): Broken[][] | null {
  const flow: Broken[][] = [[]];
  let used = 0;
  for (let i = 0; i < set.length; i++) {
    const one = set[i]!;
    const column = flow.at(-1)!;
    const next = set[i + 1];
    const needed =
      heightOf(one, column.length === 0) + (one.listed.heading && next ? heightOf(next, false) : 0);
    if (used + needed > height + 1e-9 && column.length) {
      if (flow.length === columns) return null;
      flow.push([]);
      used = 0;
      i--;
      continue;
    }
    if (needed > height + 1e-9) return null;
    used += heightOf(one, column.length === 0);
    column.push(one);
  }
  return flow;
}

/** Where the text of a part begins, in its column, in ems. */
const indentOf = ({ number, ring }: Listed): number =>
  ring ? RING.indent : number === undefined ? 0 : NUMBER;

/**
 * Sets a list in columns that come out about even.
 * @param width of all columns together, in points
 */
export function setList(
  list: readonly Listed[],
  { size, columns, width }: { size: number; columns: number; width: number },
  faces: ListFaces,
  type: Typesetter,
): SetList {
  const gap = COLUMN_GAP * size;
  const column = (width - gap * (columns - 1)) / columns;
  const set = list.map((listed): Broken => {
    const face = listed.heading ? faces.heading : faces.text;
    // The ink of a last letter reaches a little over its width.
    const room = column - indentOf(listed) * size - size * 0.08;
    return { listed, lines: breakLines(type, listed.text, face, size, room) };
  });
  const all = set.reduce((sum, one, i) => sum + heightOf(one, i === 0), 0);
  let lines = all / columns;
  let flow = flowed(set, columns, lines);
  while (!flow) {
    lines += 0.25;
    flow = flowed(set, columns, lines);
  }
  const most = Math.max(...flow.map((sets) => sets.reduce((sum, one, i) => sum + heightOf(one, i === 0), 0)));
  return { size, columns, width, flow, height: most * size * LEADING };
}

/** Whether every word of a list is as wide as its column, at most. */
export function fitsColumns(
  { flow, size, columns, width }: SetList,
  faces: ListFaces,
  type: Typesetter,
): boolean {
  const column = (width - COLUMN_GAP * size * (columns - 1)) / columns;
  return flow.every((parts) =>
    parts.every(({ listed, lines }) =>
      lines.every(
        (line) =>
          type.width(line, listed.heading ? faces.heading : faces.text, size) <=
          column - indentOf(listed) * size,
      ),
    ),
  );
}

export function listMarks(
  { flow, size, columns, width }: SetList,
  { x, y }: Pick<Rect, 'x' | 'y'>,
  faces: ListFaces,
  type: Typesetter,
): Mark[] {
  const gap = COLUMN_GAP * size;
  const column = (width - gap * (columns - 1)) / columns;
  const leading = size * LEADING;
  const marks: Mark[] = [];
  flow.forEach((sets, i) => {
    const left = x + i * (column + gap);
    let line = 0;
    sets.forEach((set, k) => {
      const { listed, lines } = set;
      const { heading, number } = listed;
      const top = line + heightOf(set, k === 0) - lines.length;
      const baseline = (n: number) => y + (top + n) * leading + size * 0.86;
      const style = { face: heading ? faces.heading : faces.text, size, color: BLACK };
      const begin = left + indentOf(listed) * size;
      if (number !== undefined)
        marks.push(textLine(type, String(number), style, begin - size * 0.4, baseline(0), 'right'));
      if (set.listed.ring)
        marks.push({
          type: 'path',
          path: ellipsePath(
            left + RING.radius * size + RING.line,
            baseline(0) - size * 0.3,
            RING.radius * size,
          ),
          stroke: { width: RING.line, paint: BLACK },
        });
      lines.forEach((text, n) => {
        marks.push(clearOfLeft(textLine(type, text, style, begin, baseline(n)), type));
      });
      line = top + lines.length;
    });
  });
  return marks;
}

const ANSWERS: ListFaces = { text: 'alegreya-sans-regular', heading: 'alegreya-sans-bold' };
const ANSWER_SIZES = [10, 9, 8, 7];

/** Answers in the largest type at which they fit a room, in few columns. */
export function listOfAnswers(list: readonly Listed[], room: Rect, type: Typesetter): Mark[] {
  for (const size of ANSWER_SIZES)
    for (const columns of [1, 2, 3]) {
      const set = setList(list, { size, columns, width: room.width }, ANSWERS, type);
      const isLast = size === ANSWER_SIZES.at(-1) && columns === 3;
      if (isLast || (set.height <= room.height && fitsColumns(set, ANSWERS, type)))
        return listMarks(set, room, ANSWERS, type);
    }
  return [];
}
