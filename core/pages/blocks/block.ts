import * as v from 'valibot';
import type { Rect } from '../../print/index.ts';
import type { Mark } from '../../scene/index.ts';
import { integerBetween, numberBetween, text } from '../../schema.ts';
import type { IconId } from './icons.ts';
import type { Pen } from './pen.ts';

/** What every block says of its place. */
export const placeEntries = {
  /** Share of the free height; 0 keeps its least. */
  weight: v.optional(numberBetween(0, 20)),
  /** Share of the width, beside others. */
  width: v.optional(numberBetween(0.1, 20), 1),
  /** Blocks with a higher rank leave first where there is no room; 0 never leaves. */
  rank: v.optional(integerBetween(0, 9), 0),
};

export interface Place {
  type: string;
  weight?: number | undefined;
  width: number;
  rank: number;
  /** How many of its rows stand on the page before, where it was parted between two. */
  after?: number;
  /** Beside the other rows of the same block, and fewer than those of the highest: its share of their height. */
  ofHighest?: number;
}

/** A block of a page: of a sort, with its entries, or one that holds others. */
export interface Block extends Place {
  of?: Block[];
  title?: string;
  icon?: IconId;
  /** Its sort, where that is of one kind of page alone and in no design. */
  kind?: BlockKind;
  [entry: string]: unknown;
}

/** All blocks of a page, those that hold others before what they hold. */
export function* eachBlock(blocks: readonly Block[]): Generator<Block> {
  for (const block of blocks) {
    yield block;
    if (block.of) yield* eachBlock(block.of);
  }
}

/** A sort of block: adding one is adding a file and its line in kinds/index.ts. */
export interface BlockKind<Own = unknown> {
  type: string;
  /** What it is called where it is chosen. */
  name: string;
  entries: v.ObjectEntries;
  /** What one begins with where it is put on a page by hand, beside what its entries fill in. */
  fresh?: Readonly<Record<string, unknown>>;
  /** The least height that leaves room for handwriting, in whole units. */
  least(block: Own, width: number, pen: Pen): number;
  /** It grows by so many units at a time; 0 if it never does. */
  step(block: Own, pen: Pen): number;
  /** Units that it does not grow beyond; any number if left out. */
  most?(block: Own): number;
  draw(block: Own, rect: Rect, pen: Pen): Mark[];
  /** How it is parted between two pages that face each other: of how many rows it is, and as two, the first with so many of them. */
  cut?: { rows(block: Own): number; at(block: Own, rows: number): [Own, Own] };
  /** Its rows share out its height among them, below its title. */
  evenRows?: true;
  /** The same with less beside each other and more below, for where what is beside each other is too small to write in. */
  looser?(block: Own, width: number, pen: Pen): Own;
  /** What is too small to write in at this size, or null. */
  tooSmall?(block: Own, rect: Rect, pen: Pen): string | null;
  /** What to say of words that found no room at this size, or null. */
  noRoom?(block: Own, rect: Rect, pen: Pen): string | null;
}

/** As a block is written where a page is put together in code. */
export const block = (type: string, entries: Partial<Block> = {}): Block => ({
  width: 1,
  rank: 0,
  ...entries,
  type,
});

/** A sort of block with its own entries. */
export const defineBlock = <const Entries extends v.ObjectEntries>(
  kind: Omit<BlockKind<v.InferOutput<v.ObjectSchema<Entries, undefined>> & Place>, 'entries'> & {
    entries: Entries;
  },
): BlockKind => kind as unknown as BlockKind;

/** A short text of a block. */
export const words = (max = 60) => v.optional(text(0, max), '');
/** Several of them. */
export const wordList = (most: number, max = 40) => v.pipe(v.array(text(1, max)), v.maxLength(most));

/** Whole units that a height takes. */
export const unitsOf = (height: number, { unit }: Pen): number => Math.ceil(height / unit - 1e-6);
