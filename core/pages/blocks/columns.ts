import { points } from '../paper/settings.ts';
import type { Block } from './block.ts';
import { blockKind } from './kinds/index.ts';
import { type Pen, size } from './pen.ts';

/** Between blocks beside each other, in millimeters at 6 × 9 in. */
export const BESIDE = 5;

const PLACE = { width: 1, rank: 0 };
/** Blocks in two columns, in each way to part them. */
const parted = (blocks: readonly Block[]): Block[] =>
  blocks.slice(1).map((_, i) => ({
    ...PLACE,
    type: 'columns',
    of: [
      { ...PLACE, type: 'stack', of: blocks.slice(0, i + 1) },
      { ...PLACE, type: 'stack', of: blocks.slice(i + 1) },
    ],
  }));

/** Blocks in another form, and what of them stands for what. */
export interface Way<Form> {
  blocks: Form;
  was: ReadonlyMap<Block, Block>;
}

/** A block with fewer rows is not parted. */
export const FEWEST_ROWS = 4;

/** Three columns are set where each is so wide, in points, and nothing in them is too small at that. */
const LEAST_OF_THREE = points(45, 'mm');

/** The rows of a block in so many columns. */
function rowsInColumns(block: Block, columns: number, pen: Pen): Way<Block>[] {
  const { cut, evenRows, tooSmall } = blockKind(block);
  const rows = cut?.rows(block) ?? 0;
  if (rows < Math.max(FEWEST_ROWS, 2 * columns)) return [];
  if (columns > 2 && tooSmall?.(block, { x: 0, y: 0, width: LEAST_OF_THREE, height: Infinity }, pen))
    return [];
  const parts: Block[] = [];
  let rest = block;
  for (let left = columns; left > 1; left--) {
    const [part, after] = cut!.at(rest, Math.ceil(cut!.rows(rest) / left)) as [Block, Block];
    parts.push(part);
    rest = after;
  }
  parts.push(rest);
  if (pen.bestWay && evenRows && !block.title) {
    const most = cut!.rows(parts[0]!);
    for (const part of parts) if (cut!.rows(part) < most) part.ofHighest = cut!.rows(part) / most;
  }
  const { width, rank, weight } = block;
  return [
    {
      blocks: { type: 'columns', width, rank, weight, of: parts },
      was: new Map(parts.map((part) => [part, block])),
    },
  ];
}

/** Ways to set one block in columns: what is in a frame in two, or the rows of one that has enough. */
function oneInColumns(block: Block, columns: number, pen: Pen): Way<Block>[] {
  const { type, of } = block;
  if (!of) return rowsInColumns(block, columns, pen);
  const own =
    type === 'group' && columns === 2 ? parted(of).map((blocks) => ({ blocks, was: new Map() })) : [];
  const within = of.length === 1 ? oneInColumns(of[0]!, columns, pen) : [];
  return [...own, ...within].map(({ blocks, was }) => ({ blocks: { ...block, of: [blocks] }, was }));
}

/** Ways to set the blocks of a wide page in columns: all of them in two, or what is within one, in three at the last. */
export function inColumns(blocks: readonly Block[], width: number, pen: Pen): Way<Block[]>[] {
  const within = (columns: number) =>
    blocks.flatMap((block, i) =>
      oneInColumns(block, columns, pen).map(({ blocks: way, was }) => ({ blocks: blocks.with(i, way), was })),
    );
  const three = pen.bestWay && width - 2 * size(pen, BESIDE) >= 3 * LEAST_OF_THREE;
  return [
    ...parted(blocks).map((two) => ({ blocks: [two], was: new Map() })),
    ...(pen.leastWidths ? within(2) : []),
    ...(three ? within(3) : []),
  ];
}
