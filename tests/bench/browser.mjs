// Measured in the page: from a changed setting to redrawn spreads, scrolling, opening a book.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { chromium } from '@playwright/test';
import { build } from 'esbuild';
import postgres from 'postgres';
import { figure, median, quietly } from './quiet.mjs';
import { openUnwatched } from './unwatched.mjs';

/** Books of a large press. */
const BOOKS = 2000;

/** So long nothing is done between two samples, in ms. */
const REST_MS = 1500;

const BROWSER = {
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
};

/**
 * A browser with the demo account signed in, at the size the program is made for. It keeps what it makes of programs, as
 * people's browsers do, and one in a private window does not.
 */
export async function openDemo(base) {
  const profile = mkdtempSync(join(tmpdir(), 'quill-bench-'));
  const browser = await chromium.launchPersistentContext(profile, {
    ...BROWSER,
    viewport: { width: 1280, height: 800 },
  });
  browser.on('close', () => rmSync(profile, { recursive: true, force: true }));
  const page = await browser.newPage();
  await page.goto(`${base}/sign-in`);
  await page.getByRole('button', { name: /Try the demo/ }).click();
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
    const field = page.getByLabel('Words per puzzle');
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
  const about = `${base}/about`;
  await keepPrograms(
    async (url) => {
      await page.goto(url);
    },
    [about, address],
  );
  const spreads = await quietly(9, 25, async () => {
    await page.goto(about);
    await page.waitForTimeout(REST_MS);
    await page.goto(address);
    await page.waitForFunction(() => performance.getEntriesByName('first-pages-shown').length);
    return page.evaluate(() => performance.getEntriesByName('first-pages-shown')[0].startTime);
  });
  const others = [];
  await page.goto(`${base}/books`);
  const books = await page.locator('a[href^="/books/"]').evaluateAll((links) => [
    // Of books alone: other pages lie there too.
    ...new Set(links.flatMap(({ pathname }) => /^\/books\/(\w+)(?:\/|$)/.exec(pathname)?.[1] ?? [])),
  ]);
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
  const { near, elsewhere } = await openings(base, address);
  console.log(`Changed setting to redrawn spreads       ${figure(redraw)} (under 100)`);
  console.log(
    `Scrolling the 112 pages                  ${missed.empty} of ${missed.seen} previews not there when they came into view`,
  );
  console.log(
    `Opening a book to all spreads in view    ${figure(spreads)} (under 1000), ${(median(spreads.values) / median(empty.values)).toFixed(1)} × a page that only says that there is nothing`,
  );
  console.log(
    `… for the first time since the start     ${median(others).toFixed(0)} ms, median of the other ${others.length} books`,
  );
  for (const [from, told] of [
    ['another page', near],
    ['about:blank', elsewhere],
  ]) {
    const to = (what) => figure(told, (one) => one[what]);
    console.log(`Opening a book from ${from}, nobody watching`);
    console.log(`… to its words and numbers               ${to('words')} (under 500)`);
    console.log(`… to live drawing                        ${to('press')} (under 1000)`);
  }
}

/** What a browser keeps of a program is there from the third time on. @param goTo opens a page */
async function keepPrograms(goTo, urls) {
  for (let i = 0; i < 3; i++) {
    for (const url of urls) {
      await goTo(url);
      await new Promise((rested) => setTimeout(rested, 2 * REST_MS));
    }
  }
}

/**
 * Opens a book again and again in a browser that nobody watches.
 * @param address of the book
 * @returns when words, and spreads as the press draws them, were there: opened from another page of the program, and from a
 *   blank one, for which a browser begins a process
 */
async function openings(base, address) {
  const { go, worth, close } = await openUnwatched(BROWSER.executablePath, BROWSER.args);
  const rest = (ms = REST_MS) => new Promise((rested) => setTimeout(rested, ms));
  const goTo = async (url) => void (await go(url));
  const about = `${base}/about`;
  await goTo(`${base}/sign-in`);
  await rest();
  await worth(
    `[...document.querySelectorAll('button')].find((one) => one.textContent.includes('Try the demo')).click()`,
  );
  await rest(2 * REST_MS);
  await keepPrograms(goTo, [about, address]);
  const from = (start) =>
    quietly(9, 25, async () => {
      await goTo(start);
      await rest();
      await goTo(address);
      // Not asked while it opens.
      await rest();
      return worth(`new Promise((told) => {
        new PerformanceObserver((list) => {
          const drawn = list.getEntriesByName('quill-drawn').find(({ detail }) => detail.pages > 1);
          if (!drawn) return;
          const [words] = performance.getEntriesByName('first-contentful-paint');
          told({ words: words.startTime, press: drawn.startTime });
        }).observe({ type: 'mark', buffered: true });
      })`);
    });
  const near = await from(about);
  const elsewhere = await from('about:blank');
  await close();
  return { near, elsewhere };
}

