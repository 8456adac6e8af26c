import type { Page } from '@playwright/test';
import { noSeriousFindings } from './look.ts';
import { addFirst, expect, test } from './quill.ts';

/** The dialog in which the first puzzle is changed. */
async function changeFirst(page: Page) {
  await page
    .getByRole('complementary', { name: 'Settings' })
    .getByRole('button', { name: 'Edit by hand…' })
    .click();
  const dialog = page.getByRole('dialog', { name: 'Edit Puzzle 1 by hand' });
  return {
    dialog,
    verdict: dialog.getByRole('status'),
    keep: dialog.getByRole('button', { name: 'Keep it pinned' }),
  };
}

const isPinned = (page: Page) =>
  page.getByRole('complementary', { name: 'Settings' }).getByText('pinned', { exact: true });

test('walls of a maze are opened and closed, and its ends moved, while a solver watches', async ({
  page,
}) => {
  await addFirst(page, 'Mazes for children, four a page');
  const { dialog, verdict, keep } = await changeFirst(page);
  const maze = dialog.getByRole('application', { name: 'Maze' });
  await expect(verdict).toHaveText(/^One way, of \d+ cells\. Very easy\./);
  await expect(keep).toBeDisabled();
  await noSeriousFindings(page, 'maze by hand');

  // The start goes to a cell within the maze, away from its edges.
  await maze.focus();
  for (const [key, times] of [
    ['ArrowUp', 12],
    ['ArrowLeft', 12],
    ['ArrowDown', 2],
    ['ArrowRight', 2],
  ] as const)
    for (let i = 0; i < times; i++) await page.keyboard.press(key);
  await page.keyboard.press('s');
  const start = maze.locator('circle').first();
  await expect(start).toHaveAttribute('cx', '2.5');
  await expect(start).toHaveAttribute('cy', '2.5');
  await expect(verdict).toHaveText(/^One way, /);

  // All four walls of a cell closed: nothing leads there. Undone, all is as it was.
  const now = (await verdict.textContent())!;
  let changes = 0;
  for (const key of ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight']) {
    if (/no way/.test((await verdict.textContent())!)) break;
    await page.keyboard.press(`Shift+${key}`);
    changes++;
    // An opened wall makes a circle: it is closed again.
    if (/more than one way/.test((await verdict.textContent())!)) {
      await page.keyboard.press(`Shift+${key}`);
      changes++;
    }
  }
  await expect(verdict).toHaveText(/^There is no way/);
  await expect(keep).toBeDisabled();
  for (let i = 0; i < changes; i++) await page.keyboard.press('Control+z');
  await expect(verdict).toHaveText(now);

  // A click on a wall opens or closes it; twice, nothing has changed.
  const box = (await maze.boundingBox())!;
  const middle = { x: box.width / 2, y: box.height / 2 };
  await maze.click({ position: middle });
  await expect(verdict).not.toHaveText(now);
  await maze.click({ position: middle });
  await expect(verdict).toHaveText(now);
  await dialog.getByRole('button', { name: 'Goal', exact: true }).click();
  await maze.click({ position: middle });
  await expect(verdict).toHaveText(/^One way, /);
  const told = (await verdict.textContent())!;
  await keep.click();
  await expect(isPinned(page)).toBeVisible();
  await expect((await changeFirst(page)).verdict).toHaveText(told);
});

const TREES = ['oak', 'maple', 'willow', 'birch', 'cedar', 'poplar', 'spruce', 'hazel', 'rowan', 'alder'];

/** Types words into the list of the section that is chosen. */
async function giveWords(page: Page) {
  const settings = page.getByRole('complementary', { name: 'Settings' });
  await settings.getByRole('button', { name: 'Edit word list…' }).click();
  await page.getByRole('textbox', { name: 'Words', exact: true }).fill(TREES.join('\n'));
  await page.getByRole('button', { name: 'Use these words' }).click();
  await expect(settings.getByText(`${TREES.length} words`, { exact: true })).toBeVisible();
}

