import { noSeriousFindings } from './look.ts';
import { emptyBook, expect, inkOf, saved, sections, test } from './quill.ts';

const CLUES = [
  'Propolis | Glue that bees make',
  'Nectar | Sweet drink from a flower',
  'Swarm | Half a colony on the move',
  'Skep | Hive of straw',
  'Pollen | Yellow dust',
  'Queen | Mother of all',
  'Drone |',
  'Comb | Six-sided rooms',
].join('\n');

test('crosswords are made from words with clues, and a clue that is missing is told; mazes are set', async ({
  page,
}) => {
  await emptyBook(page);
  const gallery = page.getByRole('dialog', { name: 'Add pages' });
  const add = async (name: string) => {
    await page.getByRole('button', { name: 'Add pages' }).click();
    await gallery.getByLabel('Find').fill(name);
    await gallery.getByRole('button', { name, exact: true }).dblclick();
    await expect(gallery).toBeHidden();
  };
  const settings = page.getByRole('complementary', { name: 'Settings' });

  await add('Crossword');
  const clues = settings.getByRole('textbox', { name: 'Words and clues' });
  await clues.fill(CLUES);
  await clues.press('Tab');
  await settings.getByLabel('Words per puzzle').fill('8');
  await settings.getByLabel('Words per puzzle').press('Tab');
  await settings.getByLabel('Number of puzzles').fill('2');
  await settings.getByLabel('Number of puzzles').press('Tab');
  await expect(sections(page).nth(2)).toContainText('2 items · p. 3–4 · solutions p. 5');
  await expect.poll(() => inkOf(page, 3)).toBeGreaterThan(0.03);
  await saved(page);
  await page.reload();
  await sections(page).nth(2).click();
  await expect(clues).toHaveValue(CLUES);
  await expect.poll(() => inkOf(page, 5)).toBeGreaterThan(0.01);

  await add('Word search in a heart');
  await expect(settings.getByRole('combobox', { name: 'Outline' })).toHaveText('Heart');
  await settings.getByLabel('Number of puzzles').fill('1');
  await settings.getByLabel('Number of puzzles').press('Tab');
  await settings.getByRole('button', { name: '←' }).click();
  await expect(settings.getByRole('button', { name: '←' })).toHaveAttribute('aria-pressed', 'true');
  await expect(settings.getByRole('button', { name: '↑' })).toHaveAttribute('aria-pressed', 'false');
  await settings.getByRole('combobox', { name: 'Outline' }).click();
  await page.getByRole('option', { name: 'A letter or digit' }).click();
  await settings.getByLabel('Letter or digit').fill('?');
  await settings.getByLabel('Letter or digit').press('Tab');
  await expect(settings.getByText(/is no letter from A to Z and no digit/)).toBeVisible();
  await settings.getByLabel('Letter or digit').fill('q');
  await settings.getByLabel('Letter or digit').press('Tab');
  await expect(settings.getByText(/is no letter from A to Z and no digit/)).toBeHidden();
  await settings.getByRole('combobox', { name: 'Level' }).click();
  await page.getByRole('option', { name: 'Rising' }).click();
  await expect(settings.getByRole('button', { name: '←' })).toBeHidden();
  await saved(page);

  await add('Round maze');
  await expect(settings.getByRole('combobox', { name: 'Grid' })).toHaveText('Circle');
  await expect.poll(() => inkOf(page, 6)).toBeGreaterThan(0.03);
  const round = await inkOf(page, 6);
  await settings.getByRole('combobox', { name: 'Grid' }).click();
  await page.getByRole('option', { name: 'Hexagons' }).click();
  await expect.poll(() => inkOf(page, 6)).not.toBe(round);
  await saved(page);
  await noSeriousFindings(page, 'puzzles');

  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  await expect(page.getByText('Puzzle 1: DRONE has no clue. Write one after an upright bar.')).toBeVisible();

  // It may come from the dictionary, marked until somebody has read it; so may words of a topic.
  await page.getByRole('link', { name: 'Flatplan', exact: true }).click();
  await sections(page).nth(2).click();
  await settings.getByRole('button', { name: 'Clues for 1 without one' }).click();
  await expect(clues).toHaveValue(/Drone \| ~ \w+/);
  await settings.getByRole('button', { name: 'Words from a topic…' }).click();
  const topic = page.getByRole('dialog', { name: 'Word lists from a topic' });
  await topic.getByRole('textbox', { name: 'Topic' }).fill('ducks');
  await topic.getByRole('textbox', { name: 'Topic' }).press('Enter');
  await topic.getByRole('button', { name: 'Add these words' }).click();
  await expect(topic).toBeHidden();
  await expect(clues).toHaveValue(/mallard \| ~ /);
  await settings.getByRole('button', { name: 'All clues are reviewed' }).click();
  await expect(clues).not.toHaveValue(/~/);
  await expect(clues).toHaveValue(/mallard \| \w/);
  await saved(page);
});

