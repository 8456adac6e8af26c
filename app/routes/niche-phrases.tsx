import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link as To, useFetcher } from 'react-router';
import * as v from 'valibot';
import { EXPANSION_IDS, groupByStems } from '#core/niche/index.ts';
import { takeCandidates } from '#server/niches/briefs.ts';
import { lookLater } from '#server/niches/looks.ts';
import { keepNiche, type OpenedNiche, openNiche } from '#server/niches/niches.ts';
import {
  addPhrases,
  choosePhrases,
  expandNiche,
  phrasesOf,
  removePhrases,
  resumePhrases,
} from '#server/niches/phrases.ts';
import { idField, listField } from '../list-field.ts';
import { ExpandBar } from '../niche/expand-bar.tsx';
import { ImportDialog } from '../niche/import/import-dialog.tsx';
import { useNiche } from '../niche/niche-desk.tsx';
import { comparePhrases, type PhraseSort, PhrasesTable } from '../niche/phrases-table.tsx';
import { offerUndo } from '../parts/notices.tsx';
import { SaveCsv } from '../parts/save-csv.tsx';
import type { Sort } from '../parts/table-columns.ts';
import { formFrom, idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/niche-phrases.ts';

const MOST_IDS = 5000;
const ids = listField(idField, MOST_IDS);
const Intent = v.variant('intent', [
  v.object({
    intent: v.literal('expand'),
    ways: v.pipe(listField(v.picklist(EXPANSION_IDS), EXPANSION_IDS.length), v.minLength(1)),
  }),
  v.object({ intent: v.literal('resume') }),
  v.object({
    intent: v.picklist(['add', 'look up']),
    phrases: v.pipe(v.string(), v.maxLength(100_000)),
  }),
  v.object({
    intent: v.picklist(['add to keywords', 'remove from keywords', 'remove', 'restore', 'save as niches']),
    ids,
  }),
]);

const MOST_KEPT = 50;

export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const niche = await openNiche(workspaceId, idFrom(params.niche));
  if (!niche) throw notFound();
  const read = await formFrom(request, Intent);
  if (!read.success) return { problem: read.issues[0].message };
  const asked = read.output;
  switch (asked.intent) {
    case 'expand':
      await expandNiche(workspaceId, niche.id, niche.phrase, asked.ways, new Date().getFullYear());
      break;
    case 'resume':
      await resumePhrases(workspaceId, niche.id);
      break;
    case 'add':
    case 'look up': {
      const lines = asked.phrases
        .split(/[\n,;]+/)
        .map((line) => line.toLowerCase().replace(/\s+/g, ' ').trim())
        .filter(Boolean);
      const long = lines.find((line) => line.length > 100);
      if (long)
        return {
          problem: `“${long.slice(0, 30)}…” has ${long.length} letters; a phrase can have at most 100.`,
        };
      await addPhrases(
        workspaceId,
        niche.id,
        [...new Set(lines)].map((phrase) => ({
          phrase,
          way: asked.intent === 'add' ? ('own' as const) : ('combined' as const),
        })),
      );
      await resumePhrases(workspaceId, niche.id);
      break;
    }
    case 'add to keywords':
    case 'remove from keywords': {
      const chosen = asked.intent === 'add to keywords';
      const words = await choosePhrases(workspaceId, niche.id, asked.ids, chosen);
      await takeCandidates(workspaceId, niche.id, words, chosen);
      break;
    }
    case 'remove':
    case 'restore':
      await removePhrases(workspaceId, niche.id, asked.ids, asked.intent === 'remove');
      break;
    case 'save as niches':
      if (asked.ids.length > MOST_KEPT)
        return {
          problem: `At most ${MOST_KEPT} phrases become niches at a time; ${asked.ids.length} are selected. Nothing was changed. Select fewer.`,
        };
      return { problem: null, kept: await keepAsNiches(workspaceId, niche, asked.ids) };
  }
  return { problem: null };
}

/** Makes niches of their own from phrases, each with a look that is taken in the background. @returns how many */
async function keepAsNiches(workspaceId: string, from: OpenedNiche, chosen: string[]): Promise<number> {
  const those = (await phrasesOf(workspaceId, from.id)).filter(({ id }) => chosen.includes(id));
  for (const { phrase } of those) {
    const id = await keepNiche(workspaceId, phrase, from.market);
    await lookLater(workspaceId, id);
  }
  return those.length;
}

