import { houseFaces } from '../faces/choice.ts';
import type { DrawContext, ItemProblem } from '../pages/index.ts';
import { type PageFrame, pageFrame, type Rect } from '../print/index.ts';
import { printedLanguage } from '../printed-words/index.ts';
import {
  fitText,
  type Layer,
  type Mark,
  rectPath,
  type Scene,
  type Typesetter,
  textLine,
} from '../scene/index.ts';
import type { Book } from './book.ts';
import { factAtFoot } from './facts.ts';
import { footAnswers, footOf } from './foot-answers.ts';
import { drawHints } from './hint-pages.ts';
import { placedItem, troublesOf } from './items.ts';
import type { PlannedPage } from './planned.ts';
import { kindOf } from './sections.ts';
import { drawAnswers } from './solution-pages.ts';
import { wholeBook } from './whole.ts';

const FOLIO = { face: 'alegreya-sans-regular', size: 10, color: { gray: 0.2 } } as const;

export const frameOf = ({ rules, spec, plan }: Book, { side }: Pick<PlannedPage, 'side'>): PageFrame =>
  pageFrame(rules, spec, plan.gutter, side);

/** Where the pages of a section may draw: inside the margins, and clear of the page number. */
export function bodyOf(book: Book, page: PlannedPage): Rect {
  const { body, unnumbered } = frameOf(book, page);
  const section = page.role === 'body' ? book.sections.get(page.section!) : undefined;
  const numbered = book.recipe.style.numbering.form !== 'none' && (!section || kindOf(section).numbered);
  return numbered ? body : unnumbered;
}

/**
 * Draws one page of a plan: its own marks and, as a layer apart, its number. Layers of alike pages have equal
 * keys, so that they are drawn and written once.
 * @throws RangeError when the book has no such page
 */
export function drawPage(book: Book, number: number, type: Typesetter): Scene {
  const { recipe, plan } = book;
  const page = plan.pages[number - 1];
  if (!page) throw new RangeError(`There is no page ${number}; the book has ${plan.pages.length}.`);
  const frame = frameOf(book, page);
  const scene: Scene = { ...frame.media, gray: recipe.print.ink === 'black', layers: [] };
  if (page.role === 'blank') {
    if (page.gray) scene.layers.push(grayLayer(book, page, frame));
    return scene;
  }
  const body = bodyOf(book, page);
  if (page.role === 'body') scene.layers.push(bodyLayer(book, page, type));
  else if (page.role === 'hints') scene.layers.push({ marks: drawHints(book, page, body, frame, type) });
  else scene.layers.push({ marks: drawAnswers(book, page, { body, safe: frame.safe }, type) });
  if (page.folio) scene.layers.push({ marks: [folio(book, page, frame, type)] });
  return scene;
}

/** Of a gray back: dark enough that what shows through is not seen, and no waste of ink. */
const BACK_GRAY = 0.72;

/** A gray back, to the edges of the sheet or, without bleed, to the margins that the service keeps. */
function grayLayer({ spec }: Book, page: PlannedPage, { media, safe }: PageFrame): Layer {
  const { x, y, width, height } = spec.bleed ? { x: 0, y: 0, ...media } : safe;
  return {
    key: `gray ${page.side}`,
    marks: [{ type: 'path', path: rectPath(x, y, width, height), fill: { gray: BACK_GRAY } }],
  };
}

function bodyLayer(book: Book, page: PlannedPage, type: Typesetter): Layer {
  const section = book.sections.get(page.section!)!;
  const kind = kindOf(section);
  const unit = page.unit!;
  const troubles = troublesOf(book, section);
  if (troubles.length) return { marks: freePage(troubles, bodyOf(book, page), type) };
  const marks = [...kind.draw(drawContext(book, page, type))];
  const { fact, foot } = feetOf(book, page, type);
  if (fact) marks.push(...fact.marks);
  if (foot) marks.push(...footAnswers(book, page, foot, type));
  return unit.key === undefined
    ? { marks }
    : { key: [section.id, unit.key, page.part, page.side].join(' '), marks };
}

/** What stands at the foot of a page: its answers upside down, and a fact above them. */
function feetOf(book: Book, page: PlannedPage, type: Typesetter) {
  const body = bodyOf(book, page);
  const foot = footOf(book, page, body);
  const { typeScale } = frameOf(book, page).grid;
  const fact = factAtFoot(book, page, foot?.above ?? body, typeScale, type);
  return { foot, fact, above: fact?.above ?? foot?.above ?? body };
}

/** What a kind finds wrong with a page of its own, besides its items. */
export function problemsOfPage(book: Book, page: PlannedPage, type: Typesetter): ItemProblem[] {
  const section = book.sections.get(page.section!)!;
  return kindOf(section).inspectUnit?.({ ...pageContext(book, page, type), body: bodyOf(book, page) }) ?? [];
}

/** What a kind draws one of its pages from. */
export function drawContext(
  book: Book,
  page: PlannedPage,
  type: Typesetter,
): DrawContext<Record<string, unknown>, unknown> {
  const section = book.sections.get(page.section!)!;
  return {
    ...pageContext(book, page, type),
    body: feetOf(book, page, type).above,
    items: page.items.map((item) => placedItem(book, section, item)),
    hyphenate: book.hyphenate,
  };
}

const pageContext = (book: Book, page: PlannedPage, type: Typesetter) => ({
  frame: frameOf(book, page),
  options: book.sections.get(page.section!)!.options,
  unit: page.unit!,
  part: page.part,
  resources: book.resources,
  book: book.recipe,
  gray: book.recipe.print.ink === 'black',
  whole: wholeBook(book),
  language: printedLanguage(book.recipe),
  type,
  faces: houseFaces(book.recipe, type),
});

/** A page whose place is kept: what it lacks stands in the middle of an empty frame. */
function freePage(troubles: readonly string[], box: Rect, type: Typesetter): Mark[] {
  const { face, color } = FOLIO;
  const fitted = fitText(
    type,
    troubles.join(' '),
    face,
    { width: box.width * 0.8, height: box.height * 0.5 },
    { max: 12, min: 7, lines: 12, leading: 1.35 },
  );
  const style = { face, size: fitted.size, color } as const;
  return [
    {
      type: 'path',
      path: rectPath(box.x + 1, box.y + 1, box.width - 2, box.height - 2),
      stroke: { width: 1, paint: { gray: 0.5 }, dash: [6, 6] },
    },
    ...fitted.lines.map((line, i) =>
      textLine(
        type,
        line,
        style,
        box.x + box.width / 2,
        box.y + box.height / 2 + i * fitted.leading,
        'center',
      ),
    ),
  ];
}

function folio({ recipe }: Book, page: PlannedPage, frame: PageFrame, type: Typesetter): Mark {
  const { body, numberAt } = frame;
  const { margins, largePrint, numbering } = recipe.style;
  const style = margins === 'service' && !largePrint ? FOLIO : { ...FOLIO, size: 9 * frame.grid.typeScale };
  if (numbering.place === 'center')
    return textLine(type, page.folio, style, body.x + body.width / 2, numberAt, 'center');
  return page.side === 'recto'
    ? textLine(type, page.folio, style, body.x + body.width, numberAt, 'right')
    : textLine(type, page.folio, style, body.x, numberAt);
}
