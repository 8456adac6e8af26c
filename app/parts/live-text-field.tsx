import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';
import { fieldId } from './field-id.ts';

interface SettledTextProps {
  label: string;
  /** Names it for a finding that leads here; see `fieldId`. */
  field?: string;
  value: string;
  hint?: string | undefined;
  /** Why the text cannot be changed. */
  locked?: string | null;
  rows?: number;
  autoFocus?: boolean;
  /** Shown at the right of the hint: a live count. */
  count?: string;
  /** Takes the text, or says why not; the text typed stays in the field, the last good one in the book. */
  onCommit: (value: string) => string | null | undefined;
}

/** A line or block of text that acts as it is typed. */
export function LiveTextField({
  label,
  field,
  value,
  hint,
  locked,
  rows,
  count,
  autoFocus,
  onCommit,
}: SettledTextProps) {
  const [text, setText] = useState(value);
  const [problem, setProblem] = useState('');
  const typed = useRef(false);
  useEffect(() => {
    // What was typed stays as it was typed: 8.9 must not turn into 8.90 under somebody's hands. What comes from elsewhere,
    // by undo or another tab, is shown even while the field has the focus.
    if (typed.current) return;
    setText(value);
    setProblem('');
  }, [value]);
  useEffect(() => {
    typed.current = false;
  });
  return (
    <TextField
      {...(field ? { id: fieldId(field) } : {})}
      label={label}
      value={text}
      error={problem !== ''}
      helperText={problem || [locked ?? hint, count].filter(Boolean).join(' · ') || undefined}
      {...(rows ? { multiline: true, rows } : {})}
      autoFocus={autoFocus ?? false}
      slotProps={{ input: { readOnly: Boolean(locked) } }}
      onBlur={() => {
        if (!problem) setText(value);
      }}
      onChange={(event) => {
        typed.current = true;
        setText(event.target.value);
        setProblem(onCommit(event.target.value) ?? '');
      }}
    />
  );
}
