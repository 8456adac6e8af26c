import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { SxProps } from '@mui/material/styles';
import Typography from '@mui/material/Typography';

interface Listed {
  /** Listed once. */
  word: string;
  shown: string;
  sx: SxProps;
}

/** Beside a puzzle: what is to be done, how many words are found, and which. */
export function WordsToFind({
  help,
  helpId,
  found,
  total,
  onShow,
  words,
}: {
  help: string;
  helpId?: string;
  found: number;
  total: number;
  /** Nothing where no word is left to show. */
  onShow: (() => void) | null;
  words: readonly Listed[];
}) {
  return (
    <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
      <Typography id={helpId} variant="body2">
        {help}
      </Typography>
      <Typography role="status">
        {found} of {total} found
      </Typography>
      <Box>
        <Button size="small" disabled={!onShow} onClick={() => onShow?.()}>
          Show a word
        </Button>
      </Box>
      <Box
        component="ul"
        aria-label="Words"
        sx={{
          ...{ m: 0, p: 0, listStyle: 'none', columnCount: 2 },
          ...{ maxHeight: 340, overflow: 'auto', position: 'relative' },
        }}
      >
        {words.map(({ word, shown, sx }) => (
          <Typography component="li" variant="body2" key={word} sx={sx}>
            {shown}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}
