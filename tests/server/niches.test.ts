import { eq } from 'drizzle-orm';
import fc from 'fast-check';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { bookFrom, jobTicket } from '#core/book/index.ts';
import {
  type Comparable,
  copiesAMonth,
  DEFAULT_ASSUMPTIONS,
  DEFAULT_CURVE,
  defaultCurve,
  HOME_MARKET,
  readRivals,
} from '#core/niche/index.ts';
import { writeWords } from '#core/resources/index.ts';
import { openBook } from '#server/books.ts';
import { closeDatabase, db, sql } from '#server/db/client.ts';
import { look, nicheAssumptions, notice, rival, sighting } from '#server/db/niche-schema.ts';
import { workspace } from '#server/db/schema.ts';
import { newId } from '#server/ids.ts';
import { expandJob } from '#server/jobs/expand-job.ts';
import { lookJob } from '#server/jobs/look-job.ts';
import { readPayload } from '#server/jobs/payloads.ts';
import { cancelJob, enqueueJob, listJobs, stopQueue } from '#server/jobs/queue.ts';
import { type ClaimedJob, claim } from '#server/jobs/running-job.ts';
import { watchNiches } from '#server/jobs/watch-niches.ts';
import {
  addPairs,
  assumptionsOf,
  curveOf,
  dropPair,
  pairsOf,
  saveAssumptions,
} from '#server/niches/assumptions.ts';
import {
  addBrief,
  briefsOf,
  briefsOrDraft,
  draftBrief,
  removeBrief,
  saveBrief,
  startBooks,
  takeCandidates,
} from '#server/niches/briefs.ts';
import {
  linesOf,
  lookNow,
  looksAt,
  movesOf,
  recalculateAll,
  recalculateSoon,
  takeLook,
} from '#server/niches/looks.ts';
import {
  archiveNiches,
  keepNiche,
  labelNiches,
  listNiches,
  markSeen,
  openNiche,
  saveNotes,
  setStatuses,
  unseenChanges,
  watchNiche,
} from '#server/niches/niches.ts';
import {
  addPhrases,
  choosePhrases,
  countPhrases,
  expandNiche,
  phrasesOf,
  removePhrases,
  resumePhrases,
} from '#server/niches/phrases.ts';
import {
  addOwnRivals,
  countedRivals,
  dropOwnRivals,
  firstRivalLines,
  markRivals,
  putRivals,
  rivalLines,
} from '#server/niches/rivals.ts';
import { keepResource } from '#server/resources/resources.ts';
import { OPENING, openPress, type Press } from './press.ts';

let press: Press;
let own: string;
let other: string;

beforeAll(async () => {
  press = await openPress('quill_niches');
});
afterAll(async () => {
  await stopQueue();
  await closeDatabase();
  await press.close();
});
beforeEach(async () => {
  own = newId();
  other = newId();
  await db()
    .insert(workspace)
    .values([own, other].map((id) => ({ id, name: `Press ${id}` })));
  await press.put('/clock', { day: OPENING });
  await press.put('/behavior', { busy: 0, breakAfterWork: 0, malformed: 0, delayMs: 0 });
});

const PHRASE = 'dog journal';
const at = (id: string, phrase: string, market = HOME_MARKET) => ({ id, phrase, market });
async function lookedAt(phrase = PHRASE): Promise<string> {
  const id = await keepNiche(own, phrase);
  await takeLook(own, at(id, phrase));
  return id;
}
/** The rivals on the table of a niche, the best sellers first. */
const rows = async (niche: string) =>
  readRivals(await rivalLines(own, niche), DEFAULT_CURVE).sort(
    (a, b) => (a.rank ?? Infinity) - (b.rank ?? Infinity) || (a.id < b.id ? -1 : 1),
  );
const ownRow = (n: number, more: Partial<Comparable> = {}): Comparable => ({
  id: `own-${n}`,
  title: `Own Book ${n}`,
  penName: 'Odile Marrow',
  price: 7.99,
  trim: { width: 6, height: 9 },
  pages: 120,
  ink: 'black',
  rank: 1000 + n,
  reviews: 3,
  rating: 4.1,
  published: '2026-01-01',
  category: '',
  ...more,
});

