import { startTransition, useEffect, useState, useSyncExternalStore } from 'react';
import { drawnOnce, hasDrawnOnce } from './renderers.ts';

const unwatched = () => () => {};
const never = () => false;

/**
 * False until the first pages are drawn after the program was loaded, true from then on: for what nobody sees at first,
 * so that it does not hold up what everybody waits for.
 */
export function useAfterFirstDrawing(): boolean {
  // What the server sent stands as it is until it is woken, which may be later than the first drawing.
  const begunAfter = useSyncExternalStore(unwatched, hasDrawnOnce, never);
  const [after, setAfter] = useState(begunAfter);
  useEffect(() => {
    let gone = false;
    void drawnOnce().then(() => {
      if (!gone) startTransition(() => setAfter(true));
    });
    return () => {
      gone = true;
    };
  }, []);
  return after;
}
