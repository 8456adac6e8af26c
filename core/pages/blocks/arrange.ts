import { type FlexBox, type FlexedBox, flexBoxes } from '../../flexbox/index.ts';
import type { Rect } from '../../print/index.ts';
import { type Block, eachBlock } from './block.ts';
import { BESIDE, inColumns, type Way } from './columns.ts';
import { blockKind } from './kinds/index.ts';
import { type Pen, size } from './pen.ts';

/** A block at its place. */
export interface Arranged {
  block: Block;
  rect: Rect;
  /** The block of the design that it stands for, where it has more below and less beside each other. */
  insteadOf?: Block;
}

export interface Arrangement {
  placed: Arranged[];
  /** Blocks that left, as there was no room. */
  left: Block[];
  /** Units that are missing even so; 0 if all that must stay fits. */
  missing: number;
  /** Something is too small to write in, as there is no height for it to stand on more lines. */
  narrow?: true;
}

/** Between blocks, in units. */
export const GAP = 1;
/** Around what stands in a frame, in units; above it besides, where it has a title. */
const FRAME = { side: 1, top: 0.5, bottom: 1, title: 2 };
/**
 * Places the blocks of a page. The flexbox engine shares out widths and finds the least heights; what height is free is then
 * shared out in whole lines and rows, so that none is cut and lines of neighboring columns meet. Blocks that need not stay
 * leave in the order of their rank until the rest fits.
 * @param mostGap units between blocks at most: what no block takes beyond that is left free below them
 */
export function arrangeAt(blocks: readonly Block[], area: Rect, pen: Pen, mostGap = Infinity): Arrangement {
  if (area.width > LANDSCAPE * area.height) {
    const [first, ...rest] = blocks;
    const across = first?.type === 'head' || first?.type === 'prompt' ? [first] : [];
    const below = across.length ? rest : [...blocks];
    const ways = inColumns(below, area.width, pen).map(({ blocks: way, was }) =>
      standingFor(was, arrangeAsIs([...across, ...way], area, pen, mostGap)),
    );
    // As it is where no way needs less room.
    return bestOf([arrangeAsIs(blocks, area, pen, mostGap), ...ways], pen);
  }
  return arrangeAsIs(blocks, area, pen, mostGap);
}

/** A block with something that is too small to write in is worse than one that left, and better than two. */
const TOO_SMALL = 1.5;

/** How many blocks have something that is too small to write in; 0 where nobody cares. */
export const tooSmallIn = ({ placed }: Arrangement, pen: Pen): number =>
  pen.bestWay
    ? placed.filter(({ block, rect }) => !block.of && blockKind(block).tooSmall?.(block, rect, pen)).length
    : 0;

/** Of ways to arrange a page the one that needs the least room, the first of those. */
function bestOf(ways: readonly Arrangement[], pen: Pen): Arrangement {
  const costs = ways.map((way) => way.missing * 100 + way.left.length + TOO_SMALL * tooSmallIn(way, pen));
  return ways[costs.indexOf(Math.min(...costs))]!;
}

/** As `arrangeAt`, with lines a little closer together where what must stay does not fit otherwise, or is too small to write in. */
export function arrange(blocks: readonly Block[], area: Rect, pen: Pen): ArrangedPage {
  let best: ArrangedPage | null = null;
  let least = Infinity;
  for (const closer of pensFor(pen)) {
    const found = { ...arrangeAt(blocks, area, closer), pen: closer };
    if (found.missing > 0) continue;
    const small = tooSmallIn(found, closer);
    const cost = (found.narrow ? 100 : 0) + (pen.bestWay ? found.left.length + TOO_SMALL * small : 0);
    if (cost < least) [best, least] = [found, cost];
    if (!found.narrow && small === 0) return best!;
  }
  return best ?? { ...arrangeAt(blocks, area, pen), pen };
}

/** A page with the pen that it is drawn with. */
export type ArrangedPage = Arrangement & { pen: Pen };

/** Shares of the pitch that are tried: at the last a hand still finds room. */
const CLOSER = [1, 0.94, 0.88];