describe('looks', () => {
  it('are kept with their day; the second shows what moved, and rivals keep their marks', async () => {
    const id = await lookedAt();
    const before = await rows(id);
    expect(before).toHaveLength(60);
    await markRivals(own, id, [before[0]!.id, before[1]!.id], { notComparable: true });
    expect(await movesOf(own, id, HOME_MARKET)).toBeNull();
    await press.put('/clock', { advance: 14 });
    await takeLook(own, at(id, PHRASE));
    const looks = await looksAt(own, id);
    expect(looks.map(({ day }) => day)).toEqual([OPENING, '2026-12-08']);
    expect(looks.map(({ results }) => results).every((n) => n >= 60)).toBe(true);
    const moves = (await movesOf(own, id, HOME_MARKET))!;
    expect(moves.since).toBe(OPENING);
    expect(Object.keys(moves.ranksBefore)).toHaveLength(60);
    const after = await rows(id);
    // The marks of those that are still among the rivals, and of no other.
    const there = before.slice(0, 2).filter((was) => after.some((row) => row.id === was.id));
    expect(there.length).toBeGreaterThan(0);
    const marked = after.filter((row) => row.notComparable);
    expect(marked.map((row) => row.id).sort()).toEqual(there.map((row) => row.id).sort());
    const line = await linesOf(own, id, [before[5]!.id]);
    expect(line.map(({ day }) => day)[0]).toBe(OPENING);
  });

  it('two at once come one after the other, and lose nothing', async () => {
    const id = await keepNiche(own, PHRASE);
    await Promise.all([
      takeLook(own, at(id, PHRASE)),
      takeLook(own, at(id, PHRASE)),
      takeLook(own, at(id, PHRASE)),
    ]);
    expect(await looksAt(own, id)).toHaveLength(3);
    expect(await rows(id)).toHaveLength(60);
    const sightings = await db().select().from(sighting).where(eq(sighting.workspaceId, own));
    expect(sightings).toHaveLength(180);
  });

  it('damaged rows are left out and counted', async () => {
    await press.put('/behavior', { malformed: 1 });
    const id = await lookedAt();
    const [latest] = await looksAt(own, id);
    expect(latest!.unread).toBeGreaterThan(10);
    expect(await rows(id)).toHaveLength(60 - latest!.unread);
  });

  it('what is not answered at once becomes a job, which takes the look with patience', async () => {
    const id = await keepNiche(own, PHRASE);
    await press.put('/behavior', { busy: 2 });
    await lookNow(own, at(id, PHRASE));
    expect(await looksAt(own, id)).toHaveLength(0);
    const [queued] = await listJobs(own);
    expect(queued).toMatchObject({ kind: 'look', nicheId: id, state: 'queued' });
    const row = (await claim(queued!.id, 1))!;
    await lookJob(row);
    expect((await listJobs(own))[0]).toMatchObject({ state: 'done' });
    expect(await looksAt(own, id)).toHaveLength(1);
    // Asked for twice while it waits, it is one job.
    await press.put('/behavior', { busy: 9 });
    await lookNow(own, at(id, PHRASE));
    await lookNow(own, at(id, PHRASE));
    expect((await listJobs(own)).filter(({ state }) => state === 'queued')).toHaveLength(1);
  });

  it('the list tells the latest verdict, the way of the demand and three covers of the marketplace', async () => {
    const id = await lookedAt();
    await press.put('/clock', { advance: 3 });
    await takeLook(own, at(id, PHRASE));
    await addOwnRivals(own, id, [ownRow(1, { rank: 1 })]);
    await recalculateSoon(own, id);
    const [row] = await listNiches(own);
    expect(row).toMatchObject({
      id,
      phrase: PHRASE,
      latest: { day: '2026-11-27', word: expect.any(String) },
    });
    expect(row!.spark).toHaveLength(2);
    expect(row!.latest!.best).toHaveLength(3);
    expect(row!.latest!.best.every((rivalId) => rivalId.startsWith('wf-'))).toBe(true);
  });
});

