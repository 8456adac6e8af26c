import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Stack from '@mui/material/Stack';
import { useEffect, useState } from 'react';
import { useFetcher } from 'react-router';
import type { Formats } from '#core/formats.ts';
import { printServices } from '#core/print/service.ts';
import { Choice } from './choice.tsx';
import { useFormats } from './formats.tsx';
import { useCommand } from './shortcuts.tsx';

/** Asked for when they are shown: a browser reads the names of all there are for it, which takes longer than most pages do. */
function currencies() {
  const named = new Intl.DisplayNames('en', { type: 'currency' });
  const all = printServices().flatMap(({ markets }) => markets.map(({ currency }) => currency));
  return [...new Set(all)].map((value) => ({ value, label: named.of(value) ?? value }));
}

function CurrencyChoice({ value, onChange }: { value: string; onChange: (value: string) => void }) {
  const [choices] = useState(currencies);
  return (
    <Choice label="Currency of prices shown first" value={value} choices={choices} onChange={onChange} />
  );
}

/** The name of the workspace, which opens how it reads lengths, days and prices. */
export function Preferences({ name }: { name: string }) {
  const { units, days, currency } = useFormats();
  const [open, setOpen] = useState(false);
  const fetcher = useFetcher();
  useCommand({ does: 'Preferences', group: 'Everywhere' }, () => setOpen(true));
  const { state, submit } = fetcher;
  const [waiting, setWaiting] = useState<Partial<Formats> | null>(null);
  // One after the other: a second choice would break off the answer to the first.
  useEffect(() => {
    if (!waiting || state !== 'idle') return;
    setWaiting(null);
    void submit({ ...waiting }, { method: 'post', action: '/preferences' });
  }, [waiting, state, submit]);
  const choose = (change: Partial<Formats>) => setWaiting((before) => ({ ...before, ...change }));
  return (
    <>
      <Button
        size="small"
        onClick={() => setOpen(true)}
        title="Preferences"
        sx={{
          color: '#d8d2c4',
          fontWeight: 400,
          display: { xs: 'none', md: 'inline-flex' },
          maxWidth: 200,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
        }}
      >
        {name}
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} fullWidth maxWidth="xs">
        <DialogTitle>Preferences of {name}</DialogTitle>
        <DialogContent>
          <Stack spacing={4} sx={{ pt: 1 }}>
            <Choice
              label="Units"
              value={units}
              choices={[
                { value: 'in', label: 'Inches' },
                { value: 'mm', label: 'Millimeters' },
              ]}
              onChange={(chosen) => choose({ units: chosen })}
            />
            <Choice
              label="Dates"
              value={days}
              choices={[
                { value: 'month first', label: 'Nov 24, 2026' },
                { value: 'day first', label: '24 Nov 2026' },
                { value: 'year first', label: '2026-11-24' },
              ]}
              onChange={(chosen) => choose({ days: chosen })}
            />
            <CurrencyChoice value={currency} onChange={(chosen) => choose({ currency: chosen })} />
          </Stack>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Close</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
