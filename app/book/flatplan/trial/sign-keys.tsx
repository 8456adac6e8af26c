import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { KeyboardEvent, ReactNode } from 'react';

const EMPTYING = ['Backspace', 'Delete', '0', ' '];
/** More signs than digits stand in rows of this many. */
const MANY = { from: 17, columns: 8 } as const;

/**
 * Signs by keyboard and as buttons. What is inside hears the keys, too.
 * @param children is given the buttons, to be put where there is room for them
 */
export function SignKeys({
  signs,
  name = 'Digits',
  disabled = false,
  emptying,
  onSign,
  children,
}: {
  signs: readonly string[];
  name?: string;
  disabled?: boolean;
  /** What taking out what is in a cell is called where it is something else; null where there is no button for it. */
  emptying?: string | null;
  /** Nothing empties the cell. */
  onSign: (sign: string) => void;
  children: (buttons: ReactNode) => ReactNode;
}) {
  const columns = signs.length >= MANY.from ? MANY.columns : signs.length > 9 ? 6 : 5;
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const sign = event.key.toLocaleUpperCase('en');
    const isSign = signs.includes(sign);
    if (!isSign && !EMPTYING.includes(event.key)) return;
    // A space presses the button that has the focus.
    if (event.key === ' ' && event.target instanceof HTMLButtonElement) return;
    event.preventDefault();
    event.stopPropagation();
    onSign(isSign ? sign : '');
  };
  const button = (sign: string, label?: string) => (
    <Button
      key={sign}
      size="small"
      variant="outlined"
      sx={{ minWidth: 0, px: 0 }}
      disabled={disabled}
      onClick={() => onSign(label ? '' : sign)}
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
          aria-label={name}
          sx={{
            display: 'grid',
            gridTemplateColumns: `repeat(${columns}, 1fr)`,
            gap: signs.length >= MANY.from ? 0.5 : 1,
          }}
        >
          {signs.map((sign) => button(sign))}
          {emptying === undefined && button('×', 'Empty the cell')}
          {emptying && (
            <Button size="small" variant="outlined" sx={{ gridColumn: '1 / -1' }} onClick={() => onSign('')}>
              {emptying}
            </Button>
          )}
        </Box>,
      )}
    </Box>
  );
}
