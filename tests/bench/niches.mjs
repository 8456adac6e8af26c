// Niches at full size: a look, 100,000 comparables in the table, an import, an expansion.
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import postgres from 'postgres';
import { openDemo } from './browser.mjs';
import { WINDOW_MS } from './loop.mjs';
import { figure, median, quietly } from './quiet.mjs';

const ROWS = 50_000;
const WIDENING_MS = 45_000;
const LOOKS = ['owl journal', 'tea notebook', 'golf log book', 'moth journal'];
/** A word in every title of an import, by which the filters tell them apart. */
const MOTHS = ['Moth', 'Hawkmoth'];

/** A table of made-up rivals as CSV. */
function table(name, word) {
  const rows = ['title,author,price,rank,reviews,pages,trim,published'];
  for (let i = 0; i < ROWS; i++)
    rows.push(
      `"${word} Book ${i}",Author ${i % 977},${(5 + (i % 1500) / 100).toFixed(2)},${1 + ((i * 7919) % 2_000_003)},${i % 900},${24 + 2 * (i % 150)},${i % 3 ? '6 x 9 in' : '8.5 x 11 in'},20${10 + (i % 17)}-0${1 + (i % 9)}-1${i % 9}`,
    );
  const path = join(mkdtempSync(join(tmpdir(), 'quill-bench-')), name);
  writeFileSync(path, rows.join('\n'));
  return path;
}

