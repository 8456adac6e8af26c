import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { and, eq } from 'drizzle-orm';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { bookFrom } from '#core/book/book.ts';
import type { Recipe } from '#core/book/index.ts';
import { smallFiles, writeInterior } from '#core/export/files.ts';
import { fingerprintsOf } from '#core/export/fingerprints.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { createBook } from '#server/books.ts';
import { closeDatabase, db } from '#server/db/client.ts';
import { job, submission, workspace } from '#server/db/schema.ts';
import { madeFiles, noteMadeFiles } from '#server/files.ts';
import { newId } from '#server/ids.ts';
import { readPayload } from '#server/jobs/payloads.ts';
import { cancelJob, stopQueue } from '#server/jobs/queue.ts';
import { type ClaimedJob, claim } from '#server/jobs/running-job.ts';
import { submitJob, watchSubmissions } from '#server/jobs/submit-job.ts';
import { wrenfair } from '#server/services/wrenfair.ts';
import { storeFile } from '#server/store/index.ts';
import { listSubmissions, submitBook } from '#server/submissions.ts';
import { recipeOf } from '../support/books.ts';
import { openPress, type Press } from './press.ts';

// Waits between tries are not waited for.
vi.mock('node:timers/promises', () => ({ setTimeout: async () => {} }));

const type = typesetterFromDisk();
let press: Press;
let own: string;
let recipe: Recipe;