describe('the sums', () => {
  it('follow the marks: a rival that is not comparable no longer counts', async () => {
    const id = await lookedAt();
    const [best] = await rows(id);
    const before = (await listNiches(own))[0]!.latest!;
    await markRivals(own, id, [best!.id], { notComparable: true });
    await recalculateSoon(own, id);
    const after = (await listNiches(own))[0]!.latest!;
    expect(after.demand).toBeLessThan(before.demand);
    expect(after.best).not.toContain(best!.id);
    await markRivals(own, id, [best!.id], { notComparable: false });
    await recalculateSoon(own, id);
    expect((await listNiches(own))[0]!.latest).toEqual(before);
  });

  it('own pairs bend the curve of every look, and taking them out bends it back', async () => {
    const id = await lookedAt();
    await press.put('/clock', { advance: 7 });
    await takeLook(own, at(id, PHRASE));
    const usual = (await looksAt(own, id)).map(({ copies }) => copies);
    await addPairs(
      own,
      'us',
      [1000, 5000, 20_000, 90_000, 400_000].map((rank) => ({ rank, copies: copiesAMonth(rank) * 3 })),
    );
    await recalculateAll(own);
    const bent = (await looksAt(own, id)).map(({ copies }) => copies);
    for (const [i, demand] of bent.entries()) expect(demand / usual[i]!).toBeCloseTo(3, 6);
    for (const { id: pair } of await pairsOf(own)) await dropPair(own, pair);
    await recalculateAll(own);
    expect(await curveOf(own, HOME_MARKET)).toEqual(DEFAULT_CURVE);
    expect((await looksAt(own, id)).map(({ copies }) => copies)).toEqual(
      usual.map((n) => expect.closeTo(n, 6)),
    );
    // Sales of another market bend nothing here.
    await addPairs(
      own,
      'gb',
      [1, 2, 3, 4].map((n) => ({ rank: n * 1000, copies: 900 / n })),
    );
    expect(await curveOf(own, HOME_MARKET)).toEqual(DEFAULT_CURVE);
  });

  it('choices are kept, and what can no longer be read falls back to the defaults', async () => {
    await saveAssumptions(own, { ...DEFAULT_ASSUMPTIONS, sellsFrom: 7 });
    expect((await assumptionsOf(own)).sellsFrom).toBe(7);
    expect((await assumptionsOf(other)).sellsFrom).toBe(DEFAULT_ASSUMPTIONS.sellsFrom);
    await db()
      .update(nicheAssumptions)
      .set({ assumptions: { sellsFrom: -3 } })
      .where(eq(nicheAssumptions.workspaceId, own));
    expect(await assumptionsOf(own)).toEqual(DEFAULT_ASSUMPTIONS);
  });

  it('two tabs do not overwrite each other: the later one is told what is there now', async () => {
    const first = { ...DEFAULT_ASSUMPTIONS, sellsFrom: 7 };
    const second = { ...DEFAULT_ASSUMPTIONS, country: 'CA' };
    expect((await saveAssumptions(own, first, DEFAULT_ASSUMPTIONS)).saved).toBe(true);
    expect(await saveAssumptions(own, second, DEFAULT_ASSUMPTIONS)).toEqual({ saved: false, now: first });
    // The same once more, as when an answer was lost, is no conflict.
    expect((await saveAssumptions(own, first, DEFAULT_ASSUMPTIONS)).saved).toBe(true);
    expect(await assumptionsOf(own)).toEqual(first);
    expect((await saveAssumptions(own, second, first)).saved).toBe(true);
  });

  it('ranks are averaged over the looks of the last weeks: a single day does not move the verdict', async () => {
    const id = await lookedAt();
    const before = await looksAt(own, id);
    await press.put('/clock', { advance: 6 });
    await takeLook(own, at(id, PHRASE));
    const counted = await countedRivals(own, id);
    const [best] = counted.filter(({ usualRank }) => usualRank);
    const ranks = (await linesOf(own, id, [best!.id])).map(({ rank }) => rank!);
    expect(ranks).toHaveLength(2);
    // The geometric mean, worked out beside the database.
    expect(best!.usualRank).toBeCloseTo(Math.sqrt(ranks[0]! * ranks[1]!), 4);
    const stored = (await rows(id)).find((row) => row.id === best!.id)!;
    expect(stored.usualRank).toBeCloseTo(best!.usualRank!, 4);
    const looks = await looksAt(own, id);
    expect(looks.map(({ confidence }) => confidence)).toEqual(['fair', 'fair']);
    // Each day of a line over time is drawn from what was seen on it, not from the mean that the verdict goes by.
    expect(looks[0]!.copies).toBeCloseTo(before[0]!.copies, 6);
    const seen = (
      await linesOf(
        own,
        id,
        counted.map((row) => row.id),
      )
    )
      .filter(({ day, rank }) => day === looks[1]!.day && rank)
      .map(({ rank }) => rank!)
      .sort((a, b) => a - b)
      .slice(0, 20);
    expect(looks[1]!.copies).toBeCloseTo(
      seen.reduce((sum, rank) => sum + copiesAMonth(rank), 0),
      4,
    );
    expect(looks[1]!.demand).not.toBeCloseTo(looks[1]!.copies, 2);
  });
});

