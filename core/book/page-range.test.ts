import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { HIVE_WORDS, planOf, recipeOf } from './book.sample.ts';
import { bookFrom, findSteps, isolate, itemsBetween, readRecipe, sectionsOf } from './index.ts';

const type = typesetterFromDisk();
const book = recipeOf([
  { id: 't', kind: 'title-page' },
  { id: 'a', kind: 'ruled', pages: 9 },
  {
    id: 's',
    kind: 'word-search',
    items: 6,
    options: { words: { lists: [{ title: 'Hive', words: HIVE_WORDS }] } },
  },
  {
    id: 'g',
    group: {
      rounds: 4,
      members: [
        { id: 'b', kind: 'dot-grid' },
        { id: 'c', kind: 'ruled' },
      ],
    },
  },
  { id: 'd', kind: 'graph', pages: 5, backs: 'blank', starts: 'right' },
]);

const kindsOfPages = (recipe: typeof book): string[] =>
  planOf(recipe).pages.map(({ section, role }) => {
    const found = sectionsOf(recipe.sections).find(({ id }) => id === section);
    return `${role} ${found?.kind ?? ''}`;
  });

describe('pages from one to another', () => {
  const plan = planOf(book);
  const page = fc.integer({ min: 1, max: plan.pages.length });

  it('become entries of their own, and every page stays what it was', () => {
    fc.assert(
      fc.property(page, page, (a, b) => {
        const [first, last] = [Math.min(a, b), Math.max(a, b)];
        const { recipe, ids, shared } = isolate(book, plan, first, last);
        expect(readRecipe(recipe).problems).toBeUndefined();
        expect(kindsOfPages(recipe)).toEqual(kindsOfPages(book));
        const parted = planOf(recipe);
        for (const id of ids) {
          const run = parted.runs.find(({ section, role }) => section === id && role === 'body')!;
          const own = parted.pages.slice(run.first - 1, run.last).filter(({ unit }) => unit);
          expect(own.every(({ number }) => number >= first && number <= last)).toBe(true);
        }
        // What is neither belongs to entries that cannot be parted.
        expect(shared.every((id) => id === 's' || id === 'g')).toBe(true);
        for (const { section, unit, number, role } of parted.pages.slice(first - 1, last)) {
          if (!unit || role !== 'body') continue;
          const entry = recipe.sections.find(
            (one) =>
              one.id === section || ('group' in one && one.group.members.some(({ id }) => id === section)),
          )!;
          expect([...ids, ...shared], `page ${number}`).toContain(entry.id);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('have the items that stand on them', () => {
    expect(itemsBetween(plan, 1, 10)).toEqual([]);
    expect(itemsBetween(plan, 12, 14)).toEqual([2, 3, 4].map((item) => ({ section: 's', item })));
    expect(itemsBetween(plan, 1, plan.pages.length)).toHaveLength(6);
  });
});

describe('finding', () => {
  const found = (typed: string): number[] => {
    const steps = findSteps(bookFrom(book), typed, type);
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
    }
  };

  it('leads to the pages that say so, whatever the capitals, and by number', () => {
    expect(found('the hive')).toEqual([1]);
    expect(found('  THE   Hive ')).toEqual([1]);
    expect(found('puzzle 3').at(0)).toBe(13);
    expect(found('7')).toContain(7);
    expect(found('no such words')).toEqual([]);
    expect(found('  ')).toEqual([]);
  });

  it('reads no words from the rows of a grid', () => {
    // Every puzzle lists words; the letters of its grid spell others that nobody wrote.
    const lines = found('beeswax');
    expect(lines.length).toBeGreaterThan(0);
    expect(lines.every((number) => planOf(book).pages[number - 1]!.section === 's')).toBe(true);
  });
});
