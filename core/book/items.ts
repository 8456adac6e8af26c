import type { FillContext } from '../pages/index.ts';
import { kindOf, type Recipe, type Section } from './recipe.ts';

/** Items kept per section settings: the pages of a preview and their solutions ask for the same ones. */
const ITEMS_KEPT = 3000;

/** What an item is made from, apart from its number, by section object; recipes are immutable values. */
const made = new WeakMap<object, Map<string, unknown>>();

/**
 * The context an item is filled from. Everything that can change an item is in it, and nothing else: that is why
 * re-rolling one puzzle changes no other.
 */
export function fillContext(
  recipe: Recipe,
  section: Section,
  item: number,
): FillContext<Record<string, unknown>> {
  return {
    options: section.options,
    banks: recipe.banks as FillContext<unknown>['banks'],
    streamKey: [recipe.seed, section.id],
    item,
    roll: section.rolls?.[item] ?? 0,
    pin: section.pins?.[item],
  };
}

/** The item, made now or kept from before for the same settings. */
export function filledItem(recipe: Recipe, section: Section, item: number): unknown {
  const kind = kindOf(section);
  if (!kind.fill) return undefined;
  const context = fillContext(recipe, section, item);
  let kept = made.get(section.options);
  if (!kept) {
    kept = new Map();
    made.set(section.options, kept);
  }
  const bank = (section.options.words as { bank?: string } | undefined)?.bank;
  const key = JSON.stringify([
    recipe.seed,
    section.id,
    item,
    context.roll,
    context.pin ?? null,
    bank ? bankMark(recipe, bank) : 0,
  ]);
  if (!kept.has(key)) {
    if (kept.size >= ITEMS_KEPT) kept.clear();
    kept.set(key, kind.fill(context));
  }
  return kept.get(key);
}

let marks = 0;
const bankMarks = new WeakMap<object, number>();

/** A number that stands for the very words a bank holds now. */
function bankMark(recipe: Recipe, id: string): number {
  const words = recipe.banks[id]?.words;
  if (!words) return 0;
  let mark = bankMarks.get(words);
  if (!mark) {
    mark = ++marks;
    bankMarks.set(words, mark);
  }
  return mark;
}
