import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useId } from 'react';

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
  const id = useId();
  return (
    <Box>
      <Typography variant="caption" id={id} component="div" sx={{ mb: 1 }}>
        {label}
      </Typography>
      <ToggleButtonGroup
        size="small"
        value={[...value]}
        aria-labelledby={id}
        sx={{ flexWrap: 'wrap' }}
        onChange={(_, next: T[]) => {
          // In the order in which they are offered, so that the same choice is always the same.
          if (next.length >= least)
            onChange(choices.flatMap((choice) => (next.includes(choice.value) ? [choice.value] : [])));
        }}
      >
        {choices.map((choice) => (
          <ToggleButton key={choice.value} value={choice.value}>
            {choice.label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
