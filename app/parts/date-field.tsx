import { AdapterDateFns } from '@mui/x-date-pickers/AdapterDateFns';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { formatISO, isValid, parseISO } from 'date-fns';

interface DateFieldProps {
  label: string;
  /** As `2026-11-27`; empty for none. */
  value: string;
  onChange: (day: string) => void;
}

/** A day, typed or taken from a calendar. What is typed only half changes nothing. */
export const DateField = ({ label, value, onChange }: DateFieldProps) => (
  <LocalizationProvider dateAdapter={AdapterDateFns}>
    <DatePicker
      label={label}
      value={value ? parseISO(value) : null}
      onChange={(day) => {
        if (day === null) onChange('');
        else if (isValid(day)) onChange(formatISO(day, { representation: 'date' }));
      }}
      sx={{ '& .MuiPickersInputBase-root': { bgcolor: 'background.paper' } }}
      slotProps={{ textField: { size: 'small' }, field: { clearable: true } }}
    />
  </LocalizationProvider>
);
