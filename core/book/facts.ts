import { LRUCache } from 'lru-cache';
import { houseFaces } from '../faces/choice.ts';
import type { FaceId } from '../faces/index.ts';
import type { Rect } from '../print/index.ts';
import { BLACK, breakLines, linePath, type Mark, type Typesetter, textLine } from '../scene/index.ts';
import { type ListedText, readTexts } from '../text-lists/index.ts';
import type { Book } from './book.ts';
import { sourceOf } from './part-of.ts';
import type { PlannedPage } from './planned.ts';
import { kindOf, type Section } from './sections.ts';

/** In points at 6 × 9 in. */
const SIZE = 10;
const LEAST = 8;
const CREDIT = 0.88;
const LEADING = 1.3;
/** Lines of a text; a longer one is set smaller, down to the least size. */
const LINES = 3;
/** Of the width of a page. */
const MEASURE = 0.86;
/** Above and below the short line over a text, and how long that is. */
const GAP = 9;
const RULE = { length: 44, width: 0.75, gray: 0.45 } as const;
const GRAY = 0.3;

/** A text that stands at the foot of a page, as it is set there. */
interface SetFact extends ListedText {
  size: number;
  lines: string[];
  /** It takes more lines than there are. */
  isTooLong: boolean;
}

const KEPT = 20;
const kept = new LRUCache<string, { facts: SetFact[]; height: number }>({ max: KEPT });

function setFact(text: ListedText, face: FaceId, width: number, most: number, type: Typesetter): SetFact {
  let size = most;
  let lines = breakLines(type, text.text, face, size, width);
  while (lines.length > LINES && size > LEAST) {
    size = Math.max(LEAST, size - 0.5);
    lines = breakLines(type, text.text, face, size, width);
  }
  return { ...text, size, lines: lines.slice(0, LINES), isTooLong: lines.length > LINES };
}

const heightOf = ({ lines, size, credit }: SetFact): number =>
  (lines.length + (credit ? 1 : 0)) * size * LEADING;

/** All texts of a section as they are set in a width, and the height that the highest takes: pages of a section are alike. */
function allSet(source: string, face: FaceId, width: number, most: number, type: Typesetter) {
  const key = `${face} ${width.toFixed(1)} ${most.toFixed(1)} ${source}`;
  const known = kept.get(key);
  if (known) return known;
  const facts = readTexts(source).map((text) => setFact(text, face, width, most, type));
  const set = { facts, height: Math.max(0, ...facts.map(heightOf)) };
  kept.set(key, set);
  return set;
}

/** The section whose texts stand at the foot of a page: of two pages that belong together, on the second. */
function sectionWithFacts(book: Book, page: PlannedPage): Section | null {
  const section = page.role === 'body' ? book.sections.get(page.section!) : undefined;
  return section?.facts && page.items.length && page.part !== 'left' ? section : null;
}

function factsOf(
  book: Book,
  page: PlannedPage,
  section: Section,
  body: Rect,
  scale: number,
  type: Typesetter,
) {
  const face = houseFaces(book.recipe, type).text;
  const most = Math.max(LEAST, SIZE * scale);
  const { facts, height } = allSet(section.facts!, face, body.width * MEASURE, most, type);
  const perPage = kindOf(section).itemsPerUnit?.(section.options) ?? 1;
  const { number } = sourceOf(section, page.items[0]!, book.plan.items[section.id]!.count);
  const turn = Math.floor((number - 1) / perPage);
  return { fact: facts[turn % facts.length], height, face };
}

/**
 * The fact or quotation at the foot of a page, one after the other of its section's list.
 * @param body what the page has room for
 * @param scale of the type of the trim
 * @returns its marks, and what it leaves above; null where a page has none
 */
export function factAtFoot(
  book: Book,
  page: PlannedPage,
  body: Rect,
  scale: number,
  type: Typesetter,
): { above: Rect; marks: Mark[] } | null {
  const section = sectionWithFacts(book, page);
  if (!section) return null;
  const { fact, height, face } = factsOf(book, page, section, body, scale, type);
  if (!fact) return null;
  const { size, lines, credit } = fact;
  const strip = height + 2 * GAP * scale;
  const top = body.y + body.height - strip;
  const middle = body.x + body.width / 2;
  const rule = top + GAP * scale * 0.4;
  const style = { face, size, color: BLACK };
  const baseline = (line: number) => rule + GAP * scale + (line + 0.8) * size * LEADING;
  return {
    above: { ...body, height: body.height - strip - GAP * scale * 0.6 },
    marks: [
      {
        type: 'path',
        path: linePath(middle - RULE.length / 2, rule, middle + RULE.length / 2, rule),
        stroke: { width: RULE.width, paint: { gray: RULE.gray } },
      },
      ...lines.map((line, i) => textLine(type, line, style, middle, baseline(i), 'center')),
      ...(credit
        ? [
            textLine(
              type,
              credit,
              { face, size: size * CREDIT, color: { gray: GRAY } },
              middle,
              baseline(lines.length),
              'center',
            ),
          ]
        : []),
    ],
  };
}

/** A text at the foot of a page that is longer than its lines, as it begins; null where all of it is there. */
export function cutFact(
  book: Book,
  page: PlannedPage,
  body: Rect,
  scale: number,
  type: Typesetter,
): string | null {
  const section = sectionWithFacts(book, page);
  const fact = section ? factsOf(book, page, section, body, scale, type).fact : undefined;
  return fact?.isTooLong ? fact.text : null;
}
