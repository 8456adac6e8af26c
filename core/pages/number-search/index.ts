import { defineKind } from '../kind.ts';
import type { WordSearchItem } from '../word-search/earlier/fill.ts';
import { drawNumberSearchPage, drawNumberSearchSolution } from './draw.ts';
import { first } from './earlier/index.ts';
import { type NumberSearchOptions, numberSearchOptions } from './fill.ts';
import { shared } from './shared.ts';

export const numberSearch = defineKind<NumberSearchOptions, WordSearchItem>({
  ...shared,
  version: 2,
  earlier: [
    {
      version: 1,
      migrate: (same) => same,
      changes:
        'The same puzzles on pages with the head of other puzzles, larger, the numbers with rings to tick, and answers that show the numbers alone.',
      kept: first,
    },
  ],
  samples: [{ name: 'Number search' }],
  inHouseFaces: () => true,
  options: numberSearchOptions,
  draw: drawNumberSearchPage,
  solution: { box: drawNumberSearchSolution },
});
