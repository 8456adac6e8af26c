import same from 'fast-deep-equal';
import { nanoid } from 'nanoid';
import { temporal } from 'zundo';
import { createStore } from 'zustand';

/** States kept for undo. */
const UNDO_STEPS = 200;
/** A change is saved when the hand has rested so long. */
const REST_MS = 400;
const RETRY_MS = 4000;
/** A save that takes so long is said to. */
const SLOW_MS = 2500;
/** Edits with the same name within this time are one step of undo: typing a word, dragging a number. */
const MERGE_MS = 1200;

/** `slow`: the server has not answered for a while. */
export type SaveState = 'saved' | 'changed' | 'saving' | 'slow' | 'unreachable' | 'conflict';

/** What the server says to a state that was sent. An exception means that it did not answer. */
export type SaveAnswer<Value> =
  | { saved: true; revision: number; savedAt: string | Date }
  /** Why it cannot be kept as it is. */
  | { saved: false; reason: string }
  /** What somebody else saved meanwhile. */
  | { saved: false; conflict: { value: Value; revision: number } };

/** Something that is worked on, saved by itself and undone step by step. */
export interface DraftState<Value> {
  /** Never changed, only replaced. */
  value: Value;
  /** The revision that the server has, and that the next save begins from. */
  revision: number;
  saveState: SaveState;
  savedAt: Date;
  theirs: { value: Value; revision: number } | null;
  /** Why the last change was not taken; the last good state stays. */
  refused: string | null;
  /**
   * Applies a change.
   * @param mergeAs changes of one name that come quickly one after the other are one step of undo
   * @param follows it comes of the last one of that name, however much later
   * @returns why not, or null
   */
  edit(change: (value: Value) => Value, mergeAs?: string, follows?: boolean): string | null;
  undo(): void;
  redo(): void;
  dismissError(): void;
  /** Keeps what is here as a saved state, and goes on from theirs. Can be undone. */
  takeTheirs(): Promise<void>;
  /** Saves what is here on top of theirs. */
  keepMine(): void;
  /** Takes what the server has now, where nothing here waits to be saved. */
  follow(value: Value): void;
}

export interface DraftOptions<Value> {
  opened: { value: Value; revision: number; savedAt: string | Date };
  /** Why a state cannot be taken, or null. */
  refusal(value: Value): string | null;
  /** Sends a state that began from a revision. */
  save(value: Value, from: number): Promise<SaveAnswer<Value>>;
  /** Name under which this browser keeps what its tabs could not save; left out, it keeps nothing. */
  keptAs?: string;
}

/** Held by a tab as long as it works under that name, so that others leave alone what it has not saved yet. */
function holdName(name: string): () => void {
  let letGo = (): void => {};
  // Only pages that come by https or from this machine have locks; elsewhere a draft is anybody's.
  void navigator.locks?.request(name, () => new Promise<void>((done) => (letGo = done)));
  return () => letGo();
}

/** Whether no tab works under that name any more. */
const isLeft = async (name: string): Promise<boolean> =>
  navigator.locks ? navigator.locks.request(name, { ifAvailable: true }, (lock) => lock !== null) : true;

/**
 * The state of something that is worked on. `begin` is called in the browser only: it brings back what an earlier tab
 * could not save, and gives the way to end.
 */
