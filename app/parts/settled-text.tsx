import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';

interface SettledTextProps {
  label: string;
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
export function SettledText({
  label,
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
  const typing = useRef(false);
  useEffect(() => {
    // While somebody types, the field is theirs: 8.9 must not turn into 8.90 under their hands.
    if (typing.current) return;
    setText(value);
    setProblem('');
  }, [value]);
  return (
    <TextField
      label={label}
      value={text}
      error={problem !== ''}
      helperText={problem || [locked ?? hint, count].filter(Boolean).join(' · ') || undefined}
      {...(rows ? { multiline: true, rows } : {})}
      autoFocus={autoFocus ?? false}
      slotProps={{ input: { readOnly: Boolean(locked) } }}
      onFocus={() => {
        typing.current = true;
      }}
      onBlur={() => {
        typing.current = false;
        if (!problem) setText(value);
      }}
      onChange={(event) => {
        setText(event.target.value);
        setProblem(onCommit(event.target.value) ?? '');
      }}
    />
  );
}
