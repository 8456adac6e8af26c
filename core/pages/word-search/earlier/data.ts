import type { WordSearchItem } from './fill.ts';

/**
 * A word search in an open form: the grid as rows of letters, a space between them, and each listed word with column and
 * row of its first letter, from 1 at the upper left, and the way it runs.
 */
export function wordSearchData({ title, words, search }: WordSearchItem) {
  const { columns, rows, letters, placements } = search;
  return {
    ...(title ? { title } : {}),
    columns,
    rows,
    grid: Array.from({ length: rows }, (_, row) =>
      letters.slice(row * columns, (row + 1) * columns).join(' '),
    ),
    words: words.map(({ word, letters: spelled }) => {
      const placed = placements.find((one) => one.word === word);
      return {
        word,
        letters: spelled.join(''),
        place: placed
          ? { column: placed.column + 1, row: placed.row + 1, direction: placed.direction }
          : null,
      };
    }),
  };
}
