import type { Page } from '@playwright/test';
import { noSeriousFindings, picture } from './look.ts';
import { addFirst, expect, test } from './quill.ts';

async function tryFirst(page: Page, name: string) {
  await addFirst(page, name);
  await page.getByRole('button', { name: 'Try it…' }).click();
  return page.getByRole('dialog', { name: 'Try Puzzle 1' });
}

test('a sudoku is tried by keyboard, with notes, a check, and steps in words', async ({ page }) => {
  const trial = await tryFirst(page, 'Sudoku, 6 × 6 for children');
  const grid = trial.getByRole('grid', { name: 'Sudoku' });
  const here = grid.locator('[aria-selected=true]');
  await expect(grid.getByRole('gridcell')).toHaveCount(36);
  await expect(trial.getByText(/^Very easy, /)).toBeVisible();
  await noSeriousFindings(page, 'sudoku trial');
  await here.focus();

  // One digit of six is right, and the check says which.
  const answers: string[] = [];
  for (let digit = 1; digit <= 6; digit++) {
    await page.keyboard.press(String(digit));
    await expect(here).toHaveAccessibleName(new RegExp(`: ${digit}(, wrong)?$`));
    await trial.getByRole('button', { name: 'Check' }).click();
    await here.focus();
    const wrong = trial.getByText('One digit is wrong.');
    await expect(wrong.or(trial.getByText('All digits are right so far.'))).toBeVisible();
    if (!(await wrong.isVisible())) answers.push(String(digit));
  }
  expect(answers).toHaveLength(1);
  await page.keyboard.press('Backspace');
  await expect(here).toHaveAccessibleName(/: empty$/);
  await page.keyboard.press('n');
  await page.keyboard.press('2');
  await page.keyboard.press('5');
  await expect(here).toHaveAccessibleName(/: notes 2 5$/);
  await page.keyboard.press('Control+z');
  await expect(here).toHaveAccessibleName(/: notes 2$/);
  await page.keyboard.press('n');
  const place = await here.getAttribute('data-cell');
  await page.keyboard.press('ArrowDown');
  await expect(here).toHaveAttribute('data-cell', String((Number(place) + 6) % 36));
  await expect(here).toBeFocused();

  // Steps are told, and done, until nothing is open.
  const solved = trial.getByText(/^Solved in \d+:\d\d\.$/);
  let steps = 0;
  for (; !(await solved.isVisible()) && steps < 40; steps++) {
    await trial.getByRole('button', { name: 'Next step' }).click();
    await expect(trial.getByText(/^(Naked|Hidden) single: .+\.$/).last()).toBeVisible();
    await trial.getByRole('button', { name: 'Do it' }).click();
  }
  await expect(solved).toBeVisible();
  await expect(trial.getByRole('listitem')).toHaveCount(steps);
  await expect(trial.getByRole('button', { name: 'Next step' })).toBeDisabled();
  await trial.getByRole('button', { name: 'Start over' }).click();
  await expect(solved).toBeHidden();
  await expect(trial.getByRole('timer')).toHaveText(/^0:0\d$/);
  await trial.getByRole('button', { name: 'Close' }).click();
  await expect(trial).toBeHidden();
});

