import { graphemes } from '../../words/index.ts';

/** How many letters an answer has, by its words: `(5)`, `(3,4)`, `(2-4)`. */
export function countsOf(word: string): string {
  const parts = word
    .normalize('NFC')
    .split(/([\s\-‐‑–])/u)
    .map((part) => (/^[\s]$/u.test(part) ? ',' : /^[-‐‑–]$/u.test(part) ? '-' : part));
  return `(${parts
    .map((part) =>
      part === ',' || part === '-' ? part : String(graphemes(part.replace(/['’.·]/gu, '')).length),
    )
    .join('')})`;
}
