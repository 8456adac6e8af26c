import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { wrenfairApp } from './app.ts';
import { type CatalogBook, makeCatalog } from './catalog/make.ts';
import { CATEGORIES, category } from './catalog/tree.ts';
import { dayNumber, openMarket } from './market.ts';
import { makeSearch, topOf, wordsOf } from './search.ts';
import { makeQueryLog, makeSuggestions } from './suggestions.ts';

const TODAY = dayNumber('2026-11-24');
const catalog = makeCatalog(TODAY);
const market = openMarket(catalog);
const out = catalog.flatMap((book, at) => (book.publishedOn <= TODAY ? [at] : []));

/** Rank correlation (Spearman 1904) of two readings of the same books. */
function spearman(a: number[], b: number[]): number {
  const places = (values: number[]) => {
    const order = values.map((_, i) => i).sort((i, j) => values[i]! - values[j]!);
    const place = new Array<number>(values.length);
    order.forEach((i, at) => {
      place[i] = at;
    });
    return place;
  };
  const [p, q] = [places(a), places(b)];
  const n = a.length;
  const sum = p.reduce((total, place, i) => total + (place - q[i]!) ** 2, 0);
  return 1 - (6 * sum) / (n * (n * n - 1));
}

describe('the catalog', () => {
  it('is 60,000 books in about 150 categories, the same every time', () => {
    expect(catalog).toHaveLength(60_000);
    expect(CATEGORIES.length).toBeGreaterThanOrEqual(145);
    expect(CATEGORIES.length).toBeLessThanOrEqual(160);
    for (const book of catalog) expect(category(book.category)).toBeDefined();
    const few = (books: CatalogBook[]) => books.filter((_, i) => i % 997 === 0);
    expect(few(makeCatalog(TODAY))).toEqual(few(catalog));
  });

  it('sales are heavy-tailed: the best hundredth sells a large part', () => {
    const sales = out.map((at) => catalog[at]!.dailySales).sort((a, b) => b - a);
    const sum = (list: number[]) => list.reduce((total, n) => total + n, 0);
    const share = sum(sales.slice(0, sales.length / 100)) / sum(sales);
    expect(share).toBeGreaterThan(0.3);
    expect(share).toBeLessThan(0.9);
  });

  it('price follows pages, and reviews follow rank, as one would expect', () => {
    const sample = out.filter((_, i) => i % 11 === 0).map((at) => market.shown(at, TODAY));
    expect(
      spearman(
        sample.map(({ pages }) => pages),
        sample.map(({ price }) => price),
      ),
    ).toBeGreaterThan(0.35);
    expect(
      spearman(
        sample.map(({ rank }) => rank),
        sample.map(({ reviews }) => reviews),
      ),
    ).toBeLessThan(-0.4);
  });
});

describe('from day to day', () => {
  it('each rank is given once; most move a little, and books that are not out have none', () => {
    const ranks = market.ranksOn(TODAY);
    const given = out.map((at) => ranks[at]!);
    expect(new Set(given).size).toBe(out.length);
    catalog.forEach((book, at) => {
      expect(ranks[at]! > 0).toBe(book.publishedOn <= TODAY);
    });
    const tomorrow = market.ranksOn(TODAY + 1);
    const moved = out.filter((at) => tomorrow[at] !== ranks[at]);
    expect(moved.length).toBeGreaterThan(out.length / 2);
    expect(
      spearman(
        given,
        out.map((at) => tomorrow[at]!),
      ),
    ).toBeGreaterThan(0.995);
  });

  it('a topic with a season sells before its day', () => {
    const pumpkins = out.filter((at) => /Halloween/.test(catalog[at]!.title)).slice(0, 200);
    const median = (day: string) => {
      const ranks = market.ranksOn(dayNumber(day));
      return pumpkins.map((at) => ranks[at]!).sort((a, b) => a - b)[100]!;
    };
    expect(median('2026-10-15')).toBeLessThan(median('2026-07-15') / 2);
  });
});

