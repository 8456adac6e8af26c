import type { Block } from '../blocks/block.ts';
import { blockKind } from '../blocks/kinds/index.ts';
import { type Design, HOLDERS, readDesign } from './design.ts';

/** Where a block stands: its place among those of the page, then among those that each holds. */
export type BlockPath = readonly number[];

/** Where a block is put, seen from another: in front of it, behind it, or beside it. */
export type Side = 'above' | 'below' | 'left' | 'right';

type Holder = (typeof HOLDERS)[number];

/** All blocks with their paths, those that hold others before what they hold. */
export function* pathsOf(blocks: readonly Block[], above: BlockPath = []): Generator<[BlockPath, Block]> {
  for (const [i, block] of blocks.entries()) {
    const path = [...above, i];
    yield [path, block];
    if (block.of) yield* pathsOf(block.of, path);
  }
}

/** The block at a path; undefined where there is none. */
export function blockAt(blocks: readonly Block[], [first, ...rest]: BlockPath): Block | undefined {
  const block = first === undefined ? undefined : blocks[first];
  return rest.length ? block?.of && blockAt(block.of, rest) : block;
}

/** A block of a sort as it is put on a page. @throws RangeError for a sort that is none */
export function freshBlock(type: string): Block {
  const holds = (HOLDERS as readonly string[]).includes(type);
  const given = holds
    ? {
        of: [{ type: 'rule' }, ...(type === 'columns' ? [{ type: 'rule' }] : [])],
        ...(type === 'group' ? { title: 'Title' } : {}),
      }
    : (blockKind({ type }).fresh ?? {});
  return readDesign({ name: type, blocks: [{ ...given, type }] }).blocks[0]!;
}

/** Changes the blocks among which a path leads. */
function among(
  blocks: readonly Block[],
  path: BlockPath,
  change: (list: Block[], at: number) => Block[],
): Block[] {
  const [first, ...rest] = path;
  if (first === undefined) return blocks.slice();
  if (rest.length === 0) return change(blocks.slice(), first);
  return blocks.map((block, i) =>
    i === first && block.of ? { ...block, of: among(block.of, rest, change) } : block,
  );
}

/** A block with a share of the width; the very same where it has it, so that whoever knows it finds it again. */
const wide = (block: Block, width: number): Block => (block.width === width ? block : { ...block, width });

/** Holders that hold nothing leave; columns of one block are that block. */
const tidied = (blocks: readonly Block[]): Block[] =>
  blocks.flatMap((block): Block[] => {
    if (!block.of) return [block];
    const of = tidied(block.of);
    if (of.length === 0) return [];
    if (of.length === 1 && block.type !== 'group') {
      const [only] = of;
      return [wide(only!, block.width)];
    }
    return [
      of.every((one, i) => one === block.of![i]) && of.length === block.of.length ? block : { ...block, of },
    ];
  });

const leadsInto = (inner: BlockPath, outer: BlockPath): boolean =>
  inner.length >= outer.length && outer.every((n, i) => n === inner[i]);

/** Changes one block. */
export const changeBlock = (design: Design, path: BlockPath, change: (block: Block) => Block): Design => ({
  ...design,
  blocks: among(design.blocks, path, (list, at) =>
    list.map((block, i) => (i === at ? change(block) : block)),
  ),
});

/** Takes a block out. The last one of a page stays: a page has at least one. */
export function removeBlock(design: Design, path: BlockPath): Design {
  const blocks = tidied(among(design.blocks, path, (list, at) => list.toSpliced(at, 1)));
  return blocks.length ? { ...design, blocks } : design;
}

/** Puts a block on a side of another; beside it, both stand in columns. */
function put(blocks: readonly Block[], path: BlockPath, side: Side, block: Block): Block[] {
  const behind = side === 'below' || side === 'right' ? 1 : 0;
  const parent = blockAt(blocks, path.slice(0, -1));
  const inRow = parent?.type === 'columns';
  const across = side === 'left' || side === 'right';
  return among(blocks, path, (list, at) => {
    const there = list[at];
    if (!there) return [...list, block];
    if (across === inRow) return list.toSpliced(at + behind, 0, block);
    // A row among blocks that stand below each other, or the other way round.
    const holder: Holder = across ? 'columns' : 'stack';
    const { width } = there;
    const [own, beside] = [wide(there, 1), wide(block, 1)];
    const of = behind ? [own, beside] : [beside, own];
    return list.with(at, { type: holder, width, rank: 0, of });
  });
}

