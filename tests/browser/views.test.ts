import type { Route } from '@playwright/test';
import { picture } from './look.ts';
import { awake, emptyBook, expect, inkOf, openBook, saved, test, ticket, url } from './quill.ts';

const TITLE = 'The Beekeeper’s Word Hunt';
test('the five views of a demo book, each whole at 1280 × 800', async ({ page }) => {
  const id = await openBook(page, TITLE);
  for (const view of ['brief', 'flatplan', 'wrap', 'listing', 'proof']) {
    await page.goto(url(`/books/${id}/${view}${view === 'proof' ? '?page=4' : ''}`));
    await expect(ticket(page, 'Proof')).toContainText('nothing to fix');
    await expect(ticket(page, 'Wrap')).toContainText('12.530 × 9.250 in');
    if (view === 'flatplan') await expect.poll(() => inkOf(page, 3)).toBeGreaterThan(0.01);
    if (view === 'proof') await expect.poll(() => inkOf(page, 4)).toBeGreaterThan(0.01);
    if (view === 'wrap') {
      const dark = page.getByRole('img', { name: 'The wrap: back, spine and front' });
      await expect
        .poll(() =>
          dark.evaluate(
            (canvas: HTMLCanvasElement) => canvas.getContext('2d')!.getImageData(2, 2, 1, 1).data[0]!,
          ),
        )
        .toBeLessThan(60);
    }
    // The view fits below the job ticket: only its parts scroll, never the whole.
    const main = page.getByRole('main');
    expect(
      await main.evaluate((element) => [
        element.scrollWidth <= element.clientWidth,
        element.scrollHeight <= element.clientHeight,
      ]),
    ).toEqual([true, true]);
    await picture(page, view);
  }
});

test('a book opens without a form of Intl, the first of which takes a browser long to make ready', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const made: string[] = [];
    Object.assign(window, { made });
    const noted = (name: string): ProxyHandler<typeof Intl.Collator> => ({
      construct(form, args, target) {
        made.push(name);
        return Reflect.construct(form, args, target);
      },
      apply(form, self, args) {
        made.push(name);
        return Reflect.apply(form, self, args);
      },
    });
    for (const name of ['Collator', 'DateTimeFormat', 'DisplayNames', 'ListFormat', 'NumberFormat'])
      Object.defineProperty(Intl, name, { value: new Proxy(Reflect.get(Intl, name), noted(name)) });
  });
  const made = () => page.evaluate(() => Reflect.get(window, 'made') as string[]);
  const id = await openBook(page, TITLE);
  await page.goto(url(`/books/${id}/flatplan`));
  await expect(ticket(page, 'Print cost')).toContainText('$2.19');
  await expect(page.getByText(/saved \d+:\d\d [AP]M/)).toBeVisible();
  await expect.poll(() => inkOf(page, 3)).toBeGreaterThan(0.01);
  expect(await made()).toEqual([]);
  await page.getByTitle('Preferences').click();
  await expect(page.getByRole('button', { name: 'US Dollar' })).toBeVisible();
  expect(await made()).toEqual(['DisplayNames']);
});

test('a drawing that takes long says how far it is, and no longer when it is there', async ({
  page,
  context,
}) => {
  await openBook(page, 'The Beekeeper’s Word Hunt');
  await context.route(/renderer\.worker/, async (route) => {
    await new Promise((later) => setTimeout(later, 3000));
    await route.continue();
  });
  await page.reload();
  await expect(page.getByText(/^0 of \d+ drawn$/)).toBeVisible();
  await expect(page.getByRole('progressbar', { name: 'Pages in view that are drawn' }).first()).toBeVisible();
  await expect.poll(() => inkOf(page, 3)).toBeGreaterThan(0.01);
  await expect(page.getByText(/ drawn$/)).toBeHidden();
});

