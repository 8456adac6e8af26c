import type { Page } from '@playwright/test';
import { awake, emptyBook, expect, openBook, saved, sections, test, url } from './quill.ts';

async function openPalette(page: Page): Promise<void> {
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('dialog', { name: 'Command palette' }).getByRole('combobox')).toBeFocused();
}

test.use({ press: 'niches' });

test('Ctrl+K goes to any book, niche or view by its name, and does what the page at hand can do', async ({
  page,
}) => {
  await page.goto(url('/'));
  await awake(page);
  const palette = page.getByRole('dialog', { name: 'Command palette' });
  await openPalette(page);
  await page.keyboard.type('night skies');
  await palette.getByRole('option', { name: 'Night Skies Word Search' }).waitFor();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Night Skies Word Search' })).toBeVisible();
  await expect(palette).toBeHidden();

  // A view, from a field that is typed in.
  await page.getByLabel('Words per puzzle').focus();
  await openPalette(page);
  await page.keyboard.type('open listing');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Description')).toBeVisible();

  await openPalette(page);
  await page.keyboard.type('beekeeping');
  await palette.getByRole('option', { name: 'beekeeping word search' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'beekeeping word search' })).toBeVisible();

  await openPalette(page);
  await page.keyboard.type('zzzz');
  await expect(palette.getByText('No matches.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(palette).toBeHidden();
});

test('what a view can do is in the palette, with its keys; the keys are listed under “?”', async ({
  page,
}) => {
  await emptyBook(page);
  await awake(page);
  await openPalette(page);
  await page.keyboard.type('add ruled');
  await page.keyboard.press('Enter');
  await expect(sections(page)).toHaveCount(3);
  await saved(page);
  await sections(page).last().focus();
  await page.keyboard.press('Shift+?');
  const list = page.getByRole('dialog', { name: 'Keyboard shortcuts' });
  await expect(list.getByRole('row', { name: 'Undo Ctrl Z' })).toBeVisible();
  await expect(list.getByRole('row', { name: 'Open Proof Alt 5' })).toBeVisible();
  // Nothing was done again yet.
  await expect(list.getByText('Redo')).toBeHidden();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await expect(sections(page)).toHaveCount(2);
  await page.keyboard.press('Control+Shift+z');
  await expect(sections(page)).toHaveCount(3);
});

test('a notice says what was done, and the styles of it are allowed', async ({ page }) => {
  await openBook(page, 'Tide Pool Field Notes', 'proof');
  await page.getByRole('button', { name: 'Make files', exact: true }).click();
  await expect(page.getByText('Up to date')).toBeVisible({ timeout: 240_000 });
  await page.getByRole('button', { name: 'Make files', exact: true }).click();
  const notice = page.getByText('The files are up to date. There is nothing to make.');
  await expect(notice).toBeVisible();
  // Placed over the page, not in its flow: the library’s own styles are there.
  expect(
    await notice.evaluate((at) => getComputedStyle(at.closest('[class*=notistack]')!).position),
  ).not.toBe('static');
});
