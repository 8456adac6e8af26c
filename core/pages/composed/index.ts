import * as v from 'valibot';
import { loadFlexbox } from '../../flexbox/index.ts';
import type { Mark } from '../../scene/index.ts';
import { chosenBy, enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { dealt, ORDERS, type Order, readTexts, toldTwice } from '../../text-lists/index.ts';
import { type ArrangedPage, arrange, without } from '../blocks/arrange.ts';
import { type Block, eachBlock } from '../blocks/block.ts';
import { arrangeFacing } from '../blocks/facing.ts';
import { LOOKS, type LookId, lookOf } from '../blocks/look.ts';
import { drawArranged, pageRoom, penFor, problemsOf } from '../blocks/page.ts';
import type { Pen } from '../blocks/pen.ts';
import { type DrawContext, defineKind, type ItemProblem, type PageKind, type Unit } from '../kind.ts';
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
    help: 'Replaces the prompt of the page, its quotation or, where it has neither, its title; from the first line again after the last. Who said it goes behind an upright bar or a tab.',
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
  facing: setting(v.boolean(), false, {
    label: 'On two facing pages',
    help: 'Its blocks stand on a left page and the right one beside it: more room to write, and for what does not fit on one page.',
  }),
});
export type ComposedOptions = v.InferOutput<typeof options>;

const designOf = ({ design: given }: ComposedOptions): Design =>
  typeof given === 'string' ? DESIGNS[given].design : given;
const lookIdOf = ({ look, design: given }: ComposedOptions): LookId =>
  look !== 'own' ? look : typeof given === 'string' ? DESIGNS[given].look : 'almanac';

/** A prompt that is longer is no entry of an index. */
const MOST_TERM = 60;

/** What a page has of the list: nothing on one between two that have; who said it where that is asked for. */
interface Varied {
  said: string | null;
  credit?: string;
  /** What is wrong with the list is said once, on the first page. */
  first?: true;
}
const variedOn = ({ data }: Unit): Varied | undefined => data as Varied | undefined;

/** The block that the words of the list go into: it can hold a name below, or it is the title of the page. */
function targetOf(blocks: readonly Block[], { credit }: Varied): Block | undefined {
  const all = [...eachBlock(blocks)];
  const types = credit === undefined ? ['prompt', 'head'] : ['prompt', 'quotation', 'head'];
  return types.map((one) => all.find(({ type }) => type === one)).find(Boolean);
}

/** The blocks of a page: those of the design, with the words of the page in place of its prompt, quotation or title. */
export function blocksOf(chosen: ComposedOptions, unit: Unit): readonly Block[] {
  const { blocks } = designOf(chosen);
  const shown = variedOn(unit);
  if (!shown) return blocks;
  const { said, credit } = shown;
  const target = targetOf(blocks, shown);
  if (said === null) return target && target.type !== 'head' ? without(blocks, target) : blocks;
  const changed = (block: Block): Block => {
    if (block === target)
      return block.type === 'head'
        ? { ...block, title: said }
        : { ...block, text: said, ...(credit === undefined ? {} : { by: credit }) };
    return block.of ? { ...block, of: block.of.map(changed) } : block;
  };
  return blocks.map(changed);
}

type Room = Pick<DrawContext<ComposedOptions, never>, 'frame' | 'options' | 'type' | 'faces'>;

/** What blocks take care of, and the version of the kind since which they do. */
const SINCE = { leastWidths: 3, evenNames: 4, bestWay: 4 } satisfies Partial<Record<keyof Pen, number>>;

const penOf = ({ frame, options: chosen, type, faces }: Room, version: number): Pen => {
  const care = Object.entries(SINCE).flatMap(([name, since]) => (version < since ? [] : [[name, true]]));
  return { ...penFor(frame, type, lookOf(lookIdOf(chosen), faces)), ...Object.fromEntries(care) };
};

type OnPage = Room & Pick<DrawContext<ComposedOptions, never>, 'body' | 'unit' | 'part'>;

/** The blocks of a page at their places; of two pages that face each other, those on this one. */
function arrangedIn(context: OnPage, version: number): { page: ArrangedPage; places: BlockPlace[] } {
  const blocks = blocksOf(context.options, context.unit);
  const [room, pen] = [pageRoom(context), penOf(context, version)];
  if (!context.options.facing) {
    const page = arrange(blocks, room, pen);
    return { page, places: placesOf(blocks, page.placed) };
  }
  const { whole, ...pages } = arrangeFacing(blocks, designOf(context.options).blocks, room, pen);
  const page = pages[context.part === 'right' ? 'right' : 'left'];
  const placed = page.placed.map(({ block, rect, insteadOf = block }) => ({
    block: whole.get(insteadOf) ?? insteadOf,
    rect,
  }));
  return { page, places: placesOf(blocks, placed) };
}

function problemsIn(
  { page }: ReturnType<typeof arrangedIn>,
  { options: { facing }, part }: OnPage,
): ItemProblem[] {
  if (facing && part === 'right' && page.missing <= 0 && page.placed.length + page.left.length === 0)
    return [
      {
        severity: 'look',
        message: 'nothing stands here: the design is one block. Add another, or set it on one page.',
      },
    ];
  return facing
    ? problemsOf(
        page,
        'the design is {lines} too high for two pages of this trim. Remove a block, or choose a larger trim.',
      )
    : problemsOf(
        page,
        'the design is {lines} too high for this trim. Set it on two facing pages, remove a block, or choose a larger trim.',
        'left out at this trim. On two facing pages there is more room.',
      );
}

