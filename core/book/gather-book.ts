import { gather, type ResourceLoader } from '../resources/index.ts';
import type { Typesetter } from '../scene/index.ts';
import { hyphenation, wholeWords } from '../text/hyphenation.ts';
import { type Book, bookFrom } from './book.ts';
import { GALLERY_SEED } from './gallery.ts';
import type { Recipe } from './recipe.ts';
import { kindOf, sectionsOf } from './sections.ts';
import { addTypefaces, faceResources } from './typefaces.ts';

const hyphenates = ({ sections }: Recipe): boolean =>
  sectionsOf(sections).some((section) => kindOf(section).hyphenates);

/** Loads what the kinds of page of a book need before any of its pages is made or drawn. */
export async function prepareKinds({ seed, sections }: Pick<Recipe, 'seed' | 'sections'>): Promise<void> {
  const makesItems = seed !== GALLERY_SEED;
  await Promise.all(
    sectionsOf(sections).flatMap((section) => {
      const { prepare, prepareItems } = kindOf(section);
      return [prepare?.(section.options), makesItems ? prepareItems?.(section.options) : undefined];
    }),
  );
}

/**
 * Reads what a book uses beside its recipe, and makes it ready to be drawn.
 * @param type its typesetter: words of the book are set with no other
 */
export async function gatherBook(recipe: Recipe, loader: ResourceLoader, type: Typesetter): Promise<Book> {
  const [resources, hyphenate] = await Promise.all([
    gather(recipe.resources, loader),
    hyphenates(recipe) ? hyphenation(recipe.language) : wholeWords,
    prepareKinds(recipe),
  ]);
  addTypefaces(type, recipe, resources);
  return bookFrom(recipe, resources, hyphenate);
}

/** As gatherBook, for the front of a cover alone, which needs no words or pictures of the pages. */
export async function gatherFront(recipe: Recipe, loader: ResourceLoader, type: Typesetter): Promise<void> {
  addTypefaces(type, recipe, await gather(faceResources(recipe), loader));
}
