import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planOf, recipeOf } from './book.sample.ts';
import {
  addStandingPage,
  bookFrom,
  bringInItems,
  changeGroup,
  changeSection,
  copyOf,
  duplicate,
  filledItem,
  isGroup,
  isolate,
  keepPin,
  movePages,
  openAt,
  paste,
  type Recipe,
  readRecipe,
  removePages,
  reroll,
  type Section,
  sectionsOf,
  showsStanding,
  standingContentOf,
  withStandingPage,
} from './index.ts';

const PYRAMIDS = { kind: 'number-pyramid', options: { perPage: 2, rows: 4 } };
const book = recipeOf([
  { id: 'a', kind: 'ruled', pages: 3 },
  { id: 'p', items: 11, rolls: { 4: 2 }, facts: 'One\nTwo\nThree\nFour\nFive\nSix', ...PYRAMIDS },
  { id: 'b', kind: 'dot-grid', pages: 2 },
  { id: 'v', kind: 'ruled', pages: 5, options: { heading: 'subject', subjects: 'Moths\nBees\nWasps' } },
  { id: 'w', kind: 'planner', options: { view: 'week', pages: 'one', from: '2027-01-01', to: '2027-02-28' } },
  { id: 't', kind: 'text-list', options: { list: 'First\nSecond\nThird\nFourth', order: 'shuffled' } },
]);
const lowest = [3, 1, 2, 4];
const pinned = keepPin(book, 'p', 9, { lowest, given: [0] });

/** Of every page with something on it: its kind, what it takes in turn, its puzzles and the fact at its foot. */
function looks(recipe: Recipe): string[] {
  const made = bookFrom(recipe);
  return made.plan.pages.flatMap(({ section: id, role, unit, items }) => {
    if (role !== 'body' || !unit) return [];
    const section = made.sections.get(id!)!;
    return JSON.stringify([
      section.kind,
      unit.data ?? null,
      items.map((item) => filledItem(made, section, item)),
    ]);
  });
}

const sectionOf = (recipe: Recipe, id: string): Section =>
  sectionsOf(recipe.sections).find((one) => one.id === id)!;
const kindsOf = (recipe: Recipe) => recipe.sections.map((entry) => (isGroup(entry) ? 'group' : entry.kind));
const runOf = (recipe: Recipe, id: string) =>
  planOf(recipe).runs.find(({ section, role }) => section === id && role === 'body')!;

