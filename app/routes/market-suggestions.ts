import { HOME_MARKET, marketOf } from '#core/niche/index.ts';
import { ServiceRefusal, TransientServiceError } from '#server/services/printing-service.ts';
import { wrenfair } from '#server/services/wrenfair.ts';
import { requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/market-suggestions.ts';

const SUGGESTIONS = 10;

/** What people type that begins like this. Without an answer there is nothing to suggest, and nothing in the way. */
export async function loader({ request }: Route.LoaderArgs) {
  await requireVisitor(request);
  const asked = new URL(request.url).searchParams;
  const start = (asked.get('start') ?? '').slice(0, 100);
  const { id: market } = marketOf(asked.get('market') ?? HOME_MARKET);
  try {
    return Response.json(await wrenfair.suggest(market, start, SUGGESTIONS));
  } catch (error) {
    if (error instanceof TransientServiceError || error instanceof ServiceRefusal) return Response.json([]);
    throw error;
  }
}
