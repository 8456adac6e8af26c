import type { PrintSpec } from './geometry.ts';
import type { Market, PrintRules } from './service.ts';

/** Rounded to the cent, half away from zero, as money is shown. The sums themselves keep all digits. */
export const toCents = (amount: number): number =>
  Math.round((amount + Number.EPSILON * Math.sign(amount)) * 100) / 100;

function trimClass(rules: PrintRules, spec: PrintSpec): 'regular' | 'large' {
  const { widerThan, tallerThan } = rules.largeTrim;
  return spec.trim.width > widerThan || spec.trim.height > tallerThan ? 'large' : 'regular';
}

/** What the print cost of a copy is made of, in the market's currency. */
export interface CostParts {
  fixed: number;
  perPage: number;
}

export function costParts(rules: PrintRules, market: Market, spec: PrintSpec): CostParts {
  const costs = rules.costs[market.id]!;
  const { fixed, perPage } = (costs[spec.ink] ?? costs.black!)[trimClass(rules, spec)];
  return { fixed, perPage };
}

/** Print cost of one copy from its parts: fixed + per page × pages. */
export const costOf = ({ fixed, perPage }: CostParts, pages: number): number => fixed + perPage * pages;

/** Print cost of one copy in the market's currency. */
export const printCost = (rules: PrintRules, market: Market, spec: PrintSpec, pages: number): number =>
  costOf(costParts(rules, market, spec), pages);

/** Royalty of one copy: rate × list price − print cost. Negative when the price is under the floor. */
export const royalty = (market: Market, price: number, cost: number): number => market.rate * price - cost;

/** The lowest list price at which the royalty is not negative, rounded up to the cent. */
export const lowestPrice = (market: Market, cost: number): number =>
  Math.ceil((cost / market.rate) * 100 - 1e-9) / 100;

/** A price of less than a cent’s digits, such as that of a page: `$0.012`. */
export const showRate = (amount: number, currency: string): string =>
  new Intl.NumberFormat('en-US', { style: 'currency', currency, maximumFractionDigits: 4 }).format(amount);

/** Money for people, in the currency's own digits: `$8.99`. */
export function showMoney(amount: number, currency: string): string {
  return new Intl.NumberFormat('en-US', { style: 'currency', currency }).format(amount);
}
