import { ladderSteps, laddersBetween } from '../../puzzles/word-ladder/index.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { answerProblems } from '../puzzle/judged.ts';
import type { WordLadderOptions, WordLadderPin } from './options.ts';

export interface WordLadderItem {
  letters: number;
  /** From the first word to the last; empty where there is no such ladder. */
  words: string[];
}

/** What a pinned puzzle is made from. */
export const pinnedWordLadder = ({ options, roll }: FillContext<WordLadderOptions>): WordLadderPin => ({
  letters: options.letters,
  steps: options.steps,
  roll,
});

/** Makes one puzzle from its own random stream. */
export function* fillWordLadder(context: FillContext<WordLadderOptions>): Generator<void, WordLadderItem> {
  const { letters, steps, roll } = (context.pin as WordLadderPin | undefined) ?? pinnedWordLadder(context);
  const random = randomStream(...context.streamKey, context.item, roll, 'ladder');
  return { letters, words: (yield* ladderSteps(letters, steps, random)) ?? [] };
}

/** Looks for the ladder anew, by code that has no part in making it, and for a second one. */
export function inspectWordLadder({ words }: WordLadderItem, { label }: { label: string }): ItemProblem[] {
  const [first, last] = [words[0], words.at(-1)];
  if (!first || !last)
    return [
      {
        severity: 'fix',
        message: `${label}: there is no ladder of so many steps. Ask for fewer, or re-roll it.`,
      },
    ];
  return answerProblems(
    label,
    laddersBetween(first, last, words.length - 1),
    (ladder) => ladder.join() === words.join(),
  );
}
