import type { RandomStream } from '../../../random.ts';

/** A grid with blocks, row by row: 1 for one. */
export interface Pattern {
  columns: number;
  rows: number;
  blocks: Uint8Array;
}

export interface PatternOrder {
  columns: number;
  rows: number;
  /** Blocks that are wanted; one more or fewer where the middle asks for it. */
  blocks: number;
  /** Letters of the longest word. */
  longest: number;
}

const STARTS = 6;
const MOVES_A_CELL = 5;
/** How much worse a move may be at first; it falls to nothing. */
const HEAT = 3;
const FORBIDDEN = 1000;
/** What a word costs by its length: many of three letters are dull, long ones hard to cross. */
const COST_BY_LENGTH = [0, FORBIDDEN, FORBIDDEN, 0.5, 0, 0, 0.3, 1, 2, 3, 4.5, 6.5];
const COST_LONGER = 2;
/** What areas of cells cost, by columns and rows: without a block they are hard to fill, all blocks they look like a hole. */
const AREAS = [
  { columns: 4, rows: 4, value: 0, cost: 1.5 },
  { columns: 3, rows: 5, value: 0, cost: 0.6 },
  { columns: 5, rows: 3, value: 0, cost: 0.6 },
  { columns: 2, rows: 2, value: 1, cost: 4 },
  { columns: 3, rows: 1, value: 1, cost: 1 },
  { columns: 1, rows: 3, value: 1, cost: 1 },
] as const;

/** Cells of every run between blocks, rows first and then columns. */
export function runs({ columns, rows, blocks }: Pattern): number[][] {
  const found: number[][] = [];
  const along = (first: number, step: number, length: number) => {
    let run: number[] = [];
    for (let i = 0; i <= length; i++) {
      const at = first + i * step;
      if (i < length && !blocks[at]) run.push(at);
      else if (run.length) {
        found.push(run);
        run = [];
      }
    }
  };
  for (let row = 0; row < rows; row++) along(row * columns, 1, columns);
  for (let column = 0; column < columns; column++) along(column, columns, rows);
  return found;
}

function costOf({ columns, rows, blocks }: Pattern, longest: number): number {
  let cost = 0;
  const add = (length: number) => {
    if (!length) return;
    cost +=
      length > longest
        ? FORBIDDEN
        : (COST_BY_LENGTH[length] ??
          COST_BY_LENGTH.at(-1)! + COST_LONGER * (length - COST_BY_LENGTH.length + 1));
  };
  const along = (first: number, step: number, length: number) => {
    let run = 0;
    for (let i = 0, at = first; i < length; i++, at += step)
      if (blocks[at]) {
        add(run);
        run = 0;
      } else run++;
    add(run);
  };
  for (let row = 0; row < rows; row++) along(row * columns, 1, columns);
  for (let column = 0; column < columns; column++) along(column, columns, rows);
  return cost + costOfAreas({ columns, rows, blocks });
}

/** Counts areas by their lower right corner: as many columns beside each other that are all alike for as many rows. */
function costOfAreas({ columns, rows, blocks }: Pattern): number {
  let cost = 0;
  const depths = new Uint8Array(columns);
  const before = new Uint8Array(columns).fill(2);
  const streaks = new Uint8Array(AREAS.length);
  for (let row = 0, at = 0; row < rows; row++) {
    streaks.fill(0);
    for (let column = 0; column < columns; column++, at++) {
      const value = blocks[at]!;
      const depth = before[column] === value ? depths[column]! + 1 : 1;
      depths[column] = depth;
      before[column] = value;
      for (let i = 0; i < AREAS.length; i++) {
        const area = AREAS[i]!;
        const streak = value === area.value && depth >= area.rows ? streaks[i]! + 1 : 0;
        streaks[i] = streak;
        if (streak >= area.columns) cost += area.cost;
      }
    }
  }
  return cost;
}

/** Every cell without a block is reached from every other. */
function hangsTogether({ columns, rows, blocks }: Pattern): boolean {
  const first = blocks.indexOf(0);
  const seen = new Set([first]);
  for (const at of seen) {
    const column = at % columns;
    const row = Math.floor(at / columns);
    for (const [next, exists] of [
      [at - 1, column > 0],
      [at + 1, column < columns - 1],
      [at - columns, row > 0],
      [at + columns, row < rows - 1],
    ] as const)
      if (exists && !blocks[next]) seen.add(next);
  }
  return seen.size === blocks.length - blocks.reduce((sum, block) => sum + block, 0);
}

/**
 * Blocks that look the same when the grid is turned by half, no word shorter than three letters or longer than wished, all cells
 * hanging together. Pairs of blocks are moved about while that makes the grid better: few words of three letters, few long ones, no large open
 * areas (simulated annealing, Kirkpatrick, Gelatt, Vecchi 1983).
 * @returns null where no such grid was found
 */
export function patternOf(order: PatternOrder, random: RandomStream): Pattern | null {
  for (let start = 0; start < STARTS; start++) {
    const pattern = annealed(order, random);
    if (costOf(pattern, order.longest) < FORBIDDEN && hangsTogether(pattern)) return pattern;
  }
  return null;
}

function annealed({ columns, rows, blocks: wanted, longest }: PatternOrder, random: RandomStream): Pattern {
  const cells = columns * rows;
  const pattern: Pattern = { columns, rows, blocks: new Uint8Array(cells) };
  const { blocks } = pattern;
  const half = Math.floor(cells / 2);
  const places = random.shuffled(Array.from({ length: half }, (_, at) => at));
  const used = Math.min(half, Math.round(wanted / 2));
  const set = (at: number, value: number) => {
    blocks[at] = value;
    blocks[cells - 1 - at] = value;
  };
  for (const at of places.slice(0, used)) set(at, 1);
  let cost = costOf(pattern, longest);
  const moves = MOVES_A_CELL * cells;
  for (let move = 0; move < moves; move++) {
    const heat = HEAT * (1 - move / moves);
    const i = random.int(used);
    const j = used + random.int(half - used);
    set(places[i]!, 0);
    set(places[j]!, 1);
    const next = costOf(pattern, longest);
    if (next <= cost || random.unit() < Math.exp((cost - next) / heat)) {
      cost = next;
      [places[i], places[j]] = [places[j]!, places[i]!];
    } else {
      set(places[j]!, 0);
      set(places[i]!, 1);
    }
  }
  return pattern;
}
