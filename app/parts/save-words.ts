import type { SaveState } from './draft.ts';

/** How it stands with what saves itself, in words. @param saved when it was saved last, as it is shown */
export function saveWords(state: SaveState, saved?: string): string {
  if (state === 'saved') return saved ? `saved ${saved}` : 'saved';
  if (state === 'unreachable') return 'not saved: the server cannot be reached; trying again';
  if (state === 'slow') return 'still saving: the server has not answered yet';
  if (state === 'conflict') return 'not saved: changed in another tab';
  return 'saving…';
}
