import { Toggles } from './toggles.tsx';

/** A choice of a few, all in view. */
export function Choice<T extends string | number>({
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
    <Toggles
      exclusive
      fullWidth
      label={label}
      choices={choices}
      value={value}
      onChange={(_, next: T | null) => next !== null && onChange(next)}
    />
  );
}