describe('pages with puzzles, and pages that take words in turn', () => {
  const was = looks(book);
  const page = fc.integer({ min: 1, max: was.length });

  it('stay what they were when some are moved, and are as few sections as before once these are back', () => {
    expect(new Set(was).size).toBeGreaterThan(10);
    fc.assert(
      fc.property(page, page, fc.integer({ min: 1, max: was.length + 1 }), (a, b, before) => {
        const [first, last] = [Math.min(a, b), Math.max(a, b)];
        const { recipe, moved, shared } = movePages(book, planOf(book), [first, last], before);
        expect(shared).toEqual([]);
        expect(readRecipe(recipe).problems).toBeUndefined();
        const inside = before >= first && before <= last + 1;
        const taken = was.slice(first - 1, last);
        const others = was.toSpliced(first - 1, taken.length);
        const at = before < first ? before - 1 : before - 1 - taken.length;
        expect(looks(recipe)).toEqual(inside ? was : others.toSpliced(at, 0, ...taken));
        if (!moved) return;
        const back = movePages(recipe, planOf(recipe), moved, before < first ? last + 1 : first).recipe;
        expect(looks(back)).toEqual(was);
        expect(kindsOf(back)).toEqual(kindsOf(book));
        expect(sectionOf(back, 'p').partOf).toBeUndefined();
        expect(sectionOf(back, 'p').rolls).toEqual({ 4: 2 });
      }),
      { numRuns: 150 },
    );
  });

  it('stay what they were when others are taken out, or something is put between them', () => {
    fc.assert(
      fc.property(page, page, (a, b) => {
        const [first, last] = [Math.min(a, b), Math.max(a, b)];
        const { recipe, removed } = removePages(book, planOf(book), first, last);
        expect(removed).toBe(true);
        expect(readRecipe(recipe).problems).toBeUndefined();
        expect(looks(recipe)).toEqual(was.toSpliced(first - 1, last - first + 1));
        const opened = openAt(book, planOf(book), first);
        expect(looks(opened.recipe)).toEqual(was);
      }),
      { numRuns: 100 },
    );
  });

  it('taken out of the middle leave one section', () => {
    const { first } = runOf(book, 'p');
    const { recipe } = removePages(book, planOf(book), first + 1, first + 2);
    expect(kindsOf(recipe)).toEqual(kindsOf(book));
    expect(sectionOf(recipe, 'p').items).toBe(7);
    expect(sectionOf(recipe, 'p').partOf).toEqual({
      runs: [
        { stream: 'p', first: 1, last: 2, of: 11 },
        { stream: 'p', first: 7, last: 11, of: 11 },
      ],
      next: 12,
    });
  });

  it('keep puzzles changed by hand and re-rolled ones, wherever they go', () => {
    const rolled = reroll(pinned, 'p', 10);
    const all = looks(rolled);
    const { first, last } = runOf(rolled, 'p');
    // The page with puzzles 9 and 10 before the first.
    const { recipe } = movePages(rolled, planOf(rolled), [first + 4, first + 4], first);
    const section = sectionOf(recipe, 'p');
    expect(section.pins).toEqual({ 1: { lowest, given: [0] } });
    expect(section.rolls).toEqual({ 2: 1, 6: 2 });
    const order = [first + 4, first, first + 1, first + 2, first + 3, last];
    expect(looks(recipe).slice(first - 1, last)).toEqual(order.map((number) => all[number - 1]));
  });

  it('a page that is not full stays one, and is a section of its own before others', () => {
    const { first, last } = runOf(book, 'p');
    const { recipe } = movePages(book, planOf(book), [last, last], first);
    expect(sectionsOf(recipe.sections).flatMap(({ items }) => items ?? [])).toEqual([1, 10]);
    expect(looks(recipe)[first - 1]).toBe(was[last - 1]);
  });

  it('a part that is made longer has puzzles that no other part has', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat(), fc.integer({ min: 0, max: 3 })), {
          minLength: 1,
          maxLength: 6,
        }),
        (steps) => {
          let recipe = recipeOf([
            { id: 'p', items: 12, ...PYRAMIDS },
            { id: 'b', kind: 'dot-grid', pages: 2 },
          ]);
          for (const [a, b, c, more] of steps) {
            const { length } = looks(recipe);
            const [x, y] = [1 + (a % length), 1 + (b % length)];
            recipe = movePages(
              recipe,
              planOf(recipe),
              [Math.min(x, y), Math.max(x, y)],
              1 + (c % (length + 1)),
            ).recipe;
            const puzzles = sectionsOf(recipe.sections).filter(({ items }) => items !== undefined);
            const grown = puzzles[a % puzzles.length]!;
            recipe = changeSection(recipe, grown.id, (now) => ({ ...now, items: now.items! + 2 * more }));
          }
          expect(readRecipe(recipe).problems).toBeUndefined();
          const made = bookFrom(recipe);
          const puzzles = [...made.sections.values()].flatMap((section) =>
            Array.from({ length: section.items ?? 0 }, (_, i) =>
              JSON.stringify(filledItem(made, section, i + 1)),
            ),
          );
          expect(new Set(puzzles).size).toBe(puzzles.length);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('have their answers together, as if they were not parted', () => {
    const { first } = runOf(book, 'p');
    const { recipe } = isolate(book, planOf(book), first + 1, first + 2);
    expect(sectionsOf(recipe.sections).flatMap(({ items }) => items ?? [])).toEqual([2, 4, 5]);
    const answers = (of: Recipe) =>
      planOf(of).pages.flatMap(({ role, answers: all }) => (role === 'solutions' ? [all.length] : []));
    expect(answers(recipe)).toEqual(answers(book));
    // Numbers go on, and so do the facts at the foot.
    const numbers = Object.values(planOf(recipe).items).flatMap(({ displayNumbers }) => displayNumbers);
    expect(numbers).toEqual(Array.from({ length: 11 }, (_, i) => i + 1));
  });
});

