import { and, desc, eq } from 'drizzle-orm';
import same from 'fast-deep-equal';
import { changedLabels, type LabelChange } from '#core/labels.ts';
import {
  type Confidence,
  HOME_MARKET,
  type NicheNotes,
  type NicheStatus,
  type VerdictWord,
} from '#core/niche/index.ts';
import { among, db, sql } from '../db/client.ts';
import { notice } from '../db/niche-schema.ts';
import { niche } from '../db/schema.ts';
import { newId } from '../ids.ts';

export interface OpenedNiche {
  id: string;
  phrase: string;
  /** Id of the market it is looked at in. */
  market: string;
  watched: boolean;
}

export interface NicheRow extends OpenedNiche, NicheNotes {
  /** The latest look; null before the first. */
  latest: {
    day: string;
    results: number;
    demand: number;
    word: VerdictWord;
    searches: number | null;
    confidence: Confidence | null;
    earnings: { low: number; mean: number; high: number } | null;
    best: string[];
  } | null;
  /** Monthly copies of the best sellers on the days of the looks, oldest first. */
  spark: number[];
  unseen: number;
}

const SPARK = 30;

/** Niches that are listed. */
export const MOST_NICHES = 2000;

/** The niches of a workspace, the one looked at last first. */
export async function listNiches(workspaceId: string, max = MOST_NICHES): Promise<NicheRow[]> {
  const rows = await sql()<(Omit<NicheRow, 'spark'> & { spark: number[] | null })[]>`
    select n.id, n.phrase, n.market, n.status, n.labels, n.notes, n.watched, l.latest, s.spark,
      (select count(*)::int from notice where notice.niche_id = n.id and not seen) as unseen
    from niche n
    left join lateral (
      select turn, json_build_object('day', day, 'results', results, 'demand', demand, 'word', word, 'searches', searches,
        'confidence', confidence, 'earnings', earnings, 'best', best) as latest
      from look where look.niche_id = n.id and confidence is not null order by turn desc limit 1) l on true
    left join lateral (
      select json_agg(copies order by turn) as spark
      from (select copies, turn from look where look.niche_id = n.id order by turn desc limit ${SPARK}) recent) s on true
    where n.workspace_id = ${workspaceId} and not n.archived
    order by l.turn desc nulls last, n.created_at desc limit ${max}`;
  return rows.map(({ spark, ...row }) => ({ ...row, spark: spark ?? [] }));
}

const mine = (workspaceId: string, id: string) => and(eq(niche.workspaceId, workspaceId), eq(niche.id, id));

export async function openNiche(workspaceId: string, id: string): Promise<OpenedNiche | null> {
  const [row] = await db()
    .select({ id: niche.id, phrase: niche.phrase, market: niche.market, watched: niche.watched })
    .from(niche)
    .where(and(mine(workspaceId, id), eq(niche.archived, false)));
  return row ?? null;
}

/** Keeps a phrase as a niche, or finds the one that is kept. */
export async function keepNiche(
  workspaceId: string,
  phrase: string,
  market: string = HOME_MARKET,
): Promise<string> {
  const tidy = phrase.trim().replace(/\s+/g, ' ').toLowerCase();
  const [row] = await db()
    .insert(niche)
    .values({ id: newId(), workspaceId, phrase: tidy, market })
    .onConflictDoUpdate({ target: [niche.workspaceId, niche.phrase, niche.market], set: { archived: false } })
    .returning({ id: niche.id });
  return row!.id;
}

/** Lets niches go, or brings them back. */
export async function archiveNiches(
  workspaceId: string,
  ids: readonly string[],
  archived: boolean,
): Promise<void> {
  await db()
    .update(niche)
    .set({ archived })
    .where(and(eq(niche.workspaceId, workspaceId), among(niche.id, ids)));
}

/** Sets how far niches have come. @param statuses by id */
export async function setStatuses(
  workspaceId: string,
  statuses: Readonly<Record<string, NicheStatus>>,
): Promise<void> {
  await sql()`
    update niche set status = given.status
    from jsonb_to_recordset(${JSON.stringify(Object.entries(statuses).map(([id, status]) => ({ id, status })))}::text::jsonb)
      as given(id text, status text)
    where niche.id = given.id and niche.workspace_id = ${workspaceId}`;
}

/**
 * Saves what is noted of a niche.
 * @param from what the change began from; another tab's work since then is not overwritten
 * @returns whether it was saved, or what is there now; null where there is no such niche
 */
export async function saveNotes(
  workspaceId: string,
  id: string,
  notes: NicheNotes,
  from: NicheNotes,
): Promise<{ saved: true } | { saved: false; now: NicheNotes } | null> {
  return db().transaction(async (tx) => {
    const [now] = await tx
      .select({ status: niche.status, labels: niche.labels, notes: niche.notes })
      .from(niche)
      .where(mine(workspaceId, id))
      .for('update');
    if (!now) return null;
    if (!same(now, from) && !same(now, notes)) return { saved: false, now };
    await tx.update(niche).set(notes).where(mine(workspaceId, id));
    return { saved: true };
  });
}

/** Gives labels to niches and takes others from them. */
export async function labelNiches(
  workspaceId: string,
  ids: readonly string[],
  change: LabelChange,
): Promise<void> {
  await db().transaction(async (tx) => {
    const rows = await tx
      .select({ id: niche.id, labels: niche.labels })
      .from(niche)
      .where(and(eq(niche.workspaceId, workspaceId), among(niche.id, ids)))
      .for('update');
    for (const { id, labels } of rows)
      await tx
        .update(niche)
        .set({ labels: changedLabels(labels, change) })
        .where(eq(niche.id, id));
  });
}

export async function watchNiche(workspaceId: string, id: string, watched: boolean): Promise<void> {
  await db().update(niche).set({ watched }).where(mine(workspaceId, id));
}

/** What changed in a niche and was not seen yet. */
export interface UnseenChanges {
  nicheId: string;
  phrase: string;
  day: string;
  messages: string[];
}

const NOTICES_READ = 300;

/** The changes nobody has seen, by niche and day, the latest first. */
export async function unseenChanges(workspaceId: string): Promise<UnseenChanges[]> {
  const rows = await db()
    .select({ nicheId: notice.nicheId, phrase: niche.phrase, day: notice.day, message: notice.message })
    .from(notice)
    .innerJoin(niche, eq(niche.id, notice.nicheId))
    .where(and(eq(notice.workspaceId, workspaceId), eq(notice.seen, false), eq(niche.archived, false)))
    .orderBy(desc(notice.createdAt), notice.message)
    .limit(NOTICES_READ);
  const changes = new Map<string, UnseenChanges>();
  for (const { message, ...about } of rows) {
    // Moves between two looks belong together; those of another day are another line.
    const key = `${about.nicheId} ${about.day}`;
    const known = changes.get(key);
    if (known) known.messages.push(message);
    else changes.set(key, { ...about, messages: [message] });
  }
  return [...changes.values()];
}

/** Takes the notices of a niche off the Desk, or all of them. */
export async function markSeen(workspaceId: string, nicheId: string | 'all'): Promise<void> {
  await db()
    .update(notice)
    .set({ seen: true })
    .where(
      and(eq(notice.workspaceId, workspaceId), nicheId === 'all' ? undefined : eq(notice.nicheId, nicheId)),
    );
}
