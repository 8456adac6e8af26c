import * as v from 'valibot';
import { LARGE_TYPES } from '../print/index.ts';
import { type Typesetter, textSizes } from '../scene/index.ts';
import { type Book, bookFrom } from './book.ts';
import { drawPage } from './draw.ts';
import { changeSection } from './edit.ts';
import { pageSteps, type Steps, troublesOf } from './items.ts';
import type { Recipe } from './recipe.ts';
import { kindOf, type Section, sectionsOf } from './sections.ts';

/** What nobody sees, in points: a puzzle for which less than half a point is missing need not have a page of its own. */
const NEARLY = 0.5;

/** That a section is to have fewer of its items on a page. */
export interface FewerToAPage {
  section: string;
  from: number;
  to: number;
}

/** Options of a section with so many items on a page; null where its kind has no such number. */
function optionsWith(section: Section, perPage: number): Section['options'] | null {
  const options = { ...section.options, perPage };
  return v.is(kindOf(section).options, options) ? options : null;
}

/**
 * What sections of a book in large print have on a page so that their type is large: the most, and not more than now, with no type
 * smaller than that of large print, or than it is with as few as can be. Looks at the first page of each.
 * @param ids of sections to look at; all if left out
 */
export function* fewerToAPage(book: Book, type: Typesetter, ids?: readonly string[]): Steps<FewerToAPage[]> {
  const found: FewerToAPage[] = [];
  for (const section of sectionsOf(book.recipe.sections)) {
    const { perPage: from } = section.options;
    if (typeof from !== 'number' || (ids && !ids.includes(section.id)) || troublesOf(book, section).length)
      continue;
    const may = Array.from({ length: from }, (_, i) => i + 1).filter((n) => optionsWith(section, n));
    const [fewest] = may;
    if (fewest === undefined || fewest === from) continue;
    const large = book.recipe.style.largeType ?? LARGE_TYPES[0];
    const least = Math.min(large, yield* typeWith(book, section, fewest, type));
    for (const to of may.reverse()) {
      if (to > fewest && (yield* typeWith(book, section, to, type)) < least - NEARLY) continue;
      if (to < from) found.push({ section: section.id, from, to });
      break;
    }
  }
  return found;
}

/** The smallest type of the first page that a section would have, with so many items on it. */
function* typeWith(book: Book, section: Section, perPage: number, type: Typesetter): Steps<number> {
  const { solutions: _, starts: __, fillTo: ___, times: ____, ...alone } = section;
  const options = optionsWith(section, perPage)!;
  const long = kindOf(section).extent === 'items' ? { items: perPage } : { pages: 1 };
  const recipe = { ...book.recipe, sections: [{ ...alone, options, ...long }] };
  const small = bookFrom(recipe, book.resources, book.hyphenate);
  yield* pageSteps(small, small.plan.pages[0]!);
  return Math.min(...textSizes(drawPage(small, 1, type)).map(({ size }) => size));
}

/** Sets sections so; one that is not there any more, or was set otherwise meanwhile, stays as it is. */
export function withFewerToAPage(recipe: Recipe, fewer: readonly FewerToAPage[]): Recipe {
  const options = new Map(
    sectionsOf(recipe.sections).flatMap((section) => {
      const asked = fewer.find(({ section: id }) => id === section.id);
      const other = asked && asked.from === section.options.perPage ? optionsWith(section, asked.to) : null;
      return other ? [[section.id, other] as const] : [];
    }),
  );
  return [...options].reduce(
    (so, [id, other]) => changeSection(so, id, (section) => ({ ...section, options: other })),
    recipe,
  );
}
