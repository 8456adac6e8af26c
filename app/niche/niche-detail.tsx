import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { X } from 'lucide-react';
import { useMemo } from 'react';
import { Link } from 'react-router';
import * as v from 'valibot';
import { tidyLabels } from '#core/labels.ts';
import { NICHE_STATUSES, type NicheNotes, NicheNotesSchema } from '#core/niche/index.ts';
import type { NicheRow } from '#server/niches/niches.ts';
import { ConflictDialog } from '../parts/conflict-dialog.tsx';
import { LiveTextField } from '../parts/live-text-field.tsx';
import { SelectField } from '../parts/select-field.tsx';
import { moneyOf, sentence, VERDICT_COLORS } from './show.ts';
import { useDraft } from './use-draft.ts';
import { VerdictMark } from './verdict-mark.tsx';

/** One niche of the list: its best sellers, what was concluded, and what the publisher notes of it. */
export function NicheDetail({
  niche,
  known,
  onClose,
}: {
  niche: NicheRow;
  /** Labels that are in use. */
  known: readonly string[];
  onClose: () => void;
}) {
  const { latest, status, labels, notes } = niche;
  const saved = useMemo(() => ({ status, labels, notes }), [status, labels, notes]);
  const { value, edit, words, conflict } = useDraft<NicheNotes>(
    `/niches/${niche.id}/notes`,
    saved,
    refusalOf,
  );
  const set = (changes: Partial<NicheNotes>) =>
    edit((now) => ({ ...now, ...changes }), Object.keys(changes).join());
  const money = moneyOf(niche.market);
  return (
    <Box
      component="aside"
      aria-label="Niche"
      tabIndex={0}
      sx={{
        borderLeft: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
        p: 4,
        overflow: 'auto',
        display: 'flex',
        flexDirection: 'column',
        gap: 2,
      }}
    >
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start' }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {niche.phrase}
        </Typography>
        <Button size="small" onClick={onClose} aria-label="Close the niche">
          <X size={16} />
        </Button>
      </Box>
      {latest && (
        <Box sx={{ display: 'flex', gap: 1 }}>
          {latest.best.map((id) => (
            <Box
              key={id}
              component="img"
              src={`/market/covers/${id}`}
              alt=""
              sx={{ height: 108, border: 1, borderColor: 'divider' }}
            />
          ))}
        </Box>
      )}
      {latest ? (
        <div>
          <Typography sx={{ fontWeight: 700, color: VERDICT_COLORS[latest.word] }}>
            <VerdictMark word={latest.word} /> {sentence(latest.word)}
          </Typography>
          <Typography variant="body2">
            {latest.earnings
              ? `A new book earns ${money.whole(latest.earnings.mean)} a month, the middle half ${money.whole(latest.earnings.low)} to ${money.whole(latest.earnings.high)}.`
              : 'No books to judge by.'}
            {latest.confidence && ` ${sentence(latest.confidence)} confidence.`}
          </Typography>
        </div>
      ) : (
        <Typography variant="body2">Not checked yet.</Typography>
      )}
      <Button component={Link} to={`/niches/${niche.id}`} variant="outlined" sx={{ alignSelf: 'start' }}>
        Open the niche
      </Button>
      <SelectField
        label="Status"
        value={value.status}
        choices={NICHE_STATUSES.map((one) => ({ value: one, label: one }))}
        onChange={(next) => set({ status: next })}
      />
      <Autocomplete
        multiple
        freeSolo
        options={known}
        value={value.labels}
        onChange={(_, next) => set({ labels: tidyLabels(next) })}
        renderInput={(params) => (
          <TextField {...params} label="Labels" helperText="Type one and press Enter." />
        )}
      />
      <LiveTextField label="Notes" value={value.notes} rows={6} onCommit={(next) => set({ notes: next })} />
      <Typography variant="caption" role="status">
        {words}
      </Typography>
      <ConflictDialog what="The notes were" {...conflict} />
    </Box>
  );
}

function refusalOf(notes: NicheNotes): string | null {
  const read = v.safeParse(NicheNotesSchema, notes);
  return read.success ? null : read.issues[0].message;
}
