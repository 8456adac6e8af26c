import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { HIVE_WORDS, planOf, recipeOf } from './book.sample.ts';
import {
  bookFrom,
  changeGroup,
  findSteps,
  isolate,
  itemsBetween,
  movePages,
  openAt,
  readRecipe,
  sectionsOf,
} from './index.ts';

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
        expect(shared).toEqual([]);
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

describe('pages that are moved', () => {
  const papers = recipeOf([
    { id: 'a', kind: 'ruled', pages: 7 },
    { id: 'b', kind: 'dot-grid', pages: 1 },
    { id: 'c', kind: 'graph', pages: 5 },
    { id: 'd', kind: 'ruled', pages: 4, options: { ruling: 'wide' } },
  ]);
  /** Of every page, what stands on it. */
  const looks = (recipe: typeof book): string[] =>
    planOf(recipe).pages.flatMap(({ section }) => {
      const found = sectionsOf(recipe.sections).find(({ id }) => id === section);
      return found ? [`${found.kind} ${found.options.ruling ?? ''}`] : [];
    });
  const was = looks(papers);
  const page = fc.integer({ min: 1, max: was.length });

  it('stand before the page that they were moved to, and all others keep their order', () => {
    fc.assert(
      fc.property(page, page, fc.integer({ min: 1, max: was.length + 1 }), (a, b, before) => {
        const [first, last] = [Math.min(a, b), Math.max(a, b)];
        const { recipe, shared, moved: at } = movePages(papers, planOf(papers), [first, last], before);
        expect(shared).toEqual([]);
        expect(readRecipe(recipe).problems).toBeUndefined();
        const moved = was.slice(first - 1, last);
        if (at) expect(looks(recipe).slice(at[0] - 1, at[1])).toEqual(moved);
        const inside = before >= first && before <= last + 1;
        const expected = inside
          ? was
          : before < first
            ? [...was.slice(0, before - 1), ...moved, ...was.slice(before - 1, first - 1), ...was.slice(last)]
            : [
                ...was.slice(0, first - 1),
                ...was.slice(last, before - 1),
                ...moved,
                ...was.slice(before - 1),
              ];
        expect(looks(recipe)).toEqual(expected);
        // As few sections as before once they are back.
        if (!at) return;
        const back = movePages(recipe, planOf(recipe), at, before < first ? last + 1 : first).recipe;
        expect(looks(back)).toEqual(was);
        expect(back.sections.length).toBeLessThanOrEqual(papers.sections.length);
      }),
      { numRuns: 150 },
    );
  });

  it('go to the nearer end of what cannot be parted, and stay where they are no pages of their own', () => {
    const mixed = changeGroup(book, 'g', (group) => ({
      ...group,
      group: { ...group.group, order: 'shuffled' },
    }));
    const plan = planOf(mixed);
    const runOf = (id: string) => plan.runs.find(({ section, role }) => section === id && role === 'body')!;
    const { first, last } = runOf('g');
    const order = (before: number, range: [number, number] = [1, 1]) =>
      movePages(mixed, plan, range, before).recipe.sections.map(({ id }) => id);
    expect(order(first + 1)).toEqual(['a', 's', 't', 'g', 'd']);
    expect(order(last)).toEqual(['a', 's', 'g', 't', 'd']);
    expect(movePages(mixed, plan, [first + 1, first + 2], 1)).toEqual({
      recipe: mixed,
      moved: null,
      shared: ['g'],
    });
  });

  it('among pages that are all alike nothing is moved, and no section is parted', () => {
    const plan = planOf(papers);
    for (const before of [1, 2, 3, 6, 7])
      expect(movePages(papers, plan, [4, 4], before)).toEqual({ recipe: papers, moved: null, shared: [] });
  });

  it('what follows from the whole book, or fills it, is not parted', () => {
    const whole = recipeOf([
      { id: 'c', kind: 'contents' },
      ...Array.from({ length: 60 }, (_, i) => ({ id: `g${i}`, kind: 'graph', pages: 1 })),
      { id: 'f', kind: 'ruled', pages: 2, fillTo: 80 },
    ]);
    const plan = planOf(whole);
    for (const id of ['c', 'f']) {
      const { first, last } = plan.runs.find(({ section }) => section === id)!;
      expect(last).toBeGreaterThan(first);
      expect(movePages(whole, plan, [first, first], 20)).toEqual({
        recipe: whole,
        moved: null,
        shared: [id],
      });
    }
  });

  it('the running order is opened at every page of every book', () => {
    const plan = planOf(book);
    for (const { number } of plan.pages) {
      const { recipe, at } = openAt(book, plan, number);
      expect(readRecipe(recipe).problems).toBeUndefined();
      expect(at).toBeGreaterThanOrEqual(0);
      expect(at).toBeLessThanOrEqual(recipe.sections.length);
      expect(kindsOfPages(recipe)).toEqual(kindsOfPages(book));
    }
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
