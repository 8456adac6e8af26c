import { and, arrayContains, count, desc, eq, isNotNull, isNull, lt, sql as raw } from 'drizzle-orm';
import { changesBetween } from '#core/book/changes.ts';
import { parseRecipe, type Recipe, type RecipeProblem, readRecipe } from '#core/book/recipe.ts';
import { type FilesState, filesState, type MadeFrom } from '#core/export/fingerprints.ts';
import { type BookSummary, summaryOf } from './book-summary.ts';
import { db } from './db/client.ts';
import { book, bookRevision, madeFile, submission } from './db/schema.ts';

/** Revisions listed at once, newest first. */
export const REVISIONS_LISTED = 50;

export interface OpenedBook {
  id: string;
  revision: number;
  recipe: Recipe;
  savedAt: Date;
}

/** One that was deleted is nobody's until it is restored. */
const mine = (workspaceId: string, id: string) =>
  and(eq(book.workspaceId, workspaceId), eq(book.id, id), isNull(book.deletedAt));

/** A stored recipe that this program cannot read, as it was stored. */
export interface UnreadableBook {
  id: string;
  title: string;
  problems: RecipeProblem[];
  stored: unknown;
}

/** The book, or what keeps its recipe from being read; null when there is none. */
export async function openStored(
  workspaceId: string,
  id: string,
): Promise<{ opened: OpenedBook } | { unreadable: UnreadableBook } | null> {
  const [row] = await db().select().from(book).where(mine(workspaceId, id));
  if (!row) return null;
  // Read through the schema: an older recipe gains what it left out.
  const read = readRecipe(row.recipe);
  if (read.recipe)
    return { opened: { id, revision: row.revision, recipe: read.recipe, savedAt: row.updatedAt } };
  const { title } = row.recipe as { title?: unknown };
  return {
    unreadable: {
      id,
      title: typeof title === 'string' ? title : 'Untitled',
      problems: read.problems,
      stored: row.recipe,
    },
  };
}

/** The book; null when there is none that can be read. */
export async function openBook(workspaceId: string, id: string): Promise<OpenedBook | null> {
  const found = await openStored(workspaceId, id);
  return found && 'opened' in found ? found.opened : null;
}

export interface BookRow {
  id: string;
  title: string;
  /** Null for a book whose recipe cannot be read. */
  summary: Omit<BookSummary, 'fingerprints' | 'search' | 'version'> | null;
  labels: string[];
  updatedAt: Date;
  files: FilesState;
  submission: string | null;
}

export interface BookList {
  books: BookRow[];
  /** Books that match, those on other pages included. */
  total: number;
}

interface BooksAsked {
  /** Words that title, pen name, series or imprint hold. */
  search?: string;
  label?: string;
  /** Those that were deleted, and no others. */
  deleted?: boolean;
  limit?: number;
  offset?: number;
}

/** Books, the one changed last first. */
export async function listBooks(
  workspaceId: string,
  { search = '', label, deleted = false, limit = 60, offset = 0 }: BooksAsked = {},
): Promise<BookList> {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const matching = and(
    eq(book.workspaceId, workspaceId),
    deleted ? isNotNull(book.deletedAt) : isNull(book.deletedAt),
    label === undefined ? undefined : arrayContains(book.labels, [label]),
    ...words.map((word) => raw`position(${word} in coalesce(${book.summary}->>'search', '')) > 0`),
  );
  const rows = await db()
    .select({
      id: book.id,
      title: raw<string | null>`${book.recipe}->>'title'`,
      summary: book.summary,
      labels: book.labels,
      updatedAt: book.updatedAt,
      made: raw<MadeFrom | null>`(select json_object_agg(${madeFile.name}, ${madeFile.madeFrom}) from ${madeFile} where ${madeFile}.book_id = ${book}.id)`,
      // Tables are named: a column alone is the inner one's.
      submission: raw<
        string | null
      >`(select state from ${submission} where ${submission}.book_id = ${book}.id order by created_at desc limit 1)`,
    })
    .from(book)
    .where(matching)
    .orderBy(desc(book.updatedAt), book.id)
    .limit(limit)
    .offset(offset);
  const [counted] = await db().select({ total: count() }).from(book).where(matching);
  return {
    total: counted?.total ?? 0,
    books: rows.map(({ id, title, summary, labels, updatedAt, made, submission: state }) => ({
      id,
      title: title ?? 'Untitled',
      summary: summary && { front: summary.front, pages: summary.pages, trim: summary.trim },
      labels,
      updatedAt,
      files: summary ? filesState(made ?? {}, summary.fingerprints) : 'none',
      submission: state,
    })),
  };
}

