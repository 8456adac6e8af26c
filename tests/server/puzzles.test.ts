import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { createBook } from '#server/books.ts';
import { closeDatabase, db } from '#server/db/client.ts';
import { puzzle, workspace } from '#server/db/schema.ts';
import { newId } from '#server/ids.ts';
import { stopQueue } from '#server/jobs/queue.ts';
import { deleteBooks, restoreBooks } from '#server/many-books.ts';
import { notePuzzles, puzzlesElsewhere } from '#server/puzzles.ts';
import { recipeOf } from '../support/books.ts';
import { openPress, type Press } from './press.ts';

let press: Press;
let own: string;

beforeAll(async () => {
  press = await openPress('quill_puzzles');
});
afterAll(async () => {
  await stopQueue();
  await closeDatabase();
  await press.close();
});
beforeEach(async () => {
  own = await newWorkspace();
});

async function newWorkspace(): Promise<string> {
  const id = newId();
  await db().insert(workspace).values({ id, name: 'Tin Lantern Press' });
  return id;
}
const newBook = (title: string, workspaceId = own) =>
  createBook(workspaceId, recipeOf([{ id: 'r', kind: 'ruled', pages: 30 }], { id: newId(), title }));

const markOf = (n: number) => n.toString(16).padStart(16, '0');
const puzzlesOf = (...numbers: number[]) =>
  numbers.map((n, i) => ({ mark: markOf(n), label: `Puzzle ${i + 1}`, page: i + 3 }));
const marks = (...numbers: number[]) => numbers.map(markOf);

describe('the puzzles of a workspace', () => {
  it('are known once files were made, and named where they were first', async () => {
    const [hive, moss, tide] = [await newBook('Hive'), await newBook('Moss'), await newBook('Low Tide')];
    expect(await puzzlesElsewhere(own, tide, marks(1, 2, 3))).toEqual([]);
    await notePuzzles(own, hive, puzzlesOf(1, 2));
    await notePuzzles(own, moss, puzzlesOf(2, 3));
    expect(await puzzlesElsewhere(own, tide, marks(2, 3, 4))).toEqual([
      { mark: markOf(2), book: hive, title: 'Hive', label: 'Puzzle 2', page: 4 },
      { mark: markOf(3), book: moss, title: 'Moss', label: 'Puzzle 2', page: 4 },
    ]);
    // Moss came second with the one that both have; of its own it is told nothing.
    expect((await puzzlesElsewhere(own, moss, marks(2, 3))).map(({ title }) => title)).toEqual(['Hive']);
    expect(await puzzlesElsewhere(own, hive, marks(1, 2))).toEqual([]);
  });

  it('stay first when files are made again, and go with what is no longer in the book', async () => {
    const [hive, moss] = [await newBook('Hive'), await newBook('Moss')];
    await notePuzzles(own, hive, puzzlesOf(1, 2));
    await notePuzzles(own, moss, puzzlesOf(1));
    await notePuzzles(own, hive, puzzlesOf(5, 1));
    expect(await puzzlesElsewhere(own, hive, marks(1, 5))).toEqual([]);
    expect(await puzzlesElsewhere(own, moss, marks(1, 2, 5))).toMatchObject([
      { mark: markOf(1), label: 'Puzzle 2', page: 4 },
      { mark: markOf(5), label: 'Puzzle 1' },
    ]);
    await notePuzzles(own, hive, puzzlesOf(5, 1, 5));
    expect(await puzzlesElsewhere(own, moss, marks(5))).toMatchObject([{ label: 'Puzzle 1', page: 3 }]);
    await notePuzzles(own, hive, []);
    expect(await puzzlesElsewhere(own, moss, marks(1, 5))).toEqual([]);
    expect(await puzzlesElsewhere(own, hive, marks(1))).toMatchObject([{ book: moss }]);
  });

  it('do not count while their book is deleted, nor in another workspace', async () => {
    const [hive, moss] = [await newBook('Hive'), await newBook('Moss')];
    await notePuzzles(own, hive, puzzlesOf(1));
    await deleteBooks(own, [hive]);
    expect(await puzzlesElsewhere(own, moss, marks(1))).toEqual([]);
    await restoreBooks(own, [hive]);
    expect(await puzzlesElsewhere(own, moss, marks(1))).toHaveLength(1);
    const other = await newWorkspace();
    expect(await puzzlesElsewhere(other, await newBook('Fen', other), marks(1))).toEqual([]);
    // Asked for a strange book, only the own ones are looked through.
    expect(await puzzlesElsewhere(other, hive, marks(1))).toEqual([]);
  });

  it('are found among many, more than go into one statement', async () => {
    const [hive, moss] = [await newBook('Hive'), await newBook('Moss')];
    const many = Array.from({ length: 12_000 }, (_, n) => n);
    await notePuzzles(own, hive, puzzlesOf(...many, 3, 3));
    expect((await db().select().from(puzzle).where(eq(puzzle.bookId, hive))).length).toBe(12_000);
    const found = await puzzlesElsewhere(own, moss, marks(...many.map((n) => 2 * n)));
    expect(found).toHaveLength(6000);
    await notePuzzles(own, hive, puzzlesOf(...many.slice(0, 10)));
    expect(await puzzlesElsewhere(own, moss, marks(...many))).toHaveLength(10);
  });
});