describe('search', () => {
  const search = makeSearch(catalog);
  const ask = { limit: 60_000, page: 1, sort: 'best sellers' as const };

  it('agrees with a scan of every book', () => {
    const words = catalog.map(({ title, penName }) => new Set(wordsOf(`${title} ${penName}`)));
    for (const phrase of [
      'dinosaur word search',
      'beekeepers journals',
      'large print sudoku for seniors',
      'moss',
      'Marla Quarrow',
      'journal',
    ]) {
      const asked = wordsOf(phrase);
      const scanned = out.filter((at) => asked.every((word) => words[at]!.has(word)));
      const found = search(market, phrase, TODAY, ask);
      expect(found.results, phrase).toBe(scanned.length);
      expect(found.books.map(({ id }) => id).sort()).toEqual(scanned.map((at) => catalog[at]!.id).sort());
      expect(found.books.map(({ rank }) => rank)).toEqual(
        found.books.map(({ rank }) => rank).sort((a, b) => a - b),
      );
    }
    expect(search(market, '', TODAY, ask).results).toBe(0);
  });

  it('pages follow each other, and every order sorts', () => {
    const whole = search(market, 'cat journal', TODAY, { ...ask, limit: 40 }).books;
    expect([
      ...search(market, 'cat journal', TODAY, { ...ask, limit: 20 }).books,
      ...search(market, 'cat journal', TODAY, { ...ask, limit: 20, page: 2 }).books,
    ]).toEqual(whole);
    const newest = search(market, 'cat journal', TODAY, { ...ask, sort: 'newest' }).books.map(
      ({ published }) => published,
    );
    expect(newest).toEqual(newest.slice().sort().reverse());
    const dearest = search(market, 'cat journal', TODAY, { ...ask, sort: 'price' }).books.map(
      ({ price }) => price,
    );
    expect(dearest).toEqual(dearest.slice().sort((a, b) => a - b));
  });

  it('the top of a category is its best ranks', () => {
    const top = topOf(catalog, market, 'word-search', TODAY, 100);
    const scanned = out
      .filter((at) => catalog[at]!.category.startsWith('word-search.'))
      .map((at) => market.ranksOn(TODAY)[at]!)
      .sort((a, b) => a - b);
    expect(top.map(({ rank }) => rank)).toEqual(scanned.slice(0, 100));
  });
});

describe('suggestions', () => {
  const log = makeQueryLog();
  const suggest = makeSuggestions(log);
  it('begin with what was typed, most typed first, as a scan would find them', () => {
    for (const start of ['bee', 'beekeeping j', 'word search f', 'l beekeeping journal', 'zzz']) {
      const typed = start.split(' ');
      const scanned = log
        .filter(({ phrase }) =>
          typed.every((part) => phrase.split(' ').some((word) => word.startsWith(part))),
        )
        .sort((a, b) => b.volume - a.volume)
        .slice(0, 10);
      expect(suggest(start, 10)).toEqual(scanned);
    }
  });
});

describe('the shop over HTTP', () => {
  const folder = mkdtempSync(join(tmpdir(), 'wrenfair-'));
  const app = wrenfairApp({ folder, key: 'k', today: '2026-11-24' });
  const get = (path: string) => app.request(path, { headers: { authorization: 'Bearer k' } });
  const put = (path: string, body: unknown) =>
    app.request(path, { method: 'PUT', body: JSON.stringify(body) });
  const json = async (path: string) => (await (await get(path)).json()) as never as Record<string, never>;

  it('the clock is set, passes, and is kept; books come out meanwhile', async () => {
    const before = await json('/catalog/search?phrase=journal&limit=1');
    expect(before.day).toBe('2026-11-24');
    expect(await (await put('/clock', { advance: 60 })).json()).toMatchObject({ day: '2027-01-23' });
    expect((await json('/catalog/search?phrase=journal&limit=1')).results).toBeGreaterThan(before.results);
    expect((await put('/clock', { day: '2036-01-01' })).status).toBe(400);
    expect((await put('/clock', { day: 'tomorrow' })).status).toBe(400);
    const again = wrenfairApp({ folder, key: 'k', today: '2020-01-01' });
    expect(await (await again.request('/clock')).json()).toMatchObject({ day: '2027-01-23' });
    await put('/clock', { day: '2026-11-24' });
  });

  it('gives the cover and the first pages of a book as pictures', async () => {
    const [book] = (await json('/catalog/search?phrase=cat+word+search&limit=1')).comparables as never as {
      id: string;
    }[];
    const detail = await json(`/catalog/books/${book!.id}`);
    expect(detail.pagesShown).toBe(4);
    for (const [path, width] of [
      ['cover.png', 160],
      ['pages/3', 320],
    ] as const) {
      const answer = await get(`/catalog/books/${book!.id}/${path}`);
      expect(answer.headers.get('content-type')).toBe('image/png');
      const image = sharp(Buffer.from(await answer.arrayBuffer()));
      expect((await image.metadata()).width).toBe(width);
      const { channels } = await image.stats();
      expect(channels[0]!.stdev).toBeGreaterThan(5);
    }
    expect((await get(`/catalog/books/${book!.id}/pages/5`)).status).toBe(404);
    expect((await get('/catalog/books/none')).status).toBe(404);
  });

  it('gives damaged rows on request, and refuses what makes no sense', async () => {
    await put('/behavior', { malformed: 1 });
    const { comparables } = await json('/catalog/search?phrase=journal');
    expect((comparables as { rank: number | null }[]).some(({ rank }) => rank === null)).toBe(true);
    const whole = await json('/catalog/search?phrase=journal');
    expect((whole.comparables as { rank: number | null }[]).every(({ rank }) => rank! > 0)).toBe(true);
    for (const path of ['/catalog/search', '/catalog/search?phrase=x&limit=900', '/catalog/suggestions'])
      expect((await get(path)).status).toBe(400);
    expect((await get('/catalog/categories/none/top')).status).toBe(404);
    expect((await json('/catalog/categories/log.animals/top')).comparables).toHaveLength(100);
  });
});