/** Puts a new block on a side of the one at a path, or last on the page where there is none. */
export const insertBlock = (design: Design, path: BlockPath | null, side: Side, block: Block): Design => ({
  ...design,
  blocks:
    path && blockAt(design.blocks, path) ? put(design.blocks, path, side, block) : [...design.blocks, block],
});

/** Moves a block to a side of another. Nothing changes where it would stand in itself. */
export function moveBlock(design: Design, from: BlockPath, to: BlockPath, side: Side): Design {
  const moved = blockAt(design.blocks, from);
  const target = blockAt(design.blocks, to);
  if (!moved || !target || leadsInto(to, from)) return design;
  // Its old place is marked while it is put into the new one: places behind it must not shift meanwhile.
  const gone: Block = { type: 'gone', width: 1, rank: 0, of: [] };
  const without = among(design.blocks, from, (list, at) => list.with(at, gone));
  return { ...design, blocks: tidied(put(without, to, side, moved)) };
}

/** Moves a block by one place among those it stands with; over the end, out of the block that holds it. */
export function stepBlock(design: Design, path: BlockPath, step: -1 | 1): Design {
  const at = path.at(-1)!;
  const parent = path.slice(0, -1);
  const list = parent.length ? blockAt(design.blocks, parent)!.of! : design.blocks;
  const next = at + step;
  if (next >= 0 && next < list.length)
    return {
      ...design,
      blocks: among(design.blocks, path, (all) => all.with(at, all[next]!).with(next, all[at]!)),
    };
  return parent.length ? moveBlock(design, path, parent, outSide(design, parent, step)) : design;
}

/** The side of a holder on which what leaves it comes to stand. */
function outSide(design: Design, holder: BlockPath, step: -1 | 1): Side {
  const inRow = holder.length > 1 && blockAt(design.blocks, holder.slice(0, -1))?.type === 'columns';
  return step < 0 ? (inRow ? 'left' : 'above') : inRow ? 'right' : 'below';
}

/** Moves a block into the holder before it, or makes one of both. */
export function nestBlock(design: Design, path: BlockPath): Design {
  const at = path.at(-1)!;
  if (at === 0) return design;
  const before = [...path.slice(0, -1), at - 1];
  const holder = blockAt(design.blocks, before)!;
  if (holder.of)
    return moveBlock(
      design,
      path,
      [...before, holder.of.length - 1],
      holder.type === 'columns' ? 'right' : 'below',
    );
  const inRow = path.length > 1 && blockAt(design.blocks, path.slice(0, -1))?.type === 'columns';
  return moveBlock(design, path, before, inRow ? 'below' : 'right');
}

/** Puts a copy behind a block. */
export const repeatBlock = (design: Design, path: BlockPath): Design => ({
  ...design,
  blocks: among(design.blocks, path, (list, at) => list.toSpliced(at + 1, 0, structuredClone(list[at]!))),
});

/** Puts a block in a frame with a title, or takes it out of its frame. */
export function frameBlock(design: Design, path: BlockPath): Design {
  return {
    ...design,
    blocks: among(design.blocks, path, (list, at) => {
      const block = list[at]!;
      if (block.type === 'group' && block.of) return list.toSpliced(at, 1, ...block.of);
      const { width, rank, weight, ...rest } = block;
      const group: Block = {
        type: 'group',
        title: 'Title',
        width,
        rank,
        ...(weight === undefined ? {} : { weight }),
        of: [{ ...rest, width: 1, rank: 0 } as Block],
      };
      return list.with(at, group);
    }),
  };
}

/** Where a block is after a change that kept the very same block; null where it is gone. */
export function pathOf(design: Design, block: Block): BlockPath | null {
  for (const [path, one] of pathsOf(design.blocks)) if (one === block) return path;
  return null;
}
