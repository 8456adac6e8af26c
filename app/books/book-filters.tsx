import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Form, Link, useSubmit } from 'react-router';

/** What of the books is shown, as it stands in the address. */
export interface BooksShown {
  search: string;
  label: string | null;
  deleted: boolean;
}

/** The address of a list of books. */
export function addressOf({ search, label, deleted }: BooksShown, page = 1): string {
  const query = new URLSearchParams({
    ...(search ? { search } : {}),
    ...(label === null ? {} : { label }),
    ...(deleted ? { deleted: 'yes' } : {}),
    ...(page > 1 ? { page: String(page) } : {}),
  }).toString();
  return `/books${query ? `?${query}` : ''}`;
}

/** Finds books by their words, by label, and the deleted ones. */
export function BookFilters({
  shown,
  total,
  labels,
  deletedBooks,
}: {
  shown: BooksShown;
  total: number;
  labels: readonly { label: string; books: number }[];
  deletedBooks: number;
}) {
  const submit = useSubmit();
  const chips = [
    ...labels.map(({ label, books }) => ({
      name: `${label} (${books})`,
      on: shown.label === label,
      to: addressOf({ ...shown, deleted: false, label: shown.label === label ? null : label }),
    })),
    ...(deletedBooks || shown.deleted
      ? [
          {
            name: `Deleted (${deletedBooks})`,
            on: shown.deleted,
            to: addressOf({ search: shown.search, label: null, deleted: !shown.deleted }),
          },
        ]
      : []),
  ];
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 4, rowGap: 2, mb: 4 }}>
      <Form
        role="search"
        action="/books"
        onChange={(event) => void submit(event.currentTarget, { replace: true })}
      >
        <TextField
          label="Search books"
          name="search"
          type="search"
          defaultValue={shown.search}
          sx={{ width: 300 }}
          slotProps={{ htmlInput: { maxLength: 100 } }}
        />
        {shown.label !== null && <input type="hidden" name="label" value={shown.label} />}
        {shown.deleted && <input type="hidden" name="deleted" value="yes" />}
      </Form>
      <Typography color="text.secondary" role="status">
        {total.toLocaleString('en-US')} {total === 1 ? 'book' : 'books'}
      </Typography>
      {chips.length > 0 && (
        <Box component="nav" aria-label="Books by label" sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
          {chips.map(({ name, on, to }) => (
            <Chip
              key={name}
              clickable
              component={Link}
              to={to}
              label={name}
              color={on ? 'primary' : 'default'}
              variant={on ? 'filled' : 'outlined'}
              aria-current={on ? 'true' : undefined}
            />
          ))}
        </Box>
      )}
    </Box>
  );
}
