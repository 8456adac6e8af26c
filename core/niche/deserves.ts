import { daysBetween, OLD_DAYS } from './looked.ts';
import type { NicheStatus } from './notes.ts';
import type { VerdictWord } from './verdict.ts';

/** A saved niche, as far as it is asked whether somebody should look at it. */
export interface SavedNiche {
  status: NicheStatus;
  /** Changes that nobody has seen. */
  unseen: number;
  latest: { day: string; word: VerdictWord; earnings: { mean: number } | null } | null;
}

export type Deserving<T> = T & { reason: 'open' | 'changed' | 'old' | 'worth a try' | 'new' };

const ORDER = ['open', 'changed', 'worth a try', 'old', 'new'] as const;

/**
 * The niches that deserve a look, the most pressing first: open ones without a book, those that changed, those worth a
 * try, those checked long ago or never. What was dropped is left alone, and so is what has its book and no news.
 * @param today ISO 8601
 */
export function deserveLook<T extends SavedNiche>(
  niches: readonly T[],
  today: string,
  max: number,
): Deserving<T>[] {
  const earns = ({ latest }: SavedNiche) => latest?.earnings?.mean ?? Number.NEGATIVE_INFINITY;
  return niches
    .flatMap((niche): Deserving<T>[] => {
      const reason = reasonFor(niche, today);
      return reason ? [{ ...niche, reason }] : [];
    })
    .sort((a, b) => ORDER.indexOf(a.reason) - ORDER.indexOf(b.reason) || earns(b) - earns(a))
    .slice(0, max);
}

function reasonFor(
  { status, unseen, latest }: SavedNiche,
  today: string,
): Deserving<object>['reason'] | null {
  if (status === 'dropped') return null;
  const undecided = status === 'idea' || status === 'researching';
  if (undecided && latest?.word === 'open') return 'open';
  if (unseen > 0) return 'changed';
  if (!undecided) return null;
  if (!latest) return 'new';
  if (latest.word === 'worth a try' && daysBetween(latest.day, today) <= OLD_DAYS) return 'worth a try';
  return daysBetween(latest.day, today) > OLD_DAYS ? 'old' : null;
}
