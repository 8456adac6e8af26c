import { and, count, desc, eq, inArray, sql as raw } from 'drizzle-orm';
import { formatting } from '#core/formats.ts';
import {
  bestSellers,
  type Change,
  changesBetween,
  changesOfRivals,
  copiesAMonth,
  estimate,
  judge,
  type LookSummary,
  lookedAt,
  marketOf,
  type SalesCurve,
  TOP,
} from '#core/niche/index.ts';
import { db, sql } from '../db/client.ts';
import { look, notice, rival, sighting } from '../db/niche-schema.ts';
import { niche } from '../db/schema.ts';
import { formatsOf } from '../formats.ts';
import { newId } from '../ids.ts';
import { enqueueJob, QUEUES, queue } from '../jobs/queue.ts';
import type { MarketAnswer } from '../services/marketplace.ts';
import { TransientServiceError } from '../services/printing-service.ts';
import { wrenfair } from '../services/wrenfair.ts';
import { assumptionsOf, curveOf } from './assumptions.ts';
import { briefsOrDraft } from './briefs.ts';
import type { OpenedNiche } from './niches.ts';
import { countedRivals, putRivals } from './rivals.ts';

/** Comparables taken in at one look, and for each phrase that a niche is expanded to: both give the same verdict. */
export const COMPARABLES_PER_LOOK = 60;
/** Best sellers whose covers stand for the niche. */
const FACES = 3;
/** Suggestions asked for, to hear how often the phrase itself is typed. */
const SUGGESTIONS = 20;
const LOOKS_SHOWN = 400;

export type LookRow = typeof look.$inferSelect;

/** Seconds somebody waits for a look before it goes on in the background. */
const AT_ONCE_SECONDS = 1.5;

/** A niche, as far as a look asks for it. */
export type LookedAtNiche = Pick<OpenedNiche, 'id' | 'phrase' | 'market'>;

/** Asks the marketplace for a niche's phrase and keeps the answer. @throws TransientServiceError, ServiceRefusal */
export async function takeLook(
  workspaceId: string,
  { id: nicheId, phrase, market }: LookedAtNiche,
  seconds?: number,
): Promise<void> {
  const [answer, suggested] = await Promise.all([
    wrenfair.search(market, phrase, COMPARABLES_PER_LOOK, seconds),
    wrenfair.suggest(market, phrase, SUGGESTIONS, seconds),
  ]);
  const searches = suggested.find((one) => one.phrase === phrase.toLowerCase())?.volume ?? null;
  await keepLook(workspaceId, nicheId, answer, searches);
  await briefsOrDraft(workspaceId, { id: nicheId, phrase, market });
}

/**
 * Looks while somebody waits. When the marketplace is slow, busy or breaks off, the look becomes a job that goes on
 * with patience. @throws ServiceRefusal
 */
export async function lookNow(workspaceId: string, niche: LookedAtNiche): Promise<void> {
  try {
    await takeLook(workspaceId, niche, AT_ONCE_SECONDS);
  } catch (error) {
    if (!(error instanceof TransientServiceError)) throw error;
    await lookLater(workspaceId, niche.id);
  }
}

export const lookLater = (workspaceId: string, nicheId: string): Promise<string> =>
  enqueueJob(workspaceId, { nicheId }, 'look', {}, { key: `${nicheId} look` });

/** Keeps an answer with its day: a look of its own, the rivals as they are now, and the changes that matter. */
async function keepLook(
  workspaceId: string,
  nicheId: string,
  answer: MarketAnswer,
  searches: number | null,
): Promise<void> {
  const id = newId();
  const once = [...new Map(answer.comparables.map((book) => [book.id, book])).values()];
  await db().transaction(async (tx) => {
    // Two looks at once come one after the other.
    await tx.execute(raw`select pg_advisory_xact_lock(hashtext(${nicheId}))`);
    await tx
      .update(rival)
      .set({ current: false })
      .where(and(eq(rival.workspaceId, workspaceId), eq(rival.nicheId, nicheId), eq(rival.source, 'market')));
    await putRivals(tx, workspaceId, nicheId, once, 'market');
    await tx.insert(look).values({
      id,
      workspaceId,
      nicheId,
      day: answer.day,
      results: answer.results,
      categories: answer.categories,
      unread: answer.unread,
      // Worked out below, from what counts.
      demand: 0,
      sellers: 0,
      word: 'no demand',
      searches,
      best: [],
    });
    if (once.length)
      await tx.insert(sighting).values(
        once.map(({ id: rivalId, title, rank, price, reviews }, place) => ({
          workspaceId,
          lookId: id,
          rivalId,
          place: place + 1,
          title,
          rank,
          price,
          reviews,
        })),
      );
  });
  await recalculateNiche(workspaceId, nicheId);
  await tellChanges(workspaceId, nicheId);
}

