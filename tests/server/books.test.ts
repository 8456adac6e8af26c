import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { text } from 'node:stream/consumers';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { bookFrom, type Recipe } from '#core/book/index.ts';
import { fingerprintsOf } from '#core/export/fingerprints.ts';
import { summaryOf, sumUpBooks } from '#server/book-summary.ts';
import {
  createBook,
  listBooks,
  listRevisions,
  openBook,
  openStored,
  revisionOf,
  saveBook,
} from '#server/books.ts';
import { closeDatabase, db } from '#server/db/client.ts';
import { book, job, submission, workspace } from '#server/db/schema.ts';
import { madeFiles, noteMadeFiles } from '#server/files.ts';
import { newId } from '#server/ids.ts';
import { priorityOf, readPayload } from '#server/jobs/payloads.ts';
import { cancelJob, enqueueFiles, enqueueJob, listJobs, stopQueue } from '#server/jobs/queue.ts';
import { claim, finish } from '#server/jobs/running-job.ts';
import { addPenName, listPenNames } from '#server/pen-names.ts';
import { fileStore, storeFile } from '#server/store/index.ts';
import { listSubmissions, submitBook } from '#server/submissions.ts';
import { recipeOf } from '../support/books.ts';
import { openPress, type Press } from './press.ts';

let press: Press;
let own: string;
let other: string;
let recipe: Recipe;

beforeAll(async () => {
  process.env.QUILL_FILES = mkdtempSync(join(tmpdir(), 'quill-files-'));
  press = await openPress('quill_books');
});
afterAll(async () => {
  await stopQueue();
  await closeDatabase();
  await press.close();
});
beforeEach(async () => {
  own = newId();
  other = newId();
  await db()
    .insert(workspace)
    .values([
      { id: own, name: 'Tin Lantern Press' },
      { id: other, name: 'Somebody else' },
    ]);
  recipe = recipeOf([{ id: 'r', kind: 'ruled', pages: 120 }], { id: newId() });
  await createBook(own, recipe);
});

const titled = (title: string): Recipe => ({ ...recipe, title });
const hash = (letter: string) => letter.repeat(64);
const filesOf = (from: Recipe) => {
  const { interior, cover } = fingerprintsOf(bookFrom(from));
  return noteMadeFiles(own, from.id, [
    { name: 'interior.pdf', hash: hash('a'), size: 10, madeFrom: interior },
    { name: 'wrap.pdf', hash: hash('b'), size: 10, madeFrom: cover },
  ]);
};

