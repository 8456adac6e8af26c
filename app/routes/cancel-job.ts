import { cancelJob } from '#server/jobs/queue.ts';
import { idFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/cancel-job.ts';

export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  return { canceled: await cancelJob(workspaceId, idFrom(params.job)) };
}
