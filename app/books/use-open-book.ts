import { useState } from 'react';
import { useNavigate } from 'react-router';

type Opened = { id: string } | { problems: string[] };

/** Sends a file to be opened as a book, a recipe or a ZIP of any size, and goes to the book. */
export function useOpenBook() {
  const navigate = useNavigate();
  const [opening, setOpening] = useState(false);
  const [problems, setProblems] = useState<string[]>([]);
  const open = async (file: File) => {
    setOpening(true);
    setProblems([]);
    try {
      const response = await fetch('/books/open', {
        method: 'POST',
        headers: { 'content-type': 'application/octet-stream' },
        body: file,
      });
      if (response.redirected) throw new Error('Signed out.');
      const opened = (await response.json()) as Opened;
      if ('problems' in opened) setProblems(opened.problems);
      else await navigate(`/books/${opened.id}/flatplan`);
    } catch {
      setProblems(['The server does not answer. Try again.']);
    } finally {
      setOpening(false);
    }
  };
  return { open, opening, problems };
}
