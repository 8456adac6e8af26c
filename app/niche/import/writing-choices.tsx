import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { BroughtTable } from './use-brought.ts';

/** How the numbers, moneys, lengths and days of a table are written, as guessed, each to be changed. */
export function WritingChoices({
  table,
  brought,
  rates,
  into,
  setRates,
  setWriting,
}: Pick<BroughtTable, 'table' | 'rates' | 'into' | 'setRates' | 'setWriting'> & {
  brought: NonNullable<BroughtTable['brought']>;
}) {
  const { writing, matching } = brought;
  const has = (...kinds: string[]) =>
    table.fields.some(({ key, kind }) => kinds.includes(kind) && matching.includes(key));
  return (
    <>
      <Pick
        label="Decimals"
        value={writing.decimal}
        choices={[
          ['.', '1,234.5'],
          [',', '1.234,5'],
        ]}
        onPick={(decimal) => setWriting({ decimal })}
      />
      {has('money') && (
        <Pick
          label="Currency"
          value={writing.currency}
          choices={[
            ['USD', '$'],
            ['GBP', '£'],
            ['EUR', '€'],
            ['JPY', '¥'],
          ]}
          onPick={(currency) => setWriting({ currency })}
        />
      )}
      {has('money') && writing.currency !== into && (
        <TextField
          key={writing.currency}
          label={`${into} for one ${writing.currency}`}
          defaultValue={Number((rates[writing.currency] / rates[into]).toPrecision(4))}
          onChange={(event) => {
            const rate = Number(event.target.value.replace(',', '.'));
            if (rate > 0 && rate < 1000) setRates({ ...rates, [writing.currency]: rate * rates[into] });
          }}
          sx={{ width: 160 }}
        />
      )}
      {has('length', 'trim') && (
        <Pick
          label="Units"
          value={writing.unit}
          choices={[
            ['in', 'in'],
            ['cm', 'cm'],
            ['mm', 'mm'],
          ]}
          onPick={(unit) => setWriting({ unit })}
        />
      )}
      {has('day') && (
        <Pick
          label="Date format"
          value={writing.days}
          choices={[
            ['year first', '2026-11-24'],
            ['day first', '24/11/2026'],
            ['month first', '11/24/2026'],
          ]}
          onPick={(days) => setWriting({ days })}
        />
      )}
    </>
  );
}

function Pick<T extends string>({
  label,
  value,
  choices,
  onPick,
}: {
  label: string;
  value: T;
  choices: [T, string][];
  onPick: (value: T) => void;
}) {
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => onPick(event.target.value as T)}
      sx={{ width: 140 }}
    >
      {choices.map(([choice, name]) => (
        <MenuItem key={choice} value={choice}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
