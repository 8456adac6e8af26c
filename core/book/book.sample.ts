import { parseRecipe, type Recipe } from './recipe.ts';

/** Words of a hive, for puzzles in tests. */
export const HIVE_WORDS =
  'swarm propolis drone nectar skep waggle brood queen pollen smoker comb forager honey veil apiary clover heather lavender beeswax worker larva pupa entrance frame super nurse guard scout'.split(
    ' ',
  );

/** A book on 6 × 9 in with nothing to find fault with; whatever a test is about is given. */
export const bookOf = (sections: unknown[], more: Record<string, unknown> = {}): Recipe =>
  parseRecipe({
    quill: 1,
    id: 'test',
    seed: 'moth-7',
    title: 'The Hive',
    penName: 'Odile Marrow',
    print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
    listing: { description: 'A book.', keywords: ['book'], prices: { us: 9.99, gb: 8.99 } },
    sections,
    ...more,
  });
