import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { noSeriousFindings, picture } from './look.ts';
import { expect, inkOf, saved, sections, test, ticket, url } from './quill.ts';

test('from a phrase to a book that is live', async ({ page }) => {
  await page.goto(url('/'));
  await noSeriousFindings(page, 'desk');

  // Niches: a phrase, its verdict with sums, a chart, comparables.
  await page.getByRole('link', { name: 'Niches' }).click();
  await page.getByRole('combobox', { name: 'Phrase' }).fill('dinosaur word search');
  await page.getByRole('button', { name: 'Search', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'dinosaur word search' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText(
    /Open|Worth a try|Crowded|No demand/,
  );
  await expect(page.getByRole('figure').first().locator('circle').first()).toBeVisible();
  expect(
    await page
      .getByRole('grid', { name: /Rivals/ })
      .getByRole('row')
      .count(),
  ).toBeGreaterThan(5);
  await noSeriousFindings(page, 'niche');

  // A book whose brief is filled.
  await page.getByRole('button', { name: 'Start a book from this' }).click();
  await page.waitForURL(/flatplan/);
  const heading = page.getByRole('heading', { level: 1, name: /Dinosaur Word Search/ });
  await expect(heading).toBeVisible();
  const title = (await heading.textContent())!;
  await expect(sections(page).nth(2)).toContainText('Word search');
  await expect.poll(() => inkOf(page, 3)).toBeGreaterThan(0.01);
  await noSeriousFindings(page, 'flatplan');

  // Flatplan: words of its own, pasted with a title line; the preview follows.
  await page.getByRole('button', { name: /Edit word list/ }).click();
  await page
    .getByRole('dialog', { name: 'Words' })
    .getByLabel('Words', { exact: true })
    .fill(
      '# Great lizards\ntriceratops\nstegosaurus\nraptor\nfossil\nclaw\nhorn\ntail\negg\nnest\nfern\nswamp\nvolcano\nclaw',
    );
  await expect(page.getByText('12 words in 1 list')).toBeVisible();
  await expect(page.getByText(/claw is already in the list/)).toBeVisible();
  await noSeriousFindings(page, 'words');
  await page.getByRole('button', { name: 'Use these words' }).click();
  await expect(page.getByText('12 words', { exact: true })).toBeVisible();

  // Job ticket: paper changes the spine at once.
  const spine = await ticket(page, 'Spine').textContent();
  await ticket(page, 'Ink').click();
  await page.getByRole('menuitem', { name: 'black ink, cream paper' }).click();
  await expect(ticket(page, 'Spine')).not.toHaveText(spine!);

  // Wrap: the blurb, the palette, the three views.
  await page.getByRole('link', { name: 'Wrap', exact: true }).click();
  await page
    .getByLabel('Back-cover blurb')
    .fill('Great lizards hide in every grid. Find them before the volcano does.');
  await page.getByRole('radio', { name: 'Shore' }).click();
  await page.getByRole('button', { name: 'As trimmed' }).click();
  await page.getByRole('button', { name: 'Flat sheet' }).click();
  await noSeriousFindings(page, 'wrap');

  // Listing: description, keyword count, price under the floor is answered.
  await page.getByRole('link', { name: 'Listing', exact: true }).click();
  await page.getByLabel('Description').fill('Word searches for young friends of great lizards.');
  await page.getByLabel('Price, USD').fill('1.00');
  await expect(page.getByText(/Below the minimum price, \$/)).toBeVisible();
  await page.getByLabel('Price, USD').fill('9.99');
  await expect(page.getByText('20 of 50').first()).toBeVisible();
  await noSeriousFindings(page, 'listing');

  // Proof: the checks pass but for what is not made yet; files; submit.
  await saved(page);
  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Nothing to fix' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Submit', exact: true })).toBeDisabled();
  await noSeriousFindings(page, 'proof');
  await page.getByRole('button', { name: 'Make files', exact: true }).click();
  await expect(page.getByText('Up to date')).toBeVisible({ timeout: 240_000 });

  // What was made is what the ticket says, by a reader of its own.
  const pages = (await ticket(page, 'Pages').textContent())!.replace(/\D/g, '');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'interior.pdf' }).click();
  expect((await download).suggestedFilename()).toBe(
    `${title.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-')}-interior.pdf`,
  );
  const path = await (await download).path();
  expect(execFileSync('pdfinfo', [path], { encoding: 'utf8' })).toMatch(new RegExp(`Pages:\\s+${pages}\\n`));

  await page.getByRole('button', { name: 'Submit', exact: true }).click();
  await expect(page.getByText('Live', { exact: true })).toBeVisible({ timeout: 240_000 });
  await page.getByRole('link', { name: 'Submissions' }).click();
  await expect(page.getByRole('row', { name: /Dinosaur Word Search/ })).toContainText('Live');
  await noSeriousFindings(page, 'submissions');
  await picture(page, 'submissions');
  const table = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  expect(readFileSync(await (await table).path(), 'utf8')).toMatch(
    /^\uFEFFbook,service,submitted,state,reasons\r\n/,
  );

  // A change makes the files out of date, and they cannot be submitted.
  await page.getByRole('link', { name: 'Dinosaur Word Search' }).click();
  await page.getByRole('link', { name: 'Listing', exact: true }).click();
  await page.getByLabel('Subtitle').fill('A change after the files');
  await saved(page);
  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  await expect(page.getByText('Out of date: the book has changed')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Submit update' })).toBeDisabled();

  // What the live book is known by stays; everything else is an update of the same book.
  await page.getByRole('link', { name: 'Listing', exact: true }).click();
  await expect(page.getByLabel('Title', { exact: true })).not.toBeEditable();
  await expect(page.getByText(/the title of a live book stays/)).toBeVisible();
  await expect(page.getByText(/the pen name of a live book stays/)).toBeVisible();
  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  await page.getByRole('button', { name: 'Make files', exact: true }).click();
  await page.getByRole('button', { name: 'Submit update' }).click({ timeout: 240_000 });
  await expect(page.getByText('Replaced by an update')).toBeVisible({ timeout: 240_000 });
  await expect(page.getByText('Live', { exact: true })).toBeVisible();

  // A deleted book stays among the submissions, and the way there is to where it can be restored.
  await page.goto(url('/books'));
  await page.getByRole('checkbox', { name: `Select “${title}”` }).click();
  await page.keyboard.press('Delete');
  await expect(page.getByText('1 book deleted')).toBeVisible();
  await page.getByRole('link', { name: 'Submissions' }).click();
  const row = page.getByRole('row', { name: /Dinosaur Word Search/ }).first();
  await row.getByRole('link', { name: 'deleted' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: title })).toBeVisible();
});
