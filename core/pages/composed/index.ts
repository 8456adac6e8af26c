import * as v from 'valibot';
import type { Mark } from '../../scene/index.ts';
import { chosenBy, enumOf, exactObject, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { type DrawContext, defineKind, type ItemProblem, type Unit } from '../kind.ts';
import { inkRoom } from '../paper/lines.ts';
import { type Arranged, arrange } from './arrange.ts';
import { blockKind } from './blocks/index.ts';
import { type Block, type Design, designSchema, eachBlock } from './design.ts';
import { DESIGNS, type DesignId } from './designs/index.ts';
import { icon } from './icons.ts';
import { LOOKS, type LookId, lookOf } from './look.ts';
import { boxed, label, type Pen, scaleOf, size, sizes } from './pen.ts';

const IDS = Object.keys(DESIGNS) as DesignId[];
const MOST_VARIED = 20_000;

const named = enumOf(IDS);
/** A design that ships, by its name, or one of the publisher's own. */
const design = chosenBy(v.union([named, v.looseObject({ name: v.string() })]), (value) =>
  typeof value === 'object' && value !== null ? designSchema : named,
) as unknown as v.GenericSchema<unknown, DesignId | Design>;

const options = exactObject({
  design: setting(design, 'gratitude-morning', { label: 'Design', control: 'design' }),
  look: setting(enumOf(['own', ...(Object.keys(LOOKS) as LookId[])]), 'own', {
    label: 'Look',
    values: { own: 'That of the design', almanac: 'Almanac', soft: 'Soft and round', botanical: 'Botanical' },
  }),
  varied: setting(text(0, MOST_VARIED), '', {
    label: 'A line for each page',
    help: 'Replaces the prompt of the page or, where it has none, its title; from the first line again after the last.',
    rows: 4,
  }),
});
export type ComposedOptions = v.InferOutput<typeof options>;

const designOf = ({ design: given }: ComposedOptions): Design =>
  typeof given === 'string' ? DESIGNS[given].design : given;
const lookIdOf = ({ look, design: given }: ComposedOptions): LookId =>
  look !== 'own' ? look : typeof given === 'string' ? DESIGNS[given].look : 'almanac';

const linesOf = ({ varied }: ComposedOptions): string[] =>
  varied
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(Boolean);

/** The blocks of a page: those of the design, with the words of the page in place of its prompt or title. */
export function blocksOf(chosen: ComposedOptions, unit: Unit): readonly Block[] {
  const { blocks } = designOf(chosen);
  const said = (unit.data as { said: string } | undefined)?.said;
  if (!said) return blocks;
  const all = [...eachBlock(blocks)];
  const target = all.find(({ type }) => type === 'prompt') ?? all.find(({ type }) => type === 'head');
  const changed = (block: Block): Block => {
    if (block === target)
      return { ...block, ...(block.type === 'prompt' ? { text: said } : { title: said }) };
    return block.of ? { ...block, of: block.of.map(changed) } : block;
  };
  return blocks.map(changed);
}

type Room = Pick<DrawContext<ComposedOptions, never>, 'frame' | 'options' | 'type' | 'faces'>;

const penOf = ({ frame, options: chosen, type, faces }: Room): Pen => {
  const unit = frame.grid.pitch / 2;
  return {
    type,
    look: lookOf(lookIdOf(chosen), faces),
    unit,
    typeScale: frame.grid.typeScale,
    scale: scaleOf(unit),
  };
};

/** What reaches over the edge of a block: half a line, and the arm of a slanting letter, in points. */
const OVERHANG = { weight: 3 };

const arranged = (context: Room & Pick<DrawContext<ComposedOptions, never>, 'body' | 'unit'>, pen: Pen) =>
  arrange(blocksOf(context.options, context.unit), inkRoom(context.body, context.frame.safe, OVERHANG), pen);

function draw(context: DrawContext<ComposedOptions, never>): Mark[] {
  const { placed, pen } = arranged(context, penOf(context));
  return placed.flatMap((one) => drawBlock(one, pen));
}

function drawBlock({ block, rect }: Arranged, pen: Pen): Mark[] {
  if (block.type !== 'group') return blockKind(block.type).draw(block, rect, pen);
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

const called = ({ type, title, label: said, text: words, of }: Block): string =>
  [title, said, words].find((one): one is string => typeof one === 'string' && one !== '') ??
  of?.map(called).join(' and ') ??
  blockKind(type).name;

export const composed = defineKind<ComposedOptions, never>({
  id: 'composed',
  version: 1,
  name: 'Journals, logs and trackers',
  called: (chosen) => designOf(chosen).name,
  family: 'Journals',
  purpose: 'Pages made of blocks, from a design.',
  samples: IDS.map((id) => ({
    name: DESIGNS[id].name,
    family: DESIGNS[id].family,
    options: { design: id },
  })),
  extent: 'pages',
  defaultCount: 24,
  numbered: true,
  inHouseFaces: () => true,
  flexbox: true,
  options,
  units: ({ count, options: chosen }) => {
    const lines = linesOf(chosen);
    return Array.from({ length: count }, (_, i) =>
      lines.length
        ? { key: `page ${i % lines.length}`, data: { said: lines[i % lines.length]! } }
        : { key: 'page' },
    );
  },
  draw,
  inspectUnit(context) {
    const problems: ItemProblem[] = [];
    const { placed, left, missing, pen } = arranged(context, penOf(context));
    if (missing > 0)
      problems.push({
        severity: 'fix',
        message: `the design is ${Math.ceil(missing / 2)} lines too high for this trim. Remove a block, or choose a larger trim.`,
      });
    if (left.length > 0)
      problems.push({
        severity: 'look',
        message: `no room for ${left.map((block) => `“${called(block)}”`).join(', ')}; left out at this trim.`,
      });
    const small = placed.flatMap(({ block, rect }) => {
      const found =
        block.type === 'group' ? null : (blockKind(block.type).tooSmall?.(block, rect, pen) ?? null);
      return found ? [found] : [];
    });
    if (small.length)
      problems.push({
        severity: 'look',
        message: `${small.join(', ')}: too small to write in by hand at this trim.`,
      });
    return problems;
  },
});
