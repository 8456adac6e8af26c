// Measured in the page: from a changed setting to redrawn spreads, scrolling, opening a book.
import { chromium } from '@playwright/test';
import { median, quietly } from './quiet.mjs';

/** So long nothing is done between two samples, in ms. */
const REST_MS = 1500;

/** A browser with the demo account signed in, at the size the program is made for. */
export async function openDemo(base) {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/sign-in`);
  await page.getByRole('button', { name: /Look around/ }).click();
  await page.waitForURL(`${base}/`);
  return { browser, page };
}

export async function benchBrowser(base) {
  const { browser, page } = await openDemo(base);
  await page.getByText('The Beekeeper’s Word Hunt').first().click();
  await page.waitForURL(/flatplan/);
  const address = page.url();
  await page.waitForTimeout(4000);
  const redraw = await quietly(20, 80, async () => {
    const field = page.getByLabel('Words in a puzzle');
    await field.fill((await field.inputValue()) === '14' ? '15' : '14');
    await page.waitForTimeout(REST_MS);
    return page.evaluate(() => {
      const edit = performance.getEntriesByName('quill-edit').at(-1);
      const drawn = performance
        .getEntriesByName('quill-drawn')
        .filter((mark) => mark.startTime > edit.startTime && mark.detail.pages > 1);
      return drawn[0].startTime - edit.startTime;
    });
  });
  const missed = await page.getByRole('region', { name: 'Spreads' }).evaluate(async (element) => {
    let empty = 0;
    let seen = 0;
    for (let top = 0; top < element.scrollHeight; top += 120) {
      element.scrollTo(0, top);
      await new Promise((next) => setTimeout(next, 120));
      const view = element.getBoundingClientRect();
      for (const button of element.querySelectorAll('[data-page]')) {
        const box = button.getBoundingClientRect();
        if (box.bottom < view.top || box.top > view.bottom) continue;
        seen++;
        const canvas = button.querySelector('canvas');
        if (canvas.width === 300) empty++;
      }
    }
    return { empty, seen };
  });
  // Everything in view comes with the page itself; the press draws the same pages anew when it is there.
  await page.addInitScript(() => {
    const shown = (picture) => {
      const image = new Image();
      image.src = picture;
      void image
        .decode()
        .then(() => new Promise(requestAnimationFrame))
        .then(() => new Promise(requestAnimationFrame))
        .then(() => performance.mark('first-pages-shown'));
    };
    new PerformanceObserver((list) => {
      for (const { name } of list.getEntries()) if (name.includes('/first-pages.png')) shown(name);
    }).observe({ type: 'resource' });
  });
  const open = await quietly(7, 25, async () => {
    await page.goto('about:blank');
    await page.waitForTimeout(REST_MS);
    await page.goto(address, { waitUntil: 'commit' });
    await page.waitForFunction(() =>
      performance.getEntriesByName('quill-drawn').some((mark) => mark.detail.pages > 1),
    );
    return page.evaluate(() => {
      const at = (name) => performance.getEntriesByName(name)[0].startTime;
      const drawn = performance.getEntriesByName('quill-drawn').find((mark) => mark.detail.pages > 1);
      return {
        words: at('first-contentful-paint'),
        spreads: at('first-pages-shown'),
        press: drawn.startTime,
      };
    });
  });
  const others = [];
  await page.goto(`${base}/books`);
  const books = await page
    .locator('a[href^="/books/"]')
    .evaluateAll((links) => [...new Set(links.map(({ pathname }) => pathname.split('/')[2]))]);
  for (const book of books.filter((id) => !address.includes(id))) {
    await page.goto('about:blank');
    await page.waitForTimeout(REST_MS);
    await page.goto(`${base}/books/${book}/flatplan`);
    await page.waitForFunction(() => performance.getEntriesByName('first-pages-shown').length);
    others.push(await page.evaluate(() => performance.getEntriesByName('first-pages-shown')[0].startTime));
  }
  const empty = await quietly(7, 25, async () => {
    await page.goto('about:blank');
    await page.waitForTimeout(REST_MS);
    const started = performance.now();
    await page.goto(`${base}/nothing-here`);
    return performance.now() - started;
  });
  await browser.close();
  const opened = (what) => median(open.values.map((one) => one[what])).toFixed(0);
  console.log(
    `Changed setting to redrawn spreads       ${median(redraw.values).toFixed(0)} ms, median of ${redraw.values.length} (under 100)${redraw.note}`,
  );
  console.log(
    `Scrolling the 112 pages                  ${missed.empty} of ${missed.seen} previews not there when they came into view`,
  );
  console.log(`Opening a book to its words and numbers  ${opened('words')} ms (under 1000)${open.note}`);
  console.log(
    `Opening a book to all spreads in view    ${opened('spreads')} ms (under 1000), ${(opened('spreads') / median(empty.values)).toFixed(1)} × a page that only says that there is nothing${empty.note}`,
  );
  console.log(
    `… for the first time since the start     ${median(others).toFixed(0)} ms, median of the other ${others.length} books`,
  );
  console.log(
    `Opening a book to the press's own drawing ${opened('press')} ms, from when on changes are seen at once`,
  );
}
