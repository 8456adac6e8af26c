import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { RouteConfigEntry } from '@react-router/dev/routes';
import routes from '../../app/routes.ts';
import { expect, test, url } from './quill.ts';

/** Addresses of the application, something standing for each of their parameters. */
const addresses = (entries: readonly RouteConfigEntry[], above: readonly string[] = []): string[] =>
  entries.flatMap(({ path, children }) => {
    const here = path ? [...above, path] : above;
    const address = `/${here.join('/')}`.replace(/:\w+/g, 'x').replace('*', 'x');
    return [...(children ? [] : [address]), ...addresses(children ?? [], here)];
  });

/** What a browser says of a page that is not ours: on another port of the same host, elsewhere, without an address. */
const FOREIGN = [
  { 'sec-fetch-site': 'same-site', origin: 'http://127.0.0.1:1' },
  { 'sec-fetch-site': 'cross-site', origin: 'https://elsewhere.example' },
  { origin: 'http://127.0.0.1:1' },
  { origin: 'null' },
  {},
];

test('no address takes what a page of another origin sends', async ({ request }) => {
  const all = [...new Set(addresses(await routes))];
  expect(all.length).toBeGreaterThan(40);
  const taken: string[] = [];
  for (const address of all)
    for (const [i, headers] of FOREIGN.entries())
      for (const method of i === 0 ? ['POST', 'PUT', 'PATCH', 'DELETE'] : ['POST']) {
        const answer = await request.fetch(url(address), {
          method,
          headers: { 'content-type': 'text/plain', ...headers } as Record<string, string>,
          data: '{}',
          maxRedirects: 0,
        });
        if (answer.status() !== 403)
          taken.push(`${method} ${address} ${JSON.stringify(headers)} ${answer.status()}`);
      }
  expect(taken).toEqual([]);
});

test.describe('a page on another port of the same host', () => {
  test.use({ refusals: /403|net::ERR/ });

  test('signs nobody out and plants nothing', async ({ page, context }) => {
    const server = createServer((_, answer) =>
      answer.setHeader('content-type', 'text/html').end('<p>Elsewhere</p>'),
    );
    await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
    const elsewhere = await context.newPage();
    const answers: number[] = [];
    elsewhere.on('response', (response) => {
      if (response.request().method() === 'POST') answers.push(response.status());
    });
    await elsewhere.goto(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
    await elsewhere.evaluate(
      async ([signOut, resources]) => {
        const send = (to: string, body: string) =>
          fetch(to, { method: 'POST', mode: 'no-cors', credentials: 'include', body });
        await send(signOut!, '');
        await send(resources!, 'planted\n');
      },
      [url('/sign-out'), url('/resources?type=words&name=Planted')],
    );
    expect(answers).toEqual([403, 403]);
    const form = await context.newPage();
    await form.goto(elsewhere.url());
    const [answer] = await Promise.all([
      form.waitForResponse((response) => response.url().includes('sign-out')),
      form.evaluate((to) => {
        document.body.innerHTML = `<form method="post" action="${to}"></form>`;
        document.forms[0]!.submit();
      }, url('/sign-out')),
    ]);
    expect(answer.status()).toBe(403);
    await form.waitForURL('**/sign-out');
    await form.goto(elsewhere.url());
    await form.evaluate((to) => {
      document.body.innerHTML = `<form method="post" action="${to}"></form>`;
      document.forms[0]!.submit();
    }, url('/books'));
    await expect(form.getByRole('heading', { name: 'Request refused' })).toBeVisible();
    await expect(form.getByText(`Open Restless Quill at that address`)).toBeVisible();
    await page.goto(url('/books'));
    await expect(page.getByRole('heading', { name: 'Books' })).toBeVisible();
    await form.close();
    await elsewhere.close();
    server.close();
  });
});
