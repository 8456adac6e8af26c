import Box from '@mui/material/Box';
import { ArrowDown, ArrowUp, EqualNot, Eye, Pencil } from 'lucide-react';
import { useMemo } from 'react';
import { authorShares, counts, type Rival, type SortKey } from '#core/niche/index.ts';
import { inches } from '#core/units.ts';
import { useFormats } from '../parts/formats.tsx';
import { Mark } from '../parts/mark.tsx';
import { RowTable } from '../parts/row-table.tsx';
import type { RowColumn, Sort } from '../parts/table-columns.ts';
import { useNiche } from './niche-desk.tsx';
import { copies, count, NOTHING, percent } from './show.ts';

type ColumnKey = SortKey | 'moved';

/** Fewer reviews gained a month are not worth a figure. */
const LEAST_GAINED = 0.1;

/** Columns left out where there is less room. */
const LEFT_OUT: Record<'whole' | 'beside a rival' | 'short', ReadonlySet<ColumnKey>> = {
  whole: new Set(),
  'beside a rival': new Set(['author', 'printCost', 'age', 'rating']),
  short: new Set(['author', 'printCost', 'moved', 'age', 'pages', 'rating']),
};

/** The rivals: sorted by any column, chosen by mouse or keys, marked where they stand. */
export function RivalsTable({
  rowIndices,
  sort,
  onSort,
  chosen,
  onChosen,
  open,
  onOpen,
  room = 'whole',
}: {
  rowIndices: Uint32Array;
  sort: Sort<SortKey>;
  onSort: (sort: Sort<SortKey>) => void;
  chosen: ReadonlySet<string>;
  onChosen: (ids: ReadonlySet<string>) => void;
  open: string | null;
  onOpen: (id: string | null) => void;
  room?: keyof typeof LEFT_OUT;
}) {
  const { rivals: all, firstRivals, moves, mark, latest, money } = useNiche();
  const rivals = all ?? firstRivals;
  const formats = useFormats();
  const authors = useMemo(() => authorShares(all ?? []), [all]);
  const today = latest ? Date.parse(latest.day) : 0;
  const columns: RowColumn<Rival, ColumnKey>[] = [
    {
      key: 'title',
      upwards: true,
      name: 'Title',
      width: 140,
      grows: true,
      left: true,
      hint: ({ title, penName }) => `${title}, ${penName}`,
      show: (rival) => (
        <>
          {rival.watched && (
            <span title="Under watch">
              <Mark icon={Eye} />{' '}
            </span>
          )}
          {rival.notComparable && (
            <span title="Not really comparable">
              <Mark icon={EqualNot} />{' '}
            </span>
          )}
          {rival.source === 'own' && (
            <span title="Your own row">
              <Mark icon={Pencil} />{' '}
            </span>
          )}
          <Box component="span" sx={{ textDecoration: counts(rival) ? 'none' : 'line-through' }}>
            {rival.title}
          </Box>
        </>
      ),
    },
    {
      key: 'author',
      upwards: true,
      name: 'Author',
      width: 116,
      left: true,
      show: ({ penName }) => penName || NOTHING,
      hint: ({ penName }) => {
        const author = authors.get(penName);
        return author
          ? `${penName}: ${author.books} ${author.books === 1 ? 'book' : 'books'} here, ${percent(author.share)} of the copies`
          : undefined;
      },
    },
    {
      key: 'trim',
      upwards: true,
      name: 'Trim',
      width: formats.units === 'in' ? 86 : 122,
      show: ({ trim }) => (trim ? formats.size(inches(trim.width), inches(trim.height)) : NOTHING),
    },
    {
      key: 'pages',
      name: 'Pages',
      width: 54,
      show: ({ pages, ink }) => `${count(pages)}${ink === 'color' ? ' c' : ''}`,
      hint: ({ ink }) => (ink === 'color' ? 'in color' : undefined),
    },
    { key: 'price', name: 'Price', width: 62, show: ({ price }) => money.exact(price) },
    { key: 'printCost', name: 'Cost', width: 56, show: ({ printCost }) => money.exact(printCost) },
    { key: 'rank', upwards: true, name: 'Rank', width: 78, show: ({ rank }) => count(rank) },
    {
      key: 'moved',
      name: 'Moved',
      width: 70,
      sorts: false,
      show: ({ id, rank }) => {
        const before = moves?.ranksBefore[id];
        if (!before || !rank) return moves && rank ? 'new' : NOTHING;
        const change = Math.round((rank / before - 1) * 100);
        if (change === 0) return '=';
        return (
          <>
            <Mark icon={change < 0 ? ArrowUp : ArrowDown} /> {Math.abs(change)}%
          </>
        );
      },
      hint: ({ id }) =>
        moves?.ranksBefore[id]
          ? `rank ${count(moves.ranksBefore[id]!)} on ${formats.day(moves.since)}`
          : undefined,
    },
    {
      key: 'reviews',
      name: 'Reviews',
      width: room === 'short' ? 64 : 84,
      show: ({ id, reviews }) => {
        const gained = moves?.reviewsGained[id];
        return room === 'short' || !gained || gained < LEAST_GAINED
          ? count(reviews)
          : `${count(reviews)} +${copies(gained)}`;
      },
      hint: ({ id }) => {
        const gained = moves?.reviewsGained[id];
        return gained === undefined ? undefined : `${copies(gained)} reviews gained in 30 days`;
      },
    },
    {
      key: 'rating',
      name: 'Rating',
      width: 52,
      show: ({ rating }) => (rating === null ? NOTHING : rating.toFixed(1)),
    },
    {
      key: 'age',
      upwards: true,
      name: 'Days on sale',
      width: 68,
      show: ({ published }) => (published ? count((today - Date.parse(published)) / 86_400_000) : NOTHING),
      hint: ({ published }) => (published ? formats.day(published) : undefined),
    },
    {
      key: 'copies',
      name: 'Copies/mo',
      width: room === 'short' ? 74 : 126,
      show: ({ copies: middle, copiesLow, copiesHigh }) =>
        room === 'short' || middle === null
          ? copies(middle)
          : `${copies(middle)} (${copies(copiesLow)}–${copies(copiesHigh)})`,
      hint: ({ copiesLow, copiesHigh }) => `between ${copies(copiesLow)} and ${copies(copiesHigh)}`,
    },
    { key: 'royalty', name: 'Royalty', width: 62, show: ({ royalty }) => money.exact(royalty) },
    { key: 'earnings', name: 'Earns/mo', width: 72, show: ({ earnings }) => money.whole(earnings) },
  ];
  const many = (ids: string[]) => (ids.length === 1 ? 'One rival' : `${ids.length} rivals`);
  return (
    <RowTable<Rival, ColumnKey>
      label="Rivals"
      keysTold="Arrows move, Space selects, Enter opens, W watches, H hides, N marks as not comparable"
      columns={columns.filter(({ key }) => !LEFT_OUT[room].has(key))}
      count={rowIndices.length}
      lineAt={(index) => rivals![rowIndices[index]!]!}
      idOf={({ id }) => id}
      nameOf={({ title }) => title}
      sort={sort}
      onSort={({ by, down }) => by !== 'moved' && onSort({ by, down })}
      chosen={chosen}
      onChosen={onChosen}
      open={open}
      onOpen={onOpen}
      pale={(rival) => !counts(rival)}
      keys={{
        h: (ids) => mark(ids, { hidden: true }, `${many(ids)} hidden`),
        n: (ids) => mark(ids, { notComparable: true }, `${many(ids)} marked as not comparable`),
        w: (ids) => mark(ids, { watched: true }, `${many(ids)} under watch`),
      }}
      empty={
        rivals?.length
          ? 'No rivals match. Remove a filter.'
          : 'No book on sale matches this phrase. Import your own rivals, or expand the phrase.'
      }
    />
  );
}
