import Button, { type ButtonProps } from '@mui/material/Button';
import { type CsvCell, csvOf } from '#core/csv.ts';
import { fileName, saveFile } from './save-file.ts';

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
      onClick={() =>
        // Spreadsheets take a file for UTF-8 only with its mark.
        saveFile(`${fileName(name)}.csv`, `\uFEFF${csvOf(rows())}`, 'text/csv;charset=utf-8')
      }
    >
      Save as CSV
    </Button>
  );
}