test('a maze is walked by keyboard and by mouse, and shows the way', async ({ page }) => {
  const trial = await tryFirst(page, 'Maze');
  const maze = trial.getByRole('application', { name: 'Maze' });
  await expect(maze).toBeVisible();
  await noSeriousFindings(page, 'maze trial');
  await trial.getByRole('button', { name: 'Show the way' }).click();
  const way = await maze
    .locator('path')
    .first()
    .evaluate((line) =>
      line
        .getAttribute('d')!
        .slice(1)
        .split('L')
        .map((at) => at.split(' ').map(Number)),
    );
  await expect(trial.getByText(`1 cell of the line; the way has ${way.length}`)).toBeVisible();

  // With the mouse for some cells, then with the keys.
  const onScreen = (at: number[]) =>
    maze.evaluate((svg: SVGSVGElement, [x, y]) => {
      const { x: left, y: top } = new DOMPoint(x, y).matrixTransform(svg.getScreenCTM()!);
      return { x: left, y: top };
    }, at);
  const first = await onScreen(way[0]!);
  await page.mouse.move(first.x, first.y);
  await page.mouse.down();
  for (const at of way.slice(1, 8)) {
    const { x, y } = await onScreen(at);
    await page.mouse.move(x, y);
  }
  await page.mouse.up();
  await expect(trial.getByText(`8 cells of the line; the way has ${way.length}`)).toBeVisible();
  await trial.getByRole('button', { name: 'Back to the start' }).click();
  await expect(trial.getByText(/^1 cell of the line/)).toBeVisible();
  await maze.focus();
  for (let i = 1; i < way.length; i++) {
    const [dx, dy] = [way[i]![0]! - way[i - 1]![0]!, way[i]![1]! - way[i - 1]![1]!];
    await page.keyboard.press(
      dx > 0 ? 'ArrowRight' : dx < 0 ? 'ArrowLeft' : dy > 0 ? 'ArrowDown' : 'ArrowUp',
    );
  }
  await expect(trial.getByText(/^Solved in \d+:\d\d\.$/)).toBeVisible();
});

test('a maze on floors is walked over its stairs, which are taken away and put back by hand', async ({
  page,
}) => {
  const trial = await tryFirst(page, 'Maze on three floors');
  const maze = trial.getByRole('application', { name: 'Maze' });
  await trial.getByRole('button', { name: 'Show the way' }).click();
  const line = (await maze.locator('path').first().getAttribute('d'))!;
  const floors = line
    .slice(1)
    .split('M')
    .map((piece) => piece.split('L').map((at) => at.split(' ').map(Number)));
  expect(floors.length).toBeGreaterThan(2);
  const cells = floors.reduce((sum, piece) => sum + piece.length, 0);
  await expect(trial.getByText(`1 cell of the line; the way has ${cells}`)).toBeVisible();
  const walk = async (piece: number[][]) => {
    for (let i = 1; i < piece.length; i++) {
      const [dx, dy] = [piece[i]![0]! - piece[i - 1]![0]!, piece[i]![1]! - piece[i - 1]![1]!];
      await page.keyboard.press(
        dx > 0 ? 'ArrowRight' : dx < 0 ? 'ArrowLeft' : dy > 0 ? 'ArrowDown' : 'ArrowUp',
      );
    }
  };
  await maze.focus();
  for (const [i, piece] of floors.entries()) {
    if (i) await page.keyboard.press('Enter');
    await walk(piece);
  }
  await expect(trial.getByText(/^Solved in \d+:\d\d\.$/)).toBeVisible();
  await trial.getByRole('button', { name: 'Close' }).click();

  // The first stairs of the way are taken away, and put back.
  await page.getByRole('button', { name: 'Edit by hand…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Edit Puzzle 1 by hand' });
  const verdict = dialog.getByRole('status');
  await expect(verdict).toHaveText(new RegExp(`^One way, of ${cells} cells\\. `));
  await dialog.getByRole('button', { name: 'Stairs', exact: true }).click();
  await noSeriousFindings(page, 'stairs by hand');
  await dialog.getByRole('application', { name: 'Maze' }).focus();
  await walk(floors[0]!);
  await page.keyboard.press('t');
  await expect(verdict).toHaveText(/^There is no way/);
  // At their other end, which the way goes on from, one floor up.
  await page.keyboard.press('PageUp');
  await page.keyboard.press('t');
  await expect(verdict).toHaveText(new RegExp(`^One way, of ${cells} cells\\. `));
});

