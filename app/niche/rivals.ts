import { type Rival, readRivals, type SalesCurve } from '#core/niche/index.ts';

/** The rivals of a niche as lines of text: all of them, and the top of the table, which is there sooner. */
interface Asked {
  all: Promise<Response>;
  first: Promise<Response>;
}

function ask(nicheId: string, signal?: AbortSignal): Asked {
  const get = (query: string) => fetch(`/niches/${nicheId}/rivals.tsv${query}`, signal ? { signal } : {});
  // The first are asked for first: they must not wait for the others.
  return { first: get('?first'), all: get('') };
}

let begun: (Asked & { nicheId: string }) | null = null;

/** Begins to ask for the rivals of a niche that is about to be shown. */
export function beginRivals(nicheId: string): void {
  begun = { nicheId, ...ask(nicheId) };
  // Who takes the answer hears of a failure; nobody may.
  begun.all.catch(() => {});
  begun.first.catch(() => {});
}

/**
 * Asks for all rivals of a niche that count now, or takes the answer that was begun for it.
 * @param onFirst is given the top of the table where it comes well before the rest
 */
export async function fetchRivals(
  nicheId: string,
  curve: SalesCurve,
  signal: AbortSignal,
  onFirst: (rivals: Rival[]) => void,
): Promise<Rival[]> {
  const asked = begun?.nicheId === nicheId ? begun : ask(nicheId, signal);
  begun = null;
  let over = false;
  const first = async () => {
    const response = await asked.first;
    const text = response.ok && !response.redirected ? await response.text() : '';
    if (text && !over && !signal.aborted) onFirst(readRivals(text, curve));
  };
  // A failure is told by the request for all.
  first().catch(() => {});
  try {
    const response = await asked.all;
    signal.throwIfAborted();
    if (!response.ok || response.redirected) throw new Error('The rivals could not be loaded.');
    return readRivals(await response.text(), curve);
  } finally {
    over = true;
  }
}
