import type { RichPart } from './rich-text.ts';

export * from './rich-text.ts';

let read: ((text: string) => RichPart[]) | null = null;
let loading: Promise<void> | null = null;

/** Loads what reads Markdown. Pages are drawn synchronously: who draws them loads it first. */
export function loadRichText(): Promise<void> {
  loading ??= import('./markdown.ts')
    .then(({ readMarkdown }) => {
      read = readMarkdown;
    })
    .catch((error: unknown) => {
      loading = null;
      throw error;
    });
  return loading;
}

/** The parts of a text in Markdown; see `readMarkdown`. @throws Error when `loadRichText` was not awaited */
export function richParts(text: string): RichPart[] {
  if (!read) throw new Error('What reads rich text was not loaded before a page was drawn.');
  return read(text);
}
