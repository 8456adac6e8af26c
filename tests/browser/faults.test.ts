import { readFileSync } from 'node:fs';
import { behave } from './look.ts';
import { emptyBook, expect, openBook, post, saved, test, ticket, url } from './quill.ts';

const shop = { authorization: 'Bearer stand-in' };

/** The workers of these tests, and of no other copy of the program that runs on the machine. */
function ownWorkers(): number[] {
  const pids = readFileSync(`${process.env.QUILL_TEST_HOME}/programs.pid`, 'utf8').split('\n').map(Number);
  const workers = pids.filter((pid) =>
    readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('build/node/worker.mjs'),
  );
  expect(workers.length).toBeGreaterThan(0);
  return workers;
}

const submissionsOf = async (title: string) => {
  const response = await fetch(`${process.env.WRENFAIR_URL}/submissions`, { headers: shop });
  return ((await response.json()) as { title: string; state: string }[]).filter(
    (submission) => submission.title === title,
  );
};

test('a connection that breaks half-way is tried again and makes one submission', async ({ page }) => {
  const title = 'Night Skies Word Search';
  await openBook(page, title, 'proof');
  await page.getByRole('button', { name: 'Make files now' }).click();
  await expect(page.getByText('Up to date')).toBeVisible({ timeout: 240_000 });
  // The service does the work of the next three requests and is gone before it answers; then it is busy.
  await behave({ breakAfterWork: 3, busy: 1 });
  await page.getByRole('button', { name: 'Submit', exact: true }).click();
  await expect(page.getByText('Live', { exact: true })).toBeVisible({ timeout: 60_000 });
  expect(await submissionsOf(title)).toHaveLength(1);
});

test('a strict reviewer’s reasons are shown on the book', async ({ page }) => {
  const title = 'A Year at the Hive';
  await openBook(page, title, 'listing');
  // A price below the minimum is not taken, and the last good one stays; a cover without its title is.
  await page.getByLabel('Price, USD').fill('1.50');
  await expect(page.getByText(/Below the minimum price, \$/)).toBeVisible();
  await page.getByRole('link', { name: 'Wrap', exact: true }).click();
  await page
    .getByRole('region', { name: 'Layers of the cover' })
    .getByRole('checkbox', { name: 'Show: Title', exact: true })
    .uncheck();
  await saved(page);
  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  await page.getByRole('button', { name: 'Make files now' }).click();
  await expect(page.getByText('Up to date')).toBeVisible({ timeout: 240_000 });
  await page.getByRole('button', { name: 'Submit', exact: true }).click();
  await expect(page.getByText('Rejected', { exact: true })).toBeVisible({ timeout: 240_000 });
  await expect(page.getByText('The title on the cover is not “A Year at the Hive”.')).toBeVisible();
});

test('a worker that is killed loses no job', async ({ page }) => {
  await openBook(page, 'Hedgerow Birds Word Search', 'proof');
  await page.getByRole('button', { name: 'Make files now' }).click();
  await expect(page.getByText(/Interior, page \d+ of/).or(page.getByText('Up to date'))).toBeVisible({
    timeout: 240_000,
  });
  for (const pid of ownWorkers()) process.kill(pid, 'SIGKILL');
  await expect(page.getByText('Up to date')).toBeVisible({ timeout: 60_000 });
});

test('a database that goes away and comes back loses neither a change nor a job', async ({
  browser,
  storageState,
}) => {
  const { pausePostgres } = await import('../../scripts/lib/postgres.mjs');
  // A page of its own: that the server answers with errors meanwhile is what is looked for.
  const context = await browser.newContext({ storageState });
  const page = await context.newPage();
  const id = await openBook(page, 'Night Skies Word Search');
  const words = page.getByLabel('Words per puzzle');
  const resume = await pausePostgres(process.env.QUILL_TEST_HOME!);
  try {
    await words.fill('11');
    await expect(page.getByText('not saved: the server cannot be reached; trying again')).toBeVisible();
    await page.goto(url('/books'));
    await expect(page.getByRole('heading', { name: 'Something went wrong' })).toBeVisible();
  } finally {
    await resume();
  }
  await page.goto(url(`/books/${id}/flatplan`));
  await saved(page);
  await expect(words).toHaveValue('11');
  await page.getByLabel('Number of puzzles').fill('400');
  await saved(page);

  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  await page.getByRole('button', { name: 'Make files', exact: true }).click();
  await expect(page.getByText(/Interior, page \d+ of/).or(page.getByText('Up to date'))).toBeVisible();
  const again = await pausePostgres(process.env.QUILL_TEST_HOME!);
  await again();
  await expect(page.getByText('Up to date')).toBeVisible({ timeout: 240_000 });
  await context.close();
});

