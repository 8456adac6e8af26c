import type { EstimatedComparable } from './estimate.ts';
import type { PhraseLists } from './phrases/index.ts';
import { partsOf } from './phrases/index.ts';
import { quantile } from './quantile.ts';
import type { RivalFilter } from './rivals.ts';
import { bestSellers } from './verdict.ts';

/** A piece of the paragraph: plain words, or a number with the rows it was counted from. */
export type SharedPiece = { text: string; filter?: Partial<RivalFilter> };

const FOLLOWED = 10;
const money = (value: number) => `$${value.toFixed(2)}`;

function mode<T>(values: T[], key: (value: T) => string): { value: T; count: number } | null {
  const counts = new Map<string, { value: T; count: number }>();
  for (const value of values) {
    const seen = counts.get(key(value)) ?? { value, count: 0 };
    seen.count++;
    counts.set(key(value), seen);
  }
  return [...counts.values()].sort((a, b) => b.count - a.count)[0] ?? null;
}

const NUMBERS = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
const inWords = (count: number) => NUMBERS[count] ?? String(count);

/** What the best sellers have in common, in one paragraph made from the numbers; each number leads to its rows. */
export function sharedByBest(comparables: readonly EstimatedComparable[], lists: PhraseLists): SharedPiece[] {
  const best = bestSellers(comparables, FOLLOWED);
  if (best.length < 3) return [{ text: 'There are too few rivals with a rank to say what they share.' }];
  const ids = new Set(best.map(({ id }) => id));
  const amongBest = { ids: [...ids] };
  const pieces: SharedPiece[] = [];
  const say = (text: string, filter?: Partial<RivalFilter>) =>
    pieces.push(filter ? { text, filter: { ...amongBest, ...filter } } : { text });

  const trims = best.flatMap(({ trim }) => (trim ? [trim] : []));
  const trim = mode(trims, ({ width, height }) => `${width}×${height}`);
  const spread = (values: (number | null)[]): [number, number] | null => {
    const known = values.filter((value) => value !== null);
    return known.length ? [quantile(known, 0.2), quantile(known, 0.8)] : null;
  };
  say('Of the ');
  say(`${inWords(best.length)} best sellers`, {});
  if (trim) {
    say(', ');
    say(
      `${inWords(trim.count)} ${trim.count === 1 ? 'is' : 'are'} ${trim.value.width} × ${trim.value.height} in`,
      {
        trim: `${trim.value.width}×${trim.value.height}`,
      },
    );
  }
  const pages = spread(best.map((book) => book.pages));
  if (pages) {
    const [from, to] = [Math.floor(pages[0]), Math.ceil(pages[1])];
    say('. Most have ');
    say(`${from} to ${to} pages`, { pages: [from, to] });
  }
  const prices = spread(best.map((book) => book.price));
  if (prices) {
    say(' and cost ');
    say(prices[0] === prices[1] ? money(prices[0]) : `${money(prices[0])} to ${money(prices[1])}`, {
      price: prices,
    });
  }
  const kind = mode(best.map(({ title }) => partsOf(title, lists).kind).filter(Boolean), (value) => value);
  if (kind) {
    say('. ');
    say(`${inWords(kind.count).replace(/^./, (letter) => letter.toUpperCase())} of them`, {
      words: kind.value,
    });
    say(` say “${kind.value}” in the title`);
  }
  const color = best.filter(({ ink }) => ink === 'color').length;
  if (color) {
    say('; ');
    say(`${inWords(color)} ${color === 1 ? 'is' : 'are'} printed in color`, { ink: 'color' });
  }
  const reviewed = best.flatMap(({ reviews }) => (reviews === null ? [] : [reviews]));
  if (reviewed.length) {
    const few = Math.min(...reviewed);
    say('. The least reviewed has ');
    say(`${few.toLocaleString('en-US')} ${few === 1 ? 'review' : 'reviews'}`, { reviews: [few, few] });
  }
  say('.');
  return pieces;
}
