import { transfer } from 'comlink';
import type { Book } from '#core/book/book.ts';
import { type DesignPages, designPages } from '#core/book/design-page.ts';
import { drawPage } from '#core/book/draw.ts';
import { withCandidate } from '#core/book/edit.ts';
import { findSteps } from '#core/book/find.ts';
import { type ForLargeType, forLargeType } from '#core/book/for-large-type.ts';
import { GALLERY_SEED } from '#core/book/gallery.ts';
import { loadGalleryItems } from '#core/book/gallery-items.ts';
import { gatherBook, gatherFront } from '#core/book/gather-book.ts';
import { finished, itemSteps, pageSteps } from '#core/book/items.ts';
import type { Recipe } from '#core/book/recipe.ts';
import { type SavedItems, savedItems } from '#core/book/saved-items.ts';
import { kindOf } from '#core/book/sections.ts';
import { titleInShop } from '#core/cover/legibility.ts';
import { drawCoverOverview, drawFront, type PlacedLayer, placedLayers } from '#core/cover/wrap.ts';
import type { MadeFrom } from '#core/export/fingerprints.ts';
import { familyOf } from '#core/faces/index.ts';
import type { Formats } from '#core/formats.ts';
import { leastDots } from '#core/pages/imported/dots.ts';
import { sheetScene } from '#core/pages/imported/sheet-scene.ts';
import { type Finding, proofSteps } from '#core/proof/index.ts';
import { gather, type NamedResource } from '#core/resources/index.ts';
import { openFont } from '#core/scene/create-typesetter.ts';
import type { Scene } from '#core/scene/index.ts';
import { shownPages } from '#core/starting-points/shown-pages.ts';
import { browserLoader } from './browser-loader.ts';
import { fetchFamilies, openFacesWith, type } from './faces.ts';
import { firstPagesKnown } from './known-of-first-pages.ts';
import { type DrawnPage, handedOver, type Picture, pictureOf } from './on-canvas.ts';
import { keepAhead, PAGES_AHEAD, sceneAhead } from './pages-ahead.ts';
import { puzzlesElsewhere } from './puzzles-elsewhere.ts';
import { inStretches, otherWork, stretches } from './stretches.ts';

/** After so long a run of pages hands over what it has: pages that take long are seen one by one. */
const SHOW_MS = 250;

openFacesWith(openFont);

/** The book at hand, once what it uses is there. */
let book: Promise<Book> | null = null;
let proofRun = 0;
let findRun = 0;

/** A design on its pages, as they will be printed. */
export interface PicturedDesign extends Pick<DesignPages, 'problems'> {
  pages: { picture: Picture; places: DesignPages['pages'][number]['places'] }[];
  /** Of each page, in points. */
  sheet: Size;
}

/** What is seen of a book at a glance. */
export interface Sampler {
  front: Picture;
  pages: Picture[];
  /** Pages of the whole book. */
  count: number;
}

/** An item that may be taken. */
export interface Candidate {
  picture: Picture;
  /** Empty for a kind that has nothing to say of its items. */
  told: string;
}

/** Of a sheet, in points. */
export interface Size {
  width: number;
  height: number;
}

/** A front is composed at about a trim's own size, so that the thumbnail is the cover made small. */
const FRONT_WIDTH = 432;
const frontOf = (proportion: number) => ({ width: FRONT_WIDTH, height: FRONT_WIDTH * proportion });

const gathered = (recipe: Recipe): Promise<Book> => gatherBook(recipe, browserLoader, type);

/** Settles when all pages that somebody asked for are drawn: they go before those that nobody has asked for yet. */
let answered: Promise<unknown> = Promise.resolve();

/** A page as it is drawn, kept if it is one of the first. */
function sceneOf(whole: Book, page: number): Scene {
  const kept = sceneAhead(page);
  if (kept) return kept;
  const scene = drawPage(whole, page, type);
  keepAhead(page, scene);
  return scene;
}

/**
 * Takes a book at hand, and draws its first pages before anybody asks for them, as far as they are not known.
 */
