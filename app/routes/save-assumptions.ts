import same from 'fast-deep-equal';
import * as v from 'valibot';
import { AssumptionsSchema, type NicheAssumptions } from '#core/niche/index.ts';
import { saveAssumptions } from '#server/niches/assumptions.ts';
import { recalculateAll } from '#server/niches/looks.ts';
import { jsonFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/save-assumptions.ts';

/** What the page had, and what it has now. */
const Change = v.object({ from: AssumptionsSchema, to: AssumptionsSchema });

/** What the verdicts of niches rest on; a country or a list of words changes none. */
const judging = ({ thresholds, newcomer, sellsFrom }: NicheAssumptions) => ({
  thresholds,
  newcomer,
  sellsFrom,
});

export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const { from, to } = await jsonFrom(request, Change);
  const answer = await saveAssumptions(workspaceId, to, from);
  if (!answer.saved) return Response.json(answer.now, { status: 409 });
  if (!same(judging(answer.before), judging(to))) await recalculateAll(workspaceId);
  return Response.json({ saved: true });
}
