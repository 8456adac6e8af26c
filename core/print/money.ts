import currency from 'currency.js';
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

/** How amounts begin in English, as Unicode CLDR has it; those of any other currency begin with its code. */
const SIGNS: Readonly<Record<string, string>> = { USD: '$', CAD: 'CA$', GBP: '£', EUR: '€', AUD: 'A$' };

// Not with Intl: what a browser reads for the first form that a page asks for takes longer than anything else in it.
const written = (amount: number, code: string, precision: number): string =>
  currency(amount, { symbol: SIGNS[code] ?? `${code}\u00a0`, precision }).format();

/** A price of less than a cent’s digits, such as that of a page: `$0.012`. @param code see `showMoney` */
export const showRate = (amount: number, code: string): string =>
  written(amount, code, 4).replace(/0{1,2}$/, '');

/** Money for people, to the cent: `$8.99`. @param code of a currency that has cents, by ISO 4217 */
export const showMoney = (amount: number, code: string): string => written(amount, code, 2);
