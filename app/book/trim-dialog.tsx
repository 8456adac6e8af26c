import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import type { PrintRules } from '#core/print/index.ts';
import { LENGTH_PATTERN, parseLength } from '#core/units.ts';
import { FormField, useCheckedForm } from '../parts/checked-form.tsx';
import { useFormats } from '../parts/formats.tsx';

/** As a recipe writes it: with the unit of the workspace where none was typed. */
const lengthFrom = (typed: string | undefined, unit: string): string | null => {
  const text = (typed ?? '').trim().replace(',', '.');
  const whole = /[a-z]$/i.test(text) ? text.toLowerCase().replace(/\s+/g, '') : `${text}${unit}`;
  return LENGTH_PATTERN.test(whole) ? whole : null;
};

/** Asks for a trim of one's own, within what the service prints. */
export function TrimDialog({
  trim,
  rules: { service, trimLimits },
  onTake,
  onClose,
}: {
  /** Points. */
  trim: { width: number; height: number };
  rules: Pick<PrintRules, 'service' | 'trimLimits'>;
  /** @param trim lengths with their units */
  onTake: (trim: { width: string; height: string }) => void;
  onClose: () => void;
}) {
  const { units, length, size } = useFormats();
  const { min, max } = trimLimits;
  const { form, fields } = useCheckedForm<{ width: string; height: string }>((typed) => {
    const problems: { field: string; reason: string }[] = [];
    const read = (way: 'width' | 'height'): string => {
      const found = lengthFrom(typed[way], units);
      const points = found === null ? Number.NaN : parseLength(found);
      if (Number.isNaN(points))
        problems.push({ field: way, reason: `Write a length, such as ${length(min[way])}.` });
      else if (points < min[way] - 1e-6 || points > max[way] + 1e-6)
        problems.push({ field: way, reason: `From ${length(min[way])} to ${length(max[way])}.` });
      return found ?? '';
    };
    const value = { width: read('width'), height: read('height') };
    return problems.length ? { problems } : { value };
  }, onTake);
  return (
    <Dialog open onClose={onClose} maxWidth="xs">
      <form {...form}>
        <DialogTitle>Another trim</DialogTitle>
        <DialogContent>
          <Typography variant="body2" sx={{ mb: 4 }}>
            {service.name} prints from {size(min.width, min.height)} to {size(max.width, max.height)}. The
            book is {size(trim.width, trim.height)} now.
          </Typography>
          <Stack direction="row" spacing={3}>
            <FormField field={fields.width!} label={`Width, ${units}`} autoFocus />
            <FormField field={fields.height!} label={`Height, ${units}`} />
          </Stack>
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained">
            Use this trim
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
