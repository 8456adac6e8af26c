import { useShortcut } from '../parts/shortcuts.tsx';
import { useBookSteps, useBookStore } from './store.ts';

/** The five views in the order a book is made. */
export const VIEWS = [
  ['brief', 'Brief'],
  ['flatplan', 'Flatplan'],
  ['wrap', 'Wrap'],
  ['listing', 'Listing'],
  ['proof', 'Proof'],
] as const;

/** Undo and redo; inside a field the browser undoes typing. */
export function useBookKeys(): void {
  const { undo, redo } = useBookStore().getState();
  const steps = useBookSteps();
  useShortcut({ keys: 'mod+z', does: 'Undo', group: 'Book', when: steps.back > 0 }, undo);
  useShortcut({ keys: 'mod+shift+z,mod+y', does: 'Redo', group: 'Book', when: steps.forth > 0 }, redo);
}
