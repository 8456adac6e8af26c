import type { Resources } from '../../resources/index.ts';
import { gridWord } from '../../words/index.ts';
import type { SectionProblem } from '../kind.ts';
import { leftOutTold, listsOf, type Usable, type WordSource } from '../puzzle/word-source.ts';
import { inside } from './earlier/fill.ts';

interface WithWords {
  words: readonly Usable[];
}

/** In so many puzzles of a section a word may come back, on average, before that is told. Our own measure, no source. */
const MOST_PUZZLES_A_WORD = 5;

/** That few words serve many puzzles, so that a reader meets the same ones again and again. */
function repeated(items: readonly WithWords[]): string[] {
  const uses = items.flatMap(({ words }) => words.map(({ letters }) => letters.join('')));
  const words = new Set(uses).size;
  const each = Math.round(uses.length / Math.max(1, words));
  return each > MOST_PUZZLES_A_WORD
    ? [
        `${words} words serve ${items.length} puzzles: each is in about ${each} of them. Add words, or make fewer puzzles.`,
      ]
    : [];
}

/** Why words of a list are in no puzzle, each with the word. */
function leftOut(words: readonly string[], wide: number): string[] {
  const reasons: string[] = [];
  const usable = new Map<string, Usable>();
  for (const word of words) {
    const read = gridWord(word);
    if ('problem' in read) {
      reasons.push(`“${read.word}” ${read.problem}`);
      continue;
    }
    const name = read.word.toLocaleUpperCase('en');
    const letters = read.letters.join('');
    if (usable.has(letters)) reasons.push(`${name} is listed twice; it is used once.`);
    else if (read.letters.length > wide)
      reasons.push(`${name} has ${read.letters.length} letters, the grid is ${wide} wide.`);
    else usable.set(letters, read);
  }
  return reasons;
}

/** Words that stand in another word of the list: both are never in one puzzle, since a reader would find two. */
function insideOthers(words: readonly string[], wide: number): string[] {
  const all = new Map<string, Usable>();
  for (const word of words) {
    const read = gridWord(word);
    if (!('problem' in read) && read.letters.length <= wide) all.set(read.letters.join(''), read);
  }
  const usable = [...all.values()];
  return usable.flatMap((word) => {
    const holder = usable.find((other) => other.letters.length > word.letters.length && inside(word, other));
    const shown = ({ word: text }: Usable) => text.toLocaleUpperCase('en');
    return holder ? [`${shown(word)} and ${shown(holder)}.`] : [];
  });
}

/** What is wrong with the words before any puzzle is made of them: said once for each list, and nothing is dropped in silence. */
export function inspectWordLists(
  items: readonly { number: number; label: string; item: WithWords }[],
  options: { words: WordSource; columns: number; rows: number },
  resources: Resources,
): SectionProblem[] {
  const lists = listsOf(options, resources);
  const wide = Math.max(options.columns, options.rows);
  const usable = (word: string) => {
    const read = gridWord(word);
    return 'letters' in read && read.letters.length <= wide;
  };
  const nothing = lists.map(({ words }) => !words.some(usable));
  // Of puzzles without a list to take words from, those that are pinned have words of their own all the same.
  const empty = items.filter(
    (placed) =>
      (lists.length === 0 || nothing[(placed.number - 1) % lists.length]) && placed.item.words.length === 0,
  );
  const problems: SectionProblem[] = [];
  if (empty.length) {
    const [{ number, label }] = empty as [(typeof empty)[number]];
    const which = empty.length === 1 ? label : `${label} and ${empty.length - 1} more`;
    problems.push({
      severity: 'fix',
      message: `${which}: there are no words. Type or paste some, or choose a word bank.`,
      item: number,
    });
  }
  for (const [i, { title, words }] of lists.entries()) {
    const name = title ? `Words of “${title}”` : lists.length > 1 ? `Words of list ${i + 1}` : 'Words';
    // A list of a puzzle's own that cannot be used whole is told by the puzzle.
    const reasons = lists.length > 1 ? leftOut(words, Infinity) : leftOut(words, wide);
    if (reasons.length)
      problems.push({ severity: 'look', message: `${name} left out: ${leftOutTold(reasons)}`, item: i + 1 });
    // Of a list for a single puzzle, the puzzle itself says so.
    const held = lists.length > 1 ? [] : insideOthers(words, wide);
    if (held.length)
      problems.push({
        severity: 'look',
        message: `${name} never together in one puzzle, because one contains the other: ${leftOutTold(held)}`,
        item: 1,
      });
    const served = items.filter(({ number }) => (number - 1) % lists.length === i);
    for (const message of repeated(served.map(({ item }) => item)))
      problems.push({ severity: 'look', message: title ? `“${title}”: ${message}` : message, item: i + 1 });
  }
  return problems;
}
