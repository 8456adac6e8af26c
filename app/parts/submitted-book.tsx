import Link from '@mui/material/Link';
import { Link as To } from 'react-router';
import type { SubmissionRow } from '#server/submissions.ts';

/** The title of a book that was submitted: it leads to its proof, unless it was deleted, and then to where it is. */
export function SubmittedBook({
  bookId,
  title,
  deleted,
}: Pick<SubmissionRow, 'bookId' | 'title' | 'deleted'>) {
  if (!deleted)
    return (
      <Link component={To} to={`/books/${bookId}/proof`}>
        {title}
      </Link>
    );
  return (
    <>
      {title},{' '}
      <Link component={To} to="/books?deleted=yes" underline="always">
        deleted
      </Link>
    </>
  );
}
