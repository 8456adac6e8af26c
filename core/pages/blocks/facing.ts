import type { Rect } from '../../print/index.ts';
import { type ArrangedPage, arrangeAt, GAP, heightsOf, pensFor, tooSmallIn, withRoom } from './arrange.ts';
import { type Block, eachBlock } from './block.ts';
import { FEWEST_ROWS } from './columns.ts';
import { blockKind } from './kinds/index.ts';
import type { Pen } from './pen.ts';

/** A way to share out blocks between two pages that face each other. */
interface Parting {
  left: readonly Block[];
  right: readonly Block[];
  /** What is torn apart by it, as units of uneven height that it is worth. */
  harm: number;
  /** The blocks that were parted, by their parts. */
  whole: readonly (readonly [part: Block, of: Block])[];
}

/** Two pages that face each other. */
export interface FacingPages {
  left: ArrangedPage;
  right: ArrangedPage;
  /** The blocks of the design that stand on them in another form, by what stands there. */
  whole: ReadonlyMap<Block, Block>;
}

/**
 * Harm of parting what stands together: columns, which then stand one on each page; one of several columns, whose rest stays as narrow
 * as it was; rows of one block; what is in a frame. And that of each unit of a page that no block takes, or that is too much for it.
 */
const HARM = { columns: 2, column: 14, rows: 6, frame: 9, empty: 2, over: 4 };
/** What is too small to write in, against one block that leaves: of two ways that hold all, the one with less of it. */
const SMALL = 0.001;
/** So many ways are tried, the best first: a design of hundreds of blocks has thousands. */
const MOST_TRIED = 40;
/** Of cuts by rows no more are looked at; no design that ships has as many. */
const MOST_CUTS = 200;
/** Half of a design may have nothing that grows: its blocks then stay together, and the foot of the page is free. In units. */
const MOST_GAP = 3;

const onlySpace = (blocks: readonly Block[]): boolean => blocks.every(({ type }) => type === 'space');

/** Blocks without the empty room at their beginning or end: pages have margins. */
function trimmed(blocks: readonly Block[]): readonly Block[] {
  const kept = blocks.flatMap(({ type }, i) => (type === 'space' ? [] : [i]));
  return blocks.slice(kept[0], (kept.at(-1) ?? -1) + 1);
}

/** How many ways there are to cut a block by its rows: none is left with fewer than half as many as it takes. */
const cutsOf = (block: Block): number =>
  block.of ? 0 : Math.max(0, (blockKind(block).cut?.rows(block) ?? 0) - FEWEST_ROWS + 1);

/** All ways to part the blocks of a design; of cuts by rows some, where there are very many. */
function allPartings(blocks: readonly Block[]): Parting[] {
  const cuts = [...eachBlock(blocks)].reduce((sum, block) => sum + cutsOf(block), 0);
  return partingsOf(blocks, Math.max(1, Math.ceil(cuts / MOST_CUTS)));
}

/** Ways to part blocks that stand one below the other: between two of them, or within one. @param step of so many cuts, one */
function partingsOf(blocks: readonly Block[], step: number): Parting[] {
  const between = blocks
    .slice(1)
    .map((_, i) => ({ left: blocks.slice(0, i + 1), right: blocks.slice(i + 1), harm: 0, whole: [] }));
  const within = blocks.flatMap((block, i) =>
    partingsWithin(block, step).map(({ left, right, ...more }) => ({
      left: [...blocks.slice(0, i), ...left],
      right: [...right, ...blocks.slice(i + 1)],
      ...more,
    })),
  );
  return [...between, ...within]
    .filter(({ left, right }) => !onlySpace(left) && !onlySpace(right))
    .map(({ left, right, ...more }) => ({ left: trimmed(left), right: trimmed(right), ...more }));
}

function partingsWithin(block: Block, step: number): Parting[] {
  if (!block.of) {
    const cuts = cutsOf(block);
    return Array.from({ length: Math.ceil(cuts / step) }, (_, i) => {
      const at = i * step + Math.floor(Math.min(step, cuts) / 2);
      const [left, right] = blockKind(block).cut!.at(block, Math.min(at, cuts - 1) + FEWEST_ROWS / 2) as [
        Block,
        Block,
      ];
      return {
        left: [left],
        right: [right],
        harm: HARM.rows,
        whole: [
          [left, block],
          [right, block],
        ] as const,
      };
    });
  }
  const { type, of } = block;
  return partingsOf(of, step).map((parting) => {
    // More than there were: one of them was parted.
    const within = parting.left.length + parting.right.length > of.length;
    const harm =
      type === 'columns' ? (within ? HARM.column : HARM.columns) : type === 'group' ? HARM.frame : 0;
    const [left, right] = [
      { ...block, of: [...parting.left] },
      { ...block, of: [...parting.right], ...(block.title ? { title: '' } : {}) },
    ];
    return {
      left: [left],
      right: [right],
      harm: parting.harm + harm,
      whole: [...parting.whole, [left, block], [right, block]],
    };
  });
}

