import { and, asc, count, eq, isNull, sql } from 'drizzle-orm';
import * as v from 'valibot';
import {
  type StandingContent,
  type StandingPage,
  standingContentSchema,
  withStandingPage,
} from '#core/book/standing-page.ts';
import { openBook, saveBook } from './books.ts';
import { db } from './db/client.ts';
import { book, standingPage } from './db/schema.ts';
import { newId } from './ids.ts';

/** More than anybody keeps apart. */
const MOST_PAGES = 200;
/** Tries at a book that is saved by somebody else just then. */
const MOST_TRIES = 5;

/** A book that has a standing page in it. */
export interface Reached {
  id: string;
  title: string;
}

const one = (workspaceId: string, id: string) =>
  and(eq(standingPage.workspaceId, workspaceId), eq(standingPage.id, id));

/** The standing pages of a workspace, by name. One whose kind is not known any more is left out. */
export async function listStandingPages(workspaceId: string): Promise<StandingPage[]> {
  const rows = await db()
    .select({ id: standingPage.id, name: standingPage.name, content: standingPage.content })
    .from(standingPage)
    .where(eq(standingPage.workspaceId, workspaceId))
    .orderBy(asc(standingPage.name));
  const schema = standingContentSchema();
  return rows.flatMap(({ id, name, content }) => {
    const read = v.safeParse(schema, content);
    return read.success ? [{ id, name, content: read.output }] : [];
  });
}

/** A standing page with the books that have it, by title. */
export interface PageInUse extends StandingPage {
  books: Reached[];
}

/** All standing pages of a workspace, each with its books, deleted ones left out. */
export async function standingPagesInUse(workspaceId: string): Promise<PageInUse[]> {
  const shown = sql<string[]>`jsonb_path_query_array(${book.recipe}, '$.sections.**.standingPage')`;
  const [pages, books] = await Promise.all([
    listStandingPages(workspaceId),
    db()
      .select({ id: book.id, title: sql<string>`${book.recipe}->>'title'`, shown })
      .from(book)
      .where(
        and(
          eq(book.workspaceId, workspaceId),
          isNull(book.deletedAt),
          sql`jsonb_path_exists(${book.recipe}, '$.sections.**.standingPage')`,
        ),
      )
      .orderBy(sql`${book.recipe}->>'title'`),
  ]);
  return pages.map((page) => ({
    ...page,
    books: books.filter((one) => one.shown.includes(page.id)).map(({ id, title }) => ({ id, title })),
  }));
}

/** Gives a standing page a name that is free. @returns why it keeps the one that it has */
export async function renameStandingPage(
  workspaceId: string,
  id: string,
  name: string,
): Promise<string | null> {
  const isFree = sql`not exists (select from ${standingPage} as other
    where other.workspace_id = ${workspaceId} and other.name = ${name} and other.id <> ${id})`;
  const renamed = await db()
    .update(standingPage)
    .set({ name })
    .where(and(one(workspaceId, id), isFree))
    .returning({ id: standingPage.id });
  if (renamed.length) return null;
  const [there] = await db().select({ id: standingPage.id }).from(standingPage).where(one(workspaceId, id));
  return there ? taken(name) : 'The page is kept no longer. Keep it again from a book that has it.';
}

const taken = (name: string): string => `There is a standing page “${name}” already. Name it otherwise.`;

/**
 * Keeps a page under a name that is free.
 * @param id of a page that was kept before and is to be kept again
 * @returns its id, or why it is not kept
 */
export async function keepStandingPage(
  workspaceId: string,
  name: string,
  content: StandingContent,
  id = newId(),
): Promise<{ id: string } | { refused: string }> {
  const [kept] = await db()
    .select({ pages: count() })
    .from(standingPage)
    .where(eq(standingPage.workspaceId, workspaceId));
  if (kept!.pages >= MOST_PAGES)
    return { refused: `You keep ${MOST_PAGES} standing pages already. Remove one first.` };
  const made = await db()
    .insert(standingPage)
    .values({ id, workspaceId, name, content })
    .onConflictDoNothing()
    .returning({ id: standingPage.id });
  return made.length ? { id } : { refused: taken(name) };
}

/** The books that have a standing page in them, by title, deleted ones left out. */
export const booksWith = (workspaceId: string, id: string): Promise<Reached[]> =>
  db()
    .select({ id: book.id, title: sql<string>`${book.recipe}->>'title'` })
    .from(book)
    .where(
      and(
        eq(book.workspaceId, workspaceId),
        isNull(book.deletedAt),
        sql`jsonb_path_exists(${book.recipe}, '$.sections.**.standingPage ? (@ == $id)', jsonb_build_object('id', ${id}::text))`,
      ),
    )
    .orderBy(sql`${book.recipe}->>'title'`);

/**
 * Changes a standing page, and with it every book that has it: each gets a new revision, and so its files are out of date.
 * @param except a book that shows the change already: the one that it was made in
 * @returns the books that were changed, and those that could not be
 */
export async function changeStandingPage(
  workspaceId: string,
  id: string,
  content: StandingContent,
  except: string,
): Promise<{ changed: Reached[]; left: Reached[] } | null> {
  const [page] = await db()
    .update(standingPage)
    .set({ content })
    .where(one(workspaceId, id))
    .returning({ id: standingPage.id, name: standingPage.name });
  if (!page) return null;
  const changed: Reached[] = [];
  const left: Reached[] = [];
  for (const reached of await booksWith(workspaceId, id)) {
    if (reached.id === except) continue;
    const outcome = await showIn(workspaceId, reached.id, { ...page, content });
    if (outcome === 'changed') changed.push(reached);
    if (outcome === 'left') left.push(reached);
  }
  return { changed, left };
}

/** Has a book show a standing page as it is now, whoever saves it meanwhile. */
async function showIn(
  workspaceId: string,
  id: string,
  page: StandingPage,
): Promise<'changed' | 'same' | 'left'> {
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const opened = await openBook(workspaceId, id);
    if (!opened) return 'left';
    const recipe = withStandingPage(opened.recipe, page);
    if (recipe === opened.recipe) return 'same';
    const answer = await saveBook(workspaceId, id, opened.revision, recipe);
    if (answer.saved) return 'changed';
    if (!('conflict' in answer)) return 'left';
  }
  return 'left';
}

/** Takes a page out of what a workspace keeps. Books that have it keep it as a page of their own. */
export async function removeStandingPage(workspaceId: string, id: string): Promise<void> {
  await db().delete(standingPage).where(one(workspaceId, id));
}
