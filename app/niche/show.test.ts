import { describe, expect, it } from 'vitest';
import type { PhraseRow } from '#server/niches/phrases.ts';
import { type Job, secondsLeft } from '../parts/jobs.tsx';
import { comparePhrases } from './phrases-table.tsx';
import { conditionValue, copies, count, moneyOf, NOTHING, percent, sentence, verdictOrder } from './show.ts';

const dollars = moneyOf('us');

describe('numbers for people', () => {
  it.each([
    [count(1234567), '1,234,567'],
    [count(0), '0'],
    [count(null), NOTHING],
    [copies(3.149), '3.1'],
    [copies(0), '0'],
    [copies(9.99), '10.0'],
    [copies(10.4), '10'],
    [copies(null), NOTHING],
    [dollars.exact(8.5), '$8.50'],
    [dollars.exact(-2.375), '−$2.38'],
    [dollars.exact(null), NOTHING],
    [moneyOf('gb').exact(8.5), '£8.50'],
    [moneyOf('gb').whole(-1234.4), '−£1,234'],
    [dollars.whole(22712.6), '$22,713'],
    [dollars.whole(-40), '−$40'],
    [percent(0.425), '43%'],
    [sentence('worth a try'), 'Worth a try'],
    [conditionValue(0.2, 'share', dollars), '20%'],
    [conditionValue(60, 'money', dollars), '$60 a month'],
    [conditionValue(511.4, 'copies', dollars), '511'],
    [conditionValue(412, 'books', dollars), '412'],
  ])('%s', (shown, wanted) => {
    expect(shown).toBe(wanted);
  });

  it('verdicts stand from the best to the worst, what is not known last', () => {
    const order = ['open', 'worth a try', 'crowded', 'no demand', null] as const;
    expect([...order].sort((a, b) => verdictOrder(a) - verdictOrder(b))).toEqual(order);
  });
});

describe('the order of phrases', () => {
  const row = (phrase: string, more: Partial<PhraseRow> = {}): PhraseRow => ({
    id: phrase,
    phrase,
    way: 'audience',
    state: 'done',
    problem: '',
    volume: null,
    results: 10,
    demand: 100,
    sellers: 1,
    price: 9,
    word: 'open',
    earnings: 5,
    day: '2026-11-24',
    chosen: false,
    removed: false,
    ...more,
  });
  const sorted = (rows: PhraseRow[], ...by: Parameters<typeof comparePhrases>) =>
    rows
      .slice()
      .sort(comparePhrases(...by))
      .map(({ phrase }) => phrase);

  it('is that of the column, either way, and what is not known comes last both ways', () => {
    const rows = [
      row('a', { earnings: 3 }),
      row('b', { earnings: null }),
      row('c', { earnings: 8 }),
      // No books to judge by.
      row('d', { earnings: null, results: 0 }),
    ];
    expect(sorted(rows, 'earnings', true).slice(0, 2)).toEqual(['c', 'a']);
    expect(sorted(rows, 'earnings', false).slice(0, 2)).toEqual(['a', 'c']);
    expect(sorted(rows, 'earnings', true).slice(2).sort()).toEqual(['b', 'd']);
    expect(sorted(rows, 'earnings', false).slice(2).sort()).toEqual(['b', 'd']);
  });

  it('by verdict runs from open to no demand; what waits comes last', () => {
    const rows = [
      row('w', { state: 'waiting', word: null }),
      row('n', { word: 'no demand' }),
      row('o', { word: 'open' }),
      row('c', { word: 'crowded' }),
    ];
    expect(sorted(rows, 'word', false)).toEqual(['o', 'c', 'n', 'w']);
  });

  it('by words is alphabetical', () => {
    expect(sorted([row('moth'), row('ant'), row('bee')], 'phrase', false)).toEqual(['ant', 'bee', 'moth']);
  });
});

describe('time left of a job', () => {
  const job = (more: Partial<Job>): Job => ({
    id: 'j',
    bookId: 'b',
    nicheId: null,
    kind: 'make-files',
    state: 'running',
    done: 30,
    of: 120,
    message: '',
    about: 'The Hive',
    createdAt: '2026-11-24T10:00:00Z',
    startedAt: '2026-11-24T10:00:00Z',
    finishedAt: null,
    ...more,
  });
  const at = Date.parse('2026-11-24T10:00:15Z');

  it('goes on at the pace so far', () => {
    expect(secondsLeft(job({}), at)).toBe(45);
    expect(secondsLeft(job({ done: 120 }), at)).toBe(0);
  });

  it('is anyone’s guess before the first step, in the queue, and for a job of unknown length', () => {
    for (const more of [
      { done: 0 },
      { done: 5 },
      { state: 'queued' as const },
      { startedAt: null },
      { of: 0 },
    ])
      expect(secondsLeft(job(more), at)).toBeNull();
    expect(secondsLeft(job({}), Date.parse('2026-11-24T10:00:02Z'))).toBeNull();
  });
});
