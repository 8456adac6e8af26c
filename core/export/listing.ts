import { type JobTicket, jobTicket, type Recipe } from '../book/index.ts';
import { csvOf } from '../csv.ts';
import { toCents } from '../print/index.ts';
import { showLength } from '../units.ts';

/** The listing sheet: what a printing service asks for, every value from the recipe or derived from it. */
export function listingSheet(recipe: Recipe, ticket: JobTicket = jobTicket(recipe)) {
  const keywords = (recipe.listing.keywords as string[]).map((keyword) => keyword.trim()).filter(Boolean);
  return {
    title: recipe.title,
    subtitle: recipe.subtitle as string,
    series: recipe.series ? { name: recipe.series.name, volume: recipe.series.volume } : null,
    penName: recipe.penName as string,
    imprint: recipe.imprint as string,
    language: recipe.language as string,
    description: recipe.listing.description as string,
    keywords,
    categories: recipe.listing.categories as string[],
    binding: recipe.print.binding as string,
    trim: { width: showLength(ticket.trim.width, 'in'), height: showLength(ticket.trim.height, 'in') },
    bleed: ticket.bleed,
    ink: ticket.ink,
    paper: ticket.paper,
    finish: recipe.print.finish as string,
    pages: ticket.pages,
    prices: ticket.markets.map(({ market, currency, price, cost, royalty, lowestPrice }) => ({
      market,
      currency,
      price,
      printCost: toCents(cost),
      royalty: royalty === null ? null : toCents(royalty),
      lowestPrice,
    })),
  };
}

export type ListingSheet = ReturnType<typeof listingSheet>;

/** The listing sheet as CSV (RFC 4180): field, value; one row each. */
export function listingCsv(sheet: ListingSheet): string {
  const rows: [string, string][] = [['field', 'value']];
  const add = (name: string, value: unknown): void => {
    if (value === null || value === undefined) rows.push([name, '']);
    else if (Array.isArray(value)) {
      value.forEach((held, i) => {
        const { market, ...others } = held as { market?: string };
        if (market) for (const [key, inner] of Object.entries(others)) add(`${key} ${market}`, inner);
        else add(`${name} ${i + 1}`, held);
      });
    } else if (typeof value === 'object')
      for (const [key, inner] of Object.entries(value)) add(`${name} ${key}`, inner);
    else rows.push([name, String(value)]);
  };
  for (const [name, value] of Object.entries(sheet)) add(name, value);
  return csvOf(rows);
}
