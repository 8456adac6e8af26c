import { messageRows } from '../../puzzles/hidden-message/index.ts';
import { scrambled } from '../../puzzles/scramble/index.ts';
import { randomStream } from '../../random.ts';
import { dealt, readTexts } from '../../text-lists/index.ts';
import { graphemes, gridWord } from '../../words/index.ts';
import type { FillContext, ItemProblem, SectionProblem } from '../kind.ts';
import { cluedWords } from '../puzzle/clued-words.ts';
import { givesAway } from '../puzzle/judged.ts';
import { leftOutTold } from '../puzzle/word-source.ts';
import { type HiddenMessageOptions, type HiddenMessagePin, MOST_LETTERS } from './options.ts';

export interface HiddenRow {
  /** Of the message; it stands in the marked column. */
  letter: string;
  /** Empty where no word has the letter, which is printed then. */
  word: string;
  letters: readonly string[];
  /** Place of the letter in the word. */
  at: number;
  clue: string;
  /** The letters in disorder, where the word has no clue. */
  disorder?: readonly string[];
  /** A new word of the message begins with it. */
  begins: boolean;
}

export interface HiddenMessageItem {
  message: string;
  rows: HiddenRow[];
}

/** Longest word: its boxes fit a small page beside its clue. */
const LONGEST = 14;

/** Letters of a message as they stand in grids, and which of them begin a word of it. */
function lettersOf(message: string): { letter: string; begins: boolean }[] {
  let begins = false;
  return graphemes(message.normalize('NFC')).flatMap((sign) => {
    if (!/^\p{L}/u.test(sign)) {
      begins = true;
      return [];
    }
    const one = { letter: sign.toLocaleUpperCase('en'), begins };
    begins = false;
    return [one];
  });
}

const messagesOf = ({ messages, order }: HiddenMessageOptions, streamKey: readonly [string, string]) =>
  dealt(
    readTexts(messages).map(({ text }) => text),
    order,
    streamKey,
  );

/** What a pinned puzzle is made from. */
export function pinnedHiddenMessage({
  options,
  streamKey,
  item,
  roll,
}: FillContext<HiddenMessageOptions>): HiddenMessagePin {
  const messages = messagesOf(options, streamKey);
  const message = messages.length ? messages[(item - 1) % messages.length]! : '';
  const usable = cluedWords(options.clues).clued.filter(({ letters }) => letters.length <= LONGEST);
  const letters = lettersOf(message).slice(0, MOST_LETTERS);
  const rows = messageRows(
    letters.map(({ letter }) => letter),
    usable.map((word) => word.letters),
    randomStream(...streamKey, item, roll, 'rows'),
  );
  return {
    message,
    roll,
    rows: rows.map(({ letter, word, at }) => {
      const clued = word === null ? null : usable[word]!;
      return { letter, at, word: clued?.word ?? '', clue: clued?.clue ?? '' };
    }),
  };
}

/** Makes one puzzle from its own random stream, which puts letters into disorder. */
export function fillHiddenMessage(context: FillContext<HiddenMessageOptions>): HiddenMessageItem {
  const { message, rows, roll } =
    (context.pin as HiddenMessagePin | undefined) ?? pinnedHiddenMessage(context);
  const random = randomStream(...context.streamKey, context.item, roll, 'disorder');
  const begins = lettersOf(message);
  return {
    message,
    rows: rows.map(({ letter, word, clue, at }, i) => {
      const read = gridWord(word);
      const letters = word && 'letters' in read ? read.letters : [];
      const isMixed = letters.length > 1 && !clue && new Set(letters).size > 1;
      return {
        ...{ letter, word, letters, at, clue, begins: begins[i]?.begins ?? false },
        ...(isMixed ? { disorder: scrambled(letters, random) } : {}),
      };
    }),
  };
}

/** Reads the marked column off the words, letter by letter. */
export function inspectHiddenMessage(
  { message, rows }: HiddenMessageItem,
  { label }: { label: string },
): ItemProblem[] {
  const say = (severity: ItemProblem['severity'], text: string): ItemProblem => ({
    severity,
    message: `${label}: ${text}`,
  });
  if (!rows.length) return [];
  const all = lettersOf(message);
  const problems: ItemProblem[] = [];
  if (all.length > MOST_LETTERS)
    problems.push(
      say('fix', `the message has ${all.length} letters; ${MOST_LETTERS} are the most. Make it shorter.`),
    );
  const read = rows.map(({ letters, at, letter }) => letters[at] ?? letter).join('');
  if (
    read !==
    all
      .slice(0, MOST_LETTERS)
      .map(({ letter }) => letter)
      .join('')
  )
    problems.push(say('fix', 'the marked column does not read as the message. Re-roll the puzzle.'));
  const bare = rows.flatMap(({ word, letter }) => (word ? [] : [letter]));
  if (bare.length)
    problems.push(
      say(
        'look',
        `no word is left for ${[...new Set(bare)].join(', ')}, so that it is printed. Add words that have it.`,
      ),
    );
  for (const { word, clue } of rows)
    if (word && clue && givesAway(clue, word))
      problems.push(
        say('look', `the clue of ${word.toLocaleUpperCase('en')} has the word in it. Write another one.`),
      );
  return problems;
}

/** What is wrong with the lists: said once for all puzzles. */
export function inspectHiddenMessages(
  items: readonly { number: number; label: string; item: HiddenMessageItem }[],
  options: HiddenMessageOptions,
): SectionProblem[] {
  const [first] = items;
  if (!first) return [];
  const item = first.number;
  const messages = readTexts(options.messages).length;
  const { clued, reasons, unreviewed } = cluedWords(options.clues);
  const problems: SectionProblem[] = [];
  if (!messages)
    problems.push({
      severity: 'fix',
      message: `${first.label}: there is no message. Type or paste some, a line for each.`,
      item,
    });
  else if (messages < items.length)
    problems.push({
      severity: 'look',
      message: `The list has ${messages} of the ${items.length} messages asked for, so that they come back. Add messages, or ask for fewer puzzles.`,
      item,
    });
  if (!clued.length)
    problems.push({
      severity: 'fix',
      message: `${first.label}: there are no words. Type or paste words with their clues.`,
      item,
    });
  const long = clued.flatMap(({ word, letters }) =>
    letters.length > LONGEST
      ? [`${word.toLocaleUpperCase('en')} has ${letters.length} letters; ${LONGEST} are the most.`]
      : [],
  );
  if (reasons.length + long.length)
    problems.push({
      severity: 'look',
      message: `Words left out: ${leftOutTold([...reasons, ...long])}`,
      item,
    });
  if (unreviewed.length)
    problems.push({
      severity: 'look',
      message: `${unreviewed.length === 1 ? 'One clue comes' : `${unreviewed.length} clues come`} from the dictionary and nobody has reviewed ${unreviewed.length === 1 ? 'it' : 'them'}. Read each and take its ~ away.`,
      item,
    });
  return problems;
}
