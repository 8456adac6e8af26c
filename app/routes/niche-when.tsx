import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { Link as To, useFetcher, useSearchParams } from 'react-router';
import * as v from 'valibot';
import { loadHolidays } from '#core/calendar/index.ts';
import { demandByMonth, nextDays, publishBy } from '#core/niche/index.ts';
import { countries, occasionsFrom } from '#core/niche/occasions.ts';
import { assumptionsOf } from '#server/niches/assumptions.ts';
import { briefsOrDraft, saveBrief } from '#server/niches/briefs.ts';
import { looksAt } from '#server/niches/looks.ts';
import { openNiche } from '#server/niches/niches.ts';
import { useNiche } from '../niche/niche-desk.tsx';
import { copies } from '../niche/show.ts';
import { DateField } from '../parts/date-field.tsx';
import { useFormats } from '../parts/formats.tsx';
import { SaveCsv } from '../parts/save-csv.tsx';
import { tokens } from '../theme.ts';
import { formFrom, idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niche-when.ts';

const Country = v.fallback(v.nullable(v.pipe(v.string(), v.regex(/^[A-Z]{2}$/))), null);
const Intent = v.object({
  day: v.pipe(v.string(), v.isoDate()),
  occasion: v.pipe(v.string(), v.minLength(1), v.maxLength(100)),
});

export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const niche = await openNiche(workspaceId, idFrom(params.niche));
  if (!niche) throw notFound();
  const assumptions = await assumptionsOf(workspaceId);
  const country = v.parse(Country, new URL(request.url).searchParams.get('country')) ?? assumptions.country;
  const latest = (await looksAt(workspaceId, niche.id)).at(-1);
  const from = latest?.day ?? new Date().toISOString().slice(0, 10);
  await loadHolidays();
  const own = nextDays(assumptions.occasions, from).map((one) => ({ ...one, kind: 'own' as const }));
  const occasions = [...occasionsFrom(country, from), ...own].sort((a, b) =>
    a.day < b.day ? -1 : a.day > b.day ? 1 : 0,
  );
  return { country, countries: countries(), from, occasions };
}

export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const niche = await openNiche(workspaceId, idFrom(params.niche));
  if (!niche) throw notFound();
  const read = await formFrom(request, Intent);
  if (!read.success) return { problem: read.issues[0].message };
  const [first] = await briefsOrDraft(workspaceId, niche);
  const { publish } = publishBy(read.output.day, (await assumptionsOf(workspaceId)).lead);
  await saveBrief(workspaceId, first!.id, {
    ...first!.brief,
    occasion: read.output.occasion,
    publishBy: publish,
  });
  return { problem: null };
}

const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ');