/** @param loopFile where the programs note the silences of their event loops */
export async function benchNiches(base, databaseUrl, wrenfair, loopFile) {
  const phrases = ['cat journal', 'word search', 'large print sudoku', 'gratitude journal', 'dog planner'];
  const searches = await quietly(10, 40, async (i) => {
    const phrase = `${phrases[i % phrases.length]}${i < phrases.length ? '' : ` ${i}`}`;
    const started = performance.now();
    await (
      await fetch(`${wrenfair}/catalog/search?${new URLSearchParams({ phrase })}`, {
        headers: { authorization: 'Bearer stand-in' },
      })
    ).json();
    return performance.now() - started;
  });
  console.log(
    `\nThe stand-in answers a new search in       ${figure(searches)}, at most ${Math.max(...searches.values).toFixed(0)} (under 50)`,
  );

  const { browser, page } = await openDemo(base);
  const looks = await quietly(5, 20, async (i) => {
    await page.goto(`${base}/niches`);
    const phrase = page.getByRole('combobox', { name: 'Phrase' });
    await phrase.fill(`${LOOKS[i % LOOKS.length]}${i < LOOKS.length ? '' : ` ${i}`}`);
    await page.waitForTimeout(1000);
    const started = performance.now();
    await phrase.press('Enter');
    // Looked for at every frame; a locator waits up to half a second between two looks.
    await page.waitForFunction(() => document.querySelector('[aria-label=Verdict]'));
    return performance.now() - started;
  });
  console.log(`A look, stored and shown                    ${figure(looks)} (under 1000)`);

  await page.getByRole('link', { name: 'Rivals', exact: true }).click();
  const imports = await quietly(2, 6, async (i) => {
    // From a page at rest: the rows of the import before are still being drawn when its dialog has closed.
    await page.waitForTimeout(5000);
    const path = table('rows.csv', MOTHS[i % MOTHS.length]);
    await page.getByRole('button', { name: /Import…/ }).click();
    await page.getByLabel('Table file').setInputFiles(path);
    await page.getByRole('button', { name: /Import 50,000 rows/ }).waitFor();
    const started = performance.now();
    await page.getByRole('button', { name: /Import 50,000 rows/ }).click();
    await page.waitForFunction(() => !document.querySelector('[role=dialog]'));
    return performance.now() - started;
  });
  console.log(`Import of 50,000 rows                       ${figure(imports)} (under 5000)`);
  await page.waitForTimeout(5000);

  // From a change to the table and the charts that follow it, measured in the page.
  const settled = (change, value) =>
    page.evaluate(
      async ([kind, text]) => {
        const frame = () => new Promise((next) => requestAnimationFrame(() => setTimeout(next, 0)));
        const started = performance.now();
        if (kind === 'filter') {
          const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
          const input = [...document.querySelectorAll('input')].find((one) =>
            one.labels?.[0]?.textContent.startsWith('Words in title'),
          );
          set.call(input, text);
          input.dispatchEvent(new Event('input', { bubbles: true }));
        } else
          [...document.querySelectorAll('[role=columnheader] button')]
            .find((button) => button.textContent.includes(text))
            .click();
        await frame();
        const table = performance.now() - started;
        await new Promise((next) => setTimeout(next, 900));
        const drawn = performance.getEntriesByName('quill-charts').at(-1)?.startTime ?? 0;
        return { table, charts: Math.max(table, drawn - started) };
      },
      [change, value],
    );
  const words = ['m', 'mo', 'moth', 'moth 7', 'moth 77', 'hawk', ''];
  const columns = ['Price', 'Reviews', 'Earns', 'Title', 'Rank'];
  const filters = await quietly(14, 50, (n) => settled('filter', words[n % words.length]));
  const sorts = await quietly(10, 40, (n) => settled('sort', columns[n % columns.length]));
  const of = ({ values }, key) => median(values.map((one) => one[key]));
  const sql = postgres(databaseUrl, { max: 1, onnotice() {} });
  const plain = await quietly(7, 30, async () => {
    const started = performance.now();
    await sql`select id, title, price, rank from rival where title ilike '%moth 7%' and price between 6 and 15
      order by price desc limit 40`;
    return performance.now() - started;
  });
  await sql.end();
  const reference = median(plain.values);
  console.log(
    `100,000 comparables, a filter: table         ${figure(filters, ({ table: shown }) => shown)} (under 150), ${(of(filters, 'table') / reference).toFixed(1)} × the same question in plain SQL`,
  );
  console.log(
    `100,000 comparables, a filter: and charts    ${figure(filters, ({ charts }) => charts)} (under 150), ${(of(filters, 'charts') / reference).toFixed(1)} ×`,
  );
  console.log(
    `100,000 comparables, sorted by a column      ${figure(sorts, ({ table: shown }) => shown)} (under 150), ${(of(sorts, 'table') / reference).toFixed(1)} ×`,
  );

  // Opened as somebody does who comes from the list: from the click to the rows of the table.
  const full = new URL(page.url()).pathname.split('/')[2];
  const openings = await quietly(7, 20, async () => {
    await page.goto(`${base}/niches`);
    const link = page.locator(`a[href="/niches/${full}"]`);
    await link.waitFor();
    await page.waitForTimeout(1500);
    const started = performance.now();
    await link.click();
    await page.waitForFunction(() => document.querySelector('[aria-label^="Rivals."] [data-line]'));
    return performance.now() - started;
  });
  console.log(`Opening a niche of 100,000 comparables      ${figure(openings)} to the table (under 1500)`);

  // While 500 phrases are widened: the longest silences of the event loops of the application and the worker, noted by
  // themselves (loop.mjs), in the stretches in which the machine was ours.
  await page.goto(`${base}/niches`);
  await page.getByRole('combobox', { name: 'Phrase' }).fill('cat journal');
  await page.getByRole('combobox', { name: 'Phrase' }).press('Enter');
  await page.getByRole('region', { name: 'Verdict' }).waitFor();
  await page.getByRole('link', { name: 'Phrases', exact: true }).click();
  await page.getByRole('heading', { name: 'Expand “cat journal”' }).waitFor();
  for (const way of ['numbers', 'year', 'occasion', 'kind of book', 'audience × format'])
    await page.getByRole('button', { name: way, exact: true }).click();
  // The page itself asks for what came every few seconds; a program under load serves others too.
  await page.waitForTimeout(3000);
  const from = Date.now();
  await page.getByRole('button', { name: 'Expand', exact: true }).click();
  await page.waitForTimeout(WIDENING_MS);
  const notes = readFileSync(loopFile, 'utf8')
    .split('\n')
    .filter(Boolean)
    .map((line) => JSON.parse(line))
    .filter(({ at }) => at - WINDOW_MS > from);
  for (const name of ['application', 'worker']) {
    const all = notes.filter((note) => note.name === name);
    const ours = all.filter(({ stolen }) => stolen === 0);
    const most = (key) => Math.max(0, ...ours.map((note) => note[key])).toFixed(0);
    console.log(
      `While phrases are widened, the ${name.padEnd(11)}  works ${most('work')} ms in one go at most (under 50), is silent for ${most('silence')} ms at most with waiting for a processor; ${ours.length} quarter seconds, ${all.length - ours.length} more with the machine given to others`,
    );
  }
  await browser.close();
}
