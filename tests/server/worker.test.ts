import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eq, sql as raw } from 'drizzle-orm';
import type { Piscina } from 'piscina';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { bookFrom } from '#core/book/book.ts';
import type { Recipe } from '#core/book/index.ts';
import { fingerprintsOf, partOfFile } from '#core/export/fingerprints.ts';
import { createBook, openBook, saveBook } from '#server/books.ts';
import { closeDatabase, db, isLostConnection, longLivedSql, sql } from '#server/db/client.ts';
import { job, workspace } from '#server/db/schema.ts';
import { madeFiles, noteMadeFiles } from '#server/files.ts';
import { newId } from '#server/ids.ts';
import { registerWorker, rescueLostJobs } from '#server/jobs/liveness.ts';
import { makeFiles } from '#server/jobs/make-files.ts';
import { cancelJob, enqueueFiles, stopQueue } from '#server/jobs/queue.ts';
import { type ClaimedJob, claim } from '#server/jobs/running-job.ts';
import type { FilesMade, FilesTask } from '#server/jobs/thread.ts';
import { fileStore } from '#server/store/index.ts';
import { recipeOf } from '../support/books.ts';
import { openPress, type Press } from './press.ts';

let press: Press;
let own: string;
let recipe: Recipe;
let store: string;

beforeAll(async () => {
  store = mkdtempSync(join(tmpdir(), 'quill-files-'));
  process.env.QUILL_FILES = store;
  press = await openPress('quill_worker');
});
afterAll(async () => {
  await stopQueue();
  await closeDatabase();
  await press.close();
});
beforeEach(async () => {
  await press.put('/behavior', { busy: 0, breakAfterWork: 0, malformed: 0, delayMs: 0, reviewSeconds: 0 });
  own = newId();
  await db().insert(workspace).values({ id: own, name: 'Tin Lantern Press' });
  recipe = recipeOf([{ id: 'r', kind: 'ruled', pages: 120 }], { id: newId(), title: `Book ${own}` });
  await createBook(own, recipe);
});

const jobRow = async (id: string) => (await db().select().from(job).where(eq(job.id, id)))[0]!;

describe('a worker’s life', () => {
  it('is told by its lock; jobs of one that is gone are queued anew, those of one that lives are not', async () => {
    const living = await registerWorker();
    const dying = await registerWorker();
    const kept = await enqueueFiles(own, recipe.id, 1);
    const lost = await enqueueFiles(own, recipe.id, 2);
    await claim(kept, living.number);
    await claim(lost, dying.number);
    expect([await living.isHeld(), await dying.isHeld()]).toEqual([true, true]);
    expect(await rescueLostJobs()).toBe(0);
    await dying.release();
    expect([await living.isHeld(), await dying.isHeld()]).toEqual([true, false]);
    expect(await rescueLostJobs()).toBe(1);
    expect(await jobRow(lost)).toMatchObject({ state: 'queued', worker: null });
    expect(await jobRow(kept)).toMatchObject({ state: 'running', worker: living.number });
    expect(await claim(lost, living.number)).not.toBeNull();
    await living.release();
  });

  it('ends with its connection: a worker whose lock is lost learns of it', async () => {
    const worker = await registerWorker();
    await sql()`select pg_terminate_backend(pid) from pg_locks
      where locktype = 'advisory' and objid = ${worker.number}::int::oid`;
    await expect.poll(() => worker.isHeld()).toBe(false);
  });
});

describe('a lost connection', () => {
  it('in the middle of queries is their trouble alone: whatever is asked afterwards is answered', async () => {
    const lost: unknown[] = [];
    for (let i = 0; i < 12; i++)
      void db()
        .execute(raw`select pg_sleep(60)`)
        .catch((error: unknown) => lost.push(error));
    await expect
      .poll(async () => {
        await longLivedSql()`select pg_terminate_backend(pid) from pg_stat_activity
          where datname = current_database() and query = 'select pg_sleep(60)'`;
        return lost.length;
      })
      .toBe(12);
    expect(lost.every(isLostConnection)).toBe(true);
    for (let round = 0; round < 3; round++) {
      const asked = Array.from({ length: 24 }, () => db().execute(raw`select 1 as one`));
      for (const rows of await Promise.all(asked)) expect(rows[0]).toEqual({ one: 1 });
    }
  });

  const coded = (code: string, cause?: Error) => Object.assign(new Error('x', { cause }), { code });

  // Codes of the driver and the network; class 57 of PostgreSQL’s error codes (Appendix A): operator intervention.
  it.each(['CONNECTION_CLOSED', 'ECONNREFUSED', 'ECONNRESET', '57P01', '57P03'])('%s is one', (code) => {
    expect(isLostConnection(coded(code))).toBe(true);
    expect(isLostConnection(new Error('Failed query', { cause: coded(code) }))).toBe(true);
  });

  it.each(['23505', '57014', 'ENOENT', 'ENOSPC', ''])('“%s” is none', (code) => {
    expect(isLostConnection(coded(code))).toBe(false);
    expect(isLostConnection(code)).toBe(false);
    expect(isLostConnection(null)).toBe(false);
  });
});

