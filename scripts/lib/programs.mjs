import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readlinkSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { freePort } from './postgres.mjs';
import { Stop, say } from './say.mjs';

/** A program that ended is started again after so long, each time twice as long until it has lived for a while. */
const RESTART_MS = 500;
const LONGEST_RESTART_MS = 8000;
const LIVED_MS = 60_000;

/** A secret that signs sessions, made once and kept beside the data. */
function sessionSecret(home) {
  const path = join(home, 'session-secret');
  if (!existsSync(path)) writeFileSync(path, randomBytes(32).toString('hex'), { mode: 0o600 });
  return readFileSync(path, 'utf8');
}

async function answers(url, child) {
  for (let i = 0; i < 1200; i++) {
    if (child.exitCode !== null) return false;
    try {
      await fetch(url, { signal: AbortSignal.timeout(2000) });
      return true;
    } catch {
      await wait(100);
    }
  }
  return false;
}

const pidFile = (home) => join(home, 'programs.pid');

/** The process is one of ours: a Node program of this very folder. */
function isOurs(pid) {
  try {
    return (
      readlinkSync(`/proc/${pid}/cwd`) === process.cwd() &&
      /build\/(node|server)\//.test(readFileSync(`/proc/${pid}/cmdline`, 'utf8'))
    );
  } catch {
    return false;
  }
}

/** Ends programs that a start which was killed left behind: they would hold the port, and work on by themselves. */
export async function clearLeftPrograms(home) {
  if (!existsSync(pidFile(home))) return;
  const left = readFileSync(pidFile(home), 'utf8').split('\n').map(Number).filter(isOurs);
  for (const pid of left) process.kill(pid, 'SIGTERM');
  for (let i = 0; i < 30 && left.some(isOurs); i++) await wait(100);
  for (const pid of left.filter(isOurs)) process.kill(pid, 'SIGKILL');
  if (left.length)
    say(
      `Ended ${left.length === 1 ? 'one program' : `${left.length} programs`} that an earlier start had left behind.`,
    );
  rmSync(pidFile(home));
}

/**
 * Starts stand-ins, worker and application against a database and a folder, with demo data in it.
 * A program that ends by itself is started again, sooner or later: without a database they all end, until it is back.
 */
export async function startPrograms({
  home,
  databaseUrl,
  port,
  reviewSeconds = 20,
  quiet = false,
  standinPort,
}) {
  mkdirSync(home, { recursive: true });
  const standins = standinPort ?? (await freePort());
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    DATABASE_URL: databaseUrl,
    QUILL_FILES: join(home, 'files'),
    WRENFAIR_URL: `http://127.0.0.1:${standins}`,
    SESSION_SECRET: process.env.SESSION_SECRET ?? sessionSecret(home),
    PUBLIC_URL: process.env.PUBLIC_URL ?? `http://127.0.0.1:${port}`,
    HOST: '127.0.0.1',
    PORT: String(port),
  };
  const children = new Map();
  let stopping = false;
  const start = (name, args, rest = RESTART_MS) => {
    const begun = Date.now();
    const child = spawn(process.execPath, args, {
      env,
      stdio: quiet ? ['ignore', 'ignore', 'inherit'] : ['ignore', 'inherit', 'inherit'],
    });
    children.set(name, child);
    writeFileSync(pidFile(home), [...children.values()].map(({ pid }) => pid).join('\n'));
    child.on('exit', (code) => {
      if (stopping) return;
      const wanted = Date.now() - begun > LIVED_MS ? RESTART_MS : rest;
      console.error(`The ${name} ended (${code ?? 'killed'}); it is started again.`);
      setTimeout(() => !stopping && start(name, args, Math.min(2 * wanted, LONGEST_RESTART_MS)), wanted);
    });
    return child;
  };
  const once = async (script) => {
    const child = spawn(process.execPath, [script], {
      env,
      stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit'],
    });
    const code = await new Promise((done) => child.on('exit', done));
    if (code !== 0)
      throw new Stop(
        `${script} failed. If the data is from a newer version, npm start -- --fresh begins anew.`,
      );
  };
  const stop = async () => {
    stopping = true;
    const ended = [...children.values()].map((child) =>
      child.exitCode !== null || child.signalCode !== null
        ? null
        : new Promise((done) => child.on('exit', done)),
    );
    for (const child of children.values()) child.kill('SIGTERM');
    // Open event streams would keep the application; everything it does can be cut off.
    await Promise.race([Promise.all(ended), wait(2500)]);
    for (const child of children.values()) if (child.exitCode === null) child.kill('SIGKILL');
    await Promise.all(ended);
    rmSync(pidFile(home), { force: true });
  };
  try {
    // The shop unpacks its catalog meanwhile.
    const shop = start('stand-ins', [
      'build/node/standins.mjs',
      '--port',
      String(standins),
      '--folder',
      join(home, 'standins'),
      '--review-seconds',
      String(reviewSeconds),
    ]);
    await once('build/node/migrate.mjs');
    const application = start('application', ['build/node/application.mjs']);
    start('worker', ['build/node/worker.mjs']);
    if (!(await answers(env.WRENFAIR_URL, shop))) throw new Stop('The stand-ins did not start.');
    await once('build/node/seed.mjs');
    if (!(await answers(env.PUBLIC_URL, application)))
      throw new Stop(`The application did not start on port ${port}.`);
  } catch (error) {
    await stop();
    throw error;
  }
  return { url: env.PUBLIC_URL, env, children, stop };
}
