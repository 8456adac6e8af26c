import { findWord, makeWordSearch, mirrored, type WordSearch } from '../../../puzzles/word-search/index.ts';
import { randomStream } from '../../../random.ts';
import { directionOf } from '../../../scene/index.ts';
import type { FillContext, ItemProblem } from '../../kind.ts';
import { dealtFrom } from '../../puzzle/deal.ts';
import { listsOf, type Usable, usableWords } from '../../puzzle/word-source.ts';
import type { WordSearchOptions, WordSearchPin } from './options.ts';

export interface WordSearchItem {
  title?: string | undefined;
  /** As listed under the grid, in order. */
  words: Usable[];
  search: WordSearch;
  /** Words of the puzzle's own list that are longer than the grid. */
  tooLong: Usable[];
  /** How many words the puzzle was asked to have and its list could not give. */
  short: number;
}

interface Source {
  title?: string | undefined;
  usable: Usable[];
  tooLong: Usable[];
  /** A list made for this puzzle alone: a word it cannot hold is a fault, not a choice. */
  isDedicatedList: boolean;
}

function sourceOf({
  options,
  resources,
  item,
}: FillContext<WordSearchOptions>): Source & { dealIndex: number } {
  const lists = listsOf(options, resources);
  const list = lists[(item - 1) % Math.max(1, lists.length)] ?? { words: [] };
  const room = Math.max(options.columns, options.rows);
  const all = usableWords(list.words);
  const isDedicatedList = !('bank' in options.words) && lists.length > 1;
  return {
    title: 'bank' in options.words ? undefined : list.title,
    usable: all.filter((word) => word.letters.length <= room),
    tooLong: all.filter((word) => word.letters.length > room),
    isDedicatedList,
    dealIndex: Math.floor((item - 1) / Math.max(1, lists.length)),
  };
}

export const inside = (part: Usable, whole: Usable): boolean => {
  const there = whole.letters.join('');
  return there.includes(part.letters.join('')) || there.includes([...part.letters].reverse().join(''));
};

/** Deals the puzzle's words. Words inside other words are passed over. */
function deal(context: FillContext<WordSearchOptions>, source: ReturnType<typeof sourceOf>): Usable[] {
  const [seed, section] = context.streamKey;
  return dealtFrom(source.usable, {
    size: context.options.wordsPerPuzzle,
    place: context.roll === 0 ? source.dealIndex : null,
    deck: (cycle) => randomStream(seed, section, source.title ?? '', 'deck', cycle),
    own: randomStream(seed, section, context.item, context.roll, 'words'),
    clash: (word, other) => inside(word, other) || inside(other, word),
  });
}

const inOrder = (words: Usable[]): Usable[] =>
  words.slice().sort((a, b) => (a.letters.join('') < b.letters.join('') ? -1 : 1));

/**
 * Makes one puzzle: from its pin if it has one, otherwise from the settings and its own random stream. Words of scripts that run
 * to the left do so in the grid as well.
 */
export function fillWordSearch(context: FillContext<WordSearchOptions>): WordSearchItem {
  const item = fillFromTheLeft(context);
  const toTheLeft = item.words.some(({ word }) => directionOf(word) === 'rtl');
  return toTheLeft ? { ...item, search: mirrored(item.search) } : item;
}

/** As the first version made all puzzles, whatever the script. */
export function fillFromTheLeft(context: FillContext<WordSearchOptions>): WordSearchItem {
  const [seed, section] = context.streamKey;
  const pin = context.pin as WordSearchPin | undefined;
  const source = pin ? undefined : sourceOf(context);
  const words = pin ? usableWords(pin.words) : inOrder(deal(context, source!));
  const { columns, rows, directions } = pin ?? context.options;
  const roll = pin?.roll ?? context.roll;
  const search = makeWordSearch(
    { columns, rows, directions, words },
    randomStream(seed, section, context.item, roll, 'grid'),
  );
  return {
    title: pin ? pin.title : source!.title,
    words,
    search,
    tooLong: source?.isDedicatedList ? source.tooLong : [],
    short: source && !source.isDedicatedList ? context.options.wordsPerPuzzle - words.length : 0,
  };
}

export function pinnedWordSearch(context: FillContext<WordSearchOptions>): WordSearchPin {
  const { title, words, search } = fillWordSearch(context);
  return {
    ...(title ? { title } : {}),
    words: words.map(({ word }) => word),
    columns: search.columns,
    rows: search.rows,
    directions: context.options.directions,
    roll: context.roll,
  };
}

/** Looks for every listed word with the independent search, and for words the grid could not hold. */
export function inspectWordSearch(
  item: WordSearchItem,
  { number, label }: { number: number; label: string },
): ItemProblem[] {
  const { search } = item;
  const wide = Math.max(search.columns, search.rows);
  const problems: ItemProblem[] = [];
  const fix = (message: string) => problems.push({ severity: 'fix', message: `${label}: ${message}` });
  // Without words there is nothing to look for; why, is said once for all puzzles: see lists.ts.
  for (const { word, letters } of item.tooLong) {
    const remedy =
      letters.length <= 30 ? `Use a ${letters.length}-letter grid or remove the word.` : 'Remove the word.';
    fix(`${word.toUpperCase()} has ${letters.length} letters, the grid is ${wide} wide. ${remedy}`);
  }
  for (const { word, letters } of item.words) {
    const name = word.toUpperCase();
    const times = findWord(search, letters).length;
    if (search.leftOut.includes(word)) {
      const holder = item.words.find((other) => other.word !== word && inside({ word, letters }, other));
      if (holder) fix(`${name} is also inside ${holder.word.toUpperCase()}. Remove one of them.`);
      else fix(`${name} does not fit. Use a larger grid, fewer words or more directions.`);
    } else if (times !== 1) fix(`${name} appears ${times} times. Re-roll the puzzle.`);
  }
  // One list serves all puzzles of the section: said once.
  if (item.short > 0 && number === 1) {
    problems.push({
      severity: 'look',
      message: `From ${label.toLowerCase()}: the list gives ${item.words.length} of the ${item.words.length + item.short} words asked for. Add words or ask for fewer.`,
    });
  }
  return problems;
}
