import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pageKind } from '../pages/index.ts';
import { LEVELS } from '../puzzles/level.ts';
import { recipeOf } from './book.sample.ts';
import {
  addMix,
  bookFrom,
  isGroup,
  MIX_ORDERS,
  type MixPart,
  mixKinds,
  partsOf,
  sectionsOf,
} from './index.ts';

const empty = () => recipeOf([{ id: 't', kind: 'title-page' }], { quill: 4 });
const [sudoku, maze, cages, crossword] = ['sudoku', 'maze', 'cages', 'crossword'].map((id) => pageKind(id)!);
const of = (part: Partial<MixPart>): MixPart => ({ kind: sudoku!, level: 1, count: 1, ...part });

/** How many puzzles of each kind and level are in a book, by its plan. */
function counted(recipe: ReturnType<typeof empty>): Record<string, number> {
  const { plan, sections } = bookFrom(recipe);
  const all: Record<string, number> = {};
  for (const [id, { kind, options }] of sections) {
    const { count = 0 } = plan.items[id] ?? {};
    if (count) all[`${kind} ${options.level}`] = (all[`${kind} ${options.level}`] ?? 0) + count;
  }
  return all;
}

describe('so many of each kind and level', () => {
  it('are sections one behind the other, by kind or from the lowest level on', () => {
    const parts = [...partsOf(maze!, [2, 0, 1]), ...partsOf(sudoku!, [4, 8]), ...partsOf(crossword!, [3])];
    const named = (order: 'kinds' | 'levels') =>
      sectionsOf(addMix(empty(), parts, order, 1).recipe.sections)
        .slice(1)
        .map(({ kind, options, items }) => [kind, options.level ?? null, items]);
    expect(named('kinds')).toEqual([
      ['maze', 1, 2],
      ['maze', 3, 1],
      ['sudoku', 1, 4],
      ['sudoku', 2, 8],
      ['crossword', null, 3],
    ]);
    expect(named('levels')).toEqual([
      ['crossword', null, 3],
      ['maze', 1, 2],
      ['sudoku', 1, 4],
      ['sudoku', 2, 8],
      ['maze', 3, 1],
    ]);
  });

  it('are numbered through, and their answers go on one behind the other', () => {
    const { recipe } = addMix(empty(), [of({ count: 3 }), of({ level: 2, count: 3 })], 'kinds');
    const { plan } = bookFrom(recipe);
    expect(plan.pages.filter(({ role }) => role === 'solutions')).toHaveLength(1);
    const [, one, other] = recipe.sections;
    expect(plan.items[one!.id]!.displayNumbers).toEqual([1, 2, 3]);
    expect(plan.items[other!.id]!.displayNumbers).toEqual([4, 5, 6]);
  });

  it('shuffled, whole pages of all of them are mixed, and none is more or less than was asked for', () => {
    const parts = [of({ count: 12 }), of({ level: 3, count: 6 }), of({ kind: maze!, level: 2, count: 5 })];
    const { recipe, id } = addMix(empty(), parts, 'shuffled');
    const group = recipe.sections.at(-1)!;
    expect(isGroup(group) && group.id === id).toBe(true);
    expect(counted(recipe)).toEqual({ 'sudoku 1': 12, 'sudoku 3': 6, 'maze 2': 5 });
    const { plan } = bookFrom(recipe);
    const kinds = plan.pages.filter(({ role }) => role === 'body').map(({ section }) => section);
    const changes = kinds.filter((section, i) => section !== kinds[i - 1]).length;
    expect(changes).toBeGreaterThan(4);
  });

  it('any mix has what was asked for, in any order, or says what is too many', () => {
    const kinds = mixKinds();
    const part = fc.record({
      kind: fc.constantFrom(...kinds),
      counts: fc.array(fc.constantFrom(0, 0, 1, 3, 7, 12, 25), { minLength: 5, maxLength: 5 }),
    });
    let made = 0;
    let refused = 0;
    fc.assert(
      fc.property(
        fc.uniqueArray(part, { selector: ({ kind }) => kind.id, minLength: 1, maxLength: 4 }),
        fc.constantFrom(...MIX_ORDERS),
        (rows, order) => {
          const parts = rows.flatMap(({ kind, counts }) => partsOf(kind, counts));
          const asked = parts.filter(({ count }) => count > 0);
          let recipe: ReturnType<typeof empty>;
          try {
            ({ recipe } = addMix(empty(), parts, order));
          } catch (error) {
            refused++;
            expect((error as Error).message).toMatch(
              asked.length ? /at most \d+/ : /^Say how many puzzles of which kind/,
            );
            return;
          }
          made++;
          const byKind = (all: readonly (readonly [string, number])[]) => {
            const sums: Record<string, number> = {};
            for (const [kind, count] of all) sums[kind] = (sums[kind] ?? 0) + count;
            return sums;
          };
          const planned = Object.entries(counted(recipe)).map(
            ([key, count]) => [key.split(' ')[0]!, count] as const,
          );
          expect(byKind(planned)).toEqual(byKind(asked.map(({ kind, count }) => [kind.id, count] as const)));
        },
      ),
      { numRuns: 150 },
    );
    expect(made).toBeGreaterThan(refused);
    expect(refused).toBeGreaterThan(0);
  });

  it('too many for a shuffled mix are told', () => {
    const many = LEVELS.flatMap((level) => [sudoku!, maze!, cages!].map((kind) => of({ kind, level })));
    expect(() => addMix(empty(), many, 'shuffled')).toThrow(/at most 12 kinds and levels, not 15/);
    expect(() => addMix(empty(), [of({ kind: maze!, count: 61 })], 'shuffled')).toThrow(
      'Maze: 61 take 61 pages; shuffled, a kind and level has at most 60.',
    );
    expect(addMix(empty(), many, 'kinds').recipe.sections).toHaveLength(16);
  });
});