test('a word of a word search is moved and a letter changed while every word is looked for', async ({
  page,
}) => {
  await addFirst(page, 'Word search');
  await giveWords(page);
  const { dialog, verdict, keep } = await changeFirst(page);
  await expect(verdict).toHaveText(/^Every word can be found once\./);
  await noSeriousFindings(page, 'word search by hand');
  const list = dialog.getByRole('list', { name: 'Words' }).getByRole('button');
  await expect(list).toHaveCount(TREES.length);
  const cells = dialog.getByRole('application', { name: 'Puzzle' }).locator('[data-cell]');
  const size = Math.sqrt(await cells.count());

  // The word goes to a row where it crosses none, as the solver says of it.
  await list.filter({ hasText: 'oak' }).click();
  let row = 0;
  for (; row < size; row++) {
    await cells.nth(row * size).hover();
    await page.mouse.down();
    await cells.nth(row * size + 5).hover();
    await page.mouse.up();
    if (/^Every word/.test((await verdict.textContent())!)) break;
    await expect(keep).toBeDisabled();
    await dialog.getByRole('button', { name: 'Undo' }).click();
  }
  expect(row).toBeLessThan(size);
  for (const [i, letter] of [...'OAK'].entries()) await expect(cells.nth(row * size + i)).toHaveText(letter);

  // A letter that is another takes the word away, and whatever else has it; typed again, it is there.
  await list.filter({ hasText: 'oak' }).click();
  await cells.nth(row * size + 1).click();
  await page.keyboard.press('q');
  await expect(verdict).toHaveText(/\bOAK\b.* cannot be found\./);
  await expect(keep).toBeDisabled();
  await page.keyboard.press('a');
  await expect(verdict).toHaveText(/^Every word can be found once\./);
  await keep.click();
  await expect(isPinned(page)).toBeVisible();
  await changeFirst(page);
  for (const [i, letter] of [...'OAK'].entries()) await expect(cells.nth(row * size + i)).toHaveText(letter);
});

test('a clue and a letter of a crossword are changed while its words are read anew', async ({ page }) => {
  await addFirst(page, 'Crossword');
  await page
    .getByRole('textbox', { name: 'Words and clues' })
    .fill(TREES.map((tree, i) => `${tree} | Tree number ${i + 1} of the wood`).join('\n'));
  await expect(page.getByText(/^10 words in \d+ × \d+ cells/)).toBeVisible();
  const { dialog, verdict, keep } = await changeFirst(page);
  await expect(verdict).toHaveText(/words, each once and with a clue\.$/);
  await noSeriousFindings(page, 'crossword by hand');
  const clue = dialog.getByRole('textbox', { name: /^Clue of 1 / });
  await clue.fill('');
  await expect(verdict).toHaveText(/ has no clue\. Write one\.$/);
  await expect(keep).toBeDisabled();
  await clue.fill('It stands by the gate');
  await expect(verdict).toHaveText(/words, each once and with a clue\.$/);
  await keep.click();
  await expect(isPinned(page)).toBeVisible();
  await changeFirst(page);
  await expect(clue).toHaveValue('It stands by the gate');

  // A letter in its place, and taken back.
  const cells = dialog.getByRole('application', { name: 'Puzzle' }).locator('[data-cell]');
  const first = (await cells.first().textContent())!;
  await dialog.getByRole('application', { name: 'Puzzle' }).focus();
  await page.keyboard.press('q');
  await expect(cells.first()).not.toHaveText(first);
  await page.keyboard.press('Control+z');
  await expect(cells.first()).toHaveText(first);
});

test('letters of a fill-in are given and left out while its words are put anew', async ({ page }) => {
  await addFirst(page, 'Fill-in');
  await giveWords(page);
  const { dialog, verdict, keep } = await changeFirst(page);
  await expect(verdict).toHaveText(/^10 words, which fit in one way\. \d+ letters given\.$/);
  await noSeriousFindings(page, 'fill-in by hand');
  const given = Number(/(\d+) letters given/.exec((await verdict.textContent())!)![1]);
  await dialog.getByRole('application', { name: 'Puzzle' }).focus();
  await page.keyboard.press('Space');
  await expect(verdict).toContainText(`${given + 1} letters given`);
  await keep.click();
  await expect(isPinned(page)).toBeVisible();
  await changeFirst(page);
  await expect(verdict).toContainText(`${given + 1} letters given`);
});

/** Adds pages whose cells are changed by hand, with what the dialog shows of them. */
async function changeCells(page: Page, name: string) {
  await addFirst(page, name);
  const changed = await changeFirst(page);
  const sheet = changed.dialog.getByRole('application', { name: 'Puzzle' });
  await expect(changed.verdict).toHaveText(/^One answer\./);
  await expect(changed.keep).toBeDisabled();
  await noSeriousFindings(page, `${name} by hand`);
  return { ...changed, sheet, cells: sheet.locator('[data-cell]') };
}

test('digits of a kakuro are changed and its cells closed while its sums follow', async ({ page }) => {
  const { dialog, verdict, keep, cells } = await changeCells(page, 'Kakuro');
  const texts = await cells.allTextContents();
  const at = texts.findIndex(Boolean);
  const told = (await verdict.textContent())!;
  await cells.nth(at).click();
  // Beside it there is another digit of the same sum.
  const beside = texts[at + 1]!;
  await page.keyboard.press(beside);
  await expect(verdict).toHaveText('A digit stands twice in one sum. Change one of the two.');
  await expect(keep).toBeDisabled();
  await dialog.getByRole('button', { name: 'Undo' }).click();
  await expect(verdict).toHaveText(told);
  // The next key still goes to the puzzle.
  await page.keyboard.press('Backspace');
  await expect(cells.nth(at)).toHaveText('');
  await page.keyboard.press(texts[at]!);
  await expect(verdict).toHaveText(told);
  await keep.click();
  await expect(isPinned(page)).toBeVisible();
  await expect((await changeFirst(page)).verdict).toHaveText(told);
});

