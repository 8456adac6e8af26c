import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { text } from 'node:stream/consumers';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { MOST_LABELS } from '#core/labels.ts';
import { writeWords } from '#core/resources/index.ts';
import { listBanks, replaceBank, setBanksRemoved } from '#server/banks/banks.ts';
import { keepReadyBanks, READY_BANKS } from '#server/banks/ready.ts';
import { createBook, listBooks, listRevisions, openBook, saveBook } from '#server/books.ts';
import { closeDatabase, db } from '#server/db/client.ts';
import { book, submission, workspace } from '#server/db/schema.ts';
import { findWork } from '#server/find.ts';
import { newId } from '#server/ids.ts';
import { stopQueue } from '#server/jobs/queue.ts';
import {
  countDeleted,
  DAYS_KEPT,
  deleteBooks,
  duplicateBooks,
  labelBooks,
  listLabels,
  removeLongDeleted,
  restoreBooks,
} from '#server/many-books.ts';
import { hasContent, type KeptResource, keepResource, listResources } from '#server/resources/resources.ts';
import { fileStore } from '#server/store/index.ts';
import { listSubmissions } from '#server/submissions.ts';
import { recipeOf } from '../support/books.ts';
import { openPress, type Press } from './press.ts';

let press: Press;
let own: string;
let other: string;
/** A book and its id. */
let hive: string;
let moss: string;

beforeAll(async () => {
  process.env.QUILL_FILES = mkdtempSync(join(tmpdir(), 'quill-files-'));
  press = await openPress('quill_many_books');
});
afterAll(async () => {
  await stopQueue();
  await closeDatabase();
  await press.close();
});

const newBook = (title: string, more: Record<string, unknown> = {}) =>
  createBook(own, recipeOf([{ id: 'r', kind: 'ruled', pages: 30 }], { id: newId(), title, ...more }));

beforeEach(async () => {
  own = newId();
  other = newId();
  await db()
    .insert(workspace)
    .values([own, other].map((id) => ({ id, name: 'Tin Lantern Press' })));
  hive = await newBook('Hive');
  moss = await newBook('Moss');
});

const titles = async (asked: Parameters<typeof listBooks>[1] = {}) =>
  (await listBooks(own, asked)).books.map(({ title }) => title).sort();

const submitted = (state: 'in review' | 'live', bookId: string) =>
  db()
    .insert(submission)
    .values({
      ...{ id: newId(), workspaceId: own, bookId, service: 'wrenfair', key: newId(), madeFrom: 'x' },
      recipe: recipeOf([]),
      ...{ interior: 'a', wrap: 'b', state },
    });

describe('books that were deleted', () => {
  it('are nowhere to be found until they are restored, and can be saved into by nobody', async () => {
    expect(await deleteBooks(own, [hive])).toEqual([hive]);
    expect(await titles()).toEqual(['Moss']);
    expect(await titles({ deleted: true })).toEqual(['Hive']);
    expect(await countDeleted(own)).toBe(1);
    expect(await openBook(own, hive)).toBeNull();
    expect((await findWork(own, 'hive')).books).toEqual([]);
    expect(await saveBook(own, hive, 1, recipeOf([], { id: hive }))).toEqual({ saved: false, gone: true });
    // Twice is once.
    expect(await deleteBooks(own, [hive])).toEqual([]);
    await restoreBooks(own, [hive]);
    expect(await titles()).toEqual(['Hive', 'Moss']);
    expect((await openBook(own, hive))?.recipe.title).toBe('Hive');
  });

  it('stay while a service has not answered', async () => {
    await submitted('in review', hive);
    expect(await deleteBooks(own, [hive, moss])).toEqual([moss]);
    expect(await titles()).toEqual(['Hive']);
  });

  it('are removed for good after their days, unless they were ever submitted', async () => {
    const old = await newBook('Old');
    await submitted('live', old);
    expect(await listSubmissions(own)).toMatchObject([{ bookId: old, deleted: false }]);
    await deleteBooks(own, [hive, old]);
    expect(await listSubmissions(own)).toMatchObject([{ bookId: old, deleted: true }]);
    const daysLater = (days: number) => new Date(Date.now() + days * 86_400_000);
    await removeLongDeleted(daysLater(DAYS_KEPT - 1));
    expect(await titles({ deleted: true })).toEqual(['Hive', 'Old']);
    await removeLongDeleted(daysLater(DAYS_KEPT + 1));
    expect(await titles({ deleted: true })).toEqual(['Old']);
    expect(await titles()).toEqual(['Moss']);
  });
});

