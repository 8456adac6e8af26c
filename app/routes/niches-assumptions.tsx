import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import * as v from 'valibot';
import { HOME_MARKET, researchMarkets } from '#core/niche/index.ts';
import { readTyped, salesTable } from '#core/niche/own/index.ts';
import { addPairs, assumptionsOf, dropPair, pairsOf } from '#server/niches/assumptions.ts';
import { recalculateAll } from '#server/niches/looks.ts';
import { AssumptionsForm } from '../niche/assumptions-form.tsx';
import { Calibration } from '../niche/calibration.tsx';
import { formFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niches-assumptions.ts';

const short = v.pipe(v.string(), v.trim(), v.maxLength(30));
const Intent = v.variant('intent', [
  v.object({ intent: v.literal('add pair'), rank: short, copies: short }),
  v.object({ intent: v.literal('remove pair'), id: v.pipe(v.string(), v.regex(/^\w{1,64}$/)) }),
]);

export const meta = () => [{ title: 'Assumptions – Restless Quill' }];

/** Every market has a curve of its own, which the niches of that market follow. */
const marketIn = (request: Request): string => {
  const asked = new URL(request.url).searchParams.get('market');
  return researchMarkets().find(({ id }) => id === asked)?.id ?? HOME_MARKET;
};

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const market = marketIn(request);
  const [assumptions, pairs] = await Promise.all([assumptionsOf(workspaceId), pairsOf(workspaceId, market)]);
  return { assumptions, pairs, market };
}

export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const read = await formFrom(request, Intent);
  if (!read.success) return { problem: read.issues[0].message };
  if (read.output.intent === 'remove pair') await dropPair(workspaceId, read.output.id);
  else {
    const { rank, copies } = read.output;
    const pair = readTyped(salesTable, { rank, copies });
    if ('problems' in pair) return { problem: pair.problems.map(({ reason }) => reason).join(' ') };
    await addPairs(workspaceId, marketIn(request), [pair.value]);
  }
  await recalculateAll(workspaceId, marketIn(request));
  return { problem: null };
}

/** What the sums rest on, all of it the publisher's to change: the curve of sales, thresholds, weights, lists. */
export default function Sums({ loaderData }: Route.ComponentProps) {
  return (
    <Box sx={{ p: 6, maxWidth: 1240, mx: 'auto' }}>
      <Typography variant="h1" sx={{ mb: 3 }}>
        Assumptions
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)',
          gap: 7,
          alignItems: 'start',
        }}
      >
        <Calibration {...loaderData} />
        <AssumptionsForm saved={loaderData.assumptions} />
      </Box>
    </Box>
  );
}
