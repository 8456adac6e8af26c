import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { lazy, Suspense } from 'react';
import type { Field } from '#core/settings.ts';
import { Choice } from './choice.tsx';
import { ColorField } from './color-field.tsx';
import { LiveTextField } from './live-text-field.tsx';
import { NumberField } from './number-field.tsx';
import { SelectField } from './select-field.tsx';
import { Several } from './several.tsx';

// Its calendar is large, and few kinds of page ask for a day.
const DateField = lazy(async () => ({ default: (await import('./date-field.tsx')).DateField }));

/** A few short words stand beside each other in the panel; more of them, or longer ones, are shown when they are asked for. */
const MOST_IN_VIEW = { choices: 5, letters: 34 };
const fitsInView = (choices: readonly { label: string }[]): boolean =>
  choices.length <= MOST_IN_VIEW.choices &&
  choices.reduce((sum, { label }) => sum + label.length, 0) <= MOST_IN_VIEW.letters;

/** One option, asked for as its schema says. */
export function OptionField({
  field,
  value,
  onChange,
}: {
  field: Exclude<Field, { control: 'custom' }>;
  value: unknown;
  onChange: (value: unknown) => string | null;
}) {
  switch (field.control) {
    case 'choice': {
      // Controls know words alone; the value may be a number.
      const shared = {
        label: field.label,
        value: String(value),
        choices: field.choices.map((choice) => ({ ...choice, value: String(choice.value) })),
        onChange: (chosen: string) =>
          onChange(field.choices.find((choice) => String(choice.value) === chosen)!.value),
      };
      return fitsInView(field.choices) ? <Choice {...shared} /> : <SelectField {...shared} />;
    }
    case 'several':
      return (
        <Several
          label={field.label}
          value={value as (string | number)[]}
          choices={field.choices}
          least={field.least}
          onChange={onChange}
        />
      );
    case 'number':
      return (
        <NumberField
          label={field.unit ? `${field.label}, ${field.unit}` : field.label}
          value={value as number}
          min={field.min}
          max={field.max}
          step={field.step}
          onCommit={onChange}
        />
      );
    case 'text':
      return (
        <LiveTextField
          label={field.label}
          value={value as string}
          onCommit={onChange}
          {...(field.rows ? { rows: field.rows } : {})}
          {...(field.help ? { hint: field.help } : {})}
        />
      );
    case 'color':
      return <ColorField label={field.label} value={value as string} hint={field.help} onChange={onChange} />;
    case 'day':
      return (
        <Suspense fallback={<TextField label={field.label} value={value as string} disabled />}>
          <DateField label={field.label} value={value as string} onChange={(day) => day && onChange(day)} />
        </Suspense>
      );
    case 'switch':
      return (
        <FormControlLabel
          control={<Switch checked={value as boolean} onChange={(_, on) => onChange(on)} />}
          label={field.label}
        />
      );
  }
}
