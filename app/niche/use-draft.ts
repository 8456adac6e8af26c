import { useEffect, useRef, useState } from 'react';
import { useRevalidator } from 'react-router';
import { useStore } from 'zustand';
import { openDraft, type SaveAnswer } from '../parts/draft.ts';
import { saveWords } from '../parts/save-words.ts';
import { refusedBy } from './post.ts';

/**
 * Something of a niche that is saved by itself under its address, with undo. What was derived from it comes anew with
 * every save; what the server changed meanwhile is taken over when nothing waits here.
 * @param refusal why a value is not possible, or null
 */
export function useDraft<Value>(path: string, saved: Value, refusal: (value: Value) => string | null) {
  const { revalidate } = useRevalidator();
  const afterSave = useRef(revalidate);
  afterSave.current = revalidate;
  const [draft] = useState(() =>
    openDraft<Value>({
      opened: { value: saved, revision: 0, savedAt: new Date() },
      refusal,
      async save(value): Promise<SaveAnswer<Value>> {
        const reason = await refusedBy(path, value);
        if (reason) return { saved: false, reason };
        void afterSave.current();
        return { saved: true, revision: 0, savedAt: new Date() };
      },
    }),
  );
  useEffect(() => draft.begin(), [draft]);
  useEffect(() => draft.getState().follow(saved), [draft, saved]);
  const { value, edit, undo, saveState, refused } = useStore(draft);
  const canUndo = useStore(draft.temporal, ({ pastStates }) => pastStates.length > 0);
  return { value, edit, undo, canUndo, words: refused ?? saveWords(saveState) };
}
