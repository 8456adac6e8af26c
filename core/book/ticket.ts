import {
  type CostParts,
  costParts,
  coverSheets,
  lowestPrice,
  printCost,
  royalty,
  spineWidth,
} from '../print/index.ts';
import type { Book } from './book.ts';
import { pageLimits } from './plan.ts';

export interface MarketTicket {
  market: string;
  name: string;
  currency: string;
  price: number | null;
  /** Of one copy: `costParts.fixed` and `costParts.perPage` for each page. */
  cost: number;
  costParts: CostParts;
  royalty: number | null;
  lowestPrice: number;
}

/** A book's derived numbers: the job ticket. Lengths in points, money in the market's currency. */
export interface JobTicket {
  trim: { width: number; height: number };
  bleed: boolean;
  pages: number;
  limits: { min: number; max: number };
  ink: string;
  paper: string;
  gutter: number;
  /** 0 for a binding without one. */
  spine: number;
  /** The cover's sheet, or one of its two. */
  wrap: { width: number; height: number };
  spineText: boolean;
  markets: MarketTicket[];
}

/** Derives the job ticket from a book and the printing service's rules. */
export function jobTicket({ recipe, plan, rules, spec }: Book): JobTicket {
  const pages = plan.pages.length;
  const [cover] = coverSheets(rules, spec, pages);
  return {
    trim: spec.trim,
    bleed: spec.bleed,
    pages,
    limits: pageLimits(rules, recipe),
    ink: spec.ink,
    paper: spec.paper,
    gutter: plan.gutter,
    spine: spineWidth(rules, spec, pages),
    wrap: cover!.media,
    spineText: cover!.spineText !== null,
    markets: rules.markets.map((market) => {
      const cost = printCost(rules, market, spec, pages);
      const price = recipe.listing.prices[market.id] ?? null;
      return {
        market: market.id,
        name: market.name,
        currency: market.currency,
        price,
        cost,
        costParts: costParts(rules, market, spec),
        royalty: price === null ? null : royalty(market, price, cost),
        lowestPrice: lowestPrice(market, cost),
      };
    }),
  };
}
