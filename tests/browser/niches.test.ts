import type { Page } from '@playwright/test';
import { grid, noSeriousFindings, view } from './look.ts';
import { expect, test, url } from './quill.ts';

test.use({ press: 'niches' });

async function open(page: Page, phrase: string) {
  await page.goto(url('/niches'));
  await page.getByRole('link', { name: phrase }).click();
  await expect(page.getByRole('heading', { level: 1, name: phrase })).toBeVisible();
}
const verdict = (page: Page) => page.getByRole('region', { name: 'Verdict' });
const row = (page: Page, phrase: string) =>
  grid(page, /^Niches/).getByRole('row', { name: new RegExp(phrase) });

test('a niche of another market is reckoned in its money; the list is narrowed, noted upon and sorted', async ({
  page,
}) => {
  await page.goto(url('/niches'));
  await page.getByLabel('Market').click();
  await page.getByRole('option', { name: 'UK' }).click();
  await page.getByRole('combobox', { name: 'Phrase' }).fill('gardening planner');
  await page.getByRole('button', { name: 'Search', exact: true }).click();
  await expect(page.getByText(/Checked on Wrenfair UK/)).toBeVisible();
  await expect(verdict(page)).toContainText(/A new book earns £\d/);
  await expect(verdict(page)).not.toContainText('$');
  await view(page, 'Rivals');
  await expect(
    grid(page, /Rivals/)
      .getByRole('row')
      .nth(1),
  ).toContainText('£');

  // The same phrase twice, each in its own market.
  await page.goto(url('/niches'));
  await expect(row(page, 'gardening planner')).toHaveCount(2);
  await expect(row(page, 'gardening planner').filter({ hasText: 'UK' })).toContainText('£');
  await noSeriousFindings(page, 'niches');

  // Noted upon: kept by itself, there after a reload.
  await row(page, 'night sky journal').getByText('idea').click();
  const detail = page.getByRole('complementary', { name: 'Niche' });
  await detail.getByLabel('Status').click();
  await page.getByRole('option', { name: 'researching' }).click();
  await detail.getByLabel('Labels').fill('winter');
  await page.keyboard.press('Enter');
  await detail.getByLabel('Notes').fill('Ask the printer about gray pages.');
  await expect(detail.getByText('saved', { exact: true })).toBeVisible();
  await noSeriousFindings(page, 'a niche of the list');
  await page.reload();
  await expect(detail.getByLabel('Notes')).toHaveValue('Ask the printer about gray pages.');
  await expect(detail.getByText('winter')).toBeVisible();
  await detail.getByRole('button', { name: 'Close the niche' }).click();

  // Narrowed by words of the notes, by status, by label, by earnings.
  const shown = page.getByRole('status').filter({ hasText: /of 4 niches/ });
  await page.getByLabel('Words in phrase, labels, notes').fill('gray printer');
  await expect(shown).toContainText('1 of 4');
  await page.getByRole('button', { name: 'Clear filters' }).click();
  await page.getByRole('group', { name: 'Filters' }).getByLabel('Status').click();
  await page.getByRole('option', { name: 'Researching' }).click();
  await expect(shown).toContainText('2 of 4');
  await page.getByRole('button', { name: 'Clear filters' }).click();
  await page.getByLabel('Earns at least').fill('100000');
  await expect(page.getByText('No niche matches. Clear a filter.')).toBeVisible();
  await page.getByRole('button', { name: 'Clear filters' }).click();

  // Several at once, and taken back.
  for (const phrase of ['night sky journal', 'beekeeping word search'])
    await page.getByRole('checkbox', { name: `Select ${phrase}` }).check();
  await page
    .getByRole('button', { name: 'Set the status' })
    .or(page.getByLabel('Set the status'))
    .first()
    .click();
  await page.getByRole('option', { name: 'dropped' }).click();
  await expect(row(page, 'beekeeping word search')).toContainText('dropped');
  await expect(row(page, 'night sky journal')).toContainText('dropped');
  await page.keyboard.press('Control+z');
  await expect(row(page, 'night sky journal')).toContainText('researching');
  await expect(row(page, 'beekeeping word search')).toContainText('making');
  await page.getByRole('button', { name: 'Labels…' }).click();
  await page.getByRole('dialog').getByLabel('Labels').fill('soon');
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(row(page, 'beekeeping word search')).toContainText('soon');
  await expect(row(page, 'night sky journal')).toContainText('winter, soon');

  // Sorted by earnings, the best first.
  await page.getByRole('columnheader', { name: 'Earns/mo' }).getByRole('button').click();
  const earnings = await grid(page, /^Niches/)
    .getByRole('row')
    .getByRole('gridcell', { name: /^[$£]\d/ })
    .allTextContents();
  const numbers = earnings.map((text) => Number(text.replaceAll(/[$£,]/g, '')));
  expect(numbers).toEqual([...numbers].sort((a, b) => b - a));
});

