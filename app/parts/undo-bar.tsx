import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useCallback, useEffect, useState } from 'react';
import { isTyping } from './is-typing.ts';

/** What was just done, in words, and how it is taken back. */
interface Undoable {
  words: string;
  back: () => void;
}

export interface Undo {
  undoable: Undoable | null;
  /** Lets what was just done be taken back. */
  offerUndo(words: string, back: () => void): void;
  undo(): void;
  forget(): void;
}

/** The last thing done that can be taken back; the next one takes its place. */
export function useUndo(): Undo {
  const [undoable, setUndoable] = useState<Undoable | null>(null);
  const offerUndo = useCallback((words: string, back: () => void) => setUndoable({ words, back }), []);
  const forget = useCallback(() => setUndoable(null), []);
  const undo = useCallback(() => {
    undoable?.back();
    setUndoable(null);
  }, [undoable]);
  return { undoable, offerUndo, undo, forget };
}

/** Takes the last thing back: here, or by Ctrl+Z unless something is being typed. */
export function UndoBar({ undoable, undo, forget }: Undo) {
  useEffect(() => {
    if (!undoable) return;
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key !== 'z' || event.shiftKey) return;
      if (isTyping(event.target)) return;
      undo();
      event.preventDefault();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [undoable, undo]);
  return (
    <Snackbar
      open={undoable !== null}
      autoHideDuration={8000}
      onClose={(_, reason) => reason === 'timeout' && forget()}
      message={undoable?.words}
      action={
        <Button size="small" sx={{ color: '#f4efe4' }} onClick={undo}>
          Undo
        </Button>
      }
    />
  );
}
