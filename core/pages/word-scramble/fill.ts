import {
  areMistaken,
  isPuzzling,
  isVowel,
  scrambled,
  type Task,
  withoutVowels,
} from '../../puzzles/scramble/index.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { dealtWords, type Usable, usableWords } from '../puzzle/word-source.ts';
import { LONGEST, type ScrambleOptions, type ScramblePin } from './options.ts';

export interface ScrambleItem {
  title?: string | undefined;
  task: Task;
  words: (Usable & {
    /** What is printed: the letters in another order, or null for each vowel. */
    shown: (string | null)[];
  })[];
}

/** What a pinned puzzle is made from. */
export function pinnedScramble(context: FillContext<ScrambleOptions>): ScramblePin {
  const { options, roll } = context;
  const { task, wordsPerPuzzle } = options;
  const { title, words } = dealtWords(
    context,
    wordsPerPuzzle,
    LONGEST,
    (one, other) => !isPuzzling(task, one.letters) || areMistaken(task, one.letters, other.letters),
  );
  return { ...(title ? { title } : {}), words: words.map(({ word }) => word), task, roll };
}

/** Makes one puzzle from its own random stream. */
export function fillScramble(context: FillContext<ScrambleOptions>): ScrambleItem {
  const { title, words, task, roll } = (context.pin as ScramblePin | undefined) ?? pinnedScramble(context);
  const random = randomStream(...context.streamKey, context.item, roll, 'scramble');
  const usable = usableWords(words).filter(({ letters }) => isPuzzling(task, letters));
  return {
    title,
    task,
    words: usable.map((word) => ({
      ...word,
      shown: task === 'letters' ? scrambled(word.letters, random) : withoutVowels(word.letters),
    })),
  };
}

/** Compares what is printed with the word, letter by letter, and with every other word of the puzzle. */
export function inspectScramble({ words, task }: ScrambleItem, { label }: { label: string }): ItemProblem[] {
  const fix = (message: string): ItemProblem => ({ severity: 'fix', message: `${label}: ${message}` });
  const counted = (letters: readonly (string | null)[]) => [...letters].sort().join(' ');
  return words.flatMap(({ word, letters, shown }, i): ItemProblem[] => {
    const name = word.toLocaleUpperCase('en');
    const isWhole =
      task === 'letters'
        ? counted(shown) === counted(letters) && shown.join() !== letters.join()
        : shown.length === letters.length &&
          shown.every((sign, at) => (sign === null ? isVowel(letters[at]!) : sign === letters[at]));
    if (!isWhole) return [fix(`${name} is not printed as it should. Re-roll the puzzle.`)];
    const twin = words.slice(0, i).find((other) => areMistaken(task, letters, other.letters));
    return twin
      ? [fix(`${name} may be taken for ${twin.word.toLocaleUpperCase('en')}. Remove one of them.`)]
      : [];
  });
}
