import {
  CONFIDENCES,
  type Confidence,
  daysBetween,
  NICHE_STATUSES,
  type NicheStatus,
  OLD_DAYS,
  type VerdictWord,
} from '#core/niche/index.ts';
import type { NicheRow } from '#server/niches/niches.ts';
import { verdictOrder } from './show.ts';

/** How long ago niches were checked. */
export const CHECKED = {
  lately: `within ${OLD_DAYS} days`,
  'long ago': `more than ${OLD_DAYS} days ago`,
  never: 'not yet',
} as const;

/** What is shown of the niches; what is left out narrows nothing. */
export interface NicheFilter {
  /** Each must be in the phrase, a label or the notes. */
  words?: string;
  word?: VerdictWord;
  confidence?: Confidence;
  status?: NicheStatus;
  label?: string;
  /** Earnings of a new book, in the currency of its market. */
  earnsFrom?: number;
  checked?: keyof typeof CHECKED;
}

export type NicheSort =
  | 'phrase'
  | 'market'
  | 'word'
  | 'earnings'
  | 'confidence'
  | 'demand'
  | 'results'
  | 'searches'
  | 'status'
  | 'labels'
  | 'notes'
  | 'day';

/** The niches that a filter lets through. @param today ISO 8601 */
export function filterNiches(niches: readonly NicheRow[], filter: NicheFilter, today: string): NicheRow[] {
  const asked = (filter.words ?? '').toLowerCase().split(/\s+/).filter(Boolean);
  return niches.filter(({ phrase, labels, notes, status, latest }) => {
    const said = `${phrase} ${labels.join(' ')} ${notes}`.toLowerCase();
    return (
      asked.every((word) => said.includes(word)) &&
      (filter.word === undefined || latest?.word === filter.word) &&
      (filter.confidence === undefined || latest?.confidence === filter.confidence) &&
      (filter.status === undefined || status === filter.status) &&
      (filter.label === undefined || labels.includes(filter.label)) &&
      (filter.earnsFrom === undefined ||
        (latest?.earnings?.mean ?? Number.NEGATIVE_INFINITY) >= filter.earnsFrom) &&
      (filter.checked === undefined || checkedWhen(latest?.day, today) === filter.checked)
    );
  });
}

const checkedWhen = (day: string | undefined, today: string): keyof typeof CHECKED =>
  day === undefined ? 'never' : daysBetween(day, today) > OLD_DAYS ? 'long ago' : 'lately';

/** Compares two niches by a column; what is not known comes last, what is equal by earnings. */
export function compareNiches(by: NicheSort, down: boolean): (a: NicheRow, b: NicheRow) => number {
  const way = down ? -1 : 1;
  return (a, b) => {
    const [x, y] = [sortedBy(a, by), sortedBy(b, by)];
    if (x === null || y === null) return Number(x === null) - Number(y === null);
    if (x !== y) return way * (x < y ? -1 : 1);
    return (b.latest?.earnings?.mean ?? 0) - (a.latest?.earnings?.mean ?? 0);
  };
}

function sortedBy({ latest, ...row }: NicheRow, by: NicheSort): string | number | null {
  switch (by) {
    case 'phrase':
    case 'market':
    case 'notes':
      return row[by] || null;
    case 'status':
      return NICHE_STATUSES.indexOf(row.status);
    case 'labels':
      return row.labels.join(', ') || null;
    case 'word':
      return latest && verdictOrder(latest.word);
    case 'earnings':
      return latest?.earnings?.mean ?? null;
    case 'confidence':
      return latest?.confidence ? CONFIDENCES.indexOf(latest.confidence) : null;
    default:
      return latest?.[by] ?? null;
  }
}
