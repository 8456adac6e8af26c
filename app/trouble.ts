import { type DataStrategyResult, isRouteErrorResponse, type MiddlewareFunction } from 'react-router';
import { WENT_WRONG } from './went-wrong.ts';

/** What is shown, and what each route was given for it, by the names of the routes. */
interface Shown {
  /** Path and query. */
  address: string;
  given: ReadonlyMap<string, unknown>;
}

let shown: Shown = { address: '', given: new Map() };

/** Says what is shown now. */
export function show(what: Shown): void {
  shown = what;
}

/** What went wrong; of what was to change something, it comes with the status of its answer. */
function wrong({ result }: DataStrategyResult): unknown {
  const apart = result !== null && typeof result === 'object' && 'data' in result && 'init' in result;
  return apart ? result.data : result;
}

/** Whether a request ended with nothing about what was asked: no answer came, or none that could be put together. */
function isTrouble(ended: DataStrategyResult): boolean {
  if (ended.type !== 'error') return false;
  const what = wrong(ended);
  if (isRouteErrorResponse(what)) return what.status >= 500;
  return what instanceof Error && what.name !== 'AbortError';
}

const wordsFor = (results: DataStrategyResult[]): string => {
  // What a browser makes of a request without an answer.
  const unreachable = results.some((ended) => wrong(ended) instanceof TypeError);
  const what = unreachable ? 'The server cannot be reached' : WENT_WRONG.heading;
  return `${what}. What you did last may be missing, and what is shown may be out of date. Try again.`;
};

/**
 * Keeps a page, and what was typed on it, where something sent from it has no answer, or loading anew what it shows: that is
 * told in a notice, and the page stays as it was. A page that cannot be gone to says so itself.
 */
export const keepsPage: MiddlewareFunction<Record<string, DataStrategyResult>> = async (
  { request },
  next,
) => {
  const results = await next();
  const { pathname, search } = new URL(request.url);
  const sent = request.method !== 'GET';
  if (!sent && pathname + search !== shown.address) return results;
  const kept = Object.entries(results).filter(
    ([route, result]) => isTrouble(result) && (sent || shown.given.has(route)),
  );
  if (kept.length === 0) return results;
  try {
    // There already on every page that has notices; one that has none says what is wrong itself.
    const { complain } = await import('./parts/notices.tsx');
    complain(wordsFor(kept.map(([, ended]) => ended)));
  } catch {
    return results;
  }
  const given = ([route]: [string, DataStrategyResult]) =>
    [route, { type: 'data', result: sent ? undefined : shown.given.get(route) }] as const;
  return { ...results, ...Object.fromEntries(kept.map(given)) };
};
