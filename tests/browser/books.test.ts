import { noSeriousFindings, picture } from './look.ts';
import { addFirst, expect, openBook, saved, sections, test, ticket, url } from './quill.ts';

test('books are selected by mouse and keys, labeled, duplicated, deleted, restored and made together', async ({
  page,
}) => {
  await page.goto(url('/books'));
  const list = page.getByRole('list', { name: 'Books' });
  const box = (title: string) => list.getByRole('checkbox', { name: `Select “${title}”` });
  const bar = page.getByRole('toolbar', { name: 'Selected books' });
  await expect(list.getByRole('listitem')).toHaveCount(5);
  await expect(bar).toBeHidden();
  await noSeriousFindings(page, 'books');

  // Shift takes in what lies between.
  await box('The Beekeeper’s Word Hunt').click();
  await box('Tide Pool Field Notes').click({ modifiers: ['Shift'] });
  await expect(bar.getByText('3 selected')).toBeVisible();
  await expect(box('Night Skies Word Search')).toBeChecked();
  await page.keyboard.press('Escape');
  await expect(bar).toBeHidden();
  await page.keyboard.press('Control+a');
  await expect(bar.getByText('5 selected')).toBeVisible();
  await box('A Year at the Hive').click();

  // A label for all of them; those that only some have stay.
  await page.keyboard.press('l');
  const labels = page.getByRole('combobox', { name: 'Labels' });
  await expect(
    page.getByText('Some of the books also have: Fall list, Summer list. Those stay.'),
  ).toBeVisible();
  await labels.fill('Bestsellers');
  await page.getByRole('button', { name: 'Save' }).click();
  const byLabel = page.getByRole('navigation', { name: 'Books by label' });
  await byLabel.getByRole('link', { name: 'Bestsellers (4)' }).click();
  await expect(list.getByRole('listitem')).toHaveCount(4);
  await expect(byLabel.getByRole('link', { name: 'Fall list (3)' })).toBeVisible();
  await picture(page, 'books');
  await byLabel.getByRole('link', { name: 'Bestsellers (4)' }).click();
  await expect(list.getByRole('listitem')).toHaveCount(5);

  // A copy is a book of its own.
  await box('Tide Pool Field Notes').click();
  await bar.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByText('1 book duplicated')).toBeVisible();
  await expect(list.getByRole('link', { name: /Tide Pool Field Notes \(copy\)/ })).toContainText('120 pages');

  await box('Tide Pool Field Notes (copy)').click();
  await box('Night Skies Word Search').click();
  await page.keyboard.press('Delete');
  await expect(page.getByText('2 books deleted')).toBeVisible();
  await expect(list.getByRole('listitem')).toHaveCount(4);
  await page.keyboard.press('Control+z');
  await expect(list.getByRole('listitem')).toHaveCount(6);
  await box('Tide Pool Field Notes (copy)').click();
  await bar.getByRole('button', { name: 'Delete' }).click();
  await page
    .getByRole('navigation', { name: 'Books by label' })
    .getByRole('link', { name: 'Deleted (1)' })
    .click();
  await expect(list.getByRole('listitem')).toHaveCount(1);
  await expect(list.getByRole('link')).toHaveCount(0);
  await box('Tide Pool Field Notes (copy)').click();
  await bar.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByText('No book was deleted.')).toBeVisible();

  await page.goto(url('/books'));
  for (const title of ['Tide Pool Field Notes', 'Tide Pool Field Notes (copy)']) await box(title).click();
  await bar.getByRole('button', { name: 'Make files' }).click();
  await expect(page.getByText('Making the files of 2 books.')).toBeVisible();
  await expect(async () => {
    await page.goto(url('/books'));
    await expect(list.getByText('files up to date')).toHaveCount(2, { timeout: 1000 });
  }).toPass();
});

