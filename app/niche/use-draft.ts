import { useEffect, useRef, useState } from 'react';
import { useRevalidator } from 'react-router';
import { useStore } from 'zustand';
import { openDraft, type SaveAnswer } from '../parts/draft.ts';
import { saveWords } from '../parts/save-words.ts';
import { saveOnto } from './post.ts';

/**
 * Something of a niche that is saved by itself under its address, with undo. What was derived from it comes anew with
 * every save; what the server changed meanwhile is taken over when nothing waits here.
 * @param refusal why a value is not possible, or null
 */
export function useDraft<Value>(path: string, saved: Value, refusal: (value: Value) => string | null) {
  const { revalidate } = useRevalidator();
  const afterSave = useRef(revalidate);
  afterSave.current = revalidate;
  // What the server had when it was last heard of: a save that begins from something else is in another's way.
  const base = useRef(saved);
  const [draft] = useState(() =>
    openDraft<Value>({
      opened: { value: saved, revision: 0, savedAt: new Date() },
      refusal,
      async save(value): Promise<SaveAnswer<Value>> {
        const answer = await saveOnto(path, base.current, value);
        if (answer.saved) {
          base.current = value;
          void afterSave.current();
        } else if ('conflict' in answer) base.current = answer.conflict.value;
        return answer;
      },
    }),
  );
  useEffect(() => draft.begin(), [draft]);
  useEffect(() => {
    if (draft.getState().saveState === 'saved') base.current = saved;
    draft.getState().follow(saved);
  }, [draft, saved]);
  const { value, edit, undo, saveState, refused, theirs, takeTheirs, keepMine } = useStore(draft);
  const canUndo = useStore(draft.temporal, ({ pastStates }) => pastStates.length > 0);
  const conflict = {
    open: theirs !== null,
    onTheirs: () => void takeTheirs(),
    onMine: keepMine,
    words: '“Use the other version” can be undone; “Keep mine” replaces what the other tab saved.',
  };
  return { value, edit, undo, canUndo, words: refused ?? saveWords(saveState), conflict };
}
