// Sets everything up and starts database, stand-ins, worker and application with demo data.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import {
  buildIfNeeded,
  checkNode,
  installDebianPackages,
  installPackages,
  postgresql,
} from './lib/install.mjs';
import { removePostgres, startPostgres } from './lib/postgres.mjs';
import { clearLeftPrograms, startPrograms } from './lib/programs.mjs';
import { run, Stop, say } from './lib/say.mjs';

const HELP = `npm start -- [options]

  --port N             address http://127.0.0.1:N (4600)
  --review-seconds N   how long Wrenfair keeps a book in review (20)
  --data FOLDER        where the data lie (.quill)
  --fresh              throw the data away and begin with the demo
  --help               this page

DATABASE_URL, if set, is used instead of a private database.`;

function readArguments() {
  try {
    return parseArgs({
      options: {
        port: { type: 'string', default: '4600' },
        'review-seconds': { type: 'string', default: '20' },
        data: { type: 'string', default: '.quill' },
        fresh: { type: 'boolean', default: false },
        help: { type: 'boolean', short: 'h', default: false },
      },
    }).values;
  } catch (error) {
    throw new Stop(`${error.message}\n\n${HELP}`);
  }
}

const isFree = (port) =>
  new Promise((answer) => {
    const server = createServer();
    server.on('error', () => answer(false));
    server.listen(port, '127.0.0.1', () => server.close(() => answer(true)));
  });

function takeLock(lock) {
  if (existsSync(lock)) {
    const pid = Number(readFileSync(lock, 'utf8'));
    const running =
      existsSync(`/proc/${pid}/cmdline`) &&
      readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('start.mjs');
    if (running && pid !== process.pid)
      throw new Stop(`Restless Quill is running here already (process ${pid}). Stop it with Ctrl-C first.`);
  }
  writeFileSync(lock, String(process.pid));
}

run(async () => {
  const { port: portText, data, fresh, help, 'review-seconds': review } = readArguments();
  if (help) return say(HELP);
  const port = Number(portText);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`--port takes a number from 1 to 65535, not “${portText}”.`);
  if (!(Number(review) >= 0)) throw new Stop(`--review-seconds takes a number, not “${review}”.`);
  const home = resolve(data);
  const lock = join(home, 'running.pid');
  checkNode();
  mkdirSync(home, { recursive: true });
  takeLock(lock);
  await clearLeftPrograms(home);
  if (!(await isFree(port)))
    throw new Stop(
      `Port ${port} is used by another program. Choose another: npm start -- --port ${port + 100}`,
    );
  installPackages();
  if (!process.env.DATABASE_URL) installDebianPackages([postgresql]);
  buildIfNeeded();
  if (fresh) {
    if (process.env.DATABASE_URL)
      throw new Stop(
        '--fresh does not empty a database of your own. Empty it yourself, or unset DATABASE_URL.',
      );
    await removePostgres(home);
    // By name: the folder may be one that holds other things.
    for (const name of ['database-secret', 'session-secret', 'files', 'standins'])
      rmSync(join(home, name), { recursive: true, force: true });
  }
  const database = process.env.DATABASE_URL
    ? { url: process.env.DATABASE_URL, stop() {} }
    : await startPostgres(home, { kept: true });
  let programs;
  let stopping = false;
  const stop = async (code = 0) => {
    if (stopping) return;
    stopping = true;
    await programs?.stop();
    database.stop();
    rmSync(lock, { force: true });
    process.exit(code);
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
  try {
    programs = await startPrograms({
      home,
      databaseUrl: database.url,
      port,
      reviewSeconds: Number(review),
      quiet: true,
    });
  } catch (error) {
    database.stop();
    rmSync(lock, { force: true });
    throw error;
  }
  say(
    `\nRestless Quill is ready at ${programs.url}\nSign in with the demo account in one click. Ctrl-C stops everything.\nWrenfair stands in at ${programs.env.WRENFAIR_URL}; its calendar and its moods can be set there, see docs/standins.md.`,
  );
});
