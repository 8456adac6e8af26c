import { and, eq, inArray, isNull, ne, sql as raw } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { PuzzleElsewhere, PuzzleMark } from '#core/book/puzzle-marks.ts';
import { db } from './db/client.ts';
import { book, puzzle } from './db/schema.ts';

/** Rows of one statement. */
const AT_ONCE = 5000;

/** Notes the puzzles of a book as it is now. Those that it had before keep the day since when. */
export async function notePuzzles(
  workspaceId: string,
  bookId: string,
  marks: readonly Pick<PuzzleMark, 'mark' | 'label' | 'page'>[],
): Promise<void> {
  const ofBook = and(eq(puzzle.workspaceId, workspaceId), eq(puzzle.bookId, bookId));
  // A puzzle that is in the book twice is noted where it stands first.
  const each = [...new Map([...marks].reverse().map((one) => [one.mark, one])).values()];
  await db().transaction(async (tx) => {
    await tx
      .delete(puzzle)
      .where(
        each.length
          ? and(ofBook, raw`${puzzle.mark} <> all(${raw.param(each.map(({ mark }) => mark))}::text[])`)
          : ofBook,
      );
    for (let from = 0; from < each.length; from += AT_ONCE)
      await tx
        .insert(puzzle)
        .values(
          each
            .slice(from, from + AT_ONCE)
            .map(({ mark, label, page }) => ({ workspaceId, bookId, mark, label, page })),
        )
        .onConflictDoUpdate({
          target: [puzzle.workspaceId, puzzle.mark, puzzle.bookId],
          set: { label: raw`excluded.label`, page: raw`excluded.page` },
        });
  });
}

/**
 * The puzzles of a book that another book of the workspace had before it, each with the one that had it first. Books that were
 * deleted do not count.
 * @param marks of the book as it is now, whether files were made of it or not
 */
export async function puzzlesElsewhere(
  workspaceId: string,
  bookId: string,
  marks: readonly string[],
): Promise<PuzzleElsewhere[]> {
  const own = alias(puzzle, 'own');
  const known = await db()
    .selectDistinctOn([puzzle.mark], {
      mark: puzzle.mark,
      book: puzzle.bookId,
      label: puzzle.label,
      page: puzzle.page,
    })
    .from(puzzle)
    .innerJoin(book, and(eq(book.id, puzzle.bookId), isNull(book.deletedAt)))
    .leftJoin(own, and(eq(own.workspaceId, workspaceId), eq(own.mark, puzzle.mark), eq(own.bookId, bookId)))
    .where(
      and(
        eq(puzzle.workspaceId, workspaceId),
        raw`${puzzle.mark} = any(${raw.param(marks)}::text[])`,
        ne(puzzle.bookId, bookId),
        raw`(${own.since} is null or (${own.since}, ${own.bookId}) > (${puzzle.since}, ${puzzle.bookId}))`,
      ),
    )
    .orderBy(puzzle.mark, puzzle.since, puzzle.bookId);
  const books = [...new Set(known.map((one) => one.book))];
  if (!books.length) return [];
  // Apart: a title is read out of a whole recipe, which is long.
  const titles = await db()
    .select({ id: book.id, title: raw<string | null>`${book.recipe}->>'title'` })
    .from(book)
    .where(and(eq(book.workspaceId, workspaceId), inArray(book.id, books)));
  const titleOf = new Map(titles.map(({ id, title }) => [id, title ?? 'Untitled']));
  return known.map((one) => ({ ...one, title: titleOf.get(one.book) ?? 'Untitled' }));
}
