import { type Market, printService } from '../print/index.ts';
import { CURRENCIES } from './own/cells.ts';

/** The service that researched books would be printed by: its markets are those that can be researched. */
export const RESEARCH_SERVICE = 'wrenfair';

/** The markets that niches are researched in, the home market first. */
export const researchMarkets = (): readonly Market[] => printService(RESEARCH_SERVICE).markets;

/** The market that is meant where none is named. */
export const HOME_MARKET: string = researchMarkets()[0]!.id;

/** The currency of a market, as tables of own rows are read in it. */
export const currencyOf = (id: string): (typeof CURRENCIES)[number] =>
  CURRENCIES.find((currency) => currency === marketOf(id).currency) ?? CURRENCIES[0];

/** A market by its id; the home market where it is not known any more. */
export const marketOf = (id: string): Market =>
  researchMarkets().find((market) => market.id === id) ?? researchMarkets()[0]!;
