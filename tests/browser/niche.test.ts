import type { Page } from '@playwright/test';
import { behave, grid, noSeriousFindings, passDays, view } from './look.ts';
import { expect, post, test, url } from './quill.ts';

async function look(page: Page, phrase: string) {
  await page.goto(url('/niches'));
  await page.getByRole('combobox', { name: 'Phrase' }).fill(phrase);
  await page.getByRole('button', { name: 'Search', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: phrase })).toBeVisible();
}

test.use({ press: 'niches' });

test('search, expand through trouble, calibrate, decide, start two books', async ({ page }) => {
  await look(page, 'stargazing journal');
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('confidence');

  // Widened while the shop is busy and connections break: nothing is lost, and it can be stopped and resumed.
  await view(page, 'Phrases');
  await expect(page.getByRole('heading', { name: 'Expand “stargazing journal”' })).toBeVisible();
  await page.getByRole('button', { name: 'audience × format' }).click();
  await behave({ busy: 3, breakAfterWork: 3 });
  await page.getByRole('button', { name: 'Expand', exact: true }).click();
  await expect(page.getByRole('progressbar', { name: 'Looking up phrases' })).toBeVisible();
  await expect(page.getByText(/^\d\d+ of \d\d+/).first()).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Cancel', exact: true }).click();
  const resume = page.getByRole('button', { name: /^Resume \d+/ });
  await expect(resume).toBeVisible();
  const waiting = Number((await resume.textContent())!.replace(/\D/g, ''));
  expect(waiting).toBeGreaterThan(20);
  await behave({ busy: 2, breakAfterWork: 2 });
  await resume.click();
  await expect(resume).toBeHidden({ timeout: 60_000 });
  await expect(page.getByRole('progressbar', { name: 'Looking up phrases' })).toBeHidden({
    timeout: 400_000,
  });
  await expect(page.getByRole('button', { name: /^Resume/ })).toBeHidden();
  const phrases = grid(page, /Phrases/);
  await expect(phrases.getByText('waiting', { exact: true })).toHaveCount(0);
  await expect(phrases.getByText('lookup failed', { exact: true })).toHaveCount(0);
  const total = Number(
    (await page.getByRole('status').filter({ hasText: / of / }).first().textContent())!.split(' of ')[1],
  );
  expect(total).toBeGreaterThan(100);
  await noSeriousFindings(page, 'phrases');

  // Sorted, grouped, and three chosen as keyword candidates by keys alone.
  await page.getByRole('columnheader', { name: 'Results' }).getByRole('button').click();
  await page.getByRole('columnheader', { name: 'Results' }).getByRole('button').click();
  await phrases.focus();
  await page.keyboard.press('Home');
  await page.keyboard.press(' ');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByText('3 selected')).toBeVisible();
  await page.keyboard.press('k');
  await expect(page.getByText(/^3 of \d+ phrases are candidates/)).toBeVisible();
  await page.getByRole('button', { name: 'Group by keyword' }).click();
  await expect(
    phrases
      .getByRole('row')
      .filter({ hasNot: page.getByRole('checkbox') })
      .first(),
  ).toBeVisible();

  // Gaps from what was looked up.
  await view(page, 'Gaps');
  await expect(page.getByRole('table', { name: 'Monthly sales and books on sale' })).toBeVisible();
  await noSeriousFindings(page, 'gaps');

  // Calibrated with own sales: the estimates follow at once.
  await view(page, 'Rivals');
  const copies = () =>
    grid(page, /Rivals/)
      .getByRole('row')
      .nth(1)
      .getByRole('gridcell')
      .nth(12)
      .textContent();
  const before = await copies();
  await page.goto(url('/niches/assumptions'));
  const pairs = page.getByRole('region', { name: 'Your own sales' });
  await pairs.getByRole('button', { name: 'Import…' }).click();
  await page
    .getByLabel('Paste from a spreadsheet, or CSV')
    .fill('rank\tcopies\n1000\t900\n5000\t210\n20000\t60\n80000\t17\n300000\tfew\n');
  await expect(page.getByText('4 rows can be read, 1 cannot')).toBeVisible();
  await page.getByLabel('Copies in 30 days').last().fill('5');
  await expect(page.getByText('fixed', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Import 5 rows' }).click();
  await expect(pairs.getByText(/falling as rank to the power of −\d/)).toBeVisible();
  await noSeriousFindings(page, 'sums');
  // Taken out by mistake: the button says it, and a key brings it back.
  await pairs.getByRole('button', { name: 'Remove' }).first().click();
  await expect(page.getByText('Rank 1,000 removed')).toBeVisible();
  await expect(pairs.getByRole('cell', { name: '1,000', exact: true })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(pairs.getByRole('cell', { name: '1,000', exact: true })).toHaveCount(1);
  await page.goBack();
  await expect(grid(page, /Rivals/)).toBeVisible();
  await expect.poll(copies).not.toBe(before);

  // A rival that is not really comparable no longer counts, and comes back with Ctrl+Z.
  const verdict = async () => {
    await view(page, 'Overview');
    const text = await page.getByRole('region', { name: 'Verdict' }).textContent();
    await view(page, 'Rivals');
    return text;
  };
  const whole = await verdict();
  const rivals = grid(page, /Rivals/);
  await rivals.focus();
  await page.keyboard.press('Home');
  await page.keyboard.press('n');
  await expect(rivals.getByTitle('Not really comparable')).toBeVisible();
  expect(await verdict()).not.toBe(whole);
  await page.keyboard.press('Control+z');
  await expect(rivals.getByTitle('Not really comparable')).toHaveCount(0);
  expect(await verdict()).toBe(whole);

  // Opened by keys: cover, first pages, numbers. A range narrows the table and is taken off again.
  await rivals.focus();
  await page.keyboard.press('Enter');
  const detail = page.getByRole('complementary', { name: 'Rival' });
  await expect(detail.getByRole('img', { name: 'Page 1' })).toBeVisible();
  await expect
    .poll(() =>
      detail
        .getByRole('img', { name: /^Cover of/ })
        .evaluate((image: HTMLImageElement) => image.naturalWidth),
    )
    .toBe(160);
  await page.getByLabel('from', { exact: true }).fill('0');
  await page.getByLabel('to', { exact: true }).fill('8');
  await page.getByRole('button', { name: 'Apply' }).click();
  await expect(page.getByText('Price $0.00 to $8.00')).toBeVisible();
  await noSeriousFindings(page, 'rivals');
  await page.getByRole('button', { name: 'Clear filters' }).click();

  // An occasion for the brief, a second brief for another format, two books at once.
  await view(page, 'When');
  await expect(page.getByRole('cell', { name: /Easter Sunday/ })).toBeVisible();
  await page
    .getByRole('row', { name: /Easter Sunday/ })
    .getByRole('button')
    .click();
  await expect(page.getByRole('button', { name: 'In the brief' })).toBeVisible();
  await noSeriousFindings(page, 'when');
  await view(page, 'Brief');
  await expect(page.getByLabel('Occasion')).toHaveValue('Easter Sunday');
  await page.getByLabel('Title', { exact: true }).fill('A Stargazer’s Year');
  await page.getByLabel('Pages', { exact: true }).fill('130');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByRole('tab')).toHaveCount(2);
  await page.getByLabel('Title', { exact: true }).fill('A Little Stargazer’s Year');
  await page.getByLabel('Trim').click();
  await page.getByRole('option', { name: '5 × 8 in', exact: true }).click();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await noSeriousFindings(page, 'brief');
  await page.getByRole('button', { name: 'Delete this brief' }).click();
  await expect(page.getByRole('tab')).toHaveCount(1);
  await page.getByRole('alert').getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('tab')).toHaveCount(2);
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('A Little Stargazer’s Year');
  await page.getByRole('button', { name: 'Start all 2 books' }).click();
  await page.waitForURL(url('/books'));
  const first = page.getByRole('link', { name: /A Stargazer’s Year/ });
  await expect(first).toContainText('130 pages');
  await expect(page.getByRole('link', { name: /A Little Stargazer’s Year/ })).toContainText('5 × 8 in');
});