describe('markets', () => {
  it('each has its own looks, costs and curve: the same phrase is two niches, in dollars and in pounds', async () => {
    const id = await lookedAt();
    const british = await keepNiche(own, PHRASE, 'gb');
    expect(british).not.toBe(id);
    await takeLook(own, at(british, PHRASE, 'gb'));
    expect((await openNiche(own, british))!.market).toBe('gb');
    const [home, abroad] = await Promise.all([countedRivals(own, id), countedRivals(own, british)]);
    const prices = new Map(home.map((row) => [row.id, row.price!]));
    const both = abroad.filter((row) => prices.has(row.id));
    expect(both.length).toBeGreaterThan(10);
    for (const row of both) expect(row.price!).toBeLessThan(prices.get(row.id)!);
    expect(both.some((row) => row.rank !== home.find((other) => other.id === row.id)!.rank)).toBe(true);

    const before = await Promise.all([looksAt(own, id), looksAt(own, british)]);
    const ranks = [1000, 5000, 20_000, 90_000, 400_000];
    await addPairs(
      own,
      'gb',
      ranks.map((rank) => ({ rank, copies: copiesAMonth(rank, defaultCurve('gb')) * 3 })),
    );
    await recalculateAll(own, 'gb');
    const after = await Promise.all([looksAt(own, id), looksAt(own, british)]);
    expect(after[0]).toEqual(before[0]);
    expect(after[1][0]!.copies / before[1][0]!.copies).toBeCloseTo(3, 6);
    expect((await draftBrief(own, at(british, PHRASE, 'gb'))).prices).toMatchObject({
      gb: expect.any(Number),
      us: expect.any(Number),
    });
  });

  it('reviews gained a month are told from looks of the last months', async () => {
    const id = await lookedAt();
    await press.put('/clock', { advance: 60 });
    await takeLook(own, at(id, PHRASE));
    const looks = await looksAt(own, id);
    const seen = await db().select().from(sighting).where(eq(sighting.workspaceId, own));
    const reviewsAt = (look: string, rivalId: string) =>
      seen.find((row) => row.lookId === look && row.rivalId === rivalId)?.reviews;
    const { reviewsGained } = (await movesOf(own, id, HOME_MARKET))!;
    const both = Object.keys(reviewsGained);
    expect(both.length).toBeGreaterThan(10);
    for (const rivalId of both)
      expect(reviewsGained[rivalId]).toBeCloseTo(
        (reviewsAt(looks[1]!.id, rivalId)! - reviewsAt(looks[0]!.id, rivalId)!) / 2,
        9,
      );
    expect(Object.values(reviewsGained).some((gained) => gained > 0)).toBe(true);
  });

  it('own rows are judged without the marketplace, by a result count of their own, until it answers', async () => {
    const id = await keepNiche(own, PHRASE);
    await addOwnRivals(
      own,
      id,
      Array.from({ length: 12 }, (_, i) => ownRow(i, { rank: 20_000 + i * 9000 })),
    );
    await recalculateSoon(own, id);
    const [row] = await listNiches(own);
    expect(row!.latest).toMatchObject({ results: 12, confidence: 'fair' });
    expect(row!.latest!.earnings!.mean).toBeGreaterThan(0);
    // A second lot is the same look, with more rows.
    await addOwnRivals(own, id, [ownRow(99, { rank: 44_000 })]);
    await recalculateSoon(own, id);
    expect(await looksAt(own, id)).toMatchObject([{ source: 'own', results: 13 }]);
    await takeLook(own, at(id, PHRASE));
    expect((await looksAt(own, id)).map(({ source }) => source)).toEqual(['own', 'market']);
    expect(await movesOf(own, id, HOME_MARKET)).toBeNull();
  });
});

describe('the list of niches', () => {
  it('shows only looks that were judged, and the same of a phrase without books as its page', async () => {
    const id = await lookedAt('zebra fish knitting sudoku');
    const [empty] = await listNiches(own);
    expect(empty!.latest).toMatchObject({ results: 0, demand: 0, earnings: null, confidence: 'low' });
    expect(empty!.latest!.word).toBe((await looksAt(own, id)).at(-1)!.word);
    // A look that is on its way has no verdict yet: the one before it is shown, not “no demand”.
    await db().insert(look).values({
      id: newId(),
      workspaceId: own,
      nicheId: id,
      day: '2027-01-01',
      results: 7,
      categories: [],
      demand: 0,
      sellers: 0,
      word: 'no demand',
      best: [],
    });
    expect((await listNiches(own))[0]!.latest).toEqual(empty!.latest);
  });

  it('changes of one niche are told by day, those of one day together', async () => {
    const id = await keepNiche(own, PHRASE);
    const told = (day: string, message: string) => ({
      id: newId(),
      workspaceId: own,
      nicheId: id,
      day,
      kind: 'new rival',
      message,
    });
    await db()
      .insert(notice)
      .values([told('2026-11-01', 'one'), told('2026-11-01', 'two'), told('2026-11-09', 'three')]);
    const changes = await unseenChanges(own);
    expect(changes.map(({ day, messages }) => [day, messages.slice().sort()]).sort()).toEqual([
      ['2026-11-01', ['one', 'two']],
      ['2026-11-09', ['three']],
    ]);
  });
});

describe('what is noted of niches', () => {
  it('status, labels and notes are kept, and two tabs do not overwrite each other', async () => {
    const id = await keepNiche(own, PHRASE);
    const none = { status: 'idea', labels: [], notes: '' } as const;
    const first = { status: 'making', labels: ['dogs'], notes: 'For the fall' } as const;
    expect(await saveNotes(own, id, { ...first, labels: ['dogs'] }, { ...none, labels: [] })).toEqual({
      saved: true,
    });
    expect(await saveNotes(own, id, { ...none, labels: ['late'] }, { ...none, labels: [] })).toEqual({
      saved: false,
      now: first,
    });
    expect(await saveNotes(other, id, { ...none, labels: [] }, { ...first, labels: ['dogs'] })).toBeNull();
    const second = await keepNiche(own, 'cat journal');
    await labelNiches(own, [id, second], { add: ['pets'], remove: ['dogs'] });
    await setStatuses(own, { [id]: 'dropped', [second]: 'dropped' });
    // Nobody else's.
    await labelNiches(other, [id], { add: ['theirs'], remove: [] });
    await setStatuses(other, { [id]: 'published' });
    expect((await listNiches(own)).map(({ labels, status }) => [labels, status])).toEqual([
      [['pets'], 'dropped'],
      [['pets'], 'dropped'],
    ]);
  });
});