describe('copies and labels', () => {
  it('a copy has everything but files, history and submissions, and a title that fits', async () => {
    const long = await newBook('x'.repeat(200), { series: { name: 'Hive & Hedge', volume: 2 } });
    await labelBooks(own, [long], { add: ['Fall list'], remove: [] });
    await submitted('live', long);
    const [copy] = await duplicateBooks(own, [long, 'nothing']);
    const [before, after] = [(await openBook(own, long))!, (await openBook(own, copy!))!];
    expect(after.recipe).toEqual({ ...before.recipe, id: copy, title: `${'x'.repeat(193)} (copy)` });
    expect((await listRevisions(own, copy!)).revisions).toHaveLength(1);
    const { books } = await listBooks(own, { label: 'Fall list' });
    expect(books.map(({ id, submission: state }) => [id, state]).sort()).toEqual(
      [
        [long, 'live'],
        [copy, null],
      ].sort(),
    );
  });

  it('labels are given and taken, counted, and limited', async () => {
    await labelBooks(own, [hive, moss], { add: ['Fall list', 'Gifts'], remove: [] });
    await labelBooks(own, [moss], { add: ['Gifts'], remove: ['Fall list'] });
    expect(await listLabels(own)).toEqual([
      { label: 'Fall list', books: 1 },
      { label: 'Gifts', books: 2 },
    ]);
    expect(await titles({ label: 'Fall list' })).toEqual(['Hive']);
    await deleteBooks(own, [hive]);
    expect(await listLabels(own)).toEqual([{ label: 'Gifts', books: 1 }]);
    const many = Array.from({ length: 20 }, (_, i) => `Label ${i}`);
    await labelBooks(own, [moss], { add: many, remove: [] });
    expect((await listBooks(own)).books[0]!.labels).toEqual(['Gifts', ...many].slice(0, MOST_LABELS));
  });

  it('of another press are left alone', async () => {
    expect(await deleteBooks(other, [hive])).toEqual([]);
    expect(await duplicateBooks(other, [hive])).toEqual([]);
    await labelBooks(other, [hive], { add: ['Theirs'], remove: [] });
    await deleteBooks(own, [moss]);
    await restoreBooks(other, [moss]);
    expect(await titles()).toEqual(['Hive']);
    expect(await listLabels(own)).toEqual([]);
    expect(await countDeleted(other)).toBe(0);
  });
});

describe('word banks', () => {
  const keep = (name: string, words: string[]) =>
    keepResource(own, { type: 'words', name }, [writeWords(words)]);
  const using = ({ hash, name, facts }: KeptResource, more: Record<string, unknown> = {}) =>
    createBook(
      own,
      recipeOf([{ id: 'w', kind: 'word-search', items: 4, options: { words: { bank: 'bees' } } }], {
        id: newId(),
        resources: { bees: { type: 'words', hash, name, facts } },
        ...more,
      }),
    );

  it('say in how many books they are, and leave the offer without leaving the books', async () => {
    const bees = await keep('Bees', ['drone', 'queen']);
    const id = await using(bees);
    await using(bees);
    await deleteBooks(own, [await using(bees)]);
    await db()
      .update(book)
      .set({ recipe: { quill: 99, resources: 7 } as never })
      .where(eq(book.id, await using(bees)));
    expect(await listBanks(own)).toMatchObject([{ name: 'Bees', words: 2, books: 2 }]);
    await setBanksRemoved(other, [bees.hash], true);
    expect(await listBanks(own)).toHaveLength(1);
    await setBanksRemoved(own, [bees.hash], true);
    expect(await listBanks(own)).toEqual([]);
    expect(await listResources(own, 'words')).toEqual([]);
    expect(await hasContent(own, bees.hash)).toBe(true);
    expect((await openBook(own, id))?.recipe.resources.bees).toMatchObject({ hash: bees.hash });
    await setBanksRemoved(own, [bees.hash], false);
    expect(await listBanks(own)).toHaveLength(1);
    // The same words, kept again, are on offer again.
    await setBanksRemoved(own, [bees.hash], true);
    await keep('Bees again', ['drone', 'queen']);
    expect(await listBanks(own)).toMatchObject([{ name: 'Bees again', books: 2 }]);
  });

  it('that are ready come with their words, once; one that was removed stays so', async () => {
    await keepReadyBanks(own);
    const count = READY_BANKS.length;
    expect(await listBanks(own)).toHaveLength(count);
    expect(await listBanks(other)).toEqual([]);
    const [first] = READY_BANKS;
    const stored = await fileStore().open(first!.hash.replace('sha256-', ''));
    expect(await text(stored!.stream)).toBe(new TextDecoder().decode(first!.content));
    await setBanksRemoved(own, [first!.hash], true);
    await keepReadyBanks(own);
    expect(await listBanks(own)).toHaveLength(count - 1);
  });

  it('take the place of another in every book, as a save that can be gone back to', async () => {
    const bees = await keep('Bees', ['drone', 'queen']);
    const more = await keep('More bees', ['drone', 'queen', 'swarm']);
    const [first, second] = [await using(bees), await using(bees)];
    const unread = await using(bees);
    await db()
      .update(book)
      .set({ recipe: { quill: 99, resources: { bees: { hash: bees.hash } } } as never })
      .where(eq(book.id, unread));
    expect(await replaceBank(other, bees.hash, more.hash)).toBe(0);
    expect(await replaceBank(own, bees.hash, more.hash)).toBe(2);
    for (const id of [first, second]) {
      const opened = (await openBook(own, id))!;
      expect(opened.revision).toBe(2);
      expect(opened.recipe.resources).toEqual({
        bees: { type: 'words', hash: more.hash, name: 'More bees', facts: { words: 3 } },
      });
    }
    expect(await replaceBank(own, bees.hash, bees.hash)).toBe(0);
    // One that nobody keeps takes no place.
    expect(await replaceBank(own, more.hash, `sha256-${'0'.repeat(64)}`)).toBe(0);
  });
});
