import type { RouteConfigEntry } from '@react-router/dev/routes';
import { and, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { HOME_MARKET } from '#core/niche/index.ts';
import { writeWords } from '#core/resources/index.ts';
import { visitorOf } from '#server/auth.ts';
import { createBook, openBook } from '#server/books.ts';
import { closeDatabase, db } from '#server/db/client.ts';
import { look } from '#server/db/niche-schema.ts';
import { job } from '#server/db/schema.ts';
import { enqueueJob, listJobs, stopQueue } from '#server/jobs/queue.ts';
import { assumptionsOf, pairsOf } from '#server/niches/assumptions.ts';
import { briefsOf, briefsOrDraft } from '#server/niches/briefs.ts';
import { lookNow } from '#server/niches/looks.ts';
import { keepNiche, listNiches, openNiche } from '#server/niches/niches.ts';
import { addPhrases, phrasesOf } from '#server/niches/phrases.ts';
import { rivalLines } from '#server/niches/rivals.ts';
import { listPenNames } from '#server/pen-names.ts';
import { keepResource, listResources } from '#server/resources/resources.ts';
import { listSubmissions } from '#server/submissions.ts';
import routes from '../../app/routes.ts';
import { recipeOf } from '../support/books.ts';
import { cookieOf, ORIGIN, signUp } from './accounts.ts';
import { openPress, type Press } from './press.ts';

type Asked = { request: Request; params: Record<string, string>; context: object };
interface Door {
  path: string;
  file: string;
  loader?: (asked: Asked) => unknown;
  action?: (asked: Asked) => unknown;
}

/** What anyone may see or do, and what sends on without a look at anything. */
const OPEN_TO_ALL = ['sign-in.tsx', 'sign-in-api.ts', 'sign-out.ts', 'about.tsx', 'book-start.ts'].map(
  (name) => `routes/${name}`,
);
const MARK = 'Zanzibar';

let press: Press;
let doors: Door[];
/** What the two presses have; the first is the one that is asked for by the second. */
const presses: { cookie: string; workspaceId: string }[] = [];
let ids: Record<string, string>;

/** Every route with its whole path and what it does on the server. */
async function everyDoor(entries: RouteConfigEntry[], above = ''): Promise<Door[]> {
  const found: Door[] = [];
  for (const { path, file, children } of entries) {
    const whole = [above, path].filter(Boolean).join('/');
    const { loader, action } = (await import(/* @vite-ignore */ `../../app/${file}`)) as Omit<
      Door,
      'path' | 'file'
    >;
    found.push({ path: whole, file, loader, action }, ...(await everyDoor(children ?? [], whole)));
  }
  return found;
}

beforeAll(async () => {
  process.env.PUBLIC_URL = ORIGIN;
  press = await openPress('quill_routes');
  doors = await everyDoor(routes);
  for (const name of ['first', 'second']) {
    const cookie = cookieOf(await signUp(`${name}@press.example`));
    const visitor = await visitorOf(new Request(ORIGIN, { headers: { cookie } }));
    presses.push({ cookie, workspaceId: visitor!.workspaceId });
  }
  const { workspaceId } = presses[0]!;
  const phrase = `${MARK} word search`.toLowerCase();
  const niche = await keepNiche(workspaceId, phrase);
  await lookNow(workspaceId, { id: niche, phrase, market: HOME_MARKET });
  const [brief] = await briefsOrDraft(workspaceId, { id: niche, phrase, market: HOME_MARKET });
  const book = await createBook(
    workspaceId,
    recipeOf(
      [
        { id: 'r', kind: 'ruled', pages: 30 },
        { id: 's', kind: 'sudoku', items: 1, options: { level: 1 } },
      ],
      { title: MARK },
    ),
  );
  const bank = await keepResource(workspaceId, { type: 'words', name: MARK }, [
    writeWords(['CLOVE', 'DHOW']),
  ]);
  ids = {
    niche,
    brief: brief!.id,
    book,
    job: await enqueueJob(workspaceId, { nicheId: niche }, 'look', {}, { key: 'a look that nobody takes' }),
    rival: 'wf-000001',
    id: 'wf-000001',
    page: '1',
    name: 'interior.pdf',
    hash: bank.hash,
    face: 'lora-bold',
    shelf: 'no-such-shelf',
    section: 's',
    item: '1',
    form: 'svg',
  };
});
afterAll(async () => {
  await stopQueue();
  await closeDatabase();
  await press.close();
});

/** Everything that a press has, to be compared with itself. */
const havings = async (workspaceId: string) => ({
  book: await openBook(workspaceId, ids.book!),
  niche: await openNiche(workspaceId, ids.niche!),
  niches: await listNiches(workspaceId),
  briefs: await briefsOf(workspaceId, ids.niche!),
  phrases: await phrasesOf(workspaceId, ids.niche!),
  rivals: (await rivalLines(workspaceId, ids.niche!)).split('\n').sort(),
  pairs: await pairsOf(workspaceId),
  assumptions: await assumptionsOf(workspaceId),
  names: await listPenNames(workspaceId),
  resources: await listResources(workspaceId),
  jobs: await listJobs(workspaceId),
  submissions: await listSubmissions(workspaceId),
});

const addressOf = (path: string) =>
  `${ORIGIN}/${path.replaceAll(/:(\w+)/g, (_, name: string) => ids[name]!)}`;

/** What a door answers, thrown or returned; whatever else it throws is a fault of ours. */
async function knock(door: Door, part: 'loader' | 'action', init: RequestInit): Promise<unknown> {
  // The stream of jobs goes on until its reader leaves.
  const leaves = AbortSignal.timeout(200);
  try {
    return await door[part]!({
      request: new Request(addressOf(door.path), { ...init, signal: leaves }),
      params: ids,
      context: {},
    });
  } catch (thrown) {
    if (thrown instanceof Response) return thrown;
    throw new Error(`${part} of “${door.path}” failed.`, { cause: thrown });
  }
}

const guarded = (part: 'loader' | 'action') =>
  doors.filter((door) => door[part] && !OPEN_TO_ALL.includes(door.file));

describe('every address', () => {
  it('sends a stranger to the sign-in, and brings him back to where he wanted to go', async () => {
    for (const part of ['loader', 'action'] as const) {
      expect(guarded(part).length).toBeGreaterThan(10);
      for (const door of guarded(part)) {
        const answer = await knock(door, part, { method: part === 'loader' ? 'GET' : 'POST' });
        expect(answer, door.path).toBeInstanceOf(Response);
        const { status, headers } = answer as Response;
        expect([door.path, status], door.path).toEqual([door.path, 302]);
        const to = new URL(headers.get('location')!, ORIGIN);
        expect(to.pathname).toBe('/sign-in');
        expect(to.searchParams.get('to')).toBe(new URL(addressOf(door.path)).pathname);
      }
    }
  });

  it('shows another press nothing of this one, whatever it asks for', async () => {
    const { cookie } = presses[1]!;
    for (const door of guarded('loader')) {
      const answer = await knock(door, 'loader', { headers: { cookie } });
      const told =
        answer instanceof Response
          ? answer.headers.get('content-type')?.startsWith('text/event-stream')
            ? ''
            : await answer.text()
          : JSON.stringify(answer);
      expect(told.toLowerCase(), door.path).not.toContain(MARK.toLowerCase());
    }
  });

  it('gives a picture of a puzzle to its own press alone', async () => {
    const door = doors.find(({ file }) => file === 'routes/item-file.ts')!;
    const [own, other] = await Promise.all(
      presses.map(({ cookie }) => knock(door, 'loader', { headers: { cookie } }) as Promise<Response>),
    );
    expect([own!.status, other!.status]).toEqual([200, 404]);
    expect(own!.headers.get('content-disposition')).toContain(MARK.toLowerCase());
    expect(await own!.text()).toMatch(/^<svg/);
  });

  it('lets its own press in: the same addresses answer, and the marked things are among the answers', async () => {
    const { cookie } = presses[0]!;
    const showing: string[] = [];
    for (const door of guarded('loader')) {
      const answer = await knock(door, 'loader', { headers: { cookie } });
      if (answer instanceof Response) continue;
      if (JSON.stringify(answer).includes(MARK)) showing.push(door.path);
    }
    expect(showing).toEqual(expect.arrayContaining(['', 'books', 'books/:book', 'niches/:niche/brief']));
  });

  const forms: [string, RequestInit][] = [
    ['no body at all', {}],
    [
      'a form with an intent that is none',
      { body: new URLSearchParams({ intent: 'delete all', seen: '; drop' }) },
    ],
    [
      'a form with every field at once',
      { body: new URLSearchParams({ intent: 'x', ids: '../..', phrase: 'p' }) },
    ],
    ['JSON of another shape', { body: '{"ids":7,"from":"one","rows":{},"name":[]}' }],
    ['JSON null', { body: 'null' }],
    ['what is no JSON', { body: '{"ids":[' }],
    ['a body far too large', { body: 'x'.repeat(5 * 1024 * 1024) }],
  ];
  it.each(forms)('refuses %s, and nothing has changed', async (_, init) => {
    const { cookie, workspaceId } = presses[0]!;
    const before = await havings(workspaceId);
    for (const door of guarded('action').filter(({ path }) => path !== 'jobs/:job/cancel')) {
      const answer = await knock(door, 'action', {
        method: 'POST',
        ...init,
        headers: { cookie, ...(typeof init.body === 'string' ? { 'content-type': 'application/json' } : {}) },
      });
      if (answer instanceof Response) expect(answer.status, door.path).toBeGreaterThanOrEqual(400);
    }
    expect(await havings(workspaceId)).toEqual(before);
  });

  it('lets another press change nothing of this one', async () => {
    const { workspaceId } = presses[0]!;
    const before = await havings(workspaceId);
    const brief = before.briefs[0]!.brief;
    const json = (body: object) => ({
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json', cookie: presses[1]!.cookie },
    });
    const form = (fields: Record<string, string>) => ({
      body: new URLSearchParams(fields),
      headers: { cookie: presses[1]!.cookie },
    });
    const tries: [path: string, init: RequestInit][] = [
      ['books/:book/save', json({ from: 1, recipe: { ...before.book!.recipe, title: 'Theirs' } })],
      ['books/:book', form({ intent: 'make files' })],
      ['books/:book', form({ intent: 'submit' })],
      ['niches/:niche', form({ intent: 'archive' })],
      ['niches/:niche', form({ intent: 'watch' })],
      ['niches/:niche', form({ intent: 'start' })],
      ['niches', form({ intent: 'archive', ids: ids.niche! })],
      ['niches', form({ intent: 'start books', ids: ids.niche! })],
      ['niches/:niche/phrases', form({ intent: 'add', phrases: 'theirs' })],
      ['niches/:niche/briefs/:brief', json({ from: brief, to: { ...brief, title: 'Theirs' } })],
      ['niches/:niche/brief', form({ intent: 'remove', brief: ids.brief! })],
      ['niches/:niche/marks', json({ ids: ['wf-000001'], marks: { hidden: true } })],
      ['niches/:niche/own', json({ table: 'phrases', rows: [], last: true })],
      ['niches', form({ intent: 'status', statuses: JSON.stringify({ [ids.niche!]: 'dropped' }) })],
      ['niches', form({ intent: 'label', ids: ids.niche!, add: '["theirs"]', remove: '[]' })],
      [
        'niches/:niche/notes',
        json({
          from: { status: 'idea', labels: [], notes: '' },
          to: { status: 'dropped', labels: ['theirs'], notes: 'Theirs' },
        }),
      ],
      ['jobs/:job/cancel', form({})],
    ];
    for (const [path, init] of tries) {
      const door = doors.find((one) => one.path === path && one.action);
      if (!door) throw new Error(`There is no “${path}”.`);
      await knock(door, 'action', { method: 'POST', ...init });
    }
    expect(await havings(workspaceId)).toEqual(before);
    expect(await db().select().from(job).where(eq(job.workspaceId, presses[1]!.workspaceId))).toEqual([]);
  });

  it('keeps at most fifty phrases as niches at a time: more are refused, and none is kept in silence', async () => {
    const { cookie, workspaceId } = presses[0]!;
    const door = doors.find(({ path, action }) => path === 'niches/:niche/phrases' && action)!;
    await addPhrases(
      workspaceId,
      ids.niche!,
      Array.from({ length: 51 }, (_, i) => ({ phrase: `kept phrase ${i}`, way: 'own' as const })),
    );
    const phrases = (await phrasesOf(workspaceId, ids.niche!)).filter(({ phrase }) =>
      phrase.startsWith('kept'),
    );
    const before = await listNiches(workspaceId);
    const keep = (those: typeof phrases) =>
      knock(door, 'action', {
        method: 'POST',
        body: new URLSearchParams({ intent: 'save as niches', ids: those.map(({ id }) => id).join(' ') }),
        headers: { cookie },
      });
    expect(await keep(phrases)).toEqual({
      problem: expect.stringContaining('At most 50 phrases become niches at a time; 51 are selected.'),
    });
    expect(await listNiches(workspaceId)).toEqual(before);
    expect(await keep(phrases.slice(0, 2))).toEqual({ problem: null, kept: 2 });
    expect(await listNiches(workspaceId)).toHaveLength(before.length + 2);
  });

  it('choosing a country or an occasion works no niche out again; a threshold does', async () => {
    const { cookie, workspaceId } = presses[0]!;
    const door = doors.find(({ path, action }) => path === 'niches/assumptions/save' && action)!;
    const from = await assumptionsOf(workspaceId);
    const save = async (to: typeof from) =>
      knock(door, 'action', {
        method: 'POST',
        body: JSON.stringify({ from: await assumptionsOf(workspaceId), to }),
        headers: { cookie, 'content-type': 'application/json' },
      });
    const mine = and(eq(look.workspaceId, workspaceId), eq(look.nicheId, ids.niche!));
    // What no sum would give: it stays as long as nothing is worked out.
    await db().update(look).set({ sellers: -1 }).where(mine);
    const sellers = async () => (await db().select().from(look).where(mine)).map((row) => row.sellers);
    await save({ ...from, country: 'CA', occasions: [{ name: 'Fair', day: '06-21' }] });
    expect(await sellers()).toEqual([-1]);
    await save({ ...from, sellsFrom: from.sellsFrom + 1 });
    expect((await sellers())[0]).toBeGreaterThanOrEqual(0);
    await save(from);
  });
});
