import { expect, inkOf, sections, test, ticket, url } from './quill.ts';

const words = 'swarm propolis drone nectar skep waggle brood queen pollen smoker comb honey'.split(' ');
const byTurns = {
  quill: 3,
  id: 'turns',
  seed: 't-1',
  title: 'Bees by Turns',
  penName: 'Odile Marrow',
  print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
  sections: [
    {
      id: 'g',
      group: {
        rounds: 20,
        members: [
          {
            id: 'w',
            kind: 'word-search',
            options: { words: { lists: [{ words }] }, wordsPerPuzzle: 10 },
          },
          { id: 'r', kind: 'ruled', options: { heading: 'date' } },
        ],
      },
      solutions: { place: 'end', perPage: 4 },
    },
  ],
};

test('alternating pages are shown, counted, set and taken out again', async ({ page }) => {
  await page.goto(url('/books'));
  await page.getByLabel('Book file').setInputFiles({
    name: 'recipe.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(byTurns)),
  });
  await page.waitForURL(/flatplan/);
  const order = page.getByRole('region', { name: 'Running order' });
  const settings = page.getByRole('complementary', { name: 'Settings' });
  // 20 rounds of two pages, five pages of solutions, and the blank that makes the count even.
  await expect(ticket(page, 'Pages')).toContainText('46');
  await expect.poll(() => inkOf(page, 2)).toBeGreaterThan(0.001);

  await order.getByRole('button', { name: /Alternating pages.*20 rounds/ }).click();
  await settings.getByLabel('Rounds').fill('22');
  await expect(ticket(page, 'Pages')).toContainText('50');
  await settings.getByRole('combobox', { name: 'Solutions' }).click();
  await page.getByRole('option', { name: 'None' }).click();
  await expect(ticket(page, 'Pages')).toContainText('44');

  // A member has settings of its own, and its puzzles can be re-rolled.
  await order.getByRole('button', { name: 'Word search', exact: true }).click();
  await expect(settings.getByRole('heading', { name: 'Word search' })).toBeVisible();
  await expect(settings.getByText('Puzzle 1', { exact: true })).toBeVisible();
  await settings.getByRole('button', { name: 'Next puzzle' }).click();
  await expect(settings.getByText('page 3', { exact: true })).toBeVisible();
  await order.getByRole('button', { name: 'Ruled pages', exact: true }).click();
  await settings.getByRole('combobox', { name: 'Ruling', exact: true }).click();
  await page.getByRole('option', { name: 'Wide' }).click();
  await expect(settings.getByRole('combobox', { name: 'Ruling', exact: true })).toHaveText('Wide');

  // One of them comes several times in each round, and all of them in an order of their own.
  await settings.getByLabel('Times in each round').fill('2');
  await expect(ticket(page, 'Pages')).toContainText('66');
  await expect(order.getByRole('button', { name: 'Ruled pages × 2', exact: true })).toBeVisible();
  await order.getByRole('button', { name: /Alternating pages.*22 rounds/ }).click();
  await settings.getByRole('button', { name: 'Shuffled' }).click();
  await expect(settings.getByRole('button', { name: 'Shuffled' })).toHaveAttribute('aria-pressed', 'true');
  await expect(ticket(page, 'Pages')).toContainText('66');
  for (const _ of [1, 2]) await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(ticket(page, 'Pages')).toContainText('44');

  await order.getByRole('button', { name: /Alternating pages.*22 rounds/ }).press('Delete');
  const needs = page.getByRole('region', { name: 'What this book still needs' });
  await expect(needs).toContainText('it has 0');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(ticket(page, 'Pages')).toContainText('44');
});

test('two sections are made to alternate, and parted again', async ({ page }) => {
  await page.goto(url('/books'));
  await page.getByLabel('Book file').setInputFiles({
    name: 'recipe.json',
    mimeType: 'application/json',
    buffer: Buffer.from(
      JSON.stringify({
        ...byTurns,
        sections: [
          { id: 'a', kind: 'ruled', pages: 14 },
          { id: 'b', kind: 'belongs-to' },
        ],
      }),
    ),
  });
  await page.waitForURL(/flatplan/);
  const settings = page.getByRole('complementary', { name: 'Settings' });
  await sections(page).first().click();
  await settings.getByRole('button', { name: 'Alternate with the next: belongs to' }).click();
  await expect(sections(page)).toHaveCount(1);
  await expect(sections(page).first()).toContainText('14 rounds');
  await expect(ticket(page, 'Pages')).toContainText('28');
  await sections(page).first().click();
  await settings.getByRole('button', { name: 'Ungroup, one after the other' }).click();
  await expect(sections(page)).toHaveCount(2);
  await expect(ticket(page, 'Pages')).toContainText('16');
});

test('books are found by words of their title or pen name', async ({ page }) => {
  await page.goto(url('/books'));
  const search = page.getByRole('searchbox', { name: 'Search books' });
  await search.fill('night vance');
  await expect(page.getByRole('link', { name: /Night Skies Word Search/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Tide Pool Field Notes/ })).toHaveCount(0);
  await search.fill('no such book');
  await expect(page.getByText('No book has “no such book” in its title')).toBeVisible();
  await search.fill('');
  await expect(page.getByRole('link', { name: /Tide Pool Field Notes/ })).toBeVisible();
});
