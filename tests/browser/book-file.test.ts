import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, inkOf, openBook, saved, sections, test, ticket, url } from './quill.ts';

const moths = {
  quill: 1,
  id: 'moths',
  seed: 'm-1',
  title: 'Lantern Moths',
  penName: 'Odile Marrow',
  print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
  banks: {
    moths: {
      name: 'Moths',
      words: 'hawk tiger emperor cinnabar lantern feather cocoon antenna dusk wing flutter moonlight'.split(
        ' ',
      ),
    },
  },
  sections: [
    { id: 't', kind: 'title-page' },
    { id: 'w', kind: 'word-search', items: 40, options: { words: { bank: 'moths' }, wordsPerPuzzle: 10 } },
  ],
  listing: { description: 'Moths.', keywords: ['moths'], prices: { us: 9.99, gb: 8.99 } },
};

// A content that is not there, and a file that is none.
test.use({ refusals: /the server responded with a status of (404|422)/ });

test('a book goes out as one file with its words and comes in again; a recipe alone says what it lacks', async ({
  page,
}) => {
  // A book as an earlier program wrote it, with its words inside.
  await page.goto(url('/books'));
  await page.getByLabel('Book file').setInputFiles({
    name: 'moths.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(moths)),
  });
  await page.waitForURL(/flatplan/);
  await expect.poll(() => inkOf(page, 2)).toBeGreaterThan(0.01);
  const pages = await ticket(page, 'Pages').textContent();
  // Its title page is as that program made it, until the newer version is taken.
  await sections(page).first().click();
  await expect(
    page.getByText(/Made with version 1 of this kind. Version 2: Words are set in the typefaces/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Use version 2' }).click();
  await expect(page.getByText(/Made with version 1/)).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/Made with version 1/)).toBeVisible();
  await saved(page);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export' }).click();
  const path = await (await download).path();
  expect(execFileSync('unzip', ['-Z1', path], { encoding: 'utf8' })).toMatch(
    /^recipe\.json\nresources\/[0-9a-f]{64}\.txt\n$/,
  );
  const recipe = JSON.parse(execFileSync('unzip', ['-p', path, 'recipe.json'], { encoding: 'utf8' }));

  await page.goto(url('/books'));
  await page
    .getByLabel('Book file')
    .setInputFiles({ name: 'skies.zip', mimeType: 'application/zip', buffer: readFileSync(path) });
  await page.waitForURL(/flatplan/);
  await expect(ticket(page, 'Pages')).toHaveText(pages!);
  await expect.poll(() => inkOf(page, 2)).toBeGreaterThan(0.01);
  await expect(page.getByText('to fix', { exact: false }).first()).toContainText('nothing to fix');

  // Words that this press does not have: their pages stay free and say so, and the proof leads there.
  recipe.resources.moths.hash = `sha256-${'5'.repeat(64)}`;
  await page.goto(url('/books'));
  await page.getByLabel('Book file').setInputFiles({
    name: 'recipe.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ ...recipe, title: 'Moths without Words' })),
  });
  await page.waitForURL(/flatplan/);
  await expect(ticket(page, 'Pages')).toHaveText(pages!);
  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  await expect(page.getByText('Word bank “Moths” is missing.').first()).toBeVisible();
  await page.getByRole('link', { name: 'Flatplan', exact: true }).click();
  // Other words are chosen in their place, and it is whole again.
  await page.getByRole('combobox', { name: 'Words' }).click();
  await page.getByRole('option', { name: 'Tide pools' }).click();
  await expect(ticket(page, 'Proof')).toContainText('nothing to fix');
  await saved(page);

  await page.goto(url('/books'));
  await page.getByLabel('Book file').setInputFiles({
    name: 'cut.zip',
    mimeType: 'application/zip',
    buffer: readFileSync(path).subarray(0, 900),
  });
  await expect(page.getByText(/The ZIP is (cut off|damaged)/)).toBeVisible();
});

test('layers of the cover are chosen in the list or on the sheet, hidden and shown', async ({ page }) => {
  await openBook(page, 'Tide Pool Field Notes');
  await page.getByRole('link', { name: 'Wrap', exact: true }).click();
  const layers = page.getByRole('region', { name: 'Layers of the cover' });
  const art = layers.getByRole('button', { name: 'Field of figures' });
  await expect(art).toBeVisible();
  const sheet = page.getByRole('img', { name: /The wrap/ });
  const box = (await sheet.boundingBox())!;
  await page.mouse.click(box.x + box.width * 0.8, box.y + box.height * 0.93);
  await expect(art).toHaveClass(/Mui-selected/);

  const ink = () =>
    sheet.evaluate((canvas: HTMLCanvasElement) => {
      const { width, height } = canvas;
      const { data } = canvas.getContext('2d')!.getImageData(width * 0.8, height * 0.85, 40, 40);
      return new Set(Array.from({ length: 1600 }, (_, i) => data[4 * i])).size;
    });
  await expect.poll(ink).toBeGreaterThan(1);
  await layers.getByRole('checkbox', { name: 'Show: Field of figures' }).uncheck();
  await expect.poll(ink).toBe(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(layers.getByRole('checkbox', { name: 'Show: Field of figures' })).toBeChecked();
  await expect.poll(ink).toBeGreaterThan(1);
});