describe('own rivals', () => {
  it('come in by thousands, twice without harm, keep their marks, and go out without touching the others', async () => {
    const id = await lookedAt();
    const many = Array.from({ length: 20_000 }, (_, i) => ownRow(i));
    for (let at = 0; at < many.length; at += 5000) await addOwnRivals(own, id, many.slice(at, at + 5000));
    expect(await rows(id)).toHaveLength(20_060);
    const ids = many.map((row) => row.id);
    await markRivals(own, id, ids, { hidden: true });
    await addOwnRivals(
      own,
      id,
      many.slice(0, 5000).map((row) => ({ ...row, price: 5.99 })),
    );
    const again = (await rows(id)).filter((row) => row.id === 'own-17');
    expect(again).toEqual([expect.objectContaining({ id: 'own-17', price: 5.99, hidden: true })]);
    await press.put('/clock', { advance: 1 });
    await takeLook(own, at(id, PHRASE));
    expect((await rows(id)).length).toBeGreaterThanOrEqual(20_060);
    await dropOwnRivals(own, id, [...ids, (await rows(id))[0]!.id]);
    expect(await rows(id)).toHaveLength(60);
  });

  it('titles that are SQL, script or nonsense are titles', async () => {
    const id = await lookedAt();
    const title = `'); drop table rival; -- <script>"\\u0000 ${'é'.repeat(200)}`;
    await addOwnRivals(own, id, [ownRow(1, { title })]);
    expect((await countedRivals(own, id)).some((row) => row.title === title)).toBe(true);
    // On their way to the page only what parts cells and lines becomes a space; nothing else of a rival is lost.
    const whole = ownRow(2, { title: 'One\tbook\nof “two”', rating: null, price: null, trim: null });
    await addOwnRivals(own, id, [{ ...whole, watched: true }]);
    const rivals = await rows(id);
    expect(rivals.map((row) => row.title)).toContain(title);
    expect(rivals.find((row) => row.id === 'own-2')).toMatchObject({
      ...whole,
      title: 'One book of “two”',
      source: 'own',
      watched: true,
      hidden: false,
      royalty: null,
    });
  });

  it('the last row of an id wins', async () => {
    const id = await lookedAt();
    await addOwnRivals(own, id, [ownRow(1, { price: 1 }), ownRow(1, { price: 2 })]);
    expect((await countedRivals(own, id)).find((row) => row.id === 'own-1')!.price).toBe(2);
  });
});

