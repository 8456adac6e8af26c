import { readFile } from 'node:fs/promises';
import { resolve } from 'node:path';
import { type Lexicon, openLexicon } from '#core/lexicon/index.ts';
import { loadUnwanted } from '#core/words/index.ts';

let opened: Promise<Lexicon> | undefined;

/** The lexicon that was built with the program, and the unwanted words; read when they are first asked for. */
export function lexicon(): Promise<Lexicon> {
  opened ??= (async () => {
    const [pack] = await Promise.all([readFile(resolve('build/lexicon.bin')), loadUnwanted()]);
    return openLexicon(pack);
  })().catch((error: unknown) => {
    // Asked again, it is read again.
    opened = undefined;
    throw error;
  });
  return opened;
}
