import type { RandomStream } from '../../random.ts';
import type { Crossword, Entry } from './grid.ts';

export interface FreeFormOrder {
  /** Letters of each word; two at least. */
  words: readonly (readonly string[])[];
  /** So many of them are enough: those that go together best. All if left out. */
  enough?: number | undefined;
  /** The grid grows no larger. */
  columns: number;
  rows: number;
}

/** Layouts that are made for each word, of which the best is kept. */
const LAYOUTS_A_WORD = 80;
/** So many times as many where words found no place. */
const LONGER = 4;
/** Share of them that begin anew, the first ones. */
const ANEW = 0.1;
/** As many are made at once. */
const AT_ONCE = 25;
/** What a letter that two words share counts against a cell that the grid grows by. */
const SHARED = 9;
/** How much chance there is in the choice of a place, in the same measure. */
const CHANCE = 20;

/** How far words are from standing in the order of their lengths, by the longest. */
const ORDER = 0.8;
/** What another shape than the one that is asked for counts against the area. */
const SHAPE = 0.25;

/** Room for a layout that begins in the middle and may grow to any side. */
class Board {
  readonly width: number;
  readonly height: number;
  readonly letters: Int16Array;
  /** Directions in which a letter is read already: 1 across, 2 down. */
  readonly read: Uint8Array;
  readonly places: number[][];
  entries: Entry[] = [];
  left = 0;
  right = -1;
  top = 0;
  bottom = -1;

  constructor(
    private readonly order: FreeFormOrder,
    codes: number,
  ) {
    // One cell around, so that what is beside a letter can be asked for everywhere.
    this.width = 2 * order.columns + 2;
    this.height = 2 * order.rows + 2;
    this.letters = new Int16Array(this.width * this.height).fill(-1);
    this.read = new Uint8Array(this.width * this.height);
    this.places = Array.from({ length: codes }, () => []);
  }

  /** Letters that a word would share there; −1 where it cannot stand. */
  shared(codes: Int16Array, column: number, row: number, across: boolean): number {
    const { width, letters, read } = this;
    const step = across ? 1 : width;
    const side = across ? width : 1;
    const bit = across ? 1 : 2;
    const first = row * width + column;
    const n = codes.length;
    if (letters[first - step]! >= 0 || letters[first + n * step]! >= 0) return -1;
    let shared = 0;
    for (let i = 0, at = first; i < n; i++, at += step) {
      const there = letters[at]!;
      if (there === codes[i]) {
        if (read[at]! & bit) return -1;
        shared++;
      } else if (there >= 0 || letters[at - side]! >= 0 || letters[at + side]! >= 0) return -1;
    }
    return shared;
  }

  /** Width and height of the whole with a word there; null where that is more than is allowed. */
  sizeWith(n: number, column: number, row: number, across: boolean): [number, number] | null {
    const { left, right, top, bottom, order } = this;
    const wide = Math.max(right, across ? column + n - 1 : column) - Math.min(left, column) + 1;
    const high = Math.max(bottom, across ? row : row + n - 1) - Math.min(top, row) + 1;
    return wide > order.columns || high > order.rows ? null : [wide, high];
  }

  lay(word: number, codes: Int16Array, column: number, row: number, across: boolean): void {
    const step = across ? 1 : this.width;
    for (let i = 0, at = row * this.width + column; i < codes.length; i++, at += step) {
      if (this.letters[at]! < 0) {
        this.letters[at] = codes[i]!;
        this.places[codes[i]!]!.push(at);
      }
      this.read[at]! |= across ? 1 : 2;
    }
    const [wide, high] = across ? [codes.length, 1] : [1, codes.length];
    const isFirst = this.entries.length === 0;
    this.left = isFirst ? column : Math.min(this.left, column);
    this.top = isFirst ? row : Math.min(this.top, row);
    this.right = Math.max(this.right, column + wide - 1);
    this.bottom = Math.max(this.bottom, row + high - 1);
    this.entries.push({ word, column, row, across });
  }

  get area(): number {
    return (this.right - this.left + 1) * (this.bottom - this.top + 1);
  }

  /** Its area, more where it is of another shape than what it may grow to. */
  get cost(): number {
    const { columns, rows } = this.order;
    const ratio = ((this.right - this.left + 1) * rows) / ((this.bottom - this.top + 1) * columns);
    return this.area * (1 + SHAPE * Math.abs(Math.log(ratio)));
  }
}