/**
 * Ways to part the blocks, those first that leave both pages about as full, and no part of a page empty.
 * @param like what says how full they are: the same blocks, with other words in them
 */
function byEvenness(
  blocks: readonly Block[],
  like: readonly Block[],
  { width, height }: Rect,
  pen: Pen,
): Parting[] {
  const known = new Map<Block, ReturnType<typeof heightsOf>>();
  const heights = (block: Block) => {
    const own = known.get(block) ?? heightsOf(block, width, pen);
    known.set(block, own);
    return own;
  };
  const units = Math.floor(height / pen.unit);
  const page = (all: readonly Block[]) => {
    const sum = (of: 'least' | 'most') => all.reduce((so, block) => so + heights(block)[of] + GAP, -GAP);
    const [least, most] = [sum('least'), sum('most')];
    return { least, harm: HARM.empty * Math.max(0, units - most) + HARM.over * Math.max(0, least - units) };
  };
  const costOf = ({ left, right, harm }: Parting): number => {
    const [one, other] = [page(left), page(right)];
    return Math.abs(one.least - other.least) + one.harm + other.harm + harm;
  };
  const own = allPartings(blocks);
  const models = allPartings(like);
  const costs = (models.length === own.length ? models : own).map(costOf);
  return own
    .map((parting, i) => ({ parting, cost: costs[i]! }))
    .sort((a, b) => a.cost - b.cost)
    .slice(0, MOST_TRIED)
    .map(({ parting }) => parting);
}

/** Blocks with no more beside each other than there is room to write in, and what they were; those in columns stay as they are. */
function loosened(blocks: readonly Block[], width: number, pen: Pen) {
  const was = new Map<Block, Block>();
  const loose = blocks.map((block) => {
    const one = block.of ? block : withRoom(block, width, pen);
    if (one !== block) was.set(one, block);
    return one;
  });
  return { loose, was };
}

/**
 * Shares out the blocks of a design between two pages that face each other: between two blocks or within one, where both pages come
 * to be about as full. What is too small to write in for want of width has more height. Lines are closer together on both, and blocks
 * leave by rank, only where they do not fit in any way otherwise. One block that cannot be parted stands on the left page alone.
 * @param like the blocks with the words that say where they are best parted, so that all pages of a section are parted there
 * @param area of one of the pages, and as large on the other: what stands there is placed as if it were on this one
 */
export function arrangeFacing(
  blocks: readonly Block[],
  like: readonly Block[],
  area: Rect,
  pen: Pen,
): FacingPages {
  const { loose, was } = loosened(blocks, area.width, pen);
  const ways = byEvenness(loose, loosened(like, area.width, pen).loose, area, pen);
  if (ways.length === 0) ways.push({ left: loose, right: [], harm: 0, whole: [] });
  let best: FacingPages | null = null;
  let least = Infinity;
  for (const closer of pensFor(pen)) {
    for (const way of ways) {
      const pages = {
        left: { ...arrangeAt(way.left, area, closer, MOST_GAP), pen: closer },
        right: { ...arrangeAt(way.right, area, closer, MOST_GAP), pen: closer },
        whole: new Map([...was, ...way.whole.map(([part, of]) => [part, was.get(of) ?? of] as const)]),
      };
      const sides = [pages.left, pages.right];
      const missing = sides.reduce((sum, side) => sum + Math.max(0, side.missing), 0);
      const gone = sides.reduce((sum, side) => sum + side.left.length, 0);
      const small = missing === 0 ? sides.reduce((sum, side) => sum + tooSmallIn(side, closer), 0) : 0;
      if (missing === 0 && gone === 0 && small === 0) return pages;
      // What is dear and does not fit counts before what may leave.
      const cost = missing * 100 + gone + small * SMALL;
      if (cost < least) [best, least] = [pages, cost];
    }
    // Lines come closer together for want of height, not of width.
    if (least < 1) return best!;
  }
  return best!;
}
