import { and, asc, eq, inArray, isNull, sql as raw } from 'drizzle-orm';
import same from 'fast-deep-equal';
import * as v from 'valibot';
import {
  type Brief,
  BriefSchema,
  briefFrom,
  estimate,
  MOST_KEYWORDS,
  KEYWORD_LETTERS as MOST_LETTERS,
  partsOf,
  recipeFromBrief,
} from '#core/niche/index.ts';
import { gather, words } from '#core/resources/index.ts';
import { createBook } from '../books.ts';
import { db } from '../db/client.ts';
import { brief, phrase } from '../db/niche-schema.ts';
import { book, niche } from '../db/schema.ts';
import { newId } from '../ids.ts';
import { usualPenName } from '../pen-names.ts';
import { storeLoader } from '../resources/loader.ts';
import { type KeptResource, listResources } from '../resources/resources.ts';
import { assumptionsOf, curveOf } from './assumptions.ts';
import type { OpenedNiche } from './niches.ts';
import { countedRivals } from './rivals.ts';

export interface BriefRow {
  id: string;
  nicheId: string;
  brief: Brief;
  bookId: string | null;
}

const columns = { id: brief.id, nicheId: brief.nicheId, brief: brief.brief, bookId: brief.bookId };

export const briefsOf = (workspaceId: string, nicheId: string): Promise<BriefRow[]> =>
  db()
    .select(columns)
    .from(brief)
    .where(and(eq(brief.workspaceId, workspaceId), eq(brief.nicheId, nicheId), eq(brief.removed, false)))
    .orderBy(asc(brief.createdAt));

/** A niche, as far as a brief asks for it. */
export type BriefedNiche = Pick<OpenedNiche, 'id' | 'phrase' | 'market'>;

/** What the sums would decide now: a draft, not kept. */
export async function draftBrief(
  workspaceId: string,
  { id: nicheId, phrase: text, market }: BriefedNiche,
): Promise<Brief> {
  const [assumptions, curve, rivals, chosen] = await Promise.all([
    assumptionsOf(workspaceId),
    curveOf(workspaceId, market),
    countedRivals(workspaceId, nicheId),
    db()
      .select({ phrase: phrase.phrase })
      .from(phrase)
      .where(
        and(
          eq(phrase.workspaceId, workspaceId),
          eq(phrase.nicheId, nicheId),
          eq(phrase.chosen, true),
          eq(phrase.removed, false),
        ),
      )
      .orderBy(raw`${phrase.earnings} desc nulls last`),
  ]);
  return briefFrom(
    text,
    rivals.map((row) => estimate(row, curve)),
    assumptions.lists,
    chosen.map((row) => row.phrase).filter((keyword) => keyword.length <= MOST_LETTERS),
    market,
  );
}

export async function addBrief(workspaceId: string, nicheId: string, decided: Brief): Promise<string> {
  const id = newId();
  await db().insert(brief).values({ id, workspaceId, nicheId, brief: decided });
  return id;
}

/** The niche's briefs; the first is drafted from the sums when there is none. */
export async function briefsOrDraft(workspaceId: string, niche: BriefedNiche): Promise<BriefRow[]> {
  const { id: nicheId } = niche;
  const there = await briefsOf(workspaceId, nicheId);
  if (there.length) return there;
  await addBrief(workspaceId, nicheId, await draftBrief(workspaceId, niche));
  return briefsOf(workspaceId, nicheId);
}

/** Keyword candidates chosen among the phrases go into the niche's first brief, and out of it again. */
export async function takeCandidates(
  workspaceId: string,
  nicheId: string,
  words: readonly string[],
  chosen: boolean,
): Promise<void> {
  const [first] = await briefsOf(workspaceId, nicheId);
  if (!first) return;
  const keywords = chosen
    ? [...new Set([...first.brief.keywords, ...words.filter((word) => word.length <= MOST_LETTERS)])]
    : first.brief.keywords.filter((keyword) => !words.includes(keyword));
  const read = v.safeParse(BriefSchema, { ...first.brief, keywords: keywords.slice(0, MOST_KEYWORDS) });
  if (read.success) await saveBrief(workspaceId, first.id, read.output);
}

const mine = (workspaceId: string, id: string) => and(eq(brief.workspaceId, workspaceId), eq(brief.id, id));

/**
 * Saves a brief.
 * @param from what the change began from; another tab's work since then is not overwritten. Left out, all is
 * @returns whether it was saved, or what is there now; null where there is no such brief
 */
