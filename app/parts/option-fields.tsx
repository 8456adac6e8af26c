import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { applies, type Field, fieldsOf, isElsewhere } from '#core/settings.ts';
import { OptionField } from './option-field.tsx';

type CustomField = Extract<Field, { control: 'custom' }>;

/** Fields in their order, those of one group together where the first of them stands. */
function grouped(fields: readonly Field[]): { group: string | undefined; fields: Field[] }[] {
  const groups: { group: string | undefined; fields: Field[] }[] = [];
  for (const field of fields) {
    const there = field.group && groups.find(({ group }) => group === field.group);
    if (there) there.fields.push(field);
    else groups.push({ group: field.group, fields: [field] });
  }
  return groups;
}

/** All options of a schema, asked for as it says; those of a group stand under its name. */
export function OptionFields({
  schema,
  values,
  owner,
  onChange,
  custom = () => null,
}: {
  schema: Parameters<typeof fieldsOf>[0];
  values: Readonly<Record<string, unknown>>;
  /** What the options belong to: fields of another have a state of their own. */
  owner: string;
  /** @returns why a value is not taken, or null */
  onChange: (key: string, value: unknown) => string | null;
  /** A control that belongs to one sort of option alone. */
  custom?: (field: CustomField) => ReactNode;
}) {
  const one = (field: Field) => {
    const key = `${owner} ${field.key}`;
    if (field.control === 'custom') return <div key={key}>{custom(field)}</div>;
    const set = (value: unknown) => onChange(field.key, value);
    return <OptionField key={key} field={field} value={values[field.key]} onChange={set} />;
  };
  const fields = fieldsOf(schema).filter((field) => applies(field, values) && !isElsewhere(field));
  return grouped(fields).map(({ group, fields: own }) =>
    group ? (
      <Stack key={group} component="section" aria-label={group} spacing={3.5}>
        <Typography variant="h3">{group}</Typography>
        {own.map(one)}
      </Stack>
    ) : (
      own.map(one)
    ),
  );
}
