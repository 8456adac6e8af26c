import { setTimeout as wait } from 'node:timers/promises';
import { WENT_WRONG } from './went-wrong.ts';

/** Packing runs beside the program: so long it has until putting the page together takes the processor. In ms. */
const UNDER_WAY_MS = 8;

/** Stands for the rest of a page that could not be put together after its beginning was sent. */
const FAILED = `<title>${WENT_WRONG.heading}</title></head><body><h1>${WENT_WRONG.heading}</h1><p>${WENT_WRONG.text}</p></body></html>`;

/**
 * The two parts that a page is sent in: the beginning at once, the rest when it is put together.
 * @param rest is not begun before the beginning is on its way; one that fails is told in the page
 */
export async function* streamedPage(beginning: string, rest: () => Promise<string>): AsyncGenerator<string> {
  yield beginning;
  await wait(UNDER_WAY_MS);
  try {
    yield await rest();
  } catch {
    yield FAILED;
  }
}