export function openDraft<Value>({ opened, refusal, save: send, keptAs }: DraftOptions<Value>) {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let lastEdit = { name: '', at: 0 };
  let saving = false;

  const own = `${keptAs}/${nanoid()}`;

  const keep = (): void => {
    if (!keptAs) return;
    const { value, revision } = store.getState();
    try {
      localStorage.setItem(own, JSON.stringify({ from: revision, value }));
    } catch {
      // Private windows and full stores keep nothing; saving goes on.
    }
  };
  const letGo = (): void => {
    if (keptAs) localStorage.removeItem(own);
  };
  /** What was kept under a name, if it began from the state that is there now. */
  const unsaved = (name: string): Value | null => {
    try {
      const kept = JSON.parse(localStorage.getItem(name) ?? 'null') as { from: number; value: Value } | null;
      return kept?.value && kept.from === opened.revision && refusal(kept.value) === null ? kept.value : null;
    } catch {
      return null;
    }
  };
  /** Names of drafts of this state that are not this tab's; none where the browser keeps nothing. */
  const others = (): string[] => {
    try {
      return Object.keys(localStorage).filter((name) => name.startsWith(`${keptAs}/`) && name !== own);
    } catch {
      return [];
    }
  };
  /** Brings back what a tab that is gone could not save, unless work has begun here already. */
  const takeUp = async (): Promise<void> => {
    for (const name of others()) {
      if (!(await isLeft(name)) || store.getState().value !== opened.value) continue;
      const draft = unsaved(name);
      localStorage.removeItem(name);
      if (draft && JSON.stringify(draft) !== JSON.stringify(opened.value)) store.getState().edit(() => draft);
    }
  };

  const store = createStore<DraftState<Value>>()(
    temporal(
      (set, get) => ({
        ...opened,
        savedAt: new Date(opened.savedAt),
        saveState: 'saved',
        theirs: null,
        refused: null,
        edit(change, mergeAs = '', follows = false) {
          const { value } = get();
          const changed = change(value);
          if (changed === value) return null;
          const reason = refusal(changed);
          if (reason) {
            set({ refused: reason });
            return reason;
          }
          const now = performance.now();
          const isSoon = follows || now - lastEdit.at < MERGE_MS;
          const merges = mergeAs !== '' && lastEdit.name === mergeAs && isSoon;
          lastEdit = { name: mergeAs, at: now };
          if (merges) unrecorded(() => set({ value: changed }));
          else set({ value: changed });
          touched();
          return null;
        },
        undo() {
          lastEdit = { name: '', at: 0 };
          const { value } = get();
          store.temporal.getState().undo();
          if (get().value !== value) touched();
        },
        redo() {
          lastEdit = { name: '', at: 0 };
          const { value } = get();
          store.temporal.getState().redo();
          if (get().value !== value) touched();
        },
        dismissError: () => set({ refused: null }),
        async takeTheirs() {
          const { theirs, value } = get();
          if (!theirs) return;
          const answer = await send(value, theirs.revision).catch(() => null);
          if (!answer) set({ refused: 'The server cannot be reached. Try again in a moment.' });
          else if (answer.saved) {
            lastEdit = { name: '', at: 0 };
            const { revision, savedAt } = answer;
            set({ revision, savedAt: new Date(savedAt), theirs: null, saveState: 'saved' });
            letGo();
            get().edit(() => theirs.value);
          } else if ('conflict' in answer) set({ theirs: answer.conflict });
          else set({ refused: answer.reason });
        },
        keepMine() {
          const { theirs } = get();
          if (!theirs) return;
          set({ revision: theirs.revision, theirs: null, saveState: 'changed' });
          plan(0);
        },
        follow(value) {
          if (get().saveState === 'saved') unrecorded(() => set({ value }));
        },
      }),
      {
        limit: UNDO_STEPS,
        partialize: ({ value }) => ({ value }),
        equality: (before, after) => before.value === after.value,
      },
    ),
  );

  /** Changes the value without a step of undo. */
  function unrecorded(change: () => void): void {
    const { pause, resume } = store.temporal.getState();
    pause();
    change();
    resume();
  }

  function touched(): void {
    performance.mark('quill-edit');
    const conflict = store.getState().saveState === 'conflict';
    store.setState({ saveState: conflict ? 'conflict' : 'changed', refused: null });
    keep();
    plan(REST_MS);
  }

  function plan(wait: number): void {
    clearTimeout(timer);
    timer = setTimeout(() => void save(), wait);
  }

  async function save(): Promise<void> {
    const { value, revision, saveState } = store.getState();
    if (saving || saveState === 'saved' || saveState === 'conflict') return;
    saving = true;
    store.setState({ saveState: 'saving' });
    const slow = setTimeout(() => store.setState({ saveState: 'slow' }), SLOW_MS);
    const unchanged = () => store.getState().value === value;
    try {
      const answer = await send(value, revision);
      if (answer.saved) {
        store.setState({
          revision: answer.revision,
          savedAt: new Date(answer.savedAt),
          saveState: unchanged() ? 'saved' : 'changed',
        });
        if (unchanged()) letGo();
      } else if ('conflict' in answer) {
        // What was sent before and not answered may have been saved all the same.
        if (same(answer.conflict.value, value)) {
          store.setState({
            revision: answer.conflict.revision,
            saveState: unchanged() ? 'saved' : 'changed',
          });
          if (unchanged()) letGo();
        } else store.setState({ saveState: 'conflict', theirs: answer.conflict });
      } else store.setState({ saveState: 'changed', refused: answer.reason });
    } catch {
      store.setState({ saveState: 'unreachable' });
      plan(RETRY_MS);
    } finally {
      clearTimeout(slow);
      saving = false;
    }
    if (!unchanged() && store.getState().saveState === 'changed') plan(REST_MS);
  }

  return Object.assign(store, {
    begin(): () => void {
      const letNameGo = keptAs ? holdName(own) : () => {};
      if (keptAs) void takeUp();
      const leave = () => {
        if (store.getState().saveState === 'changed') void save();
      };
      addEventListener('pagehide', leave);
      return () => {
        removeEventListener('pagehide', leave);
        clearTimeout(timer);
        leave();
        letNameGo();
      };
    },
  });
}

export type Draft<Value> = ReturnType<typeof openDraft<Value>>;