/** Pens to try one after the other, the widest first. */
export const pensFor = (pen: Pen): Pen[] =>
  CLOSER.map((share) => ({ ...pen, unit: pen.unit * share, scale: pen.scale * share }));

/** The least height of a block that stands alone, and the most that it takes; in units. */
export function heightsOf(block: Block, width: number, pen: Pen): { least: number; most: number } {
  const { units, step, most } = measure([block], width, pen).children[0]!;
  return { least: units, most: step > 0 ? Math.max(units, most) : units };
}

/** So much wider than high, a page is set in two columns where that holds more. */
const LANDSCAPE = 1.1;

/** An arrangement that tells of which blocks of the design those in another form are. */
function standingFor(was: ReadonlyMap<Block, Block>, arrangement: Arrangement): Arrangement {
  if (was.size === 0) return arrangement;
  const placed = arrangement.placed.map((one) => {
    const of = was.get(one.insteadOf ?? one.block);
    return of ? { ...one, insteadOf: of } : one;
  });
  return { ...arrangement, placed };
}

function arrangeAsIs(blocks: readonly Block[], area: Rect, pen: Pen, mostGap: number): Arrangement {
  const measured = measure(blocks, area.width, pen);
  const { blocks: loose, was } = loosened(blocks, measured, pen);
  if (was.size > 0) {
    const roomy = fill(loose, measure(loose, area.width, pen), area, pen, mostGap);
    if (roomy.missing <= 0 && roomy.left.length === 0) return standingFor(was, roomy);
    return { ...fill(blocks, measured, area, pen, mostGap), narrow: true };
  }
  return fill(blocks, measured, area, pen, mostGap);
}

/** Blocks with no more beside each other than there is room to write in, wherever they stand, and what they were. */
function loosened(blocks: readonly Block[], measured: Measured, pen: Pen): Way<readonly Block[]> {
  const was = new Map<Block, Block>();
  if (!pen.leastWidths) return { blocks, was };
  const looser = ({ block, width: wide, children }: Measured): Block => {
    if (block!.of) {
      const of = children.map(looser);
      return of.some((one, i) => one !== block!.of![i]) ? { ...block!, of } : block!;
    }
    const one = withRoom(block!, wide, pen);
    if (one !== block) was.set(one, block!);
    return one;
  };
  return { blocks: measured.children.map(looser), was };
}

/** A block with less beside each other where it is too small to write in, or the block itself. */
export function withRoom(block: Block, width: number, pen: Pen): Block {
  const kind = blockKind(block);
  if (!kind.looser || !kind.tooSmall) return block;
  // Pages of a section have most of their blocks in common, and words take long to measure.
  const { type, unit, typeScale, look, leastWidths } = pen;
  const { label, text, capitals, faces } = look;
  const given = [width, unit, typeScale, label, text, capitals, faces.label, faces.text, leastWidths].join(
    ' ',
  );
  const known = KNOWN.get(block);
  if (known?.type === type && known.given === given) return known.one;
  const rect = { x: 0, y: 0, width, height: Infinity };
  const one = kind.tooSmall(block, rect, pen) ? (kind.looser(block, width, pen) as Block) : block;
  KNOWN.set(block, { type, given, one });
  return one;
}

/** What became of blocks the last time, and what it depended on. */
const KNOWN = new WeakMap<Block, { type: Pen['type']; given: string; one: Block }>();

function fill(blocks: readonly Block[], first: Measured, area: Rect, pen: Pen, mostGap: number): Arrangement {
  const units = Math.floor(area.height / pen.unit + 1e-6);
  const left: Block[] = [];
  let staying = [...blocks];
  let measured = first;
  for (;;) {
    const missing = measured.units - units;
    if (missing <= 0) {
      const placed: Arranged[] = [];
      // What is less than a unit stays above, so that the last line stands on the lower margin.
      place(measured, { ...area, y: area.y + area.height - units * pen.unit }, units, pen, mostGap, placed);
      return { placed, left, missing: 0 };
    }
    const next = lastRanked(staying);
    if (!next) {
      // Nothing may leave: what fits from above is drawn, and the rest is told.
      const placed: Arranged[] = [];
      place(measured, area, measured.units, pen, mostGap, placed);
      return {
        placed: placed.filter(({ rect }) => rect.y + rect.height <= area.y + area.height + 1e-6),
        left,
        missing,
      };
    }
    left.push(next);
    staying = without(staying, next);
    measured = measure(staying, area.width, pen);
  }
}

