import { spelledFrom, type WordWheel, wheelSteps } from '../../puzzles/word-wheel/index.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { answerProblems } from '../puzzle/judged.ts';
import type { WordWheelOptions, WordWheelPin } from './options.ts';

export interface WordWheelItem extends WordWheel {
  shortest: number;
}

/** Letters of a square. */
export const SQUARE = 9;

/** What a pinned puzzle is made from. */
export const pinnedWordWheel = ({ options, roll }: FillContext<WordWheelOptions>): WordWheelPin => ({
  letters: options.form === 'square' ? SQUARE : options.letters,
  shortest: options.shortest,
  roll,
});

/** Makes one puzzle from its own random stream. */
export function* fillWordWheel(context: FillContext<WordWheelOptions>): Generator<void, WordWheelItem> {
  const { letters, shortest, roll } = (context.pin as WordWheelPin | undefined) ?? pinnedWordWheel(context);
  const random = randomStream(...context.streamKey, context.item, roll, 'wheel');
  const made = yield* wheelSteps(letters, shortest, random);
  return { ...(made ?? { letters: '', words: [], whole: '' }), shortest };
}

/** Looks for the words anew, by code that has no part in making it, and for a second one that takes all letters. */
export function inspectWordWheel(
  { letters, words, whole, shortest }: WordWheelItem,
  { label }: { label: string },
): ItemProblem[] {
  if (!letters) return [{ severity: 'fix', message: `${label}: was not found. Re-roll the puzzle.` }];
  const found = spelledFrom(letters, shortest);
  const wholes = found.filter((word) => word.length === letters.length);
  const wrong = answerProblems(label, wholes, (word) => word === whole);
  if (wrong.length || found.join() === words.join()) return wrong;
  return answerProblems(label, [found], () => false);
}