describe('pages of a group', () => {
  const alternating = recipeOf([
    { id: 'a', kind: 'ruled', pages: 2 },
    {
      id: 'g',
      group: {
        rounds: 5,
        members: [
          { id: 'p', ...PYRAMIDS, rolls: { 4: 2 } },
          { id: 'd', kind: 'dot-grid', times: 2 },
          { id: 'v', kind: 'ruled', options: { heading: 'subject', subjects: 'Moths\nBees\nWasps' } },
          { id: 'w', kind: 'planner', options: { view: 'week', pages: 'one', to: '2027-02-28' } },
        ],
      },
    },
    { id: 'b', kind: 'graph', pages: 2 },
  ]);
  const was = looks(alternating);
  const page = fc.integer({ min: 1, max: was.length });

  it('stay what they were when some are moved or taken out, or something is put between them', () => {
    expect(was).toHaveLength(29);
    fc.assert(
      fc.property(page, page, fc.integer({ min: 1, max: was.length + 1 }), (a, b, before) => {
        const [first, last] = [Math.min(a, b), Math.max(a, b)];
        const plan = planOf(alternating);
        const taken = was.slice(first - 1, last);
        const others = was.toSpliced(first - 1, taken.length);
        const gone = removePages(alternating, plan, first, last);
        expect(gone.shared).toEqual([]);
        expect(readRecipe(gone.recipe).problems).toBeUndefined();
        expect(looks(gone.recipe)).toEqual(others);
        expect(looks(openAt(alternating, plan, first).recipe)).toEqual(was);
        const { recipe } = movePages(alternating, plan, [first, last], before);
        expect(readRecipe(recipe).problems).toBeUndefined();
        const inside = before >= first && before <= last + 1;
        const at = before < first ? before - 1 : before - 1 - taken.length;
        expect(looks(recipe)).toEqual(inside ? was : others.toSpliced(at, 0, ...taken));
        // Once more, what is left of it.
        const half = Math.ceil(planOf(recipe).pages.length / 2);
        const again = removePages(recipe, planOf(recipe), half, half).recipe;
        expect(looks(again)).toEqual(looks(recipe).toSpliced(half - 1, 1));
      }),
      { numRuns: 120 },
    );
  });

  it('whole rounds that are taken out leave one group, and put back they are the same', () => {
    const { first } = runOf(alternating, 'g');
    const plan = planOf(alternating);
    const { recipe } = removePages(alternating, plan, first + 5, first + 14);
    expect(kindsOf(recipe)).toEqual(['ruled', 'group', 'graph']);
    const moved = movePages(alternating, plan, [first + 5, first + 9], first + 15);
    expect(kindsOf(moved.recipe)).toEqual(['ruled', 'group', 'graph']);
    const back = movePages(moved.recipe, planOf(moved.recipe), moved.moved!, first + 5).recipe;
    expect(back).toEqual(alternating);
  });

  it('have their answers together', () => {
    const { recipe } = removePages(alternating, planOf(alternating), 10, 10);
    expect(recipe.sections.length).toBeGreaterThan(5);
    const answers = (of: Recipe) =>
      planOf(of).pages.flatMap(({ role, answers: all }) => (role === 'solutions' ? [all.length] : []));
    expect(answers(alternating)).toEqual([6, 4]);
    expect(answers(recipe)).toEqual([6, 4]);
  });

  it('stay together where they come mixed', () => {
    const mixed = changeGroup(alternating, 'g', (group) => ({
      ...group,
      group: { ...group.group, order: 'shuffled' },
    }));
    const { first } = runOf(mixed, 'g');
    expect(removePages(mixed, planOf(mixed), first, first)).toEqual({
      recipe: mixed,
      removed: false,
      shared: ['g'],
    });
  });
});