test('lists for a topic are looked up, edited and saved as word banks', async ({ page }) => {
  await page.goto(url('/words'));
  await page.getByRole('button', { name: 'From a topic…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Word lists from a topic' });
  const topic = dialog.getByRole('textbox', { name: 'Topic' });
  await topic.fill('birdz');
  await topic.press('Enter');
  await expect(dialog.getByText(/No words for “birdz”/)).toBeVisible();
  await dialog.getByRole('button', { name: 'bird', exact: true }).click();
  await expect(dialog.getByText(/lists for “bird”/)).toBeVisible();
  await expect(topic).toHaveValue('bird');
  await noSeriousFindings(page, 'topic');

  // Another meaning, and back.
  await dialog.getByRole('combobox', { name: /Meaning/ }).click();
  await page.getByRole('option', { name: /^shuttlecock/ }).click();
  await expect(dialog.getByRole('region', { name: 'Owls', exact: true })).toHaveCount(0);
  await dialog.getByRole('combobox', { name: /Meaning/ }).click();
  await page.getByRole('option', { name: /feathers and forelimbs/ }).click();
  const owls = dialog.getByRole('region', { name: 'Owls', exact: true });
  await expect(owls.getByRole('button', { name: 'screech owl' })).toBeVisible();

  // One list alone, under a name of its own and without a word; other settings leave that as it is.
  await dialog.getByRole('button', { name: 'Select none' }).click();
  await owls.getByRole('checkbox', { name: 'Take Owls' }).check();
  await owls.getByRole('button', { name: 'screech owl' }).click();
  await owls.getByRole('textbox', { name: 'Title' }).fill('Owls at night');
  await dialog.getByRole('checkbox', { name: /Names of places/ }).uncheck();
  const renamed = dialog.getByRole('region', { name: 'Owls at night' });
  await expect(renamed.getByRole('button', { name: 'screech owl' })).toHaveAttribute('aria-pressed', 'false');
  await dialog.getByRole('button', { name: 'Save as word bank', exact: true }).click();
  await expect(page.getByText('“Owls at night” saved.')).toBeVisible();

  await page.getByLabel('Search word banks').fill('owls at');
  await page
    .getByRole('grid', { name: /Word banks/ })
    .getByRole('row')
    .filter({ hasText: 'Owls at night' })
    .getByRole('checkbox')
    .check();
  await page.getByRole('button', { name: 'Edit' }).click();
  const words = page.getByRole('textbox', { name: 'Words' });
  await expect(words).toHaveValue(/barn owl/);
  await expect(words).not.toHaveValue(/screech owl/);
  await words.fill('barn owl\nrecieve\nshit');
  await expect(page.getByText('Not in the English dictionary: recieve (receive?).')).toBeVisible();
  await expect(page.getByText('Could offend: shit.')).toBeVisible();
});

