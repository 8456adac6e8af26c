import { expect, it } from 'vitest';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { proofBook } from '#core/proof/index.ts';
import { gathered } from '../../tests/support/books.ts';
import { begunBooks } from './begun-books.ts';
import { puzzleBooks } from './puzzle-books.ts';

it.each([
  ['begun from starting points', begunBooks((name) => name), 6],
  ['made of puzzles', puzzleBooks((name) => name), 4],
])(
  'the books that the press has %s are without a finding, but for files that were not made yet',
  async (_, books, count) => {
    expect(books).toHaveLength(count);
    for (const { recipe } of books) {
      const findings = await proofBook(await gathered(recipe), typesetterFromDisk());
      expect(
        findings.filter(({ place }) => place.view !== 'files'),
        recipe.title,
      ).toEqual([]);
    }
  },
);
