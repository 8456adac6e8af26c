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
  marketOf,
  TRAITS,
  whatSells,
} from '#core/niche/index.ts';
import { assumptionsOf, curveOf } from '#server/niches/assumptions.ts';
import { looksAt } from '#server/niches/looks.ts';
import { openNiche } from '#server/niches/niches.ts';
import { countedRivals } from '#server/niches/rivals.ts';
import { conditionValue, copies, count, moneyOf, percent, sentence, VERDICT_COLORS } from '../niche/show.ts';
import { Spark } from '../niche/spark.tsx';
import { traitWords } from '../niche/trait-words.ts';
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
  const assumptions = await assumptionsOf(workspaceId);
  const niches = await Promise.all(
    read.output.map(async (id) => {
      const niche = await openNiche(workspaceId, id);
      if (!niche) throw notFound();
      const [looks, rows, curve] = await Promise.all([
        looksAt(workspaceId, id),
        countedRivals(workspaceId, id),
        curveOf(workspaceId, niche.market),
      ]);
      const latest = looks.at(-1);
      const rivals = rows.map((row) => ({ ...estimate(row, curve), source: row.source }));
      return {
        ...niche,
        day: latest?.day ?? null,
        copies: looks.map((look) => look.copies),
        verdict: latest
          ? judge({ ...lookedAt(looks, curve, new Date().toISOString()), comparables: rivals }, assumptions)
          : null,
        sells: whatSells(rivals, niche.phrase, assumptions.sellsFrom, assumptions.lists),
        brief: briefFrom(niche.phrase, rivals, assumptions.lists, [], niche.market),
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
    { name: 'Market', words: ({ market }) => marketOf(market).name },
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
      words: ({ verdict, market }) =>
        verdict?.outlook?.books
          ? `${moneyOf(market).whole(verdict.outlook.mean)}, middle half ${moneyOf(market).whole(verdict.outlook.low)} to ${moneyOf(market).whole(verdict.outlook.high)}`
          : 'no books to judge by',
    },
    ...NUMBERS_COMPARED.flatMap((id) => {
      const named = conditions.find((one) => one.id === id);
      if (!named) return [];
      return [
        {
          name: named.what,
          words: ({ verdict, market }: Shown) => {
            const found = verdict?.conditions.find((one) => one.id === id);
            return found ? conditionValue(found.value, found.unit, moneyOf(market)) : '–';
          },
        },
      ];
    }),

    { name: 'Sellers in the top 20', words: ({ verdict }) => (verdict ? count(verdict.sellers) : '–') },
    {
      name: 'Sales over the snapshots',
      words: ({ copies: sold }) => sold.map(copies).join(', '),
      show: ({ copies: sold }) => (
        <>
          <Spark values={sold} label="Sales over the snapshots" width={120} /> {copies(sold.at(-1) ?? null)}
        </>
      ),
    },
    {
      name: 'What sells, by copies',
      words: ({ sells, market }) =>
        sells?.traits
          .map(
            ({ trait, values: [best] }) =>
              `${TRAITS[trait]}: ${traitWords(trait, best!.value, formats, moneyOf(market))}, ${percent(best!.copies)}`,
          )
          .join('; ') ?? 'too few books to compare',
    },
    {
      name: 'A book that fits',
      words: ({ brief, market }) =>
        `${brief.trim}, ${brief.pages} pages, ${moneyOf(market).exact((brief.prices as Record<string, number>)[market] ?? null)}`,
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