test('a word bank is made, changed in the books that use it, renamed, removed and put back', async ({
  page,
}) => {
  await page.goto(url('/words'));
  const table = page.getByRole('grid', { name: /Word banks/ });
  const rows = table.getByRole('row');
  const search = page.getByLabel('Search word banks');
  await search.fill('hives');
  await expect(rows.filter({ hasText: 'Bees & hives' })).toContainText('1 book');
  await search.fill('');
  await noSeriousFindings(page, 'word banks');
  await picture(page, 'words');

  await page.getByRole('button', { name: 'New word bank' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Lighthouses');
  await page.getByRole('textbox', { name: 'Words' }).fill('lamp, lens, fog horn\nlamp\nroute 66');
  await expect(page.getByText(/left out:/)).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await search.fill('lighthouses');
  const made = rows.filter({ hasText: 'Lighthouses' });
  await expect(made).toContainText('3');
  await expect(made).toContainText('no book');

  // A word more, for the book as well: its history says so.
  await search.fill('hives');
  await expect(page.getByText('1 word bank', { exact: true })).toBeVisible();
  await rows.filter({ hasText: 'Bees & hives' }).getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Edit' }).click();
  const words = page.getByRole('textbox', { name: 'Words' });
  await expect(words).toHaveValue(/propolis/);
  await words.focus();
  await page.keyboard.press('Control+End');
  await page.keyboard.press('Enter');
  await page.keyboard.type('skep basket');
  await page.getByRole('textbox', { name: 'Name' }).fill('Bees and hives');
  await page.getByRole('checkbox', { name: /Also in the book that uses it/ }).check();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('1 book has the new words.')).toBeVisible();
  await expect(rows.filter({ hasText: 'Bees & hives' })).toHaveCount(0);
  const changed = rows.filter({ hasText: 'Bees and hives' });
  await expect(changed).toContainText('1 book');

  // By keys: Delete, and back.
  await changed.getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(changed).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(changed).toContainText('1 book');

  await openBook(page, 'The Beekeeper’s Word Hunt');
  await sections(page).filter({ hasText: 'Word search' }).click();
  await expect(page.getByText('73 words', { exact: true })).toBeVisible();
});

test('a book in German prints German words, and its language is chosen in the brief', async ({ page }) => {
  await openBook(page, 'Night Skies Word Search', 'brief');
  await page.getByRole('combobox', { name: 'Language' }).click();
  await page.getByRole('option', { name: 'German' }).click();
  await expect(page.getByRole('combobox', { name: /Printed words/ })).toHaveText('As the book (German)');
  await page.getByRole('combobox', { name: 'Language' }).click();
  await page.getByRole('option', { name: 'Italian' }).click();
  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  await page.getByRole('button', { name: /there are none in Italian yet/ }).click();
  await page.getByRole('combobox', { name: /Printed words/ }).click();
  await page.getByRole('option', { name: 'Spanish' }).click();
  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Nothing to fix' })).toBeVisible();
  await expect(page.getByText(/there are none in Italian yet/)).toHaveCount(0);
  await expect(ticket(page, 'Pages')).toBeVisible();
});

test('large print takes the answers along, unless they are to stay small', async ({ page }) => {
  await openBook(page, 'Night Skies Word Search', 'brief');
  const large = page.getByRole('group', { name: 'Large print' });
  const size = (label: string) => large.getByRole('button', { name: label, exact: true });
  const chosen = (label: string) => large.getByRole('button', { name: label, exact: true, pressed: true });
  const answers = page.getByLabel('Answers in large print, too');
  await expect(answers).toBeHidden();
  await expect(chosen('No')).toBeVisible();
  await size('14 pt or more').click();
  await expect(answers).toBeChecked();
  // What it sets is an edit of its own, a moment later: before the next is saved.
  await expect(page.getByText(/^Set for large print: Word search, /)).toBeVisible();
  await answers.uncheck();
  await saved(page);
  await page.reload();
  await expect(chosen('14 pt or more')).toBeVisible();
  await expect(answers).not.toBeChecked();
  // Another size leaves the answers as they are.
  await size('18 pt or more').click();
  await expect(chosen('18 pt or more')).toBeVisible();
  await expect(answers).not.toBeChecked();
  // Grids are made smaller until their letters are as large as that: nothing is left for the proof to say.
  await expect(page.getByText(/^Set for large print: .*columns: \d+ → \d+/).last()).toBeVisible();
  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  await expect(page.getByText(/^\d+ of \d+ pages/)).toHaveCount(0);
  await expect(page.getByText(/the brief asks for 18 pt or more/)).toHaveCount(0);
  await page.getByRole('link', { name: 'Brief', exact: true }).click();
  await size('No').click();
  await expect(answers).toBeHidden();
});

test('large print looks again when a section is given what it is made of', async ({ page }) => {
  await addFirst(page, 'Quiz');
  await page.getByRole('link', { name: 'Brief', exact: true }).click();
  await page.getByRole('button', { name: '16 pt or more' }).click();
  await page.getByRole('link', { name: 'Flatplan', exact: true }).click();
  await sections(page).filter({ hasText: 'Quiz' }).click();
  const settings = page.getByRole('complementary', { name: 'Settings' });
  const perQuiz = settings.getByLabel('Questions per quiz');
  await expect(perQuiz).toHaveValue('10');
  const questions = settings.getByRole('textbox', { name: 'Questions and answers' });
  const asked = 'heron otter willow kingfisher reed minnow ripple pebble dragonfly bulrush mallard moorhen'
    .split(' ')
    .map((word) => `Which of these lives nearest to the water? | ${word} | camel | cactus | condor`);
  await questions.fill(asked.join('\n'));
  await expect(page.getByText(/^Set for large print: Quiz, questions per quiz: 10 → \d\.$/)).toBeVisible();
  await expect(perQuiz).not.toHaveValue('10');
  // Questions and what they take are one step.
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(perQuiz).toHaveValue('10');
  await expect(questions).toHaveValue('');
});

test('large print has fewer puzzles to a page, in one step with what asked for it', async ({ page }) => {
  await addFirst(page, 'Sudoku');
  const settings = page.getByRole('complementary', { name: 'Settings' });
  const perPage = settings.getByRole('group', { name: 'Puzzles per page' });
  const chosen = (number: string) =>
    perPage.getByRole('button', { name: number, exact: true, pressed: true });
  await expect(chosen('4')).toBeVisible();
  await page.getByRole('link', { name: 'Brief', exact: true }).click();
  await page.getByRole('button', { name: '14 pt or more' }).click();
  await expect(page.getByText('Set for large print: Sudoku, puzzles per page: 4 → 2.')).toBeVisible();
  await page.getByRole('link', { name: 'Flatplan', exact: true }).click();
  await sections(page).filter({ hasText: 'Sudoku' }).click();
  await expect(chosen('2')).toBeVisible();

  // So have pages that are added now; taken back, they are gone in one step.
  await page.getByRole('button', { name: 'Add pages' }).click();
  const gallery = page.getByRole('dialog', { name: 'Add pages' });
  await gallery.getByLabel('Find').fill('Kakuro');
  await gallery.getByRole('button', { name: 'Kakuro', exact: true }).dblclick();
  await expect(page.getByText(/^Set for large print: Kakuro, puzzles per page: 2 → 1\.$/)).toBeVisible();
  await expect(sections(page)).toHaveCount(4);
  await expect(chosen('1')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(sections(page)).toHaveCount(3);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await sections(page).filter({ hasText: 'Sudoku' }).click();
  await expect(chosen('4')).toBeVisible();
});

test('a design that does not fit on a page in large print stands on two that face each other', async ({
  page,
}) => {
  await addFirst(page, 'Symptoms');
  const settings = page.getByRole('complementary', { name: 'Settings' });
  await expect(settings.getByLabel('Number of pages')).toHaveValue('24');
  await page.getByRole('link', { name: 'Brief', exact: true }).click();
  await page.getByRole('button', { name: '14 pt or more' }).click();
  await expect(page.getByText('Set for large print: Symptoms, on two facing pages: no → yes.')).toBeVisible();
  await page.getByRole('link', { name: 'Flatplan', exact: true }).click();
  await sections(page).filter({ hasText: 'Symptoms' }).click();
  await expect(settings.getByLabel('Number of spreads')).toHaveValue('24');
  // And an empty page before the first spread.
  await expect(sections(page).filter({ hasText: 'Symptoms' })).toContainText('49 pp');
  await expect(settings.getByRole('switch', { name: 'On two facing pages' })).toBeChecked();
  // Behind each is another of them.
  const backs = settings.getByRole('group', { name: 'Backs of its pages' });
  await expect(backs).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(settings.getByLabel('Number of pages')).toHaveValue('24');
  await expect(backs).toBeVisible();
});