test('another press sees nothing of this one', async ({ page, browser }) => {
  const id = await openBook(page, 'The Beekeeper’s Word Hunt');
  const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  const stranger = await context.newPage();
  await stranger.goto(url(`/books/${id}/flatplan`));
  await expect(stranger.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await stranger.getByRole('button', { name: 'Create an account' }).click();
  await stranger.getByLabel('Name of your press').fill('Other Press');
  await stranger.getByLabel('Pen name').fill('Ada Reed');
  await stranger.getByLabel('E-mail').fill('other@press.example');
  await stranger.getByLabel('Password').fill('a long enough phrase');
  await stranger.getByRole('button', { name: 'Create account' }).click();
  await expect(stranger.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  const recipe = { from: 1, recipe: {} };
  expect((await (await post(context.request, `/books/${id}/save`, recipe)).json()).saved).toBe(false);
  expect((await context.request.get(url(`/books/${id}/history?revision=1`))).status()).toBe(404);
  expect((await context.request.get(url(`/books/${id}/files/interior.pdf`))).status()).toBe(404);
  await stranger.goto(url('/books'));
  await expect(stranger.getByText('Your books appear here.')).toBeVisible();
  // It begins with a pen name, word banks, and a book that says what it needs.
  await emptyBook(stranger);
  await expect(stranger.getByText(/^Ada Reed · Other Press/)).toBeVisible();
  const needs = stranger.getByRole('region', { name: 'What this book still needs' });
  await expect(needs).toContainText('it has 2, and Wrenfair prints 24 or more');
  await expect(needs).toContainText('a title, a description for the shop, a price');
  await stranger.getByRole('button', { name: /Add pages/ }).click();
  await stranger.getByRole('button', { name: 'Word search', exact: true }).dblclick();
  await expect(needs).toBeHidden();
  await stranger.getByRole('combobox', { name: 'Words', exact: true }).click();
  await stranger.getByRole('option', { name: 'Garden', exact: true }).click();
  await saved(stranger);
  await expect(ticket(stranger, 'Proof')).toContainText('3 to fix');
  await context.close();
});

test('pages carry strict headers and cookies', async ({ page, context }) => {
  const response = (await page.goto(url('/')))!;
  const headers = response.headers();
  expect(headers['content-security-policy']).toContain("default-src 'none'");
  expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*unsafe/);
  // The page as it was sent: a browser hides the nonce.
  const [, nonce] = /'nonce-([^']+)'/.exec(headers['content-security-policy']!)!;
  const scripts = (await response.text()).match(/<script[^>]*>/g)!;
  for (const script of scripts) expect(script).toContain(`nonce="${nonce}"`);
  expect(headers['x-content-type-options']).toBe('nosniff');
  const session = (await context.cookies()).find(({ name }) => name.includes('session'))!;
  expect(session).toMatchObject({ httpOnly: true, sameSite: 'Strict' });
});

test('a form of another site signs nobody in', async ({ request }) => {
  const answer = await request.post(url('/sign-in/api/sign-in/email'), {
    data: { email: 'demo@tinlantern.example', password: 'hedgerow-and-hive' },
    headers: { origin: 'http://elsewhere.example' },
  });
  expect(answer.status()).toBe(403);
  expect(answer.headers()['set-cookie']).toBeUndefined();
});

test('after eight tries in a minute the sign-in rests', async ({ request }) => {
  // An address made up by the caller must not begin the count anew.
  const tryOnce = (i: number) =>
    request.post(url('/sign-in/api/sign-in/email'), {
      data: { email: 'nobody@press.example', password: 'wrong wrong wrong' },
      headers: { origin: process.env.QUILL_URL!, 'x-forwarded-for': `192.0.2.${i}` },
    });
  const answers = [];
  for (let i = 0; i < 12; i++) answers.push((await tryOnce(i)).status());
  expect(answers.filter((status) => status === 401).length).toBeLessThanOrEqual(8);
  expect(answers.at(-1)).toBe(429);
});