export async function begin(recipe: Recipe): Promise<void> {
  const begun = gathered(recipe);
  book = begun;
  const whole = await begun;
  await firstPagesKnown();
  const rest = stretches(() => book === begun);
  const goesOn = async () => {
    await answered;
    return rest();
  };
  const families = Object.values(recipe.style.typefaces).flatMap((face) =>
    typeof face === 'string' ? [familyOf(face)] : [],
  );
  const faces = fetchFamilies([...new Set(families)]);
  const pages = whole.plan.pages.slice(0, PAGES_AHEAD).filter(({ number }) => !sceneAhead(number));
  // What is on the pages is made while the typefaces are on their way.
  for (const page of pages)
    for (const step of pageSteps(whole, page)) {
      if (step) await step;
      if (!(await goesOn())) return;
    }
  await faces;
  for (const page of pages) {
    if (!(await goesOn())) return;
    sceneOf(whole, page.number);
  }
}

/** See `renderer.pages`. */
async function drawPages(asked: Promise<Book>, numbers: number[], width: number): Promise<DrawnPage[]> {
  const drawn: DrawnPage[] = [];
  const whole = await asked;
  const began = performance.now();
  const goesOn = stretches(() => book === asked);
  for (const page of numbers) {
    const planned = whole.plan.pages[page - 1];
    if (!planned) {
      drawn.push({ page, picture: null });
      continue;
    }
    for (const step of sceneAhead(page) ? [] : pageSteps(whole, planned)) {
      if (step) await step;
      if (!(await goesOn())) return drawn;
    }
    drawn.push({ page, picture: pictureOf(sceneOf(whole, page), width) });
    if (performance.now() - began > SHOW_MS || !(await goesOn())) break;
  }
  return drawn;
}

export { keepWrittenItems } from '#core/book/written-items.ts';

