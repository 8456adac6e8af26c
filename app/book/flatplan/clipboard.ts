import { type Copied, readCopied } from '#core/book/copied.ts';

/** Where this browser keeps what was copied, so that it can be pasted into a book that is open in another tab. */
const KEPT_AS = 'quill-copied';

let held: string | null = null;

/** Keeps copied sections until others are copied. */
export function keepCopied(copied: Copied): void {
  held = JSON.stringify(copied);
  try {
    localStorage.setItem(KEPT_AS, held);
  } catch {
    // Private windows and full stores keep nothing: it can be pasted in this tab all the same.
  }
}

/** The sections that were copied last; null where none were. */
export function copiedSections(): Copied | null {
  try {
    held = localStorage.getItem(KEPT_AS) ?? held;
  } catch {
    // As above.
  }
  return held === null ? null : readCopied(held);
}
