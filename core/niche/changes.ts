import { type Formatting, formatting, USUAL_FORMATS } from '../formats.ts';
import { showMoney } from '../print/index.ts';
import { TOP } from './verdict.ts';

/** What a look saw, as far as changes are told from it. */
export interface LookSummary {
  /** ISO 8601 day. */
  day: string;
  results: number;
  demand: number;
  /** Best sellers first. */
  rivals: readonly { id: string; title: string; price: number | null; rank: number | null }[];
}

export interface Change {
  kind: 'new rival' | 'price war' | 'demand up' | 'demand down' | 'rival moved' | 'rival gone';
  message: string;
}

/** A price is cut when it falls by so much; a war is so many of the top rivals at once. */
const CUT = 0.1;
const WAR = 5;
const DOUBLED = 2;
/** A single rival that is watched has moved when its rank changes by this factor. */
const MOVED = 1.5;

const count = (value: number) => Math.round(value).toLocaleString('en-US');

/**
 * The changes between two looks that matter. Small moves of ranks are the weather, and not told. Messages are kept as
 * they were told: a form of days that is chosen later holds for later ones.
 */
export function changesBetween(
  before: LookSummary,
  after: LookSummary,
  { day }: Formatting = formatting(USUAL_FORMATS),
): Change[] {
  const changes: Change[] = [];
  const seen = new Set(before.rivals.map(({ id }) => id));
  const fresh = after.rivals.slice(0, TOP).filter(({ id }) => !seen.has(id));
  for (const { title, rank } of fresh)
    changes.push({
      kind: 'new rival',
      message: `“${title}” is new in the top ${TOP}${rank ? `, at rank ${count(rank)}` : ''}.`,
    });
  const prices = new Map(before.rivals.map(({ id, price }) => [id, price]));
  const cut = after.rivals.slice(0, TOP).filter(({ id, price }) => {
    const was = prices.get(id);
    return was && price && price <= was * (1 - CUT);
  });
  if (cut.length >= WAR)
    changes.push({
      kind: 'price war',
      message: `${cut.length} of the top ${TOP} cost at least ${CUT * 100}% less than on ${day(before.day)}.`,
    });
  if (before.demand > 0 && after.demand >= before.demand * DOUBLED)
    changes.push({
      kind: 'demand up',
      message: `The top ${TOP} sell ${count(after.demand)} copies a month, up from ${count(before.demand)} on ${day(before.day)}.`,
    });
  if (after.demand > 0 && before.demand >= after.demand * DOUBLED)
    changes.push({
      kind: 'demand down',
      message: `The top ${TOP} sell ${count(after.demand)} copies a month, down from ${count(before.demand)} on ${day(before.day)}.`,
    });
  return changes;
}

/** Changes of single rivals under watch. @param currency that of their prices, ISO 4217 */
export function changesOfRivals(
  before: LookSummary,
  after: LookSummary,
  watched: ReadonlySet<string>,
  currency: string,
): Change[] {
  const now = new Map(after.rivals.map((rival) => [rival.id, rival]));
  return before.rivals
    .filter(({ id }) => watched.has(id))
    .flatMap((was): Change[] => {
      const is = now.get(was.id);
      if (!is)
        return [{ kind: 'rival gone', message: `“${was.title}” is no longer among the rivals looked at.` }];
      const told: string[] = [];
      if (was.rank && is.rank && Math.max(is.rank / was.rank, was.rank / is.rank) >= MOVED)
        told.push(`rank ${count(was.rank)} → ${count(is.rank)}`);
      if (was.price !== null && is.price !== null && was.price !== is.price)
        told.push(`price ${showMoney(was.price, currency)} → ${showMoney(is.price, currency)}`);
      return told.length ? [{ kind: 'rival moved', message: `“${was.title}”: ${told.join(', ')}.` }] : [];
    });
}
