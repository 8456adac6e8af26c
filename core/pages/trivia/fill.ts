import { randomStream } from '../../random.ts';
import { dealt, readRows } from '../../text-lists/index.ts';
import type { FillContext, ItemProblem, SectionProblem } from '../kind.ts';
import { givesAway } from '../puzzle/judged.ts';
import type { TriviaOptions, TriviaPin } from './options.ts';

export interface Question {
  question: string;
  /** What is right. */
  answer: string;
  /** Answers to choose from, the right one among them; none where it is written down. */
  choices: string[];
}

export interface TriviaItem {
  questions: Question[];
}

/** Letters of the choices. */
export const LETTERS = 'ABCDEFG';

/** What a pinned quiz is made from: its rows of the list. */
export function pinnedTrivia({ options, streamKey, item, roll }: FillContext<TriviaOptions>): TriviaPin {
  const rows = dealt(readRows(options.questions), options.order, streamKey);
  const first = (item - 1) * options.perPuzzle;
  const count = Math.min(options.perPuzzle, rows.length);
  return {
    rows: Array.from({ length: count }, (_, i) =>
      rows[(first + i) % rows.length]!.slice(0, 1 + LETTERS.length),
    ),
    roll,
  };
}

/** Makes one quiz from its own random stream, which shuffles the choices. */
export function fillTrivia(context: FillContext<TriviaOptions>): TriviaItem {
  const { rows, roll } = (context.pin as TriviaPin | undefined) ?? pinnedTrivia(context);
  const random = randomStream(...context.streamKey, context.item, roll, 'choices');
  return {
    questions: rows.map(([question, answer = '', ...wrong]) => {
      const others = [...new Set(wrong.filter((one) => one && one !== answer))];
      return {
        question: question!,
        answer,
        choices: answer && others.length ? random.shuffled([answer, ...others]) : [],
      };
    }),
  };
}

/** The answer as it is printed: with its letter, where there are choices. */
export const answerOf = ({ answer, choices }: Question): string =>
  choices.length ? `${LETTERS[choices.indexOf(answer)]} ${answer}` : answer;

export function inspectTrivia({ questions }: TriviaItem, { label }: { label: string }): ItemProblem[] {
  return questions.flatMap(({ question, answer, choices }, i): ItemProblem[] => {
    const name = `${label}: question ${i + 1}`;
    if (!answer)
      return [{ severity: 'fix', message: `${name} has no answer. Write one after an upright bar.` }];
    if (choices.length && choices.filter((one) => one.toLowerCase() === answer.toLowerCase()).length !== 1)
      return [
        { severity: 'fix', message: `${name} has its answer twice among the choices. Change one of them.` },
      ];
    return givesAway(question, answer)
      ? [{ severity: 'look', message: `${name} has its answer in it. Put it in other words.` }]
      : [];
  });
}

/** What is wrong with the list: said once for all quizzes. */
export function inspectTrivias(
  items: readonly { number: number; label: string; item: TriviaItem }[],
  options: TriviaOptions,
): SectionProblem[] {
  const [first] = items;
  if (!first) return [];
  const rows = readRows(options.questions).length;
  if (items.some(({ item: { questions } }) => !questions.length))
    return [
      {
        severity: 'fix',
        message: `${first.label}: there are no questions. Type or paste some, a line for each.`,
        item: first.number,
      },
    ];
  const asked = items.length * options.perPuzzle;
  return rows && rows < asked
    ? [
        {
          severity: 'look',
          message: `The list has ${rows} of the ${asked} questions asked for, so that they come back. Add questions, or ask for fewer.`,
          item: first.number,
        },
      ]
    : [];
}
