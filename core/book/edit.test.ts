import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type PageKind, pageKinds } from '../pages/index.ts';
import { HIVE_WORDS, planOf, recipeOf, sectionAt } from './book.sample.ts';
import {
  addSection,
  bookFrom,
  changeSection,
  jobTicket,
  moveSections,
  parseRecipe,
  type Recipe,
  refusal,
  removeSection,
  reroll,
  sectionsOf,
  takeRoll,
  togglePin,
  withCandidate,
} from './index.ts';

/** What the running order should be, told as plainly as can be. */
interface Model {
  ids: string[];
  pinned: Set<string>;
  rolls: Map<string, number>;
}
interface Real {
  recipe: Recipe;
  /** Every state so far, to be found unchanged at the end. */
  past: [state: Recipe, text: string][];
}

const keep = (real: Real, next: Recipe) => {
  real.past.push([real.recipe, JSON.stringify(real.recipe)]);
  real.recipe = next;
};
/** The section at a place counted from the front, going round. */
const at = (model: Model, place: number) => model.ids[place % model.ids.length]!;
const key = (id: string, item: number) => `${id} ${item}`;
const ITEMS = 3;

class Add implements fc.Command<Model, Real> {
  constructor(
    readonly kind: PageKind,
    readonly place: number,
  ) {}
  check = (model: Readonly<Model>) => model.ids.length < 8;
  run(model: Model, real: Real) {
    const place = this.place % (model.ids.length + 1);
    keep(real, addSection(real.recipe, this.kind, place));
    const added = sectionAt(real.recipe, place);
    expect(added.kind).toBe(this.kind.id);
    expect(model.ids).not.toContain(added.id);
    model.ids.splice(place, 0, added.id);
    if (this.kind.extent === 'items')
      keep(
        real,
        changeSection(real.recipe, added.id, (one) => ({
          ...one,
          items: ITEMS,
          options: { ...one.options, ...(one.kind === 'word-search' ? OPTIONS : {}) },
        })),
      );
  }
  toString = () => `add ${this.kind.id} at ${this.place}`;
}

class Move implements fc.Command<Model, Real> {
  constructor(
    readonly from: number,
    readonly to: number,
  ) {}
  check = (model: Readonly<Model>) => model.ids.length > 1;
  run(model: Model, real: Real) {
    const from = this.from % model.ids.length;
    const [id] = model.ids.splice(from, 1);
    const before = real.recipe.sections.map((entry) => entry.id).indexOf(model.ids[Math.max(this.to, 0)]!);
    keep(real, moveSections(real.recipe, [id!], before < 0 ? real.recipe.sections.length : before));
    model.ids.splice(Math.min(Math.max(this.to, 0), model.ids.length), 0, id!);
  }
  toString = () => `move ${this.from} to ${this.to}`;
}

class Remove implements fc.Command<Model, Real> {
  constructor(readonly place: number) {}
  check = (model: Readonly<Model>) => model.ids.length > 1;
  run(model: Model, real: Real) {
    const id = at(model, this.place);
    keep(real, removeSection(real.recipe, id));
    model.ids.splice(model.ids.indexOf(id), 1);
  }
  toString = () => `remove ${this.place}`;
}

class Pin implements fc.Command<Model, Real> {
  constructor(
    readonly place: number,
    readonly item: number,
  ) {}
  check = (model: Readonly<Model>) => model.ids.length > 0;
  run(model: Model, real: Real) {
    const id = at(model, this.place);
    const section = sectionsOf(real.recipe.sections).find((one) => one.id === id)!;
    keep(real, togglePin(real.recipe, id, this.item));
    const name = key(id, this.item);
    // Pages that are not made from items have nothing to pin.
    if (section.items !== undefined && !model.pinned.delete(name)) model.pinned.add(name);
  }
  toString = () => `pin ${this.place}, ${this.item}`;
}

