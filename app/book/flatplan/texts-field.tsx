import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Section } from '#core/book/sections.ts';
import { isPacked, linesOfTable, TABLE_LIMITS } from '#core/text-lists/table-file.ts';
import { FileButton } from '../../parts/file-button.tsx';
import { LiveTextField } from '../../parts/live-text-field.tsx';
import { readTextFile } from '../../parts/read-text-file.ts';

/** The lines of a file: a spreadsheet's first sheet, or any text. @throws RangeError with a sentence */
async function linesOf(file: File): Promise<string> {
  const head = new Uint8Array(await file.slice(0, 4).arrayBuffer());
  if (isPacked(head)) {
    if (file.size > TABLE_LIMITS.file)
      throw new RangeError('The table is larger than 4 MB. Take out what is not needed.');
    return linesOfTable(new Uint8Array(await file.arrayBuffer()));
  }
  const found = await readTextFile(file, TABLE_LIMITS.file);
  if ('problem' in found) throw new RangeError(found.problem.slice(`${file.name}: `.length));
  return found.text;
}

/** A list of texts, a line for each: typed, pasted, or taken from a table. */
export function TextsField({
  section,
  option,
  label,
  help,
  onChange,
}: {
  section: Section;
  option: string;
  label: string;
  help?: string | undefined;
  onChange: (value: unknown) => string | null;
}) {
  const value = section.options[option] as string;
  const [told, setTold] = useState<{ text: string; wrong: boolean } | null>(null);
  const take = async (file: File) => {
    try {
      const lines = await linesOf(file);
      const problem = onChange([value.trimEnd(), lines.trim()].filter(Boolean).join('\n'));
      const count = lines.split('\n').filter((line) => line.trim()).length;
      setTold(
        problem
          ? { text: problem, wrong: true }
          : { text: `${count} ${count === 1 ? 'line' : 'lines'} taken from ${file.name}.`, wrong: false },
      );
    } catch (error) {
      setTold({ text: `${file.name}: ${(error as Error).message}`, wrong: true });
    }
  };
  return (
    <Box>
      <LiveTextField label={label} value={value} rows={6} hint={help} onCommit={onChange} />
      <Box sx={{ mt: 2 }}>
        <FileButton
          label={`A file of ${label.toLowerCase()}`}
          accept=".csv,.tsv,.txt,.xlsx,text/csv,text/plain"
          onFile={(file) => void take(file)}
        >
          Take them from a file…
        </FileButton>
      </Box>
      <Typography
        role="status"
        variant="body2"
        sx={{ mt: 2, color: told?.wrong ? 'error.main' : 'text.secondary' }}
      >
        {told?.text}
      </Typography>
    </Box>
  );
}
