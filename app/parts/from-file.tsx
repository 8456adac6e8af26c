import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';
import { FileButton } from './file-button.tsx';

/** A button that takes something from a file, and what came of it. */
export function FromFile({
  label,
  accept,
  take,
  children,
}: {
  label: string;
  accept: string;
  /** @returns what was taken, as a sentence @throws Error with a sentence that goes behind the name of the file */
  take: (file: File) => Promise<string>;
  children: ReactNode;
}) {
  const [told, setTold] = useState<{ text: string; wrong: boolean } | null>(null);
  const onFile = async (file: File) => {
    try {
      setTold({ text: await take(file), wrong: false });
    } catch (error) {
      setTold({ text: `${file.name}: ${(error as Error).message}`, wrong: true });
    }
  };
  return (
    <>
      <Box sx={{ mt: 2 }}>
        <FileButton label={label} accept={accept} onFile={(file) => void onFile(file)}>
          {children}
        </FileButton>
      </Box>
      <Typography
        role="status"
        variant="body2"
        sx={{ mt: 2, color: told?.wrong ? 'error.main' : 'text.secondary' }}
      >
        {told?.text}
      </Typography>
    </>
  );
}
