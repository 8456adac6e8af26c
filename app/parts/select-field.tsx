import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

/** A choice of more than a few: shown when it is opened. */
export function SelectField<T extends string>({
  label,
  value,
  choices,
  onChange,
}: {
  label: string;
  value: T;
  choices: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
}) {
  return (
    <TextField select label={label} value={value} onChange={(event) => onChange(event.target.value as T)}>
      {choices.map((choice) => (
        <MenuItem key={choice.value} value={choice.value}>
          {choice.label}
        </MenuItem>
      ))}
    </TextField>
  );
}
