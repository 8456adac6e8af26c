import type { Rect } from '../print/index.ts';
import { printedLanguage } from '../printed-words/index.ts';
import { buildPath, type Mark, type Typesetter } from '../scene/index.ts';
import type { Book } from './book.ts';
import { placedItem } from './items.ts';
import { answersScale, enlarged } from './large-answers.ts';
import type { PlannedPage } from './planned.ts';
import { kindOf, sectionIn } from './sections.ts';

/** Of the body of a page, and in points. */
const STRIP = { share: 0.27, least: 100 } as const;
/** Between what is above and the strip; a line stands in the middle of it. */
const GAP = 16;
const LINE = { width: 0.75, gray: 0.45 } as const;
const BETWEEN = 12;
const MOST_IN_ROW = 6;

/** Where a page has its answers upside down, and what is left above them. */
export interface Foot {
  above: Rect;
  strip: Rect;
}

/** The foot of a page whose answers are to stand there; null for any other. Of two pages that belong together it is on the second. */
export function footOf(book: Book, page: PlannedPage, body: Rect): Foot | null {
  const section = page.role === 'body' ? book.sections.get(page.section!) : undefined;
  if (!section || page.items.length === 0 || page.part === 'left' || !kindOf(section).solution?.box)
    return null;
  const entry = book.recipe.sections.find((one) => sectionIn([one], section.id));
  if (entry?.solutions?.place !== 'foot') return null;
  const height = Math.max(STRIP.least, body.height * STRIP.share);
  return {
    above: { ...body, height: body.height - height - GAP },
    strip: { ...body, y: body.y + body.height - height, height },
  };
}

/** The answers to the puzzles of a page, turned by half, in the order in which they are read once the book is turned. */
export function footAnswers(book: Book, page: PlannedPage, { strip }: Foot, type: Typesetter): Mark[] {
  const section = book.sections.get(page.section!)!;
  const { solution } = kindOf(section);
  const scale = answersScale(book.recipe);
  const columns = Math.min(MOST_IN_ROW, page.items.length);
  const rows = Math.ceil(page.items.length / columns);
  const width = (strip.width - BETWEEN * (columns - 1)) / columns;
  const height = (strip.height - BETWEEN * (rows - 1)) / rows;
  const marks = page.items.flatMap((item, i) => {
    const box = {
      x: strip.x + (i % columns) * (width + BETWEEN),
      y: strip.y + Math.floor(i / columns) * (height + BETWEEN),
      width,
      height,
    };
    // The puzzle is above: no page is named.
    const placed = { ...placedItem(book, section, item), page: null };
    const context = { type, options: section.options, language: printedLanguage(book.recipe) };
    return enlarged(box, scale, (room) => solution!.box!(placed, room, context));
  });
  const y = strip.y - GAP / 2;
  const line = buildPath()
    .move(strip.x, y)
    .line(strip.x + strip.width, y)
    .done();
  return [
    { type: 'path', path: line, stroke: { width: LINE.width, paint: { gray: LINE.gray } } },
    {
      type: 'group',
      matrix: [-1, 0, 0, -1, 2 * strip.x + strip.width, 2 * strip.y + strip.height],
      marks,
    },
  ];
}
