import type { SalesCurve } from './curve.ts';
import { estimator } from './estimate.ts';
import type { Rival } from './rivals.ts';

/**
 * Rivals as lines of text, in which a hundred thousand of them go from the database to the page: cells parted by tabs, an
 * empty one for what is not known, in this order; every line ends in a line feed.
 */
export const RIVAL_CELLS = [
  'id',
  'title',
  'penName',
  'category',
  'price',
  'width',
  'height',
  'pages',
  'rank',
  'usualRank',
  'reviews',
  'rating',
  'published',
  'flags',
] as const;

/** What is yes or no of a rival, as bits of one number. */
export const RIVAL_FLAGS = { hidden: 1, notComparable: 2, watched: 4, own: 8, color: 16 } as const;

const numberIn = (cell: string | undefined): number | null => (cell ? Number(cell) : null);

/** Reads rivals from lines of text, each with its estimates; a line that was cut off is none. @param curve of their market */
export function readRivals(text: string, curve: SalesCurve): Rival[] {
  const estimate = estimator(curve);
  const lines = text.split('\n');
  lines.pop();
  return lines.map((line) => readRival(line.split('\t'), estimate));
}

function readRival(cells: readonly string[], estimate: ReturnType<typeof estimator>): Rival {
  const width = numberIn(cells[5]);
  const height = numberIn(cells[6]);
  const trim = width !== null && height !== null ? { width, height } : null;
  const price = numberIn(cells[4]);
  const pages = numberIn(cells[7]);
  const rank = numberIn(cells[8]);
  const usualRank = numberIn(cells[9]);
  const flags = Number(cells[13]);
  const ink = flags & RIVAL_FLAGS.color ? 'color' : 'black';
  const sums = estimate({ price, trim, pages, rank, usualRank, ink });
  // Written out: copying a hundred thousand objects property by property takes seconds.
  return {
    id: cells[0]!,
    title: cells[1]!,
    penName: cells[2]!,
    category: cells[3]!,
    price,
    trim,
    pages,
    ink,
    rank,
    usualRank,
    reviews: numberIn(cells[10]),
    rating: numberIn(cells[11]),
    published: cells[12] || null,
    copies: sums.copies,
    copiesLow: sums.copiesLow,
    copiesHigh: sums.copiesHigh,
    printCost: sums.printCost,
    royalty: sums.royalty,
    earnings: sums.earnings,
    source: flags & RIVAL_FLAGS.own ? 'own' : 'market',
    hidden: (flags & RIVAL_FLAGS.hidden) !== 0,
    notComparable: (flags & RIVAL_FLAGS.notComparable) !== 0,
    watched: (flags & RIVAL_FLAGS.watched) !== 0,
  };
}
