import { describe, expect, it } from 'vitest';
import { PUZZLE_SOURCES, recipeOf } from '../../book/book.sample.ts';
import {
  bookFrom,
  filledItem,
  finished,
  type PuzzleElsewhere,
  puzzleMarks,
  type Recipe,
  reroll,
  togglePin,
} from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import type { Finding } from '../finding.ts';
import { proofSteps } from '../proof.ts';

const type = typesetterFromDisk();
const small = { size: 6, level: 1 };
const sudokus = (items: number, id = 's') => ({ id, kind: 'sudoku', items, options: small });

async function told(
  recipe: Recipe,
  elsewhere: (marks: string[]) => Promise<PuzzleElsewhere[]>,
): Promise<Finding[]> {
  const found = await finished(proofSteps(bookFrom(recipe), type, { elsewhere }));
  return found.filter(({ check }) => check === 'twice');
}

/** Another book that has some of the puzzles, in the same order. */
const otherWith =
  (had: (mark: string, at: number) => boolean) =>
  async (marks: string[]): Promise<PuzzleElsewhere[]> =>
    marks.flatMap((mark, at) =>
      had(mark, at)
        ? [{ mark, book: 'other', title: 'Low Tide', label: `Puzzle ${at + 11}`, page: at + 5 }]
        : [],
    );

describe('puzzles of a book', () => {
  it('have marks by what they are, whatever book or place they are in', async () => {
    const one = await finished(puzzleMarks(bookFrom(recipeOf([sudokus(6)]))));
    expect(one.map(({ label }) => label)).toEqual([1, 2, 3, 4, 5, 6].map((n) => `Puzzle ${n}`));
    expect(new Set(one.map(({ mark }) => mark)).size).toBe(6);
    for (const { mark } of one) expect(mark).toMatch(/^[0-9a-f]{16}$/);
    const moved = recipeOf([{ id: 'r', kind: 'ruled', pages: 4 }, sudokus(6)], {
      id: 'other',
      title: 'Other',
    });
    const other = await finished(puzzleMarks(bookFrom(moved)));
    expect(other.map(({ mark }) => mark)).toEqual(one.map(({ mark }) => mark));
    expect(other[0]!.page).toBe(one[0]!.page + 4);
    const seeded = await finished(puzzleMarks(bookFrom(recipeOf([sudokus(6)], { seed: 'gnat-3' }))));
    expect(seeded.filter(({ mark }) => one.some((known) => known.mark === mark))).toEqual([]);
  });

  it('have none where their kind compares none', async () => {
    const recipe = recipeOf([
      { id: 'r', kind: 'ruled', pages: 2 },
      { id: 'w', kind: 'word-scramble', items: 2, options: PUZZLE_SOURCES['word-scramble'] },
    ]);
    expect(await finished(puzzleMarks(bookFrom(recipe)))).toEqual([]);
  });
});

describe('a puzzle that another book had first', () => {
  it('is told with its place there, and how to be rid of it', async () => {
    const recipe = recipeOf([sudokus(6)]);
    const found = await told(
      recipe,
      otherWith((_, at) => at === 2),
    );
    expect(found).toEqual([
      {
        check: 'twice',
        severity: 'look',
        message: 'Puzzle 3: is the same as Puzzle 13 of “Low Tide” (page 7). Re-roll it.',
        place: { view: 'page', page: expect.any(Number), section: 's' },
        reroll: { section: 's', items: [3] },
      },
    ]);
  });

  it('is told with the others where there are many, and another roll mends them all', async () => {
    const recipe = recipeOf([sudokus(6), sudokus(2, 'more')]);
    const known = new Set((await finished(puzzleMarks(bookFrom(recipe)))).map(({ mark }) => mark));
    const other = otherWith((mark) => known.has(mark));
    const found = await told(recipe, other);
    expect(found.map(({ message }) => message)).toEqual([
      '6 puzzles are in another book already: Puzzle 1 is the same as Puzzle 11 of “Low Tide” (page 5). Re-roll them.',
      'Puzzle 7: is the same as Puzzle 17 of “Low Tide” (page 11). Re-roll it.',
      'Puzzle 8: is the same as Puzzle 18 of “Low Tide” (page 12). Re-roll it.',
    ]);
    const mended = found.reduce(
      (so, { reroll: again }) => again!.items.reduce((next, item) => reroll(next, again!.section, item), so),
      recipe,
    );
    expect(await told(mended, other)).toEqual([]);
  });

  it('that is pinned is to be let go first', async () => {
    const recipe = togglePin(recipeOf([sudokus(2)]), 's', 1);
    const [first] = await told(
      recipe,
      otherWith((_, at) => at === 0),
    );
    expect(first!.message).toMatch(/Unpin it, then re-roll\.$/);
    expect(first!.reroll).toBeUndefined();
  });

  it('is told once where it is in this book twice as well', async () => {
    const book = bookFrom(recipeOf([sudokus(1)]));
    const { givens } = filledItem(book, book.sections.get('s')!, 1) as { givens: string };
    const pin = { size: 6, variant: 'classic', givens };
    const recipe = recipeOf([{ ...sudokus(2), pins: { 1: pin, 2: pin } }]);
    const found = await told(
      recipe,
      otherWith((_, at) => at === 0),
    );
    expect(found.map(({ message }) => message)).toEqual([
      'Puzzle 2: is the same as Puzzle 1. Unpin it, then re-roll.',
      'Puzzle 1: is the same as Puzzle 11 of “Low Tide” (page 5). Unpin it, then re-roll.',
    ]);
  });

  it('may be one that nobody could be asked for', async () => {
    const found = await told(recipeOf([sudokus(1)]), () => Promise.reject(new Error('away')));
    expect(found.map(({ message }) => message)).toEqual([
      'Whether other books have the puzzles of this one could not be asked: the server cannot be reached. It is asked again with the next change.',
    ]);
    expect(await told(recipeOf([{ id: 'r', kind: 'ruled', pages: 30 }]), () => Promise.reject())).toEqual([]);
  });
});
