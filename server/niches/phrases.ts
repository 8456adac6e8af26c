import { and, asc, count, desc, eq, sql as raw } from 'drizzle-orm';
import {
  bestSellers,
  type Candidate,
  type Expansion,
  estimate,
  expand,
  judge,
  lookedOnce,
  median,
  type NicheAssumptions,
  type SalesCurve,
  TOP,
} from '#core/niche/index.ts';
import type { OwnPhrase } from '#core/niche/own/index.ts';
import { among, db, sql } from '../db/client.ts';
import { phrase } from '../db/niche-schema.ts';
import { job } from '../db/schema.ts';
import { newId } from '../ids.ts';
import { enqueueJob } from '../jobs/queue.ts';
import type { MarketAnswer } from '../services/marketplace.ts';
import { assumptionsOf } from './assumptions.ts';

export type PhraseRow = Omit<typeof phrase.$inferSelect, 'workspaceId' | 'nicheId'>;

/** Phrases a niche may be expanded to. */
export const MOST_PHRASES = 5000;

const ofNiche = (workspaceId: string, nicheId: string) =>
  and(eq(phrase.workspaceId, workspaceId), eq(phrase.nicheId, nicheId));
const inSight = (workspaceId: string, nicheId: string) =>
  and(ofNiche(workspaceId, nicheId), eq(phrase.removed, false));

/**
 * A niche's phrases in alphabetical order, as JSON that the database makes: while a thousand of them are asked for, the
 * page wants them every other second, and to read rows and write them again would hold up everybody else.
 */
export async function phrasesJson(workspaceId: string, nicheId: string): Promise<string> {
  const [row] = await sql()<{ rows: string }[]>`
    select coalesce(json_agg(to_jsonb(p) - '{workspace_id,niche_id}'::text[] order by p.phrase), '[]')::text as rows
    from (
      select * from phrase where workspace_id = ${workspaceId} and niche_id = ${nicheId} and not removed
      order by phrase limit ${MOST_PHRASES}
    ) p`;
  return row!.rows;
}

export const phrasesOf = async (workspaceId: string, nicheId: string): Promise<PhraseRow[]> =>
  JSON.parse(await phrasesJson(workspaceId, nicheId)) as PhraseRow[];

/** Notes phrases to look up; those that are there already stay as they are, but come back into sight. */
export async function addPhrases(
  workspaceId: string,
  nicheId: string,
  candidates: readonly (Omit<Candidate, 'way'> & {
    way: PhraseRow['way'];
    volume?: number | null;
    results?: number | null;
  })[],
): Promise<void> {
  const [there] = await db().select({ n: count() }).from(phrase).where(ofNiche(workspaceId, nicheId));
  const rows = candidates
    .slice(0, Math.max(0, MOST_PHRASES - there!.n))
    .map(({ phrase: text, way, volume, results }) => ({
      id: newId(),
      phrase: text,
      way,
      volume: volume ?? null,
      results: results ?? null,
    }));
  // One parameter for a thousand rows, and in one order, so that two answers that name the same phrases never wait for
  // each other.
  await sql()`
    insert into phrase (id, workspace_id, niche_id, phrase, way, volume, results)
    select r.id, ${workspaceId}, ${nicheId}, r.phrase, r.way, r.volume, r.results
    from jsonb_to_recordset(${JSON.stringify(rows)}::text::jsonb)
      as r(id text, phrase text, way text, volume integer, results integer)
    order by r.phrase
    on conflict (niche_id, phrase) do update set volume = coalesce(excluded.volume, phrase.volume), removed = false`;
}

/** One job at a time expands a niche; that with suggestions by letters is another than that without. */
const expandKey = (nicheId: string, letters: boolean): string =>
  `${nicheId} ${letters ? 'letters' : 'lists'}`;

const enqueueExpand = (workspaceId: string, nicheId: string, letters: boolean): Promise<string> =>
  enqueueJob(workspaceId, { nicheId }, 'expand', { letters }, { key: expandKey(nicheId, letters) });

/** Widens a niche: notes the phrases of the lists, and queues the work of asking for each. @returns the job */
export async function expandNiche(
  workspaceId: string,
  nicheId: string,
  own: string,
  ways: readonly Expansion[],
  year: number,
): Promise<string> {
  const { lists } = await assumptionsOf(workspaceId);
  await addPhrases(workspaceId, nicheId, expand(own, ways, lists, year));
  return enqueueExpand(workspaceId, nicheId, ways.includes('letters'));
}

