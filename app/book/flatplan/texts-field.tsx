import Box from '@mui/material/Box';
import type { Section } from '#core/book/sections.ts';
import { isPacked, linesOfTable, TABLE_LIMITS } from '#core/text-lists/table-file.ts';
import { FromFile } from '../../parts/from-file.tsx';
import { LiveTextField } from '../../parts/live-text-field.tsx';
import { textOfFile } from '../../parts/read-text-file.ts';

/** The lines of a file: a spreadsheet's first sheet, or any text. @throws Error with a sentence */
async function linesOf(file: File): Promise<string> {
  const head = new Uint8Array(await file.slice(0, 4).arrayBuffer());
  if (!isPacked(head)) return textOfFile(file, TABLE_LIMITS.file);
  // One byte more than is read says that it is too large, without all of it being read.
  const bytes = await file.slice(0, TABLE_LIMITS.file + 1).arrayBuffer();
  return linesOfTable(new Uint8Array(bytes));
}

/** A list of texts, a line for each: typed, pasted, or taken from a table. */
export function ListOfTexts({
  value,
  label,
  help,
  rows = 6,
  onChange,
}: {
  value: string;
  label: string;
  help?: string | undefined;
  rows?: number;
  onChange: (value: string) => string | null;
}) {
  const take = async (file: File): Promise<string> => {
    const lines = await linesOf(file);
    const problem = onChange([value.trimEnd(), lines.trim()].filter(Boolean).join('\n'));
    if (problem) throw new Error(problem);
    const count = lines.split('\n').filter((line) => line.trim()).length;
    return `${count} ${count === 1 ? 'line' : 'lines'} taken from ${file.name}.`;
  };
  return (
    <Box>
      <LiveTextField label={label} value={value} rows={rows} hint={help} onCommit={onChange} />
      <FromFile
        label={`A file of ${label.toLowerCase()}`}
        accept=".csv,.tsv,.txt,.xlsx,text/csv,text/plain"
        take={take}
      >
        Take them from a file…
      </FromFile>
    </Box>
  );
}

/** A list of texts that is an option of a section. */
export function TextsField({
  section,
  option,
  ...field
}: {
  section: Section;
  option: string;
  label: string;
  help?: string | undefined;
  onChange: (value: unknown) => string | null;
}) {
  return <ListOfTexts value={section.options[option] as string} {...field} />;
}