/** With more rivals than this, sums are worked out by the worker: a request must not hold up those of others. */
const RECALCULATED_AT_ONCE = 2000;

/** Works the sums of a niche out again when rivals were marked or brought in: at once, or soon where there are many. */
export async function recalculateSoon(workspaceId: string, nicheId: string): Promise<void> {
  const [row] = await db()
    .select({ n: count() })
    .from(rival)
    .where(and(eq(rival.workspaceId, workspaceId), eq(rival.nicheId, nicheId)));
  if (row!.n <= RECALCULATED_AT_ONCE) await recalculateNiche(workspaceId, nicheId);
  else await (await queue()).send(QUEUES.recalculate, { workspaceId, nicheId }, { singletonKey: nicheId });
}

export async function recalculateNiche(workspaceId: string, nicheId: string): Promise<void> {
  const [row] = await db()
    .select({ market: niche.market })
    .from(niche)
    .where(and(eq(niche.workspaceId, workspaceId), eq(niche.id, nicheId)));
  if (!row) return;
  const curve = await curveOf(workspaceId, row.market);
  await keepOwnLook(workspaceId, nicheId);
  await recalculateCopies(workspaceId, nicheId, curve);
  await recalculateVerdict(workspaceId, nicheId, curve);
}

/**
 * Own rows can be judged without the marketplace: until it has answered, they are a look of their own, whose result count
 * is theirs.
 */
async function keepOwnLook(workspaceId: string, nicheId: string): Promise<void> {
  await db().transaction(async (tx) => {
    await tx.execute(raw`select pg_advisory_xact_lock(hashtext(${nicheId}))`);
    const [latest] = await tx
      .select({ id: look.id, source: look.source })
      .from(look)
      .where(and(eq(look.workspaceId, workspaceId), eq(look.nicheId, nicheId)))
      .orderBy(desc(look.turn))
      .limit(1);
    if (latest?.source === 'market') return;
    const [own] = await tx
      .select({ n: count() })
      .from(rival)
      .where(and(eq(rival.workspaceId, workspaceId), eq(rival.nicheId, nicheId), eq(rival.source, 'own')));
    const results = own!.n;
    const day = new Date().toISOString().slice(0, 10);
    if (latest) await tx.update(look).set({ results, day }).where(eq(look.id, latest.id));
    else if (results)
      await tx.insert(look).values({
        id: newId(),
        workspaceId,
        nicheId,
        day,
        source: 'own',
        results,
        categories: [],
        // Worked out below, from what counts.
        demand: 0,
        sellers: 0,
        word: 'no demand',
        best: [],
      });
  });
}

/** Works the latest look's verdict out again: own rows count in it too. */
async function recalculateVerdict(workspaceId: string, nicheId: string, curve: SalesCurve): Promise<void> {
  const looks = await looksAt(workspaceId, nicheId);
  const latest = looks.at(-1);
  if (!latest) return;
  const [assumptions, rivals] = await Promise.all([
    assumptionsOf(workspaceId),
    countedRivals(workspaceId, nicheId),
  ]);
  const estimated = rivals.map((row) => ({ ...estimate(row, curve), source: row.source }));
  const { word, outlook, confidence, demand, sellers } = judge(
    { ...lookedAt(looks, curve, latest.day), comparables: estimated },
    assumptions,
  );
  await db()
    .update(look)
    .set({
      word,
      confidence: confidence.level,
      demand,
      sellers,
      earnings: outlook?.books ? { low: outlook.low, mean: outlook.mean, high: outlook.high } : null,
      // Only the marketplace has covers to show.
      best: bestSellers(
        estimated.filter(({ source }) => source === 'market'),
        FACES,
      ).map(({ id }) => id),
    })
    .where(and(eq(look.workspaceId, workspaceId), eq(look.id, latest.id)));
}

