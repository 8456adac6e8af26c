import sharp from 'sharp';
import { noSeriousFindings } from './look.ts';
import { emptyBook, expect, inkOf, saved, sections, test } from './quill.ts';

test.use({ refusals: /422/ });

test('a page of text is written with emphasis, lists, fields of the book and a picture, and taken back', async ({
  page,
}) => {
  await emptyBook(page);
  await page.getByRole('button', { name: 'Add pages' }).click();
  const gallery = page.getByRole('dialog', { name: 'Add pages' });
  await gallery.getByLabel('Find').fill('how to use');
  await gallery.getByRole('button', { name: 'How to use this book', exact: true }).dblclick();
  await expect(sections(page).nth(2)).toContainText('How to use this book');

  const settings = page.getByRole('complementary', { name: 'Settings' });
  const text = settings.getByRole('textbox', { name: 'Text', exact: true });
  const look = settings.getByRole('toolbar', { name: 'Look of the text' });
  await text.click();
  await page.keyboard.type('Write the ');
  await page.keyboard.press('Control+b');
  await page.keyboard.type('same');
  await expect(look.getByRole('button', { name: 'Bold' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('Control+b');
  await page.keyboard.type(' day in ');
  await look.getByRole('button', { name: 'Field of the book' }).click();
  await page.getByRole('menuitem', { name: /^Title/ }).click();
  await page.keyboard.type('.');
  await page.keyboard.press('Enter');
  await page.keyboard.type('1. Light the smoker');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Lift the lid');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  const plain = await inkOf(page, 3);
  await look.getByLabel('Picture in the text').setInputFiles({
    name: 'smoker.png',
    mimeType: 'image/png',
    buffer: await sharp({ create: { width: 300, height: 200, channels: 3, background: '#000' } })
      .png()
      .toBuffer(),
  });
  await expect(settings.getByLabel('Height, %')).toHaveValue('30');
  await expect.poll(() => inkOf(page, 3)).toBeGreaterThan(plain + 0.05);
  await noSeriousFindings(page, 'rich text');
  await saved(page);

  // Kept as Markdown: it is the same after it was read again.
  await page.reload();
  await sections(page).nth(2).click();
  await expect(text.locator('strong')).toHaveText('same');
  await expect(text.locator('[data-field]')).toHaveText('Title');
  await expect(text.locator('ol > li')).toHaveText(['Light the smoker', 'Lift the lid']);
  await expect(settings.getByLabel('Height, %')).toHaveValue('30');

  await settings.getByRole('button', { name: 'Take out smoker' }).click();
  await expect(settings.getByLabel('Height, %')).toHaveCount(0);
  // What another hand changes is shown, the book's own undo as well.
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(settings.getByLabel('Height, %')).toHaveValue('30');
  await look.getByLabel('Picture in the text').setInputFiles({
    name: 'broken.png',
    mimeType: 'image/png',
    buffer: Buffer.from('no picture'),
  });
  await expect(settings.getByText(/^broken.png: /)).toBeVisible();
});