test('a sudoku is changed by hand while a solver watches, and kept', async ({ page }) => {
  await addFirst(page, 'Sudoku, 6 × 6 for children');
  const settings = page.getByRole('complementary', { name: 'Settings' });
  await settings.getByRole('button', { name: 'Edit by hand…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Edit Puzzle 1 by hand' });
  const grid = dialog.getByRole('grid', { name: 'Sudoku' });
  const verdict = dialog.getByRole('status');
  const keep = dialog.getByRole('button', { name: 'Keep it pinned' });
  await expect(verdict).toHaveText(/^One answer\. Very easy, /);
  await expect(keep).toBeDisabled();
  await noSeriousFindings(page, 'by hand');

  // Emptied one by one, there is more than one answer before long; undone, there is one again.
  const given = grid.getByRole('gridcell', { name: /given$/ });
  const givens = await given.count();
  await expect(dialog.getByText(`${givens} digits given.`, { exact: false })).toBeVisible();
  let taken = 0;
  for (; !/more than one/.test((await verdict.textContent())!) && taken < givens; taken++) {
    await given.first().click();
    await page.keyboard.press('Backspace');
    await expect(given).toHaveCount(givens - taken - 1);
  }
  await expect(verdict).toHaveText(/^There is more than one answer\./);
  await expect(keep).toBeDisabled();
  for (let i = 0; i < taken; i++) await page.keyboard.press('Control+z');
  await expect(verdict).toHaveText(/^One answer\./);
  await expect(given).toHaveCount(givens);

  // Of six digits in an open cell one leaves the answer; it is kept.
  await grid
    .getByRole('gridcell', { name: /: empty$/ })
    .first()
    .click();
  let right = 0;
  for (let digit = 1; digit <= 6 && !right; digit++) {
    await page.keyboard.press(String(digit));
    await expect(dialog.getByText(`${givens + 1} digits given.`, { exact: false })).toBeVisible();
    if (/^One answer/.test((await verdict.textContent())!)) right = digit;
  }
  expect(right).toBeGreaterThan(0);
  await keep.click();
  await expect(dialog).toBeHidden();
  await expect(settings.getByText('pinned')).toBeVisible();
  await settings.getByRole('button', { name: 'Edit by hand…' }).click();
  await expect(given).toHaveCount(givens + 1);
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(settings.getByText('pinned')).toBeHidden();
});

test('cells are filled in by keyboard and mouse, with notes, a check and single answers', async ({
  page,
}) => {
  const trial = await tryFirst(page, 'Cross sums for children');
  const sheet = trial.getByRole('application', { name: 'Puzzle' });
  const cells = sheet.locator('[data-cell]');
  await expect(cells).toHaveCount(9);
  await noSeriousFindings(page, 'trial of cells');
  const reveal = trial.getByRole('button', { name: 'Show this cell' });
  const given = (await cells.allTextContents()).map(Boolean);
  const open = given.flatMap((isGiven, at) => (isGiven ? [] : [at]));
  expect(open.length).toBeGreaterThan(1);

  // A given cell takes nothing; an open one takes digits, its notes, and gives them back.
  await cells.nth(given.indexOf(true)).click();
  await expect(reveal).toBeDisabled();
  const first = cells.nth(open[0]!);
  await first.click();
  await page.keyboard.press('n');
  await page.keyboard.press('4');
  await page.keyboard.press('7');
  await expect(first).toHaveText('47');
  await page.keyboard.press('n');
  await trial.getByRole('button', { name: '9', exact: true }).click();
  await expect(first).toHaveText('9');
  await trial.getByRole('button', { name: 'Undo' }).click();
  await expect(first).toHaveText('47');

  // The check tells a wrong digit from the right one.
  await reveal.click();
  const right = (await first.textContent())!;
  await trial.getByRole('button', { name: 'Check' }).click();
  await expect(trial.getByText('All is right so far.')).toBeVisible();
  await first.click();
  await page.keyboard.press(right === '1' ? '2' : '1');
  await trial.getByRole('button', { name: 'Check' }).click();
  await expect(trial.getByText('One digit is wrong.')).toBeVisible();
  await first.click();
  await page.keyboard.press(right);

  for (const at of open.slice(1)) {
    await expect(trial.getByText(/^Solved in/)).toHaveCount(0);
    await cells.nth(at).click();
    await reveal.click();
  }
  await expect(trial.getByText(/^Solved in \d+:\d\d\.$/)).toBeVisible();
  await trial.getByRole('button', { name: 'Start over' }).click();
  await expect(first).toHaveText('');
});

