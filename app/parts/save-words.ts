import type { SaveState } from './draft.ts';

const clock = (date: Date) => date.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

/** How it stands with what saves itself, in words. */
export function saveWords(state: SaveState, savedAt?: Date): string {
  if (state === 'saved') return savedAt ? `saved ${clock(savedAt)}` : 'saved';
  if (state === 'unreachable') return 'not saved: the server cannot be reached; trying again';
  if (state === 'slow') return 'still saving: the server has not answered yet';
  if (state === 'conflict') return 'not saved: changed in another tab';
  return 'saving …';
}
