import { LRUCache } from 'lru-cache';
import { type FillContext, makesItems, type PlacedItem } from '../pages/index.ts';
import type { Resources } from '../resources/index.ts';
import { valueKey } from '../value-key.ts';
import type { Book } from './book.ts';
import { folioNumber } from './numbers.ts';
import { sourceOf } from './part-of.ts';
import type { PlannedPage } from './planned.ts';
import type { Recipe } from './recipe.ts';
import { kindOf, needsOf, type Section } from './sections.ts';
import { faceNeeds } from './typefaces.ts';

/** Bytes of items kept: some four thousand puzzles. */
const BYTES_KEPT = 24 * 1024 * 1024;

/** An item as it is kept: it is there, or is still to be read. */
interface Kept {
  item?: unknown;
  read?: () => unknown;
}

/** Items by the value of everything that can change them, so that an edit elsewhere, or a copy, finds them again. */
const made = new LRUCache<string, Kept>({
  maxSize: BYTES_KEPT,
  sizeCalculation: ({ item }) => bytesOf(item),
});

/** About how much memory a value of plain data takes. */
function bytesOf(value: unknown): number {
  if (typeof value === 'string') return 16 + value.length;
  if (value === null || typeof value !== 'object') return 8;
  if (ArrayBuffer.isView(value)) return 64 + value.byteLength;
  if (Array.isArray(value)) {
    let bytes = 32;
    // Letters are shared, not copied.
    for (const part of value) bytes += typeof part === 'string' && part.length < 3 ? 8 : 8 + bytesOf(part);
    return bytes;
  }
  let bytes = 56;
  for (const part of Object.values(value)) bytes += 8 + bytesOf(part);
  return bytes;
}

/**
 * The context an item is filled from. Everything that can change an item is in it, and nothing else: that is why
 * re-rolling one puzzle changes no other.
 * @param total items of the section, which only kinds whose items depend on their place are told
 */
export function fillContext(
  recipe: Recipe,
  section: Section,
  item: number,
  total: number,
  resources: Resources,
): FillContext<Record<string, unknown>> {
  const { stream, number, of } = sourceOf(section, item, total);
  return {
    options: section.options,
    resources,
    streamKey: [recipe.seed, stream],
    item: number,
    roll: section.rolls?.[item] ?? 0,
    pin: section.pins?.[item],
    ...(kindOf(section).usesPlace ? { total: of } : {}),
  };
}

/** What a section uses that cannot be used, each with the reason. */
export const troublesOf = ({ resources }: Pick<Book, 'resources'>, section: Section): string[] =>
  needsOf(section).flatMap(({ id }) => resources.trouble(id) ?? []);

/** What a book uses that cannot be used, each once. */
export const troublesOfBook = (book: Book): string[] => [
  ...new Set([
    ...[...book.sections.values()].flatMap((section) => troublesOf(book, section)),
    ...faceNeeds(book.recipe).flatMap(({ id }) => book.resources.trouble(id) ?? []),
  ]),
];

/** The value of everything that can change an item. */
export function itemKey({ recipe, plan, resources }: Book, section: Section, item: number): string {
  const context = fillContext(recipe, section, item, plan.items[section.id]!.count, resources);
  const { streamKey, roll, total, pin } = context;
  const { id, version } = kindOf(section);
  return JSON.stringify([
    ...[id, version, ...streamKey, context.item, roll],
    total ?? null,
    pin ?? null,
    valueKey(section.options),
    needsOf(section).map(({ id: need }) => recipe.resources[need]!.hash),
  ]);
}

/**
 * Keeps an item that was made before, to be found where everything is the same.
 * @param key see `itemKey`
 * @param item `bytes`: about what it takes in memory
 */
export const keepItem = (key: string, { read, bytes }: { read: () => unknown; bytes: number }): void => {
  made.set(key, { read }, { size: bytes });
};

/**
 * Makes an item, or finds it kept from before for the same values, giving way between steps where its kind takes long.
 * @returns undefined where the section lacks what the item is made from
 */
export function* itemSteps(book: Book, section: Section, item: number): Generator<void, unknown> {
  const { recipe, plan, resources } = book;
  const kind = kindOf(section);
  if (!makesItems(kind) || troublesOf(book, section).length) return undefined;
  const context = fillContext(recipe, section, item, plan.items[section.id]!.count, resources);
  const key = itemKey(book, section, item);
  let kept = made.get(key);
  if (!kept) {
    kept = { item: kind.fillSteps ? yield* kind.fillSteps(context) : kind.fill!(context) };
    made.set(key, kept);
  } else if (kept.read) {
    kept.item = kept.read();
    delete kept.read;
  }
  return kept.item;
}

/** The item, made now in one go or kept from before for the same values. */
export function filledItem(book: Book, section: Section, item: number): unknown {
  const steps = itemSteps(book, section, item);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** Work in steps, between which other work may go on. What a step gives has to be waited for before the next. */
export type Steps<T> = Generator<void | Promise<void>, T>;

/** Takes steps to their end, one right after the other. */
export async function finished<T>(steps: Steps<T>): Promise<T> {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    await step.value;
  }
}

/** Makes or reads everything that a page shows, its answers too, so that drawing it afterwards takes no longer than drawing. */
export function* pageSteps(book: Book, page: PlannedPage): Steps<void> {
  const section = page.role === 'body' ? book.sections.get(page.section!) : undefined;
  if (section && !troublesOf(book, section).length) {
    const { options } = section;
    const ready = kindOf(section).ready?.({ options, unit: page.unit!, resources: book.resources });
    if (ready) yield ready;
  }
  if (section) for (const item of page.items) yield* itemSteps(book, section, item);
  for (const answer of page.answers) yield* itemSteps(book, book.sections.get(answer.section)!, answer.item);
}

/** What an item is called with its number. */
export const itemLabel = ({ plan }: Pick<Book, 'plan'>, section: string, item: number): string => {
  const { noun, displayNumbers } = plan.items[section]!;
  return `${noun} ${displayNumbers[item - 1]}`;
};

/** An item with all that is printed of where it stands. */
export function placedItem(book: Book, section: Section, item: number): PlacedItem<unknown> {
  const { pages, noun, displayNumbers, solutionPages, hintsPages } = book.plan.items[section.id]!;
  const alike = Object.values(book.plan.items).filter((planned) => planned.noun === noun);
  const printed = (page: number | undefined) => (page ? folioNumber(book.recipe, book.plan, page) : null);
  return {
    number: item,
    displayNumber: displayNumbers[item - 1]!,
    total: alike.reduce((sum, { count }) => sum + count, 0),
    label: itemLabel(book, section.id, item),
    item: filledItem(book, section, item),
    page: folioNumber(book.recipe, book.plan, pages[item - 1]!),
    solutionPage: printed(solutionPages[item - 1]),
    hintsPage: printed(hintsPages[item - 1]),
  };
}
