import type { PageFrame, Rect } from '../../print/index.ts';
import type { Mark, Typesetter } from '../../scene/index.ts';
import type { DrawContext, ItemProblem } from '../kind.ts';
import { inkRoom } from '../paper/lines.ts';
import type { Arranged, ArrangedPage } from './arrange.ts';
import type { Block } from './block.ts';
import { icon } from './icons.ts';
import { blockKind } from './kinds/index.ts';
import type { Look } from './look.ts';
import { boxed, label, type Pen, scaleOf, size, sizes } from './pen.ts';

/** What the blocks of a page are drawn with. */
export function penFor({ grid }: Pick<PageFrame, 'grid'>, type: Typesetter, look: Look): Pen {
  const unit = grid.pitch / 2;
  return { type, look, unit, typeScale: grid.typeScale, scale: scaleOf(unit) };
}

/** What reaches over the edge of a block: half a line, and the arm of a slanting letter, in points. */
const OVERHANG = { weight: 3 };

/** Where blocks may stand. */
export const pageRoom = ({ body, frame }: Pick<DrawContext<never, never>, 'body' | 'frame'>): Rect =>
  inkRoom(body, frame.safe, OVERHANG);

export const drawArranged = ({ placed, pen }: ArrangedPage): Mark[] =>
  placed.flatMap((one) => drawBlock(one, pen));

function drawBlock({ block, rect }: Arranged, pen: Pen): Mark[] {
  if (block.type !== 'group') return blockKind(block).draw(block, rect, pen);
  const own = sizes(pen);
  const inset = size(pen, 3);
  const baseline = rect.y + pen.unit * 1.45;
  const edge = size(pen, 4.4);
  return [
    boxed(pen, rect, { weight: 0.9, gray: 0.25 }),
    ...(block.icon ? icon(block.icon, rect.x + inset + edge / 2, baseline - own.label * 0.32, edge) : []),
    ...(block.title
      ? label(pen, block.title, {
          x: rect.x + inset + (block.icon ? edge + size(pen, 1.6) : 0),
          y: baseline,
          width: rect.width - 2 * inset,
          size: own.label * 1.12,
        })
      : []),
  ];
}

const called = (block: Block): string => {
  const { title, label: said, text: words, of } = block;
  return (
    [title, said, words].find((one): one is string => typeof one === 'string' && one !== '') ??
    of?.map(called).join(' and ') ??
    blockKind(block).name
  );
};

const linesOf = (count: number): string => (count === 1 ? '1 line' : `${count} lines`);

/**
 * What is wrong with a page of blocks: too high, blocks that left, what is too small to write in, words that found no room.
 * @param tooHigh what to say of a page that does not fit; `{lines}` stands for the lines that are missing
 * @param leftOut what to say behind the names of blocks that left
 */
export function problemsOf(
  { placed, left, missing, pen }: ArrangedPage,
  tooHigh: string,
  leftOut = 'left out at this trim.',
): ItemProblem[] {
  const problems: ItemProblem[] = [];
  if (missing > 0)
    problems.push({
      severity: 'fix',
      message: tooHigh.replace('{lines}', linesOf(Math.ceil(missing / 2))),
    });
  if (left.length > 0)
    problems.push({
      severity: 'look',
      message: `no room for ${left.map((block) => `“${called(block)}”`).join(', ')}; ${leftOut}`,
    });
  const said = (of: 'tooSmall' | 'noRoom'): string[] =>
    placed.flatMap(({ block, rect }) => {
      const found = block.type === 'group' ? null : (blockKind(block)[of]?.(block, rect, pen) ?? null);
      return found ? [found] : [];
    });
  const small = said('tooSmall');
  if (small.length)
    problems.push({
      severity: 'look',
      message: `${small.join(', ')}: too small to write in by hand at this trim.`,
    });
  for (const words of said('noRoom')) problems.push({ severity: 'look', message: words });
  return problems;
}
