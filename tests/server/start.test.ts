import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join, resolve } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort, postgresFolder, removePostgres } from '../../scripts/lib/postgres.mjs';

const MINUTES = 60_000;
// Beside the other data of the tests: a temporary folder of the machine may be closed to the database user.
mkdirSync('.quill-test', { recursive: true });
const data = mkdtempSync(resolve('.quill-test/start-'));

const begin = (...more: string[]) =>
  spawn(process.execPath, ['scripts/start.mjs', '--data', data, '--review-seconds', '0', ...more], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, DATABASE_URL: '' },
  });

/** What a start says until it is ready, or ends. */
const words = (child: ChildProcess): Promise<string> =>
  new Promise((done) => {
    let said = '';
    const hear = (chunk: Buffer) => {
      said += chunk.toString();
      if (said.includes('is ready at')) done(said);
    };
    child.stdout!.on('data', hear);
    child.stderr!.on('data', hear);
    child.on('exit', () => done(said));
  });

const ended = (child: ChildProcess) =>
  new Promise<void>((done) => (child.exitCode === null ? child.on('exit', () => done()) : done()));

const programs = () =>
  readFileSync(join(data, 'programs.pid'), 'utf8')
    .split('\n')
    .map(Number)
    .filter((pid) => existsSync(`/proc/${pid}`));

describe('npm start', () => {
  let running: ChildProcess;
  let port: number;
  beforeAll(async () => {
    port = await freePort();
  });
  afterAll(async () => {
    if (running.exitCode === null) running.kill('SIGINT');
    await ended(running);
    await removePostgres(data);
    rmSync(data, { recursive: true, force: true });
  });

  it(
    'makes everything up from an empty folder and says where it is',
    async () => {
      running = begin('--port', String(port));
      expect(await words(running)).toContain(`is ready at http://127.0.0.1:${port}`);
      const page = await fetch(`http://127.0.0.1:${port}/sign-in`);
      expect(page.status).toBe(200);
      expect(programs()).toHaveLength(3);
    },
    4 * MINUTES,
  );

  it('is not begun twice on the same data, nor on a port that is used', async () => {
    const second = await words(begin('--port', String(port)));
    expect(second).toContain(`Restless Quill is running here already (process ${running.pid}).`);
    const other = createServer().listen(0, '127.0.0.1');
    await new Promise((done) => other.once('listening', done));
    const { port: used } = other.address() as { port: number };
    const elsewhere = mkdtempSync(resolve('.quill-test/start-'));
    const third = spawnSync(
      process.execPath,
      ['scripts/start.mjs', '--data', elsewhere, '--port', String(used)],
      { encoding: 'utf8' },
    );
    other.close();
    rmSync(elsewhere, { recursive: true });
    expect(third.stderr + third.stdout).toContain(`Port ${used} is used by another program.`);
    expect(third.status).toBe(1);
  });

  it(
    'a database that ends is started again, at the same address',
    async () => {
      const lock = join(postgresFolder(data), 'postmaster.pid');
      const server = () => (existsSync(lock) ? Number(readFileSync(lock, 'utf8').split('\n')[0]) : null);
      const before = server()!;
      process.kill(before, 'SIGKILL');
      await expect.poll(() => ![null, before].includes(server()), { timeout: MINUTES }).toBe(true);
      await expect
        .poll(async () => (await fetch(`http://127.0.0.1:${port}/sign-in`)).status, { timeout: MINUTES })
        .toBe(200);
      const form = { headers: { 'content-type': 'application/json', origin: `http://127.0.0.1:${port}` } };
      const signIn = () =>
        fetch(`http://127.0.0.1:${port}/sign-in/api/sign-in/email`, {
          method: 'POST',
          ...form,
          body: JSON.stringify({ email: 'nobody@press.example', password: 'wrong wrong wrong' }),
        });
      // Answered from the database, which knows nobody of that name.
      await expect.poll(async () => (await signIn()).status, { timeout: MINUTES, interval: 2000 }).toBe(401);
    },
    3 * MINUTES,
  );

  it(
    'killed outright, it leaves programs and locks behind, which the next start clears away; the data stay',
    async () => {
      const left = programs();
      running.kill('SIGKILL');
      await ended(running);
      expect(left.every((pid) => existsSync(`/proc/${pid}`))).toBe(true);
      const secret = readFileSync(join(data, 'session-secret'), 'utf8');
      running = begin('--port', String(port));
      const said = await words(running);
      // One that had something to say may have ended by itself: nobody listens to it any more.
      expect(said).toMatch(/Ended (one program|[23] programs) that an earlier start had left behind\./);
      expect(said).toContain(`is ready at http://127.0.0.1:${port}`);
      expect(left.filter((pid) => existsSync(`/proc/${pid}`))).toEqual([]);
      expect(readFileSync(join(data, 'session-secret'), 'utf8')).toBe(secret);
    },
    4 * MINUTES,
  );

  it(
    'Ctrl-C ends every program and the database, and leaves no lock',
    async () => {
      const mine = programs();
      running.kill('SIGINT');
      await ended(running);
      expect(running.exitCode).toBe(0);
      expect(mine.filter((pid) => existsSync(`/proc/${pid}`))).toEqual([]);
      for (const name of ['running.pid', 'programs.pid'])
        expect(existsSync(join(data, name)), name).toBe(false);
      expect(existsSync(join(postgresFolder(data), 'PG_VERSION'))).toBe(true);
      expect(existsSync(join(postgresFolder(data), 'postmaster.pid'))).toBe(false);
    },
    2 * MINUTES,
  );

  it(
    '--fresh throws away its own data by name and nothing else in the folder',
    async () => {
      writeFileSync(join(data, 'letter.txt'), 'not ours');
      const before = readFileSync(join(data, 'session-secret'), 'utf8');
      const child = begin('--port', String(port), '--fresh');
      await expect.poll(() => existsSync(join(data, 'session-secret')), { timeout: MINUTES }).toBe(true);
      await words(child);
      child.kill('SIGINT');
      await ended(child);
      expect(readFileSync(join(data, 'letter.txt'), 'utf8')).toBe('not ours');
      expect(readFileSync(join(data, 'session-secret'), 'utf8')).not.toBe(before);
    },
    4 * MINUTES,
  );

  it.each([
    [['--port', 'many'], '--port takes a number from 1 to 65535, not “many”.'],
    [['--review-seconds', '-1'], "'--review-seconds' argument is ambiguous"],
    [['--prot', '1'], "Unknown option '--prot'"],
  ])('answers %j with what is wrong', (args, message) => {
    const { stderr, stdout, status } = spawnSync(process.execPath, ['scripts/start.mjs', ...args], {
      encoding: 'utf8',
    });
    expect(stdout + stderr).toContain(message);
    expect(status).toBe(1);
  });

  it('--help says what can be said to it', () => {
    const { stdout, status } = spawnSync(process.execPath, ['scripts/start.mjs', '--help'], {
      encoding: 'utf8',
    });
    for (const option of ['--port', '--data', '--fresh', '--review-seconds', '--help'])
      expect(stdout).toContain(option);
    expect(status).toBe(0);
  });
});
