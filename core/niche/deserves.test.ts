import { describe, expect, it } from 'vitest';
import { deserveLook, type SavedNiche } from './index.ts';

const TODAY = '2026-11-24';
const niche = (id: string, more: Partial<SavedNiche> = {}) => ({
  id,
  status: 'idea' as const,
  unseen: 0,
  latest: { day: '2026-11-20', word: 'crowded' as const, earnings: { mean: 3 } },
  ...more,
});
const looked = (word: 'open' | 'worth a try' | 'crowded', mean: number, day = '2026-11-20') => ({
  latest: { day, word, earnings: { mean } },
});

describe('what deserves a look', () => {
  it('open before changed, before worth a try, before long ago, before never; the best earning first', () => {
    const found = deserveLook(
      [
        niche('never', { latest: null }),
        niche('old', looked('crowded', 2, '2026-09-01')),
        niche('try', looked('worth a try', 9)),
        niche('try more', looked('worth a try', 14)),
        niche('changed', { unseen: 2 }),
        niche('open', looked('open', 30)),
        niche('open more', looked('open', 90)),
      ],
      TODAY,
      20,
    );
    expect(found.map(({ id, reason }) => [id, reason])).toEqual([
      ['open more', 'open'],
      ['open', 'open'],
      ['changed', 'changed'],
      ['try more', 'worth a try'],
      ['try', 'worth a try'],
      ['old', 'old'],
      ['never', 'new'],
    ]);
  });

  it('what is crowded, dropped or has its book without news is left alone; no more than asked', () => {
    expect(
      deserveLook(
        [
          niche('crowded'),
          niche('dropped', { ...looked('open', 90), status: 'dropped', unseen: 3 }),
          niche('made', { ...looked('open', 90), status: 'making' }),
          niche('published', { status: 'published', unseen: 1 }),
        ],
        TODAY,
        20,
      ).map(({ id }) => id),
    ).toEqual(['published']);
    const many = Array.from({ length: 9 }, (_, i) => niche(String(i), { unseen: 1 }));
    expect(deserveLook(many, TODAY, 5)).toHaveLength(5);
  });
});