describe('expanding a phrase', () => {
  const claimed = async (job: string): Promise<ClaimedJob> => (await claim(job, 1))!;
  const expandClaimed = (row: ClaimedJob) => expandJob(row, readPayload('expand', row.payload)!);

  it('asks for every phrase through refusals and breaks, and for suggestions by letters', async () => {
    const id = await lookedAt();
    await saveAssumptions(own, { ...DEFAULT_ASSUMPTIONS, requestsASecond: 50 });
    await press.put('/behavior', { busy: 3, breakAfterWork: 3 });
    const job = await expandNiche(own, id, PHRASE, ['letters', 'audience'], 2026);
    await expandClaimed(await claimed(job));
    expect((await listJobs(own)).find((row) => row.id === job)).toMatchObject({
      state: 'done',
      message: 'All phrases looked up.',
    });
    const phrases = await phrasesOf(own, id);
    expect(phrases.every(({ state }) => state === 'done')).toBe(true);
    expect(phrases.filter(({ way }) => way === 'letters').length).toBeGreaterThan(2);
    expect(phrases.filter(({ way }) => way === 'audience')).toHaveLength(
      DEFAULT_ASSUMPTIONS.lists.audiences.length,
    );
    const found = phrases.find(({ phrase }) => phrase === PHRASE)!;
    const [latest] = await looksAt(own, id);
    expect(found.results).toBe(latest!.results);
    expect(found.demand).toBeCloseTo(latest!.demand, 6);
    expect(found.word).toBe(latest!.word);
    expect(found.earnings).toBeCloseTo(latest!.earnings!.mean, 6);
  });

  it('asks no faster than the publisher said', async () => {
    const id = await lookedAt();
    await saveAssumptions(own, { ...DEFAULT_ASSUMPTIONS, requestsASecond: 10 });
    const job = await expandNiche(own, id, PHRASE, ['format', 'number'], 2026);
    press.asked.length = 0;
    await expandClaimed(await claimed(job));
    const times = press.asked.map(({ at }) => at);
    expect(times.length).toBeGreaterThan(12);
    for (let i = 11; i < times.length; i++) expect(times[i]! - times[i - 11]!).toBeGreaterThan(900);
  });

  it('goes on where it was canceled, and asks nothing twice', async () => {
    const id = await lookedAt();
    await saveAssumptions(own, { ...DEFAULT_ASSUMPTIONS, requestsASecond: 25 });
    const job = await expandNiche(own, id, PHRASE, ['audience', 'format', 'combined'], 2026);
    press.asked.length = 0;
    const running = expandClaimed(await claimed(job));
    while (press.asked.length < 20) await new Promise((next) => setTimeout(next, 20));
    await cancelJob(own, job);
    await running;
    expect((await listJobs(own)).find((row) => row.id === job)?.message).toBe(
      'Canceled. Phrases found so far are kept.',
    );
    const { all, waiting } = await countPhrases(own, id);
    expect(waiting).toBeGreaterThan(0);
    expect(waiting).toBeLessThan(all);
    const done = (await phrasesOf(own, id))
      .filter(({ state }) => state === 'done')
      .map(({ phrase }) => phrase);
    press.asked.length = 0;
    await saveAssumptions(own, { ...DEFAULT_ASSUMPTIONS, requestsASecond: 50 });
    await expandClaimed(await claimed(await resumePhrases(own, id)));
    expect((await countPhrases(own, id)).waiting).toBe(0);
    const again = press.asked.map(({ path }) => new URLSearchParams(path.split('?')[1]).get('phrase'));
    expect(again.filter((phrase) => phrase && done.includes(phrase))).toEqual([]);
  });

  it('suggestions that were not all asked for are asked for again when it is resumed', async () => {
    const id = await lookedAt();
    const job = await expandNiche(own, id, PHRASE, ['letters'], 2026);
    await claim(job, 1);
    await cancelJob(own, job);
    const again = await claimed(await resumePhrases(own, id));
    expect(again.payload).toEqual({ letters: true });
  });

  it('a result count that the publisher brought is not overwritten by the marketplace’s', async () => {
    const id = await lookedAt();
    await addPhrases(own, id, [{ phrase: 'zzz nobody writes this', way: 'own', results: 340 }]);
    await saveAssumptions(own, { ...DEFAULT_ASSUMPTIONS, requestsASecond: 50 });
    await expandClaimed(await claimed(await resumePhrases(own, id)));
    const [row] = await phrasesOf(own, id);
    expect(row).toMatchObject({ state: 'done', results: 340, demand: 0, earnings: null });
  });

  it('phrases that are taken out come back as they were, and candidates go into the brief', async () => {
    const id = await lookedAt();
    await addPhrases(own, id, [
      { phrase: 'dog diary', way: 'own', volume: 40 },
      { phrase: 'puppy journal', way: 'own' },
      { phrase: 'a phrase that is so long that no listing takes it as keyword', way: 'own' },
    ]);
    const ids = (await phrasesOf(own, id)).map((row) => row.id);
    await removePhrases(own, id, ids, true);
    expect(await phrasesOf(own, id)).toEqual([]);
    await removePhrases(own, id, ids, false);
    expect((await phrasesOf(own, id)).map(({ volume }) => volume)).toContain(40);
    const words = await choosePhrases(own, id, ids, true);
    expect(words).toHaveLength(3);
    await takeCandidates(own, id, words, true);
    const keywords = async () => (await briefsOf(own, id))[0]!.brief.keywords;
    expect(await keywords()).toEqual(expect.arrayContaining(['dog diary', 'puppy journal']));
    expect((await keywords()).every((word) => word.length <= 50)).toBe(true);
    expect((await draftBrief(own, at(id, PHRASE))).keywords.slice(0, 2).sort()).toEqual([
      'dog diary',
      'puppy journal',
    ]);
    await takeCandidates(own, id, ['dog diary'], false);
    expect(await keywords()).not.toContain('dog diary');
  });
});

describe('watching', () => {
  it('looks once on every day of the marketplace, and tells the changes that matter once', async () => {
    const id = await lookedAt();
    await watchNiche(own, id, true);
    const due = async () => {
      await watchNiches();
      return (await listJobs(own)).filter(({ state, kind }) => state === 'queued' && kind === 'look');
    };
    expect(await due()).toHaveLength(0);
    await press.put('/clock', { advance: 80 });
    const jobs = await due();
    expect(jobs).toHaveLength(1);
    expect(await due()).toHaveLength(1);
    await lookJob((await claim(jobs[0]!.id, 1))!);
    expect(await due()).toHaveLength(0);
    const changes = await unseenChanges(own);
    expect(changes).toHaveLength(1);
    expect(changes[0]).toMatchObject({ nicheId: id, phrase: PHRASE, day: '2027-02-12' });
    const told = changes[0]!.messages.length;
    expect(told).toBeGreaterThan(0);
    await takeLook(own, at(id, PHRASE));
    expect((await unseenChanges(own))[0]!.messages).toHaveLength(told);
    expect(await unseenChanges(other)).toEqual([]);
    await markSeen(other, 'all');
    expect(await unseenChanges(own)).toHaveLength(1);
    await markSeen(own, id);
    expect(await unseenChanges(own)).toEqual([]);
  });

  it('a single rival under watch is told of alone, and what was archived is left alone', async () => {
    const id = await lookedAt();
    const all = await rows(id);
    await markRivals(
      own,
      id,
      all.slice(0, 30).map((row) => row.id),
      { watched: true },
    );
    await press.put('/clock', { advance: 45 });
    await takeLook(own, at(id, PHRASE));
    const kinds = await db().select({ kind: notice.kind }).from(notice).where(eq(notice.workspaceId, own));
    expect(kinds.length).toBeGreaterThan(0);
    expect(kinds.every(({ kind }) => kind === 'rival moved' || kind === 'rival gone')).toBe(true);
    await archiveNiches(own, [id], true);
    expect(await unseenChanges(own)).toEqual([]);
    expect(await openNiche(own, id)).toBeNull();
    await press.put('/clock', { advance: 1 });
    await watchNiches();
    expect((await listJobs(own)).filter(({ kind }) => kind === 'look')).toEqual([]);
    // Looked at again, it is back with all its looks.
    expect(await keepNiche(own, PHRASE)).toBe(id);
    expect(await looksAt(own, id)).toHaveLength(2);
  });
});

