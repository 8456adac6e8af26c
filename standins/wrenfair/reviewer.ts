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

async function pageText(bytes: Uint8Array, pages: number[]): Promise<string> {
  const task = getDocument({
    data: new Uint8Array(bytes),
    useSystemFonts: false,
    isEvalSupported: false,
    verbosity: 0,
  });
  const document = await task.promise;
  try {
    let text = '';
    for (const number of pages) {
      const content = await (await document.getPage(number)).getTextContent();
      text += content.items.map((item) => ('str' in item ? item.str : '')).join(' ');
    }
    return squeezed(text);
  } finally {
    await task.destroy();
  }
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
  const paper = rules.papers.find((known) => known.id === listing.paper);
  if (!paper) return [`There is no ${listing.paper} paper.`];

  const pages = inside.getPages();
  if (pages.length !== listing.pages)
    reasons.push(`The interior has ${pages.length} pages, the listing says ${listing.pages}.`);
  if (pages.length % 2 === 1) reasons.push(`The interior has ${pages.length} pages; the count must be even.`);
  if (pages.length < paper.pages.least || pages.length > paper.pages.most) {
    reasons.push(
      `${pages.length} pages; ${paper.pages.least} to ${paper.pages.most} can be printed on ${paper.name} paper.`,
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
    const words = await pageText(wrap, [1]);
    if (!words.includes(squeezed(listing.title)))
      reasons.push(`The title on the cover is not “${listing.title}”.`);
    if (!words.includes(squeezed(listing.penName)))
      reasons.push(`The author on the cover is not “${listing.penName}”.`);
  }
  const opening = await pageText(interior, pages.length > 1 ? [1, 2] : [1]);
  // An interior need not have a title page; one that names an author must name this one.
  if (opening.includes(squeezed(listing.title)) && !opening.includes(squeezed(listing.penName))) {
    reasons.push(`The title page does not name the author “${listing.penName}”.`);
  }
  if (fonts.size) reasons.push(`Fonts are not embedded: ${[...fonts].join(', ')}.`);
  for (const { market, price } of listing.prices) {
    const row = service.markets.find((known) => known.id === market);
    if (!row || price === null) {
      reasons.push(`There is no price for ${row?.name ?? market}.`);
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
