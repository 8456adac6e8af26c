import type { Plan } from '../book/planned.ts';

/** A run that takes so much of the book is what the book is made of. */
const MOST_OF_IT = 0.25;

/** Pages of a book that say most of it: two spreads of what it is made of, the first of them and one further on. */
export function shownPages({ pages, runs }: Plan): number[] {
  const bodies = runs.filter(({ role }) => role === 'body');
  const length = ({ first, last }: { first: number; last: number }) => last - first + 1;
  const main =
    bodies.find((run) => length(run) > MOST_OF_IT * pages.length) ??
    bodies.toSorted((a, b) => length(b) - length(a))[0];
  if (!main) return [];
  // A spread begins on the left; one that begins a section may have an empty page there.
  const left = (page: number): number => page + (page % 2);
  const begins =
    pages.slice(main.first - 1, main.last).find(({ role }) => role === 'body')?.number ?? main.first;
  const first = left(begins);
  const further = left(Math.round(begins + length(main) * 0.4));
  return [...new Set([first, first + 1, further, further + 1])].filter((page) => page <= pages.length);
}
