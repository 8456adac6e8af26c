import { beforeAll, describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, filledItem, togglePin } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { loadVocabularies } from '../../puzzles/vocabulary/index.ts';
import type { WordLadderItem } from './fill.ts';

beforeAll(loadVocabularies);

const ladders = (pairs: string, items = 3, options = {}) =>
  recipeOf([{ id: 'w', kind: 'word-ladder', items, options: { pairs, ...options } }], { quill: 4 });
const itemsOf = (recipe: ReturnType<typeof ladders>, count = 3) => {
  const book = bookFrom(recipe);
  return Array.from(
    { length: count },
    (_, i) => filledItem(book, book.sections.get('w')!, i + 1) as WordLadderItem,
  );
};
const told = (recipe: ReturnType<typeof ladders>) =>
  proofBook(bookFrom(recipe), typesetterFromDisk())
    .filter(({ check }) => check === 'items')
    .map(({ severity, message }) => `${severity}: ${message}`);

describe('word ladders between words of one’s own', () => {
  it('come first, in the order of the lines; the others are chosen as before', () => {
    const [one, two, three] = itemsOf(ladders('cold warm\n\nHead → tail'));
    expect([one!.words[0], one!.words.at(-1)]).toEqual(['COLD', 'WARM']);
    expect([two!.words[0], two!.words.at(-1)]).toEqual(['HEAD', 'TAIL']);
    for (const { words } of [one!, two!])
      for (let i = 1; i < words.length; i++)
        expect([...words[i]!].filter((letter, at) => letter !== words[i - 1]![at])).toHaveLength(1);
    expect(three).toEqual(itemsOf(ladders(''))[2]);
    expect(three!.own).toBeUndefined();
  });

  it('stay with a pin when the lines change', () => {
    const pinned = togglePin(ladders('cold warm'), 'w', 1);
    const section = { ...(pinned.sections[0] as object), options: { pairs: 'head tail' } };
    const [one, two] = itemsOf({ ...pinned, sections: [section] } as never, 2);
    expect(one!.words[0]).toBe('COLD');
    expect(two!.own).toBeUndefined();
  });

  it('say what is wrong with a line, and where several ways are as short', () => {
    expect(told(ladders('cold warmer\nqxzj warm\ncold qxzj'))).toEqual([
      'fix: Puzzle 1: COLD – WARMER needs two different words with as many letters. Change the line.',
      'fix: Puzzle 2: QXZJ – WARM begins with a word that is not among the everyday words. Take another.',
      'fix: Puzzle 3: COLD – QXZJ ends with a word that is not among the everyday words. Take another.',
    ]);
    expect(told(ladders('alone', 1))[0]).toMatch(/^fix: Puzzle 1: ALONE needs two different words/);
    const several = itemsOf(ladders('cold warm\nhead tail\nfire cool\nlead gold'), 4);
    const found = told(ladders('cold warm\nhead tail\nfire cool\nlead gold', 4));
    expect(found).toEqual(
      several.flatMap(({ words, own }, i) =>
        own!.several
          ? [
              `look: Puzzle ${i + 1}: from ${words[0]} to ${words.at(-1)} several ways are as short; the answer shows one of them.`,
            ]
          : [],
      ),
    );
    expect(several.some(({ own }) => own!.several)).toBe(true);
  });
});
