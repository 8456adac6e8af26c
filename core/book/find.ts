import { eachMark, type Typesetter } from '../scene/index.ts';
import type { Book } from './book.ts';
import { drawPage } from './draw.ts';
import { itemLabel, pageSteps, type Steps } from './items.ts';

const normal = (text: string): string =>
  text.normalize('NFKC').toLowerCase().replaceAll(/[‘’]/g, "'").replaceAll(/\s+/g, ' ').trim();

/** All words that are set on a page, line after line. */
export function textOn(book: Book, page: number, type: Typesetter): string {
  const texts: string[] = [];
  for (const { marks } of drawPage(book, page, type).layers)
    eachMark(marks, (mark) => {
      // Letters of a grid are no words.
      if (mark.type === 'text' && !mark.centers) texts.push(mark.text);
    });
  return texts.join(' ');
}

/**
 * Looks for words on every page and in what its items are called, whatever their capitals; a page number finds its page
 * besides. Gives way after each page.
 * @returns the numbers of the pages that have them
 */
export function* findSteps(book: Book, typed: string, type: Typesetter): Steps<number[]> {
  const wanted = normal(typed);
  const found: number[] = [];
  if (!wanted) return found;
  for (const page of book.plan.pages) {
    yield* pageSteps(book, page);
    const labels = page.items.map((item) => itemLabel(book, page.section!, item));
    const said = page.role === 'blank' ? '' : normal([...labels, textOn(book, page.number, type)].join(' '));
    if (said.includes(wanted) || String(page.number) === wanted) found.push(page.number);
    yield;
  }
  return found;
}
