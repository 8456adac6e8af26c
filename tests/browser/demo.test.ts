import { grid, noSeriousFindings, picture, view } from './look.ts';
import { expect, test, url } from './quill.ts';

test.use({ press: 'demo' });

test('niches side by side, and the pictures of every view', async ({ page }) => {
  await page.goto(url('/niches'));
  for (const name of ['beekeeping word search', 'gardening planner', 'night sky journal'])
    await page.getByRole('checkbox', { name: `Select ${name}` }).check();
  await noSeriousFindings(page, 'niches');
  await page.getByRole('button', { name: 'Compare' }).click();
  const table = page.getByRole('table', { name: 'Niches side by side' });
  await expect(table.getByRole('columnheader')).toHaveCount(3);
  await noSeriousFindings(page, 'compare');
  await table.getByRole('link', { name: 'beekeeping word search' }).click();
  await expect(page.getByRole('region', { name: 'Verdict' })).toBeVisible();
  await picture(page, 'niche');
  await view(page, 'Rivals');
  await expect(grid(page, /Rivals/)).toBeVisible();
  await picture(page, 'rivals');
  // A dot says which book it is.
  const prices = page.getByRole('figure').filter({ hasText: 'At which prices do books sell?' });
  await prices.locator('circle').last().hover({ force: true });
  await expect(page.getByRole('tooltip')).toHaveText(/\$\d+\.\d\d · [\d.,]+ copies a month$/);
  await view(page, 'Phrases');
  await expect(grid(page, /Phrases/)).toBeVisible();
  await picture(page, 'phrases');
  await view(page, 'Gaps');
  await expect(page.getByRole('table', { name: 'Monthly sales and books on sale' })).toBeVisible();
  await view(page, 'Brief');
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue(/Beekeeping/);
  await picture(page, 'niche-brief');
  await page.goto(url('/niches/assumptions'));
  await picture(page, 'sums');
  await page.goto(url('/niches'));
  await expect(page.getByRole('link', { name: 'beekeeping word search' })).toBeVisible();
  await picture(page, 'niches');
  await page.goto(url('/'));
  await picture(page, 'desk');
});
