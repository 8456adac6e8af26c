import { lowestPrice, printCost, royalty, spineWidth, wrapFrame } from '../print/index.ts';
import type { Book } from './book.ts';
import { pageLimits } from './plan.ts';

export interface MarketTicket {
  market: string;
  name: string;
  currency: string;
  price: number | null;
  cost: number;
  royalty: number | null;
  lowestPrice: number;
}

/** A book's derived numbers: the job ticket. Lengths in points, money in the market's currency. */
export interface JobTicket {
  trim: { width: number; height: number };
  bleed: boolean;
  pages: number;
  limits: { least: number; most: number };
  ink: string;
  paper: string;
  gutter: number;
  spine: number;
  wrap: { width: number; height: number };
  spineText: boolean;
  markets: MarketTicket[];
}

/** Derives the job ticket from a book and the printing service's rules. */
export function jobTicket({ recipe, plan, service, spec }: Book): JobTicket {
  const pages = plan.pages.length;
  const wrap = wrapFrame(service, spec, pages);
  return {
    trim: spec.trim,
    bleed: spec.bleed,
    pages,
    limits: pageLimits(service, recipe),
    ink: spec.ink,
    paper: spec.paper,
    gutter: plan.gutter,
    spine: spineWidth(service, spec, pages),
    wrap: wrap.media,
    spineText: wrap.spineText !== null,
    markets: service.markets.map((market) => {
      const cost = printCost(service, market, spec, pages);
      const price = recipe.listing.prices[market.id] ?? null;
      return {
        market: market.id,
        name: market.name,
        currency: market.currency,
        price,
        cost,
        royalty: price === null ? null : royalty(market, price, cost),
        lowestPrice: lowestPrice(market, cost),
      };
    }),
  };
}
