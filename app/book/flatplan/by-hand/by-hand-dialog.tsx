import CircularProgress from '@mui/material/CircularProgress';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { type ComponentType, lazy, Suspense, useEffect, useState } from 'react';
import { keepPin } from '#core/book/edit.ts';
import { kindOf, type Section } from '#core/book/sections.ts';
import { pageKind } from '#core/pages/index.ts';
import { complain } from '../../../parts/notices.tsx';
import { useBook } from '../../store.ts';
import type { ItemDialogProps } from '../item-dialog-props.ts';
import { useItem } from '../use-item.ts';
import type { ByHandProps } from './by-hand-props.ts';

/** By kind of page; each is loaded when somebody changes one. */
const EDITORS: Readonly<Record<string, ComponentType<ByHandProps<never>>>> = {
  cages: lazy(() => import('./cages-by-hand.tsx')),
  'cross-sums': lazy(() => import('./cross-sums-by-hand.tsx')),
  crossword: lazy(() => import('./crossword-by-hand.tsx')),
  'fill-in': lazy(() => import('./fill-in-by-hand.tsx')),
  inequality: lazy(() => import('./inequality-by-hand.tsx')),
  kakuro: lazy(() => import('./kakuro-by-hand.tsx')),
  'number-pyramid': lazy(() => import('./number-pyramid-by-hand.tsx')),
  maze: lazy(() => import('./maze-by-hand.tsx')),
  'word-search': lazy(() => import('./word-search-by-hand.tsx')),
  sudoku: lazy(() => import('./sudoku-by-hand.tsx')),
};

/** Whether puzzles of a section can be changed by hand. */
export const canBeChanged = (section: Section): boolean =>
  section.kind in EDITORS &&
  // Those of an earlier version stay as that made them, unless they are kept in the same way.
  kindOf(section).pin?.schema === pageKind(section.kind).pin?.schema;

/** Whether there is what judging items of a section takes, such as lists of words. */
function useSolvers(section: Section): boolean {
  const [isReady, setReady] = useState(false);
  useEffect(() => {
    let wanted = true;
    Promise.resolve(kindOf(section).prepareItems?.(section.options)).then(
      () => wanted && setReady(true),
      (error: Error) => complain(`The solver could not be loaded: ${error.message}`),
    );
    return () => {
      wanted = false;
    };
  }, [section]);
  return isReady;
}

/** One puzzle to be changed by hand while a solver watches; what is kept is a pin. */
export function ByHandDialog({ section, item, label, onClose }: ItemDialogProps) {
  const edit = useBook((state) => state.edit);
  const made = useItem(section, item);
  const isReady = useSolvers(section);
  const Editor = EDITORS[section.kind]!;
  const waits = (
    <DialogContent sx={{ minHeight: 480, display: 'grid', placeItems: 'center' }}>
      <CircularProgress aria-label="Making the puzzle" />
    </DialogContent>
  );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle>Edit {label} by hand</DialogTitle>
      {made && isReady ? (
        <Suspense fallback={waits}>
          <Editor
            item={made as never}
            options={section.options}
            onClose={onClose}
            onKeep={(pin) => {
              edit((recipe) => keepPin(recipe, section.id, item, pin));
              onClose();
            }}
          />
        </Suspense>
      ) : (
        waits
      )}
    </Dialog>
  );
}