beforeAll(async () => {
  process.env.QUILL_FILES = mkdtempSync(join(tmpdir(), 'quill-files-'));
  press = await openPress('quill_submit');
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
afterEach(() => vi.restoreAllMocks());

const jobRow = async (id: string) => (await db().select().from(job).where(eq(job.id, id)))[0]!;

describe('submitting', () => {
  /** Real files of the book in the store, and the job that submits them. */
  async function submitted(of = recipe): Promise<ClaimedJob> {
    const folder = mkdtempSync(join(tmpdir(), 'quill-made-'));
    const chunks: Uint8Array[] = [];
    await writeInterior(bookFrom(of), type, (chunk) => void chunks.push(chunk));
    writeFileSync(join(folder, 'interior.pdf'), Buffer.concat(chunks));
    writeFileSync(join(folder, 'wrap.pdf'), (await smallFiles(bookFrom(of), type))['wrap.pdf']);
    const { interior, cover } = fingerprintsOf(bookFrom(of));
    const files = [];
    for (const [name, madeFrom] of [
      ['interior.pdf', interior],
      ['wrap.pdf', cover],
    ] as const)
      files.push({ name, madeFrom, ...(await storeFile(join(folder, name))) });
    await noteMadeFiles(own, of.id, files);
    const answer = await submitBook(own, of.id, of);
    if ('refused' in answer) throw new Error(answer.refused);
    const { id } = answer;
    const [row] = await db().select().from(job).where(eq(job.key, id));
    return (await claim(row!.id, 1))!;
  }
  const carryOut = (row: ClaimedJob) => submitJob(row, readPayload('submit', row.payload)!);
  const state = async () => (await listSubmissions(own))[0]!;

  it('sends, waits and takes the answer, whoever asks for it and whenever', async () => {
    const row = await submitted();
    await carryOut(row);
    expect(await jobRow(row.id)).toMatchObject({ state: 'done', message: 'Submitted; now in review.' });
    expect((await state()).state).toBe('in review');
    await watchSubmissions();
    expect(await state()).toMatchObject({ state: 'live', reasons: [] });
  });

  it('a service that is busy or breaks off is asked again with the next round', async () => {
    await carryOut(await submitted());
    await press.put('/behavior', { busy: 1 });
    await watchSubmissions();
    expect((await state()).state).toBe('in review');
    await press.put('/behavior', { busy: 0, breakAfterWork: 1 });
    await watchSubmissions();
    expect((await state()).state).toBe('in review');
    await press.put('/behavior', { breakAfterWork: 0 });
    await watchSubmissions();
    expect((await state()).state).toBe('live');
  });

  it('one that the service does not know does not hold up the others', async () => {
    await carryOut(await submitted());
    const [stray] = await db()
      .update(submission)
      .set({ remoteId: 'nobody-knows-this' })
      .where(eq(submission.workspaceId, own))
      .returning();
    const first = own;
    own = newId();
    await db().insert(workspace).values({ id: own, name: 'Another' });
    recipe = { ...recipe, id: newId() };
    await createBook(own, recipe);
    await carryOut(await submitted());
    await watchSubmissions();
    expect((await state()).state).toBe('live');
    const [left] = await listSubmissions(first);
    expect([left!.id, left!.state]).toEqual([stray!.id, 'failed']);
  });

  it('files that are gone from the store are named as what they are, and no path is told', async () => {
    const row = await submitted();
    const files = await madeFiles(own, recipe.id);
    for (const { hash } of files) rmSync(join(process.env.QUILL_FILES!, hash.slice(0, 2), hash.slice(2)));
    await carryOut(row);
    expect(await state()).toMatchObject({
      state: 'failed',
      reasons: ['The made files are no longer in the store. Make files again, then submit.'],
    });
  });

  it('a submission of another workspace is not sent', async () => {
    const row = await submitted();
    await carryOut({ ...row, workspaceId: newId() });
    expect(await jobRow(row.id)).toMatchObject({
      state: 'failed',
      message: 'The submission no longer exists.',
    });
    expect((await state()).state).toBe('sending');
  });

  const priced = (price: number): Recipe => ({
    ...recipe,
    listing: { ...recipe.listing, prices: { ...recipe.listing.prices, us: price } },
  });
  /** What the service has of the book: all of its title. */
  const booksThere = async () => (await press.books()).filter(({ title }) => title === recipe.title);
  /** Lets the stand-in do the last step, and break its answers from then on. */
  const breakAnswersFromReviewOn = (answers: number) => {
    const real = wrenfair.sendToReview;
    vi.spyOn(wrenfair, 'sendToReview').mockImplementationOnce(async (id) => {
      await press.put('/behavior', { breakAfterWork: answers });
      return real(id);
    });
  };

  it('is done when the book arrived, though no answer to the last request came', async () => {
    breakAnswersFromReviewOn(6);
    const row = await submitted();
    await carryOut(row);
    expect((await jobRow(row.id)).state).toBe('done');
    expect((await state()).state).toBe('live');
    expect(await booksThere()).toHaveLength(1);
  });

  it('stays open while the service says nothing, and is then what the service says', async () => {
    breakAnswersFromReviewOn(1000);
    const row = await submitted();
    await carryOut(row);
    expect((await jobRow(row.id)).state).toBe('failed');
    expect((await state()).state).toBe('unanswered');
    await watchSubmissions();
    expect((await state()).state).toBe('unanswered');
    expect(await submitBook(own, recipe.id, recipe)).toHaveProperty('refused');
    await press.put('/behavior', { breakAfterWork: 0 });
    await watchSubmissions();
    expect(await state()).toMatchObject({ state: 'live', reasons: [] });
    expect(await booksThere()).toHaveLength(1);
  });

  it('that did not arrive says so, and the draft that it left is taken up', async () => {
    vi.spyOn(wrenfair, 'sendToReview').mockImplementation(async () => {
      throw new Error('The process ended here.');
    });
    await carryOut(await submitted());
    expect(await state()).toMatchObject({
      state: 'failed',
      reasons: [expect.stringMatching(/did not arrive/)],
    });
    const [draft] = await booksThere();
    expect(draft!.state).toBe('draft');
    vi.restoreAllMocks();
    await carryOut(await submitted(priced(11.5)));
    await watchSubmissions();
    expect((await state()).state).toBe('live');
    expect((await booksThere()).map(({ id, state: there }) => [id, there])).toEqual([[draft!.id, 'live']]);
  });

  it('of uploads that broke off goes on with the same book there', async () => {
    const real = wrenfair.upload;
    const upload = vi.spyOn(wrenfair, 'upload').mockImplementationOnce(async (...asked) => {
      await press.put('/behavior', { breakAfterWork: 6 });
      return real(...asked);
    });
    await carryOut(await submitted());
    expect(upload).toHaveBeenCalledTimes(6);
    expect((await state()).state).toBe('failed');
    await carryOut(await submitted());
    await watchSubmissions();
    expect((await state()).state).toBe('live');
    expect(await booksThere()).toHaveLength(1);
  });

  it('again is an update of the live book, in all that may change', async () => {
    await carryOut(await submitted());
    await watchSubmissions();
    const [first] = await booksThere();
    expect(first).toMatchObject({ state: 'live', onSale: { updates: 0 } });
    await carryOut(await submitted(priced(12.25)));
    await watchSubmissions();
    const [second, ...others] = await booksThere();
    expect(others).toEqual([]);
    expect(second).toMatchObject({ id: first!.id, state: 'live', onSale: { updates: 1 } });
    expect((await listSubmissions(own)).map(({ state: stands }) => stands)).toEqual(['live', 'replaced']);
    expect(await submitBook(own, recipe.id, priced(12.25))).toEqual({
      refused: 'This very book is live already.',
    });
  });

  it.each([
    ['title', { title: 'Another title' }, /the title of a live book stays/],
    ['pen name', { penName: 'Somebody Else' }, /the pen name of a live book stays/],
  ])('of a live book with another %s is refused, here and there', async (_, change, words) => {
    await carryOut(await submitted());
    await watchSubmissions();
    const changed = { ...recipe, ...change } as Recipe;
    await expect(submitted(changed)).rejects.toThrow(words);
    // As if nothing had been known here: the service itself does not take it for the same book.
    await db().update(submission).set({ state: 'failed' }).where(eq(submission.workspaceId, own));
    await carryOut(await submitted(changed));
    expect(await state()).toMatchObject({
      state: 'rejected',
      reasons: [expect.stringMatching(/cannot change/)],
    });
    // What was learned on the way: the book is live there after all.
    expect((await listSubmissions(own)).at(-1)!.state).toBe('live');
    expect(await press.books()).toContainEqual(
      expect.objectContaining({ onSale: expect.objectContaining({ title: recipe.title, updates: 0 }) }),
    );
  });

  it('waits for one that was given up here and is in review there', async () => {
    await press.put('/behavior', { reviewSeconds: 3600 });
    await carryOut(await submitted());
    await db().update(submission).set({ state: 'failed' }).where(eq(submission.workspaceId, own));
    const row = await submitted(priced(13));
    await carryOut(row);
    expect((await jobRow(row.id)).message).toMatch(/is in review there/);
    expect((await listSubmissions(own)).map(({ state: stands }) => stands)).toEqual(['failed', 'in review']);
    await press.put('/behavior', { reviewSeconds: 0 });
    await watchSubmissions();
    expect((await listSubmissions(own))[1]!.state).toBe('live');
    await carryOut(await submitted(priced(13)));
    await watchSubmissions();
    expect((await state()).state).toBe('live');
    expect(await booksThere()).toMatchObject([{ onSale: { updates: 1 } }]);
  });

  it('whose job was canceled before it began does not stay open for ever', async () => {
    const row = await submitted();
    await cancelJob(own, row.id);
    expect((await jobRow(row.id)).message).toBe('Canceled. Submissions shows how the book stands.');
    await watchSubmissions();
    expect((await state()).state).toBe('sending');
    await db()
      .update(submission)
      .set({ updatedAt: new Date(Date.now() - 120_000) })
      .where(and(eq(submission.workspaceId, own), eq(submission.state, 'sending')));
    await watchSubmissions();
    expect(await state()).toMatchObject({
      state: 'failed',
      reasons: [expect.stringMatching(/did not arrive/)],
    });
    expect(await booksThere()).toEqual([]);
  });
});
