import type { IndexedTerm } from '../kind.ts';

/** A line of an index: a letter, or what else they stand under, over entries, an entry, or numbers of the entry above. */
export type IndexLine =
  | { kind: 'letter'; letter: string }
  /** All numbers stand behind the words, or none. */
  | { kind: 'entry'; entry: number; behind: boolean }
  | { kind: 'numbers'; entry: number; from: number; count: number };

/** The first letter of a text as a heading; a digit or sign stands under “#”. */
const letterOf = (text: string, language: string): string => {
  const [first = ''] = text.normalize('NFD').replace(/\p{M}/gu, '');
  return /\p{L}/u.test(first) ? first.toLocaleUpperCase(language) : '#';
};

/** How many of some numbers fit a line, from one on; one at least. */
function thatFit(numbers: readonly string[], from: number, letters: number): number {
  let count = 1;
  let length = numbers[from]!.length + 1;
  while (from + count < numbers.length) {
    length += numbers[from + count]!.length + 2;
    if (length > letters) break;
    count++;
  }
  return count;
}

/**
 * All lines of an index, in order: planned before anything is measured, so by counts of letters.
 * @param fits letters of a whole line, and of one of numbers alone
 * @param headed whether each letter has a heading
 */
export function indexLines(
  entries: readonly IndexedTerm[],
  language: string,
  fits: { line: number; numbers: number },
  headed: boolean,
): IndexLine[] {
  let letter = '';
  return entries.flatMap(({ text, under, numbers }, entry) => {
    const lines: IndexLine[] = [];
    const own = under ?? letterOf(text, language);
    if ((headed || under !== undefined) && own !== letter) lines.push({ kind: 'letter', letter: own });
    letter = own;
    const behind = text.length + 2 + numbers.join(', ').length <= fits.line;
    lines.push({ kind: 'entry', entry, behind });
    for (let from = behind ? numbers.length : 0; from < numbers.length; ) {
      const count = thatFit(numbers, from, fits.numbers);
      lines.push({ kind: 'numbers', entry, from, count });
      from += count;
    }
    return lines;
  });
}

/** Free above a letter that does not begin a column, in lines. */
const ABOVE = 0.6;

/** How far down each line of a column stands, in lines from 1; a letter stands clear of what is above it. */
export function placesOf(column: readonly IndexLine[]): number[] {
  let down = 0;
  return column.map(({ kind }, i) => {
    down += kind === 'letter' && i > 0 ? 1 + ABOVE : 1;
    return down;
  });
}

/**
 * Lines in columns of a height: no letter and no entry with numbers below it stands last in one.
 * @param height lines of a column, `LEAST_COLUMN` or more
 */
export function inColumns(lines: readonly IndexLine[], height: number): IndexLine[][] {
  const columns: IndexLine[][] = [[]];
  /** Those that stand together from one on. */
  const together = (i: number): readonly IndexLine[] => {
    const { kind } = lines[i]!;
    if (kind === 'letter') return [lines[i]!, ...together(i + 1)];
    return lines.slice(i, kind === 'entry' && lines[i + 1]?.kind === 'numbers' ? i + 2 : i + 1);
  };
  lines.forEach((line, i) => {
    const last = columns.at(-1)!;
    if (last.length > 0 && placesOf([...last, ...together(i)]).at(-1)! > height) columns.push([line]);
    else last.push(line);
  });
  return columns;
}

/**
 * As `inColumns`, with the columns of the last page no longer than it takes: about as long as each other, not one full and one short.
 * @param across columns of a page
 */
export function evenColumns(lines: readonly IndexLine[], height: number, across: number): IndexLine[][] {
  const columns = inColumns(lines, height);
  const from = Math.floor((columns.length - 1) / across) * across;
  const last = columns.slice(from).flat();
  for (let least = LEAST_COLUMN; least < height; least++) {
    const even = inColumns(last, least);
    if (even.length <= across) return [...columns.slice(0, from), ...even];
  }
  return columns;
}

/** What must stand together fits into so many lines. */
const LEAST_COLUMN = 3;
