import type { Locator } from '@playwright/test';
import { noSeriousFindings, picture } from './look.ts';
import { emptyBook, expect, inkOf, saved, sections, test, ticket } from './quill.ts';

/** Small pages that are not drawn yet: a canvas is three hundred pixels wide by itself. */
const undrawn = (dialog: Locator) =>
  dialog
    .locator('canvas')
    .evaluateAll((all) => (all as HTMLCanvasElement[]).filter(({ width }) => width === 300).length);

test('pages are chosen from small pages of the book’s own trim, several at once, and taken back with one undo', async ({
  page,
}) => {
  await emptyBook(page);
  await expect(sections(page)).toHaveCount(2);
  const dialog = page.getByRole('dialog', { name: 'Add pages' });
  // A book without pages has its gallery drawn before anybody opens it.
  await page.waitForFunction(
    () =>
      (performance.getEntriesByName('quill-drawn-ahead') as PerformanceMark[]).some(
        ({ detail }) => detail.pages > 100,
      ),
    null,
    { timeout: 60_000 },
  );
  await page.getByRole('button', { name: 'Add pages' }).click();
  await dialog.getByRole('button', { name: 'Hive inspection', exact: true }).waitFor();
  expect(await undrawn(dialog)).toBe(0);

  // Every small page is drawn.
  const hive = dialog.getByRole('img', { name: 'A page of Hive inspection' });
  await hive.scrollIntoViewIfNeeded();
  await expect
    .poll(() =>
      hive.evaluate((canvas: HTMLCanvasElement) => {
        const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
        return data.some((value) => value < 128);
      }),
    )
    .toBe(true);

  await dialog.getByRole('region', { name: 'Nature' }).evaluate((region) => region.scrollIntoView());
  await noSeriousFindings(page, 'gallery');
  await picture(page, 'gallery');

  // All of it is there at once when it is opened again.
  await expect.poll(() => undrawn(dialog), { timeout: 60_000 }).toBe(0);
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(dialog).toBeHidden();
  await page.getByRole('button', { name: 'Add pages' }).click();
  await dialog.getByRole('button', { name: 'Hive inspection', exact: true }).waitFor();
  expect(await undrawn(dialog)).toBe(0);
  const halfTitle = dialog.getByRole('img', { name: 'A page of Half title' });
  const look = () => halfTitle.evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL());
  const before = await look();

  // Found by a word; what was chosen stays chosen.
  await dialog.getByRole('button', { name: 'Hive inspection', exact: true }).click();
  await dialog.getByLabel('Find').fill('staff');
  await expect(dialog.getByRole('button', { name: 'Hive inspection', exact: true })).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Grand staff', exact: true }).click();
  await dialog.getByLabel('Find').fill('unheard of');
  await expect(dialog.getByText('No page is called so.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Add 2 sections' }).click();

  await expect(sections(page)).toHaveCount(4);
  await expect(ticket(page, 'Pages')).toContainText('50');
  await expect(sections(page).nth(2)).toContainText('Hive inspection');
  await expect(sections(page).nth(3)).toContainText('Music paper');
  await expect.poll(() => inkOf(page, 3)).toBeGreaterThan(0.001);
  const settings = page.getByRole('complementary', { name: 'Settings' });
  await expect(settings.getByRole('heading', { name: 'Hive inspection' })).toBeVisible();

  // Another design, another look, at once.
  await settings.getByRole('combobox', { name: 'Design' }).click();
  await page.getByRole('option', { name: 'Garden plan' }).click();
  await expect(sections(page).nth(2)).toContainText('Garden plan');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(sections(page).nth(2)).toContainText('Hive inspection');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(sections(page)).toHaveCount(2);
  await expect(ticket(page, 'Pages')).not.toContainText('50');

  // What is kept of the gallery is not shown for a book that says something else.
  await page.getByRole('link', { name: 'Listing', exact: true }).click();
  await page.getByLabel('Title', { exact: true }).fill('A Year of Hedges');
  await saved(page);
  await page.getByRole('link', { name: 'Flatplan', exact: true }).click();
  await page.getByRole('button', { name: 'Add pages' }).click();
  await halfTitle.waitFor();
  await expect.poll(() => undrawn(dialog), { timeout: 60_000 }).toBe(0);
  expect(await look()).not.toBe(before);
});
