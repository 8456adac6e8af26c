import { describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, filledItem, togglePin } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { SHAPES } from '../../puzzles/outline/index.ts';
import { cellsOf, type NonogramItem, pinnedNonogram } from './fill.ts';

const recipe = (options: object, more: object = {}) =>
  recipeOf(
    [{ id: 'n', kind: 'nonogram', items: 40, options: { columns: 15, rows: 15, ...options }, ...more }],
    {
      quill: 4,
    },
  );
const itemsOf = (of: ReturnType<typeof recipe>, count: number) => {
  const book = bookFrom(of);
  return Array.from(
    { length: count },
    (_, i) => filledItem(book, book.sections.get('n')!, i + 1) as NonogramItem,
  );
};
const shapeOf = (item: number, roll = 0) =>
  pinnedNonogram({
    options: { picture: 'shapes', level: 'rising' } as never,
    ...{ resources: {} as never, streamKey: ['seed', 'n'], item, roll, pin: undefined },
  }).shape;

describe('nonograms of shapes', () => {
  it('show every shape once before one comes back, and any after a re-roll', () => {
    const count = Object.keys(SHAPES).length;
    const first = Array.from({ length: count }, (_, i) => shapeOf(i + 1));
    expect(new Set(first).size).toBe(count);
    expect(new Set([1, 2, 3, 4, 5, 6].map((roll) => shapeOf(1, roll))).size).toBeGreaterThan(1);
  });

  it('are sound, of the level that they turn out to have', () => {
    const some = recipe({ picture: 'shapes' });
    for (const { level, wanted } of itemsOf(some, 6)) expect(level).toBe(wanted);
    expect(proofBook(bookFrom(some), typesetterFromDisk()).filter(({ check }) => check === 'items')).toEqual(
      [],
    );
  });

  it('have fewer cells as outlines, and are patterns where nothing else is asked for', () => {
    const filled = (item: NonogramItem) => cellsOf(item).filter(Boolean).length;
    const whole = itemsOf(recipe({ picture: 'shapes' }), 4).map(filled);
    const edges = itemsOf(recipe({ picture: 'outlines' }), 4).map(filled);
    for (const [i, cells] of edges.entries()) expect(cells).toBeLessThan(whole[i]!);
    expect(itemsOf(recipe({}), 2)).toEqual(itemsOf(recipe({ picture: 'random' }), 2));
  });

  it('stay with a pin when patterns are asked for', () => {
    const pinned = togglePin(recipe({ picture: 'shapes' }), 'n', 3);
    const section = { ...(pinned.sections[0] as object), options: recipe({}).sections[0] } as {
      options: unknown;
    };
    section.options = (recipe({}).sections[0] as { options: unknown }).options;
    const later = { ...pinned, sections: [section] } as ReturnType<typeof recipe>;
    expect(itemsOf(later, 3)[2]).toEqual(itemsOf(pinned, 3)[2]);
    expect(itemsOf(later, 1)).toEqual(itemsOf(recipe({}), 1));
  });
});