/**
 * Works the copies of all looks at a niche out again, so that a line over time is drawn by one curve: those of the best
 * sellers of each day, without the ones that are left out now.
 */
async function recalculateCopies(workspaceId: string, nicheId: string, curve: SalesCurve): Promise<void> {
  const rows = await sql()<{ look_id: string; ranks: number[] }[]>`
    select s.look_id, (array_agg(s.rank order by s.rank))[1:${TOP}] as ranks
    from sighting s join look l on l.id = s.look_id
    left join rival r on r.niche_id = l.niche_id and r.id = s.rival_id
    where l.workspace_id = ${workspaceId} and l.niche_id = ${nicheId} and s.rank is not null
      and not coalesce(r.not_comparable, false)
    group by s.look_id`;
  const seen = rows.map(({ look_id, ranks }) => ({
    id: look_id,
    copies: ranks.reduce((sum, rank) => sum + copiesAMonth(rank, curve), 0),
  }));
  if (seen.length)
    await db().execute(raw`update look set copies = given.copies
      from jsonb_to_recordset(${JSON.stringify(seen)}::jsonb) as given(id text, copies float8)
      where look.id = given.id and look.workspace_id = ${workspaceId}`);
}

/** Judges the niches whose latest look an earlier program judged, and so without a confidence. */
export async function judgeUnjudged(): Promise<void> {
  const niches = await sql()<{ workspace_id: string; niche_id: string }[]>`
    select workspace_id, niche_id from (
      select distinct on (niche_id) workspace_id, niche_id, confidence from look order by niche_id, turn desc
    ) latest where confidence is null`;
  for (const { workspace_id, niche_id } of niches) await recalculateNiche(workspace_id, niche_id);
}

/**
 * Works the niches of a workspace out again, one after the other: the assumptions changed, or the curve of a market.
 * @param market only those of one market
 */
export async function recalculateAll(workspaceId: string, market?: string): Promise<void> {
  const niches = await db()
    .select({ id: niche.id })
    .from(niche)
    .where(
      and(
        eq(niche.workspaceId, workspaceId),
        eq(niche.archived, false),
        market === undefined ? undefined : eq(niche.market, market),
      ),
    );
  for (const { id } of niches) await recalculateSoon(workspaceId, id);
}

const latestLooks = (workspaceId: string, nicheId: string, max: number): Promise<LookRow[]> =>
  db()
    .select()
    .from(look)
    .where(and(eq(look.workspaceId, workspaceId), eq(look.nicheId, nicheId)))
    .orderBy(desc(look.turn))
    .limit(max);

/** All looks at a niche, oldest first. */
export const looksAt = async (workspaceId: string, nicheId: string): Promise<LookRow[]> =>
  (await latestLooks(workspaceId, nicheId, LOOKS_SHOWN)).reverse();

async function summaryOf(workspaceId: string, row: LookRow): Promise<LookSummary> {
  const rivals = await db()
    .select({ id: sighting.rivalId, title: sighting.title, price: sighting.price, rank: sighting.rank })
    .from(sighting)
    .where(and(eq(sighting.workspaceId, workspaceId), eq(sighting.lookId, row.id)))
    .orderBy(sighting.place);
  return { day: row.day, results: row.results, demand: row.copies, rivals };
}

export interface Moves {
  since: string;
  resultsBefore: number;
  copiesBefore: number;
  changes: Change[];
  /** Rank at the look before, by rival. */
  ranksBefore: Record<string, number>;
  /** Reviews gained in 30 days, by rival, as the looks of the last months tell. */
  reviewsGained: Record<string, number>;
}

/** Reviews come slowly: gains are told from looks so many days back. */
const REVIEWS_OF_DAYS = 120;

