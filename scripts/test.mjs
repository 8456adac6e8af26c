// Sets everything up and runs all tests: formatting and lint, types, boundaries, unit and outside checks, browser.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import {
  buildIfNeeded,
  checkNode,
  installDebianPackages,
  installPackages,
  postgresql,
  program,
} from './lib/install.mjs';
import { removePostgres, startPostgres } from './lib/postgres.mjs';
import { run, Stop, say } from './lib/say.mjs';

const HOME = resolve('.quill-test');
const REFEREES = [
  program('chromium'),
  program('qpdf'),
  program('pdfinfo', 'poppler-utils'),
  program('gs', 'ghostscript'),
  program('mutool', 'mupdf-tools'),
  program('zbarimg', 'zbar-tools'),
  program('unzip'),
  program('qqwing'),
  program('/usr/games/sgt-solo', 'sgt-puzzles'),
];

function step(name, command, args, env = {}) {
  say(`\n── ${name}`);
  const started = Date.now();
  const done = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });
  if (done.status !== 0) throw new Stop(`${name} failed.`);
  say(`   ${((Date.now() - started) / 1000).toFixed(0)} s`);
}

/** Counts of passed and failed tests in a JSON report of Vitest or Playwright. */
function counts(file) {
  const report = JSON.parse(readFileSync(file, 'utf8'));
  if (report.stats)
    return {
      passed: report.stats.expected,
      failed: report.stats.unexpected + report.stats.flaky + report.stats.skipped,
    };
  return { passed: report.numPassedTests, failed: report.numFailedTests + report.numPendingTests };
}

run(async () => {
  checkNode();
  installPackages();
  installDebianPackages([postgresql, ...REFEREES]);
  await removePostgres(HOME);
  rmSync(HOME, { recursive: true, force: true });
  mkdirSync(HOME, { recursive: true });
  step('Formatting and lint', 'npx', ['biome', 'check', '.']);
  step('Types', 'npm', ['run', '--silent', 'typecheck']);
  step('Direction of imports', 'npm', ['run', '--silent', 'boundaries']);
  step('Nothing unused', 'npm', ['run', '--silent', 'unused']);
  buildIfNeeded();
  const database = await startPostgres(HOME);
  const env = { QUILL_TEST_HOME: HOME, QUILL_TEST_DATABASE: database.url };
  try {
    step(
      'Unit, property and outside checks',
      'npx',
      ['vitest', 'run', '--reporter=dot', '--reporter=json', `--outputFile.json=${HOME}/unit.json`],
      env,
    );
    step('Browser', 'npx', ['playwright', 'test'], env);
  } finally {
    database.stop();
  }
  const unit = counts(`${HOME}/unit.json`);
  const browser = counts(`${HOME}/browser.json`);
  const failed = unit.failed + browser.failed;
  say(`\n${unit.passed + browser.passed} passed, ${failed} failed`);
  if (failed) throw new Stop('Not every test passed.');
  await removePostgres(HOME);
});
