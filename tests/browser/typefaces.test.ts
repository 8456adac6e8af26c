import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import { readFace } from '../../core/faces/faces-from-disk.ts';
import { withFsType } from '../../core/faces/fonts.sample.ts';
import { expect, openBook, saved, test, ticket } from './quill.ts';

const require = createRequire(import.meta.url);

// A font whose license bits forbid what a book needs.
test.use({ refusals: /the server responded with a status of 422/ });

const cover = (page: Page) =>
  page
    .getByRole('img', { name: 'The wrap: back, spine and front' })
    .evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL());

test('a typeface of one’s own is added, seen, chosen, and embedded; one that may not be embedded is refused', async ({
  page,
}) => {
  await openBook(page, 'Tide Pool Field Notes', 'wrap');
  const before = await cover(page);
  await page.getByRole('button', { name: 'Add typefaces…' }).click();
  const adding = page.getByRole('dialog', { name: 'Add typefaces' });
  await adding.getByLabel('License').fill('OFL 1.1');
  await adding.getByLabel('Font files').setInputFiles([
    {
      name: 'inter.woff2',
      mimeType: 'font/woff2',
      buffer: readFileSync(require.resolve('inter-ui/variable-latin/InterVariable-subset.woff2')),
    },
    {
      name: 'locked.ttf',
      mimeType: 'font/ttf',
      buffer: Buffer.from(withFsType(new Uint8Array(readFace('lora-bold')), 2)),
    },
  ]);
  await expect(adding.getByText(/Added: Inter Thin, .*Inter Black/)).toBeVisible();
  await expect(
    adding.getByText(/Typeface “locked.ttf” may not be embedded: its license does not allow it/),
  ).toBeVisible();
  await adding.getByRole('button', { name: 'Close' }).click();

  await page.getByLabel('Title typeface').click();
  await expect(page.getByText('Your own')).toBeVisible();
  await page.getByRole('option', { name: /Inter Black/ }).click();
  await saved(page);
  await expect.poll(() => cover(page)).not.toBe(before);
  await expect(ticket(page, 'Proof')).toContainText('nothing to fix');

  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export' }).click();
  const path = await (await download).path();
  expect(execFileSync('unzip', ['-Z1', path], { encoding: 'utf8' })).toMatch(
    /^recipe\.json\n(resources\/[0-9a-f]{64}\.\w+\n)*resources\/[0-9a-f]{64}\.otf\n$/,
  );
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Title typeface')).not.toHaveValue('Inter Black');
  await page.getByRole('button', { name: 'Redo' }).click();
  await saved(page);

  // Its front on the shelf is drawn in it too.
  const front = page.getByRole('img', { name: 'Front of Tide Pool Field Notes' });
  await page.getByRole('link', { name: 'Books', exact: true }).click();
  await expect.poll(() => front.evaluate((canvas: HTMLCanvasElement) => canvas.width)).toBe(184);

  // The demo is left as it was.
  await page.goBack();
  await page.getByLabel('Title typeface').click();
  await page.getByRole('option', { name: /^Alegreya Vietnamese/ }).click();
  await saved(page);
});
