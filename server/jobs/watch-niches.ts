import { sql } from '../db/client.ts';
import { wrenfair } from '../services/wrenfair.ts';
import { enqueueJob } from './queue.ts';

/** How often the marketplace's day is asked for. */
export const WATCH_NICHES_SECONDS = 15;

/** Niches under watch, and those with rivals under watch, are looked at once on every day of the marketplace. */
export async function watchNiches(): Promise<void> {
  const day = await wrenfair.day();
  const due = await sql()<{ id: string; workspace_id: string }[]>`
    select n.id, n.workspace_id from niche n
    where not n.archived and (n.watched or exists (select 1 from rival where rival.niche_id = n.id and rival.watched))
      and not exists (select 1 from look where look.niche_id = n.id and look.day >= ${day})
      -- A look that failed is not begun again at once.
      and not exists (select 1 from job where job.niche_id = n.id and job.kind = 'look'
        and job.created_at > now() - interval '10 minutes' and job.key = n.id || ' ' || ${day}::text)`;
  for (const { id, workspace_id } of due)
    await enqueueJob(
      workspace_id,
      { nicheId: id },
      'look',
      {},
      { key: `${id} ${day}`, urgency: 'background' },
    );
}
