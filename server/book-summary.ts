import { and, eq, isNull, ne, or, sql as raw } from 'drizzle-orm';
import { bookFrom, faceResources, type Recipe, readRecipe } from '#core/book/index.ts';
import { type Fingerprints, fingerprintsOf } from '#core/export/fingerprints.ts';
import { db } from './db/client.ts';
import { book } from './db/schema.ts';

/** Raised when a summary says something else, or a plan may come out otherwise: all are then made anew. */
export const SUMMARY_VERSION = 3;
/** Books summed up at a time. */
const BATCH = 100;

/** What a list says of a book, worked out once, when it is saved. */
export interface BookSummary {
  version: number;
  /** The recipe without its pages and words: enough to name the book and draw its front. */
  front: Recipe;
  pages: number;
  trim: { width: number; height: number };
  fingerprints: Fingerprints;
  /** What a search looks through. */
  search: string;
}

export function summaryOf(recipe: Recipe): BookSummary {
  const whole = bookFrom(recipe);
  const { title, subtitle, penName, series, imprint } = recipe;
  return {
    version: SUMMARY_VERSION,
    front: { ...recipe, sections: [], resources: faceResources(recipe) },
    pages: whole.plan.pages.length,
    trim: whole.spec.trim,
    fingerprints: fingerprintsOf(whole),
    search: [title, subtitle, penName, series?.name, imprint].filter(Boolean).join('\n').toLowerCase(),
  };
}

/** Sums up books that were saved before there were summaries, or by an earlier program. @returns how many */
export async function sumUpBooks(): Promise<number> {
  const version = raw<number>`(${book.summary}->>'version')::int`;
  let after = '';
  let count = 0;
  for (;;) {
    const rows = await db()
      .select({ id: book.id, recipe: book.recipe })
      .from(book)
      .where(and(or(isNull(book.summary), ne(version, SUMMARY_VERSION)), raw`${book.id} > ${after}`))
      .orderBy(book.id)
      .limit(BATCH);
    for (const { id, recipe } of rows) {
      // One that cannot be read is listed without.
      const read = readRecipe(recipe);
      const summary = read.problems ? null : summaryOf(read.recipe);
      await db().update(book).set({ summary }).where(eq(book.id, id));
      if (summary) count++;
    }
    if (rows.length < BATCH) return count;
    after = rows.at(-1)!.id;
  }
}
