import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';

/** A list that was found: whether it is taken, its title, and its words, each of which can be left out. */
export function FoundList({
  list: { title, words, taken, without },
  how,
  onTaken,
  onTitle,
  onWord,
}: {
  list: { title: string; words: readonly string[]; taken: boolean; without: ReadonlySet<string> };
  how: string;
  onTaken: (taken: boolean) => void;
  onTitle: (title: string) => void;
  onWord: (word: string) => void;
}) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{ py: 3, borderTop: 1, borderColor: 'divider', color: taken ? 'text.primary' : 'text.secondary' }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
        <Checkbox
          checked={taken}
          onChange={(event) => onTaken(event.target.checked)}
          slotProps={{ input: { 'aria-label': `Take ${title}` } }}
        />
        <TextField
          value={title}
          onChange={(event) => onTitle(event.target.value)}
          slotProps={{
            htmlInput: { maxLength: 100, 'aria-label': 'Title' },
            inputLabel: { sx: { display: 'none' } },
          }}
          sx={{ width: 280 }}
        />
        <Typography variant="body2" color="text.secondary">
          {words.length - without.size} words · {how}
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, mt: 1, pl: 11 }}>
        {words.map((word) => (
          <Box
            component="button"
            type="button"
            key={word}
            aria-pressed={!without.has(word)}
            onClick={() => onWord(word)}
            sx={{
              font: 'inherit',
              color: 'inherit',
              border: 0,
              background: 'none',
              cursor: 'pointer',
              px: 1.5,
              py: 0.5,
              borderRadius: 1,
              '&:hover': { bgcolor: 'action.hover' },
              ...(without.has(word) ? { textDecoration: 'line-through', opacity: 0.55 } : {}),
            }}
          >
            {word}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
