import type * as v from 'valibot';
import { describedBy } from '../../schema.ts';
import { placeEntries } from './block.ts';
import { ICONS } from './icons.ts';
import { blockKind } from './kinds/index.ts';

/** How one entry of a block is asked for. */
export type BlockField = { key: string; label: string; help?: string } & (
  | { control: 'text'; rows?: number }
  | { control: 'number'; min: number; max: number; step: number; optional?: true }
  | { control: 'switch' }
  | { control: 'choice'; choices: readonly string[]; optional?: true }
  /** Short texts, a line each. */
  | { control: 'lines'; least: number; most: number }
  /** Objects of the same entries one after the other, or lists of them. */
  | { control: 'list'; item: BlockField[] | ListOfObjects; least: number; most: number }
);

export interface ListOfObjects {
  item: BlockField[];
  least: number;
  most: number;
}

/** Names that do not follow from the key. */
const LABELS: Readonly<Record<string, string>> = {
  lines: 'Lines, at least',
  most: 'Lines, at most',
  count: 'How many',
  before: 'Before each line',
  lead: 'Words on the first line',
  inside: 'Ground',
  rowsWidth: 'Width of the names',
  rowsLabel: 'Heading of the names',
  strong: 'Heavier line after rows',
  foot: 'Last row',
  half: 'Half hours',
  twelve: 'Hours counted to twelve',
  across: 'Along the bottom',
  up: 'Along the side',
  aside: 'Words at the right',
  by: 'Said by',
  units: 'Half lines',
  of: 'Blocks',
};
const PLACE: Readonly<Record<string, string>> = {
  weight: 'Share of free height',
  width: 'Share of the width',
  rank: 'Leaves first where room is short',
};

const labelOf = (key: string): string =>
  LABELS[key] ??
  key.charAt(0).toUpperCase() + key.slice(1).replaceAll(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

interface Described {
  type: string;
  wrapped?: Described;
  item?: Described;
  options?: readonly string[];
  entries?: Record<string, Described>;
  pipe?: readonly { type: string; requirement?: number }[];
  getter?: unknown;
}

/** The schema without what is wrapped around it, and whether it may be left out with nothing in its place. */
function unwrapped(given: Described): { schema: Described; optional: boolean } {
  let schema = describedBy(given as unknown as v.GenericSchema) as unknown as Described;
  let optional = false;
  while (schema.wrapped) {
    optional = (schema as { default?: unknown }).default === undefined;
    schema = describedBy(schema.wrapped as unknown as v.GenericSchema) as unknown as Described;
  }
  return { schema, optional };
}

const limit = ({ pipe = [] }: Described, type: string): number | undefined =>
  pipe
    .flatMap((step) => ('pipe' in step ? (step as unknown as Described).pipe! : [step]))
    .find((step) => step.type === type)?.requirement;

function fieldOf(key: string, given: Described, label = labelOf(key)): BlockField {
  const { schema, optional } = unwrapped(given);
  const may = optional ? { optional: true as const } : {};
  if (schema.options) return { key, label, control: 'choice', choices: schema.options, ...may };
  if (schema.type === 'boolean') return { key, label, control: 'switch' };
  if (schema.type === 'number') {
    const [min, max] = [limit(schema, 'min_value') ?? 0, limit(schema, 'max_value') ?? 100];
    const whole = (schema.pipe ?? []).some(({ type }) => type === 'integer');
    return { key, label, control: 'number', min, max, step: whole ? 1 : 0.1, ...may };
  }
  if (schema.type === 'array') {
    const range = { least: limit(schema, 'min_length') ?? 0, most: limit(schema, 'max_length') ?? 99 };
    const { schema: item } = unwrapped(schema.item!);
    if (item.entries) return { key, label, control: 'list', item: fieldsIn(item.entries), ...range };
    if (item.type !== 'array') return { key, label, control: 'lines', ...range };
    const inner = unwrapped(item.item!).schema;
    return {
      key,
      label,
      control: 'list',
      item: {
        item: fieldsIn(inner.entries ?? {}),
        least: limit(item, 'min_length') ?? 0,
        most: limit(item, 'max_length') ?? 99,
      },
      ...range,
    };
  }
  return { key, label, control: 'text', ...(key === 'text' ? { rows: 3 } : {}) };
}

const fieldsIn = (entries: Record<string, Described>): BlockField[] =>
  Object.entries(entries).map(([key, entry]) => fieldOf(key, entry));

/** The entries of a block, those of its place last. @param type of a sort of block, or of one that holds others */
export function blockFields(type: string): BlockField[] {
  const own: BlockField[] =
    type === 'group'
      ? [
          { key: 'title', label: 'Title', control: 'text' },
          { key: 'icon', label: 'Icon', control: 'choice', choices: ICONS, optional: true },
        ]
      : type === 'columns' || type === 'stack'
        ? []
        : fieldsIn(blockKind({ type }).entries as unknown as Record<string, Described>);
  return [
    ...own,
    ...Object.entries(placeEntries).map(([key, entry]) =>
      fieldOf(key, entry as unknown as Described, PLACE[key]),
    ),
  ];
}

/** An entry of a list as it is added: empty, where it may be. */
export const freshEntry = (fields: readonly BlockField[]): Record<string, unknown> =>
  Object.fromEntries(
    fields
      .filter(({ key, control }) => key === 'label' && control === 'text')
      .map(({ key }) => [key, 'Name']),
  );
