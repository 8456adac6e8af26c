import type { Watched } from '../puzzle/by-hand.ts';
import { givesAway } from '../puzzle/judged.ts';
import type { Asked, CrosswordItem } from './fill.ts';
import { givenCrossword } from './fill.ts';
import type { CrosswordGiven } from './options.ts';

/** What keeps a crossword as it stands. */
export const crosswordPinned = ({ columns, rows, letters, asked }: CrosswordItem): CrosswordGiven => ({
  ...{ columns, rows, letters: [...letters] },
  clues: asked.map(({ number, across, clue, word }) => ({ number, across, clue, word })),
});

/** Puts a letter into a cell that has one; the words are read anew, and keep their clues. */
export function withGridLetter(item: CrosswordItem, at: number, letter: string): CrosswordItem {
  if (item.letters[at] === null || item.letters[at] === letter) return item;
  const letters = item.letters.map((before, cell) => (cell === at ? letter : before));
  return givenCrossword(crosswordPinned({ ...item, letters }));
}

/** Gives a word another clue. @param word its place among those that are asked for */
export const withClue = (item: CrosswordItem, word: number, clue: string): CrosswordItem =>
  item.asked[word]?.clue === clue
    ? item
    : { ...item, asked: item.asked.map((one, i) => (i === word ? { ...one, clue } : one)) };

const named = ({ number, across, word }: Asked): string =>
  `${word.toLocaleUpperCase('en')} (${number} ${across ? 'across' : 'down'})`;

/**
 * Reads every word off the grid, and looks at its clue.
 * @param isWord whether a word is one, as far as lists tell; any is if left out
 */
export function watchCrossword(item: CrosswordItem, isWord: (word: string) => boolean = () => true): Watched {
  const { asked } = givenCrossword(crosswordPinned(item));
  const fault = (one: Asked, says: string): Watched => ({ isSound: false, says, cells: one.cells });
  for (const [i, one] of asked.entries()) {
    const twin = asked.slice(0, i).find(({ word }) => word === one.word);
    if (twin) return fault(one, `${named(one)} stands in the grid twice. Change a letter of one.`);
    if (!one.clue.trim()) return fault(one, `${named(one)} has no clue. Write one.`);
    if (givesAway(one.clue, one.word))
      return fault(one, `The clue of ${named(one)} has the word in it. Write another one.`);
  }
  const unknown = asked.filter(({ word }) => !isWord(word));
  return {
    isSound: true,
    says: [
      `${asked.length} words, each once and with a clue.`,
      ...(unknown.length ? [`Not among everyday English words: ${unknown.map(named).join(', ')}.`] : []),
    ].join(' '),
    cells: unknown.flatMap(({ cells }) => cells),
  };
}
