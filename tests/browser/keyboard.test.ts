import type { Page } from '@playwright/test';
import { grid } from './look.ts';
import { emptyBook, expect, saved, sections, test, ticket, url } from './quill.ts';

/** Presses Tab until the wanted element has the focus. */
async function tabTo(page: Page, name: RegExp, max = 90) {
  for (let i = 0; i < max; i++) {
    await page.keyboard.press('Tab');
    const text = await page.evaluate(() => {
      const at = document.activeElement as HTMLElement | null;
      const label = at?.id ? document.querySelector(`label[for="${at.id}"]`)?.textContent : '';
      return [at?.getAttribute('aria-label'), label, at?.textContent?.slice(0, 60)].filter(Boolean).join(' ');
    });
    if (name.test(text)) return;
  }
  throw new Error(`Tab never reached ${name}.`);
}

test.use({ press: 'niches' });

test('steps four to nine by keyboard alone', async ({ page }) => {
  await emptyBook(page);
  await expect(sections(page)).toHaveCount(2);

  // Running order: add, move, undo, redo, remove.
  await tabTo(page, /Add pages/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Add pages' }).getByLabel('Find')).toBeFocused();
  await page.keyboard.type('word search');
  await page.keyboard.press('Enter');
  await expect(sections(page)).toHaveCount(3);
  await tabTo(page, /^Word search/);
  await page.keyboard.press('Alt+ArrowUp');
  await expect(sections(page).nth(1)).toContainText('Word search');
  await page.keyboard.press('Control+z');
  await expect(sections(page).nth(2)).toContainText('Word search');
  await page.keyboard.press('Control+Shift+z');
  await expect(sections(page).nth(1)).toContainText('Word search');
  await page.keyboard.press('Control+z');

  // Words, and a setting.
  await tabTo(page, /Edit word list/);
  await page.keyboard.press('Enter');
  await page.keyboard.type(
    'wren\nrobin\nlinnet\nskylark\nswallow\nkestrel\nblackbird\nmagpie\nstarling\nsparrow',
  );
  await tabTo(page, /^Use these words/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('10 words', { exact: true })).toBeVisible();
  await page.keyboard.press('Tab');
  await tabTo(page, /^Number of puzzles/);
  await page.keyboard.press('ArrowUp');
  await expect(page.getByLabel('Number of puzzles')).toHaveValue('21');
  await expect(ticket(page, 'Pages')).toContainText('28');

  // Re-roll and pin one puzzle.
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Re-roll' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('p');
  await expect(page.getByText('pinned')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Page \d+, pinned$/ })).toHaveCount(1);

  // Wrap, listing, proof by Alt and a number; then make files.
  await page.keyboard.press('Alt+Digit3');
  await expect(page.getByRole('heading', { name: 'Cover text' })).toBeVisible();
  // What had the focus is gone with its view: the focus is in the one that took its place, not at the top of the page.
  await expect(page.getByRole('region', { name: 'Wrap', exact: true })).toBeFocused();
  await tabTo(page, /^Title$/);
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Hedge Hunt');
  await page.keyboard.press('Alt+Digit4');
  await tabTo(page, /^Description/);
  await page.keyboard.type('Birds of the hedge.');
  await tabTo(page, /^Price, USD/);
  await page.keyboard.press('Control+a');
  await page.keyboard.type('7.99');
  await tabTo(page, /^Price, GBP/);
  await page.keyboard.press('Control+a');
  await page.keyboard.type('6.99');
  await page.keyboard.press('Alt+Digit5');
  await expect(page.getByRole('heading', { name: 'Nothing to fix' })).toBeVisible();
  await saved(page);
  await tabTo(page, /^Pages$|Page 1/);
  await tabTo(page, /^Make files now/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Up to date')).toBeVisible({ timeout: 240_000 });
  // The button is gone with its job: the focus is still in the view that it stood in.
  await expect(page.locator('section[aria-label="Proof"]:focus-within')).toHaveCount(1);
});

test('a niche by keyboard alone: from a phrase to a book', async ({ page }) => {
  await page.goto(url('/niches'));
  await tabTo(page, /^Phrase/);
  await page.keyboard.type('moon journal');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Verdict' })).toBeVisible();

  // Rivals: into the table, along its rows, one opened and closed, one marked and taken back.
  await page.keyboard.press('Alt+Digit2');
  await expect(page.getByRole('button', { name: /Import…/ })).toBeVisible();
  await tabTo(page, /^Rivals\. Arrows/);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  const rival = page.getByRole('complementary', { name: 'Rival' });
  await expect(rival).toBeVisible();
  const first = await rival.getByRole('heading').first().textContent();
  await page.keyboard.press('ArrowDown');
  await expect(rival.getByRole('heading').first()).not.toHaveText(first!);
  await page.keyboard.press('Escape');
  await expect(rival).toBeHidden();
  const rivals = grid(page, /Rivals/);
  await page.keyboard.press('w');
  await expect(rivals.getByTitle('Under watch')).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(rivals.getByTitle('Under watch')).toHaveCount(0);

  // Phrases: some of one's own, until all are answered.
  await page.keyboard.press('Alt+Digit3');
  await expect(page.getByRole('heading', { name: /^Expand/ })).toBeVisible();
  await tabTo(page, /^Phrases, one per line/);
  await page.keyboard.type('moon journal for kids\nmoon log book for adults\nlarge print moon journal');
  await tabTo(page, /^Look up/);
  await page.keyboard.press('Enter');
  const phrases = grid(page, /Phrases/);
  await expect(phrases.getByText('moon journal for kids', { exact: true })).toBeVisible();
  await expect(phrases.getByText('waiting', { exact: true })).toHaveCount(0, { timeout: 60_000 });

  // Gaps: a cell opened. When: an occasion for the brief.
  await page.keyboard.press('Alt+Digit4');
  await expect(page.getByRole('table', { name: 'Monthly sales and books on sale' })).toBeVisible();
  await tabTo(page, /^kids, any format/);
  await page.keyboard.press('Enter');
  await expect(
    page.getByRole('complementary').getByRole('heading', { name: 'kids, any format' }),
  ).toBeVisible();
  await page.keyboard.press('Alt+Digit5');
  await expect(page.getByRole('region', { name: 'Occasions' })).toBeVisible();
  await tabTo(page, /^For the brief/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'In the brief' })).toBeVisible();

  // The brief, and the book that it makes.
  await page.keyboard.press('Alt+Digit6');
  await expect(page.getByLabel('Occasion', { exact: true })).not.toHaveValue('');
  await tabTo(page, /^Title$/);
  await page.keyboard.press('Control+a');
  await page.keyboard.type('By the Moon');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await tabTo(page, /^Start a book from this/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'By the Moon' })).toBeVisible();
  await expect.poll(() => sections(page).count()).toBeGreaterThan(1);
});
