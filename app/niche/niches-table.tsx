import Link from '@mui/material/Link';
import { Eye } from 'lucide-react';
import { useMemo } from 'react';
import { Link as To } from 'react-router';
import type { Formatting } from '#core/formats.ts';
import { HOME_MARKET, marketOf } from '#core/niche/index.ts';
import type { NicheRow } from '#server/niches/niches.ts';
import { useFormats } from '../parts/formats.tsx';
import { Mark } from '../parts/mark.tsx';
import { RowTable } from '../parts/row-table.tsx';
import type { RowColumn, Sort } from '../parts/table-columns.ts';
import type { NicheSort } from './niche-filter.ts';
import { copies, count, moneyOf, NOTHING, sentence, VERDICT_COLORS } from './show.ts';
import { Spark } from './spark.tsx';
import { VerdictMark } from './verdict-mark.tsx';

type ColumnKey = NicheSort | 'trend';

/** Niches as a table, with a heading. */
export const rowsOfNiches = (niches: readonly NicheRow[]) => [
  [
    'phrase',
    'market',
    'verdict',
    'confidence',
    'results',
    'searches a month',
    'monthly sales of the top 20',
    'a new book earns a month',
    'middle half from',
    'to',
    'currency',
    'status',
    'labels',
    'notes',
    'day',
    'watched',
  ],
  ...niches.map(({ phrase, market, status, labels, notes, latest, watched }) => [
    phrase,
    market,
    latest?.word,
    latest?.confidence ?? '',
    latest?.results,
    latest?.searches,
    latest?.demand.toFixed(1),
    latest?.earnings?.mean.toFixed(2),
    latest?.earnings?.low.toFixed(2),
    latest?.earnings?.high.toFixed(2),
    marketOf(market).currency,
    status,
    labels.join('; '),
    notes,
    latest?.day,
    watched ? 'yes' : 'no',
  ]),
];

const columnsOf = (formats: Formatting): RowColumn<NicheRow, ColumnKey>[] => [
  {
    key: 'phrase',
    upwards: true,
    name: 'Phrase',
    width: 170,
    grows: true,
    left: true,
    hint: ({ phrase }) => phrase,
    show: ({ id, phrase, watched, unseen }) => (
      <>
        {watched && (
          <span title="Under watch">
            <Mark icon={Eye} />{' '}
          </span>
        )}
        <Link component={To} to={`/niches/${id}`} onClick={(event) => event.stopPropagation()}>
          {phrase}
        </Link>
        {unseen > 0 && ` · ${unseen} ${unseen === 1 ? 'change' : 'changes'}`}
      </>
    ),
  },
  {
    key: 'market',
    upwards: true,
    name: 'Market',
    width: 62,
    left: true,
    show: ({ market }) => marketOf(market).name,
  },
  {
    key: 'word',
    upwards: true,
    name: 'Verdict',
    width: 116,
    left: true,
    color: ({ latest }) => (latest ? VERDICT_COLORS[latest.word] : undefined),
    show: ({ latest }) =>
      latest ? (
        <>
          <VerdictMark word={latest.word} /> {sentence(latest.word)}
        </>
      ) : (
        'not checked yet'
      ),
  },
  {
    key: 'earnings',
    name: 'Earns/mo',
    width: 76,
    show: ({ latest, market }) => moneyOf(market).whole(latest?.earnings?.mean ?? null),
    hint: ({ latest, market }) =>
      latest?.earnings
        ? `A new book earns ${moneyOf(market).whole(latest.earnings.low)} to ${moneyOf(market).whole(latest.earnings.high)} in the middle half`
        : undefined,
  },
  {
    key: 'confidence',
    upwards: true,
    name: 'Confidence',
    width: 80,
    left: true,
    show: ({ latest }) => latest?.confidence ?? NOTHING,
  },
  {
    key: 'demand',
    name: 'Copies/mo',
    width: 84,
    show: ({ latest }) => copies(latest?.demand ?? null),
    hint: () => 'Monthly copies of the top 20',
  },
  {
    key: 'trend',
    name: 'Trend',
    width: 90,
    sorts: false,
    show: ({ spark }) => (
      <Spark values={spark} label={`Monthly copies of the top 20 over ${spark.length} snapshots`} />
    ),
  },
  {
    key: 'results',
    upwards: true,
    name: 'On sale',
    width: 70,
    show: ({ latest }) => count(latest?.results ?? null),
  },
  {
    key: 'searches',
    name: 'Searches/mo',
    width: 94,
    show: ({ latest }) => count(latest?.searches ?? null),
  },
  { key: 'status', upwards: true, name: 'Status', width: 90, left: true, show: ({ status }) => status },
  {
    key: 'labels',
    upwards: true,
    name: 'Labels',
    width: 84,
    left: true,
    show: ({ labels }) => labels.join(', ') || NOTHING,
    hint: ({ labels }) => labels.join(', '),
  },
  {
    key: 'notes',
    upwards: true,
    name: 'Notes',
    width: 76,
    left: true,
    show: ({ notes }) => notes || NOTHING,
    hint: ({ notes }) => notes,
  },
  {
    key: 'day',
    name: 'Checked',
    width: 106,
    show: ({ latest }) => (latest ? formats.day(latest.day) : NOTHING),
  },
];

/** The saved niches: sorted by any column, chosen by mouse or keys. */
export function NichesTable({
  niches,
  sort,
  onSort,
  chosen,
  onChosen,
  open,
  onOpen,
  empty,
}: {
  niches: readonly NicheRow[];
  sort: Sort<NicheSort>;
  onSort: (sort: Sort<NicheSort>) => void;
  chosen: ReadonlySet<string>;
  onChosen: (ids: ReadonlySet<string>) => void;
  open: string | null;
  onOpen: (id: string | null) => void;
  empty: string;
}) {
  const formats = useFormats();
  const abroad = niches.some(({ market }) => market !== HOME_MARKET);
  const narrow = open !== null;
  const columns = useMemo(
    () =>
      columnsOf(formats).filter(
        ({ key }) => (abroad || key !== 'market') && !(narrow && LEFT_OUT_BESIDE_DETAIL.has(key)),
      ),
    [formats, abroad, narrow],
  );
  return (
    <RowTable<NicheRow, ColumnKey>
      label="Niches"
      keysTold="Arrows move, Space selects, Enter shows status, labels and notes"
      columns={columns}
      count={niches.length}
      lineAt={(index) => niches[index]!}
      idOf={({ id }) => id}
      nameOf={({ phrase }) => phrase}
      sort={sort}
      onSort={({ by, down }) => by !== 'trend' && onSort({ by, down })}
      chosen={chosen}
      onChosen={onChosen}
      open={open}
      onOpen={onOpen}
      pale={({ status }) => status === 'dropped'}
      empty={empty}
    />
  );
}

const LEFT_OUT_BESIDE_DETAIL: ReadonlySet<ColumnKey> = new Set(['trend', 'searches', 'labels', 'notes']);
