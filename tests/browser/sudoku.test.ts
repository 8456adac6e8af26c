import { readFile } from 'node:fs/promises';
import { noSeriousFindings } from './look.ts';
import { emptyBook, expect, inkOf, saved, sections, test } from './quill.ts';

test('sudokus are added, set, rolled anew and pinned', async ({ browser, page }) => {
  await emptyBook(page);
  await page.getByRole('button', { name: 'Add pages' }).click();
  const gallery = page.getByRole('dialog', { name: 'Add pages' });
  await gallery.getByLabel('Find').fill('sudoku');
  await expect(gallery.getByRole('button', { name: /sudoku/i })).toHaveCount(7);
  await gallery.getByRole('button', { name: 'Sudoku', exact: true }).dblclick();
  await expect(sections(page).nth(2)).toContainText('40 items · p. 3–12 · solutions p. 13–19');

  // Numbers among the choices are kept as numbers.
  const settings = page.getByRole('complementary', { name: 'Settings' });
  // What is told of the puzzle comes a moment later, and moves what is below it.
  await expect(settings.getByText('Very easy, naked single')).toBeVisible();
  await settings.getByRole('button', { name: '6 × 6' }).click();
  await expect(settings.getByRole('button', { name: '6 × 6' })).toHaveAttribute('aria-pressed', 'true');
  await settings.getByRole('group', { name: 'Puzzles per page' }).getByRole('button', { name: '2' }).click();
  await settings.getByRole('combobox', { name: 'Level' }).click();
  await page.getByRole('option', { name: 'Very easy' }).click();
  await expect(sections(page).nth(2)).toContainText('40 items · p. 3–22');
  await expect(settings.getByText('Very easy, naked single')).toBeVisible();
  await saved(page);
  await page.reload();
  await sections(page).nth(2).click();
  await expect(settings.getByRole('button', { name: '6 × 6' })).toHaveAttribute('aria-pressed', 'true');
  await expect(settings.getByRole('combobox', { name: 'Level' })).toHaveText('Very easy');

  // Pages of hints stand between the puzzles and their answers.
  const hints = settings.getByRole('group', { name: 'Hint pages: first steps of each' });
  await hints.getByRole('button', { name: '3' }).click();
  await expect(sections(page).nth(2)).toContainText('p. 3–22 · hints p. 23–25 · solutions p. 26');
  await expect.poll(() => inkOf(page, 23)).toBeGreaterThan(0.005);
  await expect(settings.getByLabel('Name their page at each puzzle')).toBeChecked();
  await hints.getByRole('button', { name: 'None' }).click();
  await expect(sections(page).nth(2)).toContainText('p. 3–22 · solutions p. 23');

  await expect.poll(() => inkOf(page, 3)).toBeGreaterThan(0.03);
  const before = await inkOf(page, 3);
  await settings.getByRole('button', { name: 'Re-roll' }).click();
  await expect.poll(() => inkOf(page, 3)).not.toBe(before);

  // Twenty of them side by side; the one that is taken is the one of so many re-rolls, and undone at once.
  await settings.getByRole('button', { name: '20 candidates…' }).click();
  const candidates = page.getByRole('dialog', { name: 'Candidates for Puzzle 1' });
  await expect(candidates.getByRole('radio')).toHaveCount(20);
  await expect(candidates.getByRole('radio').first()).toHaveAccessibleName(
    'Candidate 1, as it is now, Very easy, naked single',
  );
  await noSeriousFindings(page, 'candidates');
  const rolled = await inkOf(page, 3);
  await candidates.getByRole('radio').first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(candidates.getByRole('radio').nth(1)).toBeChecked();
  await candidates.getByRole('button', { name: 'Take this one' }).click();
  await expect(candidates).toBeHidden();
  await expect.poll(() => inkOf(page, 3)).not.toBe(rolled);
  const taken = await inkOf(page, 3);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => inkOf(page, 3)).toBeCloseTo(rolled, 5);
  await settings.getByRole('button', { name: 'Re-roll' }).click();
  await expect.poll(() => inkOf(page, 3)).toBeCloseTo(taken, 5);
  await settings.getByRole('button', { name: 'Pin' }).click();
  const pinned = await inkOf(page, 3);
  // A pinned puzzle stays, while the page is set anew: its grids grow where the line at the foot was.
  await settings.getByLabel('Instructions').click();
  await expect.poll(() => inkOf(page, 3)).not.toBe(pinned);
  await noSeriousFindings(page, 'sudoku');

  // A fact stands at the foot of each page, which leaves the grids less room.
  const roomy = await inkOf(page, 3);
  await settings
    .getByLabel('Facts at the foot', { exact: true })
    .fill('Bees dance. | A keeper\nHoney keeps.');
  await expect.poll(() => inkOf(page, 3)).not.toBe(roomy);
  await settings.getByLabel('Facts at the foot', { exact: true }).fill('');
  await expect.poll(() => inkOf(page, 3)).toBeCloseTo(roomy, 5);

  // One is saved for other programs, and comes back in place of all.
  await settings.getByRole('button', { name: 'Save as…' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Puzzle 1: A line of characters' }).click(),
  ]);
  const line = (await readFile((await file.path())!, 'utf8')).trim();
  expect(line).toMatch(/^[.1-6]{36}$/);
  // A picture of it alone, and of its answer; nobody else's address gives one.
  await settings.getByRole('button', { name: 'Save as…' }).click();
  const [picture] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Puzzle 1, answer: SVG' }).click(),
  ]);
  expect(picture.suggestedFilename()).toMatch(/-puzzle-1-answer\.svg$/);
  expect(await readFile((await picture.path())!, 'utf8')).toMatch(/^<svg[^>]* width="\d/);
  const address = picture.url();
  const got = async (path: string) => (await page.request.get(path, { maxRedirects: 0 })).status();
  expect(await got(address.replace('svg?answer', 'pdf'))).toBe(200);
  for (const wrong of ['/1/gif', '/0/svg', '/99999/svg', '/x/svg'])
    expect(await got(address.replace('/1/svg?answer', wrong)), wrong).toBe(404);
  const stranger = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  expect((await stranger.request.get(address, { maxRedirects: 0 })).status()).toBe(302);
  await stranger.close();
  await settings.getByRole('button', { name: 'Bring in…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring in puzzles' });
  await dialog.getByLabel('Text of the puzzles').fill(`${line}\n123\n`);
  await expect(dialog.getByText('Line 2 has 3 characters')).toBeVisible();
  await noSeriousFindings(page, 'bring in');
  await dialog.getByRole('button', { name: 'Take 1 puzzle' }).click();
  await expect(sections(page).nth(2)).toContainText('1 item ·');
});