/** Every phrase the niche was expanded to: looked up, grouped, sorted, chosen as keywords. */
export default function NichePhrases() {
  const { niche, phrases } = useNiche();
  const [words, setWords] = useState('');
  const [grouped, setGrouped] = useState(false);
  const [onlyGood, setOnlyGood] = useState(false);
  const [sort, setSort] = useState<Sort<PhraseSort>>({ by: 'earnings', down: true });
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [own, setOwn] = useState('');
  const [bringing, setBringing] = useState(false);
  const fetcher = useFetcher<typeof action>();
  /** Apart, so that what was typed is known to have arrived before it is taken away. */
  const adding = useFetcher<typeof action>();
  const sent = useRef('');
  useEffect(() => {
    if (adding.data?.problem === null) setOwn((typed) => (typed === sent.current ? '' : typed));
  }, [adding.data]);
  const problem = adding.data?.problem || fetcher.data?.problem;
  const shown = useMemo(() => {
    const asked = words.toLowerCase().split(/\s+/).filter(Boolean);
    return phrases
      .filter(
        ({ phrase, word, results }) =>
          asked.every((part) => phrase.includes(part)) &&
          (!onlyGood || ((word === 'open' || word === 'worth a try') && (results ?? 0) > 0)),
      )
      .sort(comparePhrases(sort.by, sort.down));
  }, [phrases, words, onlyGood, sort]);
  const lines = useMemo(
    () =>
      grouped
        ? groupByStems(niche.phrase, shown).flatMap((group) => [
            { group: group.name || 'Others', size: group.phrases.length },
            ...group.phrases,
          ])
        : shown,
    [grouped, niche.phrase, shown],
  );
  const to = { method: 'post', action: `/niches/${niche.id}/phrases` } as const;
  const send = (fields: Record<string, string>) => void fetcher.submit(fields, to);
  const withChosen = (intent: string) => {
    send({ intent, ids: [...chosen].join(' ') });
    setChosen(new Set());
  };
  const candidates = phrases.filter((row) => row.chosen).length;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '272px minmax(0, 1fr)', minHeight: 0 }}>
      <Box
        component="section"
        aria-label="Expand"
        tabIndex={0}
        sx={{ borderRight: 1, borderColor: 'divider', p: 4, overflow: 'auto' }}
      >
        <Typography variant="h2" sx={{ mb: 1.5 }}>
          Expand “{niche.phrase}”
        </Typography>
        <ExpandBar />
        <Typography variant="caption" component="p" sx={{ mt: 1 }}>
          Audiences, formats, numbers and kinds are yours to change under{' '}
          <Link component={To} to="/niches/assumptions" underline="always">
            the assumptions
          </Link>
          .
        </Typography>
        <Typography variant="h2" sx={{ mt: 4, mb: 1.5 }}>
          Your own
        </Typography>
        <TextField
          label="Phrases, one per line"
          multiline
          rows={4}
          value={own}
          onChange={(event) => setOwn(event.target.value)}
          helperText={problem || 'Typed, or pasted from a spreadsheet'}
          error={Boolean(problem)}
        />
        <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
          <Button
            size="small"
            variant="outlined"
            disabled={own.trim() === '' || adding.state !== 'idle'}
            onClick={() => {
              sent.current = own;
              void adding.submit({ intent: 'add', phrases: own }, to);
            }}
          >
            Look up
          </Button>
          <Button size="small" onClick={() => setBringing(true)}>
            From a file…
          </Button>
        </Box>
        <Typography variant="h2" sx={{ mt: 4, mb: 1 }}>
          Keyword candidates
        </Typography>
        <Typography variant="body2">
          {candidates === 0
            ? 'Select phrases and add them to the keywords: they go into the brief, and from there into the listing.'
            : `${candidates} of ${phrases.length} phrases are candidates of the brief.`}
        </Typography>
      </Box>
      <Box sx={{ px: 4, py: 2, display: 'grid', gridTemplateRows: 'auto auto minmax(0, 1fr)', minHeight: 0 }}>
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', py: 1 }}>
          <TextField
            label="Words in the phrase"
            value={words}
            onChange={(event) => setWords(event.target.value)}
            sx={{ width: 220 }}
          />
          <ToggleButton value="grouped" size="small" selected={grouped} onChange={() => setGrouped(!grouped)}>
            Group by keyword
          </ToggleButton>
          <ToggleButton value="good" size="small" selected={onlyGood} onChange={() => setOnlyGood(!onlyGood)}>
            Promising only
          </ToggleButton>
          <Box sx={{ flex: 1 }} />
          <span role="status">
            {shown.length.toLocaleString('en-US')} of {phrases.length.toLocaleString('en-US')}
          </span>
          <SaveCsv
            variant="outlined"
            name={`${niche.phrase} phrases`}
            disabled={shown.length === 0}
            rows={() => [
              [
                'phrase',
                'verdict',
                'earnings a month',
                'results',
                'copies in 30 days',
                'sellers',
                'price',
                'searches a month',
                'found by',
                'candidate',
                'day',
              ],
              ...shown.map((row) => [
                row.phrase,
                row.word,
                row.earnings?.toFixed(2),
                row.results,
                row.demand?.toFixed(1),
                row.sellers,
                row.price,
                row.volume,
                row.way,
                row.chosen ? 'yes' : 'no',
                row.day,
              ]),
            ]}
          />
        </Box>
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', minHeight: 36 }}>
          {chosen.size > 0 ? (
            <>
              <strong>{chosen.size} selected</strong>
              <Button size="small" onClick={() => withChosen('add to keywords')}>
                Add to keywords
              </Button>
              <Button size="small" onClick={() => withChosen('remove from keywords')}>
                Remove from keywords
              </Button>
              <Button size="small" onClick={() => withChosen('save as niches')}>
                Save as niches
              </Button>
              <Button
                size="small"
                onClick={() => {
                  const those = [...chosen].join(' ');
                  offerUndo(`${chosen.size} removed`, () => send({ intent: 'restore', ids: those }));
                  withChosen('remove');
                }}
              >
                Remove
              </Button>
            </>
          ) : (
            <Box component="span" sx={{ color: 'text.secondary', fontSize: 14 }}>
              {fetcher.data && 'kept' in fetcher.data
                ? `${fetcher.data.kept} saved as niches.`
                : 'Space selects, K adds to keywords.'}
            </Box>
          )}
        </Box>
        {phrases.length === 0 ? (
          <Typography sx={{ mt: 6, textAlign: 'center' }}>
            No phrases yet. Choose ways to expand on the left: hundreds will appear here, each with its
            estimates.
          </Typography>
        ) : (
          <PhrasesTable
            lines={lines}
            sort={sort}
            onSort={setSort}
            chosen={chosen}
            onChosen={setChosen}
            onStar={(which, star) =>
              send({ intent: star ? 'add to keywords' : 'remove from keywords', ids: which.join(' ') })
            }
          />
        )}
      </Box>
      {bringing && (
        <ImportDialog
          table="phrases"
          nicheId={niche.id}
          market={niche.market}
          onClose={() => setBringing(false)}
        />
      )}
    </Box>
  );
}
