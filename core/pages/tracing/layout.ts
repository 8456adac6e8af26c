import { type Alphabet, write } from '../../letters/index.ts';
import type { Rect } from '../../print/index.ts';
import type { DrawContext, Unit } from '../kind.ts';
import { inkRoom } from '../paper/lines.ts';
import { heightOf, TAIL } from '../paper/writing-heights.ts';
import type { TracingEntry } from './entries.ts';
import type { TracingOptions } from './options.ts';

export type Room = Omit<DrawContext<TracingOptions, never>, 'items' | 'resources' | 'book' | 'hyphenate'>;

export const entryOn = ({ data }: Unit): TracingEntry => data as TracingEntry;

/** Between rows, in heights. */
const GAP = 0.18;
/** Height of a model against that of a row, and of the box it stands in against the model. */
export const MODEL = 1.5;
const BOX = 1.85;
/** Tenths of a height: between copies in a row, and to the edge of a row. */
/** Tenths of a height: to the edge of a row. */
export const INSET = 2;

export interface Row {
  /** Of the top line, in points. */
  top: number;
  /** A word or line that is traced; empty to write in. */
  text: string;
  look: 'full' | 'faint' | 'first' | 'empty';
  /** A line of a sentence, which is not repeated beside itself. */
  once: boolean;
}

interface Layout {
  height: number;
  heading: Rect | null;
  box: Rect | null;
  rows: Row[];
  /** Texts of the page broken into lines that a row holds. */
  texts: string[];
}

export const unitOf = (height: number): number => height / 10;

/** Breaks a text into lines that a row holds, at its spaces. */
export function linesOf(text: string, alphabet: Alphabet, width: number, height: number): string[] {
  const room = width / unitOf(height) - 2 * INSET;
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const longer = lines.length ? `${lines.at(-1)} ${word}` : word;
    if (lines.length && write(longer, alphabet).width <= room) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}

/** The model is left out where it is a whole line that stands in the rows anyway. */
function modelOf(
  { model, motif: picture, count }: TracingEntry,
  { alphabet }: TracingOptions,
  width: number,
  height: number,
) {
  const own = unitOf(height * MODEL);
  const room = (width * (picture || count ? 0.6 : 1)) / own - 2 * INSET;
  return write(model, alphabet).width <= room ? { picture, count } : null;
}

export function layoutOf({ body, frame, options: chosen, unit }: Room): Layout {
  const height = heightOf(chosen);
  const entry = entryOn(unit);
  const room = inkRoom(body, frame.safe, { weight: 2 });
  const scale = frame.grid.typeScale;
  const headed = chosen.heading !== 'none';
  const heading = headed ? { ...room, height: 26 * scale } : null;
  let y = room.y + (heading ? heading.height + 8 * scale : 0);
  const bottom = room.y + room.height;
  const row = height * (1 + TAIL + GAP);
  const modelled = modelOf(entry, chosen, room.width, height);
  let box: Rect | null = null;
  if (modelled && bottom - y >= height * MODEL * BOX + 2 * row) {
    box = { ...room, y, height: height * MODEL * BOX };
    y += box.height + height * 0.35;
  }
  const count = Math.max(0, Math.floor((bottom - y + GAP * height + 1e-6) / row));
  const step = count > 1 ? (bottom - y - height * (1 + TAIL)) / (count - 1) : 0;
  const groups = entry.rows.map((text) => linesOf(text, chosen.alphabet, room.width, height));
  const texts = groups.flat();
  return {
    height,
    heading,
    box,
    texts,
    rows: rowsOf(groups, count, chosen).map((one, i) => ({ ...one, top: y + i * step })),
  };
}

/** What each row holds: words in turn, the lines of a sentence after each other, with less guidance from time to time. */
function rowsOf(
  groups: readonly (readonly string[])[],
  count: number,
  { practice, guidance }: TracingOptions,
): Omit<Row, 'top'>[] {
  const needed = groups.flat().length;
  const empty = Math.min(practice, Math.max(0, count - needed));
  const rows: Omit<Row, 'top'>[] = [];
  let left = Math.max(0, count - empty);
  groups.forEach((lines, i) => {
    // As often as the others, the first ones once more where it does not come out even.
    const times = Math.max(1, Math.ceil(left / lines.length / (groups.length - i) - 1e-6));
    const own = Math.min(left, groups.length === 1 ? left : times * lines.length);
    for (let k = 0; k < own; k++) {
      const time = Math.floor(k / lines.length);
      const last = Math.max(1, Math.ceil(own / lines.length) - 1);
      const share = time / last;
      const look = share < 0.34 ? 'full' : share < 0.8 ? 'faint' : 'first';
      rows.push({
        text: lines[k % lines.length]!,
        look: guidance === 'falling' ? look : guidance,
        once: lines.length > 1,
      });
    }
    left -= own;
  });
  return [
    ...rows,
    ...Array.from(
      { length: count - rows.length },
      (): Omit<Row, 'top'> => ({ text: '', look: 'empty', once: true }),
    ),
  ];
}
