import Button from '@mui/material/Button';
import { type ReactNode, useRef } from 'react';

/** A button that opens the browser's file chooser; the same file can be chosen again. */
export function FileButton({
  label,
  accept,
  onFile,
  disabled = false,
  children,
}: {
  /** Of the chooser itself, for who cannot see the button. */
  label: string;
  accept: string;
  onFile: (file: File) => void;
  disabled?: boolean;
  children: ReactNode;
}) {
  const chooser = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={chooser}
        type="file"
        accept={accept}
        hidden
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
      <Button
        variant="outlined"
        disabled={disabled}
        onClick={() => chooser.current?.click()}
        sx={{ whiteSpace: 'nowrap' }}
      >
        {children}
      </Button>
    </>
  );
}
