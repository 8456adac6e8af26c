import { Star } from 'lucide-react';
import { useMemo } from 'react';
import type { Formatting } from '#core/formats.ts';
import { daysBetween, EXPANSIONS, OLD_DAYS } from '#core/niche/index.ts';
import type { PhraseRow } from '#server/niches/phrases.ts';
import { useFormats } from '../parts/formats.tsx';
import { Mark } from '../parts/mark.tsx';
import { type RowGroup, RowTable } from '../parts/row-table.tsx';
import type { RowColumn, Sort } from '../parts/table-columns.ts';
import { useNiche } from './niche-desk.tsx';
import { copies, count, type Money, NOTHING, sentence, VERDICT_COLORS, verdictOrder } from './show.ts';
import { VerdictMark } from './verdict-mark.tsx';

export type PhraseSort =
  | 'phrase'
  | 'way'
  | 'volume'
  | 'results'
  | 'demand'
  | 'sellers'
  | 'price'
  | 'earnings'
  | 'word'
  | 'day';

const wayName = (way: PhraseRow['way']): string =>
  way === 'itself' ? 'the phrase' : way === 'own' ? 'your own' : EXPANSIONS[way];

const columnsOf = (formats: Formatting, money: Money): RowColumn<PhraseRow, PhraseSort>[] => [
  {
    key: 'phrase',
    upwards: true,
    name: 'Phrase',
    width: 200,
    grows: true,
    left: true,
    show: ({ phrase, chosen }) => (
      <>
        {chosen && <Mark icon={Star} filled />} {phrase}
      </>
    ),
  },
  {
    key: 'word',
    upwards: true,
    name: 'Verdict',
    color: ({ word }) => (word ? VERDICT_COLORS[word] : undefined),
    width: 120,
    left: true,
    show: ({ word, state }) => {
      if (state === 'waiting') return 'waiting';
      if (state === 'failed') return 'lookup failed';
      if (!word) return NOTHING;
      return (
        <>
          <VerdictMark word={word} /> {sentence(word)}
        </>
      );
    },
  },
  {
    key: 'earnings',
    name: 'Earns/mo',
    width: 76,
    show: ({ earnings }) => money.whole(earnings),
  },
  { key: 'results', upwards: true, name: 'Results', width: 74, show: ({ results }) => count(results) },
  { key: 'demand', name: 'Copies/mo', width: 84, show: ({ demand }) => copies(demand) },
  { key: 'sellers', upwards: true, name: 'Sellers', width: 66, show: ({ sellers }) => count(sellers) },
  { key: 'price', name: 'Price', width: 66, show: ({ price }) => money.exact(price) },
  { key: 'volume', name: 'Searches/mo', width: 92, show: ({ volume }) => count(volume) },
  { key: 'way', upwards: true, name: 'Found by', width: 118, left: true, show: ({ way }) => wayName(way) },
  {
    key: 'day',
    name: 'Checked',
    width: 112,
    show: ({ day }) => (day ? formats.day(day) : NOTHING),
    color: ({ day }) => (day && isOld(day) ? 'warning.main' : undefined),
    hint: ({ day }) => (day && isOld(day) ? `More than ${OLD_DAYS} days old. Look it up again.` : undefined),
  },
];

const isOld = (day: string): boolean => daysBetween(day, new Date().toISOString()) > OLD_DAYS;

/** Compares two phrases by a column; what is not known comes last. */
export function comparePhrases(by: PhraseSort, down: boolean): (a: PhraseRow, b: PhraseRow) => number {
  const way = down ? -1 : 1;
  const value = (row: PhraseRow): string | number | null => {
    if (by === 'phrase') return row.phrase;
    if (by === 'way') return wayName(row.way);
    if (by === 'word') return row.state === 'done' ? verdictOrder(row.word) : null;
    return row[by];
  };
  return (a, b) => {
    const [x, y] = [value(a), value(b)];
    if (x === null || y === null) return Number(x === null) - Number(y === null);
    return way * (x < y ? -1 : x > y ? 1 : 0);
  };
}

/** Phrases, with a line over each group where they are grouped. */
export function PhrasesTable({
  lines,
  sort,
  onSort,
  chosen,
  onChosen,
  onStar,
}: {
  lines: (PhraseRow | RowGroup)[];
  sort: Sort<PhraseSort>;
  onSort: (sort: Sort<PhraseSort>) => void;
  chosen: ReadonlySet<string>;
  onChosen: (ids: ReadonlySet<string>) => void;
  onStar: (ids: string[], chosen: boolean) => void;
}) {
  const formats = useFormats();
  const { money } = useNiche();
  const columns = useMemo(() => columnsOf(formats, money), [formats, money]);
  return (
    <RowTable<PhraseRow, PhraseSort>
      label="Phrases"
      keysTold="Arrows move, Space selects, K adds to keywords"
      columns={columns}
      count={lines.length}
      lineAt={(index) => lines[index]!}
      idOf={({ id }) => id}
      nameOf={({ phrase }) => phrase}
      sort={sort}
      onSort={onSort}
      chosen={chosen}
      onChosen={onChosen}
      keys={{ k: (ids, row) => onStar(ids, !row.chosen) }}
      pale={({ state }) => state !== 'done'}
      bold={(row) => row.chosen}
      empty="No phrase holds these words."
    />
  );
}
