import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { redirect, Link as To } from 'react-router';
import * as v from 'valibot';
import {
  bestSellers,
  briefFrom,
  type ConditionId,
  estimate,
  judge,
  lookedAt,
  sharedByBest,
} from '#core/niche/index.ts';
import { assumptionsOf, curveOf } from '#server/niches/assumptions.ts';
import { looksAt } from '#server/niches/looks.ts';
import { openNiche } from '#server/niches/niches.ts';
import { countedRivals } from '#server/niches/rivals.ts';
import {
  conditionValue,
  copies,
  count,
  dollars,
  sentence,
  VERDICT_COLORS,
  wholeDollars,
} from '../niche/show.ts';
import { Spark } from '../niche/spark.tsx';
import { VerdictMark } from '../niche/verdict-mark.tsx';
import { useFormats } from '../parts/formats.tsx';
import { SaveCsv } from '../parts/save-csv.tsx';
import { notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niches-compare.ts';

const Ids = v.pipe(
  v.string(),
  v.transform((text) => text.split(',')),
  v.array(v.pipe(v.string(), v.regex(/^\w{1,64}$/))),
  v.minLength(1),
  v.maxLength(4),
);

export const meta = () => [{ title: 'Niches side by side – Restless Quill' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const read = v.safeParse(Ids, new URL(request.url).searchParams.get('ids'));
  if (!read.success) throw redirect('/niches');
  const [assumptions, curve] = await Promise.all([assumptionsOf(workspaceId), curveOf(workspaceId)]);
  const niches = await Promise.all(
    read.output.map(async (id) => {
      const niche = await openNiche(workspaceId, id);
      if (!niche) throw notFound();
      const [looks, rows] = await Promise.all([looksAt(workspaceId, id), countedRivals(workspaceId, id)]);
      const latest = looks.at(-1);
      const rivals = rows.map((row) => ({ ...estimate(row, curve), source: row.source }));
      return {
        ...niche,
        day: latest?.day ?? null,
        demand: looks.map((look) => look.demand),
        verdict: latest
          ? judge({ ...lookedAt(looks, curve, new Date().toISOString()), comparables: rivals }, assumptions)
          : null,
        shared: sharedByBest(rivals, assumptions.lists)
          .map(({ text }) => text)
          .join(''),
        brief: briefFrom(niche.phrase, rivals, assumptions.lists),
        best: bestSellers(
          rivals.filter(({ source }) => source === 'market'),
          3,
        ).map((rival) => ({ id: rival.id, title: rival.title })),
      };
    }),
  );
  return { niches };
}

/** What the verdicts rest on, each once: some conditions hold the same number against two bounds. */
const NUMBERS_COMPARED: readonly ConditionId[] = [
  'searches',
  'demand',
  'results',
  'sells',
  'reviews',
  'leaders',
  'press',
];

/** Up to four niches side by side, number by number. */
export default function Compare({ loaderData }: Route.ComponentProps) {
  const formats = useFormats();
  const { niches } = loaderData;
  type Shown = (typeof niches)[number];
  const conditions = niches.find(({ verdict }) => verdict)?.verdict?.conditions ?? [];
  /** Each row in words, as it is saved, and what is shown where words are not all. */
  const rows: { name: string; words: (niche: Shown) => string; show?: (niche: Shown) => ReactNode }[] = [
    {
      name: 'Verdict',
      words: ({ verdict }) =>
        verdict ? `${sentence(verdict.word)}, ${verdict.confidence.level} confidence` : 'not searched yet',
      show: ({ verdict }) =>
        verdict && (
          <Box component="strong" sx={{ color: VERDICT_COLORS[verdict.word] }}>
            <VerdictMark word={verdict.word} /> {sentence(verdict.word)}, {verdict.confidence.level}{' '}
            confidence
          </Box>
        ),
    },
    {
      name: 'A new book earns a month',
      words: ({ verdict }) =>
        verdict?.outlook?.books
          ? `${wholeDollars(verdict.outlook.mean)}, middle half ${wholeDollars(verdict.outlook.low)} to ${wholeDollars(verdict.outlook.high)}`
          : 'no books to judge by',
    },
    ...NUMBERS_COMPARED.flatMap((id) => {
      const named = conditions.find((one) => one.id === id);
      if (!named) return [];
      return [
        {
          name: named.what,
          words: ({ verdict }: Shown) => {
            const found = verdict?.conditions.find((one) => one.id === id);
            return found ? conditionValue(found.value, found.unit) : '–';
          },
        },
      ];
    }),

    { name: 'Sellers in the top 20', words: ({ verdict }) => (verdict ? count(verdict.sellers) : '–') },
    {
      name: 'Sales over the snapshots',
      words: ({ demand }) => demand.map(copies).join(', '),
      show: ({ demand }) => (
        <>
          <Spark values={demand} label="Sales over the snapshots" width={120} />{' '}
          {copies(demand.at(-1) ?? null)}
        </>
      ),
    },
    { name: 'What the best share', words: ({ shared }) => shared },
    {
      name: 'A book that fits',
      words: ({ brief }) =>
        `${brief.trim}, ${brief.pages} pages, ${dollars((brief.prices as Record<string, number>).us ?? null)}`,
    },
    {
      name: 'Best sellers',
      words: ({ best }) => best.map(({ title }) => title).join('; '),
      show: ({ best }) => (
        <Box sx={{ display: 'flex', gap: 1 }}>
          {best.map(({ id, title }) => (
            <Box
              key={id}
              component="img"
              src={`/market/covers/${id}`}
              alt={title}
              title={title}
              sx={{ height: 96, border: 1, borderColor: 'divider' }}
            />
          ))}
        </Box>
      ),
    },
  ];
  return (
    <Box sx={{ p: 6 }}>
      <Box sx={{ display: 'flex', mb: 4 }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          Side by side
        </Typography>
        <SaveCsv
          name="niches side by side"
          rows={() => [
            ['', ...niches.map(({ phrase }) => phrase)],
            ['day', ...niches.map(({ day }) => day)],
            ...rows.map(({ name, words }) => [name, ...niches.map(words)]),
          ]}
        />
        <Button component={To} to="/niches">
          All niches
        </Button>
      </Box>
      <Box
        component="table"
        aria-label="Niches side by side"
        sx={{
          width: '100%',
          tableLayout: 'fixed',
          borderCollapse: 'collapse',
          '& th, & td': {
            textAlign: 'left',
            verticalAlign: 'top',
            p: '7px 10px',
            borderBottom: 1,
            borderColor: 'divider',
          },
          '& tbody th': { fontWeight: 400, color: 'text.secondary', width: 190 },
        }}
      >
        <colgroup>
          <col style={{ width: 200 }} />
        </colgroup>
        <thead>
          <tr>
            <td />
            {niches.map(({ id, phrase, day }) => (
              <th key={id} scope="col">
                <Link
                  component={To}
                  to={`/niches/${id}`}
                  sx={{ fontFamily: '"Alegreya", serif', fontSize: 19 }}
                >
                  {phrase}
                </Link>
                <Typography variant="caption" component="div">
                  {day ? formats.day(day) : ''}
                </Typography>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ name, words, show }) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              {niches.map((niche) => (
                <td key={niche.id}>{show?.(niche) ?? words(niche)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
