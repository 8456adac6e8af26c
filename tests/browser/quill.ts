import {
  type APIRequestContext,
  test as base,
  type ConsoleMessage,
  expect,
  type Page,
} from '@playwright/test';
import { openPress, type TestPress } from './open-press.ts';

/** Each test has a workspace to itself, but for those that only look at the demo's. */
export const test = base.extend<{ page: Page; refusals: RegExp | null; press: TestPress }>({
  /** What the console says of answers that a test asks for, such as a refusal. */
  refusals: [null, { option: true }],
  press: ['books', { option: true }],
  storageState: async ({ press }, use) => use({ cookies: await openPress(press), origins: [] }),
  /** A console error or an uncaught exception fails the test. */
  page: async ({ page, refusals }, use) => {
    const said: string[] = [];
    page.on('console', (message: ConsoleMessage) => {
      if (message.type() === 'error' && !refusals?.test(message.text())) said.push(message.text());
    });
    page.on('pageerror', (error) => said.push(error.message));
    await use(page);
    expect(said, 'no console errors').toEqual([]);
  },
});

export { expect };

export const url = (path: string) => `${process.env.QUILL_URL}${path}`;

/** Sends JSON as a page of the application does. */
export const post = (request: APIRequestContext, path: string, data: object) =>
  request.post(url(path), { data, headers: { origin: new URL(url('/')).origin } });

/** Opens a demo book in one of its views. */
export async function openBook(page: Page, title: string, view = 'flatplan'): Promise<string> {
  await page.goto(url('/books'));
  await page.getByRole('link', { name: title }).first().click();
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  const id = /books\/(\w+)/.exec(page.url())![1]!;
  await page.waitForLoadState('load');
  if (view !== 'flatplan')
    await page.getByRole('link', { name: view[0]!.toUpperCase() + view.slice(1), exact: true }).click();
  return id;
}

/** Waits until the program of a page hears keys and clicks: React has taken over what the server sent. */
export const awake = (page: Page) =>
  page.waitForFunction(() =>
    Object.keys(document.querySelector('#work') ?? {}).some((key) => key.startsWith('__reactFiber')),
  );

/** Waits until the last change has been saved. */
export const saved = (page: Page) => expect(page.getByText(/saved \d+:\d\d/)).toBeVisible();

/** Starts an empty book of one's own, so that tests do not lean on each other, and opens it. */
export async function emptyBook(page: Page): Promise<string> {
  const made = await page.request.post(url('/books'), {
    form: { intent: 'new' },
    headers: { origin: new URL(url('/')).origin },
    maxRedirects: 0,
  });
  await page.goto(url(made.headers().location!));
  await awake(page);
  return /books\/(\w+)/.exec(page.url())![1]!;
}

export const sections = (page: Page) =>
  page.getByRole('region', { name: 'Running order' }).locator('button[data-section]');

/** Adds pages of a kind to an empty book; its first puzzle is at hand then. */
export async function addFirst(page: Page, name: string) {
  await emptyBook(page);
  await page.getByRole('button', { name: 'Add pages' }).click();
  const gallery = page.getByRole('dialog', { name: 'Add pages' });
  await gallery.getByLabel('Find').fill(name);
  await gallery.getByRole('button', { name, exact: true }).dblclick();
  await expect(sections(page)).toHaveCount(3);
}

/** A cell of the job ticket by its name. */
export const ticket = (page: Page, name: string) =>
  page.getByRole('region', { name: 'Job ticket' }).getByRole('button', { name: new RegExp(`^${name}`) });

/** How dark a page's canvas is, 0 white to 1 black: says that something was drawn. */
export const inkOf = (page: Page, number: number) =>
  page
    .locator(`[data-page="${number}"] canvas`)
    .first()
    .evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
      let dark = 0;
      for (let i = 0; i < data.length; i += 4) dark += data[i + 3]! > 0 ? 255 - data[i]! : 0;
      return dark / 255 / (data.length / 4);
    });
