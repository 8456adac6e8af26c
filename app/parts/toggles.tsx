import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup, { type ToggleButtonGroupProps } from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useId } from 'react';

/** A few choices beside each other under their label. */
export function Toggles({
  label,
  choices,
  ...group
}: {
  label: string;
  choices: readonly { value: string | number; label: string }[];
} & Omit<ToggleButtonGroupProps, 'children' | 'size'>) {
  const id = useId();
  return (
    <Box>
      <Typography variant="caption" id={id} component="div" sx={{ mb: 1 }}>
        {label}
      </Typography>
      <ToggleButtonGroup size="small" aria-labelledby={id} {...group}>
        {choices.map((choice) => (
          <ToggleButton key={choice.value} value={choice.value}>
            {choice.label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