test('a slow shop, damaged rows, and a watch that tells what changed', async ({ page }) => {
  await behave({ delayMs: 2500, malformed: 2 });
  await look(page, 'camping log book');
  await expect(page.getByText(/Waiting for Wrenfair…/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Verdict' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/rows of Wrenfair’s answer could not be read/)).toBeVisible();
  await behave({ delayMs: 0, malformed: 0 });
  await page.getByRole('button', { name: 'Refresh' }).click();
  await expect(page.getByText(/rows of Wrenfair’s answer could not be read/)).toBeHidden();

  // A rival opened while the shop is busy: said, and asked for once more.
  await view(page, 'Rivals');
  await behave({ busy: 1000 });
  await grid(page, /Rivals/).focus();
  await page.keyboard.press('Enter');
  const detail = page.getByRole('complementary', { name: 'Rival' });
  await expect(detail.getByRole('alert')).toContainText('Sample pages could not be loaded.');
  await behave({ busy: 0 });
  await detail.getByRole('button', { name: 'Try again' }).click();
  await expect(detail.getByRole('img', { name: 'Page 1' })).toBeVisible();
  await expect(detail.getByRole('alert')).toBeHidden();
  await view(page, 'Overview');

  await page.getByRole('button', { name: 'Watch', exact: true }).click();
  await expect(page.getByRole('button', { name: '◉ Stop watching' })).toBeVisible();
  try {
    await passDays(300);
    await page.goto(url('/'));
    const changed = page.getByRole('region', { name: 'What changed' });
    await expect(async () => {
      await page.reload();
      await expect(changed.getByRole('link', { name: 'camping log book' }).first()).toBeVisible({
        timeout: 2000,
      });
    }).toPass({ timeout: 400_000 });
    await noSeriousFindings(page, 'desk');
    await changed.getByRole('link', { name: 'camping log book' }).first().click();
    await expect(page.getByText(/^Since \w+ \d/)).toBeVisible();
    await page.goto(url('/'));
    await changed.getByRole('button', { name: 'Mark all as read' }).click();
    await expect(changed).toBeHidden();
  } finally {
    await passDays(-300);
  }
});

test('an import that leaves rows behind says so and offers only those; undo gives each rival back its own mark', async ({
  page,
}) => {
  await look(page, 'otter journal');
  await view(page, 'Rivals');
  await page.getByRole('button', { name: 'Import…' }).click();
  const dialog = page.getByRole('dialog');
  const damaged = Array.from({ length: 12 }, (_, i) => `Otter ${i};far`);
  await page
    .getByLabel('Paste from a spreadsheet, or CSV')
    .fill(['Title;Rank', 'Otter A;#45,678', 'Otter B;2,000', ...damaged].join('\n'));
  await expect(page.getByText('2 rows can be read, 12 cannot')).toBeVisible();
  // However many rows are to be fixed, the columns stay in view.
  const columns = dialog.getByRole('table', { name: 'Columns' });
  expect((await columns.boundingBox())!.height).toBeGreaterThan(100);
  await dialog.getByRole('button', { name: 'Import 2 rows' }).click();
  await expect(dialog.getByText('2 rows are in.')).toBeVisible();
  await expect(page.getByText('0 rows can be read, 12 cannot')).toBeVisible();
  await dialog.getByLabel('Rank', { exact: true }).first().fill('900');
  await dialog.getByRole('button', { name: 'Import 1 row' }).click();
  await expect(dialog.getByText('3 rows are in.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();

  await page.getByLabel('Show').click();
  await page.getByRole('option', { name: 'My own rows' }).click();
  const rivals = grid(page, /Rivals/);
  await expect(rivals.getByRole('checkbox', { name: /^Select Otter/ })).toHaveCount(3);
  const left = rivals.getByTitle('Not really comparable');
  await rivals.getByRole('checkbox', { name: 'Select Otter A' }).check();
  await page.getByRole('button', { name: 'Not comparable' }).click();
  await expect(left).toHaveCount(1);
  // One of the three is left out already; all are included, and undo leaves out that one alone.
  await rivals.getByRole('checkbox', { name: 'Select all' }).check();
  await page.getByRole('button', { name: 'Include', exact: true }).click();
  await expect(left).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(left).toHaveCount(1);
  await expect(
    rivals.getByRole('row', { name: /Otter A/ }).getByTitle('Not really comparable'),
  ).toBeVisible();
});

test('columns are hidden, moved and made wider, and stay so', async ({ page }) => {
  await look(page, 'heron journal');
  await view(page, 'Rivals');
  const table = grid(page, /Rivals/);
  const heading = (name: string) => table.getByRole('columnheader', { name, exact: true });
  const names = () => table.getByRole('columnheader').getByRole('button').allInnerTexts();
  await expect(heading('Reviews')).toBeVisible();
  const before = await names();

  await table.getByRole('button', { name: 'Columns of rivals' }).click();
  const menu = page.getByRole('dialog', { name: 'Columns' });
  await menu.getByRole('checkbox', { name: 'Reviews' }).uncheck();
  await menu.getByRole('button', { name: 'Price further to the left' }).click();
  await page.keyboard.press('Escape');
  await expect(heading('Reviews')).toBeHidden();
  const width = async () => (await heading('Price').boundingBox())!.width;
  const narrow = await width();
  await page.getByRole('separator', { name: 'Width of Price' }).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect.poll(async () => Math.round((await width()) - narrow)).toBe(20);
  // Hovering waits until it lies still.
  const edge = page.getByRole('separator', { name: 'Width of Price' });
  await edge.hover();
  const { x, y, width: wide, height } = (await edge.boundingBox())!;
  await page.mouse.down();
  await page.mouse.move(x + wide / 2 + 30, y + height / 2, { steps: 5 });
  await page.mouse.up();
  await expect.poll(async () => Math.round((await width()) - narrow)).toBe(50);

  await page.reload();
  await expect(heading('Reviews')).toBeHidden();
  await expect.poll(async () => Math.round((await width()) - narrow)).toBe(50);
  const after = (await names()).map((name) => name.trim());
  expect(after.indexOf('Price')).toBe(after.indexOf('Pages') - 1);

  await table.getByRole('button', { name: 'Columns of rivals' }).click();
  await page.getByRole('button', { name: 'Reset columns' }).click();
  await page.keyboard.press('Escape');
  await expect.poll(names).toEqual(before);
});

test('own rivals: columns, writing and damaged rows are shown, fixed in place, imported and removed', async ({
  page,
}) => {
  await look(page, 'moth journal');
  await view(page, 'Rivals');
  const rows = [
    'Titel;Preis;Rang;Seiten;Breite;Höhe',
    'Nachtfalter;8,99 €;12.345;120;15,24;22,86',
    'Schwärmer;neun;5.000;96;15,24;22,86',
    'Spinner;7,50 €;80.000;110;21,59;27,94',
  ];
  await page.getByRole('button', { name: 'Import…' }).click();
  await page.getByLabel('Table file').setInputFiles({
    name: 'moths.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`\uFEFF${rows.join('\n')}`, 'utf16le'),
  });
  await expect(page.getByText('2 rows can be read, 1 cannot')).toBeVisible();
  await expect(page.getByText('Price: “neun” is not a price. (Schwärmer)')).toBeVisible();
  await noSeriousFindings(page, 'import');
  await page.getByRole('dialog').getByLabel('Price', { exact: true }).fill('9,00 €');
  await expect(page.getByText('3 rows can be read, 0 cannot')).toBeVisible();
  await page.getByRole('button', { name: 'Import 3 rows' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.getByLabel('Show').click();
  await page.getByRole('option', { name: 'My own rows' }).click();
  const own = grid(page, /Rivals/).getByRole('row', { name: /Schwärmer/ });
  await expect(own).toContainText('6 × 9');
  // 9.00 € at 1.08 dollars.
  await expect(own).toContainText('$9.72');
  await page.getByRole('checkbox', { name: 'Select all' }).check();
  await page.getByRole('button', { name: 'Delete my rows' }).click();
  await expect(
    page
      .getByText('0 of 60')
      .or(page.getByText(/^0 of \d+$/))
      .first(),
  ).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(own).toBeVisible();
});

test('a long table: its beginning is shown, it is stopped, breaks off, goes on, and comes in whole', async ({
  page,
}) => {
  await look(page, 'wren journal');
  await view(page, 'Rivals');
  await page.getByRole('button', { name: 'Import…' }).click();
  const lines = (count: number) =>
    ['title,price,rank', ...Array.from({ length: count }, (_, i) => `Wren Book ${i},8.99,${i + 1}`)].join(
      '\n',
    );
  const file = { name: 'wrens.csv', mimeType: 'text/csv', buffer: Buffer.from(lines(20_000)) };
  await page.getByLabel('Table file').setInputFiles(file);
  await expect(page.getByText('20,000 rows can be read, 0 cannot')).toBeVisible();
  // A letter typed into what is shown would cut the rest off: it cannot be typed.
  const shown = page.getByLabel('Paste from a spreadsheet, or CSV');
  await expect(shown).not.toBeEditable();
  expect((await shown.inputValue()).length).toBeLessThan(3000);
  await expect(page.getByText(/^The beginning of a long table/)).toBeVisible();

  const dialog = page.getByRole('dialog');
  const bring = dialog.getByRole('button', { name: 'Import 20,000 rows' });
  let lots = 0;
  await page.route('**/own', async (route) => {
    lots++;
    await new Promise((later) => setTimeout(later, 400));
    await route.continue();
  });
  await bring.click();
  await expect(dialog.getByRole('progressbar', { name: 'Importing rows' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Stop' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Stopped after 10,000 of 20,000 rows.');
  expect(lots).toBe(2);
  await page.unroute('**/own');

  // The server has gone away: what is in stays in, and the table is still there.
  await page.route('**/own', (route) => route.fulfill({ status: 200, body: 'half an ans' }));
  await bring.click();
  await expect(dialog.getByRole('alert')).toContainText(
    'The server’s answer broke off. 0 of 20,000 rows are in; try again to go on.',
  );
  await page.unroute('**/own');

  await bring.click();
  await expect(dialog).toBeHidden();
  await page.getByLabel('Show').click();
  await page.getByRole('option', { name: 'My own rows' }).click();
  await expect(page.getByRole('status').filter({ hasText: /^20,000 of/ })).toBeVisible();

  // A long table is replaced by pasting another over it.
  await page.getByRole('button', { name: 'Import…' }).click();
  await page.getByLabel('Table file').setInputFiles(file);
  await expect(shown).not.toBeEditable();
  await shown.focus();
  await page.evaluate((text) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text', text);
    const paste = new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true });
    document.activeElement!.dispatchEvent(paste);
  }, lines(3));
  await expect(page.getByText('3 rows can be read, 0 cannot')).toBeVisible();
  await expect(shown).toBeEditable();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(dialog).toBeHidden();
});

test('a rival by hand, the best sellers of a shelf, and a niche that is archived and restored', async ({
  page,
}) => {
  await look(page, 'owl journal');
  await page
    .getByRole('link', { name: /Journals and notebooks ›/ })
    .first()
    .click();
  const top = grid(page, /Best sellers/);
  await expect(top.getByRole('row').nth(5)).toBeVisible();
  await noSeriousFindings(page, 'shelf');
  await top.focus();
  await page.keyboard.press(' ');
  await page.keyboard.press('Shift+ArrowDown');
  await page.getByRole('button', { name: 'Compare 2 in “owl journal”' }).click();
  await expect(page.getByText('2 added to the rivals.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to “owl journal”' }).click();
  await expect(page.getByRole('region', { name: 'Verdict' })).toBeVisible();
  await page.keyboard.press('Alt+Digit2');
  await page.getByRole('button', { name: 'Add by hand…' }).click();
  await page.getByLabel('Title (required)').fill('The Barn Owl Diary');
  await page.getByLabel('Price').last().fill('eight');
  await page.getByRole('button', { name: 'Add rival' }).click();
  await expect(page.getByText('Price: “eight” is not a price.')).toBeVisible();
  await page.getByLabel('Price').last().fill('£8');
  await page.getByLabel('Trim').last().fill('148 x 210 mm');
  await page.getByRole('button', { name: 'Add rival' }).click();
  await page.getByLabel('Show').click();
  await page.getByRole('option', { name: 'My own rows' }).click();
  const rivals = grid(page, /Rivals/);
  await expect(rivals.getByRole('row')).toHaveCount(4);
  await expect(rivals.getByRole('row', { name: /The Barn Owl Diary/ })).toContainText('$10.00');

  await page.getByRole('button', { name: 'Archive' }).click();
  await expect(page.getByText('One niche archived.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'owl journal' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'owl journal' })).toBeVisible();
});

test('no press sees, marks or brings anything into the niches of another', async ({ page, browser }) => {
  await page.goto(url('/niches'));
  await page.getByRole('link', { name: 'beekeeping word search' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'beekeeping word search' })).toBeVisible();
  const id = /niches\/(\w+)/.exec(page.url())![1]!;
  const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  const stranger = await context.newPage();
  await stranger.goto(url('/sign-in'));
  await stranger.getByRole('button', { name: 'Create an account' }).click();
  await stranger.getByLabel('Name of your press').fill('Third Press');
  await stranger.getByLabel('E-mail').fill('third@press.example');
  await stranger.getByLabel('Password').fill('a long enough phrase');
  await stranger.getByRole('button', { name: 'Create account' }).click();
  await expect(stranger.getByRole('heading', { name: 'Third Press' })).toBeVisible();
  const { request } = context;
  expect(await (await request.get(url(`/niches/${id}/rivals.tsv`))).text()).toBe('');
  expect((await request.get(url(`/niches/${id}/rivals/wf-000001`))).status()).toBe(404);
  const answered = async (path: string, data: object) => (await post(request, path, data)).status();
  expect(await answered(`/niches/${id}/marks`, { ids: ['wf-000001'], marks: { hidden: true } })).toBe(404);
  expect(await answered(`/niches/${id}/own`, { table: 'comparables', rows: [], last: true })).toBe(404);
  expect(await answered('/niches/assumptions/save', { from: {}, to: { newcomer: { hours: 0 } } })).toBe(400);
  await stranger.goto(url(`/niches/${id}`));
  await expect(stranger.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  await context.close();
});