test('numbers are marked in a grid, by drawing over them and by keyboard', async ({ page }) => {
  const trial = await tryFirst(page, 'Number search');
  const sheet = trial.getByRole('application', { name: 'Puzzle' });
  const cells = sheet.locator('[data-cell]');
  const listed = trial.getByRole('list', { name: 'Words' }).getByRole('listitem');
  await expect(listed).toHaveCount(20);
  const numbers = await listed.allTextContents();
  const digits = (await cells.allTextContents()).join('');
  const columns = Math.sqrt(digits.length);
  /** Where a number is read, by trying every cell and direction. */
  const placeOf = (number: string): [from: number, to: number] => {
    for (let at = 0; at < digits.length; at++)
      for (const dx of [-1, 0, 1])
        for (const dy of [-1, 0, 1]) {
          const [x, y] = [at % columns, Math.floor(at / columns)];
          const fits = [...number].every((digit, i) => {
            const [ownX, ownY] = [x + i * dx, y + i * dy];
            const isInside = ownX >= 0 && ownX < columns && ownY >= 0 && ownY < columns;
            return isInside && digits[ownY * columns + ownX] === digit;
          });
          if (fits) return [at, at + (number.length - 1) * (dy * columns + dx)];
        }
    throw new Error(`${number} is not in the grid.`);
  };
  await sheet.focus();
  let at = 0;
  /** With the arrow keys. */
  const goTo = async (to: number) => {
    const [dx, dy] = [(to % columns) - (at % columns), Math.floor(to / columns) - Math.floor(at / columns)];
    for (let i = 0; i < Math.abs(dx); i++) await page.keyboard.press(dx > 0 ? 'ArrowRight' : 'ArrowLeft');
    for (let i = 0; i < Math.abs(dy); i++) await page.keyboard.press(dy > 0 ? 'ArrowDown' : 'ArrowUp');
    at = to;
  };
  const [from, to] = placeOf(numbers[0]!);
  await goTo(from);
  await page.keyboard.press('Space');
  await goTo(to);
  await page.keyboard.press('Space');
  await expect(trial.getByText('1 of 20 found')).toBeVisible();
  // What is no number of the list is not marked.
  await cells.nth(0).click();
  await cells.nth(1).click();
  await expect(trial.getByText('1 of 20 found')).toBeVisible();
  for (const [i, number] of numbers.slice(1).entries()) {
    const [first, last] = placeOf(number);
    await cells.nth(last).hover();
    await page.mouse.down();
    await cells.nth(first).hover();
    await page.mouse.up();
    await expect(trial.getByText(`${i + 2} of 20 found`)).toBeVisible();
  }
  await expect(trial.getByText(/^Solved in \d+:\d\d\.$/)).toBeVisible();
});

test('a puzzle without words says what it waits for', async ({ page }) => {
  const trial = await tryFirst(page, 'Fill-in');
  await expect(trial.getByText('There is nothing to solve yet.')).toBeVisible();
});

const CLUES = [
  'oak | It stands for centuries',
  'maple | Its sap is sweet',
  'willow | It weeps by the water',
  'birch | White bark, fine twigs',
  'cedar | It keeps moths away',
  'poplar | A row of these lines the road',
  'spruce | The fronts of fiddles are made of it',
  'hazel | Nuts, and rods that find water',
  'rowan | Red berries on a mountain',
  'alder | It likes wet feet',
];

