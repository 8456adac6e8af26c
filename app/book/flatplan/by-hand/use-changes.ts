import { useState } from 'react';

/** States of what is changed, from the one that it began with. */
export interface Changes<State> {
  now: State;
  /** Whether there is something to take back. */
  isChanged: boolean;
  /**
   * Does nothing where it is the same object.
   * @param key changes with equal keys that follow each other are taken back as one
   */
  change: (next: State, key?: string) => void;
  undo: () => void;
}

export function useChanges<State>(begun: State): Changes<State> {
  const [states, setStates] = useState<readonly { state: State; key?: string | undefined }[]>([
    { state: begun },
  ]);
  const last = states.at(-1)!;
  return {
    now: last.state,
    isChanged: states.length > 1,
    change: (next, key) => {
      if (next === last.state) return;
      const before = key !== undefined && last.key === key ? states.slice(0, -1) : states;
      setStates([...before, { state: next, key }]);
    },
    undo: () => {
      if (states.length > 1) setStates(states.slice(0, -1));
    },
  };
}