describe('pages that follow from options', () => {
  const dated = recipeOf([
    { id: 'w', kind: 'planner', options: { view: 'week', from: '2027-01-01', to: '2027-02-28' } },
    { id: 'b', kind: 'dot-grid', pages: 2 },
  ]);
  const weeks = (recipe: Recipe, id: string) =>
    planOf(recipe).pages.flatMap(({ section, part, unit }) =>
      section === id && part === 'left' ? [(unit!.data as { on: string }).on] : [],
    );
  const all = weeks(dated, 'w');
  const first = planOf(dated).pages.find(({ part }) => part === 'left')!.number;
  const to = (recipe: Recipe, day: string): Recipe =>
    recipe.sections.reduce(
      (next, { id }) =>
        changeSection(next, id, (now) =>
          now.kind === 'planner' ? { ...now, options: { ...now.options, to: day } } : now,
        ),
      recipe,
    );

  it('two that face each other belong together, whichever is taken', () => {
    for (const page of [first + 4, first + 5]) {
      const { recipe } = removePages(dated, planOf(dated), page, page);
      expect(weeks(recipe, 'w')).toEqual(all.toSpliced(2, 1));
    }
  });

  it('nothing comes between those two: what is put behind the first stands behind both', () => {
    for (const page of [first + 5, first + 6]) {
      const opened = openAt(dated, planOf(dated), page);
      expect(opened.at).toBe(1);
      expect(weeks(opened.recipe, 'w')).toEqual(all.slice(0, 3));
    }
  });

  it('are there in their part where other options make them, and the last part has what comes behind', () => {
    const { recipe, ids } = isolate(dated, planOf(dated), first + 4, first + 7);
    const parts = recipe.sections.filter((entry) => !isGroup(entry) && entry.kind === 'planner');
    expect(parts.map(({ id }) => weeks(recipe, id))).toEqual([
      all.slice(0, 2),
      all.slice(2, 4),
      all.slice(4),
    ]);
    expect(parts[1]!.id).toBe(ids[0]);
    const longer = to(recipe, '2027-03-31');
    expect(parts.slice(0, 2).flatMap(({ id }) => weeks(longer, id))).toEqual(all.slice(0, 4));
    expect(weeks(longer, parts[2]!.id)).toEqual(weeks(to(dated, '2027-03-31'), 'w').slice(4));
    const shorter = to(recipe, '2027-01-20');
    expect(parts.map(({ id }) => weeks(shorter, id).length)).toEqual([
      2,
      weeks(to(dated, '2027-01-20'), 'w').length - 2,
      0,
    ]);
    // Parted once more, and put together again, they are all there.
    const again = removePages(longer, planOf(longer), first, first).recipe;
    expect(sectionsOf(again.sections).flatMap(({ id }) => weeks(again, id))).toEqual(
      weeks(to(dated, '2027-03-31'), 'w').slice(1),
    );
  });
});

describe('copies of parts', () => {
  const { first } = runOf(book, 'p');
  const { recipe: parted, ids } = isolate(book, planOf(book), first + 1, first + 2);
  const cut = copyOf(parted, ids);

  it('are the same puzzles where they were cut', () => {
    const without = removePages(book, planOf(book), first + 1, first + 2).recipe;
    const { recipe } = paste(without, cut, 0);
    const was = looks(book);
    expect(looks(recipe).slice(0, 2)).toEqual(was.slice(first, first + 2));
  });

  it('are other puzzles of the same levels where the book has these', () => {
    const { recipe, ids: pasted } = paste(book, cut, 0);
    expect(pasted).not.toEqual(ids);
    const levels = (of: string[]) =>
      of.map((page) => [...page.matchAll(/"level":(\d)/g)].map(([, level]) => level));
    const [was, now] = [looks(book).slice(first, first + 2), looks(recipe).slice(0, 2)];
    expect(levels(now).flat()).toHaveLength(4);
    expect(levels(now)).toEqual(levels(was));
    expect(now.filter((page) => was.includes(page))).toEqual([]);
    // And once more, of the copy.
    const twice = duplicate(recipe, pasted).recipe;
    expect(new Set(looks(twice).slice(0, 4)).size).toBe(4);
  });

  it('are other puzzles where a group has these', () => {
    const group = recipeOf([
      {
        id: 'g',
        group: {
          rounds: 6,
          members: [
            { id: 'p', ...PYRAMIDS },
            { id: 'd', kind: 'dot-grid' },
          ],
        },
      },
    ]);
    const part = isolate(group, planOf(group), 5, 8);
    const was = looks(group);
    const pastedInto = (recipe: Recipe) =>
      looks(paste(recipe, copyOf(part.recipe, part.ids), 0).recipe).slice(0, 4);
    expect(pastedInto(removePages(group, planOf(group), 5, 8).recipe)).toEqual(was.slice(4, 8));
    const again = pastedInto(group).filter((page) => page.includes('pyramid'));
    expect(again).toHaveLength(2);
    expect(again.filter((page) => was.includes(page))).toEqual([]);
  });

  it('take the same words where pages take words in turn', () => {
    const { first: from } = runOf(book, 'v');
    const part = isolate(book, planOf(book), from + 1, from + 1);
    const { recipe } = paste(part.recipe, copyOf(part.recipe, part.ids), 0);
    expect(looks(recipe)[0]).toBe(looks(book)[from]);
  });

  it('puzzles brought in in place of others are no part of anything', () => {
    const brought = bringInItems(parted, ids[0]!, [{ lowest, given: [0] }], 'instead');
    expect(sectionOf(brought, ids[0]!).partOf).toBeUndefined();
    expect(readRecipe(brought).problems).toBeUndefined();
  });
});

