import { expect, openBook, saved, test, ticket, url } from './quill.ts';

test('lengths and days are written as the workspace chooses, and a trim may be any that is printed', async ({
  page,
}) => {
  const id = await openBook(page, 'Tide Pool Field Notes');
  await expect(ticket(page, 'Trim')).toContainText('5.5 × 8.5 in');
  await page.getByRole('button', { name: 'Tin Lantern Press' }).click();
  await page.getByRole('button', { name: 'Millimeters' }).click();
  await page.getByRole('button', { name: '2026-11-24' }).click();
  await expect(page.getByRole('button', { name: '2026-11-24' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(ticket(page, 'Trim')).toContainText('139.7 × 215.9 mm');
  await expect(ticket(page, 'Wrap')).toContainText('mm');

  await ticket(page, 'Trim').click();
  await expect(page.getByRole('menuitem', { name: '152.4 × 228.6 mm' })).toBeVisible();
  await page.getByRole('menuitem', { name: 'Another trim…' }).click();
  const width = page.getByLabel('Width, mm');
  await width.fill('90');
  await page.getByLabel('Height, mm').fill('20,5 cm');
  await page.getByRole('button', { name: 'Use this trim' }).click();
  await expect(width).toHaveAccessibleDescription('From 101.6 mm to 215.9 mm.');
  await width.fill('135');
  await page.getByRole('button', { name: 'Use this trim' }).click();
  await expect(ticket(page, 'Trim')).toContainText('135 × 205 mm');
  await saved(page);

  // The choice stays, on every page.
  await page.goto(url('/books'));
  await expect(page.getByRole('list', { name: 'Books' })).toContainText('135 × 205 mm');
  await page.goto(url(`/books/${id}/flatplan`));
  await page.getByRole('button', { name: 'History' }).click();
  await expect(page.getByText('Trim 5.5 × 8.5 in → 135 × 205 mm')).toBeVisible();
  await expect(page.getByText(/^\d{4}-\d\d-\d\d, \d\d:\d\d$/).first()).toBeVisible();
});
