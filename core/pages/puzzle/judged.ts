import type { Level } from '../../puzzles/level.ts';
import { gridWord } from '../../words/index.ts';
import type { ItemProblem } from '../kind.ts';

const fix = (label: string, message: string): ItemProblem[] => [
  { severity: 'fix', message: `${label}: ${message}` },
];

/**
 * What is wrong with the answer in the book, as a solver found it that had no part in making the puzzle.
 * @param found its answers; it need not look for more than two
 * @param isSame whether an answer is the one in the book
 */
export function answerProblems<Answer>(
  label: string,
  found: readonly Answer[],
  isSame: (answer: Answer) => boolean,
): ItemProblem[] {
  if (found.length === 0) return fix(label, 'has no answer. Re-roll the puzzle.');
  if (found.length > 1) return fix(label, 'has more than one answer. Re-roll the puzzle.');
  return isSame(found[0]!) ? [] : fix(label, 'the answer in the book is another. Re-roll the puzzle.');
}

/** That a puzzle is of another level than was asked for. @param why and what to do */
export const levelProblems = (
  label: string,
  { level, wanted }: { level: Level; wanted: Level },
  why: string,
): ItemProblem[] =>
  level === wanted
    ? []
    : [{ severity: 'look', message: `${label}: is of level ${level}, not ${wanted}: ${why}` }];

const inWords = (text: string): string =>
  ` ${text
    .toLocaleLowerCase('en')
    .split(/[^\p{L}\p{M}\p{N}]+/u)
    .filter(Boolean)
    .join(' ')} `;

/** Whether a clue, or a question, has its answer in it, as whole words. */
export const givesAway = (said: string, answer: string): boolean => inWords(said).includes(inWords(answer));

/** Words that found no place among others in a grid, and why. @param placed letters of those that did */
export function placeProblems(
  label: string,
  leftOut: readonly string[],
  placed: ReadonlySet<string | null>,
): ItemProblem[] {
  return leftOut.map((word): ItemProblem => {
    const name = word.toLocaleUpperCase('en');
    const read = gridWord(word);
    const crosses = 'letters' in read && read.letters.some((letter) => placed.has(letter));
    const why = crosses
      ? 'finds no place. Use a larger grid or fewer words, or re-roll the puzzle.'
      : 'shares no letter with the others, so that nothing can cross it. Use another word.';
    return { severity: 'fix', message: `${label}: ${name} ${why}` };
  });
}

/**
 * The first of some puzzles that is of a level, or the nearest of them.
 * @param make one, giving way while it works
 */
export function* ofLevel<Item extends { level: Level }>(
  wanted: Level,
  tries: number,
  make: () => Generator<void, Item>,
): Generator<void, Item> {
  let best: Item | null = null;
  for (let i = 0; i < tries; i++) {
    const made = yield* make();
    if (!best || Math.abs(made.level - wanted) < Math.abs(best.level - wanted)) best = made;
    if (best.level === wanted) break;
  }
  return best!;
}