describe('own rows', () => {
  it('come back letter for letter and digit for digit, whatever stands in them', async () => {
    const id = await keepNiche(own, 'anything');
    const anything = fc.string({ unit: 'grapheme', maxLength: 40 }).map((text) => text.replaceAll('\0', ''));
    const known = fc.constantFrom(null, 1, 2_147_483_647);
    const row = fc.record({
      title: fc.oneof(
        anything,
        fc.constantFrom('NULL', '{}', '"', '\\', '","', '\\"', 'a,b', "o'clock", '\n', ' '),
      ),
      penName: anything,
      price: fc.option(fc.double({ min: 0, max: 100_000, noNaN: true })),
      trim: fc.option(
        fc.record({ width: fc.double({ min: 2, max: 20, noNaN: true }), height: fc.constant(9) }),
      ),
      pages: known,
      ink: fc.constantFrom('black' as const, 'color' as const),
      rank: known,
      reviews: known,
      published: fc.constantFrom(null, '2026-01-01'),
      category: anything,
    });
    await fc.assert(
      fc.asyncProperty(fc.array(row, { minLength: 1, maxLength: 30 }), async (given) => {
        const sent = given.map((one, i) => ownRow(i, one));
        await addOwnRivals(own, id, sent);
        const kept = new Map((await countedRivals(own, id)).map(({ source: _, ...one }) => [one.id, one]));
        for (const one of sent) expect(kept.get(one.id)).toEqual(one);
      }),
      { numRuns: 40 },
    );
  });

  it('of a long table the best ranks come ahead, as they come with all', async () => {
    const id = await keepNiche(own, 'long table');
    const rows = (from: number, to: number) =>
      Array.from({ length: to - from }, (_, i) =>
        ownRow(from + i, { rank: (((from + i) * 7919) % 5003) + 1 }),
      );
    await addOwnRivals(own, id, rows(0, 5000));
    expect(await firstRivalLines(own, id)).toBe('');
    await addOwnRivals(own, id, rows(5000, 5003));
    await markRivals(own, id, [ownRow(0, {}).id], { hidden: true });
    const byRank = readRivals(await rivalLines(own, id), DEFAULT_CURVE)
      .filter(({ hidden }) => !hidden)
      .sort((a, b) => a.rank! - b.rank!);
    const first = readRivals(await firstRivalLines(own, id), DEFAULT_CURVE);
    expect(first.length).toBeGreaterThan(30);
    expect(first).toEqual(byRank.slice(0, first.length));
    expect(await firstRivalLines(other, id)).toBe('');
  });
});

describe('briefs', () => {
  it('several start several books at once, each as its brief says', async () => {
    const id = await lookedAt('beekeeping word search');
    const [first] = await briefsOrDraft(own, at(id, 'beekeeping word search'));
    expect(first!.brief).toMatchObject({ phrase: 'beekeeping word search', kinds: ['word-search'] });
    const second = await addBrief(own, id, {
      ...first!.brief,
      title: 'Bees in the Pocket',
      kinds: ['word-search', 'ruled'],
      trim: '5 × 8 in',
      pages: 100,
    });
    const books = await startBooks(own, 'Tin Lantern Press', [first!.id, second, 'no-such-brief']);
    expect(books).toHaveLength(2);
    expect((await listNiches(own)).map(({ status }) => status)).toEqual(['making']);
    const pocket = (await openBook(own, books[1]!))!.recipe;
    expect(pocket.title).toBe('Bees in the Pocket');
    expect(bookFrom(pocket).plan.pages).toHaveLength(100);
    expect(jobTicket(bookFrom(pocket)).trim).toEqual({ width: 360, height: 576 });
    expect((await briefsOf(own, id)).map(({ bookId }) => bookId)).toEqual(books);
    expect(await briefsOrDraft(own, at(id, 'beekeeping word search'))).toHaveLength(2);
  });

  it('a book takes the words that fit its niche, and none where no word bank does', async () => {
    const bank = (name: string, list: string[]) =>
      keepResource(own, { type: 'words', name }, [writeWords(list)]);
    await bank('Bees & hives', ['swarm', 'nectar']);
    await bank('Kitchen', ['ladle', 'whisk']);
    const wordsFor = async (phrase: string) => {
      const id = await lookedAt(phrase);
      const [first] = await briefsOrDraft(own, at(id, phrase));
      const [bookId] = await startBooks(own, 'Tin Lantern Press', [first!.id]);
      const { resources } = (await openBook(own, bookId!))!.recipe;
      return Object.values(resources).map(({ name }) => name);
    };
    expect(await wordsFor('beekeeping word search')).toEqual(['Bees & hives']);
    expect(await wordsFor('kitchen word search')).toEqual(['Kitchen']);
    expect(await wordsFor('pottery word search')).toEqual([]);
  });

  it('one taken out is out of sight, and comes back to its place with what was decided', async () => {
    const id = await lookedAt('beekeeping word search');
    const [first] = await briefsOrDraft(own, at(id, 'beekeeping word search'));
    const second = await addBrief(own, id, { ...first!.brief, title: 'Bees in the Pocket' });
    const both = await briefsOf(own, id);
    await removeBrief(own, first!.id, true);
    expect((await briefsOf(own, id)).map((row) => row.id)).toEqual([second]);
    await removeBrief(own, first!.id, false);
    expect(await briefsOf(own, id)).toEqual(both);
  });
});

