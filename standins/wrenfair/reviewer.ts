import { PDFArray, PDFDict, PDFDocument, PDFName, type PDFPage } from '@cantoo/pdf-lib';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import service from '#core/print/services/wrenfair.json' with { type: 'json' };
import type { Listing } from './listing.ts';

const [rules] = service.bindings as [(typeof service.bindings)[number]];
/**
 * Opens what was uploaded with readers of its own, and works its numbers out again: it shares the published rules
 * with the program that made the files, and no code.
 */

const inPoints = (length: string): number =>
  Number.parseFloat(length) * (length.endsWith('mm') ? 72 / 25.4 : 72);
/** Half a pixel at 300 dpi. */
const SLACK = 0.12;

const near = (a: number, b: number, slack = SLACK) => Math.abs(a - b) <= slack;
const shownIn = (points: number) => `${(points / 72).toFixed(3)} in`;
/** Letters only: a file may set the words with other spaces and line ends. */
const squeezed = (text: string) => text.normalize('NFKC').replace(/\s+/g, '').toLowerCase();

/** Words as a reader of PDF finds them: in points from the lower left of the media box. */
interface Words {
  text: string;
  size: number;
  left: number;
  right: number;
  bottom: number;
  top: number;
}

/** The height of small letters: what two lines that touch with a tail and an accent do not share. */
const BODY = 0.45;

/** The words of every page, in the order in which they are written. */
async function wordsOf(bytes: Uint8Array): Promise<Words[][]> {
  const task = getDocument({
    data: new Uint8Array(bytes),
    useSystemFonts: false,
    isEvalSupported: false,
    verbosity: 0,
  });
  const document = await task.promise;
  try {
    const pages: Words[][] = [];
    for (let number = 1; number <= document.numPages; number++) {
      const page = await document.getPage(number);
      const { items } = await page.getTextContent();
      pages.push(
        items.flatMap((item) => {
          if (!('str' in item) || item.str.trim() === '') return [];
          const [a, b, c, d, e, f] = item.transform as [number, number, number, number, number, number];
          const size = Math.hypot(c, d);
          const along = Math.hypot(a, b) || 1;
          // Two corners of the line: its beginning on the baseline, its end at the height of small letters.
          const x = e + (a / along) * item.width + (c / size) * size * BODY;
          const y = f + (b / along) * item.width + (d / size) * size * BODY;
          return [
            {
              text: item.str,
              size,
              left: Math.min(e, x),
              right: Math.max(e, x),
              bottom: Math.min(f, y),
              top: Math.max(f, y),
            },
          ];
        }),
      );
      page.cleanup();
    }
    return pages;
  } finally {
    await task.destroy();
  }
}

const allOf = (words: readonly Words[]): string => squeezed(words.map(({ text }) => text).join(' '));

/** What is printed over something else, or null. */
function printedOver(words: readonly Words[]): string | null {
  for (const [i, one] of words.entries())
    for (const other of words.slice(i + 1)) {
      const across = Math.min(one.right, other.right) - Math.max(one.left, other.left);
      const down = Math.min(one.top, other.top) - Math.max(one.bottom, other.bottom);
      if (across > 1 && down > 1) return `“${one.text}” and “${other.text}” are printed over each other`;
    }
  return null;
}

/** What the words of a page are refused for, or null. @param safe where words may stand */
function wordTrouble(
  words: readonly Words[],
  min: number,
  safe: Omit<Words, 'text' | 'size'>,
): string | null {
  const small = words.find(({ size }) => size < min - 0.01);
  if (small) return `“${small.text}” is set in ${small.size.toFixed(1)} pt; ${min} pt is the minimum`;
  const over = printedOver(words);
  if (over) return over;
  const out = words.find(
    ({ left, right, bottom, top }) =>
      left < safe.left - 1 || right > safe.right + 1 || bottom < safe.bottom - 1 || top > safe.top + 1,
  );
  return out ? `“${out.text}” stands in the margin` : null;
}