/** Pages of dense line art that are looked at one after the other. */
const CURVE_PAGES = 60;
/** A page as it is first seen, beside its settings and twice as sharp as in the flatplan; and in the proof. In pixels. */
const PANEL_WIDTH = 268;
const PROOF_WIDTH = 540;

/** The first preview of a page of 20,000 curves, in a page that has drawn nothing yet, and the memory that sixty of them take. */
export async function benchCurves() {
  const { outputFiles } = await build({
    entryPoints: ['tests/bench/curves-page.ts'],
    bundle: true,
    write: false,
    format: 'iife',
    platform: 'browser',
    alias: { 'brotli/decompress.js': resolve('core/faces/no-brotli.ts') },
    define: { global: 'globalThis' },
    logLevel: 'error',
  });
  const browser = await chromium.launch(BROWSER);
  const fresh = async () => {
    const page = await browser.newPage();
    await page.addScriptTag({ content: outputFiles[0].text });
    await page.waitForTimeout(REST_MS / 3);
    return page;
  };
  const firstAt = (width) =>
    quietly(7, 25, async () => {
      const page = await fresh();
      const spent = await page.evaluate((wide) => globalThis.drawCurvesPage('curves', wide), width);
      await page.close();
      return spent;
    });
  const first = await firstAt(PANEL_WIDTH);
  const proof = await firstAt(PROOF_WIDTH);
  const page = await fresh();
  const client = await page.context().newCDPSession(page);
  const megabytes = async () => {
    // The numbers of paths lie outside the heap itself.
    const { usedSize, backingStorageSize } = await client.send('Runtime.getHeapUsage');
    return (usedSize + backingStorageSize) / 1048576;
  };
  const held = [];
  for (let i = 0; i < CURVE_PAGES; i++) {
    await page.evaluate(
      ([which, width]) => globalThis.drawCurvesPage(which, width),
      [`page ${i}`, PROOF_WIDTH],
    );
    held.push(await megabytes());
  }
  await client.send('HeapProfiler.collectGarbage');
  const after = await megabytes();
  await browser.close();
  console.log(
    `\nFirst preview of 20,000 curves           ${figure(first)} (under 150), ${PANEL_WIDTH} pixels wide`,
  );
  console.log(`… as a page of the proof                 ${figure(proof)}, ${PROOF_WIDTH} pixels wide`);
  console.log(
    `Memory over ${CURVE_PAGES} pages of 20,000 curves    ${Math.max(...held).toFixed(0)} MB at most, ${held[0].toFixed(0)} MB after the first, ${after.toFixed(0)} MB when all are left`,
  );
}

/** The list of two thousand books: its page from the server, and seen. */
export async function benchBooks(base, databaseUrl) {
  const sql = postgres(databaseUrl, { max: 1, onnotice() {} });
  const copies = await sql`
    insert into book (id, workspace_id, recipe, summary, updated_at)
    select 'bench-' || n || '-' || id, workspace_id, recipe, summary, now() - n * interval '1 minute'
    from book, generate_series(1, ${BOOKS}::int / (select greatest(1, count(*)) from book)) as n
    returning id`;
  const { browser, page } = await openDemo(base);
  try {
    const cookie = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
    const served = await quietly(9, 30, async () => {
      await new Promise((rested) => setTimeout(rested, REST_MS / 3));
      const started = performance.now();
      await (await fetch(`${base}/books`, { headers: { cookie } })).text();
      return performance.now() - started;
    });
    const seen = await quietly(7, 25, async () => {
      await page.goto('about:blank');
      await page.waitForTimeout(REST_MS);
      await page.goto(`${base}/books`, { waitUntil: 'commit' });
      await page.waitForFunction(() => performance.getEntriesByName('first-contentful-paint').length);
      return page.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0].startTime);
    });
    console.log(`\nThe list of ${copies.length} books and more, served   ${figure(served)} (under 300)`);
    console.log(`The list of ${copies.length} books and more, seen     ${figure(seen)} (under 1000)`);
  } finally {
    await browser.close();
    await sql`delete from book where id like 'bench-%'`;
    await sql.end();
  }
}
