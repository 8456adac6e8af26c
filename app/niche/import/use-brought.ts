import { useMemo, useState } from 'react';
import { currencyOf } from '#core/niche/index.ts';
import {
  guessTableWriting,
  type Matching,
  matchColumns,
  OWN_TABLES,
  type OwnTable,
  type OwnTableId,
  type Rates,
  type RawTable,
  readRaw,
  readRows,
  type Unreadable,
  USUAL_RATES,
  type Writing,
} from '#core/niche/own/index.ts';

/** A longer table is not changed as text, and its beginning is all that is shown of it; all of it is read. */
const TEXT_CHANGED = 20_000;
const TEXT_SHOWN = 2000;
/** Letters at the beginning of a table in which a sign of money is looked for. */
const SIGNS_LOOKED_FOR = 50_000;

/** A row that could not be read, and what it reads as after mending. */
export type MendedRow = Unreadable & { now: ReturnType<OwnTable<unknown>['read']> };

/** A table as it was brought, with what was guessed about it. */
export interface Brought {
  raw: RawTable;
  matching: Matching;
  writing: Writing;
}

/** A table on its way in: how it is read, what cannot be read, and what was mended of that. */
export function useBrought(id: OwnTableId, market: string) {
  const into = currencyOf(market);
  const table = OWN_TABLES[id] as OwnTable<unknown>;
  const [text, setText] = useState('');
  const [shortened, setShortened] = useState(false);
  const [brought, setBrought] = useState<Brought | null>(null);
  const [rates, setRates] = useState<Rates>(USUAL_RATES);
  const [mended, setMended] = useState<Record<number, Record<string, string>>>({});

  /** @throws RangeError when the table is too long */
  const bring = (whole: string) => {
    setShortened(whole.length > TEXT_CHANGED);
    setText(whole.length > TEXT_CHANGED ? `${whole.slice(0, TEXT_SHOWN)}\n…` : whole);
    setMended({});
    if (whole.trim() === '') {
      setBrought(null);
      return;
    }
    const raw = readRaw(whole, table.fields);
    const matching = matchColumns(raw, table.fields);
    const writing = guessTableWriting(raw, matching, table.fields);
    // Prices without a sign are most likely those of the market.
    const signs = whole.slice(0, SIGNS_LOOKED_FOR).match(/[$£€¥]|\b(usd|gbp|eur|jpy)\b/i);
    setBrought({ raw, matching, writing: signs ? writing : { ...writing, currency: into } });
  };
  const read = useMemo(
    () =>
      brought && readRows(table, brought.raw, brought.matching, { writing: brought.writing, rates, into }),
    [brought, table, rates, into],
  );
  const again = useMemo((): MendedRow[] => {
    if (!read || !brought) return [];
    return read.unreadable.map((row) => {
      const cells = { ...row.cells, ...mended[row.line] };
      const filled = Object.fromEntries(Object.entries(cells).filter(([, cell]) => cell.trim() !== ''));
      return { ...row, cells, now: table.read(filled, { writing: brought.writing, rates, into }) };
    });
  }, [read, brought, mended, table, rates, into]);
  const whole = again.flatMap(({ now }) => ('row' in now ? [now.row] : []));
  return {
    table,
    text,
    /** Only the beginning of the text is shown. */
    shortened,
    brought,
    bring,
    rates,
    into,
    setRates,
    /** Rows to fix, mended ones among them. */
    again,
    /** Leaves only the rows that cannot be read yet. */
    keepUnread() {
      const left = new Set(again.flatMap(({ line, now }) => ('problems' in now ? [line] : [])));
      if (brought)
        setBrought({
          ...brought,
          raw: { ...brought.raw, rows: brought.raw.rows.filter(({ line }) => left.has(line)) },
        });
    },
    mend: (line: number, field: string, cell: string) =>
      setMended({ ...mended, [line]: { ...mended[line], [field]: cell } }),
    setWriting: (part: Partial<Writing>) =>
      brought && setBrought({ ...brought, writing: { ...brought.writing, ...part } }),
    /** Says which field a column holds; another column that held it is left out. */
    match: (column: number, field: string | null) =>
      brought &&
      setBrought({
        ...brought,
        matching: brought.matching.map((held, i) => (i === column ? field : held === field ? null : held)),
      }),
    /** Fields that the table must have and no column holds. */
    missing: table.fields.filter(
      ({ key, required }) => required && brought && !brought.matching.includes(key),
    ),
    count: { good: (read?.rows.length ?? 0) + whole.length, left: again.length - whole.length },
    /** All rows that can be read now. Made when they are sent: a large table is not copied at every keystroke. */
    rows: (): unknown[] => [...(read?.rows ?? []), ...whole],
  };
}

export type BroughtTable = ReturnType<typeof useBrought>;