/** What a worker does for a page. What reaches it has come through `first-drawing.ts`. */
export const renderer = {
  /** The recipe that pages are drawn from, until the next one. */
  take(recipe: Recipe): void {
    book = recipe.seed === GALLERY_SEED ? loadGalleryItems().then(() => gathered(recipe)) : gathered(recipe);
  },

  /**
   * Draws pages of the recipe at hand, `width` pixels wide, one after the other. It leaves off when that takes long, to
   * be asked for the rest, and when another recipe comes meanwhile: what is still missing would be drawn in vain.
   */
  async pages(numbers: number[], width: number): Promise<DrawnPage[]> {
    const drawn = drawPages(book!, numbers, width);
    answered = Promise.allSettled([answered, drawn]).then(() => {});
    return handedOver(await drawn);
  },

  /**
   * The fewest dots an inch of pictures on any of some pages of the recipe at hand, as they print.
   * @returns null where there are no pictures, or another recipe came meanwhile
   */
  async leastDots(numbers: number[]): Promise<number | null> {
    const asked = book!;
    const whole = await asked;
    const goesOn = stretches(() => book === asked);
    let least: number | null = null;
    for (const page of numbers) {
      const planned = whole.plan.pages[page - 1];
      if (!planned) continue;
      for (const step of pageSteps(whole, planned)) {
        if (step) await step;
        if (!(await goesOn())) return null;
      }
      const dots = leastDots(drawPage(whole, page, type).layers.flatMap(({ marks }) => marks));
      if (dots !== null) least = Math.min(least ?? dots, dots);
    }
    return least;
  },

  /** What sections of the recipe at hand should have in large print; null when another recipe came meanwhile. */
  async forLargeType(sections?: string[]): Promise<ForLargeType[] | null> {
    const asked = book!;
    const whole = await asked;
    return inStretches(forLargeType(whole, type, sections), () => book === asked);
  },

  /** What an item of the recipe at hand is like; null where there is nothing to say, or another recipe came meanwhile. */
  async told(section: string, item: number): Promise<string | null> {
    const asked = book!;
    const whole = await asked;
    const of = whole.sections.get(section);
    if (!of) return null;
    const made = await inStretches(itemSteps(whole, of, item), () => book === asked);
    return made ? (kindOf(of).told?.(made) ?? null) : null;
  },

  /** An item of the recipe at hand, to be tried; null when another recipe came meanwhile. */
  async item(section: string, item: number): Promise<unknown> {
    const asked = book!;
    const whole = await asked;
    return inStretches(itemSteps(whole, whole.sections.get(section)!, item), () => book === asked);
  },

  /** The page of an item as it would be with another roll, and what the item would be like. @param width of the page */
  async candidate(
    recipe: Recipe,
    { section: id, item, roll }: { section: string; item: number; roll: number },
    width: number,
  ): Promise<Candidate> {
    const whole = await gathered(withCandidate(recipe, id, item, roll));
    const page = whole.plan.items[id]!.pages[item - 1]!;
    for (const step of pageSteps(whole, whole.plan.pages[page - 1]!)) {
      if (step) await step;
      await otherWork();
    }
    const section = whole.sections.get(id)!;
    const told = kindOf(section).told?.(await finished(itemSteps(whole, section, item))) ?? '';
    const picture = pictureOf(drawPage(whole, page, type), width);
    return transfer({ picture, told }, [picture.pixels.buffer]);
  },

  /** Items of a section of the recipe at hand as a file for other programs; null when another recipe came meanwhile. */
  async saved(section: string, items: number[], format: string): Promise<SavedItems | null> {
    const asked = book!;
    const whole = await asked;
    return inStretches(savedItems(whole, whole.sections.get(section)!, items, format), () => book === asked);
  },

  /** A book at a glance: its front and some of its pages. @param width of each */
  async sampler(recipe: Recipe, width: number): Promise<Sampler> {
    const whole = await gathered(recipe);
    const { width: wide, height } = whole.spec.trim;
    const front = pictureOf(drawFront(recipe, frontOf(height / wide), type), width);
    const pages: Picture[] = [];
    for (const page of shownPages(whole.plan)) {
      await finished(pageSteps(whole, whole.plan.pages[page - 1]!));
      pages.push(pictureOf(drawPage(whole, page, type), width));
      await otherWork();
    }
    return transfer(
      { front, pages, count: whole.plan.pages.length },
      [front, ...pages].map(({ pixels }) => pixels.buffer),
    );
  },

  /**
   * Pages of a file as they are, before they are put on pages of a book.
   * @param width of each
   * @returns null for one that cannot be read
   */
  async sheets(file: NamedResource, numbers: number[], width: number): Promise<(Picture | null)[]> {
    const resources = await gather({ it: file }, browserLoader);
    const pictures: (Picture | null)[] = [];
    for (const page of numbers) {
      const scene = await sheetScene(file, page, resources);
      pictures.push(scene && pictureOf(scene, width));
      await otherWork();
    }
    return transfer(
      pictures,
      pictures.flatMap((picture) => (picture ? [picture.pixels.buffer] : [])),
    );
  },

  /** The pages of a book that `designBook` made. @param width of each, in device pixels */
  async design(recipe: Recipe, width: number): Promise<PicturedDesign> {
    const { pages, problems } = designPages(await gathered(recipe), type);
    const { width: across, height } = pages[0]!.scene;
    const pictured = pages.map(({ scene, places }) => ({ picture: pictureOf(scene, width), places }));
    return transfer(
      { pages: pictured, sheet: { width: across, height }, problems },
      pictured.map(({ picture }) => picture.pixels.buffer),
    );
  },

  async wrap(width: number): Promise<{ picture: Picture; layers: PlacedLayer[] }> {
    const whole = await book!;
    const picture = pictureOf(drawCoverOverview(whole, type), width);
    return transfer({ picture, layers: placedLayers(whole, type) }, [picture.pixels.buffer]);
  },

  async front(width: number, height: number, given?: Recipe): Promise<Picture> {
    if (given) await gatherFront(given, browserLoader, type);
    const recipe = given ?? (await book!).recipe;
    const picture = pictureOf(drawFront(recipe, frontOf(height / width), type), width);
    return transfer(picture, [picture.pixels.buffer]);
  },

  /** How the title looks in a shop; null where the front shows none. @param proportion height of the front to its width */
  async titleInShop(proportion: number): Promise<ReturnType<typeof titleInShop>> {
    const { recipe } = await book!;
    const { width, layers } = drawFront(recipe, frontOf(proportion), type);
    return titleInShop(
      layers.flatMap(({ marks }) => marks),
      { x: 0, width },
      type,
    );
  },

  /** Ends the proof under way: what it looks at is not the book any more. */
  leaveProof(): void {
    proofRun++;
  },

  /** The pages that have words on them, or null when others were looked for meanwhile. */
  async find(recipe: Recipe, typed: string): Promise<number[] | null> {
    const run = ++findRun;
    return inStretches(findSteps(await gathered(recipe), typed, type), () => run === findRun);
  },

  /** All findings, or null when it was told to leave off or a newer proof was begun meanwhile. */
  async proof(recipe: Recipe, madeFrom: MadeFrom, formats: Formats): Promise<Finding[] | null> {
    const run = ++proofRun;
    const elsewhere = (marks: string[]) => puzzlesElsewhere(recipe.id, marks);
    const steps = proofSteps(await gathered(recipe), type, { madeFrom, formats, elsewhere });
    return inStretches(steps, () => run === proofRun);
  },
};

export type WholeRenderer = typeof renderer;
