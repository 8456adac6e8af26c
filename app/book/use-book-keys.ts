import { useEffect } from 'react';
import { useNavigate, useParams } from 'react-router';
import { isTyping } from '../parts/is-typing.ts';
import { useBookStore } from './store.ts';

/** The five views in the order a book is made; Alt and their number opens them. */
export const VIEWS = [
  ['brief', 'Brief'],
  ['flatplan', 'Flatplan'],
  ['wrap', 'Wrap'],
  ['listing', 'Listing'],
  ['proof', 'Proof'],
] as const;

/** Ctrl+Z, Ctrl+Shift+Z or Ctrl+Y, and Alt+1 to Alt+5. */
export function useBookKeys(): void {
  const store = useBookStore();
  const navigate = useNavigate();
  const { book } = useParams();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      const view = event.altKey ? VIEWS[Number(event.code.replace('Digit', '')) - 1] : undefined;
      if (view) {
        event.preventDefault();
        void navigate(`/books/${book}/${view[0]}`);
        return;
      }
      // Inside a field the browser undoes typing.
      if (!(event.ctrlKey || event.metaKey) || isTyping(event.target)) return;
      if (key === 'z' && !event.shiftKey) store.getState().undo();
      else if (key === 'y' || (key === 'z' && event.shiftKey)) store.getState().redo();
      else return;
      event.preventDefault();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [store, navigate, book]);
}
