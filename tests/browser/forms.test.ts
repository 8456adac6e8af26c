import { randomUUID } from 'node:crypto';
import { noSeriousFindings } from './look.ts';
import { expect, openBook, test, url } from './quill.ts';

test.describe('signing up', () => {
  test.use({ storageState: { cookies: [], origins: [] } });

  test('says beside each field what is wrong, and puts the focus on the first', async ({ page }) => {
    await page.goto(url('/sign-in'));
    await page.getByRole('button', { name: 'Create an account' }).click();
    const name = page.getByLabel('Name of your press');
    const email = page.getByLabel('E-mail');
    const password = page.getByLabel('Password');
    await page.getByRole('button', { name: 'Create account' }).click();
    await expect(name).toBeFocused();
    await expect(name).toHaveAccessibleDescription('Write the name of your press.');
    await expect(email).toHaveAccessibleDescription('Write your e-mail address.');
    await noSeriousFindings(page, 'a form with mistakes');

    // What was wrong is right as soon as it is.
    await name.fill('Fourth Press');
    await expect(name).not.toHaveAttribute('aria-invalid', 'true');
    await email.fill('fourth');
    await password.fill('short');
    await password.blur();
    await expect(email).toHaveAccessibleDescription('Write an e-mail address such as name@press.example.');
    await expect(password).toHaveAccessibleDescription('Use a password of 10 characters or more.');
    await email.fill(`${randomUUID()}@press.example`);
    await password.fill('a long enough phrase');
    await page.getByRole('button', { name: 'Create account' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Fourth Press' })).toBeVisible();
  });

  test('works before any program runs', async ({ browser }) => {
    const context = await browser.newContext({ javaScriptEnabled: false });
    const page = await context.newPage();
    await page.goto(url('/sign-in'));
    await page.getByLabel('E-mail').fill('demo@tinlantern.example');
    await page.getByLabel('Password').fill('hedgerow-and-hive');
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Tin Lantern Press' })).toBeVisible();
    await context.close();
  });
});

test('a new pen name has to be one', async ({ page }) => {
  await openBook(page, 'Tide Pool Field Notes', 'listing');
  const list = page.getByRole('combobox', { name: 'Pen name' });
  await list.click();
  await page.getByRole('option', { name: 'New pen name…' }).click();
  const dialog = page.getByRole('dialog');
  const name = dialog.getByLabel('Pen name');
  await name.fill('   ');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(name).toHaveAccessibleDescription('Write the pen name.');
  await name.fill('Ada Fenwick');
  await page.keyboard.press('Enter');
  await expect(dialog).toBeHidden();
  await expect(list).toHaveText('Ada Fenwick');
});