/** Lays one word where it shares most and lets the grid grow least, with some chance. @returns whether there was a place */
function layBest(board: Board, word: number, codes: Int16Array, random: RandomStream): boolean {
  const n = codes.length;
  let best: [column: number, row: number, across: boolean] | null = null;
  let highest = Number.NEGATIVE_INFINITY;
  const { width, area } = board;
  for (let i = 0; i < n; i++)
    for (const at of board.places[codes[i]!]!) {
      const read = board.read[at]!;
      if (read === 3) continue;
      const across = read === 2;
      const column = (at % width) - (across ? i : 0);
      const row = Math.floor(at / width) - (across ? 0 : i);
      if (
        column < 1 ||
        row < 1 ||
        column + (across ? n : 1) >= width ||
        row + (across ? 1 : n) >= board.height
      )
        continue;
      const size = board.sizeWith(n, column, row, across);
      if (!size) continue;
      const shared = board.shared(codes, column, row, across);
      if (shared < 0) continue;
      const worth = SHARED * shared - (size[0] * size[1] - area) + random.unit() * CHANCE;
      if (worth <= highest) continue;
      highest = worth;
      best = [column, row, across];
    }
  if (!best) return false;
  board.lay(word, codes, ...best);
  return true;
}

/**
 * Words that cross each other freely, as many as find a place and as dense as it comes: greedily, longest words more or less first,
 * over many layouts.
 * @returns the best layout and the words that found no place in it; its grid begins at the first letter of each side. Gives way
 *   after some layouts.
 */
export function* freeFormSteps(
  order: FreeFormOrder,
  random: RandomStream,
): Generator<void, { grid: Crossword; leftOut: number[] }> {
  const alphabet: string[] = [];
  const codeOf = new Map<string, number>();
  const coded = order.words.map((letters) =>
    Int16Array.from(letters, (letter) => {
      const known = codeOf.get(letter) ?? alphabet.push(letter) - 1;
      codeOf.set(letter, known);
      return known;
    }),
  );
  const longest = Math.max(1, ...coded.map(({ length }) => length));
  let best: Board | null = null;
  const enough = Math.min(coded.length, order.enough ?? coded.length);
  const layouts = Math.max(1, LAYOUTS_A_WORD * enough);
  const isWhole = () => best?.entries.length === enough;
  for (let layout = 0; layout < layouts || (layout < layouts * LONGER && !isWhole()); layout++) {
    const board = new Board(order, alphabet.length);
    // After some that begin anew, the best is taken up again from somewhere within.
    const kept = best && layout >= layouts * ANEW ? random.int(best.entries.length) : 0;
    for (const { word, column, row, across } of best?.entries.slice(0, kept) ?? [])
      board.lay(word, coded[word]!, column, row, across);
    const laidAlready = new Set(board.entries.map(({ word }) => word));
    const key = coded.map(({ length }) => length + random.unit() * longest * ORDER);
    let waiting = [...coded.keys()]
      .filter((word) => !laidAlready.has(word))
      .sort((a, b) => key[b]! - key[a]!);
    // What finds no place may find one among words that are laid later.
    for (let laid = true; laid && waiting.length; ) {
      laid = false;
      waiting = waiting.filter((word) => {
        if (board.entries.length === enough) return true;
        const codes = coded[word]!;
        if (board.entries.length === 0) {
          const across = codes.length <= order.columns && (codes.length > order.rows || random.int(2) === 0);
          if (!across && codes.length > order.rows) return true;
          board.lay(word, codes, Math.floor(order.columns / 2) + 1, Math.floor(order.rows / 2) + 1, across);
          laid = true;
          return false;
        }
        const found = layBest(board, word, codes, random);
        laid ||= found;
        return !found;
      });
    }
    const isBetter =
      !best ||
      board.entries.length > best.entries.length ||
      (board.entries.length === best.entries.length && board.cost < best.cost);
    if (isBetter) best = board;
    if (layout % AT_ONCE === AT_ONCE - 1) yield;
  }
  return gridOf(best!, alphabet, order.words.length);
}

function gridOf(
  { letters, width, left, top, right, bottom, entries }: Board,
  alphabet: readonly string[],
  words: number,
): { grid: Crossword; leftOut: number[] } {
  const [columns, rows] = [Math.max(0, right - left + 1), Math.max(0, bottom - top + 1)];
  const laid = new Set(entries.map(({ word }) => word));
  return {
    grid: {
      columns,
      rows,
      letters: Array.from({ length: columns * rows }, (_, at) => {
        const code = letters[(top + Math.floor(at / columns)) * width + left + (at % columns)]!;
        return code < 0 ? null : alphabet[code]!;
      }),
      entries: entries.map((entry) => ({ ...entry, column: entry.column - left, row: entry.row - top })),
    },
    leftOut: Array.from({ length: words }, (_, word) => word).filter((word) => !laid.has(word)),
  };
}
