import { innermost, type PageFrame, type Rect } from '../../print/index.ts';
import { buildPath, type Color, type Mark, type Path, type Stroke } from '../../scene/index.ts';
import { colorOr } from '../color-setting.ts';

export interface LineLook {
  gray: number;
  weight: number;
  color: string;
}

export const paintOf = ({ gray, color }: Pick<LineLook, 'gray' | 'color'>): Color => colorOr(color, { gray });

/** Lines of one look. @param more dash, cap or a weight of their own */
export const stroked = (path: Path, look: LineLook, more: Partial<Stroke> = {}): Mark => ({
  type: 'path',
  path,
  stroke: { width: look.weight, paint: paintOf(look), ...more },
});

/** A paler line of the same color: halfway to white. */
export const paler = (look: LineLook, by = 0.5): LineLook => ({
  ...look,
  gray: Math.min(0.85, look.gray + (1 - look.gray) * by),
  color: look.color && mixed(look.color, by),
});

/** A darker line of the same color. */
export const darker = (look: LineLook, by = 0.5): LineLook => ({ ...look, gray: look.gray * (1 - by) });

function mixed(hex: string, by: number): string {
  const part = (at: number) => {
    const value = Number.parseInt(hex.slice(at, at + 2), 16);
    return Math.round(value + (255 - value) * by)
      .toString(16)
      .padStart(2, '0');
  };
  return `#${part(1)}${part(3)}${part(5)}`;
}

/** Level lines from left to right of a rectangle. @param heights y of each */
export function levelLines({ x, width }: Pick<Rect, 'x' | 'width'>, heights: readonly number[]): Path {
  const path = buildPath(2 * heights.length);
  for (const y of heights) path.move(x, y).line(x + width, y);
  return path.done();
}

/** Upright lines from top to bottom of a rectangle. @param places x of each */
export function uprightLines({ y, height }: Pick<Rect, 'y' | 'height'>, places: readonly number[]): Path {
  const path = buildPath(2 * places.length);
  for (const x of places) path.move(x, y).line(x, y + height);
  return path.done();
}

/** The shortest line that every output writes, in points. */
const SPECK = 0.02;

/** Round dots. @param places x and y of each in turn */
export function dots(
  places: readonly number[],
  diameter: number,
  look: Pick<LineLook, 'gray' | 'color'>,
): Mark {
  const path = buildPath(places.length);
  // A line with round ends, next to no length, is a dot in a fifth of the bytes of a circle. Of no length at all it would
  // be left out by the canvas (HTML, “trace a path”).
  for (let i = 0; i < places.length; i += 2)
    path.move(places[i]! - SPECK / 2, places[i + 1]!).line(places[i]! + SPECK / 2, places[i + 1]!);
  return { type: 'path', path: path.done(), stroke: { width: diameter, paint: paintOf(look), cap: 'round' } };
}

/**
 * Writing lines with the last on the lower edge, so that facing pages meet: as many as leave a whole pitch to write in
 * above the first. @returns y of each, from above
 */
export function writingLines({ y, height }: Pick<Rect, 'y' | 'height'>, pitch: number): number[] {
  const count = Math.max(0, Math.floor(height / pitch + 1e-6));
  return Array.from({ length: count }, (_, i) => y + height - (count - 1 - i) * pitch);
}

/** What ink reaches beyond its place besides half its weight, in points: heavier lines of a grid, the arm of a letter. */
const REACH = 1.2;

/**
 * The room of a paper: drawn in where its edge is that of the safe area, which nothing may leave, not even half the weight of
 * a line.
 */
export function inkRoom(body: Rect, safe: Rect, { weight = 1 }: { weight?: number }): Rect {
  const reach = weight / 2 + REACH;
  return innermost(body, {
    x: safe.x + reach,
    y: safe.y + reach,
    width: safe.width - 2 * reach,
    height: safe.height - 2 * reach,
  });
}

/** As many whole cells as fit, in the middle of a rectangle. */
export function wholeCells(
  area: Rect,
  width: number,
  height = width,
): Rect & { columns: number; rows: number } {
  const columns = Math.max(0, Math.floor(area.width / width + 1e-6));
  const rows = Math.max(0, Math.floor(area.height / height + 1e-6));
  return {
    columns,
    rows,
    x: area.x + (area.width - columns * width) / 2,
    y: area.y + (area.height - rows * height) / 2,
    width: columns * width,
    height: rows * height,
  };
}

/** First to last of `count` steps from `from`. */
export const steps = (from: number, step: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => from + i * step);

/** Whether a grid covers the whole sheet: where that is wished, and there is bleed to run into. Otherwise it keeps to the margins. */
export const runsOver = (extent: 'margins' | 'bleed', frame: Pick<PageFrame, 'media' | 'trim'>): boolean =>
  extent === 'bleed' && hasBleed(frame);

export const hasBleed = ({ media, trim }: Pick<PageFrame, 'media' | 'trim'>): boolean =>
  media.height > trim.height;

/**
 * Cells that cover a sheet, more than reach its edges, a corner of one in the middle of the trimmed page.
 */
export function coveringCells(
  { media, trim }: Pick<PageFrame, 'media' | 'trim'>,
  width: number,
  height = width,
): Rect & { columns: number; rows: number } {
  const [middleX, middleY] = [trim.x + trim.width / 2, trim.y + trim.height / 2];
  const left = Math.ceil(middleX / width);
  const above = Math.ceil(middleY / height);
  const columns = left + Math.ceil((media.width - middleX) / width);
  const rows = above + Math.ceil((media.height - middleY) / height);
  return {
    columns,
    rows,
    x: middleX - left * width,
    y: middleY - above * height,
    width: columns * width,
    height: rows * height,
  };
}

/** Marks that may leave the safe area, cut at the sheet. */
export const overEdge = (marks: Mark[], { media }: Pick<PageFrame, 'media'>): Mark[] => [
  {
    type: 'group',
    background: true,
    clip: {
      path: buildPath(5)
        .move(0, 0)
        .line(media.width, 0)
        .line(media.width, media.height)
        .line(0, media.height)
        .close()
        .done(),
    },
    marks,
  },
];
