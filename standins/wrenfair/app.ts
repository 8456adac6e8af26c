import { Hono } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import * as v from 'valibot';
import { RevisionSchema } from './listing.ts';
import { openShop } from './shop.ts';
import { openSubmissions, type Submission } from './submissions.ts';

const UPLOAD_BYTES = 650 * 1024 * 1024;
const JSON_BYTES = 64 * 1024;

/** How the stand-in behaves. Everything can be changed while it runs, by PUT /behavior. */
const BehaviorSchema = v.strictObject({
  /** How long a book stays in review; a change reaches books that are in review already. */
  reviewSeconds: v.optional(v.pipe(v.number(), v.minValue(0)), 20),
  /** Waits so long before every answer. */
  delayMs: v.optional(v.pipe(v.number(), v.minValue(0), v.maxValue(60_000)), 0),
  /** The next so many requests are carried out, then the connection breaks before the answer. */
  breakAfterWork: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0)), 0),
  /** The next so many requests are answered 429 with Retry-After. */
  busy: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0)), 0),
  /** The next so many answers with books have rows that cannot be read. */
  malformed: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0)), 0),
});
export type Behavior = v.InferOutput<typeof BehaviorSchema>;

/** Wrenfair, the invented marketplace and printing service, as an HTTP application. See docs/standins.md. */
export function wrenfairApp(options: {
  folder: string;
  key: string;
  behavior?: v.InferInput<typeof BehaviorSchema>;
  /** The day the shop opens, when it has none yet: ISO 8601. */
  today?: string;
}) {
  const behavior: Behavior = v.parse(BehaviorSchema, options.behavior ?? {});
  const shop = openShop(options.folder, options.today ?? new Date().toISOString().slice(0, 10), () => {
    if (behavior.malformed === 0) return false;
    behavior.malformed--;
    return true;
  });
  const submissions = openSubmissions(options.folder, () => behavior.reviewSeconds);
  const app = new Hono();
  const no = (...reasons: string[]) => ({ reasons });

  app.get('/', (c) => c.json({ service: 'Wrenfair stand-in', ready: true }));
  app.put('/behavior', async (c) => {
    const read = v.safeParse(BehaviorSchema, { ...behavior, ...(await c.req.json().catch(() => null)) });
    if (!read.success) return c.json(no(read.issues[0].message), 400);
    Object.assign(behavior, read.output);
    return c.json(behavior);
  });

  app.get('/clock', (c) => c.json(shop.clock()));
  app.put('/clock', async (c) => {
    const set = shop.setClock(await c.req.json().catch(() => null));
    return 'wrong' in set ? c.json(no(set.wrong), 400) : c.json(set);
  });

  app.use('/catalog/*', troubled);
  app.use('/submissions/*', troubled);
  app.use('/submissions', troubled);
  async function troubled(c: import('hono').Context, next: () => Promise<void>) {
    if (c.req.header('authorization') !== `Bearer ${options.key}`)
      return c.json(no('The key is not known.'), 401);
    if (behavior.busy > 0) {
      behavior.busy--;
      return c.json(no('Too many requests.'), 429, { 'retry-after': '1' });
    }
    const breaks = behavior.breakAfterWork > 0;
    if (breaks) behavior.breakAfterWork--;
    if (behavior.delayMs) await new Promise((resolve) => setTimeout(resolve, behavior.delayMs));
    await next();
    // The work is done and noted, but the asker never hears of it.
    if (breaks) (c.env as { incoming?: { socket: { destroy(): void } } }).incoming?.socket.destroy();
  }

  app.route('/catalog', shop.routes);

  /** A submission as its publisher may see it. */
  const told = ({ id, key, revision, state, reasons, listing, onSale }: Submission) => ({
    ...{ id, key, revision, state, reasons, title: listing.title },
    onSale: onSale
      ? {
          revision: onSale.revision,
          title: onSale.listing.title,
          penName: onSale.listing.penName,
          updates: onSale.updates,
        }
      : null,
  });
  const unreadable = (issues: readonly v.BaseIssue<unknown>[]) =>
    no(...issues.map((issue) => `${v.getDotPath(issue) ?? ''} ${issue.message}`));

  app.post('/submissions', bodyLimit({ maxSize: JSON_BYTES }), async (c) => {
    const key = c.req.header('idempotency-key');
    if (!key || key.length > 100) return c.json(no('An Idempotency-Key is needed.'), 400);
    const read = v.safeParse(RevisionSchema, await c.req.json().catch(() => null));
    if (!read.success) return c.json(unreadable(read.issues), 422);
    const { submission, fresh } = submissions.open(key, read.output.revision, read.output.listing);
    return c.json(told(submission), fresh ? 201 : 200);
  });
  app.get('/submissions', (c) => {
    const key = c.req.query('key');
    const found = key === undefined ? submissions.all() : [submissions.withKey(key) ?? []].flat();
    return c.json(found.map(told));
  });
  app.get('/submissions/:id', (c) => {
    const found = submissions.find(c.req.param('id'));
    return found ? c.json(told(found)) : c.json(no('There is no such submission.'), 404);
  });
  app.put('/submissions/:id', bodyLimit({ maxSize: JSON_BYTES }), async (c) => {
    const found = submissions.find(c.req.param('id'));
    if (!found) return c.json(no('There is no such submission.'), 404);
    const read = v.safeParse(RevisionSchema, await c.req.json().catch(() => null));
    if (!read.success) return c.json(unreadable(read.issues), 422);
    const refused = submissions.revise(found, read.output.revision, read.output.listing);
    return refused ? c.json(no(refused), 409) : c.json(told(found));
  });
  app.put('/submissions/:id/:part{interior|wrap}', bodyLimit({ maxSize: UPLOAD_BYTES }), async (c) => {
    const found = submissions.find(c.req.param('id'));
    if (!found) return c.json(no('There is no such submission.'), 404);
    const part = c.req.param('part') as 'interior' | 'wrap';
    const refused = submissions.upload(
      found,
      part,
      new Uint8Array(await c.req.arrayBuffer()),
      c.req.header('content-sha256'),
    );
    return refused ? c.json(no(refused), 422) : c.body(null, 204);
  });
  app.post('/submissions/:id/review', async (c) => {
    const found = submissions.find(c.req.param('id'));
    if (!found) return c.json(no('There is no such submission.'), 404);
    const refused = await submissions.submit(found);
    return refused ? c.json(no(refused), 422) : c.json(told(found));
  });
  return app;
}
