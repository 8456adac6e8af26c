import { noSeriousFindings, picture } from './look.ts';
import { addFirst, emptyBook, expect, inkOf, saved, sections, test, ticket, url } from './quill.ts';

const addPages = async (page: Parameters<typeof emptyBook>[0], ...names: string[]) => {
  await page.getByRole('button', { name: 'Add pages' }).click();
  const dialog = page.getByRole('dialog', { name: 'Add pages' });
  for (const name of names) {
    await dialog.getByLabel('Find').fill(name);
    await dialog.getByRole('button', { name, exact: true }).first().click();
  }
  await dialog.getByRole('button', { name: /^Add/ }).last().click();
  await expect(dialog).toHaveCount(0);
};

test('sections are selected, copied into another book, filled to a length and taken back; pages are found and removed', async ({
  page,
}) => {
  await page.goto(url('/books'));
  await page.getByRole('button', { name: 'Start an empty book' }).click();
  await page.waitForURL(/flatplan/);
  await addPages(page, 'Hive inspection', 'Plant record');
  await expect(sections(page)).toHaveCount(4);
  const settings = page.getByRole('complementary', { name: 'Settings' });

  // Both are selected by keyboard, and duplicated as one step.
  await sections(page).nth(2).click();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('ControlOrMeta+d');
  await expect(sections(page)).toHaveCount(6);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(sections(page)).toHaveCount(4);

  // One of them makes the book as long as it should be, whatever the other does.
  await sections(page).nth(3).click();
  await settings.getByLabel('Fill the book').check();
  await settings.getByLabel('Pages of the book').fill('90');
  await expect(ticket(page, 'Pages')).toContainText('90');
  await sections(page).nth(2).click();
  await settings.getByLabel('Number of pages').fill('30');
  await expect(sections(page).nth(3)).toContainText('58 pp');
  await settings.getByRole('button', { name: 'Gray', exact: true }).click();
  await expect(ticket(page, 'Pages')).toContainText('90');
  await expect.poll(() => inkOf(page, 4)).toBeGreaterThan(0.15);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();

  // Pages from one to another, found by their words, and what can be done to them.
  await page.getByLabel('Find', { exact: true }).fill('inspection');
  await expect(page.locator('button[data-page="5"][data-found]')).toHaveCount(1);
  await page.getByLabel('Find', { exact: true }).press('Enter');
  const spreads = page.getByRole('region', { name: 'Spreads' });
  await spreads.locator('button[data-page="5"]').click();
  await spreads.locator('button[data-page="5"]').press('Shift+ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  const bar = page.getByRole('toolbar', { name: 'Selected pages' });
  await expect(bar).toContainText('Pages 5–7');
  await noSeriousFindings(page, 'selected pages');

  // Moved by dragging and by keyboard: the rest of the section is one again.
  await spreads.locator('button[data-page="7"]').press('Alt+ArrowLeft');
  await expect(bar).toContainText('Nothing moved: the pages there are all alike.');
  const [from, to] = [
    await spreads.locator('button[data-page="5"]').boundingBox(),
    await spreads.locator('button[data-page="2"]').boundingBox(),
  ];
  await page.mouse.move(from!.x + 20, from!.y + 40);
  await page.mouse.down();
  await page.mouse.move(from!.x + 30, from!.y + 50, { steps: 4 });
  await page.mouse.move(to!.x + 20, to!.y + 40, { steps: 8 });
  await expect(spreads.locator('button[data-page="2"][data-drop="before"]')).toHaveCount(1);
  await page.mouse.up();
  await expect(bar).toContainText('Moved to page 2.');
  await expect(sections(page).nth(1)).toContainText('p. 2–4');
  await expect(sections(page).nth(3)).toContainText('27 pp');
  await spreads.locator('button[data-page="4"]').press('Alt+ArrowLeft');
  await expect(bar).toContainText('Moved to page 1.');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(sections(page)).toHaveCount(4);
  await spreads.locator('button[data-page="5"]').click();
  await spreads.locator('button[data-page="7"]').click({ modifiers: ['Shift'] });
  await bar.getByRole('button', { name: 'Remove' }).click();
  await expect(sections(page).nth(2)).toContainText('27 pp');
  await expect(sections(page)).toHaveCount(4);
  await expect(ticket(page, 'Pages')).toContainText('90');

  // Cut here, pasted into another book.
  await sections(page).nth(2).click();
  await sections(page)
    .nth(3)
    .click({ modifiers: ['Shift'] });
  await page.getByRole('button', { name: 'Arrange sections' }).click();
  await page.getByRole('menuitem', { name: /^Cut/ }).click();
  await expect(sections(page)).toHaveCount(2);
  await saved(page);
  await emptyBook(page);
  await expect(sections(page)).toHaveCount(2);
  await sections(page).last().focus();
  await page.keyboard.press('ControlOrMeta+v');
  await expect(sections(page)).toHaveCount(4);
  await expect(sections(page).nth(2)).toContainText('27 pp');
});

test('puzzles and dated pages are moved and taken out one by one, and stay what they were', async ({
  page,
}) => {
  await addFirst(page, 'Number pyramid');
  const settings = page.getByRole('complementary', { name: 'Settings' });
  const bar = page.getByRole('toolbar', { name: 'Selected pages' });
  const pages = page.getByRole('region', { name: 'Spreads' }).locator('button[data-page]');
  const at = (number: number) => pages.and(page.locator(`[data-page="${number}"]`));
  /** Of the first puzzle on a page. */
  const isOfLevel = async (number: number, level: string) => {
    await at(number).click();
    await expect(settings.getByText(`page ${number}`, { exact: true })).toBeVisible();
    await expect(settings.getByText(new RegExp(`^${level},`))).toBeVisible();
  };
  await expect(sections(page).nth(2)).toContainText('60 items · p. 3–12');
  await isOfLevel(3, 'Very easy');
  await isOfLevel(12, 'Very hard');

  // The last page, with the hardest, comes first.
  await at(12).click({ modifiers: ['Shift'] });
  await bar.getByRole('button', { name: 'Cut' }).click();
  await expect(sections(page).nth(2)).toContainText('54 items · p. 3–11');
  await at(2).click();
  await at(2).click({ modifiers: ['Shift'] });
  await bar.getByRole('button', { name: 'Paste behind' }).click();
  await expect(sections(page).nth(2)).toContainText('6 items · p. 3');
  await isOfLevel(3, 'Very hard');
  await isOfLevel(4, 'Very easy');
  // Behind the others it is one section with them again.
  await at(3).click();
  await at(3).press('Alt+ArrowRight');
  await expect(bar).toContainText('Moved to page 4.');
  await expect(sections(page)).toHaveCount(3);
  await expect(sections(page).nth(2)).toContainText('60 items · p. 3–12');
  await isOfLevel(4, 'Very hard');
  await expect(settings.getByText('Puzzles were moved or taken out.')).toBeVisible();
  await noSeriousFindings(page, 'a section that was parted');
  await settings.getByRole('button', { name: 'Make all of them anew' }).click();
  await isOfLevel(4, 'Very easy');
  await expect(settings.getByText('Puzzles were moved or taken out.')).toHaveCount(0);

  // Weeks: one is taken out, and notes come between two others.
  await addPages(page, 'Week on one page');
  await expect(sections(page).nth(3)).toContainText('53 pp');
  await at(14).click();
  await at(14).press('Delete');
  await expect(sections(page).nth(3)).toContainText('52 pp');
  await expect(settings.getByText('Pages were moved or taken out.')).toBeVisible();
  await at(14).click();
  await at(14).click({ modifiers: ['Shift'] });
  await bar.getByRole('button', { name: 'Add behind' }).click();
  const gallery = page.getByRole('dialog', { name: 'Add pages' });
  await gallery.getByLabel('Find').fill('Notes');
  await gallery.getByRole('button', { name: 'Notes', exact: true }).dblclick();
  await expect(gallery).toHaveCount(0);
  await expect(sections(page)).toHaveCount(6);
  await expect(sections(page).nth(3)).toContainText('2 pp');
  await expect(sections(page).nth(5)).toContainText('50 pp');
  // What is made a section is the one whose settings are seen.
  await at(20).click();
  await at(22).click({ modifiers: ['Shift'] });
  await bar.getByRole('button', { name: 'Make a section' }).click();
  await expect(sections(page)).toHaveCount(8);
  await expect(sections(page).nth(6)).toContainText('3 pp');
  await expect(sections(page).nth(6)).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await sections(page).nth(5).click();
  await settings.getByRole('button', { name: 'Have all of them' }).click();
  await expect(sections(page).nth(5)).toContainText('53 pp');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(sections(page).nth(5)).toContainText('50 pp');
});

test('a page of blocks is put together by mouse and keyboard, seen on other trims, saved and used again', async ({
  page,
}) => {
  await emptyBook(page);
  await addPages(page, 'Strength training');
  await page.getByRole('link', { name: 'Arrange the page…' }).click();
  const blocks = page.getByRole('listbox', { name: 'Blocks of the page' });
  const rows = blocks.getByRole('option');
  await expect(rows.first()).toContainText('Training log');
  const trims = page.getByRole('region', { name: 'Other trims' });
  await expect(trims.getByRole('img')).toHaveCount(3);
  const before = await rows.count();

  // By keyboard: chosen, moved, set beside the one before, taken back.
  await blocks.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Alt+ArrowUp');
  await expect(rows.nth(1)).toContainText('Table');
  await page.keyboard.press('Alt+ArrowRight');
  await expect(rows.first()).toContainText('Side by side');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(rows.nth(1)).toContainText('Fields on lines');

  // By mouse: the fields are dragged below the scale.
  const sheet = page.locator('[data-block]');
  await expect(sheet).not.toHaveCount(0);
  // The page is drawn anew first: the fields, which are lower than the table, stand above it again.
  const heightOf = async (id: number) => (await page.locator(`[data-block="${id}"]`).boundingBox())!.height;
  await expect.poll(async () => (await heightOf(1)) < (await heightOf(2))).toBe(true);
  const from = (await page.locator('[data-block="1"]').boundingBox())!;
  const to = (await page.locator('[data-block="4"]').boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 8 });
  await page.mouse.move(to.x + to.width / 2, to.y + to.height - 3, { steps: 4 });
  await page.mouse.up();
  await expect(rows.nth(4)).toContainText('Fields on lines');

  // A new block, its settings, and what is said where it has no room.
  await page.getByRole('button', { name: 'Add table' }).click();
  await expect(rows).toHaveCount(before + 1);
  const settings = page.getByRole('complementary', { name: 'Settings of the block' });
  await expect(settings.getByRole('heading', { name: 'Table' })).toBeVisible();
  await settings.getByLabel('Lines, at least').fill('40');
  await expect(settings.getByRole('alert').filter({ hasText: 'too high for this trim' })).toHaveCount(1);
  await settings.getByLabel('Lines, at least').fill('2');
  await expect(settings.getByRole('alert').filter({ hasText: 'too high' })).toHaveCount(0);
  await settings.getByLabel('Title', { exact: true }).fill('Stretching');
  await expect(rows.filter({ hasText: 'Stretching' })).toHaveCount(1);
  await noSeriousFindings(page, 'page design');
  await picture(page, 'design');

  // On two pages that face each other, with blocks to take hold of on both; and on one again.
  await page.getByRole('switch', { name: 'On two facing pages' }).click();
  const right = page.getByRole('img', { name: 'The right page', exact: true });
  await expect(trims.getByRole('img')).toHaveCount(6);
  const atRight = async () => {
    const edge = (await right.boundingBox())!.x;
    const boxes = await Promise.all((await sheet.all()).map((one) => one.boundingBox()));
    return boxes.filter((box) => box!.x > edge).length;
  };
  await expect.poll(atRight).toBeGreaterThan(1);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(right).toHaveCount(0);
  await expect(trims.getByRole('img')).toHaveCount(3);

  // Kept under its own name, offered where pages are added.
  await page.getByLabel('Name of the design').fill('Strength and stretching');
  await page.getByRole('button', { name: 'Save, export' }).click();
  await page.getByRole('menuitem', { name: 'Save to my designs' }).click();
  await expect(page.getByText('“Strength and stretching” is among your designs.')).toBeVisible();
  await page.getByRole('link', { name: 'Flatplan', exact: true }).last().click();
  await addPages(page, 'Strength and stretching');
  await expect(sections(page)).toHaveCount(4);
  await expect(sections(page).last()).toContainText('Strength and stretching');

  // Out as a file, and what is no design is refused with its place.
  await page.getByRole('link', { name: 'Arrange the page…' }).click();
  await page.getByRole('button', { name: 'Save, export' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Export as JSON' }).click();
  expect((await download).suggestedFilename()).toBe('Strength-and-stretching.json');
  await page.getByLabel('File of a page design').setInputFiles({
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"design":{"name":"X","blocks":[{"type":"table"}]}}'),
  });
  await expect(page.getByText(/broken\.json: design\.blocks\.0\.columns/)).toBeVisible();
  await expect(rows.filter({ hasText: 'Stretching' })).toHaveCount(1);
});

test('a book is begun from a starting point, and an own book is kept as one', async ({ page }) => {
  await page.goto(url('/books'));
  await page.getByRole('link', { name: 'Starting points' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Starting points' })).toBeVisible();
  await page.getByLabel('Find', { exact: true }).fill('hive');
  await expect(page.getByRole('listitem')).toHaveCount(1);
  const front = page.getByRole('img', { name: 'Front of The Hive Log' });
  await expect
    .poll(() =>
      front.evaluate((canvas: HTMLCanvasElement) => {
        const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
        return data.some((value) => value < 128);
      }),
    )
    .toBe(true);
  await page.getByLabel('Find', { exact: true }).fill('');
  await noSeriousFindings(page, 'starting points');
  await picture(page, 'starting-points');
  await page.getByRole('button', { name: 'Begin with The Hive Log' }).click();
  await page.waitForURL(/flatplan/);
  await expect(ticket(page, 'Pages')).toContainText('120');
  await expect(ticket(page, 'Proof')).toContainText(/nothing to fix/);

  await page.goto(url('/books'));
  await page.getByRole('checkbox', { name: /The Hive Log/ }).check();
  await page.getByRole('button', { name: 'Keep as starting point' }).click();
  await expect(page.getByText('1 book kept as starting point')).toBeVisible();
  await page.getByRole('link', { name: 'Starting points' }).click();
  const own = page.getByRole('region', { name: 'My starting points' });
  await own.getByRole('button', { name: 'Begin with The Hive Log' }).click();
  await page.waitForURL(/flatplan/);
  await expect(ticket(page, 'Pages')).toContainText('120');
});

test('pages are seen one by one instead of as spreads, and gone through by keyboard', async ({ page }) => {
  await emptyBook(page);
  await addPages(page, 'Hive inspection');
  const region = page.getByRole('region', { name: 'Spreads' });
  const top = (number: number) =>
    region.locator(`button[data-page="${number}"]`).evaluate((button) => button.getBoundingClientRect().top);
  await expect(region.locator('[data-spread=recto]').first()).toBeVisible();
  await page.getByRole('button', { name: 'Single pages' }).click();
  await expect(region.locator('[data-spread=recto]')).toHaveCount(0);
  // The first page stands at the left, with the second beside it.
  await expect.poll(async () => (await top(1)) - (await top(2))).toBe(0);
  await region.locator('button[data-page="1"]').click();
  // A row further down, and all pages between.
  await page.keyboard.press('Shift+ArrowDown');
  const tops = await region
    .locator('button[data-page]')
    .evaluateAll((all) => all.map((button) => button.getBoundingClientRect().top));
  const across = tops.filter((one) => one === tops[0]).length;
  expect(across).toBeGreaterThan(3);
  await expect(region.locator('button[data-selected]')).toHaveCount(across + 1);
  await page.getByRole('button', { name: 'Single pages' }).click();
  await expect(region.locator('[data-spread=recto]').first()).toBeVisible();
});

test('texts come from a file, and settings that mean nothing are left out', async ({ page }) => {
  await emptyBook(page);
  await addPages(page, 'Quotations');
  const settings = page.getByRole('complementary', { name: 'Settings' });
  const file = (name: string, text: string) =>
    settings
      .getByLabel('A file of texts')
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await file('sayings.csv', '"Keep the bees","Old saying"\nWhat did you find?\n');
  await expect(settings.getByText('2 lines taken from sayings.csv.')).toBeVisible();
  await expect(settings.getByRole('textbox', { name: 'Texts' })).toHaveValue(/What did you find\?$/);
  await file('broken.xlsx', 'PK\u0003\u0004nonsense');
  await expect(settings.getByText(/broken\.xlsx: The file cannot be read as a spreadsheet/)).toBeVisible();
  await expect(settings.getByRole('textbox', { name: 'Texts' })).toHaveValue(/What did you find\?$/);

  await addPages(page, 'Letters to trace');
  await expect(settings.getByLabel('Last number')).toHaveCount(0);
  await settings.getByRole('combobox', { name: 'To trace' }).click();
  await page.getByRole('option', { name: 'Numbers', exact: true }).click();
  await settings.getByLabel('Last number').fill('30');
  await expect(ticket(page, 'Pages')).toContainText(/3\d/);
});
