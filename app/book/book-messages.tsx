import { useEffect } from 'react';
import { ConflictDialog } from '../parts/conflict-dialog.tsx';
import { complain } from '../parts/notices.tsx';
import { useBook } from './store.ts';

/** What the book has to say: a change it did not take, or another tab's work in the way. */
export function BookMessages() {
  const refused = useBook((state) => state.refused);
  const dismissError = useBook((state) => state.dismissError);
  const theirs = useBook((state) => state.theirs);
  const takeTheirs = useBook((state) => state.takeTheirs);
  const keepMine = useBook((state) => state.keepMine);
  useEffect(() => {
    if (refused !== null) return complain(`${refused} Nothing was changed.`, dismissError);
  }, [refused, dismissError]);
  return (
    <ConflictDialog
      open={theirs !== null}
      what="This book was"
      words="Nothing is lost: the version you do not choose stays in the history."
      onTheirs={() => void takeTheirs()}
      onMine={keepMine}
    />
  );
}
