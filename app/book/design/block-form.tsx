import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { ArrowUp, Plus, X } from 'lucide-react';
import { type BlockField, freshEntry, type ListOfObjects } from '#core/pages/blocks/block-fields.ts';
import { LiveTextField } from '../../parts/live-text-field.tsx';
import { NumberField } from '../../parts/number-field.tsx';

type Values = Readonly<Record<string, unknown>>;
/** Takes a value, or says why not; undefined leaves the entry out. */
type Take = (value: unknown) => string | null;

/** The entries of a block, or of one thing in a list of it, asked for as their schema says. */
export function BlockForm({
  fields,
  values,
  of,
  onChange,
}: {
  fields: readonly BlockField[];
  values: Values;
  /** Names what the values belong to: fields of another have a state of their own. */
  of: string;
  onChange: (key: string, value: unknown) => string | null;
}) {
  return fields.map((field) => (
    <OneField
      key={`${of} ${field.key}`}
      field={field}
      value={values[field.key]}
      of={of}
      onChange={(value) => onChange(field.key, value)}
    />
  ));
}

function OneField({
  field,
  value,
  of,
  onChange,
}: {
  field: BlockField;
  value: unknown;
  of: string;
  onChange: Take;
}) {
  switch (field.control) {
    case 'text':
      return (
        <LiveTextField
          label={field.label}
          value={(value as string | undefined) ?? ''}
          {...(field.rows ? { rows: field.rows } : {})}
          onCommit={onChange}
        />
      );
    case 'number':
      return field.optional && value === undefined ? (
        <Button size="small" sx={{ justifySelf: 'start' }} onClick={() => onChange(Math.max(1, field.min))}>
          {field.label}…
        </Button>
      ) : (
        <Box sx={{ display: 'flex', alignItems: 'center' }}>
          <NumberField
            label={field.label}
            value={value as number}
            min={field.min}
            max={field.max}
            step={field.step}
            onCommit={onChange}
          />
          {field.optional && (
            <IconButton
              size="small"
              aria-label={`No ${field.label.toLowerCase()}`}
              onClick={() => onChange(undefined)}
            >
              <X size={14} />
            </IconButton>
          )}
        </Box>
      );
    case 'switch':
      return (
        <FormControlLabel
          control={<Switch checked={value as boolean} onChange={(_, on) => onChange(on)} />}
          label={field.label}
        />
      );
    case 'choice':
      return (
        <TextField
          select
          label={field.label}
          value={(value as string | undefined) ?? ''}
          onChange={(event) => onChange(event.target.value || undefined)}
        >
          {field.optional && <MenuItem value="">None</MenuItem>}
          {field.choices.map((choice) => (
            <MenuItem key={choice} value={choice}>
              {choice}
            </MenuItem>
          ))}
        </TextField>
      );
    case 'lines':
      return (
        <LiveTextField
          label={field.label}
          value={((value as string[] | undefined) ?? []).join('\n')}
          rows={4}
          hint="A line each"
          onCommit={(text) => {
            const lines = text.split('\n').map((line) => line.trim());
            while (lines.length > field.least && lines.at(-1) === '') lines.pop();
            return onChange(lines);
          }}
        />
      );
    case 'list':
      return (
        <List
          name={field.label}
          field={field}
          values={(value as unknown[] | undefined) ?? []}
          of={`${of} ${field.key}`}
          onChange={onChange}
        />
      );
  }
}

const isList = (item: BlockField[] | ListOfObjects): item is ListOfObjects => !Array.isArray(item);

function List({
  name,
  field: { item, least, most },
  values,
  of,
  onChange,
}: {
  name: string;
  field: Pick<Extract<BlockField, { control: 'list' }>, 'item' | 'least' | 'most'>;
  values: readonly unknown[];
  of: string;
  onChange: Take;
}) {
  const one = isList(item) ? `Row` : name.replace(/s$/, '');
  const fresh = isList(item) ? [freshEntry(item.item)] : freshEntry(item);
  return (
    <Stack component="fieldset" spacing={2} sx={{ border: 0, m: 0, p: 0, minWidth: 0 }}>
      <Typography component="legend" variant="caption">
        {name}
      </Typography>
      {values.map((value, i) => (
        <Box key={i} sx={{ borderLeft: 2, borderColor: 'divider', pl: 2 }}>
          <Box sx={{ display: 'flex', alignItems: 'center', mb: 1 }}>
            <Typography variant="caption" sx={{ flex: 1 }}>
              {one} {i + 1}
            </Typography>
            <IconButton
              size="small"
              disabled={i === 0}
              aria-label={`${one} ${i + 1} up`}
              onClick={() => onChange(values.with(i, values[i - 1]).with(i - 1, value))}
            >
              <ArrowUp size={14} />
            </IconButton>
            <IconButton
              size="small"
              disabled={values.length <= least}
              aria-label={`Remove ${one.toLowerCase()} ${i + 1}`}
              onClick={() => onChange(values.toSpliced(i, 1))}
            >
              <X size={14} />
            </IconButton>
          </Box>
          {isList(item) ? (
            <List
              name="Fields"
              field={item}
              values={value as unknown[]}
              of={`${of} ${i}`}
              onChange={(next) => onChange(values.with(i, next))}
            />
          ) : (
            <Stack spacing={2}>
              <BlockForm
                fields={item}
                values={value as Values}
                of={`${of} ${i}`}
                onChange={(key, next) => {
                  const { [key]: _was, ...rest } = value as Record<string, unknown>;
                  return onChange(values.with(i, next === undefined ? rest : { ...rest, [key]: next }));
                }}
              />
            </Stack>
          )}
        </Box>
      ))}
      {values.length < most && (
        <Button
          size="small"
          startIcon={<Plus size={14} />}
          sx={{ alignSelf: 'flex-start' }}
          onClick={() => onChange([...values, fresh])}
        >
          Add {one.toLowerCase()}
        </Button>
      )}
    </Stack>
  );
}
