import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { type CellTrial, readWords, type TrialRun, type TrialState } from '#core/pages/puzzle/trial.ts';

const SCROLLS = { maxHeight: 220, overflow: 'auto', position: 'relative' } as const;

/** What a puzzle asks for: its clues, of which one is followed, or its words, of which those that are used are ticked. */
export function ClueList({
  trial,
  state,
  run,
  onRun,
}: {
  trial: CellTrial;
  state: TrialState;
  run: TrialRun | undefined;
  onRun: (run: TrialRun) => void;
}) {
  const { runs, words } = trial;
  const clued = runs.filter(({ clue }) => clue !== undefined);
  if (words) {
    const read = new Set(readWords(trial, state));
    return (
      <Box>
        <Typography variant="h3">Words</Typography>
        <Box
          component="ul"
          sx={{ ...SCROLLS, m: 0, p: 0, listStyle: 'none', display: 'flex', flexWrap: 'wrap', columnGap: 3 }}
        >
          {words.map((word) => (
            <Typography
              component="li"
              variant="body2"
              key={word}
              sx={read.has(word) ? { textDecoration: 'line-through', color: 'text.secondary' } : {}}
            >
              {word}
            </Typography>
          ))}
        </Box>
      </Box>
    );
  }
  if (!clued.length) return null;
  return (
    <Box>
      <Typography variant="h3">Clues</Typography>
      <Box component="ul" sx={{ ...SCROLLS, m: 0, p: 0, listStyle: 'none' }}>
        {clued.map((one) => (
          <li key={one.name}>
            <ButtonBase
              aria-current={one === run}
              onClick={() => onRun(one)}
              sx={{
                display: 'block',
                width: '100%',
                textAlign: 'start',
                py: 0.5,
                px: 1,
                borderRadius: 1,
                typography: 'body2',
                bgcolor: one === run ? 'action.selected' : undefined,
              }}
            >
              <Box component="span" sx={{ fontWeight: 700 }}>
                {one.name}
              </Box>{' '}
              {one.clue}
            </ButtonBase>
          </li>
        ))}
      </Box>
    </Box>
  );
}
