import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import {
  Form,
  redirect,
  Link as To,
  useActionData,
  useFetcher,
  useNavigate,
  useNavigation,
  useSearchParams,
} from 'react-router';
import * as v from 'valibot';
import { HOME_MARKET, NICHE_STATUSES, type NicheStatus, researchMarkets } from '#core/niche/index.ts';
import { briefsOrDraft, startBooks } from '#server/niches/briefs.ts';
import { lookNow } from '#server/niches/looks.ts';
import {
  archiveNiches,
  keepNiche,
  labelNiches,
  listNiches,
  MOST_NICHES,
  openNiche,
  setStatuses,
} from '#server/niches/niches.ts';
import { ServiceRefusal } from '#server/services/printing-service.ts';
import { idField, labelsField, listField } from '../list-field.ts';
import { NicheDetail } from '../niche/niche-detail.tsx';
import { compareNiches, filterNiches, type NicheFilter, type NicheSort } from '../niche/niche-filter.ts';
import { NicheFilters } from '../niche/niche-filters.tsx';
import { NichesTable, rowsOfNiches } from '../niche/niches-table.tsx';
import { PhraseField } from '../niche/phrase-field.tsx';
import { LabelsDialog } from '../parts/labels-dialog.tsx';
import { offerUndo } from '../parts/notices.tsx';
import { SaveCsv } from '../parts/save-csv.tsx';
import type { Sort } from '../parts/table-columns.ts';
import { formFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niches.ts';

const MOST_AT_ONCE = 500;
const MOST_BOOKS = 50;
const ids = listField(idField, MOST_AT_ONCE, `At most ${MOST_AT_ONCE} niches at a time. Select fewer.`);
const Intent = v.union([
  v.object({ intent: v.picklist(['archive', 'restore']), ids }),
  v.object({
    intent: v.literal('start books'),
    ids: listField(idField, MOST_BOOKS, `At most ${MOST_BOOKS} books at a time. Select fewer.`),
  }),
  v.object({
    intent: v.literal('status'),
    /** The status that each of some niches gets, by id. */
    statuses: v.pipe(
      v.string(),
      v.maxLength(100_000),
      v.parseJson(),
      v.record(idField, v.picklist(NICHE_STATUSES)),
    ),
  }),
  v.object({ intent: v.literal('label'), ids, add: labelsField, remove: labelsField }),
  v.object({
    market: v.optional(v.picklist(researchMarkets().map(({ id }) => id)), HOME_MARKET),
    phrase: v.pipe(
      v.string(),
      v.trim(),
      v.minLength(2, 'Write a phrase, such as “beekeeping word search”.'),
      v.maxLength(100, 'A phrase has 100 characters at most.'),
    ),
  }),
]);

export const meta = () => [{ title: 'Niches – Restless Quill' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const niches = await listNiches(workspaceId);
  return { niches, full: niches.length === MOST_NICHES };
}

export async function action({ request }: Route.ActionArgs) {
  const { workspaceId, workspaceName } = await requireVisitor(request);
  const read = await formFrom(request, Intent);
  if (!read.success) return { error: v.flatten(read.issues).nested?.phrase?.[0] ?? read.issues[0].message };
  const asked = read.output;
  if ('intent' in asked) {
    switch (asked.intent) {
      case 'status':
        await setStatuses(workspaceId, asked.statuses);
        return { error: '' };
      case 'label':
        await labelNiches(workspaceId, asked.ids, asked);
        return { error: '' };
      case 'start books': {
        const briefs: string[] = [];
        for (const id of asked.ids) {
          const niche = await openNiche(workspaceId, id);
          if (niche) briefs.push((await briefsOrDraft(workspaceId, niche))[0]!.id);
        }
        await startBooks(workspaceId, workspaceName, briefs);
        return redirect('/books');
      }
      default:
        await archiveNiches(workspaceId, asked.ids, asked.intent === 'archive');
        return { error: '' };
    }
  }
  const { phrase, market } = asked;
  const id = await keepNiche(workspaceId, phrase, market);
  try {
    await lookNow(workspaceId, { id, phrase, market });
  } catch (error) {
    if (error instanceof ServiceRefusal) return { error: error.message };
    throw error;
  }
  return redirect(`/niches/${id}`);
}

const MOST_COMPARED = 4;

/** Every niche that was saved: searched for, narrowed, sorted, noted upon, compared, made into books. */
export default function Niches({ loaderData }: Route.ComponentProps) {
  const { niches, full } = loaderData;
  const answer = useActionData<typeof action>();
  const busy = useNavigation().formMethod === 'POST';
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [filter, setFilter] = useState<NicheFilter>({});
  const [sort, setSort] = useState<Sort<NicheSort>>({ by: 'word', down: false });
  const [market, setMarket] = useState(HOME_MARKET);
  const [labeling, setLabeling] = useState(false);
  const fetcher = useFetcher<typeof action>();
  const navigate = useNavigate();
  const shown = useMemo(
    () => filterNiches(niches, filter, new Date().toISOString()).sort(compareNiches(sort.by, sort.down)),
    [niches, filter, sort],
  );
  const [search, setSearch] = useSearchParams();
  const open = search.get('niche');
  const opened = open ? niches.find(({ id }) => id === open) : undefined;
  const show = (id: string | null) => setSearch(id ? { niche: id } : {}, { replace: true });
  // What was archived just now, here or from the niche itself, is a click away.
  const archived = search.get('archived')?.split(',').filter(Boolean) ?? [];
  const known = useMemo(() => [...new Set(niches.flatMap(({ labels }) => labels))].sort(), [niches]);
  const submit = (fields: Record<string, string>, those: readonly string[] = [...chosen]) =>
    void fetcher.submit({ ...fields, ids: those.join(' ') }, { method: 'post', action: '/niches' });
  const send = (intent: string) => {
    submit({ intent });
    if (intent === 'archive') setSearch({ archived: [...chosen].join(',') });
    setChosen(new Set());
  };
  const setStatusOf = (status: NicheStatus) => {
    const before = niches.filter(({ id }) => chosen.has(id));
    const save = (statuses: Record<string, NicheStatus>) =>
      void fetcher.submit(
        { intent: 'status', statuses: JSON.stringify(statuses) },
        { method: 'post', action: '/niches' },
      );
    save(Object.fromEntries(before.map(({ id }) => [id, status])));
    offerUndo(`${before.length} marked as ${status}`, () =>
      save(Object.fromEntries(before.map((niche) => [niche.id, niche.status]))),
    );
  };
  const error = answer?.error || fetcher.data?.error;
  return (
    <Box
      sx={{
        height: '100%',
        display: 'grid',
        gridTemplateColumns: opened ? 'minmax(0, 1fr) 320px' : 'minmax(0, 1fr)',
        minHeight: 0,
      }}
    >
      <Box
        sx={{
          px: 5,
          pt: 4,
          pb: 2,
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr)',
          gridTemplateRows: 'auto minmax(180px, 1fr)',
          minHeight: 0,
          overflow: 'auto',
        }}
      >
        <div>
          <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 4 }}>
            <Typography variant="h1" sx={{ mb: 1, flex: 1 }}>
              Niches
            </Typography>
            <SaveCsv name="niches" disabled={shown.length === 0} rows={() => rowsOfNiches(shown)} />
            <Link component={To} to="/niches/assumptions">
              Estimates and your sales data
            </Link>
          </Box>
          <Typography color="text.secondary" sx={{ mb: 3 }}>
            Type a phrase as a buyer would. Wrenfair tells how many books match it and which of them sell; the
            estimates tell whether there is room for yours.
          </Typography>
          <Form method="post">
            <Box sx={{ display: 'flex', gap: 2, mb: 2 }}>
              <PhraseField market={market} />
              <TextField
                select
                name="market"
                label="Market"
                value={market}
                onChange={(event) => setMarket(event.target.value)}
                sx={{ width: 110, flex: 'none' }}
              >
                {researchMarkets().map(({ id, name }) => (
                  <MenuItem key={id} value={id}>
                    {name}
                  </MenuItem>
                ))}
              </TextField>
              <Button type="submit" variant="contained" disabled={busy} sx={{ whiteSpace: 'nowrap' }}>
                {busy ? 'Searching…' : 'Search'}
              </Button>
            </Box>
          </Form>
          {error && (
            <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
              {error}
            </Alert>
          )}
          {archived.length > 0 && (
            <Alert
              severity="info"
              variant="outlined"
              action={
                <Button
                  size="small"
                  onClick={() => {
                    submit({ intent: 'restore' }, archived);
                    setSearch({});
                  }}
                >
                  Undo
                </Button>
              }
            >
              {archived.length === 1 ? 'One niche' : `${archived.length} niches`} archived.
            </Alert>
          )}
          <NicheFilters filter={filter} onFilter={setFilter} labels={known} />
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', minHeight: 40 }}>
            {chosen.size > 0 ? (
              <>
                <strong>{chosen.size} selected</strong>
                <Button
                  size="small"
                  disabled={chosen.size < 2 || chosen.size > MOST_COMPARED}
                  onClick={() => void navigate(`/niches/compare?ids=${[...chosen].join(',')}`)}
                >
                  Compare{chosen.size > MOST_COMPARED ? ` (${MOST_COMPARED} at most)` : ''}
                </Button>
                <Button size="small" onClick={() => send('start books')}>
                  Start {chosen.size === 1 ? 'a book' : `${chosen.size} books`}
                </Button>
                <TextField
                  select
                  size="small"
                  variant="standard"
                  value=""
                  onChange={(event) => setStatusOf(event.target.value as NicheStatus)}
                  slotProps={{
                    htmlInput: { 'aria-label': 'Set the status' },
                    select: { displayEmpty: true, renderValue: () => 'Set the status' },
                  }}
                  sx={{ width: 120 }}
                >
                  {NICHE_STATUSES.map((status) => (
                    <MenuItem key={status} value={status}>
                      {status}
                    </MenuItem>
                  ))}
                </TextField>
                <Button size="small" onClick={() => setLabeling(true)}>
                  Labels…
                </Button>
                <Button size="small" onClick={() => send('archive')}>
                  Archive
                </Button>
              </>
            ) : (
              <Typography variant="body2" color="text.secondary" role="status">
                {niches.length === 0
                  ? 'Every phrase you search for is saved here with its verdict and how it moved.'
                  : `${shown.length.toLocaleString('en-US')} of ${niches.length.toLocaleString('en-US')} ${niches.length === 1 ? 'niche' : 'niches'}. Click a row for its status, labels and notes, its phrase to open it.${full ? ' These are the niches checked last; archive some to see older ones.' : ''}`}
              </Typography>
            )}
          </Box>
        </div>
        {niches.length > 0 && (
          <NichesTable
            niches={shown}
            sort={sort}
            onSort={setSort}
            chosen={chosen}
            onChosen={setChosen}
            open={opened?.id ?? null}
            onOpen={show}
            empty="No niche matches. Clear a filter."
          />
        )}
      </Box>
      {opened && <NicheDetail key={opened.id} niche={opened} known={known} onClose={() => show(null)} />}
      {labeling && (
        <LabelsDialog
          of="niche"
          those={niches.filter(({ id }) => chosen.has(id))}
          known={known}
          onClose={() => setLabeling(false)}
          onSave={({ add, remove }) => {
            setLabeling(false);
            if (add.length || remove.length)
              submit({ intent: 'label', add: JSON.stringify(add), remove: JSON.stringify(remove) });
          }}
        />
      )}
    </Box>
  );
}
