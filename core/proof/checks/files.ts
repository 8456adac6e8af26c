import { type FilePart, fingerprintsOf, partsOutOfDate } from '../../export/fingerprints.ts';
import type { Check } from '../finding.ts';

const NAMES: Record<FilePart, string> = { interior: 'interior', cover: 'cover', listing: 'listing sheet' };

/** Files made from this very state of the book. Asked only where files are kept. */
export const files: Check = {
  id: 'files',
  name: 'Files match the book',
  ofBook({ book, madeFrom }) {
    if (madeFrom === undefined) return [];
    const look = (message: string) => [
      { check: 'files', severity: 'look' as const, message, place: { view: 'files' as const } },
    ];
    if (!('interior.pdf' in madeFrom))
      return look('No files have been made yet. Make files when the rest is right.');
    const old = partsOutOfDate(madeFrom, fingerprintsOf(book)).map((part) => NAMES[part]);
    if (old.length === 0) return [];
    const [last, ...before] = old.reverse();
    const which = before.length ? `${before.reverse().join(', ')} and ${last} are` : `${last} is`;
    return look(`The ${which} older than the book. Make files again.`);
  },
};
