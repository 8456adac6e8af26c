import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
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
import { briefsOrDraft, startBooks } from '#server/niches/briefs.ts';
import { lookNow } from '#server/niches/looks.ts';
import { archiveNiches, keepNiche, listNiches, openNiche } from '#server/niches/niches.ts';
import { ServiceRefusal } from '#server/services/printing-service.ts';
import { idField, listField } from '../list-field.ts';
import { NicheLine, rowsOfNiches } from '../niche/niche-line.tsx';
import { PhraseField } from '../niche/phrase-field.tsx';
import { SaveCsv } from '../parts/save-csv.tsx';
import { formFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niches.ts';

const MOST_AT_ONCE = 50;
const ids = listField(idField, MOST_AT_ONCE);
const Intent = v.union([
  v.object({ intent: v.picklist(['start books', 'archive', 'restore']), ids }),
  v.object({
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
  return { niches: await listNiches(workspaceId) };
}

export async function action({ request }: Route.ActionArgs) {
  const { workspaceId, workspaceName } = await requireVisitor(request);
  const read = await formFrom(request, Intent);
  if (!read.success) return { error: v.flatten(read.issues).nested?.phrase?.[0] ?? read.issues[0].message };
  if ('intent' in read.output) {
    const { intent, ids: chosen } = read.output;
    if (intent !== 'start books') {
      await archiveNiches(workspaceId, chosen, intent === 'archive');
      return { error: '' };
    }
    const briefs: string[] = [];
    for (const id of chosen) {
      const niche = await openNiche(workspaceId, id);
      if (niche) briefs.push((await briefsOrDraft(workspaceId, id, niche.phrase))[0]!.id);
    }
    await startBooks(workspaceId, workspaceName, briefs);
    return redirect('/books');
  }
  const { phrase } = read.output;
  const id = await keepNiche(workspaceId, phrase);
  try {
    await lookNow(workspaceId, id, phrase);
  } catch (error) {
    if (error instanceof ServiceRefusal) return { error: error.message };
    throw error;
  }
  return redirect(`/niches/${id}`);
}

const MOST_COMPARED = 4;

export default function Niches({ loaderData }: Route.ComponentProps) {
  const answer = useActionData<typeof action>();
  const busy = useNavigation().formMethod === 'POST';
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [words, setWords] = useState('');
  const fetcher = useFetcher();
  const navigate = useNavigate();
  const asked = words.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = loaderData.niches.filter(({ phrase }) => asked.every((word) => phrase.includes(word)));
  const toggle = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  // What was archived just now, here or from the niche itself, is a click away.
  const [search, setSearch] = useSearchParams();
  const archived = search.get('archived')?.split(',').filter(Boolean) ?? [];
  const send = (intent: string) => {
    void fetcher.submit({ intent, ids: [...chosen].join(' ') }, { method: 'post', action: '/niches' });
    if (intent === 'archive') setSearch({ archived: [...chosen].join(',') });
    setChosen(new Set());
  };
  return (
    <Box sx={{ p: 6, maxWidth: 1080, mx: 'auto' }}>
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
          <PhraseField />
          <Button type="submit" variant="contained" disabled={busy} sx={{ whiteSpace: 'nowrap' }}>
            {busy ? 'Searching…' : 'Search'}
          </Button>
        </Box>
      </Form>
      {answer?.error && (
        <Alert severity="error" variant="outlined" sx={{ mb: 3 }}>
          {answer.error}
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
                void fetcher.submit(
                  { intent: 'restore', ids: archived.join(' ') },
                  { method: 'post', action: '/niches' },
                );
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
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mt: 4, mb: 2, minHeight: 40 }}>
        <Typography variant="h2" sx={{ mr: 2 }}>
          Saved
        </Typography>
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
            <Button size="small" onClick={() => send('archive')}>
              Archive
            </Button>
          </>
        ) : (
          <TextField
            label="Words in the phrase"
            value={words}
            onChange={(event) => setWords(event.target.value)}
            sx={{ width: 240, ml: 'auto', flex: 'none' }}
          />
        )}
      </Box>
      {loaderData.niches.length === 0 && (
        <Typography>Every phrase you search for is saved here with its verdict and how it moved.</Typography>
      )}
      {shown.map((niche) => (
        <NicheLine
          key={niche.id}
          niche={niche}
          chosen={chosen.has(niche.id)}
          onChoose={() => toggle(niche.id)}
        />
      ))}
    </Box>
  );
}
