import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import type * as Service from '#server/services/printing-service.ts';

// Waiting by promise is beyond the reach of false clocks; this way it is not.
vi.mock('node:timers/promises', () => ({
  setTimeout: (ms: number) => new Promise((done) => setTimeout(done, ms)),
}));

// A service of our own that does whatever a test wants of it.
let answer: (request: IncomingMessage, response: ServerResponse) => void;
let asked: IncomingMessage[] = [];
const service = createServer((request, response) => {
  asked.push(request);
  request.resume();
  answer(request, response);
});
let wrenfair: typeof import('#server/services/wrenfair.ts')['wrenfair'];
let withRetries: typeof import('#server/services/patience.ts')['withRetries'];
let TRIES: number;
let ServiceRefusal: typeof Service.ServiceRefusal;
let TransientServiceError: typeof Service.TransientServiceError;

beforeAll(async () => {
  await new Promise<void>((done) => service.listen(0, '127.0.0.1', done));
  const { port } = service.address() as AddressInfo;
  vi.stubEnv('WRENFAIR_URL', `http://127.0.0.1:${port}`);
  vi.stubEnv('WRENFAIR_KEY', 'the-key');
  vi.stubEnv('DATABASE_URL', 'postgres://nobody@127.0.0.1/none');
  vi.stubEnv('SESSION_SECRET', 'x'.repeat(32));
  vi.resetModules();
  ({ wrenfair } = await import('#server/services/wrenfair.ts'));
  ({ ServiceRefusal, TransientServiceError } = await import('#server/services/printing-service.ts'));
  ({ withRetries, TRIES } = await import('#server/services/patience.ts'));
});
afterAll(() => {
  vi.unstubAllEnvs();
  service.closeAllConnections();
  service.close();
});
beforeEach(() => {
  asked = [];
});

const json = (value: unknown, status = 200, headers: Record<string, string> = {}) =>
  ((_, response) => {
    response.writeHead(status, { 'content-type': 'application/json', ...headers });
    response.end(JSON.stringify(value));
  }) satisfies typeof answer;

const book = (more: Record<string, unknown> = {}) => ({
  id: 'b1',
  title: 'Bee Log',
  penName: 'Odile Marrow',
  category: 'Bees',
  price: 7.99,
  trim: { width: 6, height: 9 },
  pages: 120,
  ink: 'black',
  rank: 900,
  reviews: 3,
  rating: 4.4,
  published: '2026-01-01',
  ...more,
});
const found = (comparables: unknown[]) => ({ day: '2026-11-24', results: 7, categories: [], comparables });

/** The error that was thrown; resolves are an error of the test. */
const thrown = async <E extends Error>(work: Promise<unknown>): Promise<E> =>
  work.then(
    () => Promise.reject(new Error('It should not have worked.')),
    (error: E) => error,
  );

