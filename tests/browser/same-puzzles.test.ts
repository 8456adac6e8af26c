import { noSeriousFindings } from './look.ts';
import { expect, openBook, saved, test, url } from './quill.ts';

test('a copied book is told that its puzzles are in the first one, and has others at a click', async ({
  page,
}) => {
  const title = 'The Beekeeper’s Word Hunt';
  await openBook(page, title, 'proof');
  const checks = page.getByRole('region', { name: 'Checks' });
  const files = page.getByRole('complementary', { name: 'Files and submission' });
  await expect(checks.getByRole('heading', { name: 'Nothing to fix' })).toBeVisible();
  await expect(checks.getByText(/is the same as|in another book already/)).toHaveCount(0);
  await files.getByRole('button', { name: 'Make files now' }).click();
  await expect(files.getByText('Up to date')).toBeVisible();

  await page.goto(url('/books'));
  await page.getByRole('checkbox', { name: `Select “${title}”` }).click();
  await page
    .getByRole('toolbar', { name: 'Selected books' })
    .getByRole('button', { name: 'Duplicate' })
    .click();
  await expect(page.getByText('1 book duplicated')).toBeVisible();
  await openBook(page, `${title} (copy)`, 'proof');
  const told = checks.getByText(
    /84 puzzles are in another book already: Puzzle 1 is the same as Puzzle 1 of “The Beekeeper’s Word Hunt” \(page \d+\)\. Re-roll them\./,
  );
  await expect(told).toBeVisible();
  await noSeriousFindings(page, 'same puzzles');
  await checks.getByRole('button', { name: 'Re-roll 84' }).click();
  await expect(told).toBeHidden();
  await expect(checks.getByRole('heading', { name: 'Nothing to fix' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(told).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(told).toBeHidden();

  // Files of the copy as it was would say so themselves; those of now have nothing to say.
  await saved(page);
  await files.getByRole('button', { name: 'Make files now' }).click();
  await expect(files.getByText('Up to date')).toBeVisible();
  await expect(files.getByText(/in another book already/)).toHaveCount(0);
});
