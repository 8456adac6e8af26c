import { type Book, jobTicket } from '../book/index.ts';
import { csvOf } from '../csv.ts';
import { toCents } from '../print/index.ts';
import { showLength } from '../units.ts';

/** The listing sheet: what a printing service asks for, every value from the recipe or derived from it. */
export function listingSheet(book: Book) {
  const { recipe } = book;
  const ticket = jobTicket(book);
  const keywords = recipe.listing.keywords.map((keyword) => keyword.trim()).filter(Boolean);
  return {
    title: recipe.title,
    subtitle: recipe.subtitle,
    series: recipe.series ? { name: recipe.series.name, volume: recipe.series.volume } : null,
    penName: recipe.penName,
    imprint: recipe.imprint,
    language: recipe.language,
    description: recipe.listing.description,
    keywords,
    categories: recipe.listing.categories,
    binding: recipe.print.binding,
    trim: { width: showLength(ticket.trim.width, 'in'), height: showLength(ticket.trim.height, 'in') },
    bleed: ticket.bleed,
    ink: ticket.ink,
    paper: ticket.paper,
    finish: recipe.print.finish,
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
