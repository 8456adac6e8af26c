import { fitsKind } from './kinds.ts';
import { ANY_PART, type PartName, type PhraseLists, type PhraseParts, phraseOf } from './phrases/index.ts';

/** What is known of a phrase that was looked up. */
export interface KnownPhrase {
  id: string;
  phrase: string;
  parts: PhraseParts;
  results: number;
  /** Copies in 30 days of its best sellers. */
  demand: number;
  /** How many of them sell. */
  sellers: number;
  /** Times a month it is typed; null where nobody says. */
  searches: number | null;
  /** The phrase of the niche itself: what it says is no news. */
  itself: boolean;
}

export interface GapCell {
  row: string;
  column: string;
  demand: number;
  sellers: number;
  /** Books on sale. */
  results: number;
  searches: number | null;
  /** Copies in 30 days for each book on sale, counting the new one: those that are sold, or would be by the searches. */
  share: number;
  phrases: KnownPhrase[];
}

export interface GapTable {
  rows: string[];
  columns: string[];
  cells: (GapCell | null)[][];
  /** The cells worth a look, best first. */
  best: GapCell[];
}

const BEST = 5;

/**
 * Crosses two parts of the phrases that were looked up: where buyers are and few books are on sale, the share of a
 * new one is large. A cell that several phrases fall into takes the one with the most demand, since the same buyers type them.
 * Where nobody sells, buys or searches there is nothing to show, and a row or column of nothing else is left out.
 * @param leastDemand copies in 30 days under which a cell is no gap, but an empty corner
 * @param buysPerSearch copies that are sold for each search
 */
export function gapTable(
  phrases: readonly KnownPhrase[],
  rowPart: PartName,
  columnPart: PartName,
  leastDemand: number,
  buysPerSearch: number,
): GapTable {
  const named = (part: PartName, value: string) => value || ANY_PART[part];
  const cells = new Map<string, GapCell>();
  const totals = { rows: new Map<string, number>(), columns: new Map<string, number>() };
  const wanted = ({ demand, searches }: Pick<KnownPhrase, 'demand' | 'searches'>) =>
    Math.max(demand, (searches ?? 0) * buysPerSearch);
  for (const known of phrases) {
    if (known.results === 0 && wanted(known) === 0) continue;
    const row = named(rowPart, known.parts[rowPart]);
    const column = named(columnPart, known.parts[columnPart]);
    const key = JSON.stringify([row, column]);
    const cell = cells.get(key);
    if (!cell || wanted(known) > wanted(cell)) {
      cells.set(key, {
        row,
        column,
        demand: known.demand,
        sellers: known.sellers,
        results: known.results,
        searches: known.searches,
        share: wanted(known) / (known.results + 1),
        phrases: [known, ...(cell?.phrases ?? [])],
      });
    } else cell.phrases.push(known);
  }
  for (const cell of cells.values()) {
    const { row, column } = cell;
    totals.rows.set(row, (totals.rows.get(row) ?? 0) + wanted(cell));
    totals.columns.set(column, (totals.columns.get(column) ?? 0) + wanted(cell));
  }
  const inOrder = (map: Map<string, number>) =>
    [...map].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([name]) => name);
  const rows = inOrder(totals.rows);
  const columns = inOrder(totals.columns);
  return {
    rows,
    columns,
    cells: rows.map((row) => columns.map((column) => cells.get(JSON.stringify([row, column])) ?? null)),
    best: [...cells.values()]
      .filter((cell) => wanted(cell) >= leastDemand && !cell.phrases.every(({ itself }) => itself))
      .sort((a, b) => b.share - a.share)
      .slice(0, BEST),
  };
}

/** The list that each part is looked up from. */
const LISTS = { audience: 'audiences', format: 'formats', kind: 'kinds' } as const;

/**
 * Phrases of the cells that nobody has asked for yet: every value of one part with every one of the other, as far as they
 * make sense together.
 * @param own parts of the niche's own phrase; what is crossed takes their place
 */
export function missingCells(
  known: readonly Pick<KnownPhrase, 'phrase' | 'parts'>[],
  own: PhraseParts,
  rowPart: PartName,
  columnPart: PartName,
  lists: PhraseLists,
): string[] {
  const key = (parts: PhraseParts) => JSON.stringify([parts[rowPart], parts[columnPart]]);
  const there = new Set(known.map(({ parts }) => key(parts)));
  const phrases = new Set(known.map(({ phrase }) => phrase));
  const missing = new Set<string>();
  for (const row of lists[LISTS[rowPart]])
    for (const column of lists[LISTS[columnPart]]) {
      const parts = { ...own, number: '', year: '', [rowPart]: row, [columnPart]: column };
      const phrase = phraseOf(parts);
      if (!there.has(key(parts)) && !phrases.has(phrase) && fitsKind(parts.format, parts.kind))
        missing.add(phrase);
    }
  return [...missing];
}