test('numbers and signs of an inequality grid are given and taken out', async ({ page }) => {
  const { verdict, keep, sheet, cells } = await changeCells(page, 'Inequality grid');
  const told = (await verdict.textContent())!;
  const signs = () => sheet.locator('text').allTextContents();
  const before = await signs();
  // Three clicks lead all around: put, turned, taken out.
  const between = sheet.locator('[data-between]').first();
  const seen = new Set<string>();
  for (let i = 0; i < 3; i++) {
    await between.click();
    seen.add((await signs()).join(' '));
  }
  expect(seen.size).toBe(3);
  expect(await signs()).toEqual(before);
  await expect(verdict).toHaveText(told);
  // With the keyboard, the same.
  await cells.first().click();
  await page.keyboard.press('Shift+ArrowRight');
  expect(await signs()).not.toEqual(before);
  await page.keyboard.press('Control+z');
  expect(await signs()).toEqual(before);

  // With every number and sign taken out, nothing tells them any more.
  for (let i = 0; i < (await cells.count()); i++) {
    await cells.nth(i).click();
    await page.keyboard.press('Delete');
  }
  await expect(verdict).toHaveText(/\.$/);
  await cells.first().click();
  await page.keyboard.press('6');
  await cells.nth(1).click();
  await page.keyboard.press('6');
  await expect(verdict).toHaveText(
    'There is no answer: what is given and the signs in the marked cells contradict each other. Undo, or take one of them out.',
  );
  await expect(keep).toBeDisabled();
});

test('cells go from cage to cage, and a cage gets another calculation', async ({ page }) => {
  const { dialog, verdict, keep, cells } = await changeCells(page, 'Number cages with sums, six a page');
  // By itself, a cell tells its number; with the next one, what the two make.
  await cells.first().click();
  await page.keyboard.press('Backspace');
  await expect(cells.first()).toHaveText(/^(\d)\1$/);
  await page.keyboard.press('Shift+ArrowRight');
  await expect(cells.first()).toHaveText(/^\d+[+−×÷]\d$/);
  await cells.first().click();
  await page.keyboard.press('*');
  await expect(cells.first()).toContainText(/^\d+×/);
  // Every cell apart tells its number: there is nothing left to find.
  for (let i = 0; i < (await cells.count()); i++) {
    await cells.nth(i).click();
    await dialog.getByRole('button', { name: 'Set the cell apart' }).click();
  }
  await expect(verdict).toHaveText(/^One answer\./);
  await keep.click();
  await expect(isPinned(page)).toBeVisible();
  const again = await changeFirst(page);
  await expect(again.dialog.locator('[data-cell]').first()).toHaveText(/^(\d)\1$/);
});

test('cages of a killer sudoku are drawn anew', async ({ page }) => {
  await addFirst(page, 'Killer sudoku');
  const { dialog, verdict, keep } = await changeFirst(page);
  await expect(verdict).toHaveText(/^One answer\./);
  const told = (await verdict.textContent())!;
  const cells = dialog.getByRole('gridcell');
  const sums = () => cells.locator('span').allTextContents();
  const before = await sums();
  // Drawn from cell to cell, the first cells are one cage.
  await cells.nth(0).click();
  await page.keyboard.press('Backspace');
  await cells.nth(0).hover();
  await page.mouse.down();
  await cells.nth(1).hover();
  await cells.nth(2).hover();
  await page.mouse.up();
  const digits = await Promise.all(
    [0, 1, 2].map(async (i) => Number(/: (\d)/.exec((await cells.nth(i).getAttribute('aria-label'))!)![1])),
  );
  await expect(cells.nth(0).locator('span')).toHaveText(String(digits.reduce((sum, one) => sum + one, 0)));
  for (const i of [1, 2]) await expect(cells.nth(i).locator('span')).toHaveCount(0);
  const undo = dialog.getByRole('button', { name: 'Undo' });
  while (await undo.isEnabled()) await undo.click();
  expect(await sums()).toEqual(before);
  await expect(verdict).toHaveText(told);
  await expect(keep).toBeDisabled();
  // Every digit is a sum of its own: that has one answer whatever the puzzle.
  for (let i = 0; i < 81; i++) {
    await cells.nth(i).click();
    await page.keyboard.press('Backspace');
  }
  await expect(verdict).toHaveText(/^One answer\. Very easy/);
  await keep.click();
  await expect(isPinned(page)).toBeVisible();
});
