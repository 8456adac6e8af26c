import * as v from 'valibot';
import { composed } from '../pages/composed/index.ts';
import type { SavedDesign } from '../pages/composed/saved.ts';
import { type PageKind, pageKinds } from '../pages/index.ts';
import { bookFrom } from './book.ts';
import type { Recipe } from './recipe.ts';
import { kindOf, type Section } from './sections.ts';
import { addStandingPage, type StandingPage } from './standing-page.ts';

/** A kind of page as it is offered: with some of its options set. */
export interface GalleryEntry {
  id: string;
  kind: PageKind;
  name: string;
  purpose: string;
  family: string;
  /** What a section that is added begins with; the rest are defaults. */
  options: Record<string, unknown>;
  /** Besides, for its picture alone. */
  shown: Record<string, unknown>;
  /** The standing page that it is. */
  standing?: StandingPage;
}

/** The family of the designs that a publisher has saved. */
export const SAVED_FAMILY = 'My designs';
/** Of the pages that a publisher keeps for all books. */
const STANDING_FAMILY = 'Standing pages';

/**
 * All that is offered where pages are added, the same family together, in the order of the kinds.
 * @param saved designs of the publisher's own, and pages kept for all books: they come first
 */
export function gallery(
  saved: readonly SavedDesign[] = [],
  standing: readonly StandingPage[] = [],
): GalleryEntry[] {
  const kept = standing.map((page): GalleryEntry => {
    const [section] = page.content.sections as [Section];
    return {
      id: `standing-${page.id}`,
      kind: kindOf(section),
      name: page.name,
      purpose: 'Kept once for all books.',
      family: STANDING_FAMILY,
      options: section.options,
      shown: {},
      standing: page,
    };
  });
  const own = saved.map(
    ({ id, name, look, design }): GalleryEntry => ({
      id: `saved-${id}`,
      kind: composed as unknown as PageKind,
      name,
      purpose: composed.purpose,
      family: SAVED_FAMILY,
      options: { design, look },
      shown: {},
    }),
  );
  const shipped = pageKinds().flatMap((kind) =>
    (kind.samples ?? [{ name: kind.name }]).map(
      (sample, i): GalleryEntry => ({
        id: `${kind.id}-${i}`,
        kind,
        name: sample.name,
        purpose: sample.purpose ?? kind.purpose,
        family: sample.family ?? kind.family,
        options: sample.options ?? {},
        shown: sample.shown ?? {},
      }),
    ),
  );
  const all = [...kept, ...own, ...shipped];
  const families = [...new Set(all.map(({ family }) => family))];
  return families.flatMap((family) => all.filter((one) => one.family === family));
}

/** Those whose name, purpose, kind or family has all the words that were typed. */
export function findInGallery(entries: readonly GalleryEntry[], typed: string): GalleryEntry[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return entries.filter(({ name, purpose, family, kind }) => {
    const said = `${name} ${purpose} ${family} ${kind.name}`.toLowerCase();
    return words.every((word) => said.includes(word));
  });
}

/** Of the random streams of the samples: what they show is the same in every book. */
export const GALLERY_SEED = 'gallery';

/**
 * A book of samples in the print and style of another, to be drawn as its pages would look.
 * @returns the page of each sample, in their order
 */
export function galleryBook(
  recipe: Recipe,
  entries: readonly GalleryEntry[],
): { recipe: Recipe; pages: number[] } {
  let { resources } = recipe;
  const sections = entries.map(({ id, kind, options, shown, standing }): Section => {
    if (standing) {
      const put = addStandingPage({ ...recipe, resources, sections: [] }, standing, 0);
      resources = put.resources;
      return { ...(put.sections[0] as Section), id };
    }
    const chosen = v.parse(kind.options, { ...options, ...shown }) as Record<string, unknown>;
    return {
      id,
      kind: kind.id,
      version: kind.version,
      options: chosen,
      ...(kind.extent === 'pages' ? { pages: 1 } : {}),
      ...(kind.extent === 'items' ? { items: kind.itemsPerUnit?.(chosen) ?? 1, rolls: {}, pins: {} } : {}),
    };
  });
  const samples: Recipe = { ...recipe, seed: GALLERY_SEED, resources, sections };
  const first = new Map<string | null, number>();
  // Pages that face each other may come after an empty one.
  for (const { section, role, unit, number } of bookFrom(samples).plan.pages)
    if (role === 'body' && unit && !first.has(section)) first.set(section, number);
  return { recipe: samples, pages: entries.map(({ id }) => first.get(id) ?? 0) };
}
