import type { PlacedItem } from '../pages/index.ts';
import { type PageFrame, pageFrame, printService, type Rect } from '../print/index.ts';
import { type Layer, type Mark, type Scene, type Typesetter, textLine } from '../scene/index.ts';
import { filledItem } from './items.ts';
import { type Plan, type PlannedPage, printedNumber, printSpec } from './plan.ts';
import { kindOf, type Recipe, type Section } from './recipe.ts';

const FOLIO = { face: 'alegreya-sans-regular', size: 10, color: { gray: 0.2 } } as const;
/** Height of the strip at the foot of the safe area that is kept for the page number. */
const FOLIO_STRIP = 20;
const SOLUTIONS_HEADING = { face: 'alegreya-bold', size: 16, color: { gray: 0 } } as const;
/** Columns and rows of solution pages. */
const SOLUTION_GRID: Record<number, [number, number]> = {
  1: [1, 1],
  2: [1, 2],
  4: [2, 2],
  6: [2, 3],
  9: [3, 3],
};

export function frameOf(recipe: Recipe, plan: Plan, page: PlannedPage): PageFrame {
  return pageFrame(printService(recipe.print.service), printSpec(recipe), plan.pages.length, page.side);
}

/**
 * Draws one page of a plan: its own marks and, as a layer apart, its number. Layers of alike pages have equal
 * keys, so that they are drawn and written once.
 */
export function drawPage(recipe: Recipe, plan: Plan, number: number, type: Typesetter): Scene {
  const page = plan.pages[number - 1];
  if (!page) throw new RangeError(`There is no page ${number}; the book has ${plan.pages.length}.`);
  const frame = frameOf(recipe, plan, page);
  const scene: Scene = { ...frame.media, gray: recipe.print.ink === 'black', layers: [] };
  const section = recipe.sections.find(({ id }) => id === page.section);
  if (!section) return scene;
  scene.layers.push(bodyLayer(recipe, plan, page, section, frame, type));
  if (page.folio) scene.layers.push({ marks: [folio(recipe, page, frame, type)] });
  return scene;
}

function bodyLayer(
  recipe: Recipe,
  plan: Plan,
  page: PlannedPage,
  section: Section,
  frame: PageFrame,
  type: Typesetter,
): Layer {
  const kind = kindOf(section);
  const numbered = recipe.style.numbering.form !== 'none' && kind.numbered;
  const body: Rect = numbered ? { ...frame.safe, height: frame.safe.height - FOLIO_STRIP } : frame.safe;
  const items = page.items.map((item) => placedItem(recipe, plan, section, item));
  const { options } = section;
  if (page.role === 'solutions') return { marks: solutionMarks(section, items, body, type) };
  const marks = kind.draw({ frame, body, options, items, book: recipe, type });
  return kind.alike ? { key: `${section.id} ${page.side}`, marks } : { marks };
}

function placedItem(recipe: Recipe, plan: Plan, section: Section, item: number): PlacedItem<unknown> {
  const solutionPage = plan.solutionPageOfItem[section.id]?.[item - 1];
  return {
    number: item,
    shown: plan.shownFrom[section.id]! + item,
    item: filledItem(recipe, section, item),
    page: printedNumber(recipe, plan.pageOfItem[section.id]![item - 1]!),
    solutionPage: solutionPage ? printedNumber(recipe, solutionPage) : null,
  };
}

function solutionMarks(section: Section, items: PlacedItem<unknown>[], body: Rect, type: Typesetter): Mark[] {
  const kind = kindOf(section);
  const [columns, rows] = SOLUTION_GRID[section.solutions!.perPage]!;
  const gap = 14;
  const top = body.y + 30;
  const width = (body.width - gap * (columns - 1)) / columns;
  const height = (body.height - 30 - gap * (rows - 1)) / rows;
  const heading = textLine(
    type,
    'Solutions',
    SOLUTIONS_HEADING,
    body.x + body.width / 2,
    body.y + 15,
    'center',
  );
  const drawn = items.flatMap((placed, i) => {
    const box: Rect = {
      x: body.x + (i % columns) * (width + gap),
      y: top + Math.floor(i / columns) * (height + gap),
      width,
      height,
    };
    return kind.drawSolution!(placed, box, { type, options: section.options });
  });
  return [heading, ...drawn];
}

function folio(recipe: Recipe, page: PlannedPage, { safe }: PageFrame, type: Typesetter): Mark {
  const baseline = safe.y + safe.height - 3;
  if (recipe.style.numbering.place === 'centre')
    return textLine(type, page.folio, FOLIO, safe.x + safe.width / 2, baseline, 'center');
  return page.side === 'recto'
    ? textLine(type, page.folio, FOLIO, safe.x + safe.width, baseline, 'right')
    : textLine(type, page.folio, FOLIO, safe.x, baseline);
}