/** When to publish: occasions by country, demand by month, and the days a book needs before each. */
export default function NicheWhen({ loaderData }: Route.ComponentProps) {
  const formats = useFormats();
  const { niche, looks, assumptions, briefs, changeAssumptions } = useNiche();
  const { country, occasions, from } = loaderData;
  const [, setSearch] = useSearchParams();
  const fetcher = useFetcher();
  const months = useMemo(() => demandByMonth(looks), [looks]);
  const max = Math.max(1, ...months.map((month) => month ?? 0));
  const decided = briefs[0]?.brief;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 320px', minHeight: 0 }}>
      <Box role="region" aria-label="Occasions" tabIndex={0} sx={{ p: 4, overflow: 'auto' }}>
        <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', mb: 2 }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            Occasions of the coming year
          </Typography>
          <SaveCsv
            name={`${niche.phrase} occasions ${country}`}
            disabled={occasions.length === 0}
            rows={() => [
              ['day', 'occasion', 'start by', 'submit by', 'publish by'],
              ...occasions.map(({ day, name }) => {
                const { publish, submit, start } = publishBy(day, assumptions.lead);
                return [day, name, start, submit, publish];
              }),
            ]}
          />
          <TextField
            select
            label="Country"
            value={country}
            onChange={(event) => {
              setSearch({ country: event.target.value }, { preventScrollReset: true });
              // The next niche opens with the same country.
              changeAssumptions({ country: event.target.value });
            }}
            sx={{ width: 240 }}
          >
            {loaderData.countries.map(([code, name]) => (
              <MenuItem key={code} value={code}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        </Box>
        <Box
          component="table"
          sx={{
            width: '100%',
            borderCollapse: 'collapse',
            fontSize: 14,
            '& th': { textAlign: 'left', fontWeight: 400, fontSize: 13, color: 'text.secondary' },
            '& td, & th': { p: '5px 8px', borderBottom: 1, borderColor: 'divider' },
          }}
        >
          <thead>
            <tr>
              <th>Day</th>
              <th>Occasion</th>
              <th>Start by</th>
              <th>Submit by</th>
              <th>Publish by</th>
              <th aria-label="For the brief" />
            </tr>
          </thead>
          <tbody>
            {occasions.map(({ day, name, kind }) => {
              const { publish, submit, start } = publishBy(day, assumptions.lead);
              const late = submit < from;
              const chosen = decided?.occasion === name && decided.publishBy === publish;
              return (
                <Box
                  component="tr"
                  key={`${day} ${name}`}
                  sx={{
                    bgcolor: chosen ? tokens.verdigrisSoft : undefined,
                    color: late ? 'text.secondary' : undefined,
                  }}
                >
                  <td>{formats.day(day)}</td>
                  <td>
                    {name}
                    {kind === 'public' ? ' · day off' : kind === 'own' ? ' · your own' : ''}
                  </td>
                  <td>{formats.day(start)}</td>
                  <td>{late ? 'too late this year' : formats.day(submit)}</td>
                  <td>{formats.day(publish)}</td>
                  <td>
                    <Button
                      size="small"
                      aria-pressed={chosen}
                      onClick={() =>
                        fetcher.submit({ day, occasion: name.slice(0, 100) }, { method: 'post' })
                      }
                    >
                      {chosen ? 'In the brief' : 'For the brief'}
                    </Button>
                    {kind === 'own' && (
                      <Button
                        size="small"
                        aria-label={`Remove ${name}`}
                        onClick={() =>
                          changeAssumptions(
                            {
                              occasions: assumptions.occasions.filter(
                                (own) => own.name !== name || !day.endsWith(own.day),
                              ),
                            },
                            `${name} removed`,
                          )
                        }
                      >
                        Remove
                      </Button>
                    )}
                  </td>
                </Box>
              );
            })}
          </tbody>
        </Box>
        {occasions.length === 0 && (
          <Typography sx={{ mt: 3 }}>No occasions are known for this country.</Typography>
        )}
        <OwnOccasion />
        <Typography variant="caption" component="p" sx={{ mt: 2 }}>
          Days by date-holidays, CC BY-SA 3.0.
        </Typography>
      </Box>
      <Box
        component="aside"
        aria-label="Demand by month"
        tabIndex={0}
        sx={{ bgcolor: 'background.paper', borderLeft: 1, borderColor: 'divider', p: 4, overflow: 'auto' }}
      >
        <Typography variant="h2" sx={{ mb: 2 }}>
          Demand by month
        </Typography>
        {MONTHS.map((name, i) => (
          <Box
            key={name}
            sx={{
              display: 'grid',
              gridTemplateColumns: '36px 1fr 60px',
              alignItems: 'center',
              py: '2px',
              fontSize: 14,
            }}
          >
            <span>{name}</span>
            <Box
              sx={{
                height: 12,
                bgcolor: months[i] === null ? 'transparent' : tokens.verdigris,
                borderRadius: '2px',
              }}
              style={{ width: `${(100 * (months[i] ?? 0)) / max}%` }}
            />
            <Box
              component="span"
              sx={{ textAlign: 'right', color: months[i] === null ? 'text.secondary' : undefined }}
            >
              {months[i] === null ? 'no data' : copies(months[i]!)}
            </Box>
          </Box>
        ))}
        <Typography variant="caption" component="p" sx={{ mt: 1 }}>
          Monthly sales of the top 20, the mean of the snapshots of each month. Keep watching the niche to
          fill in the year.
        </Typography>
        <Typography variant="h2" sx={{ mt: 4, mb: 1 }}>
          Publish by
        </Typography>
        <Typography variant="body2">
          The occasion, less {assumptions.lead.sellingDays} selling days; submit {assumptions.lead.reviewDays}{' '}
          days before that for the review; start {assumptions.lead.ownDays} days earlier.
        </Typography>
        <Link component={To} to="/niches/assumptions">
          Change lead times
        </Link>
        {decided?.publishBy && (
          <Typography sx={{ mt: 3 }}>
            The brief of “{niche.phrase}” says {formats.day(decided.publishBy)}
            {decided.occasion ? `, for ${decided.occasion}` : ''}.
          </Typography>
        )}
      </Box>
    </Box>
  );
}

/** A day of the publisher's own: a fair, an anniversary. It comes back every year, in every niche. */
function OwnOccasion() {
  const { assumptions, changeAssumptions } = useNiche();
  const [name, setName] = useState('');
  const [day, setDay] = useState('');
  return (
    <Box
      component="form"
      aria-label="Add your own occasion"
      sx={{ display: 'flex', gap: 2, alignItems: 'center', mt: 3 }}
      onSubmit={(event) => {
        event.preventDefault();
        changeAssumptions(
          { occasions: [...assumptions.occasions, { name: name.trim(), day: day.slice(5) }] },
          `${name.trim()} added`,
        );
        setName('');
        setDay('');
      }}
    >
      <TextField
        label="Your own occasion"
        value={name}
        onChange={(event) => setName(event.target.value)}
        sx={{ width: 260 }}
        slotProps={{ htmlInput: { maxLength: 100 } }}
      />
      <Box sx={{ width: 200 }}>
        <DateField label="Day, every year" value={day} onChange={setDay} />
      </Box>
      <Button type="submit" disabled={!name.trim() || !day}>
        Add
      </Button>
    </Box>
  );
}