describe('saving a book', () => {
  it('counts revisions up and keeps every earlier state', async () => {
    expect(await saveBook(own, recipe.id, 1, titled('Second'))).toMatchObject({ saved: true, revision: 2 });
    expect(await saveBook(own, recipe.id, 2, titled('Third'))).toMatchObject({ saved: true, revision: 3 });
    expect((await listRevisions(own, recipe.id)).revisions.map(({ revision }) => revision)).toEqual([
      3, 2, 1,
    ]);
    const titles = await Promise.all([1, 2, 3].map((n) => revisionOf(own, recipe.id, n)));
    expect(titles.map((one) => one?.title)).toEqual(['The Hive', 'Second', 'Third']);
    expect(await revisionOf(own, recipe.id, 4)).toBeNull();
  });

  it('refuses a save that began from an older state, and sends the newer one along', async () => {
    await saveBook(own, recipe.id, 1, titled('Theirs'));
    const answer = await saveBook(own, recipe.id, 1, titled('Mine'));
    expect(answer).toMatchObject({ saved: false, conflict: { revision: 2, recipe: { title: 'Theirs' } } });
    expect((await openBook(own, recipe.id))!.recipe.title).toBe('Theirs');
  });

  it('lets exactly one of twenty saves at once through', async () => {
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, i) => saveBook(own, recipe.id, 1, titled(`Tab ${i}`))),
    );
    const through = answers.flatMap((answer, i) => (answer.saved ? [i] : []));
    expect(through).toHaveLength(1);
    expect((await openBook(own, recipe.id))!.recipe.title).toBe(`Tab ${through[0]}`);
    expect((await listRevisions(own, recipe.id)).revisions).toHaveLength(2);
  });

  it('refuses a recipe with an unknown key or another book’s id, and says where', async () => {
    const strange = await saveBook(own, recipe.id, 1, { ...recipe, color: 'red' });
    expect(strange).toMatchObject({ saved: false, problems: [{ path: 'color' }] });
    const foreign = await saveBook(own, recipe.id, 1, { ...recipe, id: 'elsewhere' });
    expect(foreign).toMatchObject({ saved: false, problems: [{ path: 'id' }] });
    expect((await openBook(own, recipe.id))!.revision).toBe(1);
  });

  it('keeps every function to the workspace', async () => {
    expect(await openBook(other, recipe.id)).toBeNull();
    expect(await listBooks(other)).toEqual({ books: [], total: 0 });
    expect(await listRevisions(other, recipe.id)).toEqual({ revisions: [], older: false });
    expect(await revisionOf(other, recipe.id, 1)).toBeNull();
    expect(await saveBook(other, recipe.id, 1, titled('Stolen'))).toEqual({ saved: false, gone: true });
    expect((await openBook(own, recipe.id))!.recipe.title).toBe('The Hive');
  });

  it('lists two thousand books by the page, the one changed last first, without a recipe in it', async () => {
    const more = Array.from({ length: 2000 }, (_, i) => ({ ...recipe, id: newId(), title: `Hive ${i}` }));
    await db()
      .insert(book)
      .values(more.map((one) => ({ id: one.id, workspaceId: own, recipe: one, summary: summaryOf(one) })));
    await saveBook(own, recipe.id, 1, titled('Changed last'));
    const { books, total } = await listBooks(own, { limit: 60 });
    expect(total).toBe(2001);
    expect(books).toHaveLength(60);
    expect(books[0]).toMatchObject({ title: 'Changed last', summary: { pages: 120 }, files: 'none' });
    expect(books[0]!.summary!.front.sections).toEqual([]);
    const pages = await Promise.all(
      Array.from({ length: 34 }, (_, i) => listBooks(own, { limit: 60, offset: 60 * i })),
    );
    expect(new Set(pages.flatMap((page) => page.books.map(({ id }) => id))).size).toBe(2001);
    const found = await listBooks(own, { search: 'odile 1999' });
    expect(found.books.map(({ title }) => title)).toEqual(['Hive 1999']);
    expect((await listBooks(own, { search: '100%_' })).total).toBe(0);
  });

  it('says of its files what the book says: current, or out of date when interior, cover or listing changed', async () => {
    const state = async () => (await listBooks(own)).books[0]!.files;
    expect(await state()).toBe('none');
    await filesOf(recipe);
    expect(await state()).toBe('current');
    await saveBook(own, recipe.id, 1, { ...recipe, brief: { niche: '', audience: '', notes: 'A note.' } });
    expect(await state()).toBe('current');
    await saveBook(own, recipe.id, 2, titled('Another'));
    expect(await state()).toBe('out of date');
    await saveBook(own, recipe.id, 3, recipe);
    expect(await state()).toBe('current');
  });

  it('a stored recipe that cannot be read is listed, explained and handed out, and nothing breaks over it', async () => {
    const future = { ...recipe, id: newId(), title: 'From the future', quill: 99 };
    await db()
      .insert(book)
      .values({ id: future.id, workspaceId: own, recipe: future as never });
    expect(await sumUpBooks()).toBe(0);
    const { books } = await listBooks(own);
    expect(books.find(({ id }) => id === future.id)).toMatchObject({
      title: 'From the future',
      summary: null,
    });
    expect(await openBook(own, future.id)).toBeNull();
    expect(await openStored(own, future.id)).toMatchObject({
      unreadable: { title: 'From the future', stored: future, problems: [{ path: 'quill' }] },
    });
    expect(await openStored(other, future.id)).toBeNull();
    expect(await saveBook(own, future.id, 7, { ...recipe, id: future.id })).toMatchObject({
      saved: false,
      problems: [{ path: 'quill' }],
    });
  });

  it('books saved before there were summaries are summed up once', async () => {
    await db().update(book).set({ summary: null }).where(eq(book.id, recipe.id));
    expect((await listBooks(own)).books[0]!.summary).toBeNull();
    expect(await sumUpBooks()).toBe(1);
    expect(await sumUpBooks()).toBe(0);
    expect((await listBooks(own)).books[0]!.summary).toMatchObject({ pages: 120 });
  });
});

describe('the file store', () => {
  const written = (content: string) => {
    const path = join(mkdtempSync(join(tmpdir(), 'quill-one-')), 'file');
    writeFileSync(path, content);
    return path;
  };

  it('keeps a content once under its SHA-256 and leaves no half file behind', async () => {
    // FIPS 180-4, SHA-256 of “abc”, as in the worked example of NIST’s Cryptographic Standards and Guidelines.
    const abc = 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad';
    expect(await storeFile(written('abc'))).toEqual({ hash: abc, size: 3 });
    expect(await storeFile(written('abc'))).toEqual({ hash: abc, size: 3 });
    expect(await fileStore().has(abc)).toBe(true);
    const { size, stream } = (await fileStore().open(abc))!;
    expect([size, await text(stream)]).toEqual([3, 'abc']);
    expect(readdirSync(join(process.env.QUILL_FILES!, abc.slice(0, 2)))).toEqual([abc.slice(2)]);
  });

  it('takes nothing but hashes as names', async () => {
    for (const name of ['../../etc/passwd', '', hash('g'), `${hash('a')}/..`, hash('A')])
      await expect(fileStore().open(name)).rejects.toThrow(RangeError);
  });

  it('replaces all files of a book at once, and shows them to its workspace alone', async () => {
    await filesOf(recipe);
    const front = { name: 'front.jpg', hash: hash('c'), size: 1, madeFrom: 'later' };
    await noteMadeFiles(own, recipe.id, [front]);
    expect((await madeFiles(own, recipe.id)).map(({ name }) => name)).toEqual(['front.jpg']);
    expect(await madeFiles(other, recipe.id)).toEqual([]);
    // One of the files cannot be noted: none is, and the earlier ones stay.
    const twice = { name: 'wrap.pdf', hash: hash('d'), size: 1, madeFrom: 'broken' };
    await expect(noteMadeFiles(own, recipe.id, [twice, twice])).rejects.toThrow();
    expect((await madeFiles(own, recipe.id)).map(({ name }) => name)).toEqual(['front.jpg']);
  });
});

