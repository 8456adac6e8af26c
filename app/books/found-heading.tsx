import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';

/** The head of a list that belongs to the books: the way back to them, its name, and a field to find what is in it. */
export function FoundHeading({
  title,
  typed,
  onType,
}: {
  title: string;
  typed: string;
  /** Left out where there is nothing to find. */
  onType: ((typed: string) => void) | undefined;
}) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, mb: 4 }}>
      <Box sx={{ flex: 1 }}>
        <Link component={RouterLink} to="/books" underline="always">
          Books
        </Link>
        <Typography variant="h1">{title}</Typography>
      </Box>
      {onType && (
        <TextField
          size="small"
          type="search"
          label="Find"
          value={typed}
          onChange={(event) => onType(event.target.value)}
          sx={{ width: 260 }}
        />
      )}
    </Box>
  );
}
