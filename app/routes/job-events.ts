import { jobEvents } from '#server/jobs/events.ts';
import { requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/job-events.ts';

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  return jobEvents(workspaceId, request.signal);
}
