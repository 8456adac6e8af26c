import { and, desc, eq, isNull, sql as raw, type SQL } from 'drizzle-orm';
import { db } from './db/client.ts';
import { book, niche } from './db/schema.ts';

/** Of each kind. */
const MOST = 8;

export interface Found {
  books: { id: string; title: string }[];
  niches: { id: string; phrase: string }[];
}

/** Books and niches whose names hold all words, the ones changed last first; the newest where there are none. */
export async function findWork(workspaceId: string, text: string): Promise<Found> {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const holding = (name: SQL): SQL[] => words.map((word) => raw`position(${word} in lower(${name})) > 0`);
  const title = raw<string>`coalesce(${book.recipe}->>'title', 'Untitled')`;
  const [books, niches] = await Promise.all([
    db()
      .select({ id: book.id, title })
      .from(book)
      .where(and(eq(book.workspaceId, workspaceId), isNull(book.deletedAt), ...holding(title)))
      .orderBy(desc(book.updatedAt), book.id)
      .limit(MOST),
    db()
      .select({ id: niche.id, phrase: niche.phrase })
      .from(niche)
      .where(
        and(eq(niche.workspaceId, workspaceId), eq(niche.archived, false), ...holding(raw`${niche.phrase}`)),
      )
      .orderBy(desc(niche.createdAt), niche.id)
      .limit(MOST),
  ]);
  return { books, niches };
}