/** The block that leaves first: of the highest rank, and of those the last. */
function lastRanked(blocks: readonly Block[]): Block | null {
  let found: Block | null = null;
  for (const block of eachBlock(blocks))
    if (block.rank > 0 && block.rank >= (found?.rank ?? 1)) found = block;
  return found;
}

/** Blocks without one of them; holders that hold nothing any more leave with it. */
export const without = (blocks: readonly Block[], gone: Block): Block[] =>
  blocks.flatMap((block) => {
    if (block === gone) return [];
    if (!block.of) return [block];
    const of = without(block.of, gone);
    return of.length ? [{ ...block, of }] : [];
  });

/** A block with its width, its least height in units, and by what it grows. */
interface Measured {
  block: Block | null;
  kind: 'leaf' | 'column' | 'row' | 'group';
  x: number;
  width: number;
  units: number;
  step: number;
  /** Units that it does not grow beyond. */
  most: number;
  weight: number;
  children: Measured[];
}

const flexed = (block: Block, pen: Pen): FlexBox => {
  const grow = block.width;
  const gap = GAP * pen.unit;
  switch (block.type) {
    case 'columns':
      return { grow, row: block.of!.map((one) => flexed(one, pen)), gap: size(pen, BESIDE) };
    case 'stack':
      return { grow, column: block.of!.map((one) => flexed(one, pen)), gap };
    case 'group': {
      const side = size(pen, 3);
      return {
        grow,
        column: block.of!.map((one) => flexed(one, pen)),
        gap,
        padding: { top: topOf(block) * pen.unit, right: side, bottom: FRAME.bottom * pen.unit, left: side },
      };
    }
    default:
      return { grow, height: (width) => blockKind(block).least(block, width, pen) * pen.unit };
  }
};

const topOf = ({ title }: Block): number => (title ? FRAME.title : FRAME.top + 0.5);

function measure(blocks: readonly Block[], width: number, pen: Pen): Measured {
  const box = flexBoxes({ column: blocks.map((block) => flexed(block, pen)), gap: GAP * pen.unit }, width);
  return column(null, blocks, box, pen);
}

function column(block: Block | null, blocks: readonly Block[], box: FlexedBox, pen: Pen): Measured {
  const children = blocks.map((one, i) => measuredOf(one, box.children[i]!, pen));
  const frame = block?.type === 'group' ? topOf(block) + FRAME.bottom : 0;
  return {
    block,
    kind: block?.type === 'group' ? 'group' : 'column',
    x: box.x,
    width: box.width,
    units:
      children.reduce((sum, { units }) => sum + units, 0) + GAP * Math.max(0, children.length - 1) + frame,
    ...growthOf(block, children),
    children,
  };
}

/** Boxes that hold others grow where one of those does, by the step that fits all. */
function growthOf(
  block: Block | null,
  children: readonly Measured[],
): Pick<Measured, 'step' | 'weight' | 'most'> {
  const growing = children.filter(({ step }) => step > 0);
  const weight = block?.weight ?? Math.max(0, ...growing.map((one) => one.weight));
  return {
    step: growing.length && weight > 0 ? Math.max(...growing.map(({ step }) => step)) : 0,
    weight,
    most: Infinity,
  };
}

function measuredOf(block: Block, box: FlexedBox, pen: Pen): Measured {
  if (block.type === 'stack' || block.type === 'group') return column(block, block.of!, box, pen);
  if (block.type === 'columns') {
    const children = block.of!.map((one, i) => measuredOf(one, box.children[i]!, pen));
    return {
      block,
      kind: 'row',
      x: box.x,
      width: box.width,
      units: Math.max(...children.map(({ units }) => units)),
      ...growthOf(block, children),
      children,
    };
  }
  const kind = blockKind(block);
  const weight = block.weight ?? 1;
  return {
    block,
    kind: 'leaf',
    x: box.x,
    width: box.width,
    units: kind.least(block, box.width, pen),
    step: weight > 0 ? kind.step(block, pen) : 0,
    most: kind.most?.(block) ?? Infinity,
    weight,
    children: [],
  };
}