function unembeddedFonts(page: PDFPage): string[] {
  const fonts = page.node.Resources()?.lookup(PDFName.of('Font'));
  if (!(fonts instanceof PDFDict)) return [];
  return fonts.keys().flatMap((key) => {
    const font = fonts.lookup(key, PDFDict);
    const descendants = font.lookup(PDFName.of('DescendantFonts'));
    const holder = descendants instanceof PDFArray ? descendants.lookup(0, PDFDict) : font;
    const descriptor = holder.lookup(PDFName.of('FontDescriptor'));
    const embedded =
      descriptor instanceof PDFDict &&
      ['FontFile', 'FontFile2', 'FontFile3'].some((name) => descriptor.has(PDFName.of(name)));
    return embedded ? [] : [font.lookup(PDFName.of('BaseFont'))?.toString() ?? 'a font'];
  });
}

async function open(bytes: Uint8Array, what: string, reasons: string[]): Promise<PDFDocument | null> {
  try {
    return await PDFDocument.load(bytes, { updateMetadata: false });
  } catch {
    reasons.push(`The ${what} is not a PDF that can be opened.`);
    return null;
  }
}

/** @returns the reasons to reject; none when the book is as it should be */
export async function review(listing: Listing, interior: Uint8Array, wrap: Uint8Array): Promise<string[]> {
  const reasons: string[] = [];
  const inside = await open(interior, 'interior', reasons);
  const cover = await open(wrap, 'wrap', reasons);
  if (!inside || !cover) return reasons;
  const width = inPoints(listing.trim.width);
  const height = inPoints(listing.trim.height);
  const bleed = inPoints(rules.bleed.width);
  const { min, max } = rules.trimLimits;
  // As far off as the listing rounds.
  const half = 0.0005 * 72;
  if (
    width < inPoints(min.width) - half ||
    width > inPoints(max.width) + half ||
    height < inPoints(min.height) - half ||
    height > inPoints(max.height) + half
  )
    return [
      `The trim is ${shownIn(width)} × ${shownIn(height)}; from ${min.width} × ${min.height} to ${max.width} × ${max.height} can be printed.`,
    ];
  const paper = rules.papers.find((known) => known.id === listing.paper);
  if (!paper) return [`There is no ${listing.paper} paper.`];

  const pages = inside.getPages();
  if (pages.length !== listing.pages)
    reasons.push(`The interior has ${pages.length} pages, the listing says ${listing.pages}.`);
  if (pages.length % 2 === 1) reasons.push(`The interior has ${pages.length} pages; the count must be even.`);
  if (pages.length < paper.pages.min || pages.length > paper.pages.max) {
    reasons.push(
      `${pages.length} pages; ${paper.pages.min} to ${paper.pages.max} can be printed on ${paper.name} paper.`,
    );
  }
  const wantedWidth = width + (listing.bleed ? bleed : 0);
  const wantedHeight = height + (listing.bleed ? 2 * bleed : 0);
  const fonts = new Set<string>();
  for (const [i, page] of pages.entries()) {
    const media = page.getMediaBox();
    const trim = page.getTrimBox();
    const trimX = listing.bleed && i % 2 === 1 ? bleed : 0;
    if (!near(media.width, wantedWidth) || !near(media.height, wantedHeight)) {
      reasons.push(
        `Interior page ${i + 1} is ${shownIn(media.width)} × ${shownIn(media.height)}; it should be ${shownIn(wantedWidth)} × ${shownIn(wantedHeight)}.`,
      );
      break;
    }
    if (!near(trim.x - media.x, trimX) || !near(trim.width, width) || !near(trim.height, height)) {
      reasons.push(`Interior page ${i + 1}: the trim box is not where the page is cut.`);
      break;
    }
    for (const name of unembeddedFonts(page)) fonts.add(name);
  }
  const written = await wordsOf(interior);
  const gutter = inPoints(
    (rules.gutters.find(({ upTo }) => pages.length <= upTo) ?? rules.gutters.at(-1)!).gutter,
  );
  const outside = inPoints(rules.outsideMargin);
  for (const [i, words] of written.entries()) {
    const recto = i % 2 === 0;
    const cut = { x: listing.bleed && !recto ? bleed : 0, y: listing.bleed ? bleed : 0 };
    const trouble = wordTrouble(words, rules.interior.leastType, {
      left: cut.x + (recto ? gutter : outside),
      right: cut.x + width - (recto ? outside : gutter),
      bottom: cut.y + outside,
      top: cut.y + height - outside,
    });
    if (trouble) {
      reasons.push(`Interior page ${i + 1}: ${trouble}.`);
      break;
    }
  }
  const [sheet, ...more] = cover.getPages();
  if (!sheet || more.length > 0)
    reasons.push(`The wrap has ${cover.getPageCount()} pages; it must have one.`);
  else {
    for (const name of unembeddedFonts(sheet)) fonts.add(name);
    const thickness = (paper.thickness as Record<string, string>)[listing.ink] ?? paper.thickness.black;
    const spine = listing.pages * inPoints(thickness);
    const edge = inPoints(rules.cover.bleed);
    const wanted = { width: 2 * edge + 2 * width + spine, height: 2 * edge + height };
    const media = sheet.getMediaBox();
    const tolerance = inPoints(rules.cover.tolerance);
    if (!near(media.width, wanted.width, tolerance) || !near(media.height, wanted.height, tolerance)) {
      reasons.push(
        `The wrap is ${shownIn(media.width)} × ${shownIn(media.height)}; with a spine of ${shownIn(spine)} it should be ${shownIn(wanted.width)} × ${shownIn(wanted.height)}.`,
      );
    }
    const onCover = (await wordsOf(wrap))[0] ?? [];
    const middle = media.width / 2;
    const onSpine = onCover.filter(
      ({ left, right }) => left < middle + spine / 2 - 1 && right > middle - spine / 2 + 1,
    );
    const { textFromPages, clear } = rules.cover.spine;
    if (onSpine.length && listing.pages < textFromPages)
      reasons.push(`There are words on the spine; books under ${textFromPages} pages have none.`);
    else if (
      onSpine.some(
        ({ left, right }) =>
          left < middle - spine / 2 + inPoints(clear) - 1 || right > middle + spine / 2 - inPoints(clear) + 1,
      )
    )
      reasons.push('Words on the spine stand too near to its folds.');
    const { barcode } = rules.cover;
    const fold = middle - spine / 2 - inPoints(barcode.fromSpine);
    const foot = edge + inPoints(barcode.fromTrim);
    if (
      onCover.some(
        ({ left, right, bottom }) =>
          right > fold - inPoints(barcode.width) + 1 &&
          left < fold - 1 &&
          bottom < foot + inPoints(barcode.height) - 1,
      )
    )
      reasons.push('Words stand in the box of the barcode.');
    const keep = edge + inPoints(rules.cover.safeInsideTrim);
    const trouble = wordTrouble(onCover, rules.cover.leastType, {
      left: keep,
      right: media.width - keep,
      bottom: keep,
      top: media.height - keep,
    });
    if (trouble) reasons.push(`Wrap: ${trouble}.`);
    const words = allOf(onCover);
    if (!words.includes(squeezed(listing.title)))
      reasons.push(`The title on the cover is not “${listing.title}”.`);
    if (!words.includes(squeezed(listing.penName)))
      reasons.push(`The author on the cover is not “${listing.penName}”.`);
  }
  const opening = allOf(written.slice(0, 2).flat());
  // An interior need not have a title page; one that names an author must name this one.
  if (opening.includes(squeezed(listing.title)) && !opening.includes(squeezed(listing.penName))) {
    reasons.push(`The title page does not name the author “${listing.penName}”.`);
  }
  if (fonts.size) reasons.push(`Fonts are not embedded: ${[...fonts].join(', ')}.`);
  for (const { market, price } of listing.prices) {
    const row = service.markets.find((known) => known.id === market);
    if (!row || price === null) {
      reasons.push(`The price for ${row?.name ?? market} is missing.`);
      continue;
    }
    const large =
      width > inPoints(rules.largeTrim.widerThan) || height > inPoints(rules.largeTrim.tallerThan);
    const costs = rules.costs[market as keyof typeof rules.costs];
    const cost = costs[listing.ink === 'color' ? 'color' : 'black'][large ? 'large' : 'regular'];
    const printCost = cost.fixed + cost.perPage * listing.pages;
    if (price * row.rate < printCost - 1e-9)
      reasons.push(
        `${row.name}: the price is under the lowest, ${(Math.ceil((printCost / row.rate) * 100) / 100).toFixed(2)}.`,
      );
  }
  return reasons;
}
