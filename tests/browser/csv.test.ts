import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { grid, view } from './look.ts';
import { expect, test, url } from './quill.ts';

test.use({ press: 'demo' });

test('every table of a niche goes out as CSV, headings first, a row for each that is shown', async ({
  page,
}) => {
  await page.goto(url('/niches'));
  /** The rows of the table that the button saves. */
  const saved = async () => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save as CSV' }).first().click(),
    ]);
    const text = readFileSync(await file.path(), 'utf8');
    expect(text.startsWith('\uFEFF')).toBe(true);
    const rows = Papa.parse<string[]>(text.slice(1), { skipEmptyLines: true }).data;
    for (const row of rows) expect(row).toHaveLength(rows[0]!.length);
    return { name: file.suggestedFilename(), headings: rows[0]!, rows: rows.slice(1) };
  };
  const niches = await saved();
  expect(niches.name).toBe('niches.csv');
  expect(niches.rows.map(([phrase]) => phrase)).toContain('beekeeping word search');

  await page.getByRole('link', { name: 'beekeeping word search' }).first().click();
  await expect(page.getByRole('region', { name: 'Verdict' })).toBeVisible();
  const looks = await saved();
  expect(looks.headings).toEqual(['day', 'results', 'monthly sales of the top 20']);
  await view(page, 'Rivals');
  // The view before has a table of rivals too.
  await expect(page.getByRole('button', { name: /Import…/ })).toBeVisible();
  const rivals = await saved();
  expect(rivals.name).toBe('beekeeping-word-search-rivals.csv');
  await expect(page.getByRole('status').filter({ hasText: `${rivals.rows.length} of` })).toBeVisible();
  await view(page, 'Phrases');
  await expect(page.getByRole('heading', { name: /^Expand/ })).toBeVisible();
  const phrases = await saved();
  await expect(page.getByText(`${phrases.rows.length} of ${phrases.rows.length}`)).toBeVisible();
  await view(page, 'Gaps');
  const cells = page.getByRole('table', { name: 'Monthly sales and books on sale' }).getByRole('button');
  await expect(cells.first()).toBeVisible();
  const gaps = await saved();
  expect(gaps.rows).toHaveLength(await cells.count());
  // The third part held fast: only phrases of that kind are left in the cells.
  const kinds = gaps.rows.map((row) => row[2]!);
  await page.getByLabel('Kind of book', { exact: true }).click();
  await page.getByRole('option', { name: kinds[0]!, exact: true }).click();
  await expect(page.getByRole('listbox')).toBeHidden();
  const held = await saved();
  expect(new Set(held.rows.map((row) => row[2]))).toEqual(new Set([kinds[0]]));
  expect(held.rows).toHaveLength(await cells.count());
  await page.getByRole('button', { name: 'Audience × kind' }).click();
  await expect(page.getByRole('combobox', { name: 'Format' })).toHaveText('All');
  await view(page, 'When');
  const days = page.getByRole('region', { name: 'Occasions' }).getByRole('row');
  await expect(days.nth(1)).toBeVisible();
  const occasions = await saved();
  expect(occasions.headings).toEqual(['day', 'occasion', 'start by', 'submit by', 'publish by']);
  expect(occasions.rows).toHaveLength((await days.count()) - 1);
  for (const [day, , start, submit, publish] of occasions.rows)
    expect([start, submit, publish, day]).toEqual([start, submit, publish, day].sort());
  await view(page, 'Brief');
  await expect(page.getByLabel('Title', { exact: true })).toBeVisible();
  const briefs = await saved();
  expect(briefs.rows[0]![briefs.headings.indexOf('phrase')]).toBe('beekeeping word search');

  await view(page, 'Overview');
  await page.getByRole('link', { name: /Garden and hedgerow/ }).click();
  await expect(grid(page, 'Best sellers')).toBeVisible();
  const shelf = await saved();
  expect(shelf.headings.slice(0, 3)).toEqual(['title', 'author', 'rank']);
  expect(shelf.rows).toHaveLength(100);

  await page.goto(url('/niches'));
  for (const name of ['beekeeping word search', 'night sky journal'])
    await page.getByRole('checkbox', { name: `Select ${name}` }).check();
  await page.getByRole('button', { name: 'Compare' }).click();
  const side = page.getByRole('table', { name: 'Niches side by side' });
  await expect(side).toBeVisible();
  const compared = await saved();
  expect(compared.headings.slice(1).sort()).toEqual(['beekeeping word search', 'night sky journal']);
  // The day stands under each heading on the page, and in a row of its own in the file.
  expect(compared.rows).toHaveLength(await side.getByRole('row').count());
  expect(compared.rows.find(([name]) => name === 'Verdict')![1]).toMatch(/, (high|fair|low) confidence$/);
});
