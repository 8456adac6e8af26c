import { printedLanguage } from '../printed-words/index.ts';
import { boundsOf, type Mark, type Scene, type Typesetter } from '../scene/index.ts';
import type { Book } from './book.ts';
import { bodyOf, drawContext } from './draw.ts';
import { placedItem } from './items.ts';
import { kindOf, type Section } from './sections.ts';

/** Free on every side of a picture, and between its parts, in points. */
const AROUND = 9;

/** Options of kinds that differ where an item stands alone: nothing is below it at the foot of a page. */
const ALONE = { perPage: 1, instructions: false };

/** An item by itself: as it would have a page of the book to itself, and its answer. */
export interface ItemScenes {
  puzzle: Scene;
  /** Null for what has none. */
  answer: Scene | null;
}

/**
 * Draws one item alone, cut to its ink. What takes two pages stands side by side. Pages of the book are not named, since it stands in none.
 * The item has been made before; see `itemSteps`.
 * @throws RangeError where the book has no page with it
 */
export function itemScenes(book: Book, section: Section, item: number, type: Typesetter): ItemScenes {
  const kind = kindOf(section);
  const pages = book.plan.pages.filter(
    ({ role, section: of, items }) => role === 'body' && of === section.id && items.includes(item),
  );
  const [first] = pages;
  if (!first) throw new RangeError(`No page of the book has ${item} of section ${section.id}.`);
  const placed = { ...placedItem(book, section, item), page: null, solutionPage: null, hintsPage: null };
  const options = { ...section.options };
  for (const [option, value] of Object.entries(ALONE)) if (option in options) options[option] = value;
  const sceneOf = (parts: Mark[][]) => cutOut(parts, book.recipe.print.ink === 'black', type);
  const answer = kind.solution?.box?.(placed, bodyOf(book, first), {
    type,
    options: section.options,
    language: printedLanguage(book.recipe),
  });
  return {
    puzzle: sceneOf(
      pages.map((page) => {
        const body = bodyOf(book, page);
        return kind.draw({ ...drawContext(book, page, type), body, options, items: [placed] });
      }),
    ),
    answer: answer ? sceneOf([answer]) : null,
  };
}

/** A sheet as large as the ink of some drawings side by side. */
function cutOut(parts: readonly Mark[][], gray: boolean, type: Typesetter): Scene {
  let right = 0;
  let height = 0;
  const marks = parts.map((part): Mark => {
    const ink = boundsOf(part, type) ?? { left: 0, top: 0, right: 0, bottom: 0 };
    const x = right + AROUND;
    right = x + ink.right - ink.left;
    height = Math.max(height, ink.bottom - ink.top);
    return { type: 'group', matrix: [1, 0, 0, 1, x - ink.left, AROUND - ink.top], marks: part };
  });
  return { width: right + AROUND, height: height + 2 * AROUND, gray, layers: [{ marks }] };
}
