import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { Link as To, useFetcher, useSearchParams } from 'react-router';
import * as v from 'valibot';
import type { Formatting } from '#core/formats.ts';
import { type EstimatedComparable, estimate, HOME_MARKET, trimName } from '#core/niche/index.ts';
import { inches } from '#core/units.ts';
import { curveOf } from '#server/niches/assumptions.ts';
import { recalculateSoon } from '#server/niches/looks.ts';
import { openNiche } from '#server/niches/niches.ts';
import { addOwnRivals } from '#server/niches/rivals.ts';
import { ServiceRefusal, TransientServiceError } from '#server/services/printing-service.ts';
import { wrenfair } from '#server/services/wrenfair.ts';
import { listField } from '../list-field.ts';
import { copies, count, type Money, moneyOf, NOTHING } from '../niche/show.ts';
import { useFormats } from '../parts/formats.tsx';
import { RowTable } from '../parts/row-table.tsx';
import { SaveCsv } from '../parts/save-csv.tsx';
import type { RowColumn, Sort } from '../parts/table-columns.ts';
import { formFrom, idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niches-shelf.ts';

const Shelf = v.pipe(v.string(), v.regex(/^[\w.-]{1,64}$/));
const Niche = v.fallback(v.nullable(v.pipe(v.string(), v.regex(/^\w{1,64}$/))), null);
const Intent = v.object({
  niche: v.pipe(v.string(), v.regex(/^\w{1,64}$/)),
  ids: listField(v.string(), 100),
});

export const meta = ({ loaderData }: Route.MetaArgs) => [
  { title: `${loaderData?.name ?? 'Shelf'} – Restless Quill` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const read = v.safeParse(Shelf, params.shelf);
  if (!read.success) throw notFound();
  const from = v.parse(Niche, new URL(request.url).searchParams.get('from'));
  const niche = from ? await openNiche(workspaceId, from) : null;
  const market = niche?.market ?? HOME_MARKET;
  const curve = await curveOf(workspaceId, market);
  try {
    const { day, name, comparables } = await wrenfair.topOf(market, read.output);
    return { day, name, niche, market, books: comparables.map((book) => estimate(book, curve)), trouble: '' };
  } catch (error) {
    if (error instanceof ServiceRefusal) throw notFound();
    if (!(error instanceof TransientServiceError)) throw error;
    return {
      day: '',
      name: 'Wrenfair category',
      niche,
      market,
      books: [],
      trouble: `${error.message} Try again in a moment.`,
    };
  }
}

/** Takes best sellers of the shelf among a niche's comparables. */
export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const shelf = v.safeParse(Shelf, params.shelf);
  const read = await formFrom(request, Intent);
  if (!read.success || !shelf.success) return { taken: 0 };
  const niche = await openNiche(workspaceId, idFrom(read.output.niche));
  if (!niche) throw notFound();
  const chosen = new Set(read.output.ids);
  const { comparables } = await wrenfair.topOf(niche.market, shelf.output);
  const those = comparables.filter(({ id }) => chosen.has(id));
  await addOwnRivals(workspaceId, niche.id, those);
  await recalculateSoon(workspaceId, niche.id);
  return { taken: those.length };
}

type Key =
  | 'rank'
  | 'title'
  | 'trim'
  | 'pages'
  | 'price'
  | 'reviews'
  | 'published'
  | 'copies'
  | 'royalty'
  | 'earnings';

const columnsOf = (formats: Formatting, money: Money): RowColumn<EstimatedComparable, Key>[] => [
  { key: 'rank', upwards: true, name: 'Rank', width: 78, show: ({ rank }) => count(rank) },
  {
    key: 'title',
    upwards: true,
    name: 'Title',
    width: 220,
    grows: true,
    left: true,
    show: ({ title }) => title,
    hint: ({ penName }) => penName,
  },
  {
    key: 'trim',
    upwards: true,
    name: 'Trim',
    width: 130,
    show: ({ trim }) => (trim ? formats.size(inches(trim.width), inches(trim.height)) : NOTHING),
  },
  { key: 'pages', name: 'Pages', width: 64, show: ({ pages }) => count(pages) },
  { key: 'price', name: 'Price', width: 72, show: ({ price }) => money.exact(price) },
  { key: 'reviews', name: 'Reviews', width: 76, show: ({ reviews }) => count(reviews) },
  {
    key: 'published',
    name: 'Since',
    width: 110,
    show: ({ published }) => (published ? formats.day(published) : NOTHING),
  },
  { key: 'copies', name: 'Copies/mo', width: 90, show: (book) => copies(book.copies) },
  { key: 'royalty', name: 'Royalty', width: 76, show: ({ royalty }) => money.exact(royalty) },
  { key: 'earnings', name: 'Earns/mo', width: 86, show: ({ earnings }) => money.whole(earnings) },
];

const value = (book: EstimatedComparable, key: Key): number | string =>
  key === 'trim' ? (book.trim ? book.trim.width * book.trim.height : 0) : (book[key] ?? 0);

/** The hundred best sellers of a shelf of the marketplace. */
export default function Shelf100({ loaderData }: Route.ComponentProps) {
  const formats = useFormats();
  const { market } = loaderData;
  const columns = useMemo(() => columnsOf(formats, moneyOf(market)), [formats, market]);
  const others = columns.filter(({ key }) => key !== 'title');
  const { name, day, books, niche, trouble } = loaderData;
  const [sort, setSort] = useState<Sort<Key>>({ by: 'rank', down: false });
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [search] = useSearchParams();
  const fetcher = useFetcher<typeof action>();
  const rows = useMemo(
    () =>
      books.slice().sort((a, b) => {
        const [x, y] = [value(a, sort.by), value(b, sort.by)];
        return (sort.down ? -1 : 1) * (x < y ? -1 : x > y ? 1 : 0);
      }),
    [books, sort],
  );
  return (
    <Box
      sx={{
        p: 5,
        height: '100%',
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr)',
        gridTemplateRows: 'auto auto minmax(0, 1fr)',
        gap: 2,
      }}
    >
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'baseline' }}>
        <Typography variant="h1">{name}</Typography>
        <Typography color="text.secondary" sx={{ flex: 1 }}>
          {day ? `the ${books.length} best sellers on ${formats.day(day)}` : trouble}
        </Typography>
        <SaveCsv
          name={name}
          disabled={books.length === 0}
          rows={() => [
            ['title', 'author', ...others.map(({ name: heading }) => heading.toLowerCase())],
            ...rows.map((book) => [
              book.title,
              book.penName,
              ...others.map(({ key }) => (key === 'trim' ? trimName(book) : book[key])),
            ]),
          ]}
        />
        <Button component={To} to={niche ? `/niches/${niche.id}` : '/niches'}>
          {niche ? `Back to “${niche.phrase}”` : 'All niches'}
        </Button>
      </Box>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', minHeight: 36 }}>
        {niche && chosen.size > 0 ? (
          <Button
            size="small"
            variant="outlined"
            onClick={() => {
              void fetcher.submit(
                { niche: niche.id, ids: [...chosen].join(' ') },
                { method: 'post', action: `?${search}` },
              );
              setChosen(new Set());
            }}
          >
            Compare {chosen.size} in “{niche.phrase}”
          </Button>
        ) : (
          <Typography variant="body2" color="text.secondary" role="status">
            {fetcher.data?.taken
              ? `${fetcher.data.taken} added to the rivals.`
              : niche
                ? 'Select books to add to the rivals of the niche.'
                : 'Sorted by any column.'}
          </Typography>
        )}
      </Box>
      <RowTable<EstimatedComparable, Key>
        label="Best sellers"
        keysTold="Arrows move, Space selects"
        columns={columns}
        count={rows.length}
        lineAt={(index) => rows[index]!}
        idOf={({ id }) => id}
        nameOf={({ title }) => title}
        sort={sort}
        onSort={setSort}
        chosen={chosen}
        onChosen={setChosen}
        empty={trouble || 'This category is empty.'}
      />
    </Box>
  );
}