describe('a brief in two tabs', () => {
  it('is not overwritten by what began before the other saved', async () => {
    const id = await lookedAt();
    const [{ id: briefId, brief: opened }] = (await briefsOrDraft(own, at(id, PHRASE))) as [
      Awaited<ReturnType<typeof briefsOrDraft>>[number],
    ];
    const titled = (title: string) => ({ ...opened, title });
    expect(await saveBrief(own, briefId, titled('One'), opened)).toEqual({ saved: true });
    expect(await saveBrief(own, briefId, titled('Two'), opened)).toEqual({
      saved: false,
      now: titled('One'),
    });
    expect((await briefsOf(own, id))[0]!.brief.title).toBe('One');
    expect(await saveBrief(own, briefId, titled('One'), opened)).toEqual({ saved: true });
    expect(await saveBrief(own, briefId, titled('Two'), titled('One'))).toEqual({ saved: true });
  });
});

describe('another press', () => {
  it('sees, marks, brings, expands, decides and starts nothing of this one', async () => {
    const id = await lookedAt();
    const [row] = await rows(id);
    const rivalId = row!.id;
    const [decided] = await briefsOf(own, id);
    await addPhrases(own, id, [{ phrase: 'dog diary', way: 'own' }]);
    const [phrase] = await phrasesOf(own, id);
    expect(await openNiche(other, id)).toBeNull();
    expect(await rivalLines(other, id)).toBe('');
    expect(await looksAt(other, id)).toEqual([]);
    expect(await movesOf(other, id, HOME_MARKET)).toBeNull();
    expect(await linesOf(other, id, [rivalId])).toEqual([]);
    expect(await phrasesOf(other, id)).toEqual([]);
    expect(await briefsOf(other, id)).toEqual([]);
    expect(await listNiches(other)).toEqual([]);
    expect(await addOwnRivals(other, id, [ownRow(1)])).toBe(false);
    expect(await saveBrief(other, decided!.id, { ...decided!.brief, title: 'Theirs' })).toBeNull();
    expect(await startBooks(other, 'X', [decided!.id])).toEqual([]);
    await markRivals(other, id, [rivalId], { hidden: true });
    await dropOwnRivals(other, id, [rivalId]);
    await choosePhrases(other, id, [phrase!.id], true);
    await removePhrases(other, id, [phrase!.id], true);
    await removeBrief(other, decided!.id, true);
    await watchNiche(other, id, true);
    await archiveNiches(other, [id], true);
    await recalculateAll(other);
    expect(await rows(id)).toContainEqual(row);
    expect((await phrasesOf(own, id))[0]).toMatchObject({ chosen: false });
    expect(await briefsOf(own, id)).toHaveLength(1);
    expect(await openNiche(own, id)).toMatchObject({ watched: false });
    const job = await enqueueJob(own, { nicheId: id }, 'look', {}, { key: `${id} look` });
    expect(await cancelJob(other, job)).toBe(false);
    expect(await listJobs(other)).toEqual([]);
  });

  it('owns no row in a niche of another: the database itself refuses it', async () => {
    const id = await lookedAt();
    await expect(putRivals(db(), other, id, [ownRow(1)], 'own')).rejects.toThrow();
    expect((await rows(id)).map((row) => row.id)).not.toContain('own-1');
  });

  it('every table of niches belongs to a workspace, and goes with it', async () => {
    const id = await lookedAt();
    await addPhrases(own, id, [{ phrase: 'dog diary', way: 'own' }]);
    await db().delete(workspace).where(eq(workspace.id, own));
    const left = await sql()`select
      (select count(*)::int from niche where workspace_id = ${own}) as niches,
      (select count(*)::int from phrase where workspace_id = ${own}) as phrases`;
    expect(left[0]).toEqual({ niches: 0, phrases: 0 });
    for (const table of [look, rival, sighting])
      expect(await db().select().from(table).where(eq(table.workspaceId, own))).toEqual([]);
  });
});
