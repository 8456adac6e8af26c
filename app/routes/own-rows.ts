import * as v from 'valibot';
import { HOME_MARKET, researchMarkets } from '#core/niche/index.ts';
import { addPairs } from '#server/niches/assumptions.ts';
import { recalculateAll, recalculateSoon } from '#server/niches/looks.ts';
import { openNiche } from '#server/niches/niches.ts';
import { addOwnPhrases, resumePhrases } from '#server/niches/phrases.ts';
import { addOwnRivals } from '#server/niches/rivals.ts';
import { idFrom, jsonFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/own-rows.ts';

/** Rows of one request; larger tables come in lots. */
const LOT = 5000;
const whole = (min: number, max = 2_147_483_647) =>
  v.pipe(v.number(), v.integer(), v.minValue(min), v.maxValue(max));
const side = v.pipe(v.number(), v.minValue(2), v.maxValue(20));
const text = (max: number) => v.pipe(v.string(), v.maxLength(max), v.regex(/^[^\0]*$/));
const Comparable = v.object({
  id: v.pipe(v.string(), v.regex(/^[\w-]{1,64}$/)),
  title: v.pipe(text(400), v.minLength(1)),
  penName: text(200),
  price: v.nullable(v.pipe(v.number(), v.minValue(0), v.maxValue(100_000))),
  trim: v.nullable(v.object({ width: side, height: side })),
  pages: v.nullable(whole(1, 3000)),
  ink: v.picklist(['black', 'color']),
  rank: v.nullable(whole(1)),
  reviews: v.nullable(whole(0)),
  rating: v.nullable(v.pipe(v.number(), v.minValue(1), v.maxValue(5))),
  published: v.nullable(v.pipe(v.string(), v.isoDate())),
  category: text(200),
  hidden: v.exactOptional(v.boolean()),
  notComparable: v.exactOptional(v.boolean()),
  watched: v.exactOptional(v.boolean()),
});
const rows = <S extends v.GenericSchema>(row: S) => v.pipe(v.array(row), v.maxLength(LOT));
const last = v.boolean();
const Body = v.variant('table', [
  v.object({ table: v.literal('comparables'), rows: rows(Comparable), last }),
  v.object({
    table: v.literal('phrases'),
    rows: rows(
      v.object({
        phrase: v.pipe(text(100), v.minLength(1)),
        results: v.nullable(whole(0)),
        volume: v.nullable(whole(0)),
      }),
    ),
    last,
  }),
  v.object({
    table: v.literal('sales'),
    market: v.optional(v.picklist(researchMarkets().map(({ id }) => id)), HOME_MARKET),
    rows: rows(v.object({ rank: whole(1), copies: v.pipe(v.number(), v.minValue(0.01), v.maxValue(1e7)) })),
    last,
  }),
]);

/** Takes a lot of the publisher's own rows: comparables and phrases for a niche, sales for the workspace. */
export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const body = await jsonFrom(request, Body);
  if (body.table === 'sales') {
    await addPairs(workspaceId, body.market, body.rows);
    if (body.last) await recalculateAll(workspaceId, body.market);
    return Response.json({ taken: body.rows.length });
  }
  const niche = await openNiche(workspaceId, idFrom(params.niche));
  if (!niche) throw notFound();
  if (body.table === 'comparables') {
    await addOwnRivals(workspaceId, niche.id, body.rows);
    if (body.last) await recalculateSoon(workspaceId, niche.id);
  } else {
    await addOwnPhrases(workspaceId, niche.id, body.rows);
    if (body.last) await resumePhrases(workspaceId, niche.id);
  }
  return Response.json({ taken: body.rows.length });
}
