import { fingerprint } from '../../fingerprint.ts';
import type { Check } from '../finding.ts';

/** Files made from this very state of the recipe. Asked only where files are kept. */
export const files: Check = {
  id: 'files',
  name: 'Files as new as the recipe',
  ofBook({ book: { recipe }, filesFrom }) {
    if (filesFrom === undefined || filesFrom === fingerprint(recipe)) return [];
    const message =
      filesFrom === null
        ? 'No files have been made yet. Make files when the rest is right.'
        : 'The files are older than the book. Make files again.';
    return [{ check: 'files', severity: 'look', message, place: { view: 'files' } }];
  },
};