test('assumptions change beside the verdict; a price is tried and taken into the brief', async ({ page }) => {
  await open(page, 'gardening planner');
  await expect(verdict(page)).toContainText('Worth a try');
  const before = await verdict(page).textContent();
  await page.getByRole('button', { name: 'Change the assumptions' }).click();
  const panel = page.getByRole('region', { name: 'Assumptions' });
  await noSeriousFindings(page, 'assumptions beside the verdict');
  await panel.getByLabel('Ad clicks per sale').fill('40');
  await expect(verdict(page)).not.toHaveText(before!);
  await expect(panel.getByText('saved', { exact: true })).toBeVisible();
  await panel.getByRole('button', { name: 'Undo' }).click();
  await expect(verdict(page)).toHaveText(before!);
  await panel.getByLabel('Monthly earnings of a new book, at least').fill('1');
  await panel.getByLabel('Books on sale, at most').fill('100000');
  await panel.getByLabel('Share of the top 3, at most').fill('1');
  await expect(verdict(page)).toContainText('Open');
  // What is not possible is said, and changes nothing.
  await panel.getByLabel('Share of the top 3, at most').fill('7');
  await expect(panel.getByText('0 to 1 is possible.')).toBeVisible();
  await expect(panel.getByText('saved', { exact: true })).toBeVisible();
  await panel.getByRole('button', { name: 'Close the assumptions' }).click();
  await page.reload();
  await expect(verdict(page)).toContainText('Open');

  // What sells leads to its rows.
  const summary = page.getByRole('complementary', { name: 'Summary' });
  const sells = summary.getByRole('table', { name: 'What sells' });
  await expect(sells).toBeVisible();
  await expect(sells.getByRole('row').filter({ hasText: 'planner' })).toHaveCount(0);

  const slider = summary.getByRole('slider', { name: 'Price' });
  const said = summary.getByRole('status').filter({ hasText: 'royalty' });
  const usual = await said.textContent();
  await slider.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(said).not.toHaveText(usual!);
  const price = /\$[\d.]+/.exec((await said.textContent())!)![0];
  await summary.getByRole('button', { name: 'Use in the brief' }).click();
  await expect(summary.getByRole('button', { name: 'The price in the brief' })).toBeDisabled();
  await view(page, 'Brief');
  await expect(page.getByLabel('Price, USD')).toHaveValue(price.slice(1));
});

test('rivals by their covers and first pages; hidden ones count, those left out do not', async ({ page }) => {
  await open(page, 'beekeeping word search');
  await view(page, 'Rivals');
  const count = page.getByText(/\d+ rivals|of \d+ rivals count/);
  await expect(count).toContainText('60 rivals');
  const whole = grid(page, /Rivals/);
  await whole.focus();
  await page.keyboard.press('Home');
  await page.keyboard.press('h');
  await expect(page.getByText('59 of 60', { exact: true })).toBeVisible();
  await expect(count).toContainText('60 rivals');
  await page.keyboard.press('n');
  await expect(page.getByText('59 of 60 rivals count')).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByText('60 of 60', { exact: true })).toBeVisible();

  await page.getByRole('button', { name: 'Covers' }).click();
  const wall = page.getByRole('region', { name: 'Covers' });
  await expect(wall.getByRole('listitem')).toHaveCount(60);
  await expect(wall.getByRole('listitem').first()).toContainText(/\$\d.*reviews/);
  await expect
    .poll(() =>
      wall
        .getByRole('presentation')
        .first()
        .evaluate((image: HTMLImageElement) => image.naturalWidth),
    )
    .toBe(160);
  await noSeriousFindings(page, 'covers');
  await wall.getByRole('checkbox').first().check();
  await wall.getByRole('checkbox').nth(1).check();
  await page.getByRole('button', { name: 'First pages' }).click();
  const pages = page.getByRole('region', { name: 'First pages' });
  await expect(pages.getByRole('img', { name: /^Page 1 of/ })).toHaveCount(2);
  await noSeriousFindings(page, 'first pages');
  await pages.getByRole('button').first().click();
  await expect(page.getByRole('complementary', { name: 'Rival' })).toBeVisible();
  // Into the brief, and out again.
  const rival = page.getByRole('complementary', { name: 'Rival' });
  const inBrief = rival.getByRole('button', { name: /the brief$/ });
  const state = await inBrief.getAttribute('aria-pressed');
  await inBrief.click();
  await expect(inBrief).not.toHaveAttribute('aria-pressed', state!);
  await page.keyboard.press('Control+z');
  await expect(inBrief).toHaveAttribute('aria-pressed', state!);
});

