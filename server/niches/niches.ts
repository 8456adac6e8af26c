import { and, desc, eq } from 'drizzle-orm';
import type { Confidence, VerdictWord } from '#core/niche/index.ts';
import { among, db, sql } from '../db/client.ts';
import { notice } from '../db/niche-schema.ts';
import { niche } from '../db/schema.ts';
import { newId } from '../ids.ts';

export interface OpenedNiche {
  id: string;
  phrase: string;
  watched: boolean;
}

export interface NicheRow extends OpenedNiche {
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
  /** Demand of the looks, oldest first. */
  spark: number[];
  unseen: number;
}

const SPARK = 30;

/** All niches of a workspace, the one looked at last first. */
export async function listNiches(workspaceId: string, max = 2000): Promise<NicheRow[]> {
  const rows = await sql()<
    (OpenedNiche & { latest: NicheRow['latest']; spark: number[] | null; unseen: number })[]
  >`
    select n.id, n.phrase, n.watched, l.latest, s.spark,
      (select count(*)::int from notice where notice.niche_id = n.id and not seen) as unseen
    from niche n
    left join lateral (
      select turn, json_build_object('day', day, 'results', results, 'demand', demand, 'word', word, 'searches', searches,
        'confidence', confidence, 'earnings', earnings, 'best', best) as latest
      from look where look.niche_id = n.id and confidence is not null order by turn desc limit 1) l on true
    left join lateral (
      select json_agg(demand order by turn) as spark
      from (select demand, turn from look where look.niche_id = n.id order by turn desc limit ${SPARK}) recent) s on true
    where n.workspace_id = ${workspaceId} and not n.archived
    order by l.turn desc nulls last, n.created_at desc limit ${max}`;
  return rows.map(({ spark, ...row }) => ({ ...row, spark: spark ?? [] }));
}

const mine = (workspaceId: string, id: string) => and(eq(niche.workspaceId, workspaceId), eq(niche.id, id));

export async function openNiche(workspaceId: string, id: string): Promise<OpenedNiche | null> {
  const [row] = await db()
    .select({ id: niche.id, phrase: niche.phrase, watched: niche.watched })
    .from(niche)
    .where(and(mine(workspaceId, id), eq(niche.archived, false)));
  return row ?? null;
}

/** Keeps a phrase as a niche, or finds the one that is kept. */
export async function keepNiche(workspaceId: string, phrase: string): Promise<string> {
  const tidy = phrase.trim().replace(/\s+/g, ' ').toLowerCase();
  const [row] = await db()
    .insert(niche)
    .values({ id: newId(), workspaceId, phrase: tidy })
    .onConflictDoUpdate({ target: [niche.workspaceId, niche.phrase], set: { archived: false } })
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
