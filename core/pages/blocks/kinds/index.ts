import type { Block, BlockKind } from '../block.ts';
import { box, picture } from './box.ts';
import { checks } from './checks.ts';
import { days, hours } from './days.ts';
import { cells, fields } from './fields.ts';
import { figure, frames, progress } from './figures.ts';
import { chart, habits, marksGrid, timeBars } from './grids.ts';
import { head } from './head.ts';
import { ruleBlock } from './rule.ts';
import { ruler } from './ruler.ts';
import { icons, scale } from './scale.ts';
import { table } from './table.ts';
import { note, prompt, quotation, space } from './texts.ts';

/** All sorts of block, in the order in which they are offered. */
export const BLOCKS: readonly BlockKind[] = [
  head,
  fields,
  cells,
  ruleBlock,
  checks,
  table,
  marksGrid,
  habits,
  scale,
  icons,
  chart,
  timeBars,
  days,
  hours,
  box,
  picture,
  figure,
  frames,
  progress,
  ruler,
  prompt,
  quotation,
  note,
  space,
];

const byType = new Map(BLOCKS.map((kind) => [kind.type, kind]));

/** @throws RangeError for a type that is none */
export function blockKind({ type, kind }: Pick<Block, 'type' | 'kind'>): BlockKind {
  const known = kind ?? byType.get(type);
  if (!known) throw new RangeError(`There is no block “${type}”.`);
  return known;
}
