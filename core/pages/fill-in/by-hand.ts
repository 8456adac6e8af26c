import { runsOf } from '../../puzzles/crossword/index.ts';
import { fillings } from '../../puzzles/fill-in/index.ts';
import { toggled, type Watched } from '../puzzle/by-hand.ts';
import type { FillInItem } from './fill.ts';
import { givenFillIn } from './fill.ts';
import type { FillInGiven } from './options.ts';

/** What keeps a fill-in as it stands. */
export const fillInPinned = ({ title, columns, rows, letters, given }: FillInItem): FillInGiven => ({
  ...(title ? { title } : {}),
  ...{ columns, rows, letters: [...letters], given: [...given] },
});

/** Puts a letter into a cell that has one; the words are read anew. */
export const withFillInLetter = (item: FillInItem, at: number, letter: string): FillInItem =>
  item.letters[at] === null || item.letters[at] === letter
    ? item
    : givenFillIn({
        ...fillInPinned(item),
        letters: item.letters.map((before, cell) => (cell === at ? letter : before)),
      });

/** Prints the letter of a cell, or leaves it out. */
export const withGivenLetter = (item: FillInItem, at: number): FillInItem =>
  item.letters[at] === null ? item : { ...item, given: toggled(item.given, at) };

/** Words that are tried in places, so that typing does not wait. */
const MOST_TRIES = 60_000;

/** Puts the words anew, and looks for a second way. */
export function watchFillIn(item: FillInItem): Watched {
  const runs = runsOf(item);
  const budget = { tries: MOST_TRIES };
  const ways = fillings(item, new Set(item.given), 2, budget);
  if (ways.length > 1) {
    const [one, other] = ways as [string[][], string[][]];
    const differing = runs.flatMap(({ cells }, r) => (one[r]!.join('') === other[r]!.join('') ? [] : cells));
    return {
      isSound: false,
      says: 'The words fit in more than one way. Two of them differ in the marked cells: give a letter there.',
      cells: [...new Set(differing)],
    };
  }
  if (budget.tries <= 0)
    return {
      isSound: false,
      says: 'It would take too long to find out whether the words fit in one way alone. Give more letters.',
      cells: [],
    };
  if (!ways.length)
    return { isSound: false, says: 'The words do not fit. Undo, or change a letter.', cells: [] };
  return {
    isSound: true,
    says: `${runs.length} words, which fit in one way. ${item.given.length} letters given.`,
    cells: [],
  };
}
