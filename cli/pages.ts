import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { drawPage, finished, pageSteps } from '#core/book/index.ts';
import { pixelsOf, scenePng } from '#core/export/picture.ts';
import { sceneToSvg } from '#core/export/svg.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { pagesIn, wrongIn } from '#core/pages/imported/page-list.ts';
import { BadCall } from './bad-call.ts';
import { bookFromFile, saying } from './reading.ts';

/** Pixels across a picture of a page. */
const PNG_WIDTH = 1200;

/** Page numbers from a list such as `1-4,9`. @throws BadCall for anything else, or pages that are not there */
export function pageNumbers(list: string, pages: number): number[] {
  const numbers = pagesIn(list);
  if (!numbers)
    throw new BadCall(
      `“${wrongIn(list)}” is not a page or a range of pages. Write them as in --pages 1-4,9.`,
    );
  const beyond = numbers.find((number) => number > pages);
  if (beyond) throw new BadCall(`There is no page ${beyond}; the book has ${pages}.`);
  return numbers;
}

/** Writes pages as pictures into a folder, one file a page: PNG, or SVG with its text as outlines. */
export async function pages(
  file: string,
  {
    list,
    out,
    svg,
    json,
  }: { list: string | undefined; out: string | undefined; svg: boolean; json: boolean },
): Promise<number> {
  if (!out) throw new BadCall('Name the folder for the pictures: quill pages book.json --out folder');
  const book = await bookFromFile(file);
  const { length } = book.plan.pages;
  const numbers =
    list === undefined ? book.plan.pages.map(({ number }) => number) : pageNumbers(list, length);
  const type = typesetterFromDisk();
  const digits = String(length).length;
  const names: string[] = [];
  await saying(out, async () => {
    await mkdir(out, { recursive: true });
    for (const number of numbers) {
      await finished(pageSteps(book, book.plan.pages[number - 1]!));
      const scene = drawPage(book, number, type);
      const name = `page-${String(number).padStart(digits, '0')}.${svg ? 'svg' : 'png'}`;
      const content = svg
        ? sceneToSvg(scene, type, pixelsOf(scene, PNG_WIDTH))
        : scenePng(scene, type, PNG_WIDTH);
      await writeFile(join(out, name), content);
      names.push(name);
    }
  });
  console.log(json ? JSON.stringify({ folder: out, files: names }) : `${names.length} pages in ${out}.`);
  return 0;
}
