import { type Rival, readRivals, type SalesCurve } from '#core/niche/index.ts';

const ask = (nicheId: string, signal?: AbortSignal): Promise<Response> =>
  fetch(`/niches/${nicheId}/rivals.tsv`, signal ? { signal } : {});

let begun: { nicheId: string; response: Promise<Response> } | null = null;

/** Begins to ask for the rivals of a niche that is about to be shown. */
export function beginRivals(nicheId: string): void {
  begun = { nicheId, response: ask(nicheId) };
  // Who takes the answer hears of a failure; nobody may.
  begun.response.catch(() => {});
}

/** Asks for all rivals of a niche that count now, or takes the answer that was begun for it. */
export async function fetchRivals(nicheId: string, curve: SalesCurve, signal: AbortSignal): Promise<Rival[]> {
  const early = begun?.nicheId === nicheId ? begun.response : null;
  begun = null;
  const response = await (early ?? ask(nicheId, signal));
  signal.throwIfAborted();
  if (!response.ok || response.redirected) throw new Error('The rivals could not be loaded.');
  return readRivals(await response.text(), curve);
}
