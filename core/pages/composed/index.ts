import * as v from 'valibot';
import { loadFlexbox } from '../../flexbox/index.ts';
import type { Mark } from '../../scene/index.ts';
import { chosenBy, enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { dealt, ORDERS, type Order } from '../../text-lists/index.ts';
import { arrange, without } from '../blocks/arrange.ts';
import { type Block, eachBlock } from '../blocks/block.ts';
import { LOOKS, type LookId, lookOf } from '../blocks/look.ts';
import { drawArranged, pageRoom, penFor, problemsOf } from '../blocks/page.ts';
import type { Pen } from '../blocks/pen.ts';
import { type DrawContext, defineKind, type ItemProblem, pageUnits, type Unit } from '../kind.ts';
import { type Design, designSchema } from './design.ts';
import { DESIGNS, type DesignId } from './designs/index.ts';
import { type BlockPlace, placesOf } from './places.ts';

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
    control: 'texts',
  }),
  every: setting(integerBetween(1, 30), 1, {
    label: 'On every … page',
    help: 'From the first on; pages between have no prompt.',
  }),
  order: setting(enumOf(Object.keys(ORDERS) as Order[]), 'listed', {
    label: 'Order of the lines',
    values: ORDERS,
  }),
});
export type ComposedOptions = v.InferOutput<typeof options>;

const designOf = ({ design: given }: ComposedOptions): Design =>
  typeof given === 'string' ? DESIGNS[given].design : given;
const lookIdOf = ({ look, design: given }: ComposedOptions): LookId =>
  look !== 'own' ? look : typeof given === 'string' ? DESIGNS[given].look : 'almanac';

/** A prompt that is longer is no entry of an index. */
const MOST_TERM = 60;
const termsOf = (line: string): string[] => (line.length <= MOST_TERM ? [line] : []);

const linesOf = ({ varied }: ComposedOptions): string[] =>
  varied
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(Boolean);

/** The blocks of a page: those of the design, with the words of the page in place of its prompt or title. */
export function blocksOf(chosen: ComposedOptions, unit: Unit): readonly Block[] {
  const { blocks } = designOf(chosen);
  const shown = unit.data as { said: string | null } | undefined;
  if (!shown) return blocks;
  const { said } = shown;
  const all = [...eachBlock(blocks)];
  const target = all.find(({ type }) => type === 'prompt') ?? all.find(({ type }) => type === 'head');
  if (said === null) return target?.type === 'prompt' ? without(blocks, target) : blocks;
  const changed = (block: Block): Block => {
    if (block === target)
      return { ...block, ...(block.type === 'prompt' ? { text: said } : { title: said }) };
    return block.of ? { ...block, of: block.of.map(changed) } : block;
  };
  return blocks.map(changed);
}

type Room = Pick<DrawContext<ComposedOptions, never>, 'frame' | 'options' | 'type' | 'faces'>;

const penOf = ({ frame, options: chosen, type, faces }: Room): Pen =>
  penFor(frame, type, lookOf(lookIdOf(chosen), faces));

const arranged = (context: Room & Pick<DrawContext<ComposedOptions, never>, 'body' | 'unit'>, pen: Pen) =>
  arrange(blocksOf(context.options, context.unit), pageRoom(context), pen);

function draw(context: DrawContext<ComposedOptions, never>): Mark[] {
  return drawArranged(arranged(context, penOf(context)));
}

const problemsIn = (page: ReturnType<typeof arranged>) =>
  problemsOf(
    page,
    'the design is {lines} lines too high for this trim. Remove a block, or choose a larger trim.',
  );

/** Where the blocks of a page come to stand, and what is wrong with it. */
export function arrangedPage(context: DrawContext<ComposedOptions, never>): {
  places: BlockPlace[];
  problems: ItemProblem[];
} {
  const page = arranged(context, penOf(context));
  return {
    places: placesOf(blocksOf(context.options, context.unit), page.placed),
    problems: problemsIn(page),
  };
}

/** The design and the look of a section as one of its own, to be changed. */
export const ownDesign = (chosen: ComposedOptions): { design: Design; look: LookId } => ({
  design: designOf(chosen),
  look: lookIdOf(chosen),
});

export const composed = defineKind<ComposedOptions, never>({
  id: 'composed',
  version: 1,
  later: { every: 1, order: 'listed' },
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
  prepare: loadFlexbox,
  options,
  units: ({ count, options: chosen, streamKey }) => {
    const lines = dealt(linesOf(chosen), chosen.order, streamKey);
    if (lines.length === 0) return pageUnits(count, 'page');
    return Array.from({ length: count }, (_, i): Unit => {
      const turn = i / chosen.every;
      if (!Number.isInteger(turn)) return { key: 'between', data: { said: null } };
      const line = turn % lines.length;
      return { key: `page ${line}`, data: { said: lines[line]! }, terms: termsOf(lines[line]!) };
    });
  },
  draw,
  inspectUnit: (context) => problemsIn(arranged(context, penOf(context))),
});
