import { startTransition, useEffect, useState } from 'react';
import { drawnOnce, hasDrawnOnce } from './renderers.ts';

/**
 * False until the first pages are drawn after the program was loaded, true from then on: for what nobody sees at first,
 * so that it does not hold up what everybody waits for.
 */
export function useAfterFirstDrawing(): boolean {
  const [after, setAfter] = useState(hasDrawnOnce);
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
