import { emptyBook, expect, inkOf, openBook, saved, sections, test, ticket, url } from './quill.ts';

test('two tabs on one book do not overwrite each other, and every state can be brought back', async ({
  page,
  context,
}) => {
  const id = await emptyBook(page);
  await page.goto(url(`/books/${id}/listing`));
  const other = await context.newPage();
  await other.goto(url(`/books/${id}/listing`));
  // Both began from the same state.
  await expect(ticket(other, 'Proof')).toContainText('to fix');
  await page.getByLabel('Title', { exact: true }).fill('Mine');
  await saved(page);
  await other.getByLabel('Title', { exact: true }).fill('Theirs');
  await expect(other.getByRole('dialog', { name: /changed in another tab/ })).toBeVisible();
  await other.getByRole('button', { name: 'Keep mine' }).click();
  await saved(other);
  await page.reload();
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Theirs');
  await page.getByRole('button', { name: 'History' }).click();
  await page
    .getByRole('row', { name: 'Title “Untitled” → “Mine”' })
    .getByRole('button', { name: 'Restore' })
    .click();
  const title = page.getByLabel('Title', { exact: true });
  await expect(title).toHaveValue('Mine');
  await saved(page);
  // The other way: what is there is taken, also in the field that is being typed in, and what is left is in the history.
  await other.getByLabel('Title', { exact: true }).fill('Left behind');
  await other.getByRole('button', { name: 'Use the other version' }).click();
  await expect(other.getByLabel('Title', { exact: true })).toHaveValue('Mine');
  await saved(other);
  await other.getByRole('button', { name: 'History' }).click();
  await expect(other.getByRole('row', { name: 'Title “Mine” → “Left behind”' })).toBeVisible();
  await other.close();
});

test('a title that would end a script of the page is a title', async ({ page }) => {
  const title = '</script><script>window.broken = true</script><!-- <script>';
  const id = await emptyBook(page);
  await page.goto(url(`/books/${id}/listing`));
  await page.getByLabel('Title', { exact: true }).fill(title);
  await saved(page);
  await page.goto(url(`/books/${id}/flatplan`));
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  await expect.poll(() => inkOf(page, 1)).toBeGreaterThan(0);
  expect(
    await page.evaluate(() => Object.keys(window).filter((key) => /^(broken|earlyRenderer)$/.test(key))),
  ).toEqual([]);
});

test('impossible values are answered and change nothing', async ({ page }) => {
  await openBook(page, 'Tide Pool Field Notes');
  await sections(page).last().click();
  const pages = page.getByLabel('Number of pages');
  await pages.fill('999');
  await expect(page.getByText('1 to 828 is possible.')).toBeVisible();
  await pages.fill('800');
  await expect(
    page
      .getByText(/The book would have 802 pages\. Wrenfair prints at most 776 on cream paper\. Remove 26\./)
      .first(),
  ).toBeVisible();
  await expect(ticket(page, 'Pages')).toContainText('120');
  await page.getByRole('link', { name: 'Listing', exact: true }).click();
  await page.getByLabel('Title', { exact: true }).fill('x'.repeat(400));
  await expect(page.getByText(/has 400 characters; 200 are allowed/).first()).toBeVisible();
  await expect(page.getByRole('heading', { level: 1, name: 'Tide Pool Field Notes' })).toBeVisible();
});

test('a word longer than the grid, with where and what to do', async ({ page }) => {
  await emptyBook(page);
  await page.getByRole('button', { name: 'Add pages' }).click();
  await page.getByRole('button', { name: 'Word search', exact: true }).dblclick();
  await page.getByRole('button', { name: /Edit word list/ }).click();
  await page
    .getByRole('dialog', { name: 'Words' })
    .getByLabel('Words', { exact: true })
    .fill('# One\npropolisation\nhive\n\n# Two\nbee\nwax');
  await page.getByRole('button', { name: 'Use these words' }).click();
  await page.getByLabel('Columns').fill('12');
  await page.getByLabel('Rows').fill('12');
  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  await page
    .getByRole('button', {
      name: /Puzzle 1: PROPOLISATION has 13 letters, the grid is 12 wide\. Use a 13-letter grid or remove the word\./,
    })
    .click();
  await expect(page.getByLabel('Page', { exact: true })).toHaveValue('3');
  await page.getByRole('link', { name: 'Settings of this section' }).first().click();
  await expect(page.getByRole('heading', { level: 2, name: 'Word search' })).toBeVisible();
});

