import { expect, it } from 'vitest';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { proofBook } from '#core/proof/index.ts';
import { gathered } from '../../tests/support/books.ts';
import { begunBooks } from './begun-books.ts';

it('the books that the press has begun are without a finding, but for files that were not made yet', async () => {
  const books = begunBooks((name) => name);
  expect(books).toHaveLength(6);
  for (const { recipe } of books) {
    const findings = await proofBook(await gathered(recipe), typesetterFromDisk());
    expect(
      findings.filter(({ place }) => place.view !== 'files'),
      recipe.title,
    ).toEqual([]);
  }
});
