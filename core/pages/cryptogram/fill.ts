import { type Cryptogram, deciphered, makeCryptogram, signsOf } from '../../puzzles/cryptogram/index.ts';
import { isEnglish, readingsOf } from '../../puzzles/cryptogram/readings.ts';
import { type RandomStream, randomStream } from '../../random.ts';
import { dealt, type ListedText, readTexts, toldTwice } from '../../text-lists/index.ts';
import type { FillContext, ItemProblem, SectionProblem } from '../kind.ts';
import type { CryptogramOptions, CryptogramPin } from './options.ts';

export interface CryptogramItem extends Cryptogram {
  credit: string;
  /** Letters that are given, in the order of the alphabet. */
  given: string[];
  /** Everyday words were to fit in one way alone. */
  oneReading?: true;
}

/** The text of a puzzle; the list begins anew when it has been used. */
function textOf({ options, streamKey, item }: FillContext<CryptogramOptions>): ListedText {
  const texts = dealt(readTexts(options.texts), options.order, streamKey);
  return texts[(item - 1) % Math.max(1, texts.length)] ?? { text: '', credit: '' };
}

/** What a pinned puzzle is made from. */
export function pinnedCryptogram(context: FillContext<CryptogramOptions>): CryptogramPin {
  const { text, credit } = textOf(context);
  const { given, oneReading } = context.options;
  return { text, credit, given, roll: context.roll, ...(oneReading ? { oneReading } : {}) };
}

/** Letters that are given at most, so that something is left to find. */
const MOST_GIVEN = 10;

/** Letters given besides, one after another where two readings differ, until there is one. Gives way after each. */
function* untilOneReading(
  made: Cryptogram,
  given: readonly string[],
  used: readonly string[],
  random: RandomStream,
): Generator<void, string[]> {
  const all = [...given];
  const letterOf = new Map(Object.entries(made.key).map(([letter, sign]) => [sign, letter]));
  while (all.length < MOST_GIVEN) {
    yield;
    const found = readingsOf(made, all);
    if (found?.length === 1) break;
    const [one, other] = found ?? [];
    const open = used.filter((letter) => !all.includes(letter));
    // Where too much would have to be tried, any letter helps.
    const differing = one
      ? [...one].flatMap(([sign, letter]) => (other!.get(sign) === letter ? [] : [letterOf.get(sign)!]))
      : open;
    if (!differing.length) break;
    all.push(random.pick(differing));
  }
  return all;
}

/** Makes one puzzle from its own random stream. */
export function* fillCryptogram(context: FillContext<CryptogramOptions>): Generator<void, CryptogramItem> {
  const { text, credit, given, oneReading, roll } =
    (context.pin as CryptogramPin | undefined) ?? pinnedCryptogram(context);
  const random = randomStream(...context.streamKey, context.item, roll, 'cryptogram');
  const made = makeCryptogram(text, random);
  const used = [...new Set(signsOf(text))].filter((sign) => sign in made.key);
  const first = random.shuffled(used).slice(0, given);
  if (!oneReading || !isEnglish(text)) return { ...made, credit, given: first.sort() };
  const all = yield* untilOneReading(made, first, used, random);
  return { ...made, credit, given: all.sort(), oneReading };
}

/** A text with fewer different letters gives a solver too little to go by. Our own measure, no source. */
const LEAST_LETTERS = 8;

/** Reads the text back by its key, and looks for letters that stand for themselves or share a sign. */
export function inspectCryptogram(item: CryptogramItem, { label }: { label: string }): ItemProblem[] {
  const { text, key } = item;
  const say = (severity: ItemProblem['severity'], message: string): ItemProblem[] => [
    { severity, message: `${label}: ${message}` },
  ];
  if (!text) return [];
  const pairs = Object.entries(key);
  const isSound = new Set(Object.values(key)).size === pairs.length && pairs.every(([a, b]) => a !== b);
  if (!isSound || deciphered(item) !== signsOf(text).join(''))
    return say('fix', 'the key does not give the text back. Re-roll the puzzle.');
  if (item.oneReading && readingsOf(item, item.given)?.length !== 1)
    return say(
      'look',
      'everyday words can be read in more than one way, though letters are given. Re-roll it, or use a longer text.',
    );
  const letters = new Set(signsOf(text).filter((sign) => sign in key)).size;
  return letters < LEAST_LETTERS
    ? say(
        'look',
        `the text has ${letters} different letters, too few to find it out. Use a longer text, or give letters.`,
      )
    : [];
}

/** What is wrong with the list: said once for all puzzles. */
export function inspectCryptograms(
  items: readonly { number: number; label: string; item: CryptogramItem }[],
  options: CryptogramOptions,
): SectionProblem[] {
  const [first] = items;
  if (!first) return [];
  const texts = readTexts(options.texts);
  const item = first.number;
  if (items.some(({ item: { text } }) => !text))
    return [
      {
        severity: 'fix',
        message: `${first.label}: there is no text. Type or paste some, a line for each.`,
        item,
      },
    ];
  const problems: SectionProblem[] = toldTwice(texts).map((message) => ({ severity: 'look', message, item }));
  const foreign = options.oneReading && items.find((one) => one.item.text && !one.item.oneReading);
  if (foreign)
    problems.push({
      severity: 'look',
      message: `${foreign.label}: its text is not English as far as its words are known, so that nothing shows that it has one reading alone. Leave that setting off for such texts.`,
      item: foreign.number,
    });
  if (texts.length && texts.length < items.length)
    problems.push({
      severity: 'look',
      message: `From ${items[texts.length]!.label.toLowerCase()}: ${texts.length} texts serve ${items.length} puzzles, so that they come back with another key. Add texts or ask for fewer puzzles.`,
      item: items[texts.length]!.number,
    });
  return problems;
}