test('a dense crossword fills itself around words of its own, with clues from the dictionary', async ({
  page,
}) => {
  await emptyBook(page);
  await page.getByRole('button', { name: 'Add pages' }).click();
  const gallery = page.getByRole('dialog', { name: 'Add pages' });
  await gallery.getByLabel('Find').fill('dense');
  await gallery.getByRole('button', { name: 'Crossword, dense', exact: true }).dblclick();
  await expect(gallery).toBeHidden();
  const settings = page.getByRole('complementary', { name: 'Settings' });
  await expect(settings.getByRole('combobox', { name: 'Grid' })).toHaveText('Dense and symmetrical');
  await expect(settings.getByLabel('Words per puzzle')).toBeHidden();
  const own = settings.getByRole('textbox', { name: 'Words and clues' });
  await own.fill(CLUES.replace('Drone |', 'Drone | He does no work'));
  await own.press('Tab');
  for (const side of ['Columns', 'Rows']) {
    await settings.getByLabel(side).fill('11');
    await settings.getByLabel(side).press('Tab');
  }
  await settings.getByLabel('Number of puzzles').fill('2');
  await settings.getByLabel('Number of puzzles').press('Tab');
  // Each has its grid at the left and its clues at the right, after a blank page.
  await expect(sections(page).nth(2)).toContainText('2 items · p. 3–7 · solutions p. 8');
  await expect.poll(() => inkOf(page, 4)).toBeGreaterThan(0.03);
  await saved(page);

  const clues = settings.getByRole('textbox', { name: 'Clues of words that fill' });
  await settings.getByRole('button', { name: 'Clues from the dictionary' }).click();
  await expect(clues).toHaveValue(/^[A-Z]+ \| ~ [A-Z]/m);
  const listed = (await clues.inputValue()).split('\n');
  expect(listed.length).toBeGreaterThan(40);
  expect(listed.filter((line) => line.includes('| ~')).length).toBeGreaterThan(0.7 * listed.length);
  // The puzzles stay as they are: asked once more, the dictionary has only those that it does not know.
  await settings.getByRole('button', { name: 'All clues are reviewed' }).click();
  const bare = listed.filter((line) => !line.includes('|'));
  await clues.fill(
    [...bare.map((word) => `${word} | Written by hand`), ...listed.filter((line) => line.includes('|'))]
      .join('\n')
      .replaceAll('~ ', ''),
  );
  await clues.press('Tab');
  await settings.getByRole('button', { name: 'Clues from the dictionary' }).click();
  await expect(page.getByText('Every word has a clue.')).toBeVisible();
  await saved(page);
  await noSeriousFindings(page, 'dense crossword');

  // In cells of the grid, clues are of a few words.
  await settings.getByRole('combobox', { name: 'Clues', exact: true }).click();
  await page.getByRole('option', { name: 'In the grid, with arrows' }).click();
  await expect(settings.getByLabel('Letter counts')).toBeVisible();
  await expect(sections(page).nth(2)).toContainText('2 items · p. 3–4 · solutions p. 5');
  await clues.fill('');
  await clues.press('Tab');
  await settings.getByRole('button', { name: 'Clues from the dictionary' }).click();
  await expect(clues).toHaveValue(/^[A-Z]+ \| ~ [A-Z]/m);
  for (const line of (await clues.inputValue()).split('\n'))
    expect(line.split('| ~ ')[1]?.length ?? 0, line).toBeLessThanOrEqual(26);
  await expect.poll(() => inkOf(page, 3)).toBeGreaterThan(0.03);
  await clues.fill(
    listed
      .map((line) => line.split(' | ')[0])
      .map((word) => `${word} | As told`)
      .join('\n'),
  );
  await clues.press('Tab');
  await saved(page);

  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  // Until every page is checked, what was found before the last change is still listed.
  await expect(page.getByRole('heading', { name: /to fix$/ })).toBeVisible();
  await expect(page.getByText(/prints at least 24/)).toBeVisible();
  await expect(page.getByText(/no clue/)).toHaveCount(0);
});

test('so many puzzles of each kind and level are added in one step, in order or shuffled', async ({
  page,
}) => {
  await emptyBook(page);
  const dialog = page.getByRole('dialog', { name: 'Puzzles by kind and level' });
  const open = () => page.getByRole('button', { name: 'Puzzles by level' }).click();
  await open();
  await expect(dialog.getByRole('button', { name: 'Add puzzles' })).toBeDisabled();
  await dialog.getByLabel('Sudoku, easy').fill('8');
  await dialog.getByLabel('Sudoku, hard').fill('2');
  await dialog.getByLabel('Bingo cards').fill('some');
  await expect(dialog.getByText('Write whole numbers, such as 12')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Add 10 puzzles' })).toBeDisabled();
  await dialog.getByLabel('Bingo cards').fill('');
  await expect(dialog.getByText('10 puzzles; the book would have')).toBeVisible();
  await noSeriousFindings(page, 'puzzles by level');
  await dialog.getByLabel('Sudoku, hard').press('Enter');
  await expect(dialog).toBeHidden();
  await expect(sections(page)).toHaveCount(4);
  await expect(sections(page).nth(2)).toContainText('Sudoku, easy');
  await expect(sections(page).nth(3)).toContainText('2 items · p. 5');
  await expect.poll(() => inkOf(page, 3)).toBeGreaterThan(0.03);

  // Shuffled they are one group, whose settings are shown; one undo takes it away.
  await open();
  await dialog.getByLabel('Maze, medium').fill('61');
  await dialog.getByLabel('Sudoku, very easy').fill('6');
  await dialog.getByRole('button', { name: 'Pages shuffled' }).click();
  await expect(dialog.getByText('Maze: 61 take 61 pages')).toBeVisible();
  await dialog.getByLabel('Maze, medium').fill('3');
  await dialog.getByRole('button', { name: 'Add 9 puzzles' }).click();
  const settings = page.getByRole('complementary', { name: 'Settings' });
  await expect(settings.getByText('Maze, medium × 3')).toBeVisible();
  await expect(settings.getByRole('button', { name: 'Shuffled' })).toHaveAttribute('aria-pressed', 'true');
  await expect(sections(page)).toHaveCount(5);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(sections(page)).toHaveCount(4);
});
