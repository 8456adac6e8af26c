import * as v from 'valibot';
import { describedBy } from './schema.ts';

/** Values of other options. */
export type When = Readonly<Record<string, readonly unknown[]>>;

type Names = Readonly<Record<string, string>>;

/** What a setting says of itself beside its schema, whose range and values are said there alone. */
export interface SettingNotes {
  label: string;
  help?: string;
  /** Settings of one group stand together under its name. */
  group?: string;
  unit?: string;
  step?: number;
  /** Lines of a text that is longer than one. */
  rows?: number;
  /** The name of each value of a choice; a function where they take long to find, called when they are asked for. */
  values?: Names | (() => Names);
  /** It means something only while each of these options has one of the values; the panel leaves it out otherwise. */
  when?: When;
  /** `color`, `day`, `elsewhere` where the control of another option sets it too, or a control for it alone, by its id. */
  control?: string;
}

type AnySchema = v.GenericSchema<unknown, unknown>;

/** An option with its default and what the settings panel, the JSON Schema and the documentation say of it. */
export function setting<const Schema extends AnySchema>(
  schema: Schema,
  fallback: v.InferInput<Schema>,
  { label, help, ...notes }: SettingNotes,
) {
  const title = v.title<v.InferOutput<Schema>, string>(label);
  const said = v.metadata({ setting: { label, ...(help ? { help } : {}), ...notes } });
  const described = help
    ? v.pipe(schema, title as never, v.description(help) as never, said as never)
    : v.pipe(schema, title as never, said as never);
  return v.optional(described as unknown as Schema, fallback as never);
}

/** How one option is asked for; the settings panel draws it. `key` is the option's. */
export type Field = { key: string; label: string; help?: string; group?: string; when?: When } & (
  | { control: 'choice'; choices: readonly { value: string | number; label: string }[] }
  | { control: 'several'; choices: readonly { value: string | number; label: string }[]; least: number }
  | { control: 'number'; min: number; max: number; step: number; unit?: string }
  | { control: 'text'; rows?: number }
  | { control: 'switch' }
  | { control: 'color' }
  | { control: 'day' }
  | { control: 'custom'; id: string }
);

interface Described {
  type: string;
  wrapped?: Described;
  options?: readonly (string | number)[];
  /** Of a list. */
  item?: Described;
  entries?: Record<string, Described>;
  pipe?: readonly { type: string; requirement?: number; metadata?: { setting?: SettingNotes } }[];
}

/** The options of a schema that are asked for, in its order. Those that say nothing of themselves are not. */
export function fieldsOf(options: v.GenericSchema<unknown, unknown>): Field[] {
  const { entries = {} } = describedBy(options) as unknown as Described;
  return Object.entries(entries).flatMap(([key, entry]) => {
    const schema = entry.wrapped ?? entry;
    const notes = schema.pipe?.find(({ metadata }) => metadata?.setting)?.metadata?.setting;
    return notes ? [fieldOf(key, describedBy(schema as never) as unknown as Described, notes)] : [];
  });
}

function fieldOf(key: string, schema: Described, notes: SettingNotes): Field {
  const { label, help, group, when, values, control, unit, step, rows } = notes;
  const field = {
    key,
    label,
    ...(help ? { help } : {}),
    ...(group ? { group } : {}),
    ...(when ? { when } : {}),
  };
  if (control === 'color' || control === 'day') return { ...field, control };
  if (control) return { ...field, control: 'custom', id: control };
  const named = (options: readonly (string | number)[]) => {
    const names = typeof values === 'function' ? values() : values;
    return options.map((value) => ({ value, label: names?.[value] ?? String(value) }));
  };
  if (schema.options) return { ...field, control: 'choice', choices: named(schema.options) };
  if (schema.item?.options) {
    const least = steps(schema).find(({ type }) => type === 'min_length')?.requirement ?? 0;
    return { ...field, control: 'several', choices: named(schema.item.options), least };
  }
  if (schema.type === 'boolean') return { ...field, control: 'switch' };
  if (schema.type === 'string') return { ...field, control: 'text', ...(rows ? { rows } : {}) };
  const limit = (type: string) => {
    const found = steps(schema).find((action) => action.type === type)?.requirement;
    if (found === undefined) throw new RangeError(`The option “${key}” is asked for, but has no ${type}.`);
    return found;
  };
  return {
    ...field,
    control: 'number',
    min: limit('min_value'),
    max: limit('max_value'),
    step: step ?? 1,
    ...(unit ? { unit } : {}),
  };
}

/** Whether an option is set by the control of another one. */
export const isElsewhere = (field: Field): boolean => field.control === 'custom' && field.id === 'elsewhere';

/** Whether an option means something beside the values that the others have. */
export const applies = (
  { when = {} }: Pick<Field, 'when'>,
  values: Readonly<Record<string, unknown>>,
): boolean => Object.entries(when).every(([key, allowed]) => allowed.includes(values[key]));

/** All actions of a schema, those of pipes inside pipes included. */
const steps = (schema: Described): { type: string; requirement?: number }[] =>
  (schema.pipe ?? []).flatMap((part) => ('pipe' in part ? steps(part as unknown as Described) : [part]));