test('a crossword is filled in along its words, clue by clue', async ({ page }) => {
  await addFirst(page, 'Crossword');
  await page.getByRole('textbox', { name: 'Words and clues' }).fill(CLUES.join('\n'));
  await expect(page.getByText(/^10 words in /)).toBeVisible();
  await page.getByRole('button', { name: 'Try it…' }).click();
  const trial = page.getByRole('dialog', { name: 'Try Puzzle 1' });
  const sheet = trial.getByRole('application', { name: 'Puzzle' });
  const clues = trial.getByRole('list').getByRole('button');
  await expect(clues.first()).toHaveText(/^\d+ across /);
  await noSeriousFindings(page, 'crossword trial');

  // Typing goes on along the word of the clue that is followed, and Backspace goes back.
  const typed = (await sheet.locator('[data-cell]').allTextContents()).map((text) => text.replace(/\d/g, ''));
  expect(typed.join('')).toBe('');
  const third = clues.nth(2);
  await third.click();
  await expect(third).toHaveAttribute('aria-current', 'true');
  await sheet.focus();
  await page.keyboard.type('abc');
  const letters = async () =>
    (await sheet.locator('[data-cell]').allTextContents()).map((text) => text.replace(/\d/g, '')).join('');
  await expect.poll(letters).toBe('ABC');
  await page.keyboard.press('Backspace');
  await page.keyboard.press('Control+z');
  await expect.poll(letters).toBe('ABC');
  for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
  await expect.poll(letters).toBe('');

  // Shown cell by cell, the words of three clues are there, and right.
  for (const clue of [0, 1, 2]) {
    await clues.nth(clue).click();
    const before = (await letters()).length;
    for (let cell = 0; cell < 3; cell++) {
      await trial.getByRole('button', { name: 'Show this cell' }).click();
      await clues.nth(clue).click();
    }
    await expect.poll(async () => (await letters()).length).toBe(before + 3);
  }
  await trial.getByRole('button', { name: 'Check' }).click();
  await expect(trial.getByText('All is right so far.')).toBeVisible();
  await picture(page, 'trial');
});

test('words of a wheel are typed or put together, and told why they do not count', async ({ page }) => {
  const trial = await tryFirst(page, 'Word wheel');
  const word = trial.getByRole('textbox', { name: 'Word' });
  const told = trial.getByRole('alert');
  const total = Number(/0 of (\d+) found/.exec(await trial.getByText(/^0 of \d+ found$/).innerText())![1]);
  await word.fill('a');
  await word.press('Enter');
  await expect(told).toHaveText(/^A word has \d letters at least\.$/);
  await expect(word).toHaveValue('');
  const middle = trial.getByRole('button', { name: /, in every word$/ });
  const letter = (await middle.innerText()).trim();
  await middle.click();
  await middle.click();
  await expect(word).toHaveValue(letter + letter);
  await trial.getByRole('button', { name: 'Take back' }).click();
  await expect(word).toHaveValue(letter);
  await noSeriousFindings(page, 'word wheel trial');
  // A word that is shown is known, and so is none of its own.
  await trial.getByRole('button', { name: 'Show a word' }).click();
  const listed = trial.getByRole('list', { name: 'Words' }).getByRole('listitem');
  const known = await listed.first().innerText();
  await word.fill(known.toLowerCase());
  await word.press('Enter');
  await expect(told).toHaveText(`${known} is found already.`);
  for (let shown = 1; shown < total; shown++)
    await trial.getByRole('button', { name: 'Show a word' }).click();
  await expect(listed).toHaveCount(total);
  await expect(trial.getByText(/^Solved in \d+:\d\d\.$/)).toBeVisible();
});

test('a quiz is answered by choosing and writing, and checked', async ({ page }) => {
  await addFirst(page, 'Quiz');
  const questions = page.getByRole('textbox', { name: 'Questions and answers' });
  await questions.fill('How many legs has a bee? | Six | Four\nWhat is a hive of straw called? | Skep');
  await questions.press('Tab');
  await page.getByRole('button', { name: 'Try it…' }).click();
  const trial = page.getByRole('dialog', { name: 'Try Puzzle 1' });
  await trial.getByRole('radio', { name: 'Four' }).check();
  await trial.getByRole('button', { name: 'Check' }).click();
  await expect(trial.getByText('Wrong. Try another answer.')).toBeVisible();
  await expect(trial.getByText('0 of 2 right')).toBeVisible();
  await noSeriousFindings(page, 'quiz trial');
  await trial.getByRole('radio', { name: 'Six' }).check();
  await trial.getByRole('textbox', { name: 'What is a hive of straw called?' }).fill('skep');
  await trial.getByRole('button', { name: 'Check' }).click();
  await expect(trial.getByText('Right.')).toHaveCount(2);
  await expect(trial.getByText(/^Solved in \d+:\d\d\.$/)).toBeVisible();
});