class Reroll implements fc.Command<Model, Real> {
  constructor(
    readonly place: number,
    readonly item: number,
  ) {}
  check = (model: Readonly<Model>) => model.ids.length > 0;
  run(model: Model, real: Real) {
    const id = at(model, this.place);
    const section = sectionsOf(real.recipe.sections).find((one) => one.id === id)!;
    keep(real, reroll(real.recipe, id, this.item));
    const name = key(id, this.item);
    if (section.items !== undefined && !model.pinned.has(name))
      model.rolls.set(name, (model.rolls.get(name) ?? 0) + 1);
  }
  toString = () => `re-roll ${this.place}, ${this.item}`;
}

const OPTIONS = { words: { lists: [{ words: HIVE_WORDS }] }, columns: 12, rows: 12, wordsPerPuzzle: 10 };
const place = fc.nat(9);
const item = fc.integer({ min: 1, max: ITEMS });
const edits = fc.commands(
  [
    fc.tuple(fc.constantFrom(...pageKinds()), place).map((given) => new Add(...given)),
    fc.tuple(place, fc.integer({ min: -2, max: 12 })).map((given) => new Move(...given)),
    place.map((given) => new Remove(given)),
    fc.tuple(place, item).map((given) => new Pin(...given)),
    fc.tuple(place, item).map((given) => new Reroll(...given)),
  ],
  { maxCommands: 25 },
);

describe('candidates', () => {
  const start = recipeOf([
    { id: 's', kind: 'sudoku', items: 9, options: { perPage: 4 }, pins: {} },
    { id: 'r', kind: 'ruled', pages: 2 },
  ]);

  it('are the items of so many re-rolls, each alone on its page', () => {
    const twice = reroll(reroll(start, 's', 3), 's', 3);
    expect(takeRoll(start, 's', 3, 2)).toEqual(twice);
    const shown = sectionsOf(withCandidate(start, 's', 3, 2).sections)[0]!;
    expect(shown).toEqual({ ...sectionsOf(twice.sections)[0]!, options: { ...shown.options, perPage: 1 } });
  });

  it('are none of a pinned item, nor of pages without items', () => {
    const pinned = togglePin(start, 's', 3);
    expect(takeRoll(pinned, 's', 3, 5)).toEqual(pinned);
    expect(takeRoll(start, 'r', 1, 5)).toEqual(start);
    expect(takeRoll(start, 'gone', 1, 5)).toEqual(start);
  });
});

describe('any run of changes', () => {
  it('gives the running order that was asked for, a sound recipe at every step, and leaves every state behind as it was', () => {
    fc.assert(
      fc.property(edits, (commands) => {
        const setup = () => ({
          model: { ids: ['r'], pinned: new Set<string>(), rolls: new Map<string, number>() },
          real: { recipe: recipeOf([{ id: 'r', kind: 'ruled', pages: 24 }]), past: [] } as Real,
        });
        const { model, real } = setup();
        fc.modelRun(() => ({ model, real }), commands);
        expect(real.recipe.sections.map(({ id }) => id)).toEqual(model.ids);
        for (const section of sectionsOf(real.recipe.sections))
          for (let i = 1; i <= ITEMS; i++) {
            expect(Boolean(section.pins?.[i])).toBe(model.pinned.has(key(section.id, i)));
            expect(section.rolls?.[i] ?? 0).toBe(model.rolls.get(key(section.id, i)) ?? 0);
          }
        for (const [state, text] of real.past) {
          expect(JSON.stringify(state)).toBe(text);
          expect(refusal(state)).toBeNull();
        }
        // What is kept as a file reads back as the same book, with the same pages.
        const read = parseRecipe(JSON.parse(JSON.stringify(real.recipe)));
        expect(read).toEqual(real.recipe);
        expect(planOf(read).pages).toHaveLength(jobTicket(bookFrom(real.recipe)).pages);
      }),
      { numRuns: 60 },
    );
  });
});