/** Where the blocks of a page come to stand, and what is wrong with it. @param version of the kind */
export function arrangedPage(
  context: DrawContext<ComposedOptions, never>,
  version: number,
): {
  places: BlockPlace[];
  problems: ItemProblem[];
} {
  const arranged = arrangedIn(context, version);
  return { places: arranged.places, problems: problemsIn(arranged, context) };
}

/** The design and the look of a section as one of its own, to be changed. */
export const ownDesign = (chosen: ComposedOptions): { design: Design; look: LookId } => ({
  design: designOf(chosen),
  look: lookIdOf(chosen),
});

type Composed = Parameters<typeof defineKind<ComposedOptions, never>>[0];

/** Pages that have a line of a list in turn. @param lines what they have */
function inTurn(
  count: number,
  { every, facing }: ComposedOptions,
  lines: readonly Varied[],
  between: Varied,
): readonly Unit[] {
  const on: Pick<Unit, 'side'> = facing ? { side: 'facing' } : {};
  return Array.from({ length: count }, (_, i): Unit => {
    if (lines.length === 0) return { ...on, key: 'page' };
    const turn = i / every;
    if (!Number.isInteger(turn)) return { ...on, key: 'between', data: between };
    const line = turn % lines.length;
    const { said, credit } = lines[line]!;
    const terms = [said ?? '', credit ?? ''].filter((term) => term && term.length <= MOST_TERM);
    return {
      ...on,
      key: `page ${line}`,
      data: i === 0 ? { ...lines[line]!, first: true } : lines[line]!,
      terms,
    };
  });
}

const common: Omit<Composed, 'version' | 'units' | 'draw'> = {
  id: 'composed',
  later: { every: 1, order: 'listed', facing: false },
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
  roomier: ({ facing }) => (facing ? [] : [{ facing: true }]),
};

/** What depends on how blocks share out a page. */
const arrangedAs = (version: number) => ({
  version,
  draw: (context: DrawContext<ComposedOptions, never>): Mark[] =>
    drawArranged(arrangedIn(context, version).page),
  inspectUnit: (context: OnPage): ItemProblem[] => problemsIn(arrangedIn(context, version), context),
});

/** What depends on the list of lines since a line can say who said it. */
const credited = (version: number): Pick<Composed, 'version' | 'units' | 'draw' | 'inspectUnit'> => {
  const own = arrangedAs(version);
  return {
    ...own,
    units: ({ count, options: chosen, streamKey }) => {
      const lines = dealt(readTexts(chosen.varied), chosen.order, streamKey);
      return inTurn(
        count,
        chosen,
        lines.map(({ text: said, credit }) => ({ said, credit })),
        { said: null, credit: '' },
      );
    },
    inspectUnit(context) {
      const { options: chosen, unit, part } = context;
      const problems = own.inspectUnit(context);
      const shown = variedOn(unit);
      // What is wrong with the list is said once of two pages.
      if (!shown || part === 'right') return problems;
      const look = (message: string): ItemProblem => ({ severity: 'look', message });
      if (shown.credit && targetOf(designOf(chosen).blocks, shown)?.type === 'head')
        problems.push(
          look(
            `“${shown.credit}” is not printed: the design has no prompt and no quotation to put a name below. Use a design that has.`,
          ),
        );
      return shown.first ? [...problems, ...toldTwice(readTexts(chosen.varied)).map(look)] : problems;
    },
  };
};

const first = defineKind<ComposedOptions, never>({
  ...common,
  ...arrangedAs(1),
  units: ({ count, options: chosen, streamKey }) => {
    const lines = chosen.varied
      .split(/\r?\n/)
      .map((line) => line.trim())
      .filter(Boolean);
    return inTurn(
      count,
      chosen,
      dealt(lines, chosen.order, streamKey).map((said) => ({ said })),
      { said: null },
    );
  },
});

const second = defineKind<ComposedOptions, never>({ ...common, ...credited(2) });
const third = defineKind<ComposedOptions, never>({ ...common, ...credited(3) });

export const composed = defineKind<ComposedOptions, never>({
  ...common,
  ...credited(4),
  earlier: [
    {
      version: 1,
      migrate: (same) => same,
      changes:
        'Lines of a list go into a quotation too, where the design has one and no prompt, and who said them, behind an upright bar or a tab, stands below.',
      kept: first as unknown as PageKind,
    },
    {
      version: 2,
      migrate: (same) => same,
      changes:
        'Columns and fields that were too narrow to write in are wider or stand on more lines, where there is room, and wide pages are set in two columns in more ways.',
      kept: second as unknown as PageKind,
    },
    {
      version: 3,
      migrate: (same) => same,
      changes:
        'Names of the rows of one table are all of the same size. What is too small to write in counts where a page can be set in several ways, and rows of a low page may stand in three columns.',
      kept: third as unknown as PageKind,
    },
  ],
});
