import { Hono } from 'hono';
import * as v from 'valibot';
import { keptCatalog } from './catalog/kept.ts';
import { CATEGORIES, category, pathOf } from './catalog/tree.ts';
import { openClock } from './clock.ts';
import {
  COUNTRY_IDS,
  type Country,
  dayNumber,
  isoDay,
  type Market,
  openMarket,
  type ShownBook,
  shareIn,
} from './market.ts';
import { openPictures } from './pictures.ts';
import { makeSearch, SORTS, topOf } from './search.ts';
import { makeQueryLog, makeSuggestions } from './suggestions.ts';

const MOST_ROWS = 200;
const TOP = 100;
/** The furthest the clock may be set from the opening, in days: further, nothing new comes out. */
const FURTHEST = 700;

const count = (max: number, usual: number) =>
  v.optional(
    v.pipe(v.string(), v.regex(/^\d{1,6}$/), v.transform(Number), v.minValue(1), v.maxValue(max)),
    String(usual),
  );
const market = v.optional(v.picklist(COUNTRY_IDS), 'us');
const Ask = v.object({
  market,
  phrase: v.pipe(v.string(), v.maxLength(200)),
  limit: count(MOST_ROWS, 60),
  page: count(1000, 1),
  sort: v.optional(v.picklist(SORTS), 'best sellers'),
});
const Start = v.object({ market, start: v.pipe(v.string(), v.maxLength(200)), limit: count(50, 10) });
const Top = v.object({ market });
const ClockSchema = v.strictObject({
  day: v.optional(v.pipe(v.string(), v.isoDate())),
  advance: v.optional(v.pipe(v.number(), v.integer(), v.minValue(-FURTHEST), v.maxValue(FURTHEST))),
  daySeconds: v.optional(v.pipe(v.number(), v.minValue(1), v.maxValue(86_400 * 7))),
});

const wrong = (message: string) => ({ reasons: [message] });
const rowOf = (book: ShownBook) => ({ ...book, category: pathOf(book.category) });

/** What was asked to come out damaged: every third row loses its rank, every fourth has words for a price. */
const damaged = (rows: object[]): object[] =>
  rows.map((row, i) =>
    i % 3 === 1 ? { ...row, rank: null } : i % 4 === 2 ? { ...row, price: 'about nine' } : row,
  );

/**
 * The marketplace's side of Wrenfair: search, suggestions, categories, books, and the calendar it all runs on.
 * @param today the day of the first start, as ISO 8601
 * @param malformed whether the next answer is to come out damaged
 */
export function openShop(folder: string, today: string, malformed: () => boolean) {
  const clock = openClock(folder, dayNumber(today));
  const catalog = keptCatalog(folder, clock.opened());
  const at = new Map(catalog.map((book, i) => [book.id, i]));
  const markets = new Map<Country, { market: Market; suggest: ReturnType<typeof makeSuggestions> }>();
  const log = makeQueryLog();
  /** A country's side of the shop, opened when somebody first asks for it. */
  const inMarket = (country: Country) => {
    let found = markets.get(country);
    if (!found) {
      const typed = log
        .map(({ phrase, volume }) => ({ phrase, volume: Math.round(volume * shareIn(country, phrase)) }))
        .filter(({ volume }) => volume > 0);
      found = { market: openMarket(catalog, country), suggest: makeSuggestions(typed) };
      markets.set(country, found);
    }
    return found;
  };
  const { market: home } = inMarket('us');
  const search = makeSearch(catalog);
  const pictures = openPictures();
  // The day's ranks are ready before anybody asks.
  home.ranksOn(clock.today());

  const day = () => isoDay(clock.today());
  const rows = (books: ShownBook[]) => {
    const plain = books.map(rowOf);
    return malformed() ? damaged(plain) : plain;
  };
  const shop = new Hono();
  shop.get('/search', (c) => {
    const ask = v.safeParse(Ask, c.req.query());
    if (!ask.success) return c.json(wrong(`${v.getDotPath(ask.issues[0])}: ${ask.issues[0].message}`), 400);
    const { market } = inMarket(ask.output.market);
    const found = search(market, ask.output.phrase, clock.today(), ask.output);
    return c.json({
      day: day(),
      results: found.results,
      categories: found.categories.map(({ id, count }) => ({ id, name: pathOf(id), count })),
      comparables: rows(found.books),
    });
  });
  shop.get('/suggestions', (c) => {
    const ask = v.safeParse(Start, c.req.query());
    if (!ask.success) return c.json(wrong(ask.issues[0].message), 400);
    const { market, start, limit } = ask.output;
    return c.json({ suggestions: inMarket(market).suggest(start, limit) });
  });
  shop.get('/day', (c) => c.json({ day: day() }));
  shop.get('/categories', (c) => c.json({ categories: CATEGORIES }));
  shop.get('/categories/:id/top', (c) => {
    const found = category(c.req.param('id'));
    const ask = v.safeParse(Top, c.req.query());
    if (!ask.success) return c.json(wrong(ask.issues[0].message), 400);
    if (!found) return c.json(wrong('There is no such category.'), 404);
    return c.json({
      day: day(),
      category: { ...found, name: pathOf(found.id) || found.name },
      comparables: rows(topOf(catalog, inMarket(ask.output.market).market, found.id, clock.today(), TOP)),
    });
  });
  const bookOf = (id: string) => {
    const i = at.get(id);
    return i !== undefined && home.isOut(i, clock.today()) ? { i, book: catalog[i]! } : null;
  };
  shop.get('/books/:id', (c) => {
    const found = bookOf(c.req.param('id'));
    if (!found) return c.json(wrong('There is no such book.'), 404);
    return c.json({
      day: day(),
      ...rowOf(home.shown(found.i, clock.today())),
      pagesShown: pictures.pagesShown(found.book),
    });
  });
  const png = (bytes: Uint8Array) =>
    new Response(bytes as unknown as BodyInit, {
      headers: { 'content-type': 'image/png', 'cache-control': 'public, max-age=86400' },
    });
  shop.get('/books/:id/cover.png', (c) => {
    const found = bookOf(c.req.param('id'));
    return found ? png(pictures.cover(found.book)!) : c.json(wrong('There is no such book.'), 404);
  });
  shop.get('/books/:id/pages/:page{[0-9]+}', async (c) => {
    const found = bookOf(c.req.param('id'));
    const picture = found && (await pictures.page(found.book, Number(c.req.param('page'))));
    return picture ? png(picture) : c.json(wrong('There is no such page to look at.'), 404);
  });

  return {
    routes: shop,
    /** @returns what was wrong with the wish, or the day it is now */
    setClock(wish: unknown): { wrong: string } | { day: string; daySeconds: number } {
      const read = v.safeParse(ClockSchema, wish);
      if (!read.success) return { wrong: read.issues[0].message };
      const { day: asked, advance = 0, daySeconds } = read.output;
      const next = (asked ? dayNumber(asked) : clock.today()) + advance;
      if (Math.abs(next - clock.opened()) > FURTHEST)
        return { wrong: `The clock goes ${FURTHEST} days from ${isoDay(clock.opened())} either way.` };
      clock.set(next, daySeconds);
      home.ranksOn(next);
      return { day: day(), daySeconds: clock.daySeconds() };
    },
    clock: () => ({ day: day(), daySeconds: clock.daySeconds() }),
  };
}
