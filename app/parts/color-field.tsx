import Button from '@mui/material/Button';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';

/** Shown before any color was chosen. */
const FIRST = '#7fa8b8';

/** A color, or none. */
export function ColorField({
  label,
  value,
  hint,
  onChange,
}: {
  label: string;
  /** Such as `#7fa8b8`; empty for none. */
  value: string;
  hint?: string | undefined;
  onChange: (value: string) => void;
}) {
  return (
    <TextField
      type="color"
      label={label}
      value={value || FIRST}
      helperText={value ? hint : `None. ${hint ?? ''}`}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: { style: { opacity: value ? 1 : 0.25, cursor: 'pointer' } },
        input: {
          endAdornment: value ? (
            <InputAdornment position="end">
              <Button size="small" onClick={() => onChange('')}>
                Remove
              </Button>
            </InputAdornment>
          ) : null,
        },
      }}
    />
  );
}