describe('jobs', () => {
  const filesJob = (key: string) =>
    enqueueJob(own, { bookId: recipe.id }, 'make-files', { revision: 1 }, { key });

  it('a person goes before what nobody waits for, and a workspace’s first job before another’s fiftieth', () => {
    expect(priorityOf('person', 90)).toBeGreaterThan(priorityOf('background', 0));
    expect(priorityOf('person', 10_000)).toBeGreaterThan(priorityOf('background', 0));
    expect(priorityOf('person', 0)).toBeGreaterThan(priorityOf('person', 49));
  });

  it('a payload that is not one of its kind reads as none', () => {
    expect(readPayload('make-files', { revision: 3 })).toEqual({ revision: 3 });
    for (const stored of [{}, null, { revision: 0 }, { revision: '3' }, { revision: 3, more: true }, 'x'])
      expect(readPayload('make-files', stored)).toBeNull();
    expect(readPayload('submit', { submission: '../x' })).toBeNull();
  });

  it('are one for the same request, however often and at once it is made', async () => {
    const ids = await Promise.all(Array.from({ length: 10 }, () => enqueueFiles(own, recipe.id, 1)));
    expect(new Set(ids).size).toBe(1);
    expect(await listJobs(own)).toHaveLength(1);
    expect(await enqueueFiles(own, recipe.id, 2)).not.toBe(ids[0]);
  });

  it('are taken by one worker of many, and not after they were canceled', async () => {
    const id = await filesJob('one');
    const claims = await Promise.all(Array.from({ length: 8 }, (_, worker) => claim(id, worker)));
    expect(claims.filter(Boolean)).toHaveLength(1);
    const second = await filesJob('two');
    expect(await cancelJob(own, second)).toBe(true);
    expect(await claim(second, 1)).toBeNull();
    expect(await cancelJob(own, second)).toBe(false);
  });

  it('that were canceled while they ran do not end as done', async () => {
    const id = await filesJob('three');
    const claimed = (await claim(id, 1))!;
    await cancelJob(own, id);
    expect(await finish(claimed, 'done', 'Made.')).toBe(false);
    const [row] = await db().select().from(job).where(eq(job.id, id));
    expect([row!.state, row!.message]).toEqual(['canceled', 'Canceled. Files made earlier are kept.']);
  });

  it('are named for the book that they work on', async () => {
    const id = await filesJob('named');
    expect((await listJobs(own)).find((row) => row.id === id)).toMatchObject({ about: recipe.title });
  });

  it('of another workspace are neither seen nor stopped', async () => {
    const id = await filesJob('four');
    expect(await listJobs(other)).toEqual([]);
    expect(await cancelJob(other, id)).toBe(false);
  });
});

describe('submitting', () => {
  it('needs files, and files of this very recipe', async () => {
    expect(await submitBook(own, recipe.id, recipe)).toEqual({
      refused: 'There are no files yet. Make files first.',
    });
    await filesOf(recipe);
    expect(await submitBook(own, recipe.id, titled('Changed since'))).toEqual({
      refused: 'The files are older than the book. Make files again, then submit.',
    });
    expect(await submitBook(other, recipe.id, recipe)).toHaveProperty('refused');
    expect(await listSubmissions(own)).toEqual([]);
  });

  it('makes one submission of many requests at once', async () => {
    await filesOf(recipe);
    const answers = await Promise.all(Array.from({ length: 10 }, () => submitBook(own, recipe.id, recipe)));
    expect(answers.filter((answer) => 'id' in answer)).toHaveLength(1);
    expect(await listSubmissions(own, recipe.id)).toHaveLength(1);
    expect(await listSubmissions(other, recipe.id)).toEqual([]);
  });

  it('can be done again after a rejection, and for a changed book after it went live', async () => {
    await filesOf(recipe);
    const first = (await submitBook(own, recipe.id, recipe)) as { id: string };
    const stands = (state: 'rejected' | 'live', id: string) =>
      db().update(submission).set({ state }).where(eq(submission.id, id));
    await stands('rejected', first.id);
    const second = (await submitBook(own, recipe.id, recipe)) as { id: string };
    await stands('live', second.id);
    expect(await submitBook(own, recipe.id, recipe)).toEqual({ refused: 'This very book is live already.' });
    const later = { ...recipe, subtitle: 'Second edition' };
    await filesOf(later);
    expect(await submitBook(own, recipe.id, later)).toHaveProperty('id');
  });
});

describe('the shelf', () => {
  it('keeps a pen name once, apart for each workspace', async () => {
    await addPenName(own, 'Odile Marrow');
    await addPenName(own, 'Odile Marrow');
    await addPenName(other, 'Wren Tarrow');
    expect(await listPenNames(own)).toEqual(['Odile Marrow']);
  });
});
