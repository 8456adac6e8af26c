// Bundles the programs that run in Node beside the application: the command, the worker and the stand-ins.
import { build } from 'esbuild';

await build({
  entryPoints: {
    quill: 'cli/quill.ts',
    worker: 'server/worker.ts',
    'files-thread': 'server/jobs/thread.ts',
    'first-pages-thread': 'server/jobs/first-pages-thread.ts',
    'inspect-thread': 'server/resources/inspect-thread.ts',
    standins: 'standins/main.ts',
    seed: 'server/demo/main.ts',
    migrate: 'server/db/migrate.ts',
  },
  outdir: 'build/node',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  splitting: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  logLevel: 'warning',
});
