// Measured in the page: the gallery of pages, a page of blocks that is changed, a long flatplan that is scrolled.
import { openDemo } from './browser.mjs';
import { figure, quietly } from './quiet.mjs';

const REST_MS = 1000;
/** Of a book of as many pages as a service prints. */
const PAGES = 828;
/** Scrolled with every frame, in CSS pixels. */
const STEP = 60;

export async function benchInteriors(base) {
  const { browser, page } = await openDemo(base);
  const emptyBook = async () => {
    await page.goto(`${base}/books`);
    await page.getByRole('button', { name: 'Start an empty book' }).click();
    await page.waitForURL(/flatplan/);
    await page.waitForTimeout(REST_MS);
  };
  const dialog = page.getByRole('dialog', { name: 'Add pages' });
  const add = async (name) => {
    await page.getByRole('button', { name: 'Add pages' }).click();
    await dialog.getByLabel('Find').fill(name);
    await dialog.getByRole('button', { name, exact: true }).first().dblclick();
    await dialog.waitFor({ state: 'detached' });
  };

  await emptyBook();
  const address = page.url();
  let tiles = 0;
  // In a page that has drawn none of them yet.
  const gallery = await quietly(5, 12, async () => {
    await page.goto('about:blank');
    await page.goto(address);
    await page.waitForFunction(() => performance.getEntriesByName('quill-drawn').length);
    await page.waitForTimeout(REST_MS);
    const started = await page.evaluate(() => performance.now());
    await page.getByRole('button', { name: 'Add pages' }).click();
    const all = await page.waitForFunction(
      (since) =>
        performance
          .getEntriesByName('quill-drawn')
          .find(({ startTime, detail }) => startTime > since && detail.pages > 40),
      started,
    );
    const { startTime, detail } = await all.evaluate((mark) => ({
      startTime: mark.startTime,
      detail: mark.detail,
    }));
    tiles = detail.pages;
    await page.keyboard.press('Escape');
    return startTime - started;
  });

  await add('Strength training');
  await page.getByRole('link', { name: 'Arrange the page…' }).click();
  await page.locator('[data-block]').first().waitFor();
  await page.getByRole('listbox', { name: 'Blocks of the page' }).getByRole('option').first().click();
  const field = page
    .getByRole('complementary', { name: 'Settings of the block' })
    .getByRole('textbox')
    .first();
  let times = 0;
  const change = await quietly(20, 60, async () => {
    await field.fill(`Training ${times++}`);
    await page.waitForTimeout(REST_MS);
    return page.evaluate(() => {
      const edit = performance.getEntriesByName('quill-edit').at(-1);
      const drawn = performance
        .getEntriesByName('quill-drawn')
        .find(({ startTime }) => startTime > edit.startTime);
      return drawn.startTime - edit.startTime;
    });
  });

  await emptyBook();
  await add('Ruled pages');
  await page.getByLabel('Number of pages').fill(String(PAGES - 2));
  await page.waitForTimeout(3 * REST_MS);
  const frames = await page.getByRole('region', { name: 'Spreads' }).evaluate(async (element, step) => {
    const spent = [];
    let last = await new Promise(requestAnimationFrame);
    while (element.scrollTop + element.clientHeight < element.scrollHeight - 1) {
      element.scrollTop += step;
      const now = await new Promise(requestAnimationFrame);
      spent.push(now - last);
      last = now;
    }
    return spent.sort((one, other) => one - other);
  }, STEP);
  await browser.close();
  const at = (part) => frames[Math.min(frames.length - 1, Math.floor(frames.length * part))].toFixed(0);
  console.log(`\nThe whole gallery, ${tiles} pages            ${figure(gallery)} (under 2000)`);
  console.log(`A change on a page of blocks             ${figure(change)} (under 100)`);
  console.log(
    `Scrolling a flatplan of ${PAGES} pages       ${at(0.5)} ms a frame, ${at(0.99)} ms at 99 %, ${at(1)} ms the longest of ${frames.length} (under 50)`,
  );
}