test('a finding leads to the very field', async ({ page }) => {
  const id = await emptyBook(page);
  const leads = async (finding: RegExp, label: string) => {
    await page.goto(url(`/books/${id}/proof`));
    await page.getByRole('button', { name: finding }).click();
    await expect(page.getByLabel(label, { exact: true })).toBeFocused();
  };
  await leads(/The description is empty/, 'Description');
  await leads(/UK: there is no price/, 'Price, GBP');
  await leads(/No keyword field is used/, 'Keyword field 1');
  // What a copy costs is shown as a sum.
  await ticket(page, 'Print cost').click();
  await expect(
    page.getByText(/One copy in the US: \$\d\.\d\d \+ 2 pages × \$0\.\d+ = \$\d\.\d\d\./),
  ).toBeVisible();
});

test('a CSV in UTF-16 with semicolons, and a file that is no text', async ({ page }) => {
  await emptyBook(page);
  await page.getByRole('button', { name: 'Add pages' }).click();
  await page.getByRole('button', { name: 'Word search', exact: true }).dblclick();
  await page.getByRole('button', { name: /Edit word list/ }).click();
  const utf16 = Buffer.from(
    '\uFEFFtitle;word\r\nRuche;abeille\r\nRuche;bruyère\r\nCiel;étoile\r\n',
    'utf16le',
  );
  await page
    .getByLabel('Word list file')
    .setInputFiles({ name: 'words.csv', mimeType: 'text/csv', buffer: utf16 });
  await expect(page.getByText('3 words in 2 lists')).toBeVisible();
  await page.getByLabel('Word list file').setInputFiles({
    name: 'words.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 1, 2, 0x7f, 0x45, 0x4c, 0x46]),
  });
  await expect(page.getByText(/This is not a text file/)).toBeVisible();
  await expect(page.getByText('3 words in 2 lists')).toBeVisible();
  await page.getByRole('button', { name: 'Use these words' }).click();
  await expect.poll(() => inkOf(page, 3)).toBeGreaterThan(0.01);
});

test.describe('a file that is refused', () => {
  test.use({ refusals: /the server responded with a status of 422/ });
  test('a recipe with an unknown key is refused with its path', async ({ page }) => {
    await page.goto(url('/books'));
    const recipe = {
      quill: 3,
      id: 'x',
      seed: 's',
      title: 'T',
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      sections: [{ id: 'a', kind: 'ruled', pages: 30, options: { rulling: 'wide' } }],
    };
    await page.getByLabel('Book file').setInputFiles({
      name: 'recipe.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(recipe)),
    });
    await expect(
      page.getByText(/sections\.0\.options\.rulling is not a known key\. Allowed: ruling, pitch/),
    ).toBeVisible();
  });
});

test('dragging changes the running order; previews follow the scroll', async ({ page }) => {
  await openBook(page, 'Night Skies Word Search');
  const last = sections(page).last();
  const handle = page.getByRole('button', { name: 'Drag Ruled pages' });
  await expect(last).toContainText('Ruled pages');
  const from = (await handle.boundingBox())!;
  const to = (await sections(page).first().boundingBox())!;
  await page.mouse.move(from.x + 8, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x + 8, from.y - 30, { steps: 5 });
  await page.mouse.move(to.x, to.y + 4, { steps: 10 });
  await page.mouse.up();
  await expect(sections(page).first()).toContainText('Ruled pages');
  await page.keyboard.press('Control+z');
  await expect(last).toContainText('Ruled pages');
  // The view may still be on its way to the section that was moved.
  await expect(async () => {
    await page
      .getByRole('region', { name: 'Spreads' })
      .evaluate((element) => element.scrollTo(0, element.scrollHeight));
    await expect(page.locator('[data-page="100"]')).toBeVisible({ timeout: 1000 });
  }).toPass({ timeout: 60_000 });
  await expect.poll(() => inkOf(page, 100)).toBeGreaterThan(0.01);
});
