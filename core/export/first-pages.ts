import { type Book, drawPage, FIRST_PAGES, finished, pageSteps, placeAmongFirst } from '../book/index.ts';
import { type WrittenItems, writtenItems } from '../book/written-items.ts';
import {
  type KnownFace,
  notingTypesetter,
  type Scene,
  type Typesetter,
  type WrittenScenes,
  writtenScenes,
} from '../scene/index.ts';
import { pixelsOf, svgPng } from './picture.ts';
import { sceneToSvg } from './svg.ts';

/** The first pages of a book: what they look like, and what is known of them by whoever has drawn them once. */
export interface FirstPages {
  /** All on one PNG, placed as FIRST_PAGES says. */
  picture: Uint8Array;
  items: WrittenItems;
  faces: KnownFace[];
  scenes: WrittenScenes;
}

/** Draws the first pages of a book. @returns null for a book without pages */
export async function firstPages(book: Book, type: Typesetter): Promise<FirstPages | null> {
  const { across, width } = FIRST_PAGES;
  const pages = book.plan.pages.slice(0, FIRST_PAGES.pages);
  const noting = notingTypesetter(type);
  const scenes: Scene[] = [];
  for (const page of pages) {
    await finished(pageSteps(book, page));
    scenes.push(drawPage(book, page.number, noting));
  }
  const [first] = scenes;
  if (!first) return null;
  // All pages of a book have the size of the first.
  const { height } = pixelsOf(first, width);
  const parts = scenes.map((scene, i) => {
    const { column, row } = placeAmongFirst(i + 1)!;
    return sceneToSvg(scene, noting, { width, height }, { x: column * width, y: row * height });
  });
  const rows = Math.ceil(scenes.length / across);
  const picture = svgPng(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${across * width}" height="${rows * height}">${parts.join('')}</svg>`,
  );
  return { picture, items: writtenItems(book, pages), faces: noting.noted(), scenes: writtenScenes(scenes) };
}
