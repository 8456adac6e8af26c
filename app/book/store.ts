import { createContext, useContext } from 'react';
import { createStore, type StoreApi, useStore } from 'zustand';
import { refusal } from '#core/book/edit.ts';
import type { Recipe } from '#core/book/recipe.ts';

/** States kept for undo. */
const UNDO_STEPS = 200;
/** A change is saved when the hand has rested so long. */
const REST_MS = 400;
const RETRY_MS = 4000;
/** Edits with the same name within this time are one step of undo: typing a word, dragging a number. */
const MERGE_MS = 1200;

export type SaveState = 'saved' | 'changed' | 'saving' | 'unreachable' | 'conflict';

export interface BookState {
  recipe: Recipe;
  past: Recipe[];
  future: Recipe[];
  revision: number;
  saveState: SaveState;
  savedAt: Date;
  /** What somebody else saved meanwhile. */
  theirs: { recipe: Recipe; revision: number } | null;
  /** Why the last change was not taken; the last good state stays. */
  refused: string | null;
  /** Applies a change. @returns why not, or null */
  edit(change: (recipe: Recipe) => Recipe, mergeAs?: string): string | null;
  undo(): void;
  redo(): void;
  forgive(): void;
  takeTheirs(): void;
  keepMine(): void;
}

export interface OpenedBook {
  recipe: Recipe;
  revision: number;
  savedAt: string | Date;
}

type SaveAnswer =
  | { saved: true; revision: number; savedAt: string }
  | { saved: false; problems: { path: string; message: string }[] }
  | { saved: false; conflict: { recipe: Recipe; revision: number } }
  | { saved: false; gone: true };

const draftKey = (id: string) => `quill-draft-${id}`;

/** What this browser could not save before it was closed, if it began from the state that is there now. */
function unsavedDraft({ recipe, revision }: OpenedBook): Recipe | null {
  try {
    const draft = JSON.parse(localStorage.getItem(draftKey(recipe.id)) ?? 'null') as {
      from: number;
      recipe: Recipe;
    } | null;
    return draft && draft.from === revision && refusal(draft.recipe) === null ? draft.recipe : null;
  } catch {
    return null;
  }
}

/**
 * The state of an open book: its recipe with undo, and saving by itself. `begin` is called in the browser only: it
 * brings back what an earlier tab could not save, and gives the way to end.
 */
export function openBookStore(opened: OpenedBook): StoreApi<BookState> & { begin(): () => void } {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let lastEdit = { name: '', at: 0 };
  let saving = false;
  const { id } = opened.recipe;

  const store = createStore<BookState>((set, get) => {
    const take = (recipe: Recipe, more: Partial<BookState>) => {
      performance.mark('quill-edit');
      set({
        recipe,
        saveState: get().saveState === 'conflict' ? 'conflict' : 'changed',
        refused: null,
        ...more,
      });
      try {
        localStorage.setItem(draftKey(id), JSON.stringify({ from: get().revision, recipe }));
      } catch {
        // Private windows and full stores keep no draft; saving goes on.
      }
      plan(REST_MS);
    };
    return {
      recipe: opened.recipe,
      past: [],
      future: [],
      revision: opened.revision,
      saveState: 'saved',
      savedAt: new Date(opened.savedAt),
      theirs: null,
      refused: null,
      edit(change, mergeAs = '') {
        const { recipe, past } = get();
        const changed = change(recipe);
        if (changed === recipe) return null;
        const reason = refusal(changed);
        if (reason) {
          set({ refused: reason });
          return reason;
        }
        const now = performance.now();
        const merges =
          mergeAs !== '' && lastEdit.name === mergeAs && now - lastEdit.at < MERGE_MS && past.length > 0;
        lastEdit = { name: mergeAs, at: now };
        take(changed, { past: merges ? past : [...past.slice(-UNDO_STEPS), recipe], future: [] });
        return null;
      },
      undo() {
        const { past, recipe, future } = get();
        const before = past.at(-1);
        lastEdit = { name: '', at: 0 };
        if (before) take(before, { past: past.slice(0, -1), future: [recipe, ...future] });
      },
      redo() {
        const { past, recipe, future } = get();
        const [after, ...later] = future;
        lastEdit = { name: '', at: 0 };
        if (after) take(after, { past: [...past, recipe], future: later });
      },
      forgive: () => set({ refused: null }),
      takeTheirs() {
        const { theirs, recipe, past } = get();
        if (!theirs) return;
        set({
          recipe: theirs.recipe,
          revision: theirs.revision,
          past: [...past, recipe],
          future: [],
          theirs: null,
          saveState: 'saved',
        });
        localStorage.removeItem(draftKey(id));
      },
      keepMine() {
        const { theirs } = get();
        if (!theirs) return;
        set({ revision: theirs.revision, theirs: null, saveState: 'changed' });
        plan(0);
      },
    };
  });

  function plan(wait: number) {
    clearTimeout(timer);
    timer = setTimeout(() => void save(), wait);
  }

  async function save(): Promise<void> {
    const { recipe, revision, saveState } = store.getState();
    if (saving || saveState === 'saved' || saveState === 'conflict') return;
    saving = true;
    store.setState({ saveState: 'saving' });
    const unchanged = () => store.getState().recipe === recipe;
    try {
      const response = await fetch(`/books/${id}/save`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ from: revision, recipe }),
      });
      if (!response.ok || response.redirected) throw new Error(String(response.status));
      const answer = (await response.json()) as SaveAnswer;
      if (answer.saved) {
        store.setState({
          revision: answer.revision,
          savedAt: new Date(answer.savedAt),
          saveState: unchanged() ? 'saved' : 'changed',
        });
        if (unchanged()) localStorage.removeItem(draftKey(id));
      } else if ('conflict' in answer) store.setState({ saveState: 'conflict', theirs: answer.conflict });
      else if ('problems' in answer)
        store.setState({
          saveState: 'changed',
          refused: `${answer.problems[0]!.path}: ${answer.problems[0]!.message}`,
        });
      else
        store.setState({
          saveState: 'changed',
          refused: 'The book was deleted in another tab. Export the recipe if you want to keep it.',
        });
    } catch {
      store.setState({ saveState: 'unreachable' });
      plan(RETRY_MS);
    } finally {
      saving = false;
    }
    if (!unchanged() && store.getState().saveState === 'changed') plan(REST_MS);
  }

  return Object.assign(store, {
    begin() {
      const draft = unsavedDraft(opened);
      if (draft && JSON.stringify(draft) !== JSON.stringify(opened.recipe))
        store.getState().edit(() => draft);
      const leave = () => {
        if (store.getState().saveState === 'changed') void save();
      };
      addEventListener('pagehide', leave);
      return () => {
        removeEventListener('pagehide', leave);
        clearTimeout(timer);
        leave();
      };
    },
  });
}

const Book = createContext<StoreApi<BookState> | null>(null);
export const BookProvider = Book.Provider;

/** A part of the open book's state. */
export function useBook<T>(select: (state: BookState) => T): T {
  const store = useContext(Book);
  if (!store) throw new Error('No book is open.');
  return useStore(store, select);
}

export function useBookStore(): StoreApi<BookState> {
  const store = useContext(Book);
  if (!store) throw new Error('No book is open.');
  return store;
}