export async function createBook(workspaceId: string, recipe: Recipe): Promise<string> {
  const checked = parseRecipe(recipe);
  await db().transaction(async (tx) => {
    await tx
      .insert(book)
      .values({ id: checked.id, workspaceId, recipe: checked, summary: summaryOf(checked) });
    await tx.insert(bookRevision).values({ bookId: checked.id, workspaceId, revision: 1, recipe: checked });
  });
  return checked.id;
}

export type Saved =
  | { saved: true; revision: number; savedAt: Date }
  | { saved: false; problems: RecipeProblem[] }
  /** Somebody, in another tab perhaps, saved since; theirs is sent along. */
  | { saved: false; conflict: OpenedBook }
  | { saved: false; gone: true };

/** Saves a recipe that began from a revision. Never overwrites a revision the writer has not seen. */
export async function saveBook(
  workspaceId: string,
  id: string,
  from: number,
  value: unknown,
): Promise<Saved> {
  const read = readRecipe(value);
  if (read.problems) return { saved: false, problems: read.problems };
  if (read.recipe.id !== id)
    return {
      saved: false,
      problems: [{ path: 'id', message: `is ${read.recipe.id}, but this book is ${id}.` }],
    };
  const recipe = read.recipe;
  const summary = summaryOf(recipe);
  return db().transaction(async (tx): Promise<Saved> => {
    const [row] = await tx
      .update(book)
      .set({ recipe, summary, revision: from + 1, updatedAt: new Date() })
      .where(and(mine(workspaceId, id), eq(book.revision, from)))
      .returning({ revision: book.revision, updatedAt: book.updatedAt });
    if (!row) {
      const [now] = await tx.select().from(book).where(mine(workspaceId, id));
      if (!now) return { saved: false, gone: true };
      const theirs = readRecipe(now.recipe);
      if (theirs.problems) return { saved: false, problems: theirs.problems };
      return {
        saved: false,
        conflict: { id, revision: now.revision, recipe: theirs.recipe, savedAt: now.updatedAt },
      };
    }
    await tx.insert(bookRevision).values({ bookId: id, workspaceId, revision: row.revision, recipe });
    return { saved: true, revision: row.revision, savedAt: row.updatedAt };
  });
}

export interface Revision {
  revision: number;
  createdAt: Date;
  /** What it changed of the one before it; null where either cannot be read any more. Empty for the first. */
  changes: string[] | null;
}

/** @param before only revisions older than this one; the newest if left out */
export async function listRevisions(
  workspaceId: string,
  id: string,
  before?: number,
): Promise<{ revisions: Revision[]; older: boolean }> {
  const rows = await db()
    .select()
    .from(bookRevision)
    .where(
      and(
        eq(bookRevision.workspaceId, workspaceId),
        eq(bookRevision.bookId, id),
        ...(before === undefined ? [] : [lt(bookRevision.revision, before)]),
      ),
    )
    .orderBy(desc(bookRevision.revision))
    // One more, to tell what the last one changed.
    .limit(REVISIONS_LISTED + 1);
  const recipes = rows.map((row) => readRecipe(row.recipe).recipe);
  return {
    revisions: rows.slice(0, REVISIONS_LISTED).map(({ revision, createdAt }, i) => {
      const [now, then] = [recipes[i], recipes[i + 1]];
      const changes = revision === 1 ? [] : now && then ? changesBetween(then, now) : null;
      return { revision, createdAt, changes };
    }),
    older: rows.length > REVISIONS_LISTED,
  };
}

export async function revisionOf(workspaceId: string, id: string, revision: number): Promise<Recipe | null> {
  const [row] = await db()
    .select({ recipe: bookRevision.recipe })
    .from(bookRevision)
    .where(
      and(
        eq(bookRevision.workspaceId, workspaceId),
        eq(bookRevision.bookId, id),
        eq(bookRevision.revision, revision),
      ),
    );
  // One that cannot be read any more cannot be gone back to.
  return (row && readRecipe(row.recipe).recipe) ?? null;
}
