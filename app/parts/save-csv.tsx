import Button, { type ButtonProps } from '@mui/material/Button';
import { type CsvCell, csvOf } from '#core/csv.ts';

/** Gives the browser a file to keep. */
function saveFile(name: string, text: string): void {
  const link = document.createElement('a');
  // Spreadsheets take a file for UTF-8 only with its mark.
  link.href = URL.createObjectURL(new Blob([`\uFEFF${text}`], { type: 'text/csv;charset=utf-8' }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/**
 * Saves a table as CSV, as it is shown.
 * @param name of the file, in words, without its ending
 * @param rows headings first; asked for when the button is pressed
 */
export function SaveCsv({
  name,
  rows,
  ...button
}: { name: string; rows: () => CsvCell[][] } & Pick<ButtonProps, 'variant' | 'disabled'>) {
  return (
    <Button
      size="small"
      {...button}
      onClick={() => saveFile(`${name.replaceAll(/[^\p{L}\p{N}]+/gu, '-')}.csv`, csvOf(rows()))}
    >
      Save as CSV
    </Button>
  );
}