describe('making files', () => {
  /** Threads that do what they are told instead of drawing. */
  const threads = (
    run: (task: FilesTask, signal: AbortSignal) => Promise<string[]>,
    puzzles: FilesMade['puzzles'] = [],
  ) =>
    ({
      run: async (task: FilesTask, { signal }: { signal: AbortSignal }): Promise<FilesMade> => ({
        names: await run(task, signal),
        puzzles,
      }),
    }) as unknown as Piscina;
  const asked = async (): Promise<ClaimedJob> => (await claim(await enqueueFiles(own, recipe.id, 1), 1))!;
  const leftovers = () => readdirSync(join(store, 'making'));

  it('stores what the thread made, under the state of the book it was made from', async () => {
    const row = await asked();
    await makeFiles(
      row,
      { revision: 1 },
      threads(async ({ folder, progress }) => {
        progress.postMessage({ done: 1, of: 2, message: 'Half' });
        for (const name of ['interior.pdf', 'wrap.pdf'])
          writeFileSync(join(folder, name), `${name} of ${own}`);
        return ['interior.pdf', 'wrap.pdf'];
      }),
    );
    expect(await jobRow(row.id)).toMatchObject({ state: 'done', message: 'Files made from revision 1.' });
    const files = await madeFiles(own, recipe.id);
    expect(files.map(({ name }) => name)).toEqual(['interior.pdf', 'wrap.pdf']);
    const prints = fingerprintsOf(bookFrom((await openBook(own, recipe.id))!.recipe));
    for (const file of files) {
      expect(file.madeFrom).toBe(prints[partOfFile(file.name)!]);
      expect(await fileStore().has(file.hash)).toBe(true);
    }
    expect(leftovers()).toEqual([]);
  });

  it('on a full disk says so, and that the book is safe; nothing half-made is left', async () => {
    const row = await asked();
    const full = Object.assign(new Error('ENOSPC: no space left on device, write'), { code: 'ENOSPC' });
    await makeFiles(
      row,
      { revision: 1 },
      threads(async ({ folder }) => {
        writeFileSync(join(folder, 'interior.pdf'), 'half');
        throw full;
      }),
    );
    expect(await jobRow(row.id)).toMatchObject({
      state: 'failed',
      message: 'The disk of the file store is full. Free some room and make files again; the book is safe.',
    });
    expect(await madeFiles(own, recipe.id)).toEqual([]);
    expect(leftovers()).toEqual([]);
  });

  it('without a database is left to the next worker, not called a failure', async () => {
    const row = await asked();
    const gone = Object.assign(new Error('write CONNECTION_CLOSED'), { code: 'CONNECTION_CLOSED' });
    await expect(
      makeFiles(
        row,
        { revision: 1 },
        threads(() => Promise.reject(gone)),
      ),
    ).rejects.toBe(gone);
    expect(await jobRow(row.id)).toMatchObject({ state: 'running' });
    expect(leftovers()).toEqual([]);
  });

  it('stops when it is canceled, and keeps the files that were there', async () => {
    const older = { name: 'interior.pdf', hash: 'a'.repeat(64), size: 1, madeFrom: 'older' };
    await noteMadeFiles(own, recipe.id, [older]);
    const row = await asked();
    await makeFiles(
      row,
      { revision: 1 },
      threads(async ({ progress }, signal) => {
        await cancelJob(own, row.id);
        const stopped = new Promise<never>((_, failed) =>
          signal.addEventListener('abort', () => failed(signal.reason)),
        );
        progress.postMessage({ done: 1, of: 9, message: 'Page 1' });
        return stopped;
      }),
    );
    expect(await jobRow(row.id)).toMatchObject({ state: 'canceled' });
    expect((await madeFiles(own, recipe.id)).map(({ madeFrom }) => madeFrom)).toEqual(['older']);
  });

  it('makes the revision it was asked for, whatever was saved since', async () => {
    const row = await asked();
    await saveBook(own, recipe.id, 1, { ...recipe, title: 'Saved since' });
    let made = '';
    await makeFiles(
      row,
      { revision: 1 },
      threads(async ({ recipe: given, folder }) => {
        made = (given as Recipe).title;
        writeFileSync(join(folder, 'interior.pdf'), 'pages');
        return ['interior.pdf'];
      }),
    );
    expect(made).toBe(recipe.title);
    const [file] = await madeFiles(own, recipe.id);
    expect(file!.madeFrom).toBe(fingerprintsOf(bookFrom(recipe)).interior);
  });

  it('notes the puzzles, and tells which another book had first', async () => {
    const puzzles = ['aa', 'bb'].map((mark, i) => ({
      ...{ section: 's', item: i + 1, label: `Puzzle ${i + 1}`, page: i + 3 },
      mark: mark.repeat(8),
    }));
    const written = async ({ folder }: FilesTask) => {
      writeFileSync(join(folder, 'interior.pdf'), 'pages');
      return ['interior.pdf'];
    };
    const row = await asked();
    await makeFiles(row, { revision: 1 }, threads(written, puzzles));
    expect(await jobRow(row.id)).toMatchObject({ message: 'Files made from revision 1.' });
    const other = { ...recipe, id: newId() };
    await createBook(own, other);
    for (const [shared, told] of [
      [puzzles, '2 puzzles are'],
      [puzzles.slice(1), 'A puzzle is'],
    ] as const) {
      const job = (await claim(await enqueueFiles(own, other.id, 1), 1))!;
      await makeFiles(job, { revision: 1 }, threads(written, [...shared]));
      expect(await jobRow(job.id)).toMatchObject({
        state: 'done',
        message: `Files made from revision 1. ${told} in another book already: see the proof.`,
      });
    }
  });

  it('of a book that was deleted ends with a word', async () => {
    const row = await asked();
    await makeFiles(
      { ...row, bookId: null },
      { revision: 1 },
      threads(() => Promise.resolve([])),
    );
    expect(await jobRow(row.id)).toMatchObject({
      state: 'failed',
      message: 'The book no longer exists.',
    });
  });
});