test('words on the wrap are changed where they stand', async ({ page }) => {
  await openBook(page, 'Tide Pool Field Notes', 'wrap');
  await page.getByRole('button', { name: 'Change the subtitle' }).click();
  await page.getByRole('textbox', { name: 'Subtitle' }).first().fill('Lines for the low tide');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Subtitle').last()).toHaveValue('Lines for the low tide');
  await page.getByRole('link', { name: 'Listing', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Subtitle' })).toHaveValue('Lines for the low tide');
});

test('words on the wrap can be changed letter by letter, and emptied meanwhile, while the wrap is drawn anew', async ({
  page,
}) => {
  await emptyBook(page);
  await page.getByRole('link', { name: 'Wrap', exact: true }).click();
  await page.getByRole('button', { name: 'Change the pen name' }).click();
  const typed = page.getByRole('textbox', { name: 'Pen name' });
  const drawnAnew = async (work: () => Promise<void>) => {
    const wrap = () => page.getByRole('img', { name: 'The wrap: back, spine and front' });
    const look = () => wrap().evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL());
    const before = await look();
    await work();
    await expect.poll(async () => (await look()) !== before).toBe(true);
  };
  await drawnAnew(() => typed.fill('W'));
  await drawnAnew(() => page.keyboard.type('ilhelmina'));
  await expect(typed).toHaveValue('Wilhelmina');
  await drawnAnew(() => typed.fill(''));
  await drawnAnew(() => page.keyboard.type('Ottoline'));
  await page.keyboard.press('Enter');
  await expect(typed).toBeHidden();
  await page.getByRole('button', { name: 'Change the pen name' }).click();
  await expect(typed).toHaveValue('Ottoline');
});

test('a pen name changed on the wrap is one of the press’s from then on', async ({ page }) => {
  await emptyBook(page);
  await page.getByRole('link', { name: 'Wrap', exact: true }).click();
  await page.getByRole('button', { name: 'Change the pen name' }).click();
  await page.getByRole('textbox', { name: 'Pen name' }).fill('Wilhelmina Sedge');
  await Promise.all([page.waitForResponse(/\/pen-names$/), page.keyboard.press('Enter')]);
  await saved(page);
  await emptyBook(page);
  await page.getByRole('link', { name: 'Listing', exact: true }).click();
  await page.getByRole('combobox', { name: 'Pen name' }).click();
  await page.getByRole('option', { name: 'Wilhelmina Sedge' }).click();
  await expect(page.getByText(/^Wilhelmina Sedge · /)).toBeVisible();
});

test('the first spreads come with the page of a book, before any program runs, and lie where they stay', async ({
  page,
  browser,
  storageState,
}) => {
  const id = await openBook(page, 'Hedgerow Birds Word Search');
  const address = url(`/books/${id}/flatplan`);
  const still = await (await browser.newContext({ storageState, javaScriptEnabled: false })).newPage();
  const [picture] = await Promise.all([
    still.waitForResponse(/first-pages\.png\?of=/),
    still.goto(address, { waitUntil: 'load' }),
  ]);
  expect(picture.status()).toBe(200);
  expect(picture.headers()).toMatchObject({
    'content-type': 'image/png',
    'cache-control': 'private, max-age=86400',
    'x-content-type-options': 'nosniff',
  });
  await expect(page.locator('[data-page="12"] canvas')).toBeVisible();
  for (const number of [1, 2, 9, 12]) {
    const [before, after] = await Promise.all(
      [still, page].map((one) => one.locator(`[data-page="${number}"]`).boundingBox()),
    );
    for (const side of ['x', 'y', 'width'] as const)
      expect(Math.abs(before![side] - after![side]), `page ${number}, ${side}`).toBeLessThanOrEqual(1);
  }
  const shown = await still.locator('[data-page="3"] canvas').evaluate((one) => one.style.backgroundImage);
  expect(shown).toContain(`/books/${id}/first-pages.png`);
  await still.context().close();

  const stranger = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  const refused = await stranger.request.get(url(`/books/${id}/first-pages.png`), { maxRedirects: 0 });
  expect(refused.status()).toBe(302);
  expect(refused.headers().location).toContain('/sign-in');
  await stranger.close();
  const older = await page.request.get(url(`/books/${id}/first-pages.png?of=another-state`));
  expect(older.headers()['cache-control']).toBe('no-store');
  // A proxy keeps a connection that nobody uses for a minute (common practice, no source) and sends on it without asking.
  const [, seconds] = /timeout=(\d+)/.exec(older.headers()['keep-alive']!)!;
  expect(Number(seconds)).toBeGreaterThan(60);
});

test('the programs of a page are announced as scripts to a browser that comes from elsewhere, as modules within, each fetched once', async ({
  page,
}) => {
  const fetched: string[] = [];
  page.on('request', (request) => {
    if (request.resourceType() === 'script') fetched.push(request.url());
  });
  const openedBy = async (open: () => Promise<unknown>) => {
    fetched.length = 0;
    const [answer] = await Promise.all([page.waitForResponse(url('/about')), open()]);
    const html = await answer.text();
    await awake(page);
    expect(fetched.length).toBeGreaterThan(5);
    expect(fetched.filter((one, i) => fetched.indexOf(one) !== i)).toEqual([]);
    const head = html.slice(0, html.indexOf('<meta'));
    return {
      scripts: head.split('as="script"').length - 1,
      modules: head.split('"modulepreload"').length - 1,
    };
  };
  const typed = await openedBy(() => page.goto(url('/about')));
  expect(typed.scripts).toBeGreaterThan(5);
  expect(typed.modules).toBe(0);
  const asModules = { scripts: 0, modules: typed.scripts };
  expect(await openedBy(() => page.reload())).toEqual(asModules);
  expect(await openedBy(() => page.evaluate(() => location.assign('/about')))).toEqual(asModules);
});

test('the worker that draws is told the first pages, their puzzles, and what is asked of their typefaces', async ({
  page,
  browser,
}) => {
  const id = await openBook(page, 'Hedgerow Birds Word Search');
  const [known] = await Promise.all([page.waitForResponse(/first-pages\.json\?of=/), page.reload()]);
  expect(known.status()).toBe(200);
  expect(known.headers()).toMatchObject({
    'content-type': 'application/json; charset=utf-8',
    'cache-control': 'private, max-age=86400',
    'x-content-type-options': 'nosniff',
  });
  const { items, faces, scenes } = await known.json();
  expect(Object.keys(items).every((key) => key.startsWith('["word-search"'))).toBe(true);
  expect(Object.keys(items).length).toBeGreaterThan(20);
  expect(faces.map(({ face }: { face: string }) => face)).toContain('alegreya-sans-regular');
  expect(scenes.scenes).toHaveLength(36);
  await expect(page.locator('[data-page="12"] canvas')).toBeVisible();

  const stranger = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  const refused = await stranger.request.get(url(`/books/${id}/first-pages.json`), { maxRedirects: 0 });
  expect(refused.status()).toBe(302);
  await stranger.close();
  const older = await page.request.get(url(`/books/${id}/first-pages.json?of=another-state`));
  expect(older.status()).toBe(404);
});

test('first pages that are known are drawn without the program that makes pages, which comes after them', async ({
  page,
}) => {
  await openBook(page, 'Hedgerow Birds Word Search');
  const [known] = await Promise.all([page.waitForResponse(/first-pages\.json\?of=/), page.reload()]);
  expect(known.status()).toBe(200);
  let send = () => {};
  const held = new Promise<void>((resolve) => {
    send = resolve;
  });
  let asked = 0;
  await page.route(/\/assets\/renderer-[^/]+\.js$/, async (route) => {
    asked++;
    await held;
    await route.fallback();
  });
  await page.reload();
  await expect.poll(() => inkOf(page, 5)).toBeGreaterThan(0.02);
  await expect.poll(() => asked).toBeGreaterThan(0);
  const pages = Number((await ticket(page, 'Pages').innerText()).match(/\d+/)![0]);
  const far = pages - 1;
  await page.getByRole('region', { name: 'Spreads' }).hover();
  await page.mouse.wheel(0, 100_000);
  await expect(page.locator(`[data-page="${pages}"]`)).toBeVisible();
  expect(await inkOf(page, far)).toBe(0);
  send();
  await expect.poll(() => inkOf(page, far)).toBeGreaterThan(0.001);
});

for (const [how, answer] of [
  ['nonsense', (route: Route) => route.fulfill({ status: 200, body: '{"items":[]}' })],
  ['nothing, for ever', () => {}],
] as const)
  test(`a book is drawn all the same when the server answers ${how} about its first pages`, async ({
    page,
  }) => {
    let asked = 0;
    await page.route(/first-pages\.json/, (route) => {
      asked++;
      return answer(route);
    });
    await openBook(page, 'Night Skies Word Search');
    await page.reload();
    await expect.poll(() => inkOf(page, 5)).toBeGreaterThan(0.02);
    expect(asked).toBeGreaterThan(0);
  });

test('the words of a bank are there to be edited', async ({ page }) => {
  await openBook(page, 'Night Skies Word Search');
  await page.getByRole('button', { name: /Edit word list/ }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Words', { exact: true })).toHaveValue(/^\w+\n/);
  await expect(dialog.getByText(/64 words/)).toBeVisible();
});

test('files are made after what is still being saved, and not made again when they are up to date', async ({
  page,
}) => {
  await openBook(page, 'Tide Pool Field Notes', 'listing');
  await page.getByLabel('Subtitle').fill('Lines for low tide');
  // At once, while the change is on its way to the server.
  await page.getByRole('button', { name: 'Make files', exact: true }).click();
  await page.getByRole('link', { name: 'Proof', exact: true }).click();
  await expect(page.getByText('Up to date')).toBeVisible({ timeout: 240_000 });
  await page.getByRole('button', { name: 'Make files', exact: true }).click();
  await expect(page.getByText('The files are up to date. There is nothing to make.')).toBeVisible();
  await page.getByRole('button', { name: 'Jobs' }).click();
  await expect(page.getByRole('presentation').getByText('Tide Pool Field Notes').first()).toBeVisible();
});

test('every view holds from 820 to 2,560 pixels with a title of two hundred letters', async ({ page }) => {
  const id = await openBook(page, 'A Year at the Hive', 'listing');
  await page
    .getByLabel('Title', { exact: true })
    .fill('Beekeepers and their hives '.repeat(7).trim().slice(0, 190));
  for (const width of [820, 1280, 2560]) {
    await page.setViewportSize({ width, height: 800 });
    for (const view of ['brief', 'flatplan', 'wrap', 'listing', 'proof']) {
      await page.goto(url(`/books/${id}/${view}`));
      await expect(page.getByRole('button', { name: 'Make files', exact: true })).toBeInViewport();
      await expect(page.getByRole('link', { name: 'Proof', exact: true })).toBeInViewport();
      const over = await page.evaluate(() => {
        const { scrollWidth, clientWidth } = document.documentElement;
        return scrollWidth - clientWidth;
      });
      expect(over, `${view} at ${width}`).toBeLessThanOrEqual(0);
    }
    // The bar stays on one line and whole; the title leaves its card no higher than others.
    const bar = page.getByRole('banner');
    await expect(bar.getByRole('button', { name: 'Sign out' })).toBeInViewport({ ratio: 1 });
    const heights = await bar.getByRole('link').evaluateAll((all) =>
      all.map((link) => {
        const range = document.createRange();
        range.selectNodeContents(link);
        return range.getBoundingClientRect().height;
      }),
    );
    expect(Math.max(...heights)).toBeLessThan(30);
    await page.goto(url('/books'));
    const cards = page.getByRole('list', { name: 'Books' }).getByRole('listitem');
    await expect(cards).toHaveCount(5);
    expect((await cards.first().boundingBox())!.height).toBeLessThan(260);
  }
});

test('at full size the page that was asked for is the one that is seen', async ({ page }) => {
  const id = await openBook(page, 'Hedgerow Birds Word Search', 'proof');
  for (const number of [1, 4, 5]) {
    await page.goto(url(`/books/${id}/proof?page=${number}`));
    await page.getByRole('button', { name: 'Full size' }).click();
    const area = (await page.getByRole('region', { name: 'Pages' }).boundingBox())!;
    await expect
      .poll(async () => {
        const box = (await page.locator(`[data-page="${number}"]`).boundingBox())!;
        return Math.abs(box.x - area.x);
      })
      .toBeLessThanOrEqual(2);
    await expect.poll(() => inkOf(page, number)).toBeGreaterThan(0);
  }
});
