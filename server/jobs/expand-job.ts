import PQueue from 'p-queue';
import { suggestionStarts } from '#core/niche/index.ts';
import { assumptionsOf, curveOf } from '../niches/assumptions.ts';
import { COMPARABLES_PER_LOOK } from '../niches/looks.ts';
import { openNiche } from '../niches/niches.ts';
import { addPhrases, countPhrases, notePhrase, notePhraseFailed, waitingPhrases } from '../niches/phrases.ts';
import { withRetries } from '../services/patience.ts';
import { ServiceRefusal, TransientServiceError } from '../services/printing-service.ts';
import { wrenfair } from '../services/wrenfair.ts';
import type { JobPayload } from './payloads.ts';
import { Canceled, type ClaimedJob, finish, progressOf } from './running-job.ts';

/** Requests under way at once. */
const AT_ONCE = 4;
/** Phrases taken from the database at a time. */
const BATCH = 60;
const SUGGESTIONS = 15;

/** Asks rateLimited: no faster than told, and all wait when the marketplace asks one of them to. */
function rateLimited(requestsASecond: number, stopped: () => boolean, tell: (message: string) => void) {
  const queue = new PQueue({
    concurrency: AT_ONCE,
    interval: 1000 / requestsASecond,
    intervalCap: 1,
    carryoverConcurrencyCount: true,
  });
  let rest: ReturnType<typeof setTimeout> | undefined;
  const rested = (told: string, trouble: TransientServiceError) => {
    tell(told);
    if (!trouble.retryAfter) return;
    queue.pause();
    clearTimeout(rest);
    rest = setTimeout(() => queue.start(), trouble.retryAfter * 1000);
  };
  return {
    ask: <T>(request: () => Promise<T>): Promise<T> =>
      queue.add(
        () =>
          withRetries(async () => {
            if (stopped()) throw new Canceled();
            return request();
          }, rested),
        { throwOnTimeout: true },
      ),
    end() {
      clearTimeout(rest);
      queue.clear();
    },
  };
}

/**
 * Asks for every phrase that waits, and first, where it is told so, for suggestions by letters. Each answer is
 * noted at once, so that a canceled or lost job goes on where it was.
 */
export async function expandJob(row: ClaimedJob, { letters }: JobPayload<'expand'>): Promise<void> {
  const { workspaceId } = row;
  const niche = row.nicheId ? await openNiche(workspaceId, row.nicheId) : null;
  if (!niche) {
    await finish(row, 'failed', 'The niche no longer exists.');
    return;
  }
  const [assumptions, curve] = await Promise.all([
    assumptionsOf(workspaceId),
    curveOf(workspaceId, niche.market),
  ]);
  let canceled = false;
  const tell = progressOf(row, () => {
    canceled = true;
  });
  let done = 0;
  const market = rateLimited(
    assumptions.requestsASecond,
    () => canceled,
    (message) => tell(done, row.of, message),
  );
  const searchesOf = async (phrase: string): Promise<number | null> => {
    const found = await market.ask(() => wrenfair.suggest(niche.market, phrase, SUGGESTIONS));
    return found.find((one) => one.phrase === phrase)?.volume ?? null;
  };
  let failed = 0;
  try {
    if (letters) {
      const starts = suggestionStarts(niche.phrase);
      row.of = starts.length + (await countPhrases(workspaceId, niche.id)).waiting;
      await Promise.all(
        starts.map(async (start) => {
          const found = await market.ask(() => wrenfair.suggest(niche.market, start, SUGGESTIONS));
          await addPhrases(
            workspaceId,
            niche.id,
            found.map(({ phrase, volume }) => ({ phrase, volume, way: 'letters' as const })),
          );
          tell(++done, row.of, `Suggestions, ${done} of ${starts.length}`);
        }),
      );
    }
    row.of = done + (await countPhrases(workspaceId, niche.id)).waiting;
    for (;;) {
      const batch = await waitingPhrases(workspaceId, niche.id, BATCH);
      if (batch.length === 0 || canceled) break;
      await Promise.all(
        batch.map(async (waiting) => {
          const { id, phrase } = waiting;
          try {
            // How often it is typed is part of the judgment; suggestions by letters have said it of theirs.
            const [answer, volume] = await Promise.all([
              market.ask(() => wrenfair.search(niche.market, phrase, COMPARABLES_PER_LOOK)),
              waiting.volume ?? searchesOf(phrase),
            ]);
            await notePhrase({ ...waiting, volume }, answer, curve, assumptions);
          } catch (error) {
            if (!(error instanceof TransientServiceError) && !(error instanceof ServiceRefusal)) throw error;
            failed++;
            await notePhraseFailed(id, error.message);
          }
          tell(++done, row.of, `“${phrase}”`);
        }),
      );
    }
    if (canceled) return;
    await finish(
      row,
      'done',
      failed
        ? `${failed} phrases could not be looked up. Resume tries them again.`
        : 'All phrases looked up.',
    );
  } catch (error) {
    if (!(error instanceof Canceled || canceled)) throw error;
  } finally {
    market.end();
  }
}
