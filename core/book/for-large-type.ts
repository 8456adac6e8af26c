import * as v from 'valibot';
import { makesItems } from '../pages/index.ts';
import { LARGE_TYPES } from '../print/index.ts';
import { SIZE_ROUNDING, type Typesetter, textSizes, wordSizes } from '../scene/index.ts';
import { type Book, bookFrom } from './book.ts';
import { drawPage, problemsOfPage } from './draw.ts';
import { changeSection } from './edit.ts';
import { pageSteps, placedItem, type Steps, troublesOf } from './items.ts';
import type { PlannedPage } from './planned.ts';
import type { Recipe } from './recipe.ts';
import { kindOf, type Section, sectionsOf } from './sections.ts';

/** What nobody sees, in points: a puzzle for which less than half a point is missing need not have a page of its own. */
const NEARLY = 0.5;
/** Puzzles whose words are looked at, and whether they found room. */
const LOOKED_AT = 4;
/** Pages without puzzles that are looked at: each sheet of games may be of another. */
const MOST_PAGES = 12;

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
 * what their kind has to give them more room, if its puzzles are as good with it; and the same where a page does not fit. Looks at the pages of the first items of each.
 * @param ids of sections to look at; all if left out
 */
export function* forLargeType(book: Book, type: Typesetter, ids?: readonly string[]): Steps<ForLargeType[]> {
  const found: ForLargeType[] = [];
  for (const section of sectionsOf(book.recipe.sections)) {
    if ((ids && !ids.includes(section.id)) || troublesOf(book, section).length) continue;
    const large = book.recipe.style.largeType ?? LARGE_TYPES[0];
    const fewer = yield* fewerToAPage(book, section, large, type);
    const so = { ...section, options: fewer };
    const roomier = yield* makesItems(kindOf(section))
      ? roomierWords(book, so, large, type)
      : roomierPages(book, so, type);
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
  const smallest = (options: Options) => smallestOn(book, { ...section, options }, 1, textSizes, type);
  const least = Math.min(large, yield* smallest(fewest));
  for (const options of may)
    if (options === fewest || (yield* smallest(options)) >= least - NEARLY) return options;
  return fewest;
}

function* roomierWords(book: Book, section: Section, large: number, type: Typesetter): Steps<Options> {
  const { roomier, smaller } = kindOf(section);
  if (!roomier && !smaller) return section.options;
  // A size that the brief names is checked to the point; what the trim gives is not.
  const enough = book.recipe.style.largeType ? large - SIZE_ROUNDING : large - NEARLY;
  const sizeWith = (options: Options, least = 0) =>
    smallestOn(book, { ...section, options }, LOOKED_AT, wordSizes, type, least);
  const problemsWith = (options: Options) => problemsOf(book, { ...section, options });
  let best = { options: section.options, size: yield* sizeWith(section.options) };
  if (best.size >= enough) return best.options;
  const problems = yield* problemsWith(section.options);
  /** An order with some options others, where its words are larger and its puzzles as good. */
  function* better({ options: now, size }: typeof best, some: Options): Steps<typeof best | null> {
    const options = optionsWith(section, { ...now, ...some });
    const least = Math.min(size + NEARLY, enough);
    if (!options) return null;
    const found = yield* sizeWith(options, least);
    return found >= least && (yield* problemsWith(options)) <= problems ? { options, size: found } : null;
  }
  const rooms = roomier?.(best.options) ?? [];
  for (const room of rooms) if (best.size < enough) best = (yield* better(best, room)) ?? best;
  // With less in a puzzle, its list may also need no page of its own, or only then be helped by it.
  let less = best;
  for (const fewer of smaller?.(best.options) ?? [])
    for (const room of [{}, ...rooms])
      if (less.size < enough) less = (yield* better(less, { ...fewer, ...room })) ?? less;
  // What is smaller and not large for all that is left as it was.
  return less.size < enough ? best.options : less.options;
}

/** What does not fit on a page counts before what is left out of it, or too small on it. */
const WORSE = 100;

/** Pages without puzzles have their room where something on them does not fit, and more of it does with that. */
function* roomierPages(book: Book, section: Section, type: Typesetter): Steps<Options> {
  function* problemsWith(options: Options): Steps<number> {
    const { book: small, pages } = firstPages(book, { ...section, options }, 0);
    let problems = 0;
    for (const page of pages) {
      yield;
      for (const { severity } of problemsOfPage(small, page, type))
        problems += severity === 'fix' ? WORSE : 1;
    }
    return problems / new Set(pages.map(({ unit }) => unit)).size;
  }
  // Among the pages of a group, two that face each other would have empty ones between.
  const isMember = book.recipe.sections.every(({ id }) => id !== section.id);
  const rooms = isMember ? [] : (kindOf(section).roomier?.(section.options) ?? []);
  let best = { options: section.options, problems: rooms.length ? yield* problemsWith(section.options) : 0 };
  for (const room of rooms) {
    const options = best.problems > 0 ? optionsWith(section, { ...best.options, ...room }) : null;
    if (!options) continue;
    const problems = yield* problemsWith(options);
    if (problems < best.problems) best = { options, problems };
  }
  return best.options;
}

/** How much there is to find fault with in the first puzzles of a section, such as words that found no room. */
function* problemsOf(of: Book, section: Section): Steps<number> {
  const { inspect } = kindOf(section);
  if (!inspect) return 0;
  const { book, pages } = firstPages(of, section, LOOKED_AT);
  let problems = 0;
  for (const page of pages) {
    yield* pageSteps(book, page);
    if (page.part === 'right') continue;
    for (const item of page.items) {
      const placed = placedItem(book, section, item);
      problems += inspect(placed.item, placed, section.options).length;
    }
  }
  return problems;
}

/** A section as if it were all there is in its book, and its first pages: those of so many items, or the first dozen. */
function firstPages(book: Book, section: Section, many: number): { book: Book; pages: PlannedPage[] } {
  const { starts: _, fillTo: __, times: ___, ...alone } = section;
  const small = bookFrom({ ...book.recipe, sections: [alone] }, book.resources, book.hyphenate);
  const pages = small.plan.pages.filter(({ role }) => role === 'body');
  const isFirst = ({ items }: PlannedPage, i: number) =>
    makesItems(kindOf(section)) ? items.some((item) => item <= many) : i < MOST_PAGES;
  return { book: small, pages: pages.filter(isFirst) };
}

/** The smallest type on the first pages of a section; none where they have none. The first that is below `enough` is small enough. */
function* smallestOn(
  of: Book,
  section: Section,
  many: number,
  sizesOf: typeof textSizes,
  type: Typesetter,
  enough = 0,
): Steps<number> {
  const { book, pages } = firstPages(of, section, many);
  let least = Infinity;
  for (const page of pages) {
    yield* pageSteps(book, page);
    for (const { size } of sizesOf(drawPage(book, page.number, type))) least = Math.min(least, size);
    if (least < enough) return least;
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
