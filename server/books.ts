import { and, desc, eq, sql as raw } from 'drizzle-orm';
import { parseRecipe, type Recipe, type RecipeProblem, readRecipe } from '#core/book/recipe.ts';
import { fingerprint } from '#core/fingerprint.ts';
import { db } from './db/client.ts';
import { book, bookRevision, madeFile, submission } from './db/schema.ts';

/** Revisions listed at once, newest first. */
const REVISIONS_LISTED = 200;

export interface OpenedBook {
  id: string;
  revision: number;
  recipe: Recipe;
  savedAt: Date;
}

const mine = (workspaceId: string, id: string) => and(eq(book.workspaceId, workspaceId), eq(book.id, id));

export async function openBook(workspaceId: string, id: string): Promise<OpenedBook | null> {
  const [row] = await db().select().from(book).where(mine(workspaceId, id));
  // Read through the schema: an older recipe gains what it left out.
  return row ? { id, revision: row.revision, recipe: parseRecipe(row.recipe), savedAt: row.updatedAt } : null;
}

export interface BookRow {
  id: string;
  recipe: Recipe;
  updatedAt: Date;
  /** Files there are made from this very recipe. */
  files: 'none' | 'current' | 'out of date';
  submission: string | null;
}

export async function listBooks(workspaceId: string, limit = 1000): Promise<BookRow[]> {
  const rows = await db()
    .select({
      id: book.id,
      recipe: book.recipe,
      updatedAt: book.updatedAt,
      madeFrom: raw<
        string | null
      >`(select made_from from ${madeFile} where ${madeFile.bookId} = ${book.id} and ${madeFile.name} = 'interior.pdf')`,
      submission: raw<
        string | null
      >`(select state from ${submission} where ${submission.bookId} = ${book.id} order by ${submission.createdAt} desc limit 1)`,
    })
    .from(book)
    .where(eq(book.workspaceId, workspaceId))
    .orderBy(desc(book.updatedAt))
    .limit(limit);
  return rows.map(({ madeFrom, ...row }) => ({
    ...row,
    files: madeFrom === null ? 'none' : madeFrom === fingerprint(row.recipe) ? 'current' : 'out of date',
  }));
}

export async function createBook(workspaceId: string, recipe: Recipe): Promise<string> {
  const checked = parseRecipe(recipe);
  await db().transaction(async (tx) => {
    await tx.insert(book).values({ id: checked.id, workspaceId, recipe: checked });
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
  return db().transaction(async (tx): Promise<Saved> => {
    const [row] = await tx
      .update(book)
      .set({ recipe, revision: from + 1, updatedAt: new Date() })
      .where(and(mine(workspaceId, id), eq(book.revision, from)))
      .returning({ revision: book.revision, updatedAt: book.updatedAt });
    if (!row) {
      const [now] = await tx.select().from(book).where(mine(workspaceId, id));
      if (!now) return { saved: false, gone: true };
      return {
        saved: false,
        conflict: { id, revision: now.revision, recipe: parseRecipe(now.recipe), savedAt: now.updatedAt },
      };
    }
    await tx.insert(bookRevision).values({ bookId: id, workspaceId, revision: row.revision, recipe });
    return { saved: true, revision: row.revision, savedAt: row.updatedAt };
  });
}

export async function listRevisions(
  workspaceId: string,
  id: string,
): Promise<{ revision: number; createdAt: Date }[]> {
  return db()
    .select({ revision: bookRevision.revision, createdAt: bookRevision.createdAt })
    .from(bookRevision)
    .where(and(eq(bookRevision.workspaceId, workspaceId), eq(bookRevision.bookId, id)))
    .orderBy(desc(bookRevision.revision))
    .limit(REVISIONS_LISTED);
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
  return row ? parseRecipe(row.recipe) : null;
}
