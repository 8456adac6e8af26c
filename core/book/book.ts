import { type PrintService, type PrintSpec, printService } from '../print/index.ts';
import { type Plan, planBook, printSpec } from './plan.ts';
import type { Recipe } from './recipe.ts';
import { type Section, sectionsOf } from './sections.ts';

/** A book, ready to be drawn, measured and checked: its recipe and what follows from it. */
export interface Book {
  recipe: Recipe;
  plan: Plan;
  spec: PrintSpec;
  service: PrintService;
  /** By id, those in groups included. */
  sections: ReadonlyMap<string, Section>;
}

/** Plans a recipe. @throws RangeError for a service or kind that is not known */
export function bookFrom(recipe: Recipe): Book {
  const service = printService(recipe.print.service);
  return {
    recipe,
    plan: planBook(recipe, service),
    spec: printSpec(recipe),
    service,
    sections: new Map(sectionsOf(recipe.sections).map((section) => [section.id, section])),
  };
}
