import { expect, it } from 'vitest';
import { streamedPage } from './streamed-page.server.ts';

const BEGINNING = '<!DOCTYPE html><html lang="en"><head>';

it('sends the beginning before it begins with the rest', async () => {
  let begun = false;
  const parts = streamedPage(BEGINNING, async () => {
    begun = true;
    return '</head><body>Words</body></html>';
  });
  expect(await parts.next()).toEqual({ value: BEGINNING, done: false });
  expect(begun).toBe(false);
  expect(await parts.next()).toEqual({ value: '</head><body>Words</body></html>', done: false });
  expect(begun).toBe(true);
  expect((await parts.next()).done).toBe(true);
});

it('says in a whole page that the rest could not be put together', async () => {
  const parts = streamedPage(BEGINNING, () => Promise.reject(new Error('made up')));
  let page = '';
  for await (const part of parts) page += part;
  expect(page).toContain('<h1>Something went wrong</h1>');
  expect(page).not.toContain('made up');
  expect(page.endsWith('</body></html>')).toBe(true);
});
