import { readFileSync } from 'node:fs';
import { type Lexicon, openLexicon } from '#core/lexicon/index.ts';

/** The lexicon that was built with the program. */
export const lexicon = (): Lexicon => openLexicon(readFileSync(new URL('../lexicon.bin', import.meta.url)));
