import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useId } from 'react';

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
  const id = useId();
  return (
    <Box>
      <Typography variant="caption" id={id} component="div" sx={{ mb: 1 }}>
        {label}
      </Typography>
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        value={value}
        aria-labelledby={id}
        onChange={(_, next: T | null) => next !== null && onChange(next)}
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
