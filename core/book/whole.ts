import { FAMILIES } from '../faces/families.ts';
import type { IndexedTerm, ListedPage, WholeBook } from '../pages/index.ts';
import { levelTitle } from '../pages/puzzle/level.ts';
import { bookWords, printedLanguage } from '../printed-words/index.ts';
import type { Book } from './book.ts';
import { filedUnder } from './filed-under.ts';
import { folioNumber, romanNumeral } from './numbers.ts';
import type { Plan } from './planned.ts';
import type { Recipe } from './recipe.ts';
import { type Entry, isGroup, kindOf, type Section, sectionName, sectionsOf } from './sections.ts';

/** What a page shows beside another's name: its number, as it is counted. */
export type NumberOf = (page: number) => string;

const nameOf = (entry: Entry): string =>
  isGroup(entry) ? entry.group.members.map(sectionName).join(', ') : sectionName(entry);

/** Groups and sections whose pages are numbered belong in a contents page; front matter does not. */
const isListed = (entry: Entry): boolean =>
  isGroup(entry) ? entry.group.members.some((one) => kindOf(one).numbered) : kindOf(entry).numbered;

/**
 * What a contents page lists: the entries that units of a section bring, or the section as a whole; and solutions.
 * @param numberOf the number of a page, as it is counted
 */
export function listedPages(recipe: Recipe, plan: Plan, numberOf: NumberOf): ListedPage[] {
  const language = printedLanguage(recipe);
  const entries = new Map<string, Entry>(recipe.sections.map((entry) => [entry.id, entry]));
  return plan.runs.flatMap(({ section, role, first, last }): ListedPage[] => {
    const entry = entries.get(section);
    if (role !== 'body') return [{ text: bookWords(language, role), number: numberOf(first), page: first }];
    if (!entry || !isListed(entry)) return [];
    const own = plan.contents.filter(({ page }) => page >= first && page <= last);
    if (own.length) return own.map(({ text, page }) => ({ text, number: numberOf(page), page }));
    const begins = plan.pages.slice(first - 1, last).find(({ unit }) => unit)?.number ?? first;
    return [{ text: nameOf(entry), number: numberOf(begins), page: begins }];
  });
}

/** So many pages that follow each other are a stretch of pages. */
const STRETCH = 3;

/** Page numbers as they are counted, long stretches as one. @param pages in order, each once */
function stretches(pages: readonly number[], numberOf: NumberOf): string[] {
  const numbers: string[] = [];
  for (let first = 0, last = 0; first < pages.length; first = last = last + 1) {
    while (pages[last + 1] === pages[last]! + 1) last++;
    const all = pages.slice(first, last + 1).map(numberOf);
    numbers.push(...(all.length < STRETCH ? all : [`${all[0]}–${all.at(-1)}`]));
  }
  return numbers;
}

type Found = Omit<IndexedTerm, 'numbers'> & { pages: Set<number>; order: number };

/**
 * What an index leads to: the terms of all units, titles and levels of items, each once whatever its capitals, in the order of the
 * book's language; levels from the easiest on.
 */
export function indexedTerms(recipe: Recipe, plan: Plan, numberOf: NumberOf): IndexedTerm[] {
  const found = new Map<string, Found>();
  const note = (page: number, entry: Omit<Found, 'pages'>) => {
    const text = entry.text.replace(/\s+/g, ' ').trim();
    if (!text) return;
    const key = [entry.by, entry.under, text.toLocaleLowerCase(recipe.language)].join('\n');
    const one = found.get(key) ?? { ...entry, text, pages: new Set() };
    one.pages.add(page);
    found.set(key, one);
  };
  for (const { unit, part, number } of plan.pages) {
    if (part === 'right' || part === 'back') continue;
    for (const text of unit?.terms ?? []) note(number, { by: 'subjects', text, order: 0 });
  }
  for (const section of sectionsOf(recipe.sections)) noteItems(recipe, plan, section, note);
  const order = new Intl.Collator(recipe.language, { numeric: true });
  return [...found.values()]
    .sort((one, other) => one.order - other.order || order.compare(one.text, other.text))
    .map(({ by, text, under, pages }) => ({
      ...{ by, text },
      ...(under === undefined ? {} : { under }),
      numbers: stretches(
        [...pages].sort((a, b) => a - b),
        numberOf,
      ),
    }));
}

/** Notes the items of a section by their titles and their levels, as far as they are known before they are made. */
function noteItems(
  recipe: Recipe,
  plan: Plan,
  section: Section,
  note: (page: number, entry: Omit<Found, 'pages'>) => void,
): void {
  const planned = plan.items[section.id];
  if (!planned) return;
  const language = printedLanguage(recipe);
  planned.pages.forEach((page, i) => {
    const filed = filedUnder(recipe, section, i + 1, planned.count);
    if (!filed) return;
    const { title, level, called } = filed;
    if (title) note(page, { by: 'titles', text: title, order: 0 });
    if (level)
      note(page, { by: 'levels', under: levelTitle(language, level), text: called(language), order: level });
  });
}

const LICENSES: Readonly<Record<string, string>> = {
  'OFL-1.1': 'SIL Open Font License',
  'Apache-2.0': 'Apache License 2.0',
};

/** What a book must say of others' work in it: data and drawings of its pages, resources with rights. */
export function creditsOf(recipe: Recipe): string[] {
  const kinds = sectionsOf(recipe.sections).flatMap(
    (section) => kindOf(section).credits?.(section.options) ?? [],
  );
  const resources = Object.values(recipe.resources).flatMap(({ name, rights }) =>
    rights?.holder || rights?.license
      ? [`${name}: ${[rights.holder, rights.license].filter(Boolean).join(', ')}`]
      : [],
  );
  return [...new Set([...kinds, ...resources])];
}

/** The families that a book is set in, with their licenses. */
export function typeCredit({ style, resources }: Pick<Recipe, 'style' | 'resources'>): string[] {
  const chosen = [style.typefaces.display, style.typefaces.text].map((face) => {
    if (typeof face !== 'string') return resources[face.typeface]!.name;
    const family = FAMILIES.filter(({ id }) => face.startsWith(`${id}-`)).sort(
      (a, b) => b.id.length - a.id.length,
    )[0];
    return family ? `${family.name} (${LICENSES[family.license] ?? family.license})` : face;
  });
  return [...new Set(chosen)];
}

/** The number of a page as it is counted, whether or not the page shows it. */
export const numberOf = (recipe: Recipe, plan: Plan, page: number): string =>
  page < plan.firstCounted ? romanNumeral(page) : String(folioNumber(recipe, plan, page));

const known = new WeakMap<Plan, WholeBook>();

/** What pages may say of the whole book. Found once for a plan. */
export function wholeBook({ recipe, plan }: Pick<Book, 'recipe' | 'plan'>): WholeBook {
  const whole = known.get(plan) ?? {
    listed: listedPages(recipe, plan, (page) => numberOf(recipe, plan, page)),
    indexed: indexedTerms(recipe, plan, (page) => numberOf(recipe, plan, page)),
    credits: creditsOf(recipe),
    typefaces: typeCredit(recipe),
    pages: plan.pages.length,
  };
  known.set(plan, whole);
  return whole;
}
