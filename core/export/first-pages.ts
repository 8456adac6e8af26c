import { type Book, drawPage, FIRST_PAGES, finished, pageSteps, placeAmongFirst } from '../book/index.ts';
import type { Scene, Typesetter } from '../scene/index.ts';
import { pixelsOf, svgPng } from './picture.ts';
import { sceneToSvg } from './svg.ts';

/** The first pages of a book on one PNG, placed as FIRST_PAGES says; null for a book without pages. */
export async function firstPagesPng(book: Book, type: Typesetter): Promise<Uint8Array | null> {
  const { pages, across, width } = FIRST_PAGES;
  const scenes: Scene[] = [];
  for (const page of book.plan.pages.slice(0, pages)) {
    await finished(pageSteps(book, page));
    scenes.push(drawPage(book, page.number, type));
  }
  const [first] = scenes;
  if (!first) return null;
  // All pages of a book have the size of the first.
  const { height } = pixelsOf(first, width);
  const parts = scenes.map((scene, i) => {
    const { column, row } = placeAmongFirst(i + 1)!;
    return sceneToSvg(scene, type, { width, height }, { x: column * width, y: row * height });
  });
  const rows = Math.ceil(scenes.length / across);
  return svgPng(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${across * width}" height="${rows * height}">${parts.join('')}</svg>`,
  );
}
