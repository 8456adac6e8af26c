import { grid, view } from './look.ts';
import { expect, test, url } from './quill.ts';

test.use({ press: 'niches', refusals: /net::ERR_(INTERNET_DISCONNECTED|FAILED)/ });

test('a server that cannot be reached: the page stays with what was typed, and a notice says so', async ({
  page,
  context,
}) => {
  await page.goto(url('/niches'));
  await page.getByRole('link', { name: 'night sky journal' }).click();
  await view(page, 'Phrases');
  const typed = page.getByLabel('Phrases, one per line');
  const lookUp = page.getByRole('button', { name: 'Look up', exact: true });
  const notice = page.getByRole('alert').filter({ hasText: 'The server cannot be reached' });
  await typed.fill('comet diary');
  await context.setOffline(true);
  await lookUp.click();
  await expect(notice).toBeVisible();
  await expect(typed).toHaveValue('comet diary');
  await expect(page.getByRole('heading', { name: /^Expand/ })).toBeVisible();

  await context.setOffline(false);
  await notice.getByRole('button', { name: 'Close' }).click();
  await expect(notice).toBeHidden();
  await lookUp.click();
  await expect(typed).toHaveValue('');
  await expect(grid(page, /Phrases/).getByText('comet diary', { exact: true })).toBeVisible();

  // It was done, and only what was to be loaded after it has no answer.
  await page.route(/\.data/, (route) =>
    route.request().method() === 'GET' ? route.abort() : route.fallback(),
  );
  await typed.fill('eclipse log');
  await lookUp.click();
  await expect(notice).toBeVisible();
  await expect(typed).toHaveValue('');
  await expect(grid(page, /Phrases/).getByText('comet diary', { exact: true })).toBeVisible();
  await page.unroute(/\.data/);
  await page.reload();
  await expect(grid(page, /Phrases/).getByText('eclipse log', { exact: true })).toBeVisible();
});