describe('asking a marketplace', () => {
  it('carries the key, and asks for what it was told to', async () => {
    answer = json(found([book()]));
    const { comparables, results, unread, day } = await wrenfair.search('us', 'bee log & “more”', 60);
    expect([results, unread, day, comparables]).toEqual([7, 0, '2026-11-24', [book()]]);
    const [request] = asked;
    expect(request!.headers.authorization).toBe('Bearer the-key');
    const { searchParams, pathname } = new URL(request!.url!, 'http://x');
    expect(pathname).toBe('/catalog/search');
    expect(Object.fromEntries(searchParams)).toEqual({
      market: 'us',
      phrase: 'bee log & “more”',
      limit: '60',
    });
  });

  it.each([
    ['a price that is text', { price: '7.99' }],
    ['a rank of nothing', { rank: 0 }],
    ['a day that is none', { published: '2026-31-01' }],
    ['a trim that is missing', { trim: null }],
    ['half a page', { pages: 12.5 }],
    ['a negative price', { price: -1 }],
    ['an id that is a path', { id: '../../etc' }],
    ['a title without end', { title: 'x'.repeat(401) }],
  ])('leaves out a row with %s, counts it, and keeps the others', async (_, damage) => {
    answer = json(found([book({ id: 'good-1' }), book(damage), null, book({ id: 'good-2' })]));
    const { comparables, unread } = await wrenfair.search('us', 'bee', 60);
    expect(comparables.map(({ id }) => id)).toEqual(['good-1', 'good-2']);
    expect(unread).toBe(2);
  });

  it.each([
    ['is not JSON', (response: ServerResponse) => response.end('<html>')],
    [
      'breaks off',
      (response: ServerResponse) => {
        response.writeHead(200, { 'content-length': '5000' });
        response.write('{"day":');
        setTimeout(() => response.destroy(), 20);
      },
    ],
    ['has another shape', (response: ServerResponse) => response.end('{"results":"many"}')],
    [
      'has more rows than were asked for',
      (response: ServerResponse) => response.end(JSON.stringify(found(new Array(201).fill(book())))),
    ],
    [
      'never ends',
      (response: ServerResponse) => {
        const piece = Buffer.alloc(1 << 20, 'x');
        const pour = () => {
          while (!response.destroyed && response.write(piece));
          response.once('drain', pour);
        };
        pour();
      },
    ],
    ['is cut before it begins', (response: ServerResponse) => response.destroy()],
  ])('an answer that %s is trouble, worth another try', async (_, say) => {
    answer = (__, response) => void say(response);
    const error = await thrown<Service.TransientServiceError>(wrenfair.search('us', 'bee', 60));
    expect(error).toBeInstanceOf(TransientServiceError);
    // What the machine said is for the log.
    expect(error.message).toMatch(/^Wrenfair[’a-z ]+\.$/);
    expect(error.cause).toBeDefined();
    expect(error.retryAfter).toBeUndefined();
  });

  it('no answer in time is trouble', async () => {
    answer = () => {};
    const error = await thrown<Service.TransientServiceError>(wrenfair.search('us', 'bee', 60, 0.2));
    expect(error).toBeInstanceOf(TransientServiceError);
  });

  // RFC 9110 §10.2.3: seconds, or the day and time.
  it.each([
    ['7', 7],
    ['0', undefined],
    ['soon', undefined],
    ['-5', undefined],
    ['99999', 600],
    [new Date(Date.now() - 5000).toUTCString(), undefined],
  ])('429 with Retry-After: %s asks for a rest of %s seconds', async (header, seconds) => {
    answer = json({}, 429, { 'retry-after': header });
    expect((await thrown<Service.TransientServiceError>(wrenfair.suggest('us', 'bee', 5))).retryAfter).toBe(
      seconds,
    );
  });

  it('Retry-After as a day and time is the time until then', async () => {
    answer = json({}, 503, { 'retry-after': new Date(Date.now() + 30_000).toUTCString() });
    const { retryAfter } = await thrown<Service.TransientServiceError>(wrenfair.day());
    expect(retryAfter).toBeGreaterThan(20);
    expect(retryAfter).toBeLessThanOrEqual(30);
  });

  it('a no is a no, with its reasons or without any', async () => {
    answer = json({ reasons: ['The phrase is empty.', 'Ask better.'] }, 400);
    const told = await thrown<Service.ServiceRefusal>(wrenfair.search('us', '', 60));
    expect(told).toBeInstanceOf(ServiceRefusal);
    expect(told.reasons).toEqual(['The phrase is empty.', 'Ask better.']);
    answer = (_, response) => void response.writeHead(404).end('gone');
    expect((await thrown<Service.ServiceRefusal>(wrenfair.search('us', 'x', 60))).reasons).toEqual([
      'Wrenfair refused, and gave no reason.',
    ]);
  });

  it('ids go into paths as one part', async () => {
    answer = (_, response) => void response.writeHead(404).end();
    expect(await wrenfair.cover('../secret?x')).toBeNull();
    expect(asked[0]!.url).toBe('/catalog/books/..%2Fsecret%3Fx/cover.png');
  });

  it('a picture is a PNG of a fair size, or trouble', async () => {
    const png = Buffer.concat([Buffer.from('89504e470d0a1a0a', 'hex'), Buffer.alloc(100)]);
    answer = (_, response) => void response.end(png);
    expect(Buffer.from((await wrenfair.cover('b1'))!)).toEqual(png);
    for (const bad of [
      Buffer.from('<svg onload="alert(1)"/>'),
      Buffer.concat([png, Buffer.alloc(2 * 1024 * 1024)]),
      Buffer.alloc(0),
    ]) {
      answer = (_, response) => void response.end(bad);
      expect(await thrown(wrenfair.page('b1', 1))).toBeInstanceOf(TransientServiceError);
    }
  });
});

describe('patience', () => {
  beforeEach(() => vi.useFakeTimers());
  const step = (failures: Error[]) => {
    const tries: number[] = [];
    return {
      tries,
      work: async () => {
        tries.push(Date.now());
        const failure = failures.shift();
        if (failure) throw failure;
        return 'done';
      },
    };
  };
  const run = async (failures: Error[]) => {
    const { tries, work } = step(failures);
    const told: string[] = [];
    const began = Date.now();
    const end = withRetries(work, (message) => told.push(message)).then(
      (value) => ({ value, error: null }),
      (error: Error) => ({ value: null, error }),
    );
    await vi.runAllTimersAsync();
    return { ...(await end), told, waits: tries.map((at) => at - began) };
  };

  it('waits twice as long before each further try, and gives up after the last', async () => {
    const trouble = () => new TransientServiceError('No.');
    const some = await run([trouble(), trouble(), trouble()]);
    expect(some).toMatchObject({
      value: 'done',
      told: [2, 3, 4].map((n) => `No. Trying again (${n} of 6).`),
      waits: [0, 1000, 3000, 7000],
    });
    const many = await run(Array.from({ length: 20 }, trouble));
    expect(many.error?.message).toBe('No.');
    expect(many.waits).toHaveLength(TRIES);
    vi.useRealTimers();
  });

  it('rests as long as it is asked to, which counts as no try, but not for ever', async () => {
    const rest = () => new TransientServiceError('Wait.', 5);
    const some = await run(Array.from({ length: 20 }, rest));
    expect(some.value).toBe('done');
    expect(some.waits).toEqual(Array.from({ length: 21 }, (_, i) => i * 5000));
    const many = await run(Array.from({ length: 500 }, rest));
    expect(many.error?.message).toBe('Wait.');
    expect(many.waits.length).toBeLessThan(80);
    vi.useRealTimers();
  });

  it('does not try again what was refused, or what is a fault of ours', async () => {
    for (const error of [new ServiceRefusal(['No.']), new TypeError('x is not a function')]) {
      const { error: thrownOut, waits } = await run([error]);
      expect(thrownOut).toBe(error);
      expect(waits).toEqual([0]);
    }
    vi.useRealTimers();
  });
});