async function reviewsGained(workspaceId: string, nicheId: string): Promise<Record<string, number>> {
  const rows = await sql()<{ rival_id: string; gained: number }[]>`
    select s.rival_id, 30.0 * ((array_agg(s.reviews order by l.turn desc))[1] - (array_agg(s.reviews order by l.turn))[1])
      / (max(l.day::date) - min(l.day::date)) as gained
    from sighting s join look l on l.id = s.look_id
    where l.workspace_id = ${workspaceId} and l.niche_id = ${nicheId} and s.reviews is not null
      and l.day::date >= (select max(day)::date from look where look.niche_id = ${nicheId}) - ${REVIEWS_OF_DAYS}::int
    group by s.rival_id having max(l.day::date) > min(l.day::date)`;
  return Object.fromEntries(rows.map(({ rival_id, gained }) => [rival_id, Number(gained)]));
}

/** What moved between the last two looks of different days; null after a single one. */
export async function movesOf(workspaceId: string, nicheId: string, market: string): Promise<Moves | null> {
  const looks = (await latestLooks(workspaceId, nicheId, 60)).filter(({ source }) => source === 'market');
  const [latest] = looks;
  const earlier = latest && looks.find(({ day }) => day < latest.day);
  if (!latest || !earlier) return null;
  const [before, after, watched, gained] = await Promise.all([
    summaryOf(workspaceId, earlier),
    summaryOf(workspaceId, latest),
    watchedRivals(workspaceId, nicheId),
    reviewsGained(workspaceId, nicheId),
  ]);
  return {
    reviewsGained: gained,
    since: earlier.day,
    resultsBefore: earlier.results,
    copiesBefore: earlier.copies,
    changes: [
      ...changesBetween(before, after, formatting(await formatsOf(workspaceId))),
      ...changesOfRivals(before, after, watched, marketOf(market).currency),
    ],
    ranksBefore: Object.fromEntries(before.rivals.flatMap(({ id, rank }) => (rank ? [[id, rank]] : []))),
  };
}

async function watchedRivals(workspaceId: string, nicheId: string): Promise<Set<string>> {
  const rows = await db()
    .select({ id: rival.id })
    .from(rival)
    .where(and(eq(rival.workspaceId, workspaceId), eq(rival.nicheId, nicheId), eq(rival.watched, true)));
  return new Set(rows.map(({ id }) => id));
}

/** Puts what changed on the Desk, for niches and rivals that are under watch. */
async function tellChanges(workspaceId: string, nicheId: string): Promise<void> {
  const [row] = await db()
    .select({ watched: niche.watched, market: niche.market })
    .from(niche)
    .where(and(eq(niche.workspaceId, workspaceId), eq(niche.id, nicheId)));
  const watched = await watchedRivals(workspaceId, nicheId);
  if (!row || (!row.watched && watched.size === 0)) return;
  const moves = await movesOf(workspaceId, nicheId, row.market);
  const [latest] = await latestLooks(workspaceId, nicheId, 1);
  if (!moves || !latest) return;
  const [told] = await db()
    .select({ id: notice.id })
    .from(notice)
    .where(and(eq(notice.workspaceId, workspaceId), eq(notice.nicheId, nicheId), eq(notice.day, latest.day)))
    .limit(1);
  // A second look on the same day has nothing new to say.
  if (told) return;
  const changes = moves.changes.filter(({ kind }) => row.watched || kind.startsWith('rival'));
  if (changes.length)
    await db()
      .insert(notice)
      .values(
        changes.slice(0, TOP).map(({ kind, message }) => ({
          id: newId(),
          workspaceId,
          nicheId,
          day: latest.day,
          kind,
          message,
        })),
      );
}

/** Rank and price of some rivals over all looks at a niche: lines over time. */
export async function linesOf(
  workspaceId: string,
  nicheId: string,
  ids: readonly string[],
): Promise<{ id: string; title: string; day: string; rank: number | null; price: number | null }[]> {
  if (ids.length === 0) return [];
  return db()
    .select({
      id: sighting.rivalId,
      title: sighting.title,
      day: look.day,
      rank: sighting.rank,
      price: sighting.price,
    })
    .from(sighting)
    .innerJoin(look, eq(look.id, sighting.lookId))
    .where(
      and(
        eq(look.workspaceId, workspaceId),
        eq(look.nicheId, nicheId),
        inArray(sighting.rivalId, ids as string[]),
      ),
    )
    .orderBy(look.turn);
}
