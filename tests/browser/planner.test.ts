import { noSeriousFindings } from './look.ts';
import { emptyBook, expect, inkOf, sections, test, ticket } from './quill.ts';

const CALENDAR = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'BEGIN:VEVENT',
  'UID:1',
  'DTSTART;VALUE=DATE:20270607',
  'DTEND;VALUE=DATE:20270609',
  'SUMMARY:Honey fair',
  'END:VEVENT',
  'BEGIN:VEVENT',
  'UID:2',
  'DTSTART;VALUE=DATE:20100531',
  'RRULE:FREQ=YEARLY',
  'SUMMARY:Anna’s birthday',
  'END:VEVENT',
  'END:VCALENDAR',
].join('\r\n');

test('a planner takes its span, holidays and the dates of a calendar file, and says what is wrong with them', async ({
  page,
}) => {
  await emptyBook(page);
  await page.getByRole('button', { name: 'Add pages' }).click();
  const dialog = page.getByRole('dialog', { name: 'Add pages' });
  await dialog.getByLabel('Find').fill('month on two');
  await dialog.getByRole('button', { name: 'Month on two pages', exact: true }).click();
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();

  // Twelve months of two pages, which begin on a left page: an empty one comes before, and one at the end.
  await expect(sections(page)).toHaveCount(3);
  await expect(ticket(page, 'Pages')).toContainText('28');
  await expect.poll(() => inkOf(page, 4)).toBeGreaterThan(0.001);
  const settings = page.getByRole('complementary', { name: 'Settings' });
  await expect(settings.getByRole('heading', { name: /^Planner: month/ })).toBeVisible();

  await settings.getByRole('combobox', { name: 'Pages of a week or month' }).click();
  await page.getByRole('option', { name: 'One', exact: true }).click();
  await expect(ticket(page, 'Pages')).toContainText('14');

  await settings.getByRole('combobox', { name: 'Holidays of' }).click();
  await page.getByRole('option', { name: 'United States', exact: true }).click();
  await expect(settings.getByRole('combobox', { name: 'Holidays of' })).toContainText('United States');

  const dates = settings.getByLabel('Own dates');
  const file = (name: string, text: string) =>
    settings
      .getByLabel('A table or calendar file with dates')
      .setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  await file('fair.ics', CALENDAR);
  await expect(settings.getByRole('status').filter({ hasText: 'fair.ics' })).toHaveText(
    '3 dates taken from fair.ics.',
  );
  await expect(dates).toHaveValue('05-31,Anna’s birthday\n2027-06-07,Honey fair\n2027-06-08,Honey fair');
  await file('broken.ics', 'BEGIN:VCALENDAR\nnonsense');
  await expect(settings.getByRole('status').filter({ hasText: 'broken.ics' })).toContainText(
    /cannot be read/,
  );
  await expect(dates).toHaveValue(/Honey fair/);

  // A line that is none is told beside it, and what was typed stays until it is right.
  await dates.fill('05-31,Anna’s birthday\n2027-02-30,Never');
  await expect(settings.getByText(/Line 2 begins with “2027-02-30”/)).toBeVisible();
  await noSeriousFindings(page, 'planner settings');
  await dates.fill('05-31,Anna’s birthday');
  await expect(settings.getByText(/Line 2 begins with/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(dates).toHaveValue(/Honey fair/);
});
