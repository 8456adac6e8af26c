import TextField from '@mui/material/TextField';
import { useEffect, useState } from 'react';

interface NumberFieldProps {
  label: string;
  value: number;
  min: number;
  max: number;
  step?: number;
  /** Takes the number, or says why not. */
  onCommit: (value: number) => string | null | undefined;
}

/** A number that acts as it is typed; one that is not possible is answered below and changes nothing. */
export function NumberField({ label, value, min, max, step = 1, onCommit }: NumberFieldProps) {
  const [text, setText] = useState(String(value));
  const [problem, setProblem] = useState('');
  useEffect(() => {
    setText((now) => (Number(now) === value && now !== '' ? now : String(value)));
    setProblem('');
  }, [value]);
  const take = (typed: string) => {
    setText(typed);
    const number = Number(typed.replace(',', '.'));
    if (typed.trim() === '' || Number.isNaN(number)) return setProblem('Write a number.');
    if (number < min || number > max) return setProblem(`${min} to ${max} is possible.`);
    if (step === 1 && !Number.isInteger(number)) return setProblem('Write a whole number.');
    setProblem(onCommit(number) ?? '');
  };
  return (
    <TextField
      label={label}
      value={text}
      error={problem !== ''}
      helperText={problem || undefined}
      onChange={(event) => take(event.target.value)}
      onBlur={() => {
        setText(String(value));
        setProblem('');
      }}
      onKeyDown={(event) => {
        const way = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
        if (!way || event.altKey) return;
        event.preventDefault();
        const next = Math.round((value + way * step * (event.shiftKey ? 10 : 1)) / step) * step;
        take(String(Number(Math.max(min, Math.min(max, next)).toFixed(2))));
      }}
      slotProps={{
        htmlInput: {
          inputMode: 'decimal',
          role: 'spinbutton',
          'aria-valuenow': value,
          'aria-valuemin': min,
          'aria-valuemax': max,
        },
      }}
    />
  );
}
