import { bookFrom } from './book.ts';
import type { Plan } from './planned.ts';
import { parseRecipe, type Recipe } from './recipe.ts';
import { type Section, sectionsOf } from './sections.ts';

/** Words of a hive, for puzzles in tests. */
export const HIVE_WORDS =
  'swarm propolis drone nectar skep waggle brood queen pollen smoker comb forager honey veil apiary clover heather lavender beeswax worker larva pupa entrance frame super nurse guard scout'.split(
    ' ',
  );

const words = { lists: [{ title: 'In the hive', words: HIVE_WORDS }] };
const clues = HIVE_WORDS.map((word) => `${word} | What the keeper calls ${word.length} letters`).join('\n');
const questions = Array.from({ length: 12 }, (_, i) => `What is thing ${i}? | Thing ${i} | Skep | Comb`).join(
  '\n',
);

/** Options without which kinds of puzzle have nothing to be made from. */
export const PUZZLE_SOURCES: Readonly<Record<string, object>> = {
  'word-search': { words },
  'fill-in': { words },
  'word-scramble': { words },
  crossword: { clues },
  cryptogram: { texts: 'Where there are bees, there is honey. | Old saying' },
  trivia: { questions },
  'word-cards': { pairs: 'bee | hive\nfox | den\nbird | nest\nspider | web' },
  'hidden-message': { messages: 'Honey', clues },
};

/** A book on 6 × 9 in with nothing to find fault with; whatever a test is about is given. */
export const recipeOf = (sections: unknown[], more: Record<string, unknown> = {}): Recipe =>
  parseRecipe({
    // Of the format before margins were set for the trim: pages have all the room that the service allows.
    quill: 3,
    id: 'test',
    seed: 'moth-7',
    title: 'The Hive',
    penName: 'Odile Marrow',
    print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
    listing: { description: 'A book.', keywords: ['book'], prices: { us: 9.99, gb: 8.99 } },
    sections,
    ...more,
  });

export const planOf = (recipe: Recipe): Plan => bookFrom(recipe).plan;

/** A section by its place among all sections, those in groups included. */
export const sectionAt = (recipe: Recipe, place = 0): Section => sectionsOf(recipe.sections)[place]!;
