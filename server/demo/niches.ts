import { eq } from 'drizzle-orm';
import { copiesAMonth, HOME_MARKET } from '#core/niche/index.ts';
import { db } from '../db/client.ts';
import { salesPair } from '../db/niche-schema.ts';
import { addPairs } from '../niches/assumptions.ts';
import { takeLook } from '../niches/looks.ts';
import { keepNiche, labelNiches, listNiches, setStatuses, watchNiche } from '../niches/niches.ts';
import { expandNiche } from '../niches/phrases.ts';
import { settings } from '../settings.ts';

const PHRASES = ['night sky journal', 'gardening planner', 'beekeeping word search'];
/** Days before today on which the demo's niches were looked at. */
const LOOKED_AGO = [56, 42, 28, 19, 12, 6, 0];

/** Sets the stand-in's calendar; a real service has none to set, and is then looked at once. */
async function setDay(day: string): Promise<boolean> {
  const answer = await fetch(new URL('/clock', settings().WRENFAIR_URL), {
    method: 'PUT',
    body: JSON.stringify({ day }),
  });
  return answer.ok;
}

const daysBefore = (day: string, days: number): string =>
  new Date(Date.parse(day) - days * 86_400_000).toISOString().slice(0, 10);

/** What Tin Lantern Press has sold at which rank: near the usual curve, with one month that went otherwise. */
const SOLD = [4200, 9100, 15_400, 22_800, 41_000, 63_000, 98_000, 145_000].map((rank, i) => ({
  rank,
  copies: Math.max(1, Math.round(copiesAMonth(rank) * (i === 5 ? 4.5 : 0.75 + ((i * 37) % 50) / 100))),
}));

/**
 * Niches with looks over some weeks, phrases to look up, and own sales. What is there already stays.
 * @param expanded whether one is expanded to phrases, which are then looked up for most of a minute
 */
export async function seedNiches(workspaceId: string, { expanded = true } = {}): Promise<void> {
  if ((await listNiches(workspaceId)).length) return;
  const [sold] = await db()
    .select({ id: salesPair.id })
    .from(salesPair)
    .where(eq(salesPair.workspaceId, workspaceId))
    .limit(1);
  if (!sold) await addPairs(workspaceId, HOME_MARKET, SOLD);
  const clock = await fetch(new URL('/clock', settings().WRENFAIR_URL));
  const today = clock.ok ? ((await clock.json()) as { day: string }).day : null;
  const ids: string[] = [];
  for (const phrase of PHRASES) ids.push(await keepNiche(workspaceId, phrase));
  const beekeeping = ids.at(-1)!;
  await watchNiche(workspaceId, beekeeping, true);
  await setStatuses(workspaceId, { [beekeeping]: 'making', [ids[1]!]: 'researching' });
  await labelNiches(workspaceId, [ids[1]!], { add: ['spring'], remove: [] });
  try {
    for (const ago of today ? LOOKED_AGO : [0]) {
      if (today && !(await setDay(daysBefore(today, ago)))) continue;
      for (const [i, phrase] of PHRASES.entries())
        await takeLook(workspaceId, { id: ids[i]!, phrase, market: HOME_MARKET });
    }
  } finally {
    if (today) await setDay(today);
  }
  if (!expanded) return;
  await expandNiche(
    workspaceId,
    beekeeping,
    PHRASES.at(-1)!,
    ['audience', 'format', 'kind', 'combined'],
    2026,
  );
}
