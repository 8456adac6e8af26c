import sharp from 'sharp';
import { plainPdf } from '#core/resources/pdf/pdf.sample.ts';
import { noSeriousFindings } from './look.ts';
import { emptyBook, expect, inkOf, openBook, saved, sections, test, ticket, url } from './quill.ts';

test.use({ refusals: /422/ });

test('pages from elsewhere are brought in, chosen by their pictures, put in order and taken back', async ({
  page,
}) => {
  await emptyBook(page);
  await page.getByRole('button', { name: 'Add pages' }).click();
  const gallery = page.getByRole('dialog', { name: 'Add pages' });
  await gallery.getByLabel('Find').fill('own pages');
  await gallery.getByRole('button', { name: 'Own pages', exact: true }).click();
  await gallery.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(sections(page).nth(2)).toContainText('Own pages');

  const settings = page.getByRole('complementary', { name: 'Settings' });
  const almanac = Buffer.from(await plainPdf(9));
  const drawing = Buffer.from(
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 96 144"><path d="M0 0h96v144h-96z"/></svg>',
  );
  await settings.getByLabel('Files of pages').setInputFiles([
    { name: 'bee 10.svg', mimeType: 'image/svg+xml', buffer: drawing },
    { name: 'almanac.pdf', mimeType: 'application/pdf', buffer: almanac },
    {
      name: 'bee 9.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from(String(drawing).replace('96v', '95v')),
    },
    { name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('x') },
    { name: 'broken.pdf', mimeType: 'application/pdf', buffer: almanac.subarray(0, 400) },
  ]);
  const files = settings.getByRole('listitem');
  // In the order of their names, numbers as numbers.
  await expect(files).toContainText(['almanac', 'bee 9', 'bee 10']);
  await expect(settings.getByRole('alert')).toContainText([
    'PDF “broken” is not a readable PDF, or is cut off.',
    'notes.txt is none of PDF, PNG, JPEG, WebP, TIFF and SVG.',
  ]);
  await expect(sections(page).nth(2)).toContainText('11 pp');
  await expect.poll(() => inkOf(page, 3)).toBeGreaterThan(0.008);
  await noSeriousFindings(page, 'own pages');
  // A picture of 300 pixels on 4.5 in and more prints at less than 70 dots an inch; what is drawn has none.
  await settings.getByLabel('Files of pages').setInputFiles({
    name: 'hive.png',
    mimeType: 'image/png',
    buffer: await sharp({ create: { width: 300, height: 420, channels: 3, background: '#777' } })
      .png()
      .toBuffer(),
  });
  await expect(files.last()).toContainText(/hive\s*[56]\d dpi/);
  await expect(settings.getByText(/ dpi$/)).toHaveCount(1);
  await settings.getByRole('button', { name: 'Remove hive' }).click();

  await settings.getByRole('button', { name: 'Choose pages of almanac' }).click();
  const picker = page.getByRole('dialog', { name: 'Pages of almanac' });
  await expect(picker.getByRole('button', { name: 'Page 9', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await picker.getByRole('button', { name: 'None' }).click();
  await expect(picker.getByRole('button', { name: /^Take/ })).toBeDisabled();
  await picker.getByRole('button', { name: 'Page 2', exact: true }).click();
  await picker.getByRole('button', { name: 'Page 5', exact: true }).click({ modifiers: ['Shift'] });
  await expect(picker.getByLabel('Pages', { exact: true })).toHaveValue('2-5');
  await picker.getByLabel('Pages', { exact: true }).fill('7, 2-3, 12');
  await expect(picker.getByText('There is no page 12; the PDF has 9.')).toBeVisible();
  await picker.getByLabel('Pages', { exact: true }).fill('7, 2-3');
  await picker.getByRole('button', { name: 'Take 3 pages' }).click();
  await expect(sections(page).nth(2)).toContainText('5 pp');
  await expect(files.first()).toContainText('3 of 9 pages');

  await settings.getByRole('button', { name: 'Move almanac down' }).click();
  await expect(files).toContainText(['bee 9', 'almanac', 'bee 10']);
  await settings.getByRole('button', { name: 'Remove bee 9' }).click();
  await expect(files).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(files).toHaveCount(3);
  await expect(files).toContainText(['bee 9', 'almanac', 'bee 10']);

  // Kept: after a while the book is as it was left.
  await saved(page);
  await page.reload();
  await expect(sections(page).nth(2)).toContainText('5 pp');
});

test('other books are chosen by their fronts, those of the same series first, and can be told apart in print', async ({
  page,
}) => {
  await openBook(page, 'Hedgerow Birds Word Search');
  await page.getByRole('button', { name: 'Add pages' }).click();
  const gallery = page.getByRole('dialog', { name: 'Add pages' });
  await gallery.getByLabel('Find').fill('other books');
  await gallery.getByRole('button', { name: 'Other books', exact: true }).dblclick();
  const settings = page.getByRole('complementary', { name: 'Settings' });
  await settings.getByRole('button', { name: 'Choose books…' }).click();
  const catalog = page.getByRole('dialog', { name: 'Choose books' });
  // Of the same series; the book itself is not offered.
  await expect(catalog.getByRole('button', { pressed: false }).first()).toHaveAccessibleName(
    'The Beekeeper’s Word Hunt',
  );
  await expect(catalog.getByRole('button', { name: 'Hedgerow Birds Word Search' })).toHaveCount(0);
  await catalog.getByLabel('Find').fill('tide');
  await expect(catalog.getByRole('button', { name: 'The Beekeeper’s Word Hunt' })).toHaveCount(0);
  await catalog.getByRole('button', { name: 'Tide Pool Field Notes' }).click();
  await catalog.getByLabel('Find').fill('hunt');
  await catalog.getByRole('button', { name: 'The Beekeeper’s Word Hunt' }).click();
  await noSeriousFindings(page, 'catalog');
  await catalog.getByRole('button', { name: 'Show 2 books' }).click();
  const said = settings.getByLabel('What is said of Tide Pool Field Notes');
  await expect(said).toHaveValue(/journal for walks along the shore/);
  await settings.getByRole('button', { name: 'Move The Beekeeper’s Word Hunt up' }).click();
  await settings.getByRole('button', { name: 'Remove Tide Pool Field Notes' }).click();
  await expect(said).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(said).toBeVisible();
});

test('a page that is kept for all books changes in all of them, and says which', async ({ page }) => {
  const first = await emptyBook(page);
  await page.getByRole('button', { name: 'Add pages' }).click();
  const gallery = page.getByRole('dialog', { name: 'Add pages' });
  await gallery.getByLabel('Find').fill('about the author');
  await gallery.getByRole('button', { name: 'About the author', exact: true }).dblclick();
  const settings = page.getByRole('complementary', { name: 'Settings' });
  const text = settings.getByRole('textbox', { name: 'Text', exact: true });
  await text.fill('She keeps eleven hives.');
  await settings.getByRole('button', { name: 'Keep as a standing page…' }).click();
  const keep = page.getByRole('dialog', { name: 'Keep as a standing page' });
  await keep.getByLabel('Name').fill('About Odile');
  await keep.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(settings.getByText('Standing page “About Odile”, kept once for all books.')).toBeVisible();
  await saved(page);

  // Another book takes it from where pages are added.
  await openBook(page, 'Tide Pool Field Notes');
  const pages = await ticket(page, 'Pages').textContent();
  await page.getByRole('button', { name: 'Add pages' }).click();
  await gallery.getByRole('button', { name: 'About Odile', exact: true }).dblclick();
  await expect(ticket(page, 'Pages')).not.toHaveText(pages!);
  await expect(text).toHaveText('She keeps eleven hives.');

  // Changed here, it is offered to be changed there.
  await text.fill('She keeps twelve hives.');
  await expect(
    settings.getByText('This is no longer the standing page “About Odile” as it is kept.'),
  ).toBeVisible();
  await saved(page);
  await settings.getByRole('button', { name: 'Change it in all books…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Change “About Odile”' });
  await expect(dialog.getByRole('listitem')).toHaveCount(1);
  await noSeriousFindings(page, 'standing page');
  await dialog.getByRole('button', { name: 'Change it in 1 book' }).click();
  await expect(settings.getByText('Standing page “About Odile”, kept once for all books.')).toBeVisible();

  await page.goto(url(`/books/${first}/flatplan?section=none`));
  await sections(page).filter({ hasText: 'About the author' }).click();
  await expect(text).toHaveText('She keeps twelve hives.');
  // What is only this book’s own stays so.
  await text.fill('She keeps one hive.');
  await settings.getByRole('button', { name: 'Take it as it is kept' }).click();
  await expect(text).toHaveText('She keeps twelve hives.');
  await settings.getByRole('button', { name: 'Make it this book’s own' }).click();
  await expect(settings.getByRole('button', { name: 'Keep as a standing page…' })).toBeVisible();
  await saved(page);

  // All of them, beside the books: where they are, renamed, kept no longer and again.
  await page.goto(url('/books'));
  await page.getByRole('link', { name: 'Standing pages' }).click();
  const kept = page.getByRole('list', { name: 'Standing pages' });
  await expect(kept.getByRole('listitem').getByRole('link')).toHaveText(['Tide Pool Field Notes']);
  await expect
    .poll(() =>
      kept.locator('canvas').evaluate((canvas: HTMLCanvasElement) => {
        const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
        return data.some((value, i) => i % 4 === 0 && value < 128);
      }),
    )
    .toBe(true);
  await noSeriousFindings(page, 'standing pages');
  await kept.getByRole('button', { name: 'Rename “About Odile”…' }).click();
  const rename = page.getByRole('dialog', { name: 'Rename “About Odile”' });
  await rename.getByLabel('Name').fill('The author');
  await rename.getByRole('button', { name: 'Rename', exact: true }).click();
  await expect(kept.getByRole('heading', { name: 'The author' })).toBeVisible();
  await kept.getByRole('button', { name: 'Keep “The author” no longer' }).click();
  await expect(page.getByText('Nothing is kept yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(kept.getByRole('listitem').getByRole('link')).toHaveText(['Tide Pool Field Notes']);
  // The same from the server.
  await page.reload();
  await expect(kept.getByRole('listitem').getByRole('link')).toHaveText(['Tide Pool Field Notes']);
  await page.getByLabel('Find').fill('moth');
  await expect(page.getByText('No standing page is called so.')).toBeVisible();
});
