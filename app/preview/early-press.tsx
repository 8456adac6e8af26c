import { useMatches } from 'react-router';
import { useNonce } from '../nonce.ts';
import pressUrl from './press.worker.ts?worker&url';

/** Where the worker that was begun early waits for the program of the page. */
export const EARLY_PRESS = 'earlyPress';

/** What a route says of itself. */
export interface RouteHandle {
  /** Something is drawn in it as soon as it is there. */
  draws?: true;
}

/**
 * Begins the worker that draws while the program of the page is still on its way: unfolding typefaces takes longer than
 * that. A line at the end of a page as the server sends it, behind all that is seen, for routes that draw at once.
 */
export function EarlyPress() {
  const nonce = useNonce();
  const draws = useMatches().some(({ handle }) => (handle as RouteHandle | undefined)?.draws);
  if (!draws) return null;
  const script = `window.${EARLY_PRESS}=new Worker(${JSON.stringify(pressUrl)},{type:'module',name:'press'})`;
  return (
    <script nonce={nonce} suppressHydrationWarning>
      {script}
    </script>
  );
}
