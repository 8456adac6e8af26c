import {
  LONGEST_LADDER,
  ladderBetween,
  ladderSteps,
  laddersBetween,
  type NoLadder,
} from '../../puzzles/word-ladder/index.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { answerProblems } from '../puzzle/judged.ts';
import type { WordLadderOptions, WordLadderPin } from './options.ts';

export interface WordLadderItem {
  letters: number;
  /** From the first word to the last; empty where there is no such ladder. */
  words: string[];
  /** Between two words that the publisher gave: other ways may be as short, or there is none. */
  own?: { pair: string; several: boolean; none?: NoLadder };
}

/** Pairs of words, a line for each, in capitals; the second is empty where a line has one word. */
const pairsIn = (lines: string): [string, string][] =>
  lines.split(/\r?\n/).flatMap((line): [string, string][] => {
    const [first, last = ''] = line
      .toUpperCase()
      .split(/[^\p{L}]+/u)
      .filter(Boolean);
    return first ? [[first, last]] : [];
  });

/** What a pinned puzzle is made from. */
export function pinnedWordLadder({ options, item, roll }: FillContext<WordLadderOptions>): WordLadderPin {
  const { letters, steps } = options;
  const pair = pairsIn(options.pairs)[item - 1];
  return { letters, steps, roll, ...(pair ? { pair } : {}) };
}

/** Makes one puzzle from its own random stream, or between words that were given. */
export function* fillWordLadder(context: FillContext<WordLadderOptions>): Generator<void, WordLadderItem> {
  const { letters, steps, roll, pair } =
    (context.pin as WordLadderPin | undefined) ?? pinnedWordLadder(context);
  if (pair) {
    const found = ladderBetween(...pair);
    const own = { pair: pair.filter(Boolean).join(' – '), several: 'several' in found && found.several };
    return 'none' in found
      ? { letters: pair[0].length, words: [], own: { ...own, none: found.none } }
      : { letters: pair[0].length, words: found.words, own };
  }
  const random = randomStream(...context.streamKey, context.item, roll, 'ladder');
  return { letters, words: (yield* ladderSteps(letters, steps, random)) ?? [] };
}

/** Why there is no ladder between words that were given, and what to do. */
const REASONS: Readonly<Record<NoLadder, string>> = {
  lengths: 'needs two different words with as many letters. Change the line.',
  first: 'begins with a word that is not among the everyday words. Take another.',
  last: 'ends with a word that is not among the everyday words. Take another.',
  far: `has no way of ${LONGEST_LADDER} steps or fewer through everyday words. Take other words.`,
};

/** Looks for the ladder anew, by code that has no part in making it, and for a second one. */
export function inspectWordLadder(
  { words, own }: WordLadderItem,
  { label }: { label: string },
): ItemProblem[] {
  const [first, last] = [words[0], words.at(-1)];
  if (!first || !last)
    return [
      {
        severity: 'fix',
        message: own?.none
          ? `${label}: ${own.pair} ${REASONS[own.none]}`
          : `${label}: there is no ladder of so many steps. Ask for fewer, or re-roll it.`,
      },
    ];
  const found = laddersBetween(first, last, words.length - 1);
  if (own?.several && found.length > 1 && found[0]!.length === words.length)
    return [
      {
        severity: 'look',
        message: `${label}: from ${first} to ${last} several ways are as short; the answer shows one of them.`,
      },
    ];
  return answerProblems(label, found, (ladder) => ladder.join() === words.join());
}
