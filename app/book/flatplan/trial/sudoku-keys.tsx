import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { KeyboardEvent, ReactNode } from 'react';
import { SIGNS, type Size } from '#core/puzzles/sudoku/index.ts';

const EMPTYING = ['Backspace', 'Delete', '0', ' '];

/**
 * Digits by keyboard and as buttons. What is inside hears the keys, too.
 * @param children is given the buttons, to be put where there is room for them
 */
export function SudokuKeys({
  size,
  disabled = false,
  onDigit,
  children,
}: {
  size: Size;
  disabled?: boolean;
  /** 0 empties the cell. */
  onDigit: (digit: number) => void;
  children: (buttons: ReactNode) => ReactNode;
}) {
  const signs = [...SIGNS.slice(0, size)];
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const digit = signs.indexOf(event.key.toUpperCase()) + 1;
    if (!digit && !EMPTYING.includes(event.key)) return;
    // A space presses the button that has the focus.
    if (event.key === ' ' && event.target instanceof HTMLButtonElement) return;
    event.preventDefault();
    event.stopPropagation();
    onDigit(digit);
  };
  const button = (sign: string, digit: number, label?: string) => (
    <Button
      key={sign}
      size="small"
      variant="outlined"
      sx={{ minWidth: 0 }}
      disabled={disabled}
      onClick={() => onDigit(digit)}
      aria-label={label}
    >
      {sign}
    </Button>
  );
  return (
    <Box onKeyDown={onKeyDown}>
      {children(
        <Box
          role="group"
          aria-label="Digits"
          sx={{ display: 'grid', gridTemplateColumns: `repeat(${size > 9 ? 6 : 5}, 1fr)`, gap: 1 }}
        >
          {signs.map((sign, i) => button(sign, i + 1))}
          {button('×', 0, 'Empty the cell')}
        </Box>,
      )}
    </Box>
  );
}