export async function saveBrief(
  workspaceId: string,
  id: string,
  decided: Brief,
  from?: Brief,
): Promise<{ saved: true } | { saved: false; now: Brief } | null> {
  return db().transaction(async (tx) => {
    const [row] = await tx
      .select({ brief: brief.brief })
      .from(brief)
      .where(mine(workspaceId, id))
      .for('update');
    if (!row) return null;
    const now = v.parse(BriefSchema, row.brief);
    // What was sent before and not answered may have been saved all the same.
    if (from && !same(now, from) && !same(now, decided)) return { saved: false, now };
    await tx.update(brief).set({ brief: decided }).where(mine(workspaceId, id));
    return { saved: true };
  });
}

/** Takes a brief out of sight, or brings it back to its place. */
export async function removeBrief(workspaceId: string, id: string, removed: boolean): Promise<void> {
  await db().update(brief).set({ removed }).where(mine(workspaceId, id));
}

/** Titles of the books that were started for a phrase and are still there. */
export async function booksFor(workspaceId: string, phrase: string): Promise<string[]> {
  const rows = await db()
    .select({ title: raw<string>`${book.recipe}->>'title'` })
    .from(book)
    .where(
      and(
        eq(book.workspaceId, workspaceId),
        isNull(book.deletedAt),
        raw`lower(${book.recipe}->'brief'->>'niche') = ${phrase.toLowerCase()}`,
      ),
    )
    .limit(20);
  return rows.map(({ title }) => title);
}

/**
 * The workspace's word bank whose name or words say most of what a phrase is about; none where no bank says any of it: the
 * words of another book would be worse than none.
 */
async function bankFor(topic: string, banks: KeptResource[]): Promise<KeptResource | undefined> {
  const asked = topic.match(/\p{L}{3,}/gu) ?? [];
  const contents = await gather(
    Object.fromEntries(Object.entries(banks)),
    storeLoader(banks.map(({ hash }) => hash)),
  );
  const score = ({ name }: KeptResource, place: number) => {
    const list = contents.has(String(place)) ? contents.value(words, String(place)) : [];
    const said = `${name} ${list.join(' ')}`.toLowerCase();
    // Bees for beekeeping: by how a word begins, the more of it the better.
    const begins = (start: string) => new RegExp(`(^|[^\\p{L}])${start}`, 'u').test(said);
    return asked.reduce(
      (sum, word) => sum + (begins(word.slice(0, 3)) ? 1 : 0) + (begins(word.slice(0, 5)) ? 1 : 0),
      0,
    );
  };
  const [best] = banks.map((bank, i) => [bank, score(bank, i)] as const).sort((a, b) => b[1] - a[1]);
  return best && best[1] > 0 ? best[0] : undefined;
}

/** Name of the word bank that a book for a phrase would start with; null where none fits. */
export async function bankNameFor(workspaceId: string, phrase: string): Promise<string | null> {
  const [banks, { lists }] = await Promise.all([
    listResources(workspaceId, words.id),
    assumptionsOf(workspaceId),
  ]);
  return (await bankFor(partsOf(phrase, lists).topic, banks))?.name ?? null;
}

/** Starts a book from each of the briefs. @returns the books, in the order of the briefs */
export async function startBooks(
  workspaceId: string,
  imprint: string,
  ids: readonly string[],
): Promise<string[]> {
  if (ids.length === 0) return [];
  const rows = await db()
    .select({ ...columns, phrase: niche.phrase })
    .from(brief)
    .innerJoin(niche, eq(niche.id, brief.nicheId))
    .where(and(eq(brief.workspaceId, workspaceId), inArray(brief.id, ids as string[])));
  const [penName, banks, { lists }] = await Promise.all([
    usualPenName(workspaceId, imprint),
    listResources(workspaceId, words.id),
    assumptionsOf(workspaceId),
  ]);
  const books: string[] = [];
  for (const id of ids) {
    const row = rows.find((found) => found.id === id);
    if (!row) continue;
    const recipe = recipeFromBrief(v.parse(BriefSchema, row.brief), {
      id: newId(),
      seed: newId(),
      penName,
      imprint,
      bank: await bankFor(partsOf(row.brief.phrase, lists).topic, banks),
    });
    const bookId = await createBook(workspaceId, recipe);
    await db().update(brief).set({ bookId }).where(mine(workspaceId, id));
    books.push(bookId);
  }
  // A niche with a book is being made, whatever was noted of it before; one that is published or dropped stays so.
  await db()
    .update(niche)
    .set({ status: 'making' })
    .where(
      and(
        eq(niche.workspaceId, workspaceId),
        inArray(
          niche.id,
          rows.map(({ nicheId }) => nicheId),
        ),
        inArray(niche.status, ['idea', 'researching']),
      ),
    );
  return books;
}
