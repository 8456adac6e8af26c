import * as v from 'valibot';
import { randomStream } from '../../random.ts';
import { type Resources, words as wordBank } from '../../resources/index.ts';
import { exactObject, identifier, text } from '../../schema.ts';
import { gridWord, WORD_LIST_LIMITS } from '../../words/index.ts';
import type { FillContext, SectionProblem } from '../kind.ts';
import { dealtFrom } from './deal.ts';

const words = v.pipe(
  v.array(text(1, 60)),
  v.maxLength(
    WORD_LIST_LIMITS.words,
    (issue) => `has ${issue.input.length} words; ${WORD_LIST_LIMITS.words} are allowed. Split the list.`,
  ),
);

/** Words come from a word bank among the resources, or from lists of the section's own. */
export const wordSource = v.union(
  [
    exactObject({ bank: identifier }),
    exactObject({
      lists: v.pipe(v.array(exactObject({ title: v.optional(text(1, 80)), words })), v.maxLength(500)),
    }),
  ],
  'should be { "bank": "…" } or { "lists": [{ "title": "…", "words": ["…"] }] }.',
);
export type WordSource = v.InferOutput<typeof wordSource>;

/** The bank that words come from, as a section needs it. */
export const bankNeeded = ({ words: source }: { words: WordSource }) =>
  'bank' in source ? [{ id: source.bank, type: 'words', path: 'words.bank' }] : [];

/** The lists that the puzzles of a section take their words from, in turn. */
export const listsOf = (
  { words: source }: { words: WordSource },
  resources: Resources,
): readonly { title?: string | undefined; words: readonly string[] }[] =>
  'bank' in source ? [{ words: resources.value(wordBank, source.bank) }] : source.lists;

/** A word with its letters in a grid. */
export interface Usable {
  word: string;
  letters: readonly string[];
}

/** Reading 5,000 words for each of 60 puzzles would be the cost of a preview; lists are immutable, so kept. */
const readLists = new WeakMap<readonly string[], Usable[]>();

/** The words of a list that can stand in a grid, each once. */
export function usableWords(list: readonly string[]): Usable[] {
  let read = readLists.get(list);
  if (!read) {
    const seen = new Set<string>();
    read = list.flatMap((word) => {
      const found = gridWord(word);
      if ('problem' in found || seen.has(found.letters.join(''))) return [];
      seen.add(found.letters.join(''));
      return [found];
    });
    readLists.set(list, read);
  }
  return read;
}

/** The words of one puzzle, and the title of the list that they are from; the shortest first, each length by its letters. */
export function dealtWords(
  { options, resources, streamKey, item, roll }: FillContext<{ words: WordSource }>,
  size: number,
  longest: number,
  clash: (one: Usable, other: Usable) => boolean = () => false,
): { title?: string | undefined; words: Usable[] } {
  const lists = listsOf(options, resources);
  const place = (item - 1) % Math.max(1, lists.length);
  const list = lists[place] ?? { words: [] };
  const words = dealtFrom(
    usableWords(list.words).filter(({ letters }) => letters.length <= longest),
    {
      size,
      place: roll === 0 ? Math.floor((item - 1) / lists.length) : null,
      deck: (cycle) => randomStream(...streamKey, 'words', place, cycle),
      own: randomStream(...streamKey, item, roll, 'words'),
      clash,
    },
  );
  const spelled = ({ letters }: Usable) => letters.join('');
  words.sort((a, b) => a.letters.length - b.letters.length || (spelled(a) < spelled(b) ? -1 : 1));
  return { title: list.title, words };
}

/** Words named in one finding; of more, how many there are is said. */
const NAMED = 4;

/** Why words are in no puzzle, in one finding. */
export const leftOutTold = (reasons: readonly string[]): string =>
  `${reasons.slice(0, NAMED).join(' ')}${reasons.length > NAMED ? ` And ${reasons.length - NAMED} more.` : ''}`;

/** What is wrong with the lists of a section: said once for all of its puzzles. @param longest word that a puzzle takes */
export function listProblems(
  items: readonly { number: number; label: string; item: { words: readonly unknown[] } }[],
  lists: readonly { title?: string | undefined; words: readonly string[] }[],
  { wordsPerPuzzle, longest }: { wordsPerPuzzle: number; longest: number },
): SectionProblem[] {
  const empty = items.find((_, i) => !usableWords(lists[i % Math.max(1, lists.length)]?.words ?? []).length);
  if (empty && empty.item.words.length === 0)
    return [
      {
        severity: 'fix',
        message: `${empty.label}: there are no words. Type or paste some, or choose a word bank.`,
        item: empty.number,
      },
    ];
  return lists.flatMap(({ title, words }, i): SectionProblem[] => {
    const first = items[i];
    if (!first) return [];
    const name = title ? `Words of “${title}”` : 'Words';
    const reasons = words.flatMap((word): string[] => {
      const read = gridWord(word);
      if ('problem' in read) return [`“${read.word}” ${read.problem}`];
      return read.letters.length > longest
        ? [
            `${read.word.toLocaleUpperCase('en')} has ${read.letters.length} letters; ${longest} are the most.`,
          ]
        : [];
    });
    const usable = usableWords(words).filter(({ letters }) => letters.length <= longest).length;
    const item = first.number;
    return [
      ...(reasons.length
        ? [{ severity: 'look' as const, message: `${name} left out: ${leftOutTold(reasons)}`, item }]
        : []),
      ...(usable < wordsPerPuzzle
        ? [
            {
              severity: 'look' as const,
              message: `From ${first.label.toLowerCase()}: the list gives ${usable} of the ${wordsPerPuzzle} words asked for. Add words or ask for fewer.`,
              item,
            },
          ]
        : []),
    ];
  });
}
