import { freeFormSteps, runsOf } from '../../puzzles/crossword/index.ts';
import { type FillIn, fillings, lettersToGive } from '../../puzzles/fill-in/index.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { answerProblems, placeProblems } from '../puzzle/judged.ts';
import { dealtWords, usableWords } from '../puzzle/word-source.ts';
import type { FillInGiven, FillInMade, FillInOptions, FillInPin } from './options.ts';

export interface FillInItem extends FillIn {
  title?: string | undefined;
  /** Words in the grid, as they are listed. */
  words: { word: string; letters: readonly string[] }[];
  /** Places of letters that are printed. */
  given: number[];
  leftOut: string[];
}

/** What a pinned puzzle is made from. */
export function pinnedFillIn(context: FillContext<FillInOptions>): FillInMade {
  const { options, roll } = context;
  const { columns, rows, given } = options;
  const { title, words } = dealtWords(context, options.wordsPerPuzzle, Math.max(columns, rows));
  return { ...(title ? { title } : {}), words: words.map(({ word }) => word), columns, rows, given, roll };
}

/** Makes one puzzle from its own random stream, giving way while it works. */
export function* fillFillIn(context: FillContext<FillInOptions>): Generator<void, FillInItem> {
  const made = (context.pin as FillInPin | undefined) ?? pinnedFillIn(context);
  if ('letters' in made) return givenFillIn(made);
  const { title, columns, rows, roll } = made;
  const words = usableWords(made.words);
  const random = randomStream(...context.streamKey, context.item, roll, 'grid');
  const { grid, leftOut } = yield* freeFormSteps(
    { words: words.map(({ letters }) => letters), columns, rows },
    random,
  );
  yield;
  const given = lettersToGive(grid);
  const runs = runsOf(grid);
  if (made.given && given.size === 0 && runs.length > 1)
    for (const at of random.pick(runs).cells) given.add(at);
  return {
    title,
    ...{ columns: grid.columns, rows: grid.rows, letters: grid.letters },
    words: words.filter((_, i) => !leftOut.includes(i)),
    given: [...given].sort((a, b) => a - b),
    leftOut: leftOut.map((i) => words[i]!.word),
  };
}

/** A puzzle that was brought in: its words are read off the grid, and listed by their letters. */
export function givenFillIn({ title, columns, rows, letters, given }: FillInGiven): FillInItem {
  const words = runsOf({ columns, rows, letters }).map(({ cells }) => {
    const spelled = cells.map((at) => letters[at]!);
    return { word: spelled.join(''), letters: spelled };
  });
  words.sort((a, b) => a.letters.length - b.letters.length || (a.word < b.word ? -1 : 1));
  return { title, columns, rows, letters, words, given: given.filter((at) => letters[at]), leftOut: [] };
}

/** Puts the words anew, looks for a second way, and compares what is read off the grid with the list. */
export function inspectFillIn(item: FillInItem, { label }: { label: string }): ItemProblem[] {
  const runs = runsOf(item).map(({ cells }) => cells.map((at) => item.letters[at]).join(''));
  const listed = item.words.map(({ letters }) => letters.join(''));
  const isSame = [...runs].sort().join(' ') === [...listed].sort().join(' ');
  const problems = runs.length
    ? answerProblems(label, fillings(item, new Set(item.given)), () => isSame)
    : [];
  return [...problems, ...placeProblems(label, item.leftOut, new Set(item.letters))];
}
