import {
  type Comparable,
  DEFAULT_ASSUMPTIONS,
  DEFAULT_CURVE,
  estimate,
  judge,
  lookedOnce,
  type NicheAssumptions,
  type Verdict,
} from '#core/niche/index.ts';
import { printCost, printRules, royalty } from '#core/print/index.ts';
import { inches } from '#core/units.ts';
import { type Cell, cellsOf, dearness, salesAt, usualPrice } from '../../standins/wrenfair/catalog/make.ts';
import { stream } from '../../standins/wrenfair/catalog/stream.ts';
import { AUDIENCES } from '../../standins/wrenfair/catalog/vocabulary.ts';
import { openShop } from '../../standins/wrenfair/shop.ts';

/** A niche of the trial: what was judged of it through the shop's own addresses, and what is true of it. */
export interface Tried {
  phrase: string;
  results: number;
  verdict: Verdict;
  /** What a new book there would earn a month, on average, as the generator has it. */
  truth: number;
}

const rules = printRules('wrenfair', 'paperback');
const market = rules.markets[0]!;
const DRAWS = 200;
/** The mean of the generator's sales over all books but the luckiest few, as so many equal steps have it. */
const luck =
  Array.from({ length: DRAWS }, (_, i) => salesAt({ wanted: 1 }, 1, (i + 0.5) / DRAWS)).reduce(
    (sum, n) => sum + n,
    0,
  ) / DRAWS;
/** Days that a season lifts sales, as a share of the year: the two halves of its bell. */
const seasonOf = ({ about: { season } }: Cell): number =>
  1 + ((season?.[2] ?? 0) * (26 + 7) * Math.sqrt(Math.PI)) / 2 / 365;

/** What a new book of a cell earns a month over a year: the generator's own sales, at the prices it makes books at. */
export function truthOf(cell: Cell): number {
  const earned = cell.kind.trims.flatMap(([width, height]) =>
    [0.1, 0.3, 0.5, 0.7, 0.9].map((spread) => {
      const pages = 2 * Math.round((cell.kind.pages[0] + spread * cell.kind.pages[1]) / 2);
      const usual = usualPrice(pages, width, 'black');
      const price = Math.max(4.99, Math.round(usual + 0.15 * 3.2) - 0.01);
      const trim = { width: inches(width), height: inches(height) };
      const cost = printCost(rules, market, { trim, bleed: false, ink: 'black', paper: 'white' }, pages);
      return royalty(market, price, cost) * 30 * luck * cell.wanted * dearness(price, usual) * seasonOf(cell);
    }),
  );
  return earned.reduce((sum, n) => sum + n, 0) / earned.length;
}

const DAY = '2026-11-27';
/** A publisher adds an audience to so many of the phrases. */
const WITH_AUDIENCE = 0.3;

/** Tries the judgment on so many random niches, each a topic in a kind of book as a publisher would type it. */
export async function tryJudgment(
  folder: string,
  count: number,
  seed: number,
  assumptions: NicheAssumptions = DEFAULT_ASSUMPTIONS,
): Promise<Tried[]> {
  const shop = openShop(folder, DAY, () => false);
  const ask = async <T>(path: string): Promise<T> => (await (await shop.routes.request(path)).json()) as T;
  const { unit, pick } = stream(seed);
  const cells = cellsOf();
  const tried: Tried[] = [];
  while (tried.length < count) {
    const cell = pick(cells);
    const audience = unit() < WITH_AUDIENCE ? pick(AUDIENCES) : '';
    const phrase = `${cell.about.words[0]} ${cell.kind.titles[0]}${audience}`.toLowerCase().replace(/’/g, '');
    if (tried.some((one) => one.phrase === phrase)) continue;
    const asked = encodeURIComponent(phrase);
    const { results, comparables } = await ask<{ results: number; comparables: Comparable[] }>(
      `/search?limit=60&phrase=${asked}`,
    );
    const { suggestions } = await ask<{ suggestions: { phrase: string; volume: number }[] }>(
      `/suggestions?limit=20&start=${asked}`,
    );
    const searches = suggestions.find((one) => one.phrase === phrase)?.volume ?? null;
    const verdict = judge(
      {
        ...lookedOnce({ results, day: DAY }, searches, DEFAULT_CURVE),
        comparables: comparables.map((book) => estimate(book, DEFAULT_CURVE)),
      },
      assumptions,
    );
    tried.push({ phrase, results, verdict, truth: truthOf(cell) });
  }
  return tried;
}

const ranksOf = (values: readonly number[]): number[] => {
  const order = values.map((value, at) => [value, at] as const).sort((a, b) => a[0] - b[0]);
  const ranks: number[] = new Array(values.length);
  for (let i = 0; i < order.length; ) {
    let j = i;
    while (j + 1 < order.length && order[j + 1]![0] === order[i]![0]) j++;
    for (let k = i; k <= j; k++) ranks[order[k]![1]] = (i + j) / 2;
    i = j + 1;
  }
  return ranks;
};

/** Spearman's rank correlation (1904): Pearson's of the ranks, equal values sharing theirs. */
export function rankCorrelation(a: readonly number[], b: readonly number[]): number {
  const [x, y] = [ranksOf(a), ranksOf(b)];
  const middle = (a.length - 1) / 2;
  const sum = (one: readonly number[], other: readonly number[]) =>
    one.reduce((total, value, i) => total + (value - middle) * (other[i]! - middle), 0);
  return sum(x, y) / Math.sqrt(sum(x, x) * sum(y, y));
}

/** How far the judgment can be trusted. */
export function trustOf(tried: readonly Tried[]) {
  const third = [...tried].sort((a, b) => b.truth - a.truth)[Math.floor(tried.length / 3)]!.truth;
  const open = tried.filter(({ verdict }) => verdict.word === 'open');
  const words = new Map<string, number>();
  for (const { verdict } of tried) words.set(verdict.word, (words.get(verdict.word) ?? 0) + 1);
  return {
    correlation: rankCorrelation(
      tried.map(({ verdict }) => verdict.outlook?.mean ?? 0),
      tried.map(({ truth }) => truth),
    ),
    open: open.length,
    openInBestThird: open.filter(({ truth }) => truth > third).length,
    words: Object.fromEntries(words),
  };
}
