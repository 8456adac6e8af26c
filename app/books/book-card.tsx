import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import Chip from '@mui/material/Chip';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { BookRow } from '#server/books.ts';
import { BookCover } from '../parts/book-cover.tsx';
import { useFormats } from '../parts/formats.tsx';
import { SubmissionState } from '../parts/submission-state.tsx';

const FILES = {
  none: 'no files yet',
  current: 'files up to date',
  'out of date': 'files out of date',
} as const;

/** Of a title; more is told when the pointer rests on it. */
const LINES = { display: '-webkit-box', WebkitBoxOrient: 'vertical', WebkitLineClamp: 3, overflow: 'hidden' };

/** A book in the list. The whole card leads to it, but for the box that selects it. */
export function BookCard({
  book: { id, title, summary, labels, files, submission },
  deleted,
  selected,
  onSelect,
}: {
  book: BookRow;
  /** It cannot be opened before it is restored. */
  deleted: boolean;
  selected: boolean;
  /** @param range up to the one that was selected last */
  onSelect: (range: boolean) => void;
}) {
  const { size } = useFormats();
  return (
    <Box sx={{ position: 'relative', minWidth: 0 }}>
      <Paper
        {...(deleted ? {} : { component: Link, to: `/books/${id}/flatplan` })}
        sx={{
          display: 'flex',
          gap: 4,
          p: 4,
          pr: 11,
          height: '100%',
          textDecoration: 'none',
          color: 'text.primary',
          borderColor: selected ? 'primary.main' : 'divider',
          ...(deleted ? {} : { '&:hover': { borderColor: 'primary.main' } }),
        }}
      >
        <Box sx={{ flex: 'none', border: 1, borderColor: 'divider', alignSelf: 'flex-start' }}>
          <BookCover recipe={summary?.front ?? null} title={title} width={92} />
        </Box>
        <Box sx={{ minWidth: 0, overflowWrap: 'anywhere' }}>
          <Typography variant="h2" title={title} sx={LINES}>
            {title}
          </Typography>
          <Typography variant="body2" color="text.secondary">
            {summary?.front.penName}
          </Typography>
          {summary ? (
            <>
              <Typography variant="body2" sx={{ mt: 2 }}>
                {size(summary.trim.width, summary.trim.height)} · {summary.pages} pages
              </Typography>
              <Typography variant="body2" color={files === 'out of date' ? 'error' : 'text.primary'}>
                {FILES[files]}
              </Typography>
            </>
          ) : (
            <Typography variant="body2" color="error" sx={{ mt: 2 }}>
              cannot be read by this version
            </Typography>
          )}
          {submission && <SubmissionState state={submission} reasons={[]} />}
          {labels.length > 0 && (
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 2 }}>
              {labels.map((label) => (
                <Chip key={label} size="small" variant="outlined" label={label} />
              ))}
            </Box>
          )}
        </Box>
      </Paper>
      <Checkbox
        checked={selected}
        onChange={(event) => onSelect((event.nativeEvent as MouseEvent).shiftKey)}
        slotProps={{ input: { 'aria-label': `Select “${title}”` } }}
        sx={{ position: 'absolute', top: 6, right: 6 }}
      />
    </Box>
  );
}
