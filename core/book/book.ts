import { type PageSpec, type PrintRules, printRules } from '../print/index.ts';
import { NOTHING_GATHERED, type Resources } from '../resources/index.ts';
import { type Hyphenate, wholeWords } from '../text/hyphenation.ts';
import { planBook, printSpec } from './plan.ts';
import type { Plan } from './planned.ts';
import type { Recipe } from './recipe.ts';
import { type Section, sectionsOf } from './sections.ts';

/** A book, ready to be drawn, measured and checked: its recipe and what follows from it. */
export interface Book {
  recipe: Recipe;
  plan: Plan;
  spec: PageSpec;
  /** What the printing service wants of books of its binding. */
  rules: PrintRules;
  /** By id, those in groups included. */
  sections: ReadonlyMap<string, Section>;
  /** What its sections use beside the recipe. */
  resources: Resources;
  /** How words of its language are broken at the ends of lines. */
  hyphenate: Hyphenate;
}

/**
 * Plans a recipe.
 * @param resources gathered for drawing, as hyphenation is; planning does without
 * @throws RangeError for a service, binding or kind that is not known
 */
export function bookFrom(
  recipe: Recipe,
  resources: Resources = NOTHING_GATHERED,
  hyphenate: Hyphenate = wholeWords,
): Book {
  const rules = printRules(recipe.print.service, recipe.print.binding);
  return {
    recipe,
    plan: planBook(recipe, rules),
    spec: printSpec(recipe),
    rules,
    sections: new Map(sectionsOf(recipe.sections).map((section) => [section.id, section])),
    resources,
    hyphenate,
  };
}
