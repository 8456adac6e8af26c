import CircularProgress from '@mui/material/CircularProgress';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { type ComponentType, lazy, Suspense } from 'react';
import { keepPin } from '#core/book/edit.ts';
import type { Section } from '#core/book/sections.ts';
import { useBook } from '../../store.ts';
import type { ItemDialogProps } from '../item-dialog-props.ts';
import { useItem } from '../use-item.ts';
import type { ByHandProps } from './by-hand-props.ts';

/** By kind of page; each is loaded when somebody changes one. */
const EDITORS: Readonly<Record<string, ComponentType<ByHandProps<never>>>> = {
  sudoku: lazy(() => import('./sudoku-by-hand.tsx')),
};

/** Whether puzzles of a section can be changed by hand. */
export const canBeChanged = ({ kind, options }: Section): boolean =>
  kind in EDITORS && !['jigsaw', 'killer'].includes(String(options.variant));

/** One puzzle to be changed by hand while a solver watches; what is kept is a pin. */
export function ByHandDialog({ section, item, label, onClose }: ItemDialogProps) {
  const edit = useBook((state) => state.edit);
  const made = useItem(section, item);
  const Editor = EDITORS[section.kind]!;
  const waits = (
    <DialogContent sx={{ minHeight: 480, display: 'grid', placeItems: 'center' }}>
      <CircularProgress aria-label="Making the puzzle" />
    </DialogContent>
  );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle>Edit {label} by hand</DialogTitle>
      {made ? (
        <Suspense fallback={waits}>
          <Editor
            item={made as never}
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
