import { useState } from 'react';

/** States of what is changed, from the one that it began with. */
export interface Changes<State> {
  now: State;
  /** Whether there is something to take back. */
  isChanged: boolean;
  /** Does nothing where it is the same object. */
  change: (next: State) => void;
  undo: () => void;
}

export function useChanges<State>(begun: State): Changes<State> {
  const [states, setStates] = useState<readonly State[]>([begun]);
  const now = states.at(-1)!;
  return {
    now,
    isChanged: states.length > 1,
    change: (next) => {
      if (next !== now) setStates([...states, next]);
    },
    undo: () => {
      if (states.length > 1) setStates(states.slice(0, -1));
    },
  };
}