/** Goes on with what was canceled or failed: suggestions that were not all asked for are asked for again. */
export async function resumePhrases(workspaceId: string, nicheId: string): Promise<string> {
  await db()
    .update(phrase)
    .set({ state: 'waiting', problem: '' })
    .where(and(ofNiche(workspaceId, nicheId), eq(phrase.state, 'failed')));
  const [last] = await db()
    .select({ state: job.state })
    .from(job)
    .where(and(eq(job.workspaceId, workspaceId), eq(job.key, expandKey(nicheId, true))))
    .orderBy(desc(job.createdAt))
    .limit(1);
  return enqueueExpand(workspaceId, nicheId, last !== undefined && last.state !== 'done');
}

/** Makes phrases keyword candidates, or no longer. @returns their words */
export async function choosePhrases(
  workspaceId: string,
  nicheId: string,
  ids: readonly string[],
  chosen: boolean,
): Promise<string[]> {
  if (ids.length === 0) return [];
  const rows = await db()
    .update(phrase)
    .set({ chosen })
    .where(and(ofNiche(workspaceId, nicheId), among(phrase.id, ids)))
    .returning({ phrase: phrase.phrase });
  return rows.map((row) => row.phrase);
}

/** Takes phrases out of sight, or brings them back with what is known of them. */
export async function removePhrases(
  workspaceId: string,
  nicheId: string,
  ids: readonly string[],
  removed: boolean,
): Promise<void> {
  await db()
    .update(phrase)
    .set({ removed })
    .where(and(ofNiche(workspaceId, nicheId), among(phrase.id, ids)));
}

/** Brings the publisher's own phrases, with the numbers they have; the others are looked up when asked for. */
export async function addOwnPhrases(
  workspaceId: string,
  nicheId: string,
  rows: readonly OwnPhrase[],
): Promise<void> {
  await addPhrases(
    workspaceId,
    nicheId,
    rows.map((row) => ({ ...row, way: 'own' as const })),
  );
}

/** Phrases of a niche that wait to be asked for, a few at a time. */
export const waitingPhrases = (workspaceId: string, nicheId: string, max: number) =>
  db()
    .select({
      id: phrase.id,
      phrase: phrase.phrase,
      volume: phrase.volume,
      way: phrase.way,
      results: phrase.results,
    })
    .from(phrase)
    .where(and(inSight(workspaceId, nicheId), eq(phrase.state, 'waiting')))
    .orderBy(asc(phrase.phrase))
    .limit(max);

export async function countPhrases(
  workspaceId: string,
  nicheId: string,
): Promise<{ all: number; waiting: number }> {
  const [row] = await db()
    .select({
      all: count(),
      waiting: raw<number>`count(*) filter (where ${phrase.state} = 'waiting')`.mapWith(Number),
    })
    .from(phrase)
    .where(inSight(workspaceId, nicheId));
  return row!;
}

/** Notes what the marketplace answered to a phrase, with what the sums say of it. */
export async function notePhrase(
  { id, volume, way, results: own }: Pick<PhraseRow, 'id' | 'volume' | 'way' | 'results'>,
  answer: MarketAnswer,
  curve: SalesCurve,
  assumptions: NicheAssumptions,
): Promise<void> {
  const books = answer.comparables.map((book) => estimate(book, curve));
  // A count that the publisher brought with the phrase stays.
  const results = (way === 'own' ? own : null) ?? answer.results;
  const { word, outlook, demand, sellers } = judge(
    { ...lookedOnce({ ...answer, results }, volume, curve), comparables: books },
    assumptions,
  );
  const prices = bestSellers(books, TOP).flatMap(({ price }) => (price === null ? [] : [price]));
  await db()
    .update(phrase)
    .set({
      state: 'done',
      problem: '',
      volume,
      results,
      demand,
      sellers,
      price: prices.length ? median(prices) : null,
      word,
      earnings: outlook?.books ? outlook.mean : null,
      day: answer.day,
    })
    .where(eq(phrase.id, id));
}

export async function notePhraseFailed(id: string, problem: string): Promise<void> {
  await db().update(phrase).set({ state: 'failed', problem }).where(eq(phrase.id, id));
}
