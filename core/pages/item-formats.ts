import type { ItemFormat, PageKind } from './kind.ts';

/** Every form in which items of a section are saved: those of its kind, and its open form as JSON. */
export const formatsOf = (
  kind: Pick<PageKind, 'formats' | 'data'>,
  options: Readonly<Record<string, unknown>>,
): readonly ItemFormat<unknown>[] => [
  ...(kind.formats ?? []).filter(({ holds }) => holds?.(options) ?? true),
  ...(kind.data
    ? [
        {
          id: 'json',
          name: 'JSON',
          ending: 'json',
          write: (item: unknown) => `${JSON.stringify(kind.data!(item), null, 2)}\n`,
        },
      ]
    : []),
];

/** Forms in which every item is saved alone as a picture: outlines, pixels, and a document of the puzzle and its answer. */
export const PICTURE_FORMS = ['svg', 'png', 'pdf'] as const;
export type PictureForm = (typeof PICTURE_FORMS)[number];

/** A list of words, a line for each, as `formats` of a kind. @param wordsOf an item */
export const wordListFormat = <Item>(wordsOf: (item: Item) => readonly string[]): ItemFormat<Item> => ({
  id: 'words',
  name: 'List of words',
  ending: 'txt',
  between: '\n',
  write: (item) => `${wordsOf(item).join('\n')}\n`,
});

/** A puzzle as ipuz (ipuz.org, version 2). @param kind of the puzzle, as the specification names it */
export const ipuzFormat = <Item>(kind: string, write: (item: Item) => object): ItemFormat<Item> => ({
  id: 'ipuz',
  name: 'ipuz',
  ending: 'ipuz',
  write: (item) =>
    `${JSON.stringify({ version: 'http://ipuz.org/v2', kind: [`http://ipuz.org/${kind}`], ...write(item) }, null, 1)}\n`,
});

/** Cells row by row as rows. */
export const rowsOf = <Cell>(columns: number, rows: number, cell: (at: number) => Cell): Cell[][] =>
  Array.from({ length: rows }, (_, row) =>
    Array.from({ length: columns }, (_, column) => cell(row * columns + column)),
  );
