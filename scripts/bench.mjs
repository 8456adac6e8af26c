// Speed as ratios against a reference measured in the same run. Asserts nothing.
import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import {
  buildIfNeeded,
  checkNode,
  installDebianPackages,
  installPackages,
  postgresql,
  program,
} from './lib/install.mjs';
import { freePort, removePostgres, startPostgres } from './lib/postgres.mjs';
import { startPrograms } from './lib/programs.mjs';
import { run, Stop } from './lib/say.mjs';

const HOME = resolve('.quill-test/bench');
const DEMO_JOB_MS = 40_000;
const LOOP_FILE = resolve('.quill-test/bench-loops');

run(async () => {
  checkNode();
  installPackages();
  // Not before the packages are there.
  const { bundleForNode } = await import('./lib/bundle-for-node.mjs');
  const { benchBooks, benchBrowser, benchCurves } = await import('../tests/bench/browser.mjs');
  const { benchInteriors } = await import('../tests/bench/interiors.mjs');
  const { benchNiches } = await import('../tests/bench/niches.mjs');
  // Before what is built here: it begins anew.
  buildIfNeeded();
  await bundleForNode(
    {
      bench: 'tests/bench/bench.ts',
      puzzles: 'tests/bench/puzzles.ts',
      'known-puzzles': 'tests/bench/known-puzzles.ts',
      'write-book': 'tests/bench/write-book.ts',
      'mixed-book': 'tests/bench/mixed-book.ts',
      topics: 'tests/bench/topics.ts',
      quill: 'cli/quill.ts',
    },
    'build/bench',
  );
  installDebianPackages([postgresql, program('chromium'), program('qqwing')]);
  const part = (name, env = {}) => {
    const done = spawnSync(process.execPath, [`build/bench/${name}.mjs`], {
      stdio: 'inherit',
      env: { ...process.env, ...env },
    });
    if (done.status !== 0) throw new Stop('The bench failed.');
  };
  part('bench');
  part('puzzles');
  part('topics');
  await benchCurves();
  const database = await startPostgres(HOME);
  let programs;
  rmSync(LOOP_FILE, { force: true });
  process.env.QUILL_BENCH_LOOP = LOOP_FILE;
  process.env.NODE_OPTIONS = `--import=${pathToFileURL(resolve('tests/bench/loop.mjs'))}`;
  try {
    programs = await startPrograms({
      home: HOME,
      databaseUrl: database.url,
      port: await freePort(),
      quiet: true,
    });
    // The demo's first job, phrases to be asked for, would be measured along.
    await new Promise((rested) => setTimeout(rested, DEMO_JOB_MS));
    part('known-puzzles', programs.env);
    await benchBrowser(programs.url);
    await benchBooks(programs.url, database.url);
    await benchInteriors(programs.url);
    await benchNiches(programs.url, database.url, programs.env.WRENFAIR_URL, LOOP_FILE);
  } finally {
    await programs?.stop();
    database.stop();
    await removePostgres(HOME);
    rmSync(HOME, { recursive: true, force: true });
  }
});