describe('what a recipe says of parts', () => {
  const saying = (partOf: unknown) =>
    readRecipe({ ...book, sections: [{ id: 'p', items: 2, ...PYRAMIDS, partOf }] }).problems?.map(
      ({ path, message }) => `${path} ${message}`,
    );
  const run = { stream: 's', first: 3, last: 4, of: 9 };

  it('is read, and refused with the place where it cannot be', () => {
    expect(saying({ runs: [run], next: 10 })).toBeUndefined();
    expect(saying({ runs: [], next: 10 })?.join()).toMatch(/runs.*no runs/);
    expect(saying({ runs: [{ ...run, last: 2 }], next: 10 })?.join()).toMatch(/ends before it begins/);
    expect(saying({ runs: [{ ...run, of: 0 }], next: 10 })?.join()).toMatch(/of/);
    expect(saying({ runs: [run] })?.join()).toMatch(/next/);
    const many = Array.from({ length: 6 }, (_, i) => ({ stream: `s${i}`, first: 1, last: 1, of: 10_000 }));
    expect(saying({ runs: many.slice(1), next: 10 })).toBeUndefined();
    expect(saying({ runs: many, next: 10 })?.join()).toMatch(/sections of more than 50000/);
    const long = [1, 2].map(() => ({ ...run, last: 6000, of: 6000 }));
    expect(saying({ runs: long, next: 10 })?.join()).toMatch(/more than 10000 pages or items/);
    expect(
      readRecipe({ ...book, sections: [{ id: 't', kind: 'title-page', partOf: { runs: [run], next: 1 } }] })
        .problems,
    ).toBeDefined();
  });
});

describe('a standing page', () => {
  const kept = recipeOf([
    {
      id: 'v',
      kind: 'ruled',
      pages: 4,
      standingPage: 's',
      options: { heading: 'subject', subjects: 'A\nB' },
    },
    { id: 'b', kind: 'dot-grid', pages: 2 },
  ]);

  it('is no longer that page where it is parted', () => {
    const { recipe } = removePages(kept, planOf(kept), 2, 2);
    expect(sectionOf(recipe, 'v').pages).toBe(3);
    expect(sectionOf(recipe, 'v').standingPage).toBeUndefined();
    // Moved as a whole it is.
    expect(sectionOf(movePages(kept, planOf(kept), [1, 4], 7).recipe, 'v').standingPage).toBe('s');
  });

  it('that comes in every round of a group stays that page wherever it goes', () => {
    const group = recipeOf([
      {
        id: 'g',
        group: {
          rounds: 8,
          members: [
            { id: 'p', kind: 'text-page', standingPage: 's', options: { what: 'notes', text: 'Look back.' } },
            { id: 'd', kind: 'dot-grid' },
          ],
        },
      },
    ]);
    const { recipe } = removePages(group, planOf(group), 6, 6);
    const texts = sectionsOf(recipe.sections).filter(({ kind }) => kind === 'text-page');
    expect(texts.length).toBeGreaterThan(1);
    expect(texts.every(({ standingPage }) => standingPage === 's')).toBe(true);
  });

  it('that is itself a part is shown as it is kept, part and all', () => {
    const { recipe } = removePages(kept, planOf(kept), 2, 2);
    const content = standingContentOf(recipe, sectionOf(recipe, 'v'));
    const page = { id: 's', name: 'Three', content };
    const shown = withStandingPage(kept, page);
    expect(looks(shown).slice(0, 3)).toEqual(looks(recipe).slice(0, 3));
    expect(showsStanding(shown, sectionOf(shown, 'v'), page)).toBe(true);
    expect(looks(addStandingPage(kept, page, 0)).slice(0, 3)).toEqual(looks(recipe).slice(0, 3));
  });
});