/** @param units height to fill, at least as many as are needed */
function place(
  measured: Measured,
  area: Rect,
  units: number,
  pen: Pen,
  mostGap: number,
  placed: Arranged[],
): void {
  const { block, kind, children } = measured;
  const at = (one: Measured, y: number, height: number): Rect => ({
    x: area.x + one.x,
    y,
    width: one.width,
    height: height * pen.unit,
  });
  if (kind === 'leaf') {
    placed.push({ block: block!, rect: at(measured, area.y, units) });
    return;
  }
  if (kind === 'row') {
    const heights = children.map((child) => (child.step > 0 ? grown(child, units) : child.units));
    const highest = Math.max(...heights);
    children.forEach((child, i) => {
      const { ofHighest } = child.block!;
      place(child, area, ofHighest ? highest * ofHighest : heights[i]!, pen, mostGap, placed);
    });
    return;
  }
  if (kind === 'group') placed.push({ block: block!, rect: at(measured, area.y, units) });
  const frame = kind === 'group' ? topOf(block!) + FRAME.bottom : 0;
  const { heights, gaps } = shareOut(children, units - frame);
  let y = area.y + (kind === 'group' ? topOf(block!) * pen.unit : 0);
  children.forEach((child, i) => {
    place(child, { ...area, y }, heights[i]!, pen, mostGap, placed);
    y += (heights[i]! + Math.min(mostGap, gaps[i] ?? 0)) * pen.unit;
  });
}

/** The height that a block takes of what is there: its least and whole steps. */
const grown = ({ units, step, most }: Measured, room: number): number =>
  step > 0 ? units + Math.floor((Math.min(room, most) - units) / step + 1e-6) * step : units;

/**
 * Shares out free units by weight in whole steps: first what each has coming rounded down, then to those that came shortest,
 * the rest into the gaps (largest remainder, Hare and Niemeyer).
 */
export function shareOut(
  children: readonly Pick<Measured, 'units' | 'step' | 'weight' | 'most'>[],
  units: number,
): { heights: number[]; gaps: number[] } {
  const needed = children.reduce((sum, one) => sum + one.units, 0) + GAP * Math.max(0, children.length - 1);
  const heights = children.map((one) => one.units);
  const gaps = children.slice(1).map(() => GAP);
  let free = Math.max(0, units - needed);
  const canGrow = (i: number) =>
    children[i]!.step > 0 && heights[i]! + children[i]!.step <= children[i]!.most;
  // What one may not take is shared out again among the others.
  for (;;) {
    const growing = children.flatMap((one, i) => (canGrow(i) && one.step <= free + 1e-6 ? [i] : []));
    if (growing.length === 0) break;
    const all = growing.reduce((sum, i) => sum + children[i]!.weight, 0);
    const shares = growing.map((i) => ({ i, due: (free * children[i]!.weight) / all }));
    for (const share of shares) {
      const { step, most } = children[share.i]!;
      const own = Math.floor(Math.min(share.due, most - heights[share.i]!) / step + 1e-6) * step;
      heights[share.i]! += own;
      share.due -= own;
      free -= own;
    }
    // A step more for those that came shortest.
    for (const { i } of shares.sort((a, b) => b.due / children[b.i]!.step - a.due / children[a.i]!.step))
      if (canGrow(i) && children[i]!.step <= free + 1e-6) {
        heights[i]! += children[i]!.step;
        free -= children[i]!.step;
      }
  }
  // In whole units, the lower gaps first: what is written above stays together with its title.
  for (let i = gaps.length - 1; free >= 1 && gaps.length > 0; i = (i + gaps.length - 1) % gaps.length) {
    gaps[i]!++;
    free--;
  }
  return { heights, gaps };
}
