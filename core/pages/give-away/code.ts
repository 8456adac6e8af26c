import { create } from 'qrcode';
import type { Rect } from '../../print/index.ts';
import { buildPath, type Path } from '../../scene/index.ts';

/** Clear modules around a code (ISO/IEC 18004:2015, 6.3.8). */
export const QUIET = 4;

/** How much of a code may be lost and read all the same: 7, 15, 25 or 30 % (ISO/IEC 18004:2015, table 8). */
export const LEVELS = ['L', 'M', 'Q', 'H'] as const;
export type Level = (typeof LEVELS)[number];

/** A QR code: its modules row by row, black or not. */
export interface Code {
  /** Modules along an edge, without those that are clear around it. */
  size: number;
  isBlack(row: number, column: number): boolean;
}

/**
 * The QR code of a text, as small as it can be.
 * @throws Error for a text that no code holds
 */
export function codeOf(text: string, level: Level): Code {
  const { modules } = create(text, { errorCorrectionLevel: level });
  return { size: modules.size, isBlack: (row, column) => modules.get(row, column) === 1 };
}

/** The black modules of a code in a square: those beside each other as one, so that no seam is seen between them. */
export function codePath({ size, isBlack }: Code, { x, y, width }: Pick<Rect, 'x' | 'y' | 'width'>): Path {
  const module = width / size;
  const path = buildPath(size * size * 4);
  for (let row = 0; row < size; row++)
    for (let column = 0; column < size; column++) {
      if (!isBlack(row, column)) continue;
      const from = column;
      while (column + 1 < size && isBlack(row, column + 1)) column++;
      const [left, right] = [x + from * module, x + (column + 1) * module];
      const [top, bottom] = [y + row * module, y + (row + 1) * module];
      path.move(left, top).line(right, top).line(right, bottom).line(left, bottom).close();
    }
  return path.done();
}
