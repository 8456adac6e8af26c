import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Chip from '@mui/material/Chip';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import * as v from 'valibot';
import {
  BRIEF_KINDS,
  type Brief,
  type BriefKind,
  BriefSchema,
  briefCosts,
  briefWarnings,
  KEYWORD_LETTERS,
  TITLE_LETTERS,
  titleIdeas,
} from '#core/niche/index.ts';
import { printRules, royalty, showMoney } from '#core/print/index.ts';
import { ConflictDialog } from '../parts/conflict-dialog.tsx';
import { DateField } from '../parts/date-field.tsx';
import { LiveTextField } from '../parts/live-text-field.tsx';
import { NumberField } from '../parts/number-field.tsx';
import { KeywordOrder } from './keyword-order.tsx';
import { useNiche } from './niche-desk.tsx';
import { useDraft } from './use-draft.ts';

const KINDS = Object.entries(BRIEF_KINDS) as [BriefKind, string][];
const service = printRules('wrenfair', 'paperback');

/** Why a brief is not possible, with the field it is about. */
function refusalOf(brief: Brief): string | null {
  const read = v.safeParse(BriefSchema, brief);
  return read.success ? null : `${v.getDotPath(read.issues[0]) ?? ''} ${read.issues[0].message}`.trim();
}

/** A brief that is saved by itself; what is not possible is answered at its field and not saved. */
export function BriefForm({
  id,
  saved,
  ownBooks,
  bank,
  children,
}: {
  id: string;
  saved: Brief;
  /** Titles of the books that were started for this niche. */
  ownBooks: readonly string[];
  /** Name of the word bank that fits; null where none does. */
  bank: string | null;
  children?: React.ReactNode;
}) {
  const { niche, assumptions, rivals, phrases, verdict } = useNiche();
  const {
    value: draft,
    edit,
    undo,
    canUndo,
    words,
    conflict,
  } = useDraft(`/niches/${niche.id}/briefs/${id}`, saved, refusalOf);
  const change = (part: Partial<Brief>) => edit((now) => ({ ...now, ...part }), Object.keys(part).join(' '));
  const [keyword, setKeyword] = useState('');
  const ideas = titleIdeas(draft.phrase, assumptions.lists, TITLE_LETTERS);
  const costs = briefCosts(draft);
  const warnings = briefWarnings(draft, {
    titles: (rivals ?? []).map(({ title }) => title),
    ownBooks,
    bank,
    lists: assumptions.lists,
    press: verdict?.press ?? null,
    today: new Date().toISOString().slice(0, 10),
  });
  const prices = draft.prices as Record<string, number>;
  const candidates = phrases.filter(({ chosen, phrase }) => chosen && !draft.keywords.includes(phrase));
  const addKeywords = (more: string[]) =>
    change({ keywords: [...new Set([...draft.keywords, ...more.map((one) => one.trim()).filter(Boolean)])] });
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)',
        gap: 5,
        alignItems: 'start',
      }}
    >
      <ConflictDialog what="This brief was" {...conflict} />
      {warnings.length > 0 && (
        <Alert
          severity="warning"
          variant="outlined"
          sx={{ gridColumn: '1 / -1' }}
          aria-label="Before you start"
        >
          {warnings.map((warning) => (
            <div key={warning}>{warning}</div>
          ))}
        </Alert>
      )}
      <Stack spacing={3}>
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            The book
          </Typography>
          <Button size="small" onClick={undo} disabled={!canUndo}>
            Undo
          </Button>
          <Typography variant="caption" role="status">
            {words}
          </Typography>
        </Box>
        <LiveTextField label="Title" value={draft.title} onCommit={(title) => change({ title })} />
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: '4px !important' }}>
          {ideas.slice(0, 5).map((idea) => (
            <Chip
              key={idea}
              size="small"
              variant="outlined"
              label={idea}
              onClick={() => change({ title: idea })}
            />
          ))}
        </Box>
        <LiveTextField
          label="Subtitle"
          value={draft.subtitle}
          onCommit={(subtitle) => change({ subtitle })}
        />
        <Box role="group" aria-label="Interior content">
          <Typography variant="caption" component="div">
            Interior content
          </Typography>
          {KINDS.map(([kind, name]) => (
            <FormControlLabel
              key={kind}
              label={name}
              control={
                <Checkbox
                  size="small"
                  checked={draft.kinds.includes(kind)}
                  onChange={(event) => {
                    const kinds = KINDS.map(([one]) => one).filter((one) =>
                      one === kind ? event.target.checked : draft.kinds.includes(one),
                    );
                    if (kinds.length) change({ kinds });
                  }}
                />
              }
            />
          ))}
        </Box>
        <LiveTextField
          label="Audience"
          value={draft.audience}
          onCommit={(audience) => change({ audience })}
        />
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 2 }}>
          <TextField
            select
            label="Trim"
            value={draft.trim}
            onChange={(event) => change({ trim: event.target.value as Brief['trim'] })}
          >
            {service.trims.map(({ name }) => (
              <MenuItem key={name} value={name}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          <NumberField
            label="Pages"
            value={draft.pages}
            min={24}
            max={828}
            onCommit={(pages) => change({ pages })}
          />
          <TextField
            select
            label="Ink"
            value={draft.ink}
            onChange={(event) => change({ ink: event.target.value as Brief['ink'] })}
          >
            {service.inks.map(({ id: ink, name }) => (
              <MenuItem key={ink} value={ink}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        </Box>
        {costs.map(({ market, cost, lowestPrice }) => {
          const price = prices[market.id] ?? lowestPrice;
          const each = royalty(market, price, cost);
          return (
            <Box
              key={market.id}
              sx={{ display: 'grid', gridTemplateColumns: '150px 1fr', gap: 3, alignItems: 'center' }}
            >
              <NumberField
                label={`Price, ${market.currency}`}
                value={price}
                min={0.99}
                max={market.highestPrice}
                step={0.01}
                onCommit={(next) =>
                  change({ prices: { ...prices, [market.id]: next } as Brief['prices'] }) ??
                  (next < lowestPrice
                    ? `Below the minimum price, ${showMoney(lowestPrice, market.currency)}.`
                    : null)
                }
              />
              <Typography variant="body2" color={each < 0 ? 'error' : 'text.primary'}>
                royalty {showMoney(each, market.currency)}, print cost {showMoney(cost, market.currency)},
                lowest {showMoney(lowestPrice, market.currency)}
              </Typography>
            </Box>
          );
        })}
      </Stack>
      <Stack spacing={3}>
        <Typography variant="h2">Keywords and timing</Typography>
        <Box>
          <Typography variant="caption" component="div" sx={{ mb: 1 }}>
            Keyword candidates; the first {service.listing.keywordFields} go into the listing
          </Typography>
          <KeywordOrder
            keywords={draft.keywords}
            used={service.listing.keywordFields}
            onChange={(keywords) => change({ keywords })}
          />
          <Box
            component="form"
            sx={{ display: 'flex', gap: 1, mt: 2 }}
            onSubmit={(event) => {
              event.preventDefault();
              if (!addKeywords(keyword.split(/[\n,;\t]+/))) setKeyword('');
            }}
          >
            <TextField
              label="Add keywords"
              value={keyword}
              onChange={(event) => setKeyword(event.target.value)}
            />
            <Button type="submit">Add</Button>
            {candidates.length > 0 && (
              <Button
                onClick={() =>
                  addKeywords(
                    candidates.map(({ phrase }) => phrase).filter((one) => one.length <= KEYWORD_LETTERS),
                  )
                }
                sx={{ whiteSpace: 'nowrap' }}
              >
                Take {candidates.length} from Phrases
              </Button>
            )}
          </Box>
        </Box>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 210px', gap: 2 }}>
          <LiveTextField
            label="Occasion"
            value={draft.occasion}
            onCommit={(occasion) => change({ occasion })}
          />
          <DateField
            label="Publish by"
            value={draft.publishBy}
            onChange={(publishBy) => change({ publishBy })}
          />
        </Box>
        <LiveTextField label="Notes" rows={4} value={draft.notes} onCommit={(notes) => change({ notes })} />
        <Box>
          <Typography variant="caption" component="div" sx={{ mb: 1 }}>
            Reference titles
          </Typography>
          <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
            {draft.rivals.map((rivalId) => {
              const rival = rivals?.find((one) => one.id === rivalId);
              return (
                <Box key={rivalId} sx={{ width: 96 }}>
                  {rival && rival.category !== '' && (
                    <Box
                      component="img"
                      src={`/market/covers/${rivalId}`}
                      alt=""
                      sx={{ width: 96, border: 1, borderColor: 'divider', display: 'block' }}
                    />
                  )}
                  <Typography variant="caption" component="div" sx={{ lineHeight: 1.2, mt: 0.5 }}>
                    {rival?.title ?? rivalId}
                  </Typography>
                  <Button
                    size="small"
                    sx={{ p: 0 }}
                    onClick={() => change({ rivals: draft.rivals.filter((one) => one !== rivalId) })}
                  >
                    Remove
                  </Button>
                </Box>
              );
            })}
            {draft.rivals.length === 0 && <Typography variant="body2">None selected.</Typography>}
          </Box>
        </Box>
        {children}
      </Stack>
    </Box>
  );
}
