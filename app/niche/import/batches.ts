import { post } from '../post.ts';

/** Rows the server takes in one request. */
export const OWN_ROWS_IN_A_LOT = 5000;

/**
 * Hands rows on in batches, two at once, one being read while the other is stored; the last goes by itself, when all
 * others are in.
 * @param send hands one batch on; told whether it is the last
 * @param stopped asked before each batch; batches already under way are finished
 * @param onDone told how many rows are in
 * @returns how many rows are in
 * @throws what `send` throws, when both lanes have come to rest
 */
export async function inBatches<Row>(
  rows: readonly Row[],
  size: number,
  send: (batch: readonly Row[], last: boolean) => Promise<unknown>,
  { stopped = () => false, onDone }: { stopped?: () => boolean; onDone?: (done: number) => void } = {},
): Promise<number> {
  let done = 0;
  const hand = async (from: number, last: boolean) => {
    const batch = rows.slice(from, from + size);
    await send(batch, last);
    done += batch.length;
    onDone?.(done);
  };
  const starts = Array.from({ length: Math.ceil(rows.length / size) }, (_, i) => i * size);
  const final = starts.pop();
  if (final === undefined) return 0;
  const lane = async () => {
    for (let from = starts.shift(); from !== undefined && !stopped(); from = starts.shift()) {
      try {
        await hand(from, false);
      } catch (error) {
        starts.length = 0;
        throw error;
      }
    }
  };
  const lanes = await Promise.allSettled([lane(), lane()]);
  for (const ended of lanes) if (ended.status === 'rejected') throw ended.reason;
  if (!stopped()) await hand(final, true);
  return done;
}

/** Stores rows of the publisher's own in batches. The last makes the server reckon anew. */
export const importRows = (
  path: string,
  about: Record<string, unknown>,
  rows: readonly unknown[],
  control: Parameters<typeof inBatches>[3] = {},
): Promise<number> =>
  inBatches(rows, OWN_ROWS_IN_A_LOT, (batch, last) => post(path, { ...about, rows: batch, last }), control);
