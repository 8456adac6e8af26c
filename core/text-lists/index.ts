import Papa from 'papaparse';
import { type RandomStream, randomStream } from '../random.ts';

/** A prompt, quotation, verse, riddle or fact, and who said it. */
export interface ListedText {
  text: string;
  credit: string;
}

export const ORDERS = { listed: 'As listed', shuffled: 'Shuffled' } as const;
export type Order = keyof typeof ORDERS;

/**
 * Reads texts: a line for each. Who said it comes after a tab or an upright bar; a line in quotation marks is CSV (RFC 4180), as
 * tables are exported: its second cell is the credit, and a comma in its text is no more than that.
 */
export const readTexts = (source: string): ListedText[] =>
  readRows(source).map(([text, credit = '']) => ({ text: text!, credit }));

/** Reads a table, a line for each row, its cells parted as in `readTexts`; rows that begin with an empty cell are left out. */
export const readRows = (source: string): string[][] =>
  linesOf(source.replace(/^\uFEFF/, '')).flatMap((line) => {
    const cells = cellsOf(line).map((cell) => cell.replace(/\s+/g, ' ').trim());
    return cells[0] ? [cells] : [];
  });

/** Lines of a list; a cell in quotation marks may run over several. */
function linesOf(source: string): string[] {
  const lines: string[] = [];
  for (const line of source.split(/\r?\n/)) {
    const open = lines.at(-1);
    const goesOn = open?.startsWith('"') && (open.match(/"/g)?.length ?? 0) % 2 === 1;
    if (goesOn) lines[lines.length - 1] = `${open}\n${line}`;
    else lines.push(line);
  }
  return lines;
}

/** More cells in a line are no table, but a sentence that begins with somebody's words. */
const MOST_CELLS = 8;

function cellsOf(line: string): string[] {
  const trimmed = line.trim();
  if (trimmed.startsWith('"')) {
    // In a table the next cell follows at once; after somebody's words a space does.
    const end = /^"(?:[^"]|"")*"(?:([,;])(?!\s)|$)/.exec(trimmed);
    const [cells] = end ? Papa.parse<string[]>(trimmed, { delimiter: end[1] ?? ',' }).data : [];
    if (cells && cells.length <= MOST_CELLS) return cells;
  }
  return trimmed.includes('\t') ? trimmed.split('\t') : trimmed.split(/\s+\|(?:\s+|$)/);
}

/** Texts in the order in which they are printed. @param streamKey parts of the key of the stream that shuffles them */
export function dealt<Text>(
  texts: readonly Text[],
  order: Order,
  streamKey: readonly [string, string],
): Text[] {
  if (order === 'listed') return [...texts];
  const stream: RandomStream = randomStream(...streamKey, 'texts');
  return stream.shuffled(texts);
}

/** Texts that stand more than once, whatever their case and signs, each with its places from 1. */
export function repeated(texts: readonly ListedText[]): { text: string; places: number[] }[] {
  const places = new Map<string, number[]>();
  texts.forEach(({ text }, i) => {
    const plain = text
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim();
    places.set(plain, [...(places.get(plain) ?? []), i + 1]);
  });
  return [...places.values()]
    .filter((all) => all.length > 1)
    .map((all) => ({ text: texts[all[0]! - 1]!.text, places: all }));
}

const MOST_QUOTED = 60;

/** What is said of texts that stand more than once, a sentence each. */
export const toldTwice = (texts: readonly ListedText[]): string[] =>
  repeated(texts).map(
    ({ text, places }) =>
      `“${text.slice(0, MOST_QUOTED)}${text.length > MOST_QUOTED ? '…' : ''}” stands ${places.length} times in the list, at ${places.join(', ')}. Take one out.`,
  );
