import { and, asc, eq } from 'drizzle-orm';
import same from 'fast-deep-equal';
import * as v from 'valibot';
import {
  AssumptionsSchema,
  curveFrom,
  DEFAULT_ASSUMPTIONS,
  HOME_MARKET,
  type NicheAssumptions,
  type SalesCurve,
  type SalesPair,
} from '#core/niche/index.ts';
import { db } from '../db/client.ts';
import { nicheAssumptions, salesPair } from '../db/niche-schema.ts';
import { newId } from '../ids.ts';

/** Pairs a market may have. */
export const MOST_PAIRS = 2000;

/** What the workspace decided about the sums. Numbers that are no longer possible fall back to the defaults. */
export async function assumptionsOf(workspaceId: string): Promise<NicheAssumptions> {
  const [row] = await db()
    .select({ assumptions: nicheAssumptions.assumptions })
    .from(nicheAssumptions)
    .where(eq(nicheAssumptions.workspaceId, workspaceId));
  const read = v.safeParse(AssumptionsSchema, row?.assumptions ?? {});
  return read.success ? read.output : DEFAULT_ASSUMPTIONS;
}

/**
 * Saves the assumptions.
 * @param from what the change began from; another tab's work since then is not overwritten. Left out, all is
 * @returns what there was before, or what is there now where another tab changed it
 */
export async function saveAssumptions(
  workspaceId: string,
  assumptions: NicheAssumptions,
  from?: NicheAssumptions,
): Promise<{ saved: true; before: NicheAssumptions } | { saved: false; now: NicheAssumptions }> {
  const now = await assumptionsOf(workspaceId);
  if (from && !same(now, from) && !same(now, assumptions)) return { saved: false, now };
  await db()
    .insert(nicheAssumptions)
    .values({ workspaceId, assumptions })
    .onConflictDoUpdate({ target: nicheAssumptions.workspaceId, set: { assumptions } });
  return { saved: true, before: now };
}

export interface KeptPair extends SalesPair {
  id: string;
}

export const pairsOf = (workspaceId: string, market = HOME_MARKET): Promise<KeptPair[]> =>
  db()
    .select({ id: salesPair.id, rank: salesPair.rank, copies: salesPair.copies })
    .from(salesPair)
    .where(and(eq(salesPair.workspaceId, workspaceId), eq(salesPair.market, market)))
    .orderBy(asc(salesPair.rank))
    .limit(MOST_PAIRS);

export async function addPairs(
  workspaceId: string,
  market: string,
  pairs: readonly SalesPair[],
): Promise<void> {
  if (pairs.length)
    await db()
      .insert(salesPair)
      .values(pairs.map(({ rank, copies }) => ({ id: newId(), workspaceId, market, rank, copies })));
}

export async function dropPair(workspaceId: string, id: string): Promise<void> {
  await db()
    .delete(salesPair)
    .where(and(eq(salesPair.workspaceId, workspaceId), eq(salesPair.id, id)));
}

/** The workspace's curve of sales by rank in a market: its own where it has pairs enough, otherwise the default. */
export const curveOf = async (workspaceId: string, market: string): Promise<SalesCurve> =>
  curveFrom(await pairsOf(workspaceId, market), market);