test('gaps look up what is missing; ways to expand are remembered; keywords are put in order; own days', async ({
  page,
}) => {
  await open(page, 'night sky journal');
  await view(page, 'Phrases');
  const audience = page.getByRole('button', { name: 'audience', exact: true });
  for (const way of ['a–z', 'format']) await page.getByRole('button', { name: way, exact: true }).click();
  await page.getByRole('button', { name: 'Expand', exact: true }).click();
  await expect(page.getByRole('progressbar', { name: 'Looking up phrases' })).toBeVisible();
  await expect(page.getByRole('progressbar', { name: 'Looking up phrases' })).toBeHidden({ timeout: 60_000 });
  await page.reload();
  await expect(audience).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('button', { name: 'format', exact: true })).toHaveAttribute(
    'aria-pressed',
    'false',
  );

  await view(page, 'Gaps');
  const more = page.getByRole('button', { name: /^Look up \d+ more combinations/ });
  const missing = Number((await more.textContent())!.replace(/\D/g, ''));
  await expect(
    page.getByText(`${2 * missing} requests, about ${Math.ceil((2 * missing) / 12)} seconds.`),
  ).toBeVisible();
  await more.click();
  await expect(page.getByRole('button', { name: 'Looking up…' })).toBeVisible();
  await expect(page.getByRole('button', { name: /Look/ })).toHaveCount(0, { timeout: 60_000 });

  // A day of one's own is an occasion like others, every year, until it is removed.
  await view(page, 'When');
  const form = page.getByRole('form', { name: 'Add your own occasion' });
  await form.getByLabel('Your own occasion').fill('Lantern Fair');
  await form.getByRole('spinbutton', { name: 'Month' }).fill('06');
  await form.getByRole('spinbutton', { name: 'Day' }).fill('21');
  await form.getByRole('spinbutton', { name: 'Year' }).fill('2027');
  await form.getByRole('button', { name: 'Add' }).click();
  const fair = page.getByRole('row', { name: /Lantern Fair/ });
  await expect(fair).toContainText('your own');
  await fair.getByRole('button', { name: 'For the brief' }).click();
  await expect(fair.getByRole('button', { name: 'In the brief' })).toBeVisible();

  await view(page, 'Brief');
  await expect(page.getByLabel('Occasion')).toHaveValue('Lantern Fair');
  const keywords = page.getByRole('list', { name: 'Keywords in order' }).getByRole('listitem');
  const texts = await keywords.allTextContents();
  expect(texts.length).toBeGreaterThan(1);
  await keywords.first().getByRole('button').first().focus();
  await page.keyboard.press('Alt+ArrowRight');
  await expect.poll(() => keywords.allTextContents()).toEqual([texts[1], texts[0], ...texts.slice(2)]);
  await expect(page.getByText(`“${texts[0]}” is at place 2 of ${texts.length}.`)).toBeAttached();
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect.poll(() => keywords.allTextContents()).toEqual(texts);
  const [from, to] = [await keywords.first().boundingBox(), await keywords.nth(1).boundingBox()];
  await page.mouse.move(from!.x + 12, from!.y + from!.height / 2);
  await page.mouse.down();
  await page.mouse.move(from!.x + 40, from!.y + from!.height / 2, { steps: 4 });
  await page.mouse.move(to!.x + to!.width - 14, to!.y + to!.height / 2, { steps: 12 });
  await page.mouse.up();
  await expect.poll(async () => (await keywords.allTextContents())[0]).not.toBe(texts[0]);
});
