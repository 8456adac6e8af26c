import * as v from 'valibot';
import { LARGE_TYPES } from '../print/index.ts';
import { type Typesetter, textSizes, wordSizes } from '../scene/index.ts';
import { type Book, bookFrom } from './book.ts';
import { drawPage } from './draw.ts';
import { changeSection } from './edit.ts';
import { pageSteps, type Steps, troublesOf } from './items.ts';
import type { Recipe } from './recipe.ts';
import { kindOf, type Section, sectionsOf } from './sections.ts';

/** What nobody sees, in points: a puzzle for which less than half a point is missing need not have a page of its own. */
const NEARLY = 0.5;

type Options = Section['options'];

/** Options of a section that are to change so that its type is large, as they are and as they are to be. */
export interface ForLargeType {
  section: string;
  from: Options;
  to: Options;
}

/** Options of a section with some of them others; null where its kind has no such ones. */
function optionsWith(section: Section, some: Options): Options | null {
  const options = { ...section.options, ...some };
  return v.is(kindOf(section).options, options) ? options : null;
}

/**
 * What sections of a book in large print are to have so that their type is large. First, so many items on a page: the most, and not more
 * than now, with no type smaller than that of large print, or than it is with as few as can be. Then, where words are smaller still,
 * what their kind has to give them more room. Looks at the pages of the first items of each.
 * @param ids of sections to look at; all if left out
 */
export function* forLargeType(book: Book, type: Typesetter, ids?: readonly string[]): Steps<ForLargeType[]> {
  const found: ForLargeType[] = [];
  for (const section of sectionsOf(book.recipe.sections)) {
    if ((ids && !ids.includes(section.id)) || troublesOf(book, section).length) continue;
    const large = book.recipe.style.largeType ?? LARGE_TYPES[0];
    const fewer = yield* fewerToAPage(book, section, large, type);
    const roomier = yield* roomierWords(book, { ...section, options: fewer }, large, type);
    const changed = Object.keys(roomier).filter((key) => roomier[key] !== section.options[key]);
    const of = (options: Options): Options => Object.fromEntries(changed.map((key) => [key, options[key]]));
    if (changed.length) found.push({ section: section.id, from: of(section.options), to: of(roomier) });
  }
  return found;
}

function* fewerToAPage(book: Book, section: Section, large: number, type: Typesetter): Steps<Options> {
  const { perPage: now } = section.options;
  if (typeof now !== 'number') return section.options;
  const may = Array.from({ length: now }, (_, i) => optionsWith(section, { perPage: now - i })).filter(
    (options) => options !== null,
  );
  const fewest = may.at(-1);
  if (!fewest || may.length === 1) return section.options;
  const smallest = (options: Options) => smallestOn(book, { ...section, options }, textSizes, type);
  const least = Math.min(large, yield* smallest(fewest));
  for (const options of may)
    if (options === fewest || (yield* smallest(options)) >= least - NEARLY) return options;
  return fewest;
}

function* roomierWords(book: Book, section: Section, large: number, type: Typesetter): Steps<Options> {
  let best = section.options;
  const roomier = kindOf(section).roomier?.(best) ?? [];
  if (!roomier.length) return best;
  const smallest = (options: Options) => smallestOn(book, { ...section, options }, wordSizes, type);
  let size = yield* smallest(best);
  for (const some of roomier) {
    const options = optionsWith(section, some);
    if (!options || size >= large - NEARLY) continue;
    const now = yield* smallest(options);
    if (now < size + NEARLY) continue;
    best = options;
    size = now;
  }
  return best;
}

/** The smallest type on the pages that the first items of a section would have, as many as go on one; none where they have none. */
function* smallestOn(
  book: Book,
  section: Section,
  sizesOf: typeof textSizes,
  type: Typesetter,
): Steps<number> {
  const { solutions: _, starts: __, fillTo: ___, times: ____, ...alone } = section;
  const { extent, itemsPerUnit } = kindOf(section);
  const long = extent === 'items' ? { items: itemsPerUnit?.(section.options as never) ?? 1 } : { pages: 1 };
  const recipe = { ...book.recipe, sections: [{ ...alone, ...long }] };
  const small = bookFrom(recipe, book.resources, book.hyphenate);
  let least = Infinity;
  for (const page of small.plan.pages) {
    yield* pageSteps(small, page);
    for (const { size } of sizesOf(drawPage(small, page.number, type))) least = Math.min(least, size);
  }
  return least;
}

/** Sets sections so; one that is not there any more, or was set otherwise meanwhile, stays as it is. */
export function withLargeType(recipe: Recipe, changes: readonly ForLargeType[]): Recipe {
  const options = new Map(
    sectionsOf(recipe.sections).flatMap((section) => {
      const asked = changes.find(({ section: id }) => id === section.id);
      const isAsItWas =
        asked && Object.entries(asked.from).every(([key, value]) => section.options[key] === value);
      const other = isAsItWas ? optionsWith(section, asked.to) : null;
      return other ? [[section.id, other] as const] : [];
    }),
  );
  return [...options].reduce(
    (so, [id, other]) => changeSection(so, id, (section) => ({ ...section, options: other })),
    recipe,
  );
}
