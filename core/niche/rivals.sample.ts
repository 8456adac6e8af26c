import type { Comparable, Rival } from './index.ts';
import { estimate } from './index.ts';

/** A rival of middling make; whatever a test is about is given. */
export const rival = (more: Partial<Comparable> = {}): Comparable => ({
  id: 'wf-1',
  title: 'Beekeeping Word Search for Adults',
  penName: 'Marla Quarrow',
  price: 12.83,
  trim: { width: 6, height: 9 },
  pages: 257,
  ink: 'black',
  rank: 915,
  reviews: 40,
  rating: 4.2,
  published: '2026-01-05',
  category: '',
  ...more,
});

export const indexed = (more: Partial<Comparable> & Partial<Rival> = {}): Rival => {
  const { hidden = false, notComparable = false, source = 'market', watched = false, ...data } = more;
  return { ...estimate(rival(data)), hidden, notComparable, source, watched };
};
