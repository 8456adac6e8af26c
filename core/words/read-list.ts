import Papa from 'papaparse';
import { gridWord } from './letters.ts';

/** What may come in at once. A word bank larger than this is two word banks. */
export const WORD_LIST_LIMITS = { bytes: 2 * 1024 * 1024, words: 20_000, letters: 40 } as const;

export interface WordList {
  title?: string;
  words: string[];
}

export interface ReadWords {
  lists: WordList[];
  /** What was left out and why, each with its line. */
  problems: { line: number; text: string; problem: string }[];
}

const HEADER_WORDS = new Set(['word', 'words', 'title', 'list', 'theme', 'clue', 'clues', 'puzzle']);
const hasLower = (text: string) => /\p{Ll}/u.test(text);

/** Is the first line of a block its title rather than a word? */
function isTitle(first: string, second: string | undefined, rest: string[], blankAfter: boolean): boolean {
  if (first.startsWith('#') || first.endsWith(':')) return true;
  if (second === undefined) return false;
  if (blankAfter) return true;
  // “At the seaside” over SAND, SHELL, ROPE: the only line that is not in capitals.
  return hasLower(first) && rest.length >= 2 && rest.every((word) => !hasLower(word));
}

const cleanTitle = (text: string) =>
  text
    .replace(/^#+\s*/, '')
    .replace(/:$/, '')
    .trim();

/**
 * Reads words that were typed, pasted from a spreadsheet, or come from a CSV file. Commas, semicolons, tabs and
 * line ends part the words. Blocks with a title line, or the columns of a table, become lists of their own.
 * Reading follows RFC 4180 (quotes, embedded separators and line ends).
 */
export function readWords(text: string): ReadWords {
  const clean = text.replace(/^\uFEFF/, '').normalize('NFC');
  const delimiter = guessDelimiter(clean);
  const rows = Papa.parse<string[]>(clean, {
    delimiter,
    skipEmptyLines: false,
  }).data.map((row) => row.map((cell) => cell.trim()));
  const filled = rows.filter((row) => row.some(Boolean));
  const columns = Math.max(0, ...filled.map((row) => row.length));
  // The cells of a table line up in every row; a line of words parted by commas stands alone or is ragged.
  const isTable =
    columns > 1 &&
    filled.length > 2 &&
    filled.filter((row) => row.length === columns).length >= filled.length * 0.9;
  const problems: ReadWords['problems'] = [];
  const lists = isListsByRow(filled, delimiter === '\t' ? 2 : 4)
    ? readRows(rows, problems)
    : isTable
      ? readTable(rows, columns, problems)
      : readBlocks(rows, problems);
  return { lists: keepWithinLimit(lists, problems), problems };
}

function guessDelimiter(text: string): string {
  const sample = text.slice(0, 20_000);
  const count = (sign: string) => sample.split(sign).length - 1;
  const [best] = ['\t', ';', ','].map((sign) => [sign, count(sign)] as const).sort((a, b) => b[1] - a[1]);
  return best && best[1] > 0 ? best[0] : ',';
}

/** A first row of capitalized titles, one over each column, above words in small letters: “Animals, Plants” over “fox, oak”. */
function isHeader([first, ...rest]: string[][]): boolean {
  const below = rest.flat().filter(Boolean);
  return (
    below.length > 0 &&
    (first ?? []).every((cell) => /^\p{Lu}/u.test(cell)) &&
    below.every((cell) => !/\p{Lu}/u.test(cell))
  );
}

/**
 * Rows that are lists: a capitalized title in each first cell, words in small letters after it. @param least words in each; more of them where
 * commas part them, as in a line of words of which the first begins a sentence
 */
const isListsByRow = (rows: string[][], least: number): boolean =>
  rows.length > 1 &&
  rows.every(
    ([title, ...words]) =>
      /^\p{Lu}/u.test(title ?? '') &&
      words.filter(Boolean).length >= least &&
      words.every((word) => !/\p{Lu}/u.test(word)),
  );

const readRows = (rows: string[][], problems: ReadWords['problems']): WordList[] =>
  rows.flatMap(([title, ...words], i) => {
    const cells = words.filter(Boolean).map((text) => ({ line: i + 1, text }));
    return cells.length ? listOf(cleanTitle(title!), cells, problems) : [];
  });

type Numbered = { line: number; text: string };

function readTable(rows: string[][], columns: number, problems: ReadWords['problems']): WordList[] {
  const numbered = rows.map((row, i) => ({ row, line: i + 1 })).filter(({ row }) => row.some(Boolean));
  const header = numbered[0]!.row.map((cell) => cell.toLowerCase());
  const wordColumn = header.findIndex((cell) => cell === 'word' || cell === 'words');
  const cells = (column: number) =>
    numbered.map(({ row, line }) => ({ line, text: row[column] ?? '' })).filter(({ text }) => text);
  if (wordColumn >= 0) {
    const titleColumn = header.findIndex(
      (cell) => cell === 'title' || cell === 'list' || cell === 'theme' || cell === 'puzzle',
    );
    const groups = new Map<string, Numbered[]>();
    for (const { row, line } of numbered.slice(1)) {
      const title = titleColumn >= 0 ? (row[titleColumn] ?? '') : '';
      const text = row[wordColumn] ?? '';
      if (text) groups.set(title, [...(groups.get(title) ?? []), { line, text }]);
    }
    return [...groups].flatMap(([title, words]) => listOf(title || undefined, words, problems));
  }
  const headed = isHeader(numbered.map(({ row }) => row));
  return Array.from({ length: columns }, (_, column) => cells(column)).flatMap((column) => {
    const [first, ...rest] = column;
    if (!first) return [];
    const titled =
      headed ||
      isTitle(
        first.text,
        rest[0]?.text,
        rest.map((cell) => cell.text),
        false,
      );
    return titled ? listOf(cleanTitle(first.text), rest, problems) : listOf(undefined, column, problems);
  });
}

function readBlocks(rows: string[][], problems: ReadWords['problems']): WordList[] {
  const lists: WordList[] = [];
  let block: Numbered[] = [];
  let title: string | undefined;
  const close = () => {
    if (block.length) lists.push(...listOf(title, block, problems));
    block = [];
    title = undefined;
  };
  rows.forEach((row, i) => {
    const line = i + 1;
    const words = row.filter(Boolean);
    const [first] = words;
    if (words.length === 0) {
      // A lone line before a blank one heads what follows; any other blank line ends a list.
      if (block.length === 1 && !title && rows.slice(i + 1).some((later) => later.some(Boolean))) {
        title = cleanTitle(block[0]!.text);
        block = [];
      } else if (block.length) close();
      return;
    }
    const starts = block.length === 0 && !title;
    const rest = starts ? restOfBlock(rows, i + 1) : [];
    const marked = words.length === 1 && (first!.startsWith('#') || first!.endsWith(':'));
    if (marked || (starts && words.length === 1 && isTitle(first!, rest[0], rest, false))) {
      close();
      title = cleanTitle(first!);
      return;
    }
    if (starts && words.length === 1 && HEADER_WORDS.has(first!.toLowerCase())) return;
    block.push(...words.map((text) => ({ line, text })));
  });
  close();
  return lists;
}

/** The cells from a row up to the next blank one. */
function restOfBlock(rows: string[][], from: number): string[] {
  const blank = rows.findIndex((row, i) => i >= from && !row.some(Boolean));
  return rows
    .slice(from, blank < 0 ? undefined : blank)
    .flat()
    .filter(Boolean);
}

function listOf(title: string | undefined, cells: Numbered[], problems: ReadWords['problems']): WordList[] {
  const seen = new Set<string>();
  const words: string[] = [];
  for (const { line, text } of cells) {
    const read = gridWord(text);
    const refuse = (problem: string) => problems.push({ line, text: text.slice(0, 60), problem });
    if ('problem' in read) refuse(read.problem);
    else if (read.letters.length > WORD_LIST_LIMITS.letters)
      refuse(`has ${read.letters.length} letters; the largest grid is 30 wide.`);
    else if (seen.has(read.letters.join(''))) refuse('is already in the list. It is kept once.');
    else {
      seen.add(read.letters.join(''));
      words.push(read.word);
    }
  }
  return words.length ? [{ ...(title ? { title } : {}), words }] : [];
}

function keepWithinLimit(lists: WordList[], problems: ReadWords['problems']): WordList[] {
  let left: number = WORD_LIST_LIMITS.words;
  return lists.flatMap((list) => {
    const words = list.words.slice(0, left);
    left -= words.length;
    if (words.length < list.words.length) {
      problems.push({
        line: 0,
        text: list.title ?? 'The list',
        problem: `is cut after ${WORD_LIST_LIMITS.words.toLocaleString('en-US')} words.`,
      });
    }
    return words.length ? [{ ...list, words }] : [];
  });
}
