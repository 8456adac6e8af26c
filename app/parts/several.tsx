import { Toggles } from './toggles.tsx';

/** Some of a few choices, all in view. The last that is needed stays chosen. */
export function Several<T extends string | number>({
  label,
  value,
  choices,
  least,
  onChange,
}: {
  label: string;
  value: readonly T[];
  choices: readonly { value: T; label: string }[];
  least: number;
  onChange: (value: T[]) => void;
}) {
  return (
    <Toggles
      label={label}
      choices={choices}
      value={[...value]}
      sx={{ flexWrap: 'wrap' }}
      onChange={(_, next: T[]) => {
        // In the order in which they are offered, so that the same choice is always the same.
        if (next.length >= least)
          onChange(choices.flatMap((choice) => (next.includes(choice.value) ? [choice.value] : [])));
      }}
    />
  );
}
