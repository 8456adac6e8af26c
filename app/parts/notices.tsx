import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import SnackbarContent from '@mui/material/SnackbarContent';
import { type CustomContentProps, closeSnackbar, enqueueSnackbar, SnackbarProvider } from 'notistack';
import type { ReactNode, Ref } from 'react';
import { create } from 'zustand';
import { tokens } from '../theme.ts';
import { useShortcut } from './shortcuts.tsx';

/** How long a notice stays that nothing depends on. */
const SHORT_MS = 5000;
/** A notice that can be undone, or that says what went wrong, is there for longer. */
const LONG_MS = 9000;

/** What was just done and can be taken back, the last at the end. */
const useUndoable = create<{ steps: readonly { key: string; back: () => void }[] }>(() => ({ steps: [] }));

const forget = (key: string): void =>
  useUndoable.setState(({ steps }) => ({ steps: steps.filter((step) => step.key !== key) }));

function undo(key: string): void {
  const step = useUndoable.getState().steps.find((one) => one.key === key);
  forget(key);
  closeSnackbar(key);
  step?.back();
}

let count = 0;

/** Says something that was done, in passing. The same words are shown once. */
export function tell(words: string): void {
  enqueueSnackbar(words, { key: words, preventDuplicate: true, autoHideDuration: SHORT_MS });
}

/** Says what did not work, and what to do. @returns how to take the words away again */
export function complain(words: string, onClose?: () => void): () => void {
  enqueueSnackbar(words, {
    key: words,
    preventDuplicate: true,
    variant: 'error',
    autoHideDuration: LONG_MS,
    ...(onClose ? { onClose: (_, reason) => reason !== 'instructed' && onClose() } : {}),
  });
  return () => closeSnackbar(words);
}

/** Says what was done and lets it be taken back, by its button or Ctrl+Z. */
export function offerUndo(words: string, back: () => void): void {
  const key = `undo ${++count}`;
  useUndoable.setState(({ steps }) => ({ steps: [...steps, { key, back }] }));
  enqueueSnackbar(words, {
    key,
    autoHideDuration: LONG_MS,
    action: (
      <Button size="small" sx={{ color: tokens.vellum }} onClick={() => undo(key)}>
        Undo
      </Button>
    ),
    onExited: () => forget(key),
  });
}

type ContentProps = CustomContentProps & { ref?: Ref<HTMLDivElement> };

const Plain = ({ message, action, id, ref }: ContentProps) => (
  <SnackbarContent
    ref={ref ?? null}
    message={message}
    action={typeof action === 'function' ? action(id) : action}
  />
);

const Wrong = ({ message, id, ref }: ContentProps) => (
  <Alert
    ref={ref ?? null}
    severity="error"
    variant="outlined"
    onClose={() => closeSnackbar(id)}
    sx={{ bgcolor: 'background.paper', maxWidth: 640 }}
  >
    {message}
  </Alert>
);

const COMPONENTS = { default: Plain, error: Wrong };

/** Where notices are shown, above whatever is open. */
export function Notices({ children }: { children: ReactNode }) {
  const steps = useUndoable((state) => state.steps);
  const last = steps.at(-1);
  useShortcut(
    { keys: 'mod+z', does: 'Undo the last change', group: 'Everywhere', when: last !== undefined },
    () => last && undo(last.key),
  );
  return (
    <SnackbarProvider maxSnack={3} Components={COMPONENTS}>
      {children}
    </SnackbarProvider>
  );
}
