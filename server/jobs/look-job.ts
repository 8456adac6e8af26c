import { isLostConnection } from '../db/client.ts';
import { takeLook } from '../niches/looks.ts';
import { openNiche } from '../niches/niches.ts';
import { withRetries } from '../services/patience.ts';
import { type ClaimedJob, finish, progressOf } from './running-job.ts';

/** A look that the marketplace did not answer at once: tried again with patience. */
export async function lookJob(row: ClaimedJob): Promise<void> {
  const niche = row.nicheId ? await openNiche(row.workspaceId, row.nicheId) : null;
  if (!niche) {
    await finish(row, 'failed', 'The niche no longer exists.');
    return;
  }
  let canceled = false;
  const tell = progressOf(row, () => {
    canceled = true;
  });
  row.of = 1;
  tell(0, 1, `“${niche.phrase}”`);
  try {
    await withRetries(
      async () => {
        if (!canceled) await takeLook(row.workspaceId, niche);
      },
      (told) => tell(0, 1, told),
    );
    await finish(row, 'done', `Looked at “${niche.phrase}”.`);
  } catch (error) {
    if (isLostConnection(error)) throw error;
    await finish(row, 'failed', `“${niche.phrase}”: ${(error as Error).message}`);
  }
}
